/**
 * The chain: each entry, and each revision of a row, stores the SHA-256 over its content and the hash of what was
 * accepted before it, so that a verifier can show that nothing was altered, removed or slipped in.
 */
import { createHash } from 'node:crypto';
import canonicalize from 'canonicalize';
import type { Entry } from '../../core/logbook/entry';
import type { Revision } from '../../core/logbook/tables';

/** what the first link has before it */
export const CHAIN_START = '0'.repeat(64);

/** What can be sealed. */
export type Sealable = Entry | Revision;

/** Content without its seal, in canonical JSON (RFC 8785). */
export function contentOf(sealable: Sealable): string {
  const { seal: _seal, ...content } = sealable;
  return canonicalize(content) ?? '';
}

export const sealHash = (sealable: Sealable, previous: string): string =>
  createHash('sha256')
    .update(`${previous}\n${contentOf(sealable)}`)
    .digest('hex');

/** A link of the chain as it is stored: an entry, or a revision of a row. */
export interface Link {
  sequence: number;
  /** id of the entry, or of the row that was changed */
  id: string;
  hash: string;
  previous: string;
  sealed: Sealable;
}

export interface Broken {
  sequence: number;
  id: string;
  why: 'previous' | 'content' | 'sequence' | 'seal';
}

/** The first place at which the chain does not hold, or null. */
export function firstBreak(links: Iterable<Link>): Broken | null {
  let previous = CHAIN_START;
  let sequence = 0;
  for (const link of links) {
    sequence += 1;
    const broken = (why: Broken['why']): Broken => ({ sequence: link.sequence, id: link.id, why });
    if (link.sequence !== sequence) return broken('sequence');
    if (link.previous !== previous) return broken('previous');
    if (sealHash(link.sealed, previous) !== link.hash) return broken('content');
    const { seal, id } = link.sealed;
    if (seal?.hash !== link.hash || seal.previous !== previous || id !== link.id) return broken('seal');
    previous = link.hash;
  }
  return null;
}
