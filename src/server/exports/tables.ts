/** The logbook as tables for a spreadsheet: headed so that it can be brought in again, with every entry in words beside. */
import type { ExportScope, OutTable } from '../../contract/exports';
import type { Entry, EntryOf } from '../../core/logbook/entry';
import { labelOf } from '../../core/logbook/leakLabels';
import { ownerOn } from '../../core/logbook/ownership';
import { type ExactGrams, type Mass, exactGrams, inUnit } from '../../core/quantity/mass';
import { massSystemOf } from '../../core/rules/massSystem';
import { CATEGORY_WORDS, DETECTION_WORDS, KIND_WORDS, PACK_WORDS } from '../../words/codes';
import { methodWords } from '../../words/leaks';
import { limitWords, rateFigure } from '../../words/rod';
import { workedOut } from '../../sheets/workedOut';
import { entryTitle, sentenceOf } from '../../record/sentence';
import type { Clock } from '../clock';
import type { Tables } from '../store/database';
import type { GasFacts } from './gasFacts';
import { type LogbookRows, readOut } from './readOut';

/** A day is written as such: a spreadsheet then sorts and counts it. */
export type OutCell = string | number | { day: string } | null;

export interface OutWorksheet {
  name: OutTable;
  head: readonly string[];
  rows: readonly (readonly OutCell[])[];
}

const day = (text: string | null | undefined): OutCell => (text == null ? null : { day: text });
const text = (value: string | null | undefined): OutCell => value ?? null;

type Make = (read: LogbookRows) => Omit<OutWorksheet, 'name'>;

const placeOf = ({ machines, sites }: LogbookRows, id: string | null | undefined): [OutCell, OutCell] => {
  const machine = machines.get(id ?? '');
  return [text(machine && sites.get(machine.siteId)?.name), text(machine?.name ?? id)];
};
const personOf = ({ people }: LogbookRows, id: string): string => people.get(id)?.name ?? id;
const weight = (mass: Mass | null | undefined): [OutCell, OutCell] => [
  mass?.value ?? null,
  mass?.unit ?? null,
];

const GAS_WORKED_OUT = [
  'Amount, kg',
  'Amount, lb',
  'Full charge, kg',
  'Full charge, lb',
  'Leak rate, % a year',
  'Limit, % a year',
];

/** Each in one unit, so that a spreadsheet can add it up; what a rate is no figure of is said in words. */
function gasWorkedOut(
  { kind, mass }: EntryOf<'refrigerantAdded' | 'refrigerantRecovered'>,
  facts: GasFacts | null,
): OutCell[] {
  const inBoth = (exact: ExactGrams | null): OutCell[] => [
    exact && inUnit(exact, 'kg'),
    exact && inUnit(exact, 'lb'),
  ];
  const rate = kind === 'refrigerantAdded' ? facts?.rate : null;
  return [
    ...inBoth(mass ? exactGrams(mass) : null),
    ...inBoth(facts?.fullCharge ?? null),
    !rate ? null : rate.percent !== null && rate.bound === null ? rate.percent : rateFigure(rate),
    !rate ? null : (rate.limit?.percent ?? limitWords(rate)),
  ];
}

