/** A note of a visit in the words of the service record. What is not recorded is left out here and named on the paper. */
import type { CauseName } from '../core/judge/causes';
import type { Entry } from '../core/logbook/entry';
import type { Mass, MassSystem } from '../core/quantity/mass';
import { readNote, toolOf } from '../core/visit/notes';
import type { School, SchoolQuestion } from '../core/visit/schools';
import type { Measured } from '../core/visit/stated';
import type { FieldSpec, FormSpec } from './fieldSpec';
import type { LayoutName } from '../core/visit/circuit/layouts';
import { FALSE_WORDS, LAYOUT_WORDS, MARK_WORDS } from '../words/circuit';
import { ENTRY_WORDS } from '../words/codes';
import { dateWords } from '../words/dates';
import { entryWords, list, massWords } from '../words/entry';
import { type Names, NO_NAMES, leakWords, leaksWords } from '../words/names';
import { CAUSE_WORDS } from '../words/judge';
import { GRADE_WORDS, checkItemWords, methodWords } from '../words/leaks';
import { measuredWords, statedWords } from '../words/stated';
import { QUESTION_WORDS, SCHOOL_WORDS } from '../words/schools';
import { CONDITIONS_FORM, noteFormOf } from './noteForms';

export const fieldWords = (
  field: FieldSpec,
  value: unknown,
  system: MassSystem,
  names: Names = NO_NAMES,
): string | null =>
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
        return (given as string[]).length === 0 ? 'none' : leaksWords(names, given as string[]);
      case 'leak':
      case 'openLeak':
        return leakWords(names, String(given));
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
function formWords(form: FormSpec, entry: Entry, system: MassSystem, names: Names): string {
  const said = form.fields.flatMap((field) => {
    if (field.type === 'stain') return [];
    const words = fieldWords(field, valueAt(entry, field.key), system, names);
    if (words === null) return [];
    const label = field.label.charAt(0).toLowerCase() + field.label.slice(1);
    // `it must limp on: yes`, but `box 46 °F`
    const between = words === 'yes' || words === 'no' ? ': ' : ' ';
    return [BARE_FIELDS.includes(field.key) ? words : `${label}${between}${words}`];
  });
  return list(said);
}

const SPECIAL: readonly ((entry: Entry, names: Names) => string | null)[] = [
  (entry, names) => {
    const spot = readNote(entry, 'spot');
    return (
      spot &&
      list([
        names.parts.get(spot.part) ?? spot.words ?? spot.part,
        MARK_WORDS[spot.mark],
        spot.grade && GRADE_WORDS[spot.grade],
        spot.cause && FALSE_WORDS[spot.cause],
        spot.mark === 'lookedAt' && spot.method && `with ${methodWords(spot.method)}`,
        spot.leakId && leakWords(names, spot.leakId),
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
    return check && list([checkItemWords(check.item), statedWords(check.answer, () => 'done')]);
  },
  (entry, names) => {
    const preventive = readNote(entry, 'preventive');
    return (
      preventive &&
      list([
        preventive.part,
        preventive.place,
        preventive.how,
        preventive.leakId && `was told as ${leakWords(names, preventive.leakId)}`,
      ])
    );
  },
  (entry) => {
    const map = readNote(entry, 'map');
    return map && `drawn as ${LAYOUT_WORDS[map.layout as LayoutName]?.toLowerCase() ?? map.layout}`;
  },
  (entry, names) => {
    const evidence = readNote(entry, 'evidence');
    return evidence && list([leakWords(names, evidence.leakId), GRADE_WORDS[evidence.grade], evidence.words]);
  },
  (entry, names) => {
    const withdrawal = readNote(entry, 'withdrawal');
    return (
      withdrawal &&
      list([
        `${leakWords(names, withdrawal.leakId)} is no longer told as found`,
        withdrawal.place,
        withdrawal.why,
        statedWords<string>(withdrawal.toldOwner, (told) =>
          told === 'yes' ? 'the owner had been told' : 'the owner had not been told',
        ),
      ])
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
  (entry, names) => {
    const picture = readNote(entry, 'picture');
    return (
      picture && list([picture.pair, picture.leakId && leakWords(names, picture.leakId), picture.caption])
    );
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

/** What stood beside a hold or a first legal test: its section, valves, gas, minutes, in the words of the form. */
function conditionWords(entry: Entry, system: MassSystem): string | null {
  if (toolOf(entry) === 'jointTest') return null;
  const beside = entry as { conditions?: unknown; 'x-conditions'?: unknown };
  const conditions = beside.conditions ?? beside['x-conditions'];
  if (conditions === null || typeof conditions !== 'object') return null;
  return formWords(CONDITIONS_FORM, { ...entry, conditions } as unknown as Entry, system, NO_NAMES) || null;
}

/** An entry in words, a note of a visit in those of its own form. */
export function noteWords(entry: Entry, system: MassSystem, names: Names = NO_NAMES): string {
  for (const words of SPECIAL) {
    const said = words(entry, names);
    if (said !== null) return said;
  }
  const form = noteFormOf(toolOf(entry) ?? '');
  if (form) return formWords(form, entry, system, names);
  return list([entryWords(entry, system, names), conditionWords(entry, system)]);
}

/** Tools without a form of their own. */
const TOOL_TITLES: Partial<Record<string, string>> = {
  visitBegun: 'Visit',
  judgement: 'Diagnosis',
  spot: 'Looked at',
  map: 'Circuit map',
  evidence: 'Evidence',
  withdrawal: 'Withdrawn',
  valve: 'Valve',
  weighed: 'Weighed',
  school: 'Way of working',
  checklist: 'Checked',
  signed: 'Handed over',
  picture: 'Photo',
};

/** What an entry is called at the head of its line. */
export const entryTitle = (entry: Entry): string => {
  const tool = toolOf(entry) ?? '';
  return TOOL_TITLES[tool] ?? noteFormOf(tool)?.title ?? ENTRY_WORDS[entry.kind];
};
