/**
 * Every kind of field, said once for all forms: what it begins with, and what becomes of what was typed. An entry, a row and
 * a new machine read their fields here; a kind without its line does not compile.
 */
import type { LeakLabels } from '../core/logbook/leakLabels';
import type { Certificate } from '../core/logbook/tables';
import { parseDay } from '../core/quantity/day';
import type { Mass } from '../core/quantity/mass';
import { parseMeasure } from '../core/quantity/measure';
import { isTimezone } from '../core/quantity/zone';
import type { Standing } from '../core/rules/standing';
import type { Instrument } from '../core/visit/instrument';
import { measureRefusalWords } from '../words/calculators';
import { OFFSET_IN } from '../words/codes';
import { readIn, shownIn } from '../words/measures';
import type { AskedField, FieldOf, FieldType, Values } from './field';
import { leakDraftOf } from './leakDraft';
import { notWeighedOf } from './notWeighed';
import { type FormPlace, usualUnit } from './place';
import { massOf, typedMass } from './readMass';
import { pressureText, readPressure } from './readPressure';
import {
  type MethodSince,
  type OwnedSince,
  asText,
  numbersText,
  readCertificates,
  readMethods,
  readNumbers,
  readOwners,
} from './rows/rowLines';
import { type FieldRead, draftFrom, draftOf, readMeasured, readQuantity, readStated } from './statedDraft';

/** What a field may begin with, beside its own value. */
export interface BeginContext {
  /** the whole entry or row */
  values: Values;
  standing: Standing | null;
  labels: LeakLabels;
}

/** What reading a field may need to know beside what was typed. */
export interface ReadContext {
  place: FormPlace;
  /** the whole draft */
  values: Values;
}

interface Kind<Field> {
  /** what a form holds of a value; undefined or null: of none yet */
  begin: (value: unknown, field: Field, context: BeginContext) => unknown;
  /** undefined: nothing was said */
  read: (value: unknown, field: Field, context: ReadContext) => FieldRead;
}

/** Typed as text; a blank says nothing. */
const typed = <Type extends FieldType>(
  read: (typed: string, field: FieldOf<Type>, context: ReadContext) => FieldRead,
  begin: (value: unknown, field: FieldOf<Type>, context: BeginContext) => unknown = asText,
): Kind<FieldOf<Type>> => ({
  begin,
  read: (value, field, context) => {
    const said = typeof value === 'string' ? value.trim() : '';
    return said === '' ? { value: undefined } : read(said, field, context);
  },
});
const asTyped = (said: string): FieldRead => ({ value: said });
/** Chosen by touch, and kept as it is. */
const touched = (begin: (value: unknown) => unknown): Kind<AskedField> => ({
  begin,
  read: (value) => ({ value }),
});
const listed = touched((value) => value ?? []);

const number = (fits: (value: number) => boolean, error: string) =>
  typed((said) => {
    const value = Number(said);
    return Number.isFinite(value) && fits(value) ? { value } : { error };
  });
const WHY_NOT_WEIGHED = 'Say why nobody weighed, such as “no scale on the roof”.';
const PLAIN = 'Give a plain number, such as 26.2.';

