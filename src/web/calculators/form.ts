/**
 * What is typed and chosen on a page of the bench: fields as every form has them, some with an assumption that stands until
 * another is typed. Kept on the device as it is typed, so that leaving, a reload or a flat battery loses nothing.
 */
import { useState } from 'react';
import { fromSi } from '../../core/quantity/measure';
import { type Dimension, unitFact } from '../../core/quantity/units';
import type { Measured } from '../../core/visit/notes/stated';
import { beginField, readField } from '../../record/fieldKinds';
import type { AskedField, FieldOf } from '../../record/field';
import { type FormPlace, usualUnit } from '../../record/place';
import { EMPTY_DRAFT, type FieldRead, type StatedDraft, draftOf } from '../../record/statedDraft';
import { choices } from '../../words/choice';
import { type Show, shownIn } from '../../words/measures';
import { readKept, writeKept } from '../data/device/kept';
import { useCalculatorHome } from './calculatorHome';
import { useBench } from './setting';

type Asking<Type extends AskedField['type']> = Omit<FieldOf<Type>, 'key'>;
export type Figure = Asking<'measure'> & {
  /** SI: an assumption that stands until another is typed, also by what was chosen; a reading has none */
  start?: number | ((chosen: Readonly<Record<string, string>>) => number);
  /** SI: what the example fills in */
  example?: number;
};
export type Other = Asking<'choice'> | Asking<'long'>;
export type BenchFields = Readonly<Record<string, Figure | Other>>;
export type FigureKey<Fields> = {
  [Key in keyof Fields]: Fields[Key] extends Figure ? Key : never;
}[keyof Fields] &
  string;
export type OtherKey<Fields> = Exclude<keyof Fields, FigureKey<Fields>> & string;

/** A field that must be a figure. */
export const figure = (
  label: string,
  dimension: Dimension,
  more: Omit<Figure, 'label' | 'type' | 'dimension'> = {},
): Figure => ({ type: 'measure', label, dimension, ...more });

/** One of several, the first until somebody chooses. */
export const choice = (label: string, words: Readonly<Record<string, string>>): Asking<'choice'> => ({
  type: 'choice',
  label,
  choices: choices(Object.keys(words), words),
});

export interface BenchInput {
  field: AskedField;
  value: unknown;
  read: FieldRead;
  set: (value: unknown) => void;
}

export interface BenchForm<Fields extends BenchFields> {
  inputs: Record<keyof Fields & string, BenchInput>;
  /** SI; null while empty or unreadable */
  si: Record<FigureKey<Fields>, number | null>;
  choice: Record<OtherKey<Fields>, string>;
  /** several at once */
  put: (values: Partial<Record<keyof Fields & string, string | Partial<StatedDraft>>>) => void;
  /** results; weights in the units in which the first weight was typed: 53 g stay grams, whatever the gauges read in */
  show: Show;
  touched: boolean;
  reset: () => () => void;
  fillExample: () => void;
}

type Draft = Readonly<Partial<Record<string, unknown>>>;

const keyOf = (slug: string): string => `abacus.bench.${slug}`;
const BEGUN = { values: {}, standing: null, labels: new Map() };

export function useBenchForm<Fields extends BenchFields>(slug: string, fields: Fields): BenchForm<Fields> {
  const { system, weights = system, atmosphere, place } = useBench();
  const home = useCalculatorHome();
  const key = keyOf(`${home?.prefix ?? ''}${slug}`);
  const [kept, setKept] = useState<Draft>(() => readKept<Draft>(key) ?? {});
  const keep = (next: Draft) => {
    writeKept(key, next);
    setKept(next);
  };
  const asked = Object.entries<Figure | Other>(fields);
  const chosen = Object.fromEntries(
    asked.flatMap(([name, field]) =>
      field.type === 'measure'
        ? []
        : [[name, (kept[name] ?? beginField({ ...field, key: name }, undefined, BEGUN)) as string]],
    ),
  );
  const startOf = (name: string, { dimension, start }: Figure) =>
    home?.starts.find((each) => each.key === name && each.dimension === dimension)?.si ??
    (typeof start === 'function' ? start(chosen) : start);
  const inputs = Object.fromEntries(
    asked.map(([name, field]): [string, BenchInput] => {
      const whole = { ...field, key: name };
      const value =
        field.type === 'measure' ? (kept[name] ?? assumed(field, startOf(name, field), place)) : chosen[name];
      return [
        name,
        {
          field: whole,
          value,
          read: readField(whole, value, { place, values: kept }),
          set: (next) => keep({ ...kept, [name]: next }),
        },
      ];
    }),
  ) as BenchForm<Fields>['inputs'];
  const weighed = Object.values<BenchInput>(inputs).find(
    ({ field, read }) => field.type === 'measure' && field.dimension === 'mass' && measuredOf(read),
  );
  const typedIn = weighed && measuredOf(weighed.read)?.unit;
  return {
    inputs,
    si: Object.fromEntries(
      Object.entries<BenchInput>(inputs).flatMap(([name, { field, read }]) =>
        field.type === 'measure' ? [[name, measuredOf(read)?.si ?? null]] : [],
      ),
    ) as BenchForm<Fields>['si'],
    choice: chosen as BenchForm<Fields>['choice'],
    show: shownIn(
      system,
      atmosphere,
      typedIn === undefined ? weights : typedIn === 'kg' || typedIn === 'g' ? 'metric' : 'us',
    ),
    put: (values) => keep({ ...kept, ...values }),
    touched: asked.some(([name]) => kept[name] !== undefined),
    reset: () => {
      keep({});
      return () => keep(kept);
    },
    fillExample: () => {
      const examples = asked.flatMap(([name, field]) =>
        field.type === 'measure' && field.example !== undefined
          ? [[name, assumed(field, field.example, place)]]
          : [],
      );
      keep({ ...kept, ...(Object.fromEntries(examples) as Draft) });
    },
  };
}

/** Some of them, to be filed with a result. */
export const only = <Key extends string>(
  inputs: Record<Key, BenchInput>,
  keys: readonly Key[],
): Record<string, BenchInput> => Object.fromEntries(keys.map((key) => [key, inputs[key]]));

/** The measure that was typed; undefined: none yet, or none that reads. */
export const measuredOf = (read: FieldRead): Measured | undefined =>
  'value' in read ? (read.value as Measured | undefined) : undefined;

/** The unit of a bare number in a field. */
export const unitOf = ({ value }: BenchInput): string => draftOf(value).unit;

/** A start or example as a person would have typed it: the figure alone, in the field's unit. */
function assumed({ dimension, unit: own }: Figure, si: number | undefined, place: FormPlace): StatedDraft {
  const { unit } = usualUnit(place, dimension, own);
  if (si === undefined) return { ...EMPTY_DRAFT, unit };
  const { decimals } = unitFact(dimension, unit);
  const inUnit = fromSi(dimension, si, unit, place.atmosphere);
  return { ...EMPTY_DRAFT, text: String(Number(inUnit.toFixed(Math.max(decimals, 1)))), unit };
}

/** The SI values of these keys when all are there; else the labels of those that are still wanted. */
export function needed<Key extends string>(
  form: { inputs: Record<Key, Pick<BenchInput, 'field'>>; si: Record<Key, number | null> },
  keys: readonly Key[],
): { ready: true; si: Record<Key, number> } | { ready: false; wanted: string[] } {
  const wanted = keys.filter((key) => form.si[key] === null).map((key) => form.inputs[key].field.label);
  return wanted.length > 0 ? { ready: false, wanted } : { ready: true, si: form.si as Record<Key, number> };
}
