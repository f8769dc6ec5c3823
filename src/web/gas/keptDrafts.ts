/** Drafts of gas entries, kept while the browser is open: a sheet closed by mistake loses nothing. */
import type { GasDraft } from './gasDraft';

const key = (machineId: string, supersedes: string | null): string =>
  `abacus.draft ${machineId} ${supersedes ?? ''}`;

export function keptDraft(machineId: string, supersedes: string | null): GasDraft | null {
  const kept = sessionStorage.getItem(key(machineId, supersedes));
  return kept === null ? null : (JSON.parse(kept) as GasDraft);
}

export const keepDraft = (machineId: string, draft: GasDraft): void =>
  sessionStorage.setItem(key(machineId, draft.supersedes), JSON.stringify(draft));

export const forgetDraft = (machineId: string, supersedes: string | null): void =>
  sessionStorage.removeItem(key(machineId, supersedes));
