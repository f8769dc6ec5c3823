/** Deciding, isolating, repairing: what is done to the machine, and what must not be forgotten of it. */
import type { Mass } from '../../core/quantity/mass';
import { CHOICE_WORDS, DISCONNECTED_WORDS, WAY_WORDS } from '../../words/leaks';
import { leakWords } from '../../words/names';
import { massWords } from '../../words/weights';
import {
  type Field,
  type Values,
  bare,
  chosen,
  long,
  measure,
  named,
  oneOf,
  statedChoice,
  statedDay,
  statedText,
  text,
  unsaid,
  yesOrNo,
} from '../field';
import { noteRecord } from '../record';

const runsOn = (values: Values): boolean => values['choice'] === 'runOn';
const said = (field: Field, words: Record<string, string>): Field => ({
  ...field,
  say: (value) => words[String(value)] ?? String(value),
});

export const decision = noteRecord('decision', {
  name: 'Decision',
  step: 'decide',
  correction: 'form',
  about: 'Who decides, why, and until when.',
  fields: {
    choice: said(oneOf('What', CHOICE_WORDS), CHOICE_WORDS),
    leakId: {
      ask: { label: 'For which leak', type: 'openLeak', optional: true },
      say: (id, { names }) => `for ${leakWords(names, id)}`,
    },
    why: bare(long('Reason', { optional: true, needed: (values) => values['choice'] !== 'repairNow' })),
    decidedBy: text('Decided by', { hint: 'The owner’s representative, by name.' }),
    until: statedDay('Until', { needed: true, hint: 'Running on has an end.', when: runsOn }),
    expectedLoss: {
      ask: { label: 'Gas expected to be lost until then', type: 'mass', stated: true, when: runsOn },
      say: (lost, { system }) => `gas expected to be lost until then ${massWords(lost as Mass, system)}`,
    },
    atPressure: measure('Pressure at which it showed', 'pressure', { when: runsOn }),
  },
});

const wayOf = (values: Values): string => String(values['way'] ?? '');

export const isolation = noteRecord('isolation', {
  name: 'How it was isolated',
  step: 'isolate',
  correction: 'form',
  about: 'Which way, and whether air came in.',
  fields: {
    way: said(chosen('Way', WAY_WORDS), WAY_WORDS),
    foundAt: measure('Found empty at', 'pressure', { when: (values) => wayOf(values) === 'foundEmpty' }),
    downTo: measure('Down to', 'pressure', {
      when: (values) => ['pumpDown', 'bled'].includes(wayOf(values)),
    }),
    section: text('Section'),
    leftPressure: measure('Pressure left before it was opened', 'pressure'),
    openedToAir: yesOrNo('Opened to air', {
      when: (values) => wayOf(values) !== '' && wayOf(values) !== 'none',
    }),
  },
});

export const valve = noteRecord('valve', {
  name: 'Valve',
  step: 'isolate',
  correction: 'void',
  fields: {
    valve: bare(named('Valve')),
    state: {
      ask: null,
      say: (state) => ({ shut: 'shut', open: 'open again', leftShut: 'left shut' })[state],
    },
    ofCompressor: unsaid,
    part: unsaid,
    why: bare(long('Why it stays shut')),
    holds: { ask: null, say: (holds) => (holds === 'no' ? 'does not hold' : 'holds') },
  },
});

export const disconnected = noteRecord('disconnected', {
  name: 'Taken off for a while',
  step: 'isolate',
  correction: 'void',
  about: 'What is taken off or bypassed for the work goes on the list of what is put back.',
  fixed: { state: 'off' },
  fields: {
    what: said(oneOf('What', DISCONNECTED_WORDS), DISCONNECTED_WORDS),
    name: bare(text('Which one')),
    state: { ask: null, say: (state) => ({ off: 'off', back: 'back on' })[state] },
    why: bare(text('Why')),
  },
});

export const gaugeCheck = noteRecord('gaugeCheck', {
  name: 'Gauge against gauge',
  step: 'read',
  correction: 'form',
  about: 'Two instruments at one place: which one is believed.',
  fields: {
    place: bare(text('Place')),
    one: { ask: { label: 'One reads', type: 'measure', dimension: 'pressure', needed: true } },
    other: { ask: { label: 'The other reads', type: 'measure', dimension: 'pressure', needed: true } },
    trusted: text('Believed', { hint: 'Which of the two, and why.' }),
  },
});

export const heated = noteRecord('heated', {
  name: 'Heated or bent',
  step: 'repair',
  correction: 'form',
  about: 'It goes on the list of what is tested.',
  fields: {
    part: bare(named('Part', { hint: 'Name it as you will name the section under test.' })),
    what: chosen('What happened to it', { heated: 'heated', bent: 'bent', both: 'heated and bent' }),
  },
});

export const setting = noteRecord('setting', {
  name: 'Setting of a control',
  step: 'repair',
  correction: 'form',
  about: 'Before and after: a control exchanged without its old settings is a riddle.',
  fields: {
    control: bare(named('Control')),
    before: statedText('Before'),
    after: statedText('After'),
    why: bare(text('Reason')),
  },
});

export const drier = noteRecord('drier', {
  name: 'Drier',
  step: 'repair',
  correction: 'form',
  about: 'Changed last before the vacuum, and dated; or why not.',
  fixed: { part: 'Drier' },
  fields: { part: unsaid, changed: statedChoice('Changed', { yes: 'yes' }), place: text('Place') },
});

export const preventive = noteRecord('preventive', {
  name: 'Preventive work',
  step: 'repair',
  correction: 'form',
  about: 'Not a leak repair: a rubbed line sleeved, a rotten pipe exchanged.',
  fixed: { preventive: true },
  fields: {
    part: bare(named('Part')),
    place: bare(text('Place')),
    how: bare(long('What was done', { optional: true })),
    preventive: unsaid,
    leakId: { ask: null, say: (id, { names }) => `was told as ${leakWords(names, id)}` },
  },
});
