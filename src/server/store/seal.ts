/**
 * The chain: each entry stores the SHA-256 over its content and the hash of the entry accepted before it, so
 * that a verifier can show that nothing was altered, removed or slipped in.
 */
import { createHash } from 'node:crypto';
import canonicalize from 'canonicalize';
import type { Entry } from '../../core/logbook/entry';

/** what the first entry has before it */
export const CHAIN_START = '0'.repeat(64);

/** An entry's content without its seal, in canonical JSON (RFC 8785). */
export function contentOf(entry: Entry): string {
  const { seal: _seal, ...content } = entry;
  return canonicalize(content) ?? '';
}

export const sealHash = (entry: Entry, previous: string): string =>
  createHash('sha256')
    .update(`${previous}\n${contentOf(entry)}`)
    .digest('hex');

export interface SealedRow {
  sequence: number;
  id: string;
  hash: string;
  previous: string;
  entry: Entry;
}

export interface Broken {
  sequence: number;
  id: string;
  why: 'previous' | 'content' | 'sequence' | 'seal';
}

/** The first place at which the chain does not hold, or null. */
export function firstBreak(rows: Iterable<SealedRow>): Broken | null {
  let previous = CHAIN_START;
  let sequence = 0;
  for (const row of rows) {
    sequence += 1;
    const broken = (why: Broken['why']): Broken => ({ sequence: row.sequence, id: row.id, why });
    if (row.sequence !== sequence) return broken('sequence');
    if (row.previous !== previous) return broken('previous');
    if (sealHash(row.entry, previous) !== row.hash) return broken('content');
    if (row.entry.seal?.hash !== row.hash || row.entry.seal.previous !== previous || row.entry.id !== row.id)
      return broken('seal');
    previous = row.hash;
  }
  return null;
}
