/** A note of a visit in the words of the service record. What is not recorded is left out here and named on the paper. */
import type { CauseName } from '../../core/judge/causes';
import type { Entry } from '../../core/logbook/entry';
import type { Mass, MassSystem } from '../../core/quantity/mass';
import { readNote, toolOf } from '../../core/visit/notes';
import type { School, SchoolQuestion } from '../../core/visit/schools';
import type { Measured } from '../../core/visit/stated';
import type { Check } from '../../core/visit/touched';
import type { FieldSpec } from '../entries/fieldSpec';
import { FALSE_WORDS, MARK_WORDS } from '../words/circuit';
import { dateWords } from '../words/dates';
import { entryWords, massWords } from '../words/entry';
import { CAUSE_WORDS } from '../words/judge';
import { CHECK_WORDS, GRADE_WORDS } from '../words/leaks';
import { measuredWords, statedWords } from '../words/stated';
import { QUESTION_WORDS, SCHOOL_WORDS } from '../words/schools';
import { noteFormOf } from './noteForms';

/** A full stop at the end of what a person wrote does not stand before a comma. */
const list = (parts: readonly (string | null | undefined | false)[]): string =>
  parts
    .filter((part): part is string => Boolean(part))
    .map((part, index, all) => (index < all.length - 1 ? part.replace(/[.,;]+$/, '') : part))
    .join(', ');

export const fieldWords = (field: FieldSpec, value: unknown, system: MassSystem): string | null =>
  statedWords<unknown>(value, (given) => {
    switch (field.type) {
      case 'measure':
        return measuredWords(given as Measured);
      case 'mass':
        return massWords(given as Mass, system);
      case 'choice':
        return field.choices.find((each) => each.value === String(given))?.words ?? String(given);
      case 'date':
        return dateWords(String(given));
      case 'leaks':
        return (given as string[]).join(', ');
      default:
        return String(given);
    }
  });

export const valueAt = (source: unknown, key: string): unknown =>
  key
    .split('.')
    .reduce<unknown>((value, part) => (value as Record<string, unknown> | null | undefined)?.[part], source);

/** Said without their label: the words say what they are. */
const BARE_FIELDS: readonly string[] = ['complaint', 'why', 'how', 'part', 'control', 'way', 'choice'];

/** `Suction pressure 11 psig, head pressure not done: no port`. */
function formWords(entry: Entry, system: MassSystem): string | null {
  const form = noteFormOf(toolOf(entry) ?? '');
  if (!form) return null;
  const said = form.fields.flatMap((field) => {
    if (field.type === 'stain') return [];
    const words = fieldWords(field, valueAt(entry, field.key), system);
    if (words === null) return [];
    const label = field.label.charAt(0).toLowerCase() + field.label.slice(1);
    // `it must limp on: yes`, but `box 46 °F`
    const between = words === 'yes' || words === 'no' ? ': ' : ' ';
    return [BARE_FIELDS.includes(field.key) ? words : `${label}${between}${words}`];
  });
  return list(said);
}

const SPECIAL: readonly ((entry: Entry, partNames: ReadonlyMap<string, string>) => string | null)[] = [
  (entry, partNames) => {
    const spot = readNote(entry, 'spot');
    return (
      spot &&
      list([
        partNames.get(spot.part) ?? spot.words ?? spot.part,
        MARK_WORDS[spot.mark],
        spot.grade && GRADE_WORDS[spot.grade],
        spot.cause && FALSE_WORDS[spot.cause],
        spot.leakId && `leak ${spot.leakId}`,
        spot.why,
        spot.mark === 'leftOut' && spot.reachable === false && 'out of reach',
      ])
    );
  },
  (entry) => {
    const valve = readNote(entry, 'valve');
    return (
      valve &&
      list([valve.valve, { shut: 'shut', open: 'open again', leftShut: 'left shut' }[valve.state], valve.why])
    );
  },
  (entry) => {
    const school = readNote(entry, 'school');
    return (
      school &&
      list([
        `${QUESTION_WORDS[school.question as SchoolQuestion].title}: ${SCHOOL_WORDS[school.school as School]}`,
        school.why,
      ])
    );
  },
  (entry) => {
    const check = readNote(entry, 'checklist');
    return check && list([CHECK_WORDS[check.item as Check], statedWords(check.answer, () => 'done')]);
  },
  (entry) => {
    const evidence = readNote(entry, 'evidence');
    return evidence && list([`leak ${evidence.leakId}`, GRADE_WORDS[evidence.grade], evidence.words]);
  },
  (entry) => {
    const withdrawal = readNote(entry, 'withdrawal');
    return (
      withdrawal &&
      list([`leak ${withdrawal.leakId} is no longer told as found`, withdrawal.place, withdrawal.why])
    );
  },
  (entry) => {
    const judgement = readNote(entry, 'judgement');
    if (!judgement) return null;
    const best = Object.entries(judgement.causes).sort((a, b) => b[1] - a[1])[0];
    return list([
      judgement.verdict,
      best &&
        `most likely ${CAUSE_WORDS[best[0] as CauseName].toLowerCase()}, ${String(Math.round(best[1] * 100))} %`,
    ]);
  },
  (entry) => {
    const signed = readNote(entry, 'signed');
    if (!signed) return null;
    return signed.notSigned
      ? `not signed: ${signed.notSigned}`
      : list([`signed by ${signed.name}`, signed.role]);
  },
  (entry) => {
    const picture = readNote(entry, 'picture');
    return picture && list([picture.pair, picture.leakId && `leak ${picture.leakId}`, picture.caption]);
  },
  (entry) => (readNote(entry, 'visitBegun') ? 'begun' : null),
  (entry) => {
    const weighed = readNote(entry, 'weighed');
    return (
      weighed &&
      list([
        ...weighed.bottles.map((each) => `${each.bottle} ${each.before.typed} to ${each.after.typed}`),
        statedWords<Measured>(weighed.keptInHoses, ({ typed }) => `${typed} stays in the hoses`),
      ])
    );
  },
];

const NO_NAMES: ReadonlyMap<string, string> = new Map();

/** `partNames`: what the parts of the circuit map are called, by id. */
export function noteWords(
  entry: Entry,
  system: MassSystem,
  partNames: ReadonlyMap<string, string> = NO_NAMES,
): string {
  for (const words of SPECIAL) {
    const said = words(entry, partNames);
    if (said !== null) return said;
  }
  return formWords(entry, system) ?? entryWords(entry, system);
}
