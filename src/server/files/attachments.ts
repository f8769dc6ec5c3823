/** Files beside the database: photos that entries and certificates name, and documents that were issued, held against what lies in the folder. */
import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Entry } from '../../core/logbook/entry';
import { certificatePictures } from '../../core/logbook/people';
import type { Person, Revision } from '../../core/logbook/tables';
import { contentHash } from './keptFile';
import type { Tables } from '../store/database';
import { IssuedStore } from '../store/issued';
import { Store } from '../store/store';

/** The name of a file of ours: the hash of its content. */
const FILE = /^([0-9a-f]{64})\.(?:jpg|pdf)$/;

/** Names of all files that entries, certificates and issued documents name. */
export async function namedFiles(db: Tables): Promise<Set<string>> {
  const named = new Set<string>();
  for await (const document of new Store(db).documents('entries'))
    // Most entries name none: only those that do are read.
    if (document.includes('"attachments"'))
      for (const name of (JSON.parse(document) as Entry).attachments ?? []) named.add(name);
  // The latest revision of a row is the row: whatever picture a certificate ever had is named in one.
  for await (const document of new Store(db).documents('revisions'))
    if (document.includes('"x-photo"'))
      for (const name of certificatePictures((JSON.parse(document) as Revision).row as Person))
        named.add(name);
  for (const { file } of await new IssuedStore(db).all()) named.add(file);
  return named;
}

export interface FilesHeld {
  /** files that are not what their names, the hashes of their contents, say */
  alteredFiles: string[];
  /** files that the logbook names and that are not there */
  missingFiles: string[];
}

export async function holdFiles(db: Tables, folder: string): Promise<FilesHeld> {
  const there = existsSync(folder) ? readdirSync(folder) : [];
  const names = new Set(there);
  return {
    alteredFiles: there.filter((file) => {
      const name = FILE.exec(file)?.[1];
      return name !== undefined && contentHash(readFileSync(join(folder, file))) !== name;
    }),
    missingFiles: [...(await namedFiles(db))].filter((name) => !names.has(name)).sort(),
  };
}