const MAKE: Record<OutTable, Make> = {
  machines: (read) => {
    const charges = new Map<string, Mass>();
    for (const entry of read.entries)
      if (entry.kind === 'fullChargeSet' && entry.mass && entry.applianceId)
        charges.set(entry.applianceId, entry.mass);
    return {
      head: [
        'Site',
        'Machine',
        'Kind',
        'Category',
        'Refrigerant',
        'Full charge',
        'Charge unit',
        'Installed',
        'Automatic detection',
        'Model',
        'Serial number',
        'Assembly',
      ],
      rows: [...read.machines.values()].map((machine) => [
        text(read.sites.get(machine.siteId)?.name),
        machine.name,
        KIND_WORDS[machine.kind],
        CATEGORY_WORDS[machine.category],
        machine.refrigerant,
        ...weight(charges.get(machine.id)),
        day(machine.installedOn),
        DETECTION_WORDS[machine.automaticDetection ?? 'none'],
        text(machine.model),
        text(machine.serialNumber),
        text(machine.assembly),
      ]),
    };
  },
  gas: (read) => ({
    head: [
      'Date',
      'Site',
      'Machine',
      'Refrigerant',
      'Kind',
      'Amount',
      'Unit',
      ...GAS_WORKED_OUT.map(workedOut),
      'Reason',
      'Bottle',
      'Leak',
      'Technician',
      'Note',
    ],
    rows: read.entries.flatMap((entry): OutCell[][] => {
      if (entry.kind !== 'refrigerantAdded' && entry.kind !== 'refrigerantRecovered') return [];
      const names = read.names.get(entry.applianceId);
      const facts = read.gasFactsOn(entry);
      const leak = entry.kind === 'refrigerantAdded' ? entry.leakId : null;
      return [
        [
          day(entry.on),
          ...placeOf(read, entry.applianceId),
          facts === null ? null : (facts.refrigerant ?? 'unknown'),
          entry.kind === 'refrigerantAdded' ? 'added' : 'recovered',
          ...(entry.mass ? weight(entry.mass) : [`not weighed: ${entry.massUnknown ?? ''}`, null]),
          ...gasWorkedOut(entry, facts),
          entry.reason,
          text(read.cylinders.get(entry.cylinderId ?? '')?.serial ?? entry.cylinderId),
          text(leak == null ? null : names ? labelOf(names.leaks, leak) : leak),
          personOf(read, entry.by),
          text(entry.note),
        ],
      ];
    }),
  }),
  leaks: (read) => ({
    head: ['Date', 'Site', 'Machine', 'Leak', 'What', 'In words', 'Technician'],
    rows: read.entries.flatMap((entry): OutCell[][] => {
      if (!['leakFound', 'leakRepaired', 'verificationTest'].includes(entry.kind)) return [];
      const names = read.names.get(entry.applianceId ?? '');
      const ids =
        'leakId' in entry && entry.leakId ? [entry.leakId] : 'leakIds' in entry ? (entry.leakIds ?? []) : [];
      return [
        [
          day(entry.on),
          ...placeOf(read, entry.applianceId),
          ids.map((id) => (names ? labelOf(names.leaks, id) : id)).join(', ') || 'whole machine',
          entryTitle(entry),
          said(read, entry),
          personOf(read, entry.by),
        ],
      ];
    }),
  }),
  inspections: (read) => ({
    head: ['Date', 'Site', 'Machine', 'Methods', 'All accessible parts', 'Inspector', 'Note'],
    rows: read.entries.flatMap((entry): OutCell[][] =>
      entry.kind === 'leakInspection'
        ? [
            [
              day(entry.on),
              ...placeOf(read, entry.applianceId),
              (entry.methods ?? []).map(methodWords).join(', '),
              entry.allAccessibleInspected === false ? 'no' : 'yes',
              personOf(read, entry.by),
              text(entry.note),
            ],
          ]
        : [],
    ),
  }),
  entries: (read) => ({
    head: ['Date', 'Site', 'Machine', 'What', 'In words', 'Note', 'By', 'Written', 'Id'],
    rows: read.entries.map((entry) => [
      day(entry.on),
      ...placeOf(read, entry.applianceId),
      entryTitle(entry),
      said(read, entry),
      text(entry.note),
      personOf(read, entry.by),
      text(entry.recordedAt),
      entry.id,
    ]),
  }),
  sites: (read) => ({
    head: ['Site', 'Time zone', 'Rules', 'Address', 'Country', 'Altitude', 'Owner', 'Access'],
    rows: [...read.sites.values()].map((site) => [
      site.name,
      site.timezone,
      site.packs.map((pack) => PACK_WORDS[pack]).join(', '),
      text(site.address),
      text(site.country),
      site.altitudeM ?? null,
      text(read.owners.get(ownerOn(site, read.today(site)) ?? '')?.name),
      text(site.access),
    ]),
  }),
  people: (read) => ({
    head: ['Name', 'Role', 'Certificate', 'Certificate number', 'Expires'],
    rows: [...read.people.values()].flatMap((person): OutCell[][] => {
      const certificates = person.certificates ?? [];
      const row = (each: (typeof certificates)[number] | null): OutCell[] => [
        person.name,
        text(person.role),
        text(each?.scheme),
        text(each?.number),
        day(each?.expires),
      ];
      return certificates.length === 0 ? [row(null)] : certificates.map(row);
    }),
  }),
  bottles: (read) => ({
    head: [
      'Bottle',
      'Refrigerant',
      'Purpose',
      'Tare',
      'Tare unit',
      'Water capacity',
      'Owner',
      'Retest',
      'Place',
    ],
    rows: [...read.cylinders.values()].map((cylinder) => [
      cylinder.serial,
      cylinder.refrigerant,
      text(cylinder.purpose),
      ...weight(cylinder.tare),
      cylinder.waterCapacityL ?? null,
      text(read.owners.get(cylinder.ownerId ?? '')?.name),
      day(cylinder.retestOn),
      text(cylinder.place),
    ]),
  }),
};

function said(read: LogbookRows, entry: Entry): string {
  const machine = read.machines.get(entry.applianceId ?? '');
  const site = machine && read.sites.get(machine.siteId);
  return sentenceOf(entry, massSystemOf(site ?? { packs: [] }), read.names.get(entry.applianceId ?? ''));
}

/** The tables that are asked for, as of one moment. */
export async function outWorksheets(
  db: Tables,
  clock: Clock,
  asked: ExportScope,
  tables: readonly OutTable[],
): Promise<OutWorksheet[]> {
  const read = await readOut(db, clock, asked);
  return tables.map((name) => ({ name, ...MAKE[name](read) }));
}
