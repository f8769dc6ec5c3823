/** Gas in and out, the full charge, and the bottles it comes from and goes to. */
import type { EntryKind } from '../../core/logbook/entry';
import { ADDED_WORDS, FULL_CHARGE_WORDS, RECOVERED_WORDS } from '../../words/codes';
import { cylinderWords, leakWords } from '../../words/names';
import { massWords } from '../../words/weights';
import type { Mass } from '../../core/quantity/mass';
import { type Field, type Saying, chosen, unsaid } from '../field';
import { kindRecord } from '../record';

/** A weight that was not taken is never a figure. */
const mass: Field<Mass> = {
  ask: null,
  say: (weighed, { system }) => massWords(weighed, system),
  sayNone: ({ entry }) => `not weighed: ${('massUnknown' in entry && entry.massUnknown) || ''}`,
};
/** Both ends of a move carry the same text, which is for programs. */
const moveId: Field<string> = unsaid;
const cylinderId: Field<string> = { ask: null, say: (id, { names }) => cylinderWords(names, id) };

export const refrigerantAdded = kindRecord('refrigerantAdded', {
  name: 'Gas added',
  step: 'charge',
  paper: 'gas',
  correction: 'gas',
  fields: {
    mass,
    massUnknown: unsaid,
    reason: { ask: null, say: (reason: keyof typeof ADDED_WORDS) => ADDED_WORDS[reason].toLowerCase() },
    leakId: { ask: null, say: (id, { names }) => `for ${leakWords(names, id)}` },
    cylinderId,
    moveId,
  },
});

export const refrigerantRecovered = kindRecord('refrigerantRecovered', {
  name: 'Gas recovered',
  step: 'isolate',
  paper: 'gas',
  correction: 'gas',
  fields: {
    mass,
    massUnknown: unsaid,
    reason: {
      ask: null,
      say: (reason: keyof typeof RECOVERED_WORDS) => RECOVERED_WORDS[reason].toLowerCase(),
    },
    into: { ask: null, say: (into) => into === 'outdoors' && 'let out outdoors, where the law allows it' },
    cylinderId,
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
      cylinderId,
      gross: { ask: null, say: (gross: Mass, { system }) => `${massWords(gross, system)} gross` },
      mass: { ask: null, say: (net: Mass, { system }) => massWords(net, system) },
      counterparty: { ask: null, say: String },
    },
  });

export const cylinderWeighed = bottle('cylinderWeighed', 'Bottle weighed');
export const cylinderReceived = bottle('cylinderReceived', 'Bottle received');
export const cylinderSent = bottle('cylinderSent', 'Bottle sent');
export const cylinderTransferred = bottle('cylinderTransferred', 'Gas moved between bottles');
