/**
 * Lists of machines, with their full charge. What is there already is recognised by its serial number or tag, then by its name
 * at its site; two rows of one machine are never merged.
 */
import type { Entry } from '../core/logbook/entry';
import { CATEGORIES, DETECTIONS } from '../core/logbook/fields';
import { APPLIANCE_KINDS, type Appliance, type Site } from '../core/logbook/tables';
import { dayText } from '../core/quantity/day';
import { choices } from '../words/choice';
import { CATEGORY_WORDS, DETECTION_WORDS, KIND_WORDS } from '../words/codes';
import { gasNameOf } from '../words/gas';
import { looseKey, rowText } from './cells';
import { chargeEntry } from './chargeOfList';
import { categorySaid, detectionSaid, flagSaid, kindInName, kindSaid, usualCategory } from './machineWords';
import type { RowReading } from './reading';
import { FLAG_CHOICES, filled, gas, named, typed } from './rowTools';
import {
  type Intake,
  type RowReader,
  type StagedRow,
  entryId,
  findOne,
  idFrom,
  understood,
} from './understood';

export const readAppliance: RowReader = (reading, sheet, intake) => {
  const { lookups, mapping } = intake;
  const name = named(reading, 'name');
  const { site, fresh } = siteFor(reading, intake);
  const numbers = { serialNumber: reading.said('serialNumber'), tag: reading.said('tag') };
  const same = sameMachine(reading, name, site, numbers, intake);
  const refrigerant = gas(reading);
  const kind =
    reading.choice('kind', kindSaid, choices(APPLIANCE_KINDS, KIND_WORDS)) ??
    same?.kind ??
    kindInName(name) ??
    'other';
  const category = categoryOf(reading, kind, same);
  if (same && refrigerant !== null && same.refrigerant !== refrigerant)
    reading.fault(
      'refrigerant',
      `is ${refrigerant} here, and ${gasNameOf(same.refrigerant)} in the logbook`,
      'Leave the row out, or put the machine right in the logbook first.',
    );
  const installedOn = reading.day('installedOn');
  const inspectedOn = reading.day('inspectedOn');
  const appliance = {
    id:
      same?.id ??
      idFrom('appliance', site?.id ?? '', looseKey(name), ...numbersKey(name, site, numbers, intake)),
    siteId: site?.id ?? '',
    name,
    kind,
    category,
    refrigerant,
    ...filled({
      installedOn,
      // Nobody is late here for the time before the logbook answers.
      recordFrom: mapping.recordFrom ?? (site ? dayText(lookups.known.todayAt(site.timezone)) : null),
      hermetic: reading.choice('hermetic', flagSaid, FLAG_CHOICES),
      automaticDetection: reading.choice(
        'automaticDetection',
        detectionSaid,
        choices(DETECTIONS, DETECTION_WORDS),
      ),
      ...numbers,
      model: modelOf(reading),
      assembly: reading.said('assembly'),
      location: reading.said('location'),
      access: reading.said('access'),
    }),
  } as Appliance;
  const charge = chargeEntry(reading, appliance, intake, same !== undefined);
  const inspection = inspectedOn === null || same ? null : inspectionEntry(appliance, inspectedOn, intake);
  if (!same) {
    intake.listed.set(appliance.id, reading);
    if (name !== '' && site) lookups.addMachine(appliance);
  }
  const words = [
    name,
    KIND_WORDS[kind],
    category === null ? '' : CATEGORY_WORDS[category],
    gasNameOf(refrigerant),
    site ? `at ${site.name}` : '',
    charge?.mass ? `full charge ${typed(charge.mass)}` : 'full charge not known',
    numbers.serialNumber ? `serial number ${numbers.serialNumber}` : '',
    numbers.tag ? `tag ${numbers.tag}` : '',
    appliance.model ?? '',
    appliance.recordFrom ? `this logbook answers from ${appliance.recordFrom}` : '',
  ];
  return understood(reading, sheet, {
    words: words.filter(Boolean).join(', '),
    known: same !== undefined && charge === null,
    rows: same ? [] : [...fresh, { table: 'appliances', id: appliance.id, row: appliance }],
    entries: [...(charge === null ? [] : [charge.entry]), ...(inspection ? [inspection] : [])],
  });
};

