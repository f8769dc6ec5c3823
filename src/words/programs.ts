/** What other programs may, in words. */
import type { Scope } from '../contract/scopes';

export const SCOPE_WORDS: Readonly<Record<Scope, string>> = {
  alarms: 'write alarms and readings',
  gas: 'read gas',
  reads: 'read everything',
};

export const SCOPE_MEANS: Readonly<Record<Scope, string>> = {
  alarms: 'A store’s monitoring writes what it saw at a machine, under its own name; it corrects nothing.',
  gas: 'An accountant’s program reads the tables of gas and bottles, and the names of machines and sites.',
  reads: 'Reads what an auditor reads, people and sites too. It writes nothing.',
};
