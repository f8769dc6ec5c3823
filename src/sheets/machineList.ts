/** Lists of machines, with their full charge. What is there already is recognised by its name at its site. */
import { livingOf } from '../core/logbook/order';
import type { Appliance, Site } from '../core/logbook/tables';
import { exactGrams } from '../core/quantity/mass';
import { KIND_WORDS } from '../words/codes';
import { nameKey } from './cells';
import { categoryNamed, detectionNamed, flagNamed, kindNamed, usualCategory } from './namesRead';
import type { RowReading } from './reading';
import { filled, gas, named, typed } from './rowTools';
import { type Intake, type Read, type StagedRow, entryId, findOne, idFrom, understood } from './understood';

/** From when a full charge holds whose list names no day. */
const BEGINNING = '2000-01-01';

const METHODS = [
  [/maker|manufact|name ?plate|data plate|factory/, 'maker'],
  [/calc/, 'calculated'],
  [/weigh|measured/, 'weighed'],
] as const;

export const readAppliance: Read = (reading, sheet, intake) => {
  const { lookups, mapping } = intake;
  const name = named(reading, 'name');
  const { site, fresh } = siteFor(reading, intake);
  const same = lookups.machines.get(name).find((each) => site !== null && each.siteId === site.id);
  const refrigerant = gas(reading);
  const kind =
    reading.choice('kind', kindNamed, `Use ${Object.values(KIND_WORDS).join(', ')}.`) ??
    same?.kind ??
    kindNamed(name) ??
    'other';
  const category =
    reading.choice(
      'category',
      categoryNamed,
      'Use commercial refrigeration, industrial process, comfort cooling or other.',
    ) ??
    same?.category ??
    usualCategory(kind);
  if (category === null && reading.text('category') === '')
    reading.fault(
      'category',
      'is missing',
      'A rule’s limit hangs on it: commercial refrigeration, industrial process, comfort cooling or other.',
    );
  if (same && refrigerant !== null && same.refrigerant !== refrigerant)
    reading.fault(
      'refrigerant',
      `is ${refrigerant} here, and ${same.refrigerant} in the logbook`,
      'Leave the row out, or put the machine right in the logbook first.',
    );
  const installedOn = reading.day('installedOn');
  const appliance = {
    id: same?.id ?? idFrom('appliance', site?.id ?? '', nameKey(name)),
    siteId: site?.id ?? '',
    name,
    kind,
    category,
    refrigerant,
    ...filled({
      installedOn,
      recordFrom: mapping.recordFrom ?? null,
      hermetic: reading.choice('hermetic', flagNamed, 'Use yes or no.'),
      automaticDetection: reading.choice('automaticDetection', detectionNamed, 'Use none, part or whole.'),
      tag: reading.text('tag'),
      model: reading.text('model'),
      serialNumber: reading.text('serialNumber'),
      assembly: reading.text('assembly'),
      location: reading.text('location'),
      access: reading.text('access'),
    }),
  } as Appliance;
  const charge = chargeEntry(reading, appliance, intake, same !== undefined);
  if (!same && reading.faults.length === 0) lookups.machines.add(appliance);
  return understood(reading, sheet, {
    words: `${name}, ${KIND_WORDS[kind]}, ${refrigerant ?? ''}${site ? ` at ${site.name}` : ''}${charge?.mass ? `, full charge ${typed(charge.mass)}` : ''}`,
    known: same !== undefined && charge === null,
    rows: same ? [] : [...fresh, { table: 'appliances', id: appliance.id, row: appliance }],
    entries: charge === null ? [] : [charge.entry],
  });
};

/** The site of a machine; one that is new where it was said how new sites are. */
function siteFor(
  reading: RowReading,
  { lookups, mapping }: Intake,
): { site: Site | null; fresh: StagedRow[] } {
  const text = reading.text('siteId');
  const found = lookups.sites.get(text);
  if (text === '' && lookups.known.sites.length === 1)
    return { site: lookups.known.sites[0] ?? null, fresh: [] };
  if (found.length === 0 && text !== '' && mapping.newSites) {
    const site: Site = { id: idFrom('site', nameKey(text)), name: text, ...mapping.newSites };
    lookups.addSite(site);
    return { site, fresh: [{ table: 'sites', id: site.id, row: site }] };
  }
  return {
    site: findOne(
      reading,
      'siteId',
      'site',
      found,
      lookups.sites.nearest(text),
      'Bring the sites in first, or say the time zone and rules of new sites.',
    ),
    fresh: [],
  };
}

function chargeEntry(reading: RowReading, appliance: Appliance, intake: Intake, isKnown: boolean) {
  const { lookups, file } = intake;
  if (reading.text('fullCharge') === '') return null;
  const mass = reading.amount('fullCharge');
  if (mass === null) return null;
  if (exactGrams(mass) <= 0n)
    return reading.fault(
      'fullCharge',
      'is nothing',
      'Write how much the machine holds, or leave the cell empty.',
    );
  const said = METHODS.find(([pattern]) => pattern.test(nameKey(reading.text('fullChargeMethod'))))?.[1];
  if (isKnown) {
    const there = livingOf(lookups.known.entriesOf(appliance.id), appliance.id).flatMap((entry) =>
      entry.kind === 'fullChargeSet' && entry.mass ? [exactGrams(entry.mass)] : [],
    );
    if (there.includes(exactGrams(mass))) return null;
    if (there.length > 0)
      return reading.fault(
        'fullCharge',
        `“${reading.text('fullCharge')}” is another full charge than the logbook has`,
        'Leave the row out, or set the full charge in the logbook with its day and reason.',
      );
  }
  const on = appliance.installedOn ?? BEGINNING;
  const id = entryId(intake, 'fullCharge', appliance.id, on, String(exactGrams(mass)));
  const gaps = [
    said ? '' : 'the list does not say how it was determined',
    appliance.installedOn ? '' : 'nor from which day it holds',
  ].filter(Boolean);
  return {
    mass,
    entry: {
      id,
      kind: 'fullChargeSet' as const,
      applianceId: appliance.id,
      on,
      by: 'not recorded',
      method: said ?? ('maker' as const),
      mass,
      note: `from ${file}${gaps.length > 0 ? `; ${gaps.join(', ')}` : ''}`,
    },
  };
}
