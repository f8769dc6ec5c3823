/**
 * Drafts of gas entries: a sheet closed by mistake loses nothing while the browser is open. A draft of a visit (`place`)
 * outlives the browser too, for a phone may go flat on the roof.
 */
import { fitting, forgetKept, readKept, writeKept } from '../../data/kept';
import { type GasDraft, freshDraft } from '../../../record/gasDraft';

const key = (machineId: string, supersedes: string | null, place = ''): string =>
  `abacus.draft ${place}${machineId} ${supersedes ?? ''}`;
const storeOf = (place: string | undefined): Storage => (place === undefined ? sessionStorage : localStorage);

export function keptDraft(machineId: string, supersedes: string | null, place?: string): GasDraft | null {
  const kept = readKept<GasDraft>(key(machineId, supersedes, place), storeOf(place));
  return kept && fitting(freshDraft(''), kept);
}

export const keepDraft = (machineId: string, draft: GasDraft, place?: string): boolean =>
  writeKept(key(machineId, draft.supersedes, place), draft, storeOf(place));

export const forgetDraft = (machineId: string, supersedes: string | null, place?: string): void =>
  forgetKept(key(machineId, supersedes, place), storeOf(place));
