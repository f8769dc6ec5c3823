/** Every refusal, warning, guard and gap has words that say what is wrong and what to do, with its figures put in. */
import { describe, expect, test } from 'vitest';
import { SENSE_WARNINGS, type SenseError } from '../core/logbook/sense';
import { dayOf } from '../core/quantity/day';
import type { MassRefusal } from '../core/quantity/mass';
import type { Why } from '../core/rules/obligation';
import type { RecordGap } from '../core/rules/recordGaps';
import { CAUTIONS } from '../core/visit/cautions';
import { WEAKNESSES } from '../core/visit/leaks/evidence';
import type { Guard } from '../core/visit/guards';
import type { LeakStory } from '../core/visit/leaks/leakStory';
import { STEPS } from '../core/visit/steps';
import { list, listAnd, uncapped } from './list';
import { gapWords } from './gaps';
import { VOIDING } from '../core/visit/leaks/evidence';
import { leakLine, weakWords } from './leaks';
import { refusedWords } from './refused';
import { NO_NAMES } from './names';
import { WARNING_WORDS, massRefusalWords, senseErrorWords, senseProblemWords } from './refusals';
import { CAUTION_WORDS, STEP_WORDS, guardWords } from './steps';
import { whyWords } from './why';
import { lossUnknownWords, lossWords } from './yearLoss';
import { exactGrams } from '../core/quantity/mass';

