/**
 * What is typed on a page of the bench: texts with their units, and choices. Kept on the device as it is typed, so that
 * leaving, a reload or a flat battery loses nothing.
 */
import { useState } from 'react';
import { type Measure, type MeasureRefusal, fromSi, parseMeasure } from '../../core/quantity/measure';
import { type Dimension, unitFact } from '../../core/quantity/units';
import type { Result } from '../../core/result';
import { readKept, writeKept } from '../data/device/kept';
import { type Show, readIn, shownIn, type UnitSystem } from '../../words/measures';
import { useBench } from './setting';
import { useCalculatorHome } from './calculatorHome';

export interface MeasureSpec {
  label: string;
  dimension: Dimension;
  /** unit of a bare number, where it is not the usual one of the dimension */
  unit?: Record<UnitSystem, string>;
  /** SI: an assumption that stands until another is typed; a reading has none */
  start?: number;
  /** SI: what the example fills in */
  example?: number;
  hint?: string;
  optional?: boolean;
}

interface TypedMeasure {
  text: string;
  unit: string;
}
interface FormDraft {
  measures: Partial<Record<string, TypedMeasure>>;
  choices: Partial<Record<string, string>>;
}

export interface MeasureField {
  spec: MeasureSpec;
  text: string;
  unit: string;
  read: Result<Measure, MeasureRefusal>;
  set: (typed: Partial<TypedMeasure>) => void;
}

export interface BenchForm<M extends string, C extends string> {
  fields: Record<M, MeasureField>;
  /** SI; null while empty or unreadable */
  si: Record<M, number | null>;
  choice: Record<C, string>;
  choose: (key: C, value: string) => void;
  /** several at once */
  put: (part: { measures?: Partial<Record<M, TypedMeasure>>; choices?: Partial<Record<C, string>> }) => void;
  /** results; weights in the units in which the first weight was typed: 53 g stay grams, whatever the gauges read in */
  show: Show;
  touched: boolean;
  reset: () => () => void;
  fillExample: () => void;
}

const keyOf = (slug: string): string => `abacus.bench.${slug}`;
const EMPTY: FormDraft = { measures: {}, choices: {} };

const keptOf = (slug: string): FormDraft => ({ ...EMPTY, ...readKept<Partial<FormDraft>>(keyOf(slug)) });

export function useBenchForm<M extends string, C extends string = never>(
  slug: string,
  specs: Record<M, MeasureSpec>,
  choices: Record<C, string> = {} as Record<C, string>,
): BenchForm<M, C> {
  const { system, weights = system, atmosphere } = useBench();
  const home = useCalculatorHome();
  const place = `${home?.prefix ?? ''}${slug}`;
  const startOf = (key: string, spec: MeasureSpec) =>
    home?.starts.find((each) => each.key === key && each.dimension === spec.dimension)?.si ?? spec.start;
  const [kept, setKept] = useState(() => keptOf(place));
  const keep = (next: FormDraft) => {
    writeKept(keyOf(place), next);
    setKept(next);
  };
  const fields = {} as Record<M, MeasureField>;
  const si = {} as Record<M, number | null>;
  for (const [key, spec] of Object.entries(specs) as [M, MeasureSpec][]) {
    const usual = spec.unit?.[system] ?? readIn(spec.dimension, spec.dimension === 'mass' ? weights : system);
    const typed = kept.measures[key] ?? {
      text: bareText(spec, startOf(key, spec), usual, atmosphere),
      unit: usual,
    };
    const read = parseMeasure(spec.dimension, typed.text, typed.unit as never, atmosphere);
    fields[key] = {
      spec,
      ...typed,
      read,
      set: (part) => keep({ ...kept, measures: { ...kept.measures, [key]: { ...typed, ...part } } }),
    };
    si[key] = read.ok ? read.value.si : null;
  }
  const weighed = Object.values<MeasureField>(fields).find(
    ({ spec, read }) => spec.dimension === 'mass' && read.ok,
  );
  const typedIn = weighed?.read.ok ? weighed.read.value.unit : null;
  return {
    fields,
    si,
    show: shownIn(
      system,
      atmosphere,
      typedIn === null ? weights : typedIn === 'kg' || typedIn === 'g' ? 'metric' : 'us',
    ),
    choice: { ...choices, ...(kept.choices as Record<C, string>) },
    put: (part) =>
      keep({
        measures: { ...kept.measures, ...part.measures },
        choices: { ...kept.choices, ...part.choices },
      }),
    choose: (key, value) => keep({ ...kept, choices: { ...kept.choices, [key]: value } }),
    touched: Object.keys(kept.measures).length + Object.keys(kept.choices).length > 0,
    reset: () => {
      keep(EMPTY);
      return () => keep(kept);
    },
    fillExample: () => {
      const filled = (Object.entries(specs) as [M, MeasureSpec][]).flatMap(([key, spec]) => {
        if (spec.example === undefined) return [];
        const unit = spec.unit?.[system] ?? readIn(spec.dimension, system);
        return [[key, { text: bareText(spec, spec.example, unit, atmosphere), unit }]];
      });
      keep({
        ...kept,
        measures: { ...kept.measures, ...(Object.fromEntries(filled) as FormDraft['measures']) },
      });
    },
  };
}

/** A start or example as a person would have typed it: the figure alone, in the field's unit. */
function bareText(spec: MeasureSpec, si: number | undefined, unit: string, atmosphere: number): string {
  if (si === undefined) return '';
  const { decimals } = unitFact(spec.dimension, unit);
  return String(Number(fromSi(spec.dimension, si, unit, atmosphere).toFixed(Math.max(decimals, 1))));
}

/** The SI values of these keys when all are there; else the labels of those that are still wanted. */
export function needed<M extends string, K extends M>(
  form: Pick<BenchForm<M, never>, 'fields' | 'si'>,
  keys: readonly K[],
): { ready: true; si: Record<K, number> } | { ready: false; wanted: string[] } {
  const wanted = keys.filter((key) => form.si[key] === null).map((key) => form.fields[key].spec.label);
  return wanted.length > 0 ? { ready: false, wanted } : { ready: true, si: form.si as Record<K, number> };
}