const modelOf = (reading: RowReading): string => {
  const [maker, model] = [reading.said('maker'), reading.said('model')];
  return looseKey(model).startsWith(looseKey(maker)) ? model : [maker, model].filter(Boolean).join(' ');
};

function categoryOf(
  reading: RowReading,
  kind: Appliance['kind'],
  same: Appliance | undefined,
): Appliance['category'] | null {
  const words = choices(CATEGORIES, CATEGORY_WORDS);
  const text = reading.said('category');
  if (text !== '') return reading.choice('category', categorySaid, words);
  const category = same?.category ?? usualCategory(kind);
  return (
    category ??
    reading.ask(
      'category',
      'is missing',
      'A rule’s limit hangs on it: commercial refrigeration, industrial process, comfort cooling or other.',
      words,
    )
  );
}

interface Numbers {
  serialNumber: string;
  tag: string;
}

/** Two machines of one name at one site are two where serial number or tag tells them apart. */
const differs = (machine: Appliance, { serialNumber, tag }: Numbers): boolean =>
  (serialNumber !== '' &&
    machine.serialNumber != null &&
    looseKey(machine.serialNumber) !== looseKey(serialNumber)) ||
  (tag !== '' && machine.tag != null && looseKey(machine.tag) !== looseKey(tag));

const atSite = (found: readonly Appliance[], site: Site | null): readonly Appliance[] =>
  site ? found.filter(({ siteId }) => siteId === site.id) : [];

/** A part of the id where the name alone would be that of another machine. */
function numbersKey(name: string, site: Site | null, numbers: Numbers, { lookups }: Intake): string[] {
  const others = atSite(lookups.machines.get(name), site).some((each) => differs(each, numbers));
  return others ? [looseKey(numbers.serialNumber), looseKey(numbers.tag)] : [];
}

/** The machine of the logbook that the row tells of; one that another row of this list tells of already is a fault. */
function sameMachine(
  reading: RowReading,
  name: string,
  site: Site | null,
  numbers: Numbers,
  { lookups, listed }: Intake,
): Appliance | undefined {
  const numbered = [numbers.serialNumber, numbers.tag]
    .filter(Boolean)
    .flatMap((number) => atSite(lookups.tags.get(number), site));
  const found =
    numbered[0] ?? atSite(lookups.machines.get(name), site).find((machine) => !differs(machine, numbers));
  const earlier = found && listed.get(found.id);
  if (!earlier) return found;
  const both = `rows ${String(earlier.row.number)} and ${String(reading.row.number)}`;
  if (rowText(earlier.row) === rowText(reading.row))
    reading.fault('name', `“${name}” stands twice: ${both} say the same`, 'Leave this row out.');
  else
    for (const each of [earlier, reading])
      each.fault(
        'name',
        `“${name}” stands twice: ${both} tell different things of one machine, or two machines have one name`,
        'Leave one of them out, or tell them apart by serial number, tag or name.',
      );
  return undefined;
}

/** The site of a machine; a new one, where the import says how new sites are set up. */
function siteFor(
  reading: RowReading,
  { lookups, mapping }: Intake,
): { site: Site | null; fresh: StagedRow[] } {
  const text = reading.said('siteId');
  if (text === '' && lookups.known.sites.length === 1)
    return { site: lookups.known.sites[0] ?? null, fresh: [] };
  if (text !== '' && mapping.newSites && lookups.sites.get(text).length === 0)
    lookups.addSite({ id: idFrom('site', looseKey(text)), name: text, ...mapping.newSites });
  const site = findOne(
    reading,
    'siteId',
    'site',
    lookups.sites.get(text),
    () => lookups.sites.nearest(text),
    'Bring the sites in first, or say the time zone and rules of new sites.',
  );
  // Every row that names a new site brings it, so that none hangs on another that is faulty or left out.
  const isNew = site !== null && !lookups.known.sites.some(({ id }) => id === site.id);
  return { site, fresh: isNew ? [{ table: 'sites', id: site.id, row: site }] : [] };
}

const inspectionEntry = (appliance: Appliance, on: string, intake: Intake): Entry => ({
  id: entryId(intake, 'leakInspection', appliance.id, on),
  kind: 'leakInspection',
  applianceId: appliance.id,
  on,
  by: 'not recorded',
  note: `from ${intake.file}: the last inspection before the machine came into the record`,
});
