/** Leaks: found, repaired, tested, and the inspections that look for them. */
import { TEST_GASES } from '../../core/logbook/entry';
import { type JointWay, METALS } from '../../core/visit/joints';
import { draftOf } from '../statedDraft';
import { choices } from '../../words/choice';
import { JOINT_WAY_WORDS, METAL_WORDS, METHOD_NAMES, TEST_GAS_WORDS, methodWords } from '../../words/leaks';
import { list } from '../../words/list';
import { leaksWords, partWordsOf } from '../../words/names';
import { statedWords } from '../../words/stated';
import {
  type Field,
  sayLeak,
  bare,
  chosen,
  long,
  statedChoice,
  statedText,
  text,
  unsaid,
  yesOrNo,
} from '../field';
import { kindRecord } from '../record';
import { besideLegalTest } from '../conditions';

const METHODS = choices(Object.keys(METHOD_NAMES) as (keyof typeof METHOD_NAMES)[], METHOD_NAMES);
const methods = (label: string): Field<string[]> => ({
  ask: { type: 'many', label, choices: METHODS, optional: true },
  say: (given) => given.map(methodWords).join(' and '),
});

/** Id of a part on the circuit map; `beside`: the field that may have said its name already. */
const drawnPart = (beside: string): Field<string> => ({
  ask: null,
  say: (id, { entry, names }) => {
    const said = (entry as Partial<Record<string, unknown>>)[beside];
    const known = typeof said === 'string' ? said.toLowerCase() : '';
    const words = partWordsOf(names, id);
    return known !== '' && words.toLowerCase().startsWith(known) ? null : words;
  },
});

export const leakFound = kindRecord('leakFound', {
  name: 'Leak found',
  step: 'search',
  correction: 'form',
  about: 'A hit is not a leak until bubbles or an equally sure sign confirm it.',
  drawnAt: 'part',
  fields: {
    leakId: { ask: { type: 'newLeak', label: 'Leak' }, say: sayLeak },
    label: unsaid,
    component: bare(text('Part', { hint: 'Flare nut, U-bend, valve stem …' })),
    location: bare(text('Place')),
    part: drawnPart('component'),
    methods: methods('Found with'),
    confirmedBy: { ask: null, say: (who) => `confirmed by ${who}` },
    sizeGuess: { ...text('Size, as guessed'), say: (size) => `size guessed: ${String(size)}` },
  },
});

const metal = (label: string): Field => ({ ...statedChoice(label, METAL_WORDS), say: null });
const metalWords = (value: unknown): string | null =>
  statedWords<unknown>(value, (given) => METALS.find((each) => each === given) ?? wordsOf(given));
const wordsOf = (value: unknown): string => (typeof value === 'string' ? value : JSON.stringify(value));

/** Both metals, nitrogen, and what else a file tells of the joint: as a text of the format, or as facts. */
function jointWords(joint: string | Record<string, unknown>): string | null {
  if (typeof joint === 'string') return joint.trim() === '' ? null : `joint ${joint}`;
  const { way, one, other, nitrogen, marked, ...rest } = joint;
  const made = statedWords<unknown>(way, (given) => JOINT_WAY_WORDS[given as JointWay] ?? wordsOf(given));
  const marks = statedWords<unknown>(marked, wordsOf);
  const metals = [metalWords(one), metalWords(other)].filter(Boolean);
  const flowing = statedWords<unknown>(nitrogen, wordsOf);
  return list([
    made,
    marks !== null && (marks === 'yes' ? 'marked and cured' : `marked and cured: ${marks}`),
    metals.length > 0 && `joint ${metals.join(' to ')}`,
    flowing !== null && (flowing === 'yes' ? 'nitrogen flowing' : `nitrogen flowing: ${flowing}`),
    ...Object.entries(rest).map(([key, value]) => `${key} ${statedWords<unknown>(value, wordsOf) ?? ''}`),
  ]);
}

