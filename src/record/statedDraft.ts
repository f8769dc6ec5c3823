/** What a form holds of a fact that can also be not done, unknown, or left alone; and what becomes of it in the entry. */
import type { Measured } from '../core/visit/stated';
import { corrected, type Instrument } from '../core/visit/instrument';
import { parseMeasure } from '../core/quantity/measure';
import type { Dimension } from '../core/quantity/units';
import { measureRefusalWords } from '../words/bench';

export interface StatedDraft {
  text: string;
  unit: string;
  how: 'value' | 'notDone' | 'unknown';
  why: string;
  /** id of the instrument that the reading came from */
  instrument: string;
}

export const EMPTY_DRAFT: StatedDraft = { text: '', unit: '', how: 'value', why: '', instrument: '' };

export const draftOf = (value: unknown): StatedDraft => ({
  ...EMPTY_DRAFT,
  ...(typeof value === 'string' ? { text: value } : (value as Partial<StatedDraft> | null)),
});

/** From what an entry carries back to what a form holds. */
export function draftFrom(value: unknown): StatedDraft {
  if (value === null || value === undefined) return EMPTY_DRAFT;
  if (typeof value !== 'object') return { ...EMPTY_DRAFT, text: String(value) };
  if ('notDone' in value) return { ...EMPTY_DRAFT, how: 'notDone', why: String(value.notDone) };
  if ('unknown' in value) return { ...EMPTY_DRAFT, how: 'unknown' };
  const { typed, unit, instrument } = value as Partial<Measured>;
  return { ...EMPTY_DRAFT, text: typed ?? '', unit: unit ?? '', instrument: instrument?.id ?? '' };
}

export type FieldRead = { value: unknown } | { error: string };

/** Not done and unknown first; the value by the reader that is given; nothing at all stays not recorded. */
export function readStated(draft: StatedDraft, readValue: (draft: StatedDraft) => FieldRead): FieldRead {
  if (draft.how === 'unknown') return { value: { unknown: true } };
  if (draft.how === 'notDone')
    return draft.why.trim() === ''
      ? { error: 'Say why it was not done, in a few words.' }
      : { value: { notDone: draft.why.trim() } };
  return draft.text.trim() === '' ? { value: undefined } : readValue(draft);
}

/** A measure with what was typed and, where it came from an instrument, that instrument's offset put in. */
export function readMeasured(
  dimension: Dimension,
  draft: StatedDraft,
  usualUnit: string,
  atmosphere: number,
  instruments: readonly Instrument[],
): FieldRead {
  const parsed = parseMeasure(dimension, draft.text, (draft.unit || usualUnit) as never, atmosphere);
  if (!parsed.ok) return { error: measureRefusalWords(parsed.refusal) };
  const { typed, si, unit } = parsed.value;
  const instrument = instruments.find((each) => each.id === draft.instrument);
  const measured: Measured = {
    typed: /[a-z°"'%]/i.test(typed) ? typed : `${typed} ${unit}`.trim(),
    si: instrument ? corrected(si, instrument) : si,
    unit,
    ...(instrument
      ? {
          instrument: {
            id: instrument.id,
            name: instrument.name,
            offset: instrument.offset,
            checkedOn: instrument.checkedOn ?? null,
          },
        }
      : {}),
  };
  return { value: measured };
}
