/** What a form holds of a fact that can also be not done, unknown, or left alone; and what becomes of it in the entry. */
import type { Measured, Quantity } from '../core/visit/notes/stated';
import { corrected, type Instrument } from '../core/visit/instrument';
import { parseExtent } from '../core/quantity/extent';
import { parseMeasure } from '../core/quantity/measure';
import type { Dimension } from '../core/quantity/units';
import { measureRefusalWords } from '../words/calculators';
import { FELT_WORDS, feltAt } from '../words/stated';

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
  if ('felt' in value) return { ...EMPTY_DRAFT, text: FELT_WORDS[value.felt as keyof typeof FELT_WORDS] };
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

/** A measure as its entry keeps it, by a form that takes nothing but a figure. */
export function readMeasured(
  dimension: Dimension,
  draft: StatedDraft,
  usualUnit: string,
  atmosphere: number,
  instruments: readonly Instrument[],
): { value: Measured } | { error: string } {
  const parsed = parseMeasure(dimension, draft.text, (draft.unit || usualUnit) as never, atmosphere);
  if (!parsed.ok) return { error: measureRefusalWords(parsed.refusal) };
  return { value: measuredFrom(parsed.value, draft, instruments) };
}

/** What somebody knows of a quantity: a word for it, one end, both ends, or the figure with its instrument's offset put in. */
export function readQuantity(
  dimension: Dimension,
  draft: StatedDraft,
  usualUnit: string,
  atmosphere: number,
  instruments: readonly Instrument[],
): { value: Quantity } | { error: string } {
  const word = draft.text.trim().toLowerCase();
  const felt = feltAt(dimension).find((each) => FELT_WORDS[each] === word);
  if (felt) return { value: { felt } };
  const parsed = parseExtent(dimension, draft.text, (draft.unit || usualUnit) as never, atmosphere);
  if (!parsed.ok) return { error: measureRefusalWords(parsed.refusal) };
  const { value } = parsed;
  switch (value.extent) {
    case 'exact':
      return { value: measuredFrom(value.measure, draft, instruments) };
    case 'range': {
      const { typed, low, high, unit } = value;
      const middle = measuredFrom({ typed, si: (low + high) / 2, unit }, draft, instruments);
      const offset = middle.instrument?.offset ?? 0;
      return { value: { ...middle, range: [low + offset, high + offset] } };
    }
    default: {
      const { typed, extent, limit, unit } = value;
      const { si, ...end } = measuredFrom({ typed, si: limit, unit }, draft, instruments);
      return { value: { ...end, bound: extent, limit: si } };
    }
  }
}

const UNIT_IN_TEXT = /[a-z°"'%]/i;
/** Words of a bound or a range are no unit. */
const withUnit = (typed: string, unit: string): string =>
  UNIT_IN_TEXT.test(typed.replace(/^[a-z ]+(?=[\d-])|\bto\b/gi, '')) ? typed : `${typed} ${unit}`.trim();

function measuredFrom(
  { typed, si, unit }: { typed: string; si: number; unit: string },
  draft: StatedDraft,
  instruments: readonly Instrument[],
): Measured {
  const instrument = instruments.find((each) => each.id === draft.instrument);
  return {
    typed: withUnit(typed, unit),
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
}
