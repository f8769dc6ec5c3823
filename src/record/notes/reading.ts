/** Arriving, reading the machine, and judging it. */
import type { CauseName } from '../../core/diagnosis/causes';
import { READINGS, type Reading } from '../../core/diagnosis/readings';
import {
  CIRCUMSTANCE_NAMES,
  NUMBER_NAMES,
  NUMBER_PLACES,
  SIGN_NAMES,
} from '../../core/visit/readings/places';
import { CAUSE_WORDS, READING_WORDS, VALUE_WORDS } from '../../words/diagnosis';
import { NUMBER_HINTS, NUMBER_WORDS, PHASE_WORDS, placeWords, signChoices } from '../../words/readings';
import { TEST_GAS_WORDS } from '../../words/leaks';
import { partWordsOf } from '../../words/names';
import {
  type Field,
  type Values,
  bare,
  chosen,
  long,
  measure,
  oneOf,
  statedChoice,
  text,
  yesOrNo,
} from '../field';
import { noteRecord } from '../record';

export const visitBegun = noteRecord('visitBegun', {
  name: 'Visit',
  step: 'before',
  paper: 'heading',
  correction: 'void',
  sentence: 'begun',
  fields: {},
});

export const arrival = noteRecord('arrival', {
  name: 'What you meet',
  step: 'arrive',
  correction: 'form',
  about: 'Complaint, since when, and what is at risk.',
  fields: {
    complaint: bare(long('Complaint', { optional: true, hint: 'In the words of whoever called.' })),
    since: text('Since', { hint: 'Last night, Saturday noon, a week.' }),
    alarmAt: text('Alarm of the temperature monitoring', { hint: 'Day and hour; empty if there is none.' }),
    // Read at the box on the drawing; entries from before say it here.
    box: { ...measure('Box temperature', 'temperature'), elsewhere: true },
    secondBox: { ...measure('Second thermometer', 'temperature'), elsewhere: true },
    outOfTemperature: measure('Out of temperature for', 'duration', { hint: 'Such as 6 h or 2 d.' }),
    product: statedChoice('Product', {
      none: 'none in it',
      safe: 'safe',
      atRisk: 'at risk',
      moved: 'moved away',
      lost: 'lost',
    }),
    mayLimp: yesOrNo('It must limp on until parts are here'),
    otherBoxWarm: yesOrNo('Another box on the same unit is warm too'),
  },
});

const numbers = Object.fromEntries(
  NUMBER_NAMES.map((name) => [
    `numbers.${name}`,
    measure(NUMBER_WORDS[name], NUMBER_PLACES[name].dimension, {
      ...(NUMBER_HINTS[name] ? { hint: NUMBER_HINTS[name] } : {}),
    }),
  ]),
);
const signs = Object.fromEntries(
  [...SIGN_NAMES, ...CIRCUMSTANCE_NAMES].map((name) => [
    `signs.${name}`,
    statedChoice(
      placeWords(name),
      Object.fromEntries(signChoices(name).map(({ value, words }) => [value, words])),
    ),
  ]),
);

/** Told by figures; what an older entry says of them as a word is said still. */
const BY_NUMBERS: readonly Reading[] = ['suction', 'head', 'superheat', 'subcooling', 'standing', 'amps'];
const told = Object.fromEntries(
  BY_NUMBERS.map((reading): [string, Field] => [
    `signs.${reading}`,
    {
      ...statedChoice(
        READING_WORDS[reading],
        Object.fromEntries(
          Object.keys(READINGS[reading].usual).map((value) => [
            value,
            VALUE_WORDS[`${reading} ${value}`] ?? value,
          ]),
        ),
      ),
      elsewhere: true,
    },
  ]),
);

export const reading = noteRecord('reading', {
  name: 'Readings',
  step: 'read',
  correction: 'form',
  about: 'Each at its place on the drawing, with its time.',
  fixed: { numbers: {}, signs: {} },
  fields: {
    phase: { ...oneOf('Taken', PHASE_WORDS), say: (phase) => PHASE_WORDS[phase] },
    part: { ask: null, say: (id, { names }) => `at ${partWordsOf(names, id)}` },
    // Told field by field, in the order of the round.
    numbers: { within: {} },
    signs: { within: {} },
    ...numbers,
    ...signs,
    ...told,
  },
});

export const judgement = noteRecord('judgement', {
  name: 'Diagnosis',
  step: 'judge',
  correction: 'void',
  about: 'Yours, in your words; the shares above are kept beside it.',
  fixed: { causes: {} },
  fields: {
    verdict: bare(long('What is wrong with it')),
    causes: {
      ask: null,
      say: (shares) => {
        const best = Object.entries(shares).sort(([, a], [, b]) => b - a)[0];
        return (
          best !== undefined &&
          `most likely ${CAUSE_WORDS[best[0] as CauseName].toLowerCase()}, ${String(Math.round(best[1] * 100))} %`
        );
      },
    },
  },
});

const nitrogenIn = ({ how }: Values): boolean => typeof how === 'string' && how.startsWith('nitrogen');

export const raised = noteRecord('raised', {
  name: 'Pressure raised',
  step: 'raise',
  correction: 'form',
  about:
    'Stop the compressor with the solenoid open, before any pump-down; nitrogen only where its own pressure at rest is too little.',
  fields: {
    how: {
      ...chosen('How', {
        rest: 'its own gas, at rest',
        nitrogen: TEST_GAS_WORDS.nitrogen,
        nitrogenTrace: TEST_GAS_WORDS.nitrogenTrace,
        nitrogenHydrogen: TEST_GAS_WORDS.nitrogenHydrogen,
      }),
    },
    before: measure('Pressure before', 'pressure'),
    solenoidOpen: yesOrNo('Solenoid open, before any pump-down'),
    order: text('Switched in this order', { hint: 'Such as: compressor off, solenoid open, fan off.' }),
    // At rest it is the standing pressure, read on the drawing.
    pressure: measure('Pressure reached', 'pressure', { when: nitrogenIn }),
    design: measure('Least marked design pressure of the section', 'pressure', { when: nitrogenIn }),
  },
});

export const proof = noteRecord('proof', {
  name: 'How it runs now',
  step: 'prove',
  correction: 'form',
  about: 'What the readings do not say: the control, defrost, the second search.',
  fields: {
    // Computed from the readings; entries from before say them here.
    box: { ...measure('Box', 'temperature'), elsewhere: true },
    superheat: { ...measure('Superheat', 'temperatureDifference'), elsewhere: true },
    subcooling: { ...measure('Subcooling', 'temperatureDifference'), elsewhere: true },
    split: { ...measure('Condenser split', 'temperatureDifference'), elsewhere: true },
    cutIn: measure('Control cuts in at', 'pressure'),
    cutOut: measure('Control cuts out at', 'pressure'),
    defrost: statedChoice('Defrost', { works: 'works', failed: 'failed' }),
    secondSearch: statedChoice('Second search with the detector', { clean: 'clean', hit: 'a hit' }),
  },
});
