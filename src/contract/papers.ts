/** What a paper is asked for by: its kind, and what it is about. The command line and the API ask the same. */
import { z } from 'zod';
import { calendarDate, filledText, id, packId } from '../core/logbook/fields';
import { limitOf, pageOf, place } from './paging';
import type { Paper } from './paper';

interface DocumentFacts {
  /** as people call it */
  name: string;
  /** first letters of its number */
  prefix: string;
  /** fields that it is about; all others but `asOf` and those in `may` are refused, for they would say nothing */
  needs: readonly string[];
  may?: readonly string[];
  /** it goes to an authority, whose forms want what no entry says */
  toAuthority: boolean;
}

/** Every kind of document, said once; its maker stands in `papers/make.ts`, which demands one of each. */
export const DOCUMENT_FACTS = {
  serviceRecord: {
    name: 'Service record',
    prefix: 'SR',
    needs: ['visit'],
    may: ['machine'],
    toAuthority: false,
  },
  leakRepairFile: {
    name: 'Leak-repair file',
    prefix: 'LR',
    needs: ['machine', 'pack', 'opened'],
    toAuthority: true,
  },
  machineRecord: {
    name: 'Record of a machine',
    prefix: 'MR',
    needs: ['machine'],
    may: ['from', 'to'],
    toAuthority: false,
  },
  inspection: { name: 'Leak inspection', prefix: 'LI', needs: ['entry'], toAuthority: false },
  plan: { name: 'Plan to convert or retire', prefix: 'PL', needs: ['entry'], toAuthority: true },
  extension: { name: 'Request for more time', prefix: 'MT', needs: ['entry'], toAuthority: true },
  chronicReport: {
    name: 'Report of refrigerant lost in a year',
    prefix: 'CR',
    needs: ['machine', 'year'],
    toAuthority: true,
  },
  fullCharge: {
    name: 'Determination of the full charge',
    prefix: 'FC',
    needs: ['machine'],
    toAuthority: false,
  },
  yearly: { name: 'Yearly report', prefix: 'YR', needs: ['pack', 'year'], may: ['owner'], toAuthority: true },
  seasonal: { name: 'Seasonal moves of refrigerant', prefix: 'SM', needs: ['machine'], toAuthority: false },
} as const satisfies Record<string, DocumentFacts>;
export type DocumentKind = keyof typeof DOCUMENT_FACTS;
export const DOCUMENTS = Object.keys(DOCUMENT_FACTS) as [DocumentKind, ...DocumentKind[]];
export const factsOfDocument = (kind: DocumentKind): DocumentFacts => DOCUMENT_FACTS[kind];

const FIRST_YEAR = 1900;
const LAST_YEAR = 2200;

const asked = z.object({
  document: z.enum(DOCUMENTS),
  visit: id.optional(),
  machine: id.optional(),
  pack: packId.optional(),
  /** day on which the case opened */
  opened: calendarDate.optional(),
  from: calendarDate.optional(),
  to: calendarDate.optional(),
  entry: id.optional(),
  year: z.coerce.number().int().min(FIRST_YEAR).max(LAST_YEAR).optional(),
  owner: id.optional(),
  /** the day as of which it tells; left out: today, or the last day of a logbook file */
  asOf: calendarDate.optional(),
});
export type PaperRequest = z.infer<typeof asked>;

export const paperRequest = asked.superRefine((request, context) => {
  const { needs, may = [] } = factsOfDocument(request.document);
  const wrong = (path: keyof PaperRequest, message: string): void => {
    context.addIssue({ code: 'custom', path: [path], message });
  };
  for (const key of needs as readonly (keyof PaperRequest)[])
    if (request[key] === undefined) wrong(key, `is missing; a ${request.document} is about one`);
  for (const key of Object.keys(request) as (keyof PaperRequest)[])
    if (
      request[key] !== undefined &&
      key !== 'document' &&
      key !== 'asOf' &&
      ![...needs, ...may].includes(key)
    )
      wrong(key, `says nothing of a ${request.document}; leave it out`);
  if (request.from && request.to && request.from > request.to)
    wrong('to', 'lies before the day it begins with; turn the two around');
});

/** A question whose answer stands in no entry: asked when a paper is issued. */
export const paperAsk = z.object({
  key: z.string(),
  label: z.string(),
  /** `owner`: remembered with the owner, and not asked again */
  scope: z.enum(['owner', 'paper']),
  value: z.string(),
});

const answers = z.record(z.string(), z.string());

/** A document that left the house: what it was, to whom it went, and what it was made from. */
export const issuedRow = z.object({
  id,
  /** number with its version */
  number: z.string(),
  base: z.string(),
  version: z.number(),
  request: asked,
  title: z.string(),
  subject: z.string(),
  applianceId: id.nullable(),
  asOf: calendarDate,
  /** instant of the issue */
  recordedAt: z.string(),
  by: z.string(),
  to: z.string(),
  fingerprint: z.string(),
  /** name of the file, after its content */
  file: z.string(),
  /** how it differs from the version before, in words */
  changed: z.array(z.string()),
  answers,
});
export type IssuedRow = z.infer<typeof issuedRow>;

/** A paper as JSON: what stands on it, block by block. */
const paper = z.custom<Paper>((value) => typeof value === 'object' && value !== null);

export const paperPreview = z.object({
  number: z.string(),
  fingerprint: z.string(),
  changed: z.array(z.string()),
  papers: z.array(paper),
  asks: z.array(paperAsk),
  /** issues of the same paper so far, the latest first */
  before: z.array(issuedRow),
});

export const newIssue = z.object({
  /** made by whoever writes: sent twice, it is issued once */
  id,
  request: paperRequest,
  by: z.string().min(1),
  to: filledText,
  answers: answers.default({}),
});

export const issuedQuery = z.object({ machine: id.optional(), after: place, limit: limitOf(50, 200) });
export const issuedAnswer = pageOf(issuedRow);