export const leakRepaired = kindRecord('leakRepaired', {
  name: 'Leak repaired',
  step: 'repair',
  correction: 'form',
  about: 'Take note of what will be the next leak, and do it too.',
  caution:
    'Hot work: no flame on flammable refrigerant until the circuit is purged and the air tested; refrigerant in a flame makes toxic gas. Fire watch, ventilate; a certified person does this work and local code decides.',
  drawnAt: 'part',
  fields: {
    leakId: { ask: { type: 'leak', label: 'Leak' }, say: sayLeak },
    label: unsaid,
    // The format has no field for the place in words of what was exchanged on suspicion.
    'x-place': { ask: null, say: String },
    part: drawnPart('x-place'),
    how: bare(long('How', { optional: true })),
    parts: { ask: null, say: (parts: string[]) => parts.length > 0 && `parts: ${parts.join(', ')}` },
    evacuated: {
      ask: {
        type: 'check',
        initial: false,
        label: 'Evacuated for the repair',
        hint: 'The machine or the isolated part was evacuated, not only opened. The days of the second test then start at normal operation.',
      },
      say: (evacuated) => evacuated && 'evacuated for it',
    },
    onSuspicion: { ask: null, say: (on: boolean) => on && 'exchanged on suspicion, never shown to leak' },
    joint: { ask: null, say: jointWords },
    'joint.way': { ...statedChoice('Joined by', JOINT_WAY_WORDS), say: null },
    'joint.marked': {
      ...yesOrNo('Depth marked, cured or pressed fully'),
      ask: {
        label: 'Depth marked, cured or pressed fully',
        type: 'choice',
        stated: true,
        choices: [
          { value: 'yes', words: 'yes' },
          { value: 'no', words: 'no' },
        ],
        when: (values) => draftOf(values['joint.way']).text === 'pressed',
      },
      say: null,
    },
    'joint.one': metal('One metal of the joint'),
    'joint.other': metal('The other metal'),
    'joint.nitrogen': { ...yesOrNo('Nitrogen flowing through the pipe'), say: null },
    renewed: {
      ...statedText('Seals and cores renewed', { hint: 'What was squashed once is not squashed again.' }),
      say: (renewed) => {
        const said = Array.isArray(renewed) ? renewed.join(', ') : renewed;
        return typeof said === 'string' && said !== '' && `renewed ${said}`;
      },
    },
  },
});

export const verificationTest = kindRecord('verificationTest', {
  name: 'Test after repair',
  step: 'prove',
  paper: 'tested',
  correction: 'form',
  about:
    'The first test comes before gas goes back in, the second within days of normal running. A pass is only as good as its conditions.',
  caution:
    'Nitrogen only through a regulator, never oxygen or compressed air, and never above the lowest marked design pressure of the section.',
  fields: {
    stage: {
      ask: {
        type: 'choice',
        label: 'Which test',
        choices: [
          { value: 'initial', words: 'First (initial)' },
          { value: 'followUp', words: 'Second (follow-up)' },
        ],
      },
      say: (stage, { entry }) =>
        `${stage === 'initial' ? 'first' : 'second'} test ${'result' in entry && entry.result === 'pass' ? 'passed' : 'FAILED'}`,
    },
    result: { ...chosen('Result', { pass: 'Passed', fail: 'Failed' }), say: null },
    leakIds: {
      ask: { type: 'leaks', label: 'Leaks tested', optional: true, hint: 'None ticked: the whole machine.' },
      say: (ids, { names }) => (ids.length > 0 ? leaksWords(names, ids) : 'whole machine'),
      sayNone: () => 'whole machine',
    },
    section: bare(text('Section', { hint: 'Which part stood under test, with which valves open.' })),
    testGas: {
      ask: {
        type: 'choice',
        label: 'Test gas',
        optional: true,
        choices: [{ value: '', words: 'not recorded' }, ...choices(TEST_GASES, TEST_GAS_WORDS)],
      },
      say: (gas) => TEST_GAS_WORDS[gas],
    },
    atJoint: {
      ask: { type: 'pressure', label: 'Pressure at the joint', optional: true },
      say: ({ value, unit }) => `${String(value)} ${unit} at the joint`,
    },
    method: bare(text('Method')),
    // The format has no field for the minutes and valves of a test; they stand beside it.
    'x-conditions': { within: besideLegalTest },
  },
});

export const leakInspection = kindRecord('leakInspection', {
  name: 'Leak inspection',
  step: 'search',
  correction: 'form',
  about: 'Every visible and accessible part. What was left out is named with its reason.',
  saidFirst: ['allAccessibleInspected'],
  fields: {
    methods: methods('Methods'),
    allAccessibleInspected: {
      ask: {
        type: 'choice',
        chosen: true,
        label: 'Were all visible and accessible parts inspected?',
        choices: [
          { value: 'true', words: 'Yes, all of them' },
          { value: 'false', words: 'No: kept, but it fulfils no duty' },
        ],
      },
      say: (all) => (all ? 'all accessible parts' : 'not all accessible parts: does not count'),
      sayNone: () => 'all accessible parts',
    },
    partsLeftOut: {
      ask: {
        type: 'partsLeftOut',
        label: 'Left out, and why',
        optional: true,
        hint: 'One a line, such as “condenser fins: ice”.',
      },
      say: (parts) =>
        list(
          parts.map(({ part, reason }) =>
            reason.trim() === '' ? `left out ${part}, reason not recorded` : `left out ${part} (${reason})`,
          ),
        ),
    },
    leaksFound: {
      ask: { type: 'leaks', label: 'Leaks found', optional: true },
      say: (ids, { names }) => ids.length > 0 && `found ${leaksWords(names, ids)}`,
    },
  },
});
