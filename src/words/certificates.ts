/** Words for who may do certified work. */
import type { Day } from '../core/quantity/day';
import type { Certified } from '../core/rules/certified';
import { dayWords } from './dates';

/** Kinds that are offered where one is typed; any other may be. */
export const CERTIFICATE_KINDS = [
  '608 universal',
  '608 type I',
  '608 type II',
  '608 type III',
  'F-gas category I',
  'F-gas category II',
  'F-gas category III',
  'F-gas category IV',
] as const;

const KEPT = 'Where the law keeps this work for certified people, one of them does it; local law decides.';

/** null: a certificate is valid on that day. */
export function uncertifiedWords(name: string, day: Day, certified: Certified): string | null {
  switch (certified.is) {
    case 'valid':
      return null;
    case 'lacks':
      return `No certificate of ${name} is on record. ${KEPT}`;
    case 'ended':
      return `The last certificate of ${name} on record ended on ${dayWords(certified.on)}: none is valid on ${dayWords(day)}. ${KEPT}`;
  }
}
