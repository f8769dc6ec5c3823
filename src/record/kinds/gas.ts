/** Gas in and out, the full charge, and the bottles it comes from and goes to. */
import { type EntryKind, RECOVERED_INTO } from '../../core/logbook/entry';
import { ADDED_WORDS, FULL_CHARGE_WORDS, RECOVERED_INTO_WORDS, RECOVERED_WORDS } from '../../words/codes';
import { choices } from '../../words/choice';
import { cylinderWords, leakWords } from '../../words/names';
import { massWords } from '../../words/weights';
import type { Mass } from '../../core/quantity/mass';
import { type Ask, type Field, type Saying, chosen, unsaid } from '../field';
import { isWeighed } from '../notWeighed';
import { kindRecord } from '../record';

const mass: Field<Mass> = {
  ask: { type: 'mass', label: 'Amount', needed: true, when: ({ massUnknown }) => isWeighed(massUnknown) },
  say: (weighed, { system }) => massWords(weighed, system),
};
/** A weight that was not taken is never a figure. */
const massUnknown: Field<string> = {
  ask: { type: 'notWeighed', label: 'Not weighed' },
  say: (why, { entry }) => ('mass' in entry && entry.mass ? why : `not weighed: ${why}`),
};
/** Both ends of a move carry the same text, which is for programs. */
const moveId: Field<string> = unsaid;
const cylinderId = (hint?: string): Field<string> => ({
  ask: { type: 'cylinder', label: 'Bottle', optional: true, ...(hint ? { hint } : {}) },
  say: (id, { names }) => cylinderWords(names, id),
});

/** A move has two ends, which one entry cannot say: it is chosen nowhere, and stays where an entry says it. */
function reasons<Reason extends string>(words: Record<Reason | 'moved', string>): Ask {
  const { moved, ...offered } = words;
  return {
    type: 'choice',
    label: 'Reason',
    choices: choices(Object.keys(offered), offered as Record<string, string>),
    besides: [{ value: 'moved', words: moved }],
  };
}

/** What the weight is where none was taken: said, and never left out. */
const NOT_WEIGHED = { mass: null };

export const refrigerantAdded = kindRecord('refrigerantAdded', {
  name: 'Gas added',
  step: 'charge',
  paper: 'gas',
  correction: 'gas',
  fixed: NOT_WEIGHED,
  fields: {
    mass,
    massUnknown,
    reason: {
      ask: reasons(ADDED_WORDS),
      say: (reason: keyof typeof ADDED_WORDS) => ADDED_WORDS[reason].toLowerCase(),
    },
    leakId: {
      ask: { type: 'openLeak', label: 'For which leak', optional: true },
      say: (id, { names }) => `for ${leakWords(names, id)}`,
    },
    cylinderId: cylinderId(),
    moveId,
  },
});

export const refrigerantRecovered = kindRecord('refrigerantRecovered', {
  name: 'Gas recovered',
  step: 'isolate',
  paper: 'gas',
  correction: 'gas',
  fixed: NOT_WEIGHED,
  fields: {
    mass,
    massUnknown,
    reason: {
      ask: reasons(RECOVERED_WORDS),
      say: (reason: keyof typeof RECOVERED_WORDS) => RECOVERED_WORDS[reason].toLowerCase(),
    },
    into: {
      ask: {
        type: 'wayOut',
        label: 'Where it went',
        optional: true,
        choices: choices(RECOVERED_INTO, RECOVERED_INTO_WORDS),
      },
      say: (into, { entry }) =>
        into === 'outdoors'
          ? 'let out outdoors, where the law allows it'
          : // Its name says that it is one.
            !('cylinderId' in entry && entry.cylinderId) && 'into a bottle',
    },
    cylinderId: cylinderId('A recovery bottle may be filled to 80 % only; never mix gases.'),
    moveId,
  },
});

const ofRange = ({ entry }: Saying): boolean => entry.kind === 'fullChargeSet' && entry.method === 'range';

export const fullChargeSet = kindRecord('fullChargeSet', {
  name: 'Full charge set',
  step: 'charge',
  paper: 'gas',
  correction: 'form',
  title: 'Set the full charge',
  about: 'A good weigh-in is worth keeping for ever. Earlier calculations keep the figure that was in force.',
  saidFirst: ['mass', 'low'],
  fields: {
    method: {
      ...chosen('How it is known', FULL_CHARGE_WORDS),
      say: (method) => FULL_CHARGE_WORDS[method as keyof typeof FULL_CHARGE_WORDS],
    },
    mass: {
      ask: { type: 'mass', label: 'Full charge', when: (values) => values['method'] !== 'range' },
      say: (weighed, saying) => !ofRange(saying) && massWords(weighed, saying.system),
    },
    low: {
      ask: { type: 'mass', label: 'Low end', when: (values) => values['method'] === 'range' },
      say: (low, { entry, system }) =>
        entry.kind === 'fullChargeSet' &&
        entry.method === 'range' &&
        entry.high != null &&
        `${massWords(low, system)} to ${massWords(entry.high, system)}, the midpoint counts`,
    },
    high: {
      ask: {
        type: 'mass',
        label: 'High end',
        when: (values) => values['method'] === 'range',
        hint: 'The midpoint counts.',
      },
      say: null,
    },
  },
});

const bottle = <Kind extends Extract<EntryKind, `cylinder${string}`>>(kind: Kind, name: string) =>
  kindRecord<Extract<EntryKind, `cylinder${string}`>>(kind, {
    name,
    step: 'charge',
    paper: 'gas',
    correction: 'void',
    fields: {
      cylinderId: { ...cylinderId(), ask: null },
      gross: { ask: null, say: (gross: Mass, { system }) => `${massWords(gross, system)} gross` },
      mass: { ask: null, say: (net: Mass, { system }) => massWords(net, system) },
      counterparty: { ask: null, say: String },
    },
  });

export const cylinderWeighed = bottle('cylinderWeighed', 'Bottle weighed');
export const cylinderReceived = bottle('cylinderReceived', 'Bottle received');
export const cylinderSent = bottle('cylinderSent', 'Bottle sent');
export const cylinderTransferred = bottle('cylinderTransferred', 'Gas moved between bottles');
