/** What the drawing shows at a part and at a place of reading: its layers, made by whoever draws. */
import type { Mark } from '../../core/visit/readings/figures';
import type { PlaceName } from '../../core/visit/readings/places';
import type { SpotMark } from '../../core/visit/notes/notes';

export interface PartShown {
  mark?: SpotMark | null;
  /** leaks of all time at this part */
  leaks?: number;
  /** place in the proposed order, for the first few */
  rank?: number | null;
  /** a valve that stands shut */
  shut?: boolean;
  /** in the section that is under test */
  inSection?: boolean;
  /** speaks for, or against, the cause that is looked at */
  lit?: 'for' | 'against' | null;
  /** touched in this visit and not yet put right */
  open?: boolean;
  /** more that is said of it, for the list and for those who hear it */
  says?: string;
}

export interface ValueShown {
  place: PlaceName;
  partId: string;
  /** the reading, or the name of a place that waits for one */
  words: string;
  below: string | null;
  mark: Mark | null;
  /** asked and not yet read */
  empty: boolean;
  /** the one to read next */
  next: boolean;
  /** all of it in words, with the name of the place */
  said: string;
}

export const MARK_SIGN: Record<Mark, string> = { high: '▲', low: '▼', right: '●' };
export const MARK_SAID: Record<Mark, string> = { high: 'high', low: 'low', right: 'right' };
