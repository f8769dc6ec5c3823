/** What an authority's form wants and no entry says: asked when a paper is issued, and remembered where it can be. */
import type { z } from 'zod';
import { type PaperRequest, factsOfDocument, type paperAsk } from '../contract/papers';
import type { Owner } from '../core/logbook/tables';
import { numbersWords } from './beside';
import { PLAN_ASKS } from './entryPapers';

export type PaperAsk = z.infer<typeof paperAsk>;

/** Fields of an owner's row; those with `x-` are ours. */
const OWNER_ASKS: readonly [key: string, label: string][] = [
  ['address', 'Address of the owner'],
  ['contact', 'Whom the authority can ask, with telephone or mail'],
  ['numbers', 'Numbers that the authority gave the owner or the facility'],
  ['x-signs', 'Who signs for the owner, with position'],
];

export const answerOfOwner = (owner: Owner, key: string): string =>
  key === 'numbers'
    ? numbersWords(owner.numbers)
    : String((owner as unknown as Record<string, unknown>)[key] ?? '');

/** `last`: what was answered the last time that this paper was issued. */
export function asksOf(
  { document }: PaperRequest,
  owner: Owner | null,
  last: Readonly<Record<string, string>> = {},
): PaperAsk[] {
  const ofOwner =
    owner && factsOfDocument(document).toAuthority
      ? OWNER_ASKS.map(([key, label]) => ({
          key,
          label,
          scope: 'owner' as const,
          value: answerOfOwner(owner, key),
        })).filter(({ value }) => value.trim() === '')
      : [];
  const ofPaper =
    document === 'plan'
      ? Object.entries(PLAN_ASKS).map(([key, label]) => ({
          key,
          label,
          scope: 'paper' as const,
          value: last[key] ?? '',
        }))
      : [];
  return [...ofOwner, ...ofPaper];
}
