/** The figure that is being typed at a place, kept until it is saved, and shown there as what nobody has saved yet. */
import type { PlaceName } from '../../../core/visit/readings/places';
import type { Step } from '../../../core/visit/steps';
import { placeWords } from '../../../words/readings';
import { useKeptDraft } from '../../data/device/useKeptDraft';
import { typedAt } from '../../data/device/typed';

interface At {
  visitId: string;
  machineId: string;
  place: PlaceName;
  /** of another room than the first */
  partId: string | null;
}

const keyOf = ({ visitId, machineId, place, partId }: At): string =>
  `${visitId} ${machineId} keypad ${place} ${partId ?? ''}`;

interface KeypadDraft {
  text: string;
  unit: string;
  instrument: string;
}

/** `12 psig`, as far as it was typed. */
const figureTyped = ({ text, unit }: KeypadDraft): string =>
  /[a-z°%]/i.test(text) ? text.trim() : `${text.trim()} ${unit}`.trim();

export const useKeypadDraft = (at: At, step: Step, unit: string) =>
  useKeptDraft<KeypadDraft>(
    keyOf(at),
    () => ({ text: '', unit, instrument: '' }),
    localStorage,
    (draft) =>
      draft.text.trim() === ''
        ? null
        : { words: placeWords(at.place), typed: figureTyped(draft), step, machineId: at.machineId },
  );

/** What stands typed at a place and was not saved; null: nothing does. */
export const unsavedAt = (at: At): string | null => typedAt(keyOf(at))?.typed ?? null;
