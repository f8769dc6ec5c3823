/** Every endpoint of the API under /api in one table: method, path, question, body and answer. Server and web both read it. */
import { z } from 'zod';
import * as api from './api';
import * as machines from './machines';
import { rowAnswer, rowChanges, rowsChanged } from './rows';

/** An answer that is no JSON document: a file, a picture, a long export. */
export const FILE = 'file';

export interface Endpoint {
  method: 'GET' | 'POST';
  path: string;
  /** what stands behind the question mark */
  query: z.ZodType;
  /** `FILE`: the body is the file itself; null: none */
  body: z.ZodType | typeof FILE | null;
  answer: z.ZodType | typeof FILE;
  /** status of the answer */
  status: 200 | 201;
}

const nothing = z.object({});

const get = <
  Path extends string,
  Answer extends z.ZodType | typeof FILE,
  Query extends z.ZodType = typeof nothing,
>(
  path: Path,
  answer: Answer,
  query: Query = nothing as unknown as Query,
) => ({ method: 'GET', path, query, body: null, answer, status: 200 }) as const;

const post = <Path extends string, Body extends z.ZodType | typeof FILE, Answer extends z.ZodType>(
  path: Path,
  body: Body,
  answer: Answer,
) => ({ method: 'POST', path, query: nothing, body, answer, status: 201 }) as const;

export const ENDPOINTS = {
  clock: get('/clock', api.clockAnswer),
  company: get('/company', api.companyAnswer),
  people: get('/people', api.peopleAnswer),
  owners: get('/owners', api.ownersAnswer),
  instruments: get('/instruments', api.instrumentsAnswer),
  rules: get('/rules', api.rulesAnswer),
  sites: get('/sites', api.sitesAnswer, api.sitesQuery),
  site: get('/sites/:id', api.siteAnswer),
  spaces: get('/spaces', api.spacesAnswer, api.spacesQuery),
  cylinders: get('/cylinders', api.cylindersAnswer, api.cylindersQuery),
  machines: get('/machines', machines.machinesAnswer, machines.machinesQuery),
  machine: get('/machines/:id', machines.machineAnswer),
  machineEntries: get('/machines/:id/entries', machines.machineEntriesAnswer, machines.machineEntriesQuery),
  due: get('/due', api.dueAnswer, api.dueQuery),
  dueCounts: get('/due/counts', api.dueCountsAnswer, api.dueCountsQuery),
  trips: get('/due/trips', api.tripsAnswer, api.tripsQuery),
  leaking: get('/leaking', api.leakingAnswer, api.leakingQuery),
  leaksOfKind: get('/leaks-of-kind/:kind', api.leaksOfKindAnswer),
  bottles: get('/bottles/:refrigerant', api.bottlesAnswer),
  visits: get('/visits', api.visitsAnswer, api.visitsQuery),
  changes: get('/changes', api.changesAnswer, api.changesQuery),
  row: get('/rows/:table/:id', rowAnswer),
  verify: get('/verify', api.verifyAnswer),
  logbook: get('/logbook', FILE),
  photo: get('/photos/:file', FILE),
  append: post('/entries', api.newEntries, api.appended),
  addMachine: post('/machines', machines.newMachine, api.appended),
  changeRows: post('/rows', rowChanges, rowsChanged),
  amend: post('/rules/amendments', api.newAmendment, api.newAmendment),
  storePhoto: post('/photos', FILE, api.storedPhoto),
} as const satisfies Record<string, Endpoint>;

export type Endpoints = typeof ENDPOINTS;
export type EndpointName = keyof Endpoints;

/** Endpoints that answer with a document of JSON. */
export type DocumentName = {
  [Name in EndpointName]: Endpoints[Name]['answer'] extends z.ZodType ? Name : never;
}[EndpointName];

export type AnswerOf<Name extends DocumentName> = z.infer<Extract<Endpoints[Name]['answer'], z.ZodType>>;
/** What is written behind the question mark, before defaults fill in. */
export type QueryOf<Name extends EndpointName> = z.input<Endpoints[Name]['query']>;
export type QueryRead<Name extends EndpointName> = z.infer<Endpoints[Name]['query']>;
export type BodyOf<Name extends EndpointName> = z.input<Extract<Endpoints[Name]['body'], z.ZodType>>;
export type BodyRead<Name extends EndpointName> = z.infer<Extract<Endpoints[Name]['body'], z.ZodType>>;

type Parts<Path extends string> = Path extends `${string}:${infer Part}/${infer Rest}`
  ? Part | Parts<Rest>
  : Path extends `${string}:${infer Part}`
    ? Part
    : never;
/** What the colons of its path stand for. */
export type PathParts<Name extends EndpointName> = Record<Parts<Endpoints[Name]['path']>, string>;

/** The address under /api with its parts and its question filled in. */
export function addressOf(
  path: string,
  parts: Record<string, string>,
  query: Record<string, unknown>,
): string {
  const filled = path.replace(/:(\w+)/g, (_, part: string) => encodeURIComponent(parts[part] ?? ''));
  const asked = Object.entries(query).flatMap(([key, value]) =>
    value === undefined || value === '' ? [] : [[key, String(value)]],
  );
  return asked.length === 0 ? filled : `${filled}?${new URLSearchParams(asked).toString()}`;
}
