/**
 * Drafts of gas entries: a sheet closed by mistake loses nothing while the browser is open. A draft of a visit (`place`)
 * outlives the browser too, for a phone may go flat on the roof.
 */
import type { GasDraft } from './gasDraft';

const key = (machineId: string, supersedes: string | null, place = ''): string =>
  `abacus.draft ${place}${machineId} ${supersedes ?? ''}`;
const storeOf = (place: string | undefined): Storage => (place === undefined ? sessionStorage : localStorage);

export function keptDraft(machineId: string, supersedes: string | null, place?: string): GasDraft | null {
  const kept = storeOf(place).getItem(key(machineId, supersedes, place));
  return kept === null ? null : (JSON.parse(kept) as GasDraft);
}

export const keepDraft = (machineId: string, draft: GasDraft, place?: string): void =>
  storeOf(place).setItem(key(machineId, draft.supersedes, place), JSON.stringify(draft));

export const forgetDraft = (machineId: string, supersedes: string | null, place?: string): void =>
  storeOf(place).removeItem(key(machineId, supersedes, place));
