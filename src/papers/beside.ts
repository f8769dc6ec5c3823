/** Who a paper names: contractor, owner, site, machine, and the persons with their certificates on its day. */
import { type Entry, writtenByOf } from '../core/logbook/entry';
import type { DatedEntry } from '../core/logbook/order';
import type { Company, Owner, Person } from '../core/logbook/tables';
import type { SaturationTable } from '../core/refrigerant/saturation';
import { KIND_WORDS, METHOD_WORDS, PACK_WORDS } from '../words/codes';
import { dateWords, dayWords } from '../words/dates';
import { gasWords } from '../words/gas';
import { listAnd } from '../words/list';
import { fullChargeWords } from '../words/fullCharge';
import type { FoldedMachine } from '../record/foldedMachine';
import { figuresOf } from '../core/rules/amend';
import { certifiedOn, isCertifiedWork } from '../core/rules/certified';
import { methodOn } from '../core/rules/inForce';
import type { Pack } from '../core/rules/pack';
import type { Standing } from '../core/rules/standing';
import { type Fact, NOT_RECORDED } from './paper';

/** What stands beside a machine and its entries. */
export interface PaperContext {
  company: Company | null;
  owner: Owner | null;
  people: readonly Person[];
  /** of its refrigerant, where there is one */
  table: SaturationTable | null;
}

const joined = (...parts: readonly (string | null | undefined)[]): string =>
  parts
    .map((part) => part?.trim())
    .filter(Boolean)
    .join(', ');

/** Numbers that an authority gave, however they were written down. */
export function numbersWords(numbers: Company['numbers']): string {
  if (numbers == null) return '';
  if (typeof numbers === 'string') return numbers;
  if (Array.isArray(numbers))
    return numbers
      .map((each) => (typeof each === 'string' ? each : Object.values(each).map(String).join(' ')))
      .join(', ');
  return Object.entries(numbers)
    .map(([name, value]) => `${name} ${String(value)}`)
    .join(', ');
}

const partyWords = (party: Company | Owner | null): string =>
  party === null
    ? NOT_RECORDED
    : joined(
        party.name ?? NOT_RECORDED,
        party.address ?? 'address not recorded',
        party.contact,
        numbersWords(party.numbers),
      );

export function certificateWords(person: Person | undefined): string {
  const certificates = (person?.certificates ?? []).map(
    (each) =>
      `${each.scheme ?? 'certificate'} ${each.number ?? ''}${each.expires ? `, valid until ${dateWords(each.expires)}` : ''}`,
  );
  return certificates.length > 0 ? certificates.join('; ') : `certificate ${NOT_RECORDED}`;
}

const UNKNOWN_PERSON = 'somebody who is not on the list of people';
export const personName = (people: readonly Person[], id: string): string =>
  people.find((each) => each.id === id)?.name ?? (/[0-9a-f]{8}-/.test(id) ? UNKNOWN_PERSON : id);

/** Who did it, and who wrote it down where that was somebody else. */
export const writerName = (people: readonly Person[], entry: Entry): string => {
  const writer = writtenByOf(entry);
  const name = personName(people, entry.by);
  return writer === null ? name : `${name} (written by ${personName(people, writer)})`;
};

/** Who worked, each with the certificates, and on which days none was valid for work that asks for one. */
export function personFacts(people: readonly Person[], work: readonly DatedEntry[]): Fact[] {
  const ids = new Set(work.map(({ entry }) => entry.by));
  return [...ids].map((id): Fact => {
    const person = people.find((each) => each.id === id);
    const lacking = work
      .filter(({ entry }) => entry.by === id && isCertifiedWork(entry.kind))
      .map(({ day }) => day)
      .filter((day) => certifiedOn(person, day).is !== 'valid');
    const days = [...new Set(lacking)].map((day) => dayWords(day));
    return [
      personName(people, id),
      days.length === 0
        ? certificateWords(person)
        : `${certificateWords(person)}. Without a valid certificate on record for work with refrigerant on ${listAnd(days)}`,
    ];
  });
}

/** Who signs for the owner, where that was asked once. */
const signsFor = (owner: Owner | null): Fact[] => {
  const signs = (owner as { 'x-signs'?: unknown } | null)?.['x-signs'];
  return typeof signs === 'string' && signs.trim() !== '' ? [['For the owner', signs]] : [];
};

/** Owner, site, contractor. */
export function partyFacts(
  { machine: { site } }: Pick<FoldedMachine, 'machine'>,
  beside: PaperContext,
): Fact[] {
  return [
    ['Owner', partyWords(beside.owner)],
    ['Site', joined(site.name, site.address ?? 'address not recorded', site.country)],
    ['Contractor', partyWords(beside.company)],
    ...signsFor(beside.owner),
  ];
}

/** Which text, and which figures of it: those that ship, or the company's own since a day. */
export function packVersionWords(pack: Pack): string {
  const own = figuresOf(pack)
    .flatMap(({ figure }) => figure.periods)
    .flatMap(({ changed, from }) => (changed && from !== null ? [from] : []))
    .sort()
    .at(-1);
  const figures =
    own === undefined ? '' : `, with the company’s own figures, the latest from ${dateWords(own)}`;
  return `${pack.source.cite}, as read ${dateWords(pack.source.readOn)}${figures}`;
}

/** “None” is an answer only where charge and refrigerant are known. */
const notCovered = ({ present }: Standing): string =>
  present.refrigerant === null
    ? 'cannot be judged: refrigerant not known'
    : present.fullCharge === null
      ? 'cannot be judged: full charge not known'
      : 'none';

export function machineFacts(view: FoldedMachine): Fact[] {
  const { machine, standing, system, today } = view;
  const { appliance, site } = machine;
  const { refrigerant } = standing.present;
  return [
    [
      'Machine',
      joined(
        appliance.name,
        KIND_WORDS[appliance.kind],
        appliance.assembly && `circuit of ${appliance.assembly}`,
        appliance.tag && `tag ${appliance.tag}`,
        appliance.model && `model ${appliance.model}`,
        appliance.serialNumber && `serial number ${appliance.serialNumber}`,
        appliance.location,
      ),
    ],
    ['Refrigerant', refrigerant === null ? 'not known' : gasWords(refrigerant)],
    ['Full charge', fullChargeWords(standing.history, system) ?? 'not known'],
    [
      'Rules that cover',
      standing.present.covering
        .map((pack) => `${PACK_WORDS[pack.id]} (${packVersionWords(pack)})`)
        .join('; ') || notCovered(standing),
    ],
    ['Leak rate by', `${METHOD_WORDS[methodOn(site, today)]}, as of ${dayWords(today)}`],
  ];
}
