/**
 * Which engine judges: a hash over the code that judging stands on, so that standings of an older engine are judged anew
 * and nobody has to remember to raise a number.
 */
import { createHash } from 'node:crypto';
import { readFileSync, readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { type Packs } from '../../core/rules/packs/shipped';
import { canonical } from '../store/seal';

const HERE = dirname(fileURLToPath(import.meta.url));
const JUDGING = ['../../core', 'foldedStanding.ts', '../store/keys.ts'];
const LENGTH = 12;

function codeUnder(path: string): string[] {
  if (path.endsWith('.ts')) return [path];
  return readdirSync(path, { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && !name.includes('testkit'))
    .sort()
    .map((name) => join(path, name));
}

let known: string | null = null;

export function engineVersion(): string {
  if (known === null) {
    const hash = createHash('sha256');
    for (const path of JUDGING.flatMap((each) => codeUnder(join(HERE, each))))
      hash.update(readFileSync(path));
    known = hash.digest('hex').slice(0, LENGTH);
  }
  return known;
}

/** Engine and rules in one word: what was judged under another one is stale. */
export const judgedUnder = (packs: Packs): string =>
  `${engineVersion()}-${createHash('sha256').update(canonical(packs)).digest('hex').slice(0, LENGTH)}`;
