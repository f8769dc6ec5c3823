/** Duties as people read them. */
import type { PackId } from '../core/logbook/packNames';
import { PACK_WORDS } from './codes';

/** The rules that ask for it. */
export const packsWords = (packs: readonly PackId[]): string =>
  packs.map((pack) => PACK_WORDS[pack]).join(', ');
