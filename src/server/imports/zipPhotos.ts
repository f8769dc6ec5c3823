/** What lies beside a logbook in its zip. */
import { readFile } from 'node:fs/promises';
import { contentHash } from '../keptFile';
import { PHOTO_NAME, type Photos } from '../photos';
import { LOGBOOK_LIMITS } from './planFile';
import { isZip } from './readSheets';
import { unzipped } from './unzip';

/** Photos of a logbook's zip, each kept only if it is what its name says. */
export async function keepPhotosOf(path: string, photos: Photos): Promise<void> {
  const bytes = await readFile(path);
  if (!isZip(bytes)) return;
  const found = await unzipped(bytes, {
    ...LOGBOOK_LIMITS,
    wants: (name) => PHOTO_NAME.test(name.replace(/^attachments\//, '')),
  });
  for (const [name, content] of found) {
    const file = name.replace(/^attachments\//, '');
    if (`${contentHash(content)}.jpg` === file) await photos.keep(file, content);
  }
}
