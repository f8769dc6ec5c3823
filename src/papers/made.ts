/** What papers are made from, and what was made: with all that went into it, for its number and its fingerprint. */
import type { PaperRequest } from '../contract/papers';
import type { Entry } from '../core/logbook/entry';
import type { Company, Cylinder, Owner, Person } from '../core/logbook/tables';
import { type Day, dayText } from '../core/quantity/day';
import { unitSystemOf } from '../core/rules/massSystem';
import type { Packs } from '../core/rules/packs/shipped';
import type { FoldedMachine, MachineRows } from '../record/foldedMachine';
import type { PaperContext } from './beside';
import { correctionLine } from './corrections';
import type { Answers } from './entryPapers';
import type { Paper } from './paper';

/** What holds a record that papers are made from. */
export interface Records {
  packs: Packs;
  company(): Promise<Company | null>;
  owner(id: string): Promise<Owner | null>;
  people(): Promise<readonly Person[]>;
  machine(id: string): Promise<MachineRows | null>;
  /** the machine of an entry, and those of a visit */
  machineOfEntry(id: string): Promise<string | null>;
  machinesOfVisit(id: string): Promise<readonly string[]>;
  machines(): AsyncIterable<MachineRows>;
  cylinders(ids: readonly string[]): Promise<readonly Cylinder[]>;
  /** the day as of which a paper tells where nobody says one */
  today(timezone: string): Day;
}

export interface MadeDocument {
  request: PaperRequest;
  papers: readonly Paper[];
  /** all that they were made from: rows and entries as they stood */
  from: unknown;
  /** whose machine it is about, to remember by what an authority's form wants */
  ownerId: string | null;
  /** the one machine that it is about, if it is about one */
  machineId: string | null;
  /** latest day as of which it tells */
  asOf: string;
  /** weighed in pounds: printed on that country's sheets */
  pounds: boolean;
  /** what was written or corrected since an instant of what it tells, in words */
  changedSince: (instant: string) => string[];
}

export const isAfter = (entry: Entry, instant: string): boolean => (entry.recordedAt ?? '') > instant;

export const made = (
  request: PaperRequest,
  papers: readonly Paper[],
  views: readonly FoldedMachine[],
  beside: PaperContext,
  answers: Answers,
): MadeDocument => {
  const { company, owner, people } = beside;
  const rows = views.map(({ machine }) => machine);
  const writers = new Set(rows.flatMap(({ entries }) => entries.map((entry) => entry.by)));
  return {
    request,
    papers,
    asOf: dayText(Math.max(...papers.map(({ asOf }) => asOf)) as Day),
    machineId: rows.length === 1 ? (rows[0]?.appliance.id ?? null) : null,
    from: {
      company,
      owner,
      answers,
      people: people.filter(({ id }) => writers.has(id)),
      machines: rows,
      asOf: papers.map(({ asOf }) => asOf),
    },
    changedSince: (instant) => views.flatMap((view) => changesSince(view, instant, beside)),
    ownerId: owner?.id ?? null,
    pounds: rows.some(({ site }) => unitSystemOf(site) === 'us'),
  };
};

function changesSince(view: FoldedMachine, instant: string, beside: PaperContext): string[] {
  const byId = new Map(view.machine.entries.map((entry) => [entry.id, entry]));
  return view.machine.entries
    .filter((entry) => isAfter(entry, instant))
    .map((entry) => {
      const target = entry.supersedes == null ? null : (byId.get(entry.supersedes) ?? null);
      const { label, words } = correctionLine({ entry, target }, view, beside);
      return `${label} ${words}`;
    });
}