const KINDS: { readonly [Type in FieldType]: Kind<FieldOf<Type>> } = {
  text: typed(asTyped),
  long: typed(asTyped),
  date: typed((said) => (parseDay(said) === null ? { error: 'Give a day.' } : { value: said })),
  year: typed((said) => ({ value: Number(said) })),
  pressure: typed(readPressure, pressureText),
  mass: typed<'mass'>(
    (said, { unit }, { place }) => {
      const read = massOf(said, unit ?? place.mass);
      return 'error' in read ? read : { value: read.mass };
    },
    (value) => (value ? typedMass(value as Mass) : ''),
  ),
  measure: {
    begin: (value) => draftFrom(value),
    read: (value, { dimension, unit, stated }, { place }) => {
      // What must be a figure takes no bound and no word for it.
      const read = stated ? readQuantity : readMeasured;
      const { unit: usual } = usualUnit(place, dimension, unit);
      return readStated(draftOf(value), (draft) =>
        read(dimension, draft, usual, place.atmosphere, place.instruments),
      );
    },
  },
  check: {
    begin: (value, { initial = false }) => value ?? initial,
    read: (value) => ({ value }),
  },
  choice: {
    begin: (value, { leftOut, chosen, optional, choices }) =>
      asText(value ?? leftOut ?? (chosen || optional ? '' : choices[0]?.value)),
    read: (value) => {
      const said = asText(value).trim();
      return { value: said === '' ? undefined : said === 'true' ? true : said === 'false' ? false : said };
    },
  },
  many: listed,
  leaks: listed,
  serves: listed,
  owners: {
    begin: (value) => value ?? [],
    read: (value) => readOwners((value ?? []) as OwnedSince[]),
  },
  leak: {
    begin: (value, _field, { standing, labels }) =>
      leakDraftOf(value ?? standing?.leaks.open()[0]?.id, labels),
    read: (value) => ({ value: leakDraftOf(value, new Map()) }),
  },
  newLeak: {
    begin: (value, _field, { labels }) => leakDraftOf(value, labels),
    read: (value) => ({ value: leakDraftOf(value, new Map()) }),
  },
  openLeak: typed(asTyped),
  stain: typed(asTyped),
  pack: typed(asTyped),
  temporaryPart: typed(asTyped),
  site: typed(asTyped),
  owner: typed(asTyped),
  cylinder: typed(asTyped),
  wayOut: typed(asTyped),
  notWeighed: {
    begin: (value, _field, { values }) => ({ ticked: values['mass'] === null, why: asText(value) }),
    read: (value) => {
      const { ticked, why } = notWeighedOf(value);
      if (!ticked) return { value: undefined };
      return why.trim() === '' ? { error: WHY_NOT_WEIGHED } : { value: why.trim() };
    },
  },
  partsLeftOut: typed(
    (said) => ({ value: said.split('\n').map(splitPart) }),
    (value) =>
      ((value ?? []) as { part: string; reason: string }[])
        .map((each) => `${each.part}: ${each.reason}`)
        .join('\n'),
  ),
  timezone: typed((said) =>
    isTimezone(said) ? { value: said } : { error: 'No such time zone. Write it like America/Chicago.' },
  ),
  metres: number(() => true, PLAIN),
  litres: number((value) => value > 0, PLAIN),
  months: number(
    (value) => Number.isInteger(value) && value >= 1 && value <= 120,
    'Give whole months from 1 to 120.',
  ),
  offset: {
    begin: (value, _field, { values }) => (value ? shownIn('us', 0)(offsetIn(values), value as number) : ''),
    read: (value, _field, { values }) => readOffset(asText(value).trim(), values),
  },
  numbers: typed(readNumbers, numbersText),
  certificates: {
    begin: (value) => value ?? [],
    read: (value) => readCertificates((value ?? []) as Certificate[]),
  },
  methods: {
    begin: (value) => value ?? [],
    read: (value) => readMethods((value ?? []) as MethodSince[]),
  },
};

const kindOf = (field: AskedField): Kind<AskedField> => KINDS[field.type] as Kind<AskedField>;

/** A fact that can also be not done or unknown is held with how it was said. */
const isStated = (field: AskedField): boolean => field.stated === true && field.type !== 'measure';

export const beginField = (field: AskedField, value: unknown, context: BeginContext): unknown =>
  isStated(field) ? draftFrom(value) : kindOf(field).begin(value, field, context);

export const readField = (field: AskedField, value: unknown, context: ReadContext): FieldRead =>
  isStated(field)
    ? readStated(draftOf(value), (draft) => kindOf(field).read(draft.text, field, context))
    : kindOf(field).read(value, field, context);

function splitPart(line: string): { part: string; reason: string } {
  const [part = '', ...reason] = line.split(':');
  return { part: part.trim(), reason: reason.join(':').trim() };
}

const offsetIn = (values: Values) => OFFSET_IN[values['dimension'] as Instrument['dimension']];

/** What is added to the reading of an instrument; nothing where it reads true. */
function readOffset(said: string, values: Values): FieldRead {
  if (said === '') return { value: 0 };
  const dimension = offsetIn(values);
  const below = /^[-−]/.test(said);
  const read = parseMeasure(dimension, said.replace(/^[-−]/, ''), readIn(dimension, 'us') as never);
  if (!read.ok) return { error: measureRefusalWords(read.refusal) };
  return { value: below ? -read.value.si : read.value.si };
}
