/** What one touch on a part under the detector writes: a mark, and where it confirms, the leak that came of it. */
import { CONFIRMING, GRADES, type Grade, type SpotMark } from '../../../core/visit/notes/notes';

/** The method that shows a grade of evidence. */
export const METHOD_OF: Record<Grade, string> = {
  corrosion: 'visual',
  oilOrFrost: 'visual',
  detectorHit: 'electronic',
  audible: 'audible',
  bubbles: 'bubbles',
  seen: 'visual',
  bench: 'visual',
};

export const LOOKED_WITH = ['electronic', 'bubbles', 'audible', 'ultrasonic', 'dye', 'visual'] as const;

/** What can show a hit, and what confirms; a detector's hit is never a leak by itself. */
export const gradesOf = (mark: SpotMark): readonly Grade[] =>
  mark === 'confirmed' ? CONFIRMING : GRADES.filter((each) => !CONFIRMING.includes(each));

/** What must still be chosen before the mark can be written; null where a touch is enough. */
export function asksFor(mark: SpotMark): 'grade' | 'cause' | 'why' | 'method' | null {
  switch (mark) {
    case 'hit':
    case 'confirmed':
      return 'grade';
    case 'false':
      return 'cause';
    case 'leftOut':
    case 'nextLeak':
      return 'why';
    case 'lookedAt':
      return 'method';
  }
}
