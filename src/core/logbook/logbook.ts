/**
 * The open format `green-abacus-logbook`, version 1: one JSON document that holds all. Reading it gives a
 * logbook, or every problem with its path; nothing is guessed and nothing is dropped.
 */
import { z } from 'zod';
import { type Result, ok, refused } from '../result';
import { exactGrams } from '../quantity/mass';
import { type Entry, entrySchema } from './entry';
import type { id } from './fields';
import { row } from './fields';
import { type Problem, problemsOf } from './problems';
import {
  applianceRow,
  companyRow,
  cylinderRow,
  ownerRow,
  personRow,
  revisionRow,
  siteRow,
  spaceRow,
} from './tables';

export const FORMAT = 'green-abacus-logbook';
export const FORMAT_VERSION = 1;

export const logbookSchema = row({
  format: z.literal(FORMAT),
  version: z.literal(FORMAT_VERSION),
  company: companyRow.nullish(),
  owners: z.array(ownerRow).nullish(),
  sites: z.array(siteRow),
  spaces: z.array(spaceRow).nullish(),
  people: z.array(personRow),
  appliances: z.array(applianceRow),
  cylinders: z.array(cylinderRow),
  entries: z.array(entrySchema),
  /** how the rows came to be what they are */
  revisions: z.array(revisionRow).nullish(),
});

export type Logbook = z.infer<typeof logbookSchema>;

/** What an entry's references are checked against. */
export interface KnownIds {
  appliance: (id: string) => boolean;
  entry: (id: string) => boolean;
}

/**
 * What the tables require of one entry beyond its fields: conditions, and ids that must exist.
 * A leak never found, and a person, visit or bottle that the file does not hold, are no errors.
 */
export function entryProblems(entry: Entry, known: KnownIds): Problem[] {
  const problems: Problem[] = [];
  const wrong = (field: string, message: string) => problems.push({ path: [field], message });
  if (entry.supersedes != null) {
    if (entry.supersedes === entry.id)
      wrong('supersedes', 'names the entry itself; name the entry that it replaces');
    else if (!known.entry(entry.supersedes)) wrong('supersedes', 'names no entry of this logbook');
    if (entry.correctionReason == null)
      wrong('correctionReason', 'is missing; say why the entry is corrected');
  }
  if (entry.applianceId != null && !known.appliance(entry.applianceId)) {
    wrong('applianceId', 'names no machine of this logbook');
  }
  switch (entry.kind) {
    case 'void':
      if (entry.supersedes == null) wrong('supersedes', 'is missing; name the entry that is voided');
      break;
    case 'refrigerantAdded':
    case 'refrigerantRecovered':
      if (entry.mass === null && entry.massUnknown == null) {
        wrong('massUnknown', 'is missing; say why nobody weighed, or give the mass');
      }
      break;
    case 'fullChargeSet':
      problems.push(...fullChargeProblems(entry));
      break;
    case 'extension':
      if (entry.ground !== 'parts' && entry.until == null)
        wrong('until', 'is missing; give the day it reaches to');
      break;
    case 'applianceChanged':
      if (
        entry.category == null &&
        entry.automaticDetection == null &&
        entry.hermetic == null &&
        entry.lightCommercialAirConditioning == null
      ) {
        wrong('category', 'is missing; name at least one thing that changed');
      }
      break;
    default:
  }
  return problems;
}

function fullChargeProblems(entry: Extract<Entry, { kind: 'fullChargeSet' }>): Problem[] {
  const positive = 'must be more than 0: a full charge of nothing is no charge';
  if (entry.method !== 'range') {
    if (entry.mass == null) return [{ path: ['mass'], message: 'is missing; give the full charge' }];
    return exactGrams(entry.mass) > 0n ? [] : [{ path: ['mass', 'value'], message: positive }];
  }
  const problems: Problem[] = [];
  if (entry.low == null) problems.push({ path: ['low'], message: 'is missing; a range has a low end' });
  if (entry.high == null) problems.push({ path: ['high'], message: 'is missing; a range has a high end' });
  if (entry.low && entry.high && exactGrams(entry.low) + exactGrams(entry.high) <= 0n) {
    problems.push({ path: ['high', 'value'], message: positive });
  }
  return problems;
}

/** Reads a parsed JSON document as a logbook, or gives every problem in it. */
export function readLogbook(json: unknown): Result<Logbook, Problem[]> {
  const parsed = logbookSchema.safeParse(json, { reportInput: true });
  if (!parsed.success) return refused(problemsOf(parsed.error));
  const problems = referenceProblems(parsed.data);
  return problems.length > 0 ? refused(problems) : ok(parsed.data);
}

function referenceProblems(logbook: Logbook): Problem[] {
  const problems: Problem[] = [];
  const idsOf = (table: string, rows: readonly { id: z.infer<typeof id> }[]): Set<string> => {
    const seen = new Set<string>();
    rows.forEach((each, index) => {
      if (seen.has(each.id))
        problems.push({ path: [table, index, 'id'], message: `stands twice: ${each.id}` });
      seen.add(each.id);
    });
    return seen;
  };
  idsOf('owners', logbook.owners ?? []);
  const sites = idsOf('sites', logbook.sites);
  const spaces = idsOf('spaces', logbook.spaces ?? []);
  idsOf('people', logbook.people);
  const appliances = idsOf('appliances', logbook.appliances);
  idsOf('cylinders', logbook.cylinders);
  const entries = idsOf('entries', logbook.entries);

  const siteKnown = (table: string) => (each: { siteId: string }, index: number) => {
    if (!sites.has(each.siteId)) {
      problems.push({
        path: [table, index, 'siteId'],
        message: `names no site of this logbook: ${each.siteId}`,
      });
    }
  };
  (logbook.spaces ?? []).forEach(siteKnown('spaces'));
  logbook.appliances.forEach(siteKnown('appliances'));
  logbook.appliances.forEach((appliance, index) => {
    (appliance.serves ?? []).forEach((space, at) => {
      if (!spaces.has(space)) {
        problems.push({
          path: ['appliances', index, 'serves', at],
          message: `names no space of this logbook: ${space}`,
        });
      }
    });
  });
  const known: KnownIds = { appliance: (each) => appliances.has(each), entry: (each) => entries.has(each) };
  logbook.entries.forEach((entry, index) => {
    for (const problem of entryProblems(entry, known)) {
      problems.push({ path: ['entries', index, ...problem.path], message: problem.message });
    }
  });
  return problems;
}
