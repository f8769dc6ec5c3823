/** Refrigerants to choose from. */
import { REFRIGERANT_NAMES } from '../../core/refrigerant/refrigerant';
import type { Choice } from '../../words/choice';

export const GASES: readonly Choice[] = REFRIGERANT_NAMES.map((value) => ({ value, words: value }));