const day = dayOf('2026-06-01');
/** A sentence that a person can act on: no hole in it, no code. */
const sound = (words: string): void => {
  expect(words).not.toMatch(/undefined|null|NaN|\[object|[a-z][A-Z]/);
  expect(words.length).toBeGreaterThan(3);
};

const SENSE: { [Code in SenseError['code']]: [Extract<SenseError, { code: Code }>, RegExp, RegExp] } = {
  futureDate: [{ code: 'futureDate', field: 'on', today: day }, /1 Jun 2026/, /2026-06-01/],
  moreThanAnyMachine: [
    { code: 'moreThanAnyMachine', field: 'mass', limitGrams: 4_535_923.7 },
    /10000 lb/,
    /check the figure/,
  ],
  rangeReversed: [{ code: 'rangeReversed', field: 'high' }, /low end/, /low end/],
  supersedesDead: [{ code: 'supersedesDead', field: 'supersedes' }, /replaced it/, /replaced it/],
  notToBeLetOut: [{ code: 'notToBeLetOut', field: 'into', refrigerant: 'R-448A' }, /R-448A/, /R-448A/],
};

test.each(Object.values(SENSE))('$code: to a person, and of its field', (error, said, ofField) => {
  expect(senseErrorWords(error)).toMatch(said);
  expect(senseErrorWords(error)).toMatch(/\.$/);
  expect(senseProblemWords(error)).toMatch(ofField);
});

const MASS: { [Reason in MassRefusal['reason']]: Extract<MassRefusal, { reason: Reason }> } = {
  empty: { reason: 'empty' },
  notAMass: { reason: 'notAMass', text: 'some' },
  decimalComma: { reason: 'decimalComma', text: '1,5 kg' },
  unknownUnit: { reason: 'unknownUnit', unit: 'stone' },
  negative: { reason: 'negative' },
};
test.each(Object.values(MASS))('a weight that is refused for $reason says how to type it', (refusal) => {
  sound(massRefusalWords(refusal));
});
test('an unknown unit is named', () => {
  expect(massRefusalWords(MASS.unknownUnit)).toContain('“stone”');
});

test('every warning, caution, weakness and step has a sentence of its own', () => {
  for (const each of SENSE_WARNINGS) sound(WARNING_WORDS[each]);
  for (const each of CAUTIONS) sound(CAUTION_WORDS[each]);
  for (const each of STEPS) for (const words of Object.values(STEP_WORDS[each])) sound(words);
  expect(new Set(CAUTIONS.map((each) => CAUTION_WORDS[each])).size).toBe(CAUTIONS.length);
  for (const each of WEAKNESSES) {
    const said = weakWords([each]);
    sound(said?.words ?? '');
    expect(said?.words.startsWith('Proves nothing')).toBe(VOIDING.includes(each));
  }
  expect(weakWords([])).toBeNull();
});

const leak: LeakStory = {
  id: 'l',
  label: 'k1',
  state: 'confirmed',
  place: 'king valve',
  part: null,
  since: day,
  grade: 'bubbles',
  deferred: null,
  because: null,
  falseCause: null,
  toldOwner: false,
  onSuspicion: false,
  visitId: null,
};
const valve = {
  valve: 'king valve',
  shutOn: day,
  ofCompressor: true,
  part: null,
  leftShut: null,
  leaksBy: false,
};

const GUARDS: { [Code in Guard['code']]: [Extract<Guard, { code: Code }>, RegExp] } = {
  doNotStart: [
    { code: 'doNotStart', valves: [valve, { ...valve, valve: 'liquid valve' }] },
    /king valve and liquid valve are shut/,
  ],
  readFirst: [{ code: 'readFirst', missing: ['amps', 'standing'] }, /amps and standing pressure/],
  openSolenoidFirst: [{ code: 'openSolenoidFirst' }, /compressor stopped/],
  releaseNotSaid: [{ code: 'releaseNotSaid' }, /never hidden/],
  searchBeforeCharge: [{ code: 'searchBeforeCharge' }, /find the leak first/],
  firstTestBeforeGas: [{ code: 'firstTestBeforeGas', leakIds: ['k2'] }, /leak k2/],
  drierLast: [{ code: 'drierLast' }, /drier/],
  holdBeforeVacuum: [{ code: 'holdBeforeVacuum' }, /under pressure first/],
  vacuumBeforeCharge: [{ code: 'vacuumBeforeCharge' }, /evacuated/],
  valveShut: [{ code: 'valveShut', valves: [valve] }, /Still shut: king valve/],
  heatedUntested: [{ code: 'heatedUntested', parts: ['stub'] }, /stub/],
  thermometersDiffer: [{ code: 'thermometersDiffer', by: 5 }, /9 °F/],
  valveLeaksBy: [{ code: 'valveLeaksBy', valves: [valve] }, /King valve.*proves little/i],
  stillFed: [{ code: 'stillFed', places: ['roses'] }, /roses.*pump down two/],
  nothingTested: [{ code: 'nothingTested' }, /nothing was tested/],
  disconnected: [{ code: 'disconnected', what: ['timer'] }, /timer, bypassed/],
  otherBoxWarm: [{ code: 'otherBoxWarm' }, /the unit/],
  temporaryLate: [{ code: 'temporaryLate', parts: ['clamp-on valve'] }, /clamp-on valve/],
  replacedAgain: [{ code: 'replacedAgain', parts: ['fan motor'] }, /find the cause/i],
  undecidedLeak: [{ code: 'undecidedLeak', leaks: [leak] }, /Leak k1/],
  suspectedLeak: [{ code: 'suspectedLeak', leaks: [leak] }, /never told as found: king valve/],
};
test.each(Object.values(GUARDS))('guard $code', (guard, said) => {
  const words = guardWords(guard, 'us', new Map());
  expect(words).toMatch(said);
  sound(words);
});

const GAPS: { [Code in RecordGap['code']]: [Extract<RecordGap, { code: Code }>, RegExp] } = {
  noFullCharge: [{ code: 'noFullCharge', day: null }, /no leak rate/],
  notWeighed: [{ code: 'notWeighed', why: 'no scale' } as never, /no scale/],
  noCertificate: [{ code: 'noCertificate', person: 'Ike' } as never, /Ike/],
  certificateExpired: [{ code: 'certificateExpired', person: 'Ike', expired: day } as never, /1 Jun 2026/],
  testWithoutConditions: [
    { code: 'testWithoutConditions', missing: ['section', 'testGas'] } as never,
    /section, test gas/,
  ],
  leakWithoutPlace: [{ code: 'leakWithoutPlace', leakId: 'k4' } as never, /k4/],
  inspectionWithoutMethod: [{ code: 'inspectionWithoutMethod' } as never, /methods/],
  overdue: [{ code: 'overdue', kind: 'repair' } as never, /was due/],
};
test.each(Object.values(GAPS))('gap $code of a record', (gap, said) => {
  expect(gapWords(gap, NO_NAMES)).toMatch(said);
});

describe('why something is due', () => {
  test.each<[Why, string]>([
    [
      { rule: 'partsExtension', openedOn: day, deliveredOn: day, afterDelivery: 30, capDays: 180 },
      'Parts came 1 Jun 2026; 30 days from then, at most 180 days from 1 Jun 2026',
    ],
    [
      { rule: 'followUpMonths', repairedOn: day, months: 1 } as Why,
      'Within 1 month of the repair on 1 Jun 2026, after a day of running',
    ],
    [
      { rule: 'planDone', filedOn: day, months: 12 } as Why,
      'Plan filed 1 Jun 2026; 12 months to carry it out',
    ],
    [
      { rule: 'always', basis: 'recordFrom', since: day, everyMonths: 3 } as Why,
      'Every 3 months; none recorded since this record began 1 Jun 2026',
    ],
    [
      { rule: 'atAddition', addedOn: day } as Why,
      'A large addition on 1 Jun 2026 asks for an inspection that day',
    ],
  ])('%o', (why, said) => {
    expect(whyWords(why)).toBe(said);
  });
});

describe('what was lost in a year', () => {
  const loss = (net: bigint, unknown: unknown[] = [], bound: string | null = null) =>
    ({ net, unknown, bound }) as never;
  const POUND = exactGrams({ value: 1, unit: 'lb' });

  test('is never nothing where something is not known', () => {
    expect(lossWords(loss(0n), 'pounds')).toBe('nothing');
    expect(lossWords(loss(0n, [{}]), 'pounds')).toBe('not known yet');
    expect(lossWords(loss(POUND, [{}], 'atLeast'), 'pounds')).toBe('at least 1 lb');
    expect(lossWords(loss(POUND, [{}], 'atMost'), 'pounds')).toBe('1 lb at most');
    expect(lossWords(loss(POUND, [{}, {}], 'neither'), 'pounds')).toBe('1 lb by what was weighed alone');
  });

  test('says what is not known', () => {
    expect(lossUnknownWords({ code: 'notWeighed', days: [day] } as never)).toBe('1 Jun 2026 not weighed');
    expect(lossUnknownWords({ code: 'foundEmpty', on: day } as never)).toContain('found empty 1 Jun 2026');
    expect(lossUnknownWords({ code: 'leakOpen' } as never)).toContain('not weighed in yet');
  });
});

test('words set side by side', () => {
  expect(list(['Box warm.', null, false, 'since noon.'])).toBe('Box warm, since noon.');
  expect(listAnd(['suction'])).toBe('suction');
  expect(listAnd(['suction', 'head', 'frost'])).toBe('suction, head and frost');
  expect(listAnd([])).toBe('');
  expect(uncapped('Box temperature')).toBe('box temperature');
  expect([refusedWords(['Way']), refusedWords(['Way', 'Day', 'Reason'])]).toEqual([
    'Not saved yet: “Way” wants another look.',
    'Not saved yet: “Way” and 2 more want another look.',
  ]);
});

test('a leak is told with its evidence, who put it off, and why it is none', () => {
  expect(leakLine(leak)).toBe('bubbles');
  expect(
    leakLine({
      ...leak,
      deferred: { choice: 'runOn', why: 'milk in it', until: '2026-12-15', decidedBy: 'Prue' } as never,
    }),
  ).toBe('bubbles · milk in it, until 15 Dec 2026, decided by Prue');
  expect(leakLine({ ...leak, grade: null, state: 'repaired', onSuspicion: true, because: 'soap' })).toBe(
    'exchanged on suspicion · soap',
  );
});
