/** What somebody may, in words. */
import type { Role } from '../contract/roles';

export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  technician: 'technician',
  manager: 'manager',
  representative: 'owner’s representative',
  auditor: 'auditor',
};

export const ROLE_MEANS: Readonly<Record<Role, string>> = {
  technician: 'reads and writes everything but accounts and the company’s own figures',
  manager: 'everything, and who may come in; may write for somebody else',
  representative: 'reads the sites of one owner, as long as they are that owner’s',
  auditor: 'reads everything, writes nothing',
};
