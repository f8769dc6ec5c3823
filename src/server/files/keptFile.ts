/** Files under the hash of their content: written aside first, so that what is there is there whole, and the same twice is one. */
import { hash, randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { mkdir, rename, writeFile } from 'node:fs/promises';
import { join } from 'node:path';

export const contentHash = (content: Buffer): string => hash('sha256', content, 'hex');

/** Writes a file aside and renames it: one that is there is there whole. */
export async function writeAside(path: string, content: string | Buffer): Promise<void> {
  const aside = `${path}.${randomUUID()}.part`;
  await writeFile(aside, content);
  await rename(aside, path);
}

export async function keepFile(folder: string, name: string, content: Buffer): Promise<void> {
  const target = join(folder, name);
  if (existsSync(target)) return;
  await mkdir(folder, { recursive: true });
  await writeAside(target, content);
}
