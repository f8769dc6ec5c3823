/** Every endpoint of the API under /api in one table: method, path, question, body and answer. Server and web both read it. */
import { z } from 'zod';
import * as accounts from './accounts';
import * as api from './api';
import * as backups from './backups';
import * as machines from './machines';
import * as exports from './exports';
import * as feeds from './feeds';
import * as imports from './imports';
import * as labels from './labels';
import * as notices from './notices';
import * as papers from './papers';
import * as scopes from './scopes';
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

const post = <
  Path extends string,
  Body extends z.ZodType | typeof FILE | null,
  Answer extends z.ZodType,
  Query extends z.ZodType = typeof nothing,
>(
  path: Path,
  body: Body,
  answer: Answer,
  query: Query = nothing as unknown as Query,
) => ({ method: 'POST', path, query, body, answer, status: 201 }) as const;

export const ENDPOINTS = {
  session: get('/session', accounts.sessionAnswer),
  accounts: get('/accounts', accounts.accountsAnswer),
  invitation: get('/invitation', accounts.invitationAnswer, accounts.invitationQuery),
  invite: post('/accounts/invitations', accounts.newInvitation, accounts.madeInvitation),
  withdrawInvitation: post('/accounts/invitations/:id/withdraw', null, accounts.done),
  beginAccount: post('/accounts', accounts.newAccount, accounts.begunAccount),
  changeRole: post('/accounts/:id/role', accounts.newRole, accounts.done),
  endSessions: post('/accounts/:id/end-sessions', null, accounts.done),
  closeAccount: post('/accounts/:id/close', null, accounts.done),
  forgotPassword: post('/accounts/forgotten', notices.forgotten, notices.forgottenAnswer),
  notices: get('/notices', notices.noticesAnswer),
  setNotices: post('/notices', notices.noticeSettings, notices.noticesAnswer),
  tryNotice: post('/notices/try', null, accounts.done),
  unsubscribe: post('/notices/unsubscribe', notices.unsubscribing, accounts.done),
  outbox: get('/outbox', notices.outboxAnswer, notices.outboxQuery),
  backups: get('/backups', backups.backupsAnswer),
  programs: get('/programs', scopes.programsAnswer),
  makeToken: post('/programs/tokens', scopes.newToken, scopes.madeToken),
  withdrawToken: post('/programs/tokens/:id/withdraw', null, accounts.done),
  makeWebhook: post('/programs/webhooks', scopes.newWebhook, scopes.madeWebhook),
  withdrawWebhook: post('/programs/webhooks/:id/withdraw', null, accounts.done),
  health: get('/health', api.healthAnswer),
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
  bottles: get('/bottles/:refrigerant', api.cylinderFlowsAnswer),
  visits: get('/visits', api.visitsAnswer, api.visitsQuery),
  changes: get('/changes', api.changesAnswer, api.changesQuery),
  row: get('/rows/:table/:id', rowAnswer),
  verify: get('/verify', api.verifyAnswer),
  papers: get('/papers', papers.issuedAnswer, papers.issuedQuery),
  paperPreview: get('/papers/preview', papers.paperPreview, papers.paperRequest),
  paperFile: get('/papers/:id/file', FILE),
  logbook: get('/logbook', FILE, exports.exportQuery),
  logbookZip: get('/logbook.zip', FILE, exports.exportQuery),
  workbook: get('/workbook', FILE, exports.exportQuery),
  tableFile: get('/tables/:table', FILE, exports.exportQuery),
  photo: get('/photos/:file', FILE),
  append: post('/entries', api.newEntries, api.appended),
  addMachine: post('/machines', machines.newMachine, api.appended),
  changeRows: post('/rows', rowChanges, rowsChanged),
  amend: post('/rules/amendments', api.newAmendment, api.newAmendment),
  storePhoto: post('/photos', FILE, api.storedPhoto),
  feeds: get('/feeds', feeds.feedsAnswer),
  makeFeed: post('/feeds', feeds.newFeed, feeds.feedRow),
  withdrawFeed: post('/feeds/:id/withdraw', null, feeds.feedRow),
  calendar: get('/calendars/:file', FILE),
  labels: get('/labels', FILE, labels.labelsQuery),
  imports: get('/imports', imports.importsAnswer, imports.importsQuery),
  importState: get('/imports/:id', imports.importState),
  sendImportFile: post('/imports/files', FILE, imports.storedFile, imports.fileQuery),
  beginImport: post('/imports', imports.newImport, imports.importState),
  stopImport: post('/imports/:id/stop', null, imports.importState),
  writeImport: post('/imports/:id/write', imports.writeImport, imports.importState),
  undoPreview: get('/imports/:id/undo', imports.undoPreview),
  undoImport: post('/imports/:id/undo', imports.undoImport, imports.importedRow),
  issuePaper: post('/papers', papers.newIssue, papers.issuedRow),
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
/** Nothing where the endpoint takes none. */
export type BodyOf<Name extends EndpointName> = Endpoints[Name]['body'] extends z.ZodType
  ? z.input<Endpoints[Name]['body']>
  : undefined;
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
