/** Writes a file aside first: one that is there is there whole. */
import { renameSync, writeFileSync } from 'node:fs';

export function writeWhole(path: string, content: string | Buffer): void {
  writeFileSync(`${path}.part`, content);
  renameSync(`${path}.part`, path);
}
