/** What the process that plans an import is given, and what it tells. */
import type { Packs } from '../../core/rules/packs/shipped';
import type { Mapping } from '../../sheets/mapping';

export interface ImportTask {
  url: string;
  path: string;
  /** where the plan shall stand */
  planPath: string;
  name: string;
  mapping: Mapping;
  packs: Packs;
  fixedToday: string | null;
  nowMs: number;
}

export type FromChild =
  { progress: { done: number; of: number } } | { planned: { chainEnd: string } } | { refusal: string };
