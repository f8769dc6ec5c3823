/** What lies beside a logbook in its zip. */
import { readFile } from 'node:fs/promises';
import { contentHash } from '../keptFile';
import { PHOTO_NAME, type Photos } from '../photos';
import { LOGBOOK_LIMITS } from './planFile';
import { isZip } from './readSheets';
import type { PlannedRow } from './plan';
import { unzippedOneByOne } from './unzip';

/** A photo of ours is some hundred kilobytes. */
const MOST_PHOTO_BYTES = 20_000_000;

const fileOf = (name: string): string => name.replace(/^attachments\//, '');

/** Photos of a logbook's zip that its entries name, one after the other, each kept only if it is what its name says. */
export async function keepPhotosOf(
  path: string,
  rows: readonly Pick<PlannedRow, 'entries'>[],
  photos: Photos,
): Promise<void> {
  const named = new Set(
    rows
      .flatMap(({ entries }) => entries.flatMap((entry) => entry.attachments ?? []))
      .filter((name) => PHOTO_NAME.test(name)),
  );
  if (named.size === 0) return;
  const bytes = await readFile(path);
  if (!isZip(bytes)) return;
  for await (const { name, content } of unzippedOneByOne(bytes, {
    ...LOGBOOK_LIMITS,
    each: MOST_PHOTO_BYTES,
    wants: (name) => named.has(fileOf(name)),
  }))
    if (`${contentHash(content)}.jpg` === fileOf(name)) await photos.keep(fileOf(name), content);
}
