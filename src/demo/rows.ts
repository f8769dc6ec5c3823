/** Who the work is for: the company, owners, addresses, retest days, and rows that were put right with their reason. */
import type { Owner, Site } from '../core/logbook/tables';
import type { StoryWriter } from './writer';

interface Place {
  address: string;
  country: string;
  access: string;
  owner: Owner;
}

const owner = (id: string, name: string, contact: string, numbers: string[] = []): Owner => ({
  id,
  name,
  contact,
  ...(numbers.length > 0 ? { numbers } : {}),
});
const TOWN = owner('town', 'Town of Port Almery', 'works office, 555 0144');

const PLACES: Record<string, Place> = {
  'fish-hall': {
    address: '1 Fish Quay, Port Almery',
    country: 'US',
    access: 'Porter at gate 2 has the key of the machine room; auction until 9.',
    owner: owner('fish-guild', 'Almery Fish Guild', 'Prue Castellan, 555 0110', ['facility 20-118']),
  },
  flowers: {
    address: '14 Saffron Quay, Port Almery',
    country: 'US',
    access: 'Roof key at the auction desk. Lorries before 6.',
    owner: owner('growers', 'Saffron Growers', 'auction desk, 555 0117'),
  },
  rink: {
    address: '3 North Road, Port Almery',
    country: 'US',
    access: 'Ice crew lets in from 5.',
    owner: TOWN,
  },
  hospital: {
    address: '20 Chapel Hill, Port Almery',
    country: 'US',
    access: 'Sign in at the works office; no nitrogen bottle through the wards.',
    owner: owner('hospital-trust', 'St Orla’s Trust', 'works office, 555 0131'),
  },
  orchard: {
    address: 'Pellam Lane, Pellam',
    country: 'US',
    access: 'Dog in the yard. Stores are under low oxygen: ask before a door is opened.',
    owner: owner('pellam', 'Pellam Fruit', 'packing office, 555 0162'),
  },
  ferry: {
    address: 'Terminal 2, Kaldvik',
    country: 'DK',
    access: 'Badge at the harbour office; hot work by permit.',
    owner: owner('kaldvik', 'Kaldvik Harbour', 'harbour office, 555 0178', ['operator K-77']),
  },
  'fennel-row': {
    address: 'Fennel Row, Port Almery',
    country: 'US',
    access: 'Each shop by its own door; most open at 8.',
    owner: owner('fennel', 'Fennel Row Traders', 'chair of the traders, 555 0125'),
  },
  halls: { address: 'Wexmoor Square, Wexmoor', country: 'US', access: 'Key at the gate.', owner: TOWN },
  dairy: {
    address: 'Tarn Hill, Wexmoor',
    country: 'US-CA',
    access: 'Overshoes at the door of the parlour.',
    owner: owner('tarn', 'Tarn Hill Dairy', 'dairy office, 555 0190'),
  },
};

export function writeRows(story: StoryWriter): void {
  story.company = {
    name: 'Brindle & Hook Refrigeration',
    address: '8 Anchor Yard, Port Almery',
    contact: 'Odalys Brandt, 555 0100',
    numbers: ['contractor 4471'],
  };
  for (const site of story.sites) {
    const place = PLACES[site.id];
    if (!place) throw new Error(`No address for ${site.id}: add it to PLACES.`);
    const { owner: its, ...rest } = place;
    if (!story.owners.includes(its)) story.owners.push(its);
    Object.assign(site satisfies Site, rest, { ownerId: its.id });
  }
  story.cylinders.forEach((cylinder, index) => {
    // Every five years; the third of all is overdue, the rest run out one after the other.
    cylinder.retestOn = story.date(index === 2 ? -33 : 60 + index * 55);
    cylinder.place = index % 3 === 0 ? 'van 2' : 'yard';
    if (cylinder.purpose === 'recovery') cylinder.ownerId = 'fish-guild';
  });
  for (const appliance of story.appliances)
    if (appliance.siteId === 'fennel-row') appliance.recordFrom ??= story.date(-1440);
  putRight(story, 'flower-1', -410, 'ike', { name: 'Rose cooler' }, null);
  putRight(
    story,
    'fennel-7',
    -505,
    'odalys',
    { siteId: 'halls' },
    'moved with its shop from the market halls',
  );
}

/** A machine whose row was another before: both stand in its history. */
function putRight(
  story: StoryWriter,
  id: string,
  offset: number,
  by: string,
  before: object,
  why: string | null,
): void {
  const row = story.appliances.find((each) => each.id === id);
  if (!row) throw new Error(`No machine ${id} to put right.`);
  const at = (day: number) => `${story.date(day)}T13:00:00.000Z`;
  story.revisions.push(
    { table: 'appliances', id, row: { ...row, ...before }, recordedAt: at(-1440), by: 'odalys', why: null },
    { table: 'appliances', id, row: { ...row }, recordedAt: at(offset), by, why },
  );
}
