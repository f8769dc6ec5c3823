/** Files that lie beside a logbook in its zip. */
import { readFile } from 'node:fs/promises';
import { certificatePictures } from '../../core/logbook/people';
import type { Person } from '../../core/logbook/tables';
import { contentHash, keepFile } from '../files/keptFile';
import { PAPER_NAME } from '../papers/issuing';
import { PHOTO_NAME } from '../files/photos';
import { LOGBOOK_LIMITS } from './planFile';
import { isZip } from './readWorksheets';
import type { PlannedRow } from './plan';
import { unzippedOneByOne } from './unzip';

/** A photo or a document of ours is some hundred kilobytes. */
const MOST_FILE_BYTES = 20_000_000;

const fileOf = (name: string): string => name.replace(/^attachments\//, '');

/**
 * Photos of a logbook's zip that its entries and certificates name, and documents that it issued, one after the other, each kept in this folder
 * only if it is what its name says.
 */
export async function keepFilesOf(
  path: string,
  rows: readonly Pick<PlannedRow, 'rows' | 'entries' | 'issued'>[],
  folder: string,
): Promise<void> {
  const named = new Set([
    ...rows
      .flatMap(({ entries, rows: staged }) => [
        ...entries.flatMap((entry) => entry.attachments ?? []),
        ...staged.flatMap(({ table, row }) => (table === 'people' ? certificatePictures(row as Person) : [])),
      ])
      .filter((name) => PHOTO_NAME.test(name)),
    ...rows
      .flatMap(({ issued = [] }) => issued.map(({ file }) => file))
      .filter((name) => PAPER_NAME.test(name)),
  ]);
  if (named.size === 0) return;
  const bytes = await readFile(path);
  if (!isZip(bytes)) return;
  for await (const { name, content } of unzippedOneByOne(bytes, {
    ...LOGBOOK_LIMITS,
    each: MOST_FILE_BYTES,
    wants: (name) => named.has(fileOf(name)),
  })) {
    const file = fileOf(name);
    if (file.startsWith(`${contentHash(content)}.`)) await keepFile(folder, file, content);
  }
}
