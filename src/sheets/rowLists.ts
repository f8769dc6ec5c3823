/** Lists of sites, people and bottles. What is there already is recognised by its name. */
import { PACK_IDS, type PackId } from '../core/logbook/packNames';
import { type Cylinder, PURPOSES, type Person, type Site } from '../core/logbook/tables';
import { isTimezone } from '../core/quantity/zone';
import { choices } from '../words/choice';
import { PACK_WORDS, PURPOSE_WORDS } from '../words/codes';
import { looseKey } from './cells';
import { purposeSaid } from './machineWords';
import type { RowReading } from './reading';
import { filled, gas, named, typed } from './rowTools';
import { type Intake, type RowReader, findOne, idFrom, understood } from './understood';

function packsIn(text: string): PackId[] | null {
  const parts = text
    .split(/[,;/+]| and /)
    .map((part) => part.trim())
    .filter(Boolean);
  const packs = parts.map((part) =>
    PACK_IDS.find((id) => looseKey(id) === looseKey(part) || looseKey(PACK_WORDS[id]) === looseKey(part)),
  );
  return packs.every((pack) => pack !== undefined) ? packs : null;
}

const ownerOf = (reading: RowReading, { lookups }: Intake): string | null =>
  reading.said('ownerId') === ''
    ? null
    : (findOne(
        reading,
        'ownerId',
        'owner',
        lookups.owners.get(reading.said('ownerId')),
        () => lookups.owners.nearest(reading.said('ownerId')),
        'Add the owner under Company first, or leave the cell empty.',
      )?.id ?? null);

export const readSite: RowReader = (reading, sheet, intake) => {
  const { lookups, mapping } = intake;
  const name = named(reading, 'name');
  const known = lookups.sites.get(name).length > 0;
  const timezone =
    reading.choice('timezone', (text) => (isTimezone(text.trim()) ? text.trim() : null), []) ??
    mapping.newSites?.timezone ??
    null;
  if (!known && timezone === null && reading.text('timezone') === '')
    reading.fault('timezone', 'is missing', 'Say the time zone of new sites, such as America/Chicago.');
  const packs =
    reading.choice('packs', packsIn, choices(PACK_IDS, PACK_WORDS)) ?? mapping.newSites?.packs ?? [];
  const altitudeM = reading.number('altitudeM');
  const site = {
    id: idFrom('site', looseKey(name)),
    name,
    timezone,
    packs,
    ...filled({
      altitudeM,
      address: reading.said('address'),
      country: reading.said('country'),
      access: reading.said('access'),
      ownerId: ownerOf(reading, intake),
    }),
  } as Site;
  if (!known && reading.faults.length === 0) lookups.addSite(site);
  return understood(reading, sheet, {
    words: `Site ${name}`,
    known,
    rows: [{ table: 'sites', id: site.id, row: site }],
  });
};

export const readPerson: RowReader = (reading, sheet, { lookups }) => {
  const name = named(reading, 'name');
  const known = lookups.people.get(name).length > 0;
  const certificate = filled({
    scheme: reading.said('certificates.scheme'),
    number: reading.text('certificates.number'),
    expires: reading.day('certificates.expires'),
  });
  const person = {
    id: idFrom('person', looseKey(name)),
    name,
    ...filled({ role: reading.said('role') }),
    certificates: Object.keys(certificate).length > 0 ? [certificate] : [],
  } as Person;
  if (!known && reading.faults.length === 0) lookups.people.add(person);
  return understood(reading, sheet, {
    words: `${name}${person.role ? `, ${person.role}` : ''}${reading.text('certificates.number') ? `, certificate ${reading.text('certificates.number')}` : ''}`,
    known,
    rows: [{ table: 'people', id: person.id, row: person }],
  });
};

export const readCylinder: RowReader = (reading, sheet, intake) => {
  const { lookups } = intake;
  const serial = named(reading, 'serial');
  const known = lookups.cylinders.get(serial).length > 0;
  const refrigerant = gas(reading);
  if (refrigerant === null && reading.faults.length === 0)
    reading.fault('refrigerant', 'is empty', 'Write it as R-404A: a bottle is known by what is in it.');
  const purpose = reading.choice('purpose', purposeSaid, choices(PURPOSES, PURPOSE_WORDS));
  const tare = reading.said('tare') === '' ? null : reading.amount('tare');
  const cylinder = {
    id: idFrom('cylinder', looseKey(serial)),
    serial,
    refrigerant,
    ...filled({
      purpose,
      tare,
      waterCapacityL: reading.number('waterCapacityL'),
      ownerId: ownerOf(reading, intake),
      retestOn: reading.day('retestOn'),
      place: reading.said('place'),
    }),
  } as Cylinder;
  if (!known && reading.faults.length === 0) lookups.cylinders.add(cylinder);
  return understood(reading, sheet, {
    words: `Bottle ${serial}, ${refrigerant ?? ''}${tare ? `, tare ${typed(tare)}` : ''}`,
    known,
    rows: [{ table: 'cylinders', id: cylinder.id, row: cylinder }],
  });
};
