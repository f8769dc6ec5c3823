/**
 * The chain: each entry, and each revision of a row, stores the SHA-256 over its content and the hash of what was
 * accepted before it, so that a verifier can show that nothing was altered, removed or slipped in.
 */
import { hash } from 'node:crypto';
import { configure } from 'safe-stable-stringify';
import type { Entry } from '../../core/logbook/entry';
import type { Revision } from '../../core/logbook/tables';

/** what the first link has before it */
export const CHAIN_START = '0'.repeat(64);

/** What can be sealed. */
export type Sealable = Entry | Revision;

/** Canonical JSON (RFC 8785) of what JSON can hold: keys in the order of their code units, numbers as ECMAScript writes them. */
export const canonical = configure({ bigint: false, circularValue: Error }) as (value: object) => string;

/** Content without its seal, in canonical JSON. */
export function contentOf(sealable: Sealable): string {
  const { seal: _seal, ...content } = sealable;
  return canonical(content);
}

const hashOf = (content: string, previous: string): string =>
  hash('sha256', `${previous}\n${content}`, 'hex');

export const sealHash = (sealable: Sealable, previous: string): string =>
  hashOf(contentOf(sealable), previous);

/** Its hash after `previous`, and the text of it with its seal. */
export function sealedText(sealable: Sealable, previous: string): { hash: string; document: string } {
  const content = contentOf(sealable);
  const sealed = hashOf(content, previous);
  return {
    hash: sealed,
    document: `${content.slice(0, -1)},"seal":{"hash":"${sealed}","previous":"${previous}"}}`,
  };
}

/** A link of the chain as it is stored: an entry, or a revision of a row. */
export interface Link {
  sequence: number;
  /** id of the entry, or of the row that was changed */
  id: string;
  sealed: Sealable;
}

export interface Broken {
  sequence: number;
  id: string;
  why: 'previous' | 'content' | 'sequence' | 'seal';
}

/** Goes along a chain link by link; `next` says where it does not hold, or null. */
export function chainWalk(): { next: (link: Link) => Broken | null } {
  let previous = CHAIN_START;
  let sequence = 0;
  return {
    next: (link) => {
      sequence += 1;
      const broken = (why: Broken['why']): Broken => ({ sequence: link.sequence, id: link.id, why });
      if (link.sequence !== sequence) return broken('sequence');
      const { seal, id } = link.sealed;
      if (seal?.hash == null || id !== link.id) return broken('seal');
      if (seal.previous !== previous) return broken('previous');
      if (sealHash(link.sealed, previous) !== seal.hash) return broken('content');
      previous = seal.hash;
      return null;
    },
  };
}

/** The first place at which the chain does not hold, or null. */
export function firstBreak(links: Iterable<Link>): Broken | null {
  const walk = chainWalk();
  for (const link of links) {
    const broken = walk.next(link);
    if (broken) return broken;
  }
  return null;
}

/** Links in the order of the chain that they carry; those outside any chain come last, as they stand. */
export function inChainOrder(links: readonly Sealable[]): Sealable[] {
  const after = new Map<string, Sealable>();
  for (const link of links) if (link.seal?.previous != null) after.set(link.seal.previous, link);
  const ordered: Sealable[] = [];
  let hash: string | null | undefined = CHAIN_START;
  while (hash != null) {
    const next: Sealable | undefined = after.get(hash);
    if (!next) break;
    ordered.push(next);
    after.delete(hash);
    hash = next.seal?.hash;
  }
  const known = new Set(ordered);
  return [...ordered, ...links.filter((link) => !known.has(link))];
}
