/** Names of companies: each is a folder of its own, and the first part of its address. */
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { COMPANY_NAME } from '../../contract/accounts';
import { DATABASE } from '../dataFolder';

export const isName = (text: string): boolean => COMPANY_NAME.test(text);

export const databaseOf = (folder: string, name: string): string => join(folder, name, DATABASE);

export const isCompany = (folder: string, name: string): boolean =>
  isName(name) && existsSync(databaseOf(folder, name));

/** Companies of a folder, in order of their names. */
export const companiesIn = (folder: string): string[] =>
  existsSync(folder)
    ? readdirSync(folder)
        .filter((name) => isCompany(folder, name))
        .sort()
    : [];

/** Stands beside a company while it is moved: whoever serves it lets go. */
export const leavingMark = (folder: string, name: string): string => join(folder, `${name}.leaving`);
