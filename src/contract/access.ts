/**
 * Who may call what: for every endpoint the roles that it answers. An owner's representative is bound to her own sites
 * besides. An endpoint without a line does not compile; the server asks this table for every operation.
 */
import type { EndpointName } from './endpoints';
import { ROLES, type Role } from './roles';

/** Answered without signing in: what signing in itself needs, and what a secret address protects. */
const PUBLIC = 'public';
const EVERYBODY = ROLES;
/** Those who read the whole company. */
const COMPANY = ['technician', 'manager', 'auditor'] as const;
const CREW = ['technician', 'manager'] as const;
const MANAGER = ['manager'] as const;

export const ACCESS = {
  session: PUBLIC,
  invitation: PUBLIC,
  beginAccount: PUBLIC,
  forgotPassword: PUBLIC,
  unsubscribe: PUBLIC,
  accounts: MANAGER,
  invite: MANAGER,
  withdrawInvitation: MANAGER,
  changeRole: MANAGER,
  endSessions: MANAGER,
  closeAccount: MANAGER,
  notices: EVERYBODY,
  setNotices: EVERYBODY,
  tryNotice: EVERYBODY,
  outbox: MANAGER,
  backups: MANAGER,
  programs: MANAGER,
  makeToken: MANAGER,
  withdrawToken: MANAGER,
  makeWebhook: MANAGER,
  withdrawWebhook: MANAGER,
  health: PUBLIC,
  clock: PUBLIC,
  company: EVERYBODY,
  people: EVERYBODY,
  owners: EVERYBODY,
  instruments: COMPANY,
  rules: EVERYBODY,
  sites: EVERYBODY,
  site: EVERYBODY,
  spaces: EVERYBODY,
  cylinders: EVERYBODY,
  machines: EVERYBODY,
  machine: EVERYBODY,
  machineEntries: EVERYBODY,
  due: EVERYBODY,
  dueCounts: EVERYBODY,
  trips: EVERYBODY,
  leaking: EVERYBODY,
  leaksOfKind: COMPANY,
  bottles: COMPANY,
  visits: EVERYBODY,
  changes: COMPANY,
  row: COMPANY,
  verify: COMPANY,
  papers: EVERYBODY,
  paperPreview: EVERYBODY,
  paperFile: EVERYBODY,
  logbook: EVERYBODY,
  logbookZip: EVERYBODY,
  workbook: EVERYBODY,
  tableFile: EVERYBODY,
  photo: EVERYBODY,
  append: CREW,
  addMachine: CREW,
  changeRows: CREW,
  amend: MANAGER,
  storePhoto: CREW,
  feeds: CREW,
  makeFeed: CREW,
  withdrawFeed: CREW,
  calendar: PUBLIC,
  labels: CREW,
  imports: COMPANY,
  importState: CREW,
  sendImportFile: CREW,
  beginImport: CREW,
  stopImport: CREW,
  writeImport: CREW,
  undoPreview: CREW,
  undoImport: CREW,
  issuePaper: CREW,
} as const satisfies Record<EndpointName, readonly Role[] | typeof PUBLIC>;

/** Endpoints that an owner's representative may call, each bound to her sites by the server. */
export type RepresentativeName = {
  [Name in EndpointName]: (typeof ACCESS)[Name] extends typeof EVERYBODY ? Name : never;
}[EndpointName];
/** Endpoints that answer whoever asks. */
export type PublicName = {
  [Name in EndpointName]: (typeof ACCESS)[Name] extends typeof PUBLIC ? Name : never;
}[EndpointName];

export const mayCall = (name: EndpointName, role: Role | null): boolean => {
  const who: readonly Role[] | typeof PUBLIC = ACCESS[name];
  return who === PUBLIC || (role !== null && who.includes(role));
};

export const isPublic = (name: EndpointName): boolean => ACCESS[name] === PUBLIC;
