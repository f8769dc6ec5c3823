/** Whatever was typed is shown somewhere: every kind and every note, every field that holds words or figures. */
import { describe, expect, test } from 'vitest';
import { ENTRY_KINDS, type Entry, type EntryKind, entrySchema } from '../core/logbook/entry';
import { NOTES, type NoteName } from '../core/visit/notes/notes';
import { noteProblems } from '../core/visit/notes/noteProblems';
import { NO_NAMES } from '../words/names';
import { PAPER_BLOCKS } from './paperBlocks';
import { entryTitle, sentenceOf } from './sentence';
import { blockOf, stepOf, stepsRecorded } from './whereItStands';
import { FORM_KINDS } from './forms';
import { KINDS, NOTE_RECORDS } from './records';
import { askedFields, fieldsOf } from './record';
import type { AskedField } from './field';
import { STEPS } from '../core/visit/steps';

const lb = (value: number) => ({ value, unit: 'lb' });
const common = { id: 'e', on: '2026-11-23', by: 'p', applianceId: 'a' };
const measured = (typed: string) => ({ typed, si: 1, unit: 'x' });

/** Each kind with every field that people fill, and the words that must be found again. */
const FILLED: Record<Exclude<EntryKind, 'void'>, [fields: object, shown: string[]]> = {
  fullChargeSet: [{ method: 'range', low: lb(61), high: lb(83) }, ['61 lb', '83 lb', 'estimate']],
  refrigerantAdded: [
    { mass: lb(7), reason: 'recharge', leakId: 'k7', cylinderId: 'c7' },
    ['7 lb', 'recharge', 'k7', 'c7'],
  ],
  refrigerantRecovered: [
    { mass: null, massUnknown: 'scale flat', reason: 'repair', cylinderId: 'c8', into: 'outdoors' },
    ['scale flat', 'repair', 'c8', 'outdoors'],
  ],
  leakFound: [
    {
      leakId: 'k1',
      label: 'k1',
      part: 'room2.flareNut',
      component: 'nut',
      location: 'roof',
      methods: ['bubbles', 'dye'],
      confirmedBy: 'Ike',
      sizeGuess: 'a pea',
    },
    ['k1', 'flare nut', 'nut', 'roof', 'bubbles', 'dye', 'Ike', 'a pea'],
  ],
  leakRepaired: [
    {
      leakId: 'k1',
      part: 'drier',
      how: 'brazed',
      evacuated: true,
      parts: ['stub', 'core'],
      onSuspicion: true,
      joint: { one: 'copper', other: 'brass', alloy: '45 silver', flux: 'white' },
      renewed: ['gasket', 'cap'],
    },
    [
      'k1',
      'drier',
      'brazed',
      'evacuated',
      'stub',
      'core',
      'suspicion',
      'copper',
      'brass',
      '45 silver',
      'white',
      'gasket',
      'cap',
    ],
  ],
  verificationTest: [
    {
      stage: 'initial',
      result: 'fail',
      leakIds: ['k1', 'k2'],
      method: 'soap',
      section: 'low side',
      testGas: 'nitrogenTrace',
      atJoint: { value: 151, unit: 'psig' },
      'x-conditions': { minutes: measured('12.5 min'), valvesOpen: 'king valve', valvesShut: 'none' },
    },
    ['first test', 'FAILED', 'k1', 'k2', 'soap', 'low side', 'trace', '151 psig', '12.5 min', 'king valve'],
  ],
  normalOperation: [{}, []],
  leakInspection: [
    {
      methods: ['ultrasonic'],
      leaksFound: ['k3'],
      partsLeftOut: [
        { part: 'fins', reason: 'ice' },
        { part: 'pan', reason: '' },
      ],
      allAccessibleInspected: false,
    },
    ['ultrasonic', 'k3', 'fins', 'ice', 'pan', 'reason not recorded', 'does not count'],
  ],
  processShutdown: [{ why: 'dough', pack: 'us-hfc' }, ['dough', 'US HFC rules']],
  extension: [
    { ground: 'radiological', until: '2026-12-24', why: 'permit', pack: 'us-ods' },
    ['radiological', '24 Dec 2026', 'permit', 'US ozone rules'],
  ],
  planFiled: [{ plan: 'retire', pack: 'us-ca' }, ['retire', 'California']],
  planCompleted: [{ pack: 'us-ca' }, ['California']],
  unrelatedLeak: [{ why: 'other coil', pack: 'house' }, ['other coil', 'House rule']],
  retrofitted: [{ toRefrigerant: 'R-449A' }, ['R-449A']],
  applianceChanged: [
    {
      category: 'industrialProcess',
      automaticDetection: 'part',
      hermetic: true,
      lightCommercialAirConditioning: false,
    },
    ['industrial process', 'on part', 'hermetic', 'not light commercial'],
  ],
  mothballed: [{}, []],
  retired: [{ 'x-gas': 'into B-12' }, ['into B-12']],
  detectionCheck: [{}, []],
  reportFiled: [{ year: 2025 }, ['2025']],
  detectionAlarm: [{ summary: '140 ppm' }, ['140 ppm']],
  readings: [
    { tool: 'superheat', summary: '9 °F superheat', inputs: { suction: { typed: '61 psig', si: 1 } } },
    ['9 °F superheat', '61 psig'],
  ],
  pressureHold: [
    {
      tool: 'hold',
      summary: 'Holding',
      inputs: { start: { typed: '150 psig', si: 1 } },
      conditions: { section: 'liquid line', valvesOpen: 'solenoid', testGas: 'nitrogen', method: 'gauge' },
    },
    ['Holding', '150 psig', 'liquid line', 'solenoid', 'nitrogen'],
  ],
  evacuation: [{ tool: 'evacuation', summary: 'flat at 340' }, ['flat at 340']],
  chargeRun: [{ tool: 'weigh', summary: '3 lb went in' }, ['3 lb went in']],
  partFitted: [
    { part: 'Clamp', place: 'header', temporary: true, removeBy: '2027-01-02', why: 'no stub' },
    ['Clamp', 'header', '2 Jan 2027', 'no stub'],
  ],
  search: [{ summary: 'by ear' }, ['by ear']],
  photo: [{ summary: 'coil' }, ['coil']],
  handover: [
    { nextPerson: 'dog', oddSettings: 'cut-in high', bring: 'ladder' },
    ['dog', 'cut-in high', 'ladder'],
  ],
  cylinderWeighed: [
    { cylinderId: 'c1', gross: lb(31), mass: lb(11), counterparty: 'depot' },
    ['c1', '31 lb', '11 lb', 'depot'],
  ],
  cylinderReceived: [{ cylinderId: 'c2', mass: lb(12) }, ['c2', '12 lb']],
  cylinderSent: [{ cylinderId: 'c3', counterparty: 'reclaimer' }, ['c3', 'reclaimer']],
  cylinderTransferred: [{ cylinderId: 'c4', mass: lb(2) }, ['c4', '2 lb']],
};

const stated = { notDone: 'no port' };
const NOTED: Record<NoteName, [fields: object, shown: string[]]> = {
  visitBegun: [{}, ['begun']],
  arrival: [
    {
      complaint: 'warm',
      since: 'noon',
      alarmAt: 'six',
      box: measured('46 °F'),
      secondBox: stated,
      otherBoxWarm: 'no',
      product: 'moved',
      mayLimp: { unknown: true },
      outOfTemperature: measured('6 h'),
    },
    ['warm', 'noon', 'six', '46 °F', 'no port', 'moved', 'unknown', '6 h'],
  ],
  reading: [
    {
      phase: 'afterCharge',
      part: 'room2.evaporator',
      numbers: { suction: measured('11 psig'), head: stated, receiverLevel: measured('40 %') },
      signs: { frost: 'iced', wind: 'strong' },
    },
    ['after charge', 'evaporator', '11 psig', 'no port', '40 %', 'iced', 'strong'],
  ],
  judgement: [{ verdict: 'short of gas', causes: { lowCharge: 0.7 } }, ['short of gas', '70 %']],
  raised: [
    {
      how: 'nitrogen',
      before: measured('31 psig'),
      pressure: measured('120 psig'),
      design: measured('150 psig'),
      solenoidOpen: 'yes',
      order: 'compressor off, then fan',
    },
    ['nitrogen', '31 psig', '120 psig', '150 psig', 'solenoid', 'compressor off, then fan'],
  ],
  spot: [
    { part: 'drier', mark: 'leftOut', grade: null, why: 'behind ice', reachable: false, leakId: 'k4' },
    ['drier', 'left out', 'behind ice', 'out of reach', 'k4'],
  ],
  map: [
    {
      layout: 'rack',
      added: [{ id: 'own1', type: 'compressor', name: 'Compressor 2', beside: 'compressor' }],
      leftOut: ['relief'],
      names: { drier: 'Drier by the door' },
    },
    ['rack', 'Compressor 2', 'without relief', 'Drier by the door'],
  ],
  stain: [
    { place: 'elbow', cause: 'spill', cleaned: 'yes', result: 'cameBack' },
    ['elbow', 'spill', 'came back'],
  ],
  evidence: [{ leakId: 'k5', grade: 'bench', words: 'in water' }, ['k5', 'bench', 'in water']],
  withdrawal: [{ leakId: 'k6', place: 'nut', why: 'soap', toldOwner: 'yes' }, ['k6', 'nut', 'soap', 'told']],
  decision: [
    {
      choice: 'runOn',
      leakId: 'k7',
      why: 'milk',
      decidedBy: 'Prue',
      until: '2026-12-01',
      expectedLoss: lb(3),
      atPressure: measured('90 psig'),
    },
    ['Run on', 'k7', 'milk', 'Prue', '1 Dec 2026', '3 lb', '90 psig'],
  ],
  isolation: [
    {
      way: 'pumpDown',
      section: 'coil 2',
      foundAt: measured('7 psig'),
      downTo: measured('2 psig'),
      openedToAir: 'yes',
      leftPressure: measured('3 psig'),
    },
    ['pumped down', 'coil 2', '7 psig', '2 psig', '3 psig'],
  ],
  valve: [{ valve: 'king valve', state: 'leftShut', why: 'passes' }, ['king valve', 'left shut', 'passes']],
  disconnected: [
    { what: 'timer', name: 'defrost timer', state: 'off', why: 'to hold it running' },
    ['timer', 'defrost timer', 'off', 'hold it running'],
  ],
  gaugeCheck: [
    { place: 'suction', one: measured('30 psig'), other: measured('34 psig'), trusted: 'the digital' },
    ['suction', '30 psig', '34 psig', 'the digital'],
  ],
  heated: [{ part: 'stub', what: 'both' }, ['stub', 'heated and bent']],
  setting: [
    { control: 'LP', before: '20 psig', after: stated, why: 'winter' },
    ['LP', '20 psig', 'no port', 'winter'],
  ],
  drier: [{ part: 'Drier', changed: { notDone: 'dry' }, place: 'roof' }, ['dry', 'roof']],
  preventive: [
    { part: 'line', place: 'wall', how: 'sleeved', preventive: true, leakId: 'k8' },
    ['line', 'wall', 'sleeved', 'k8'],
  ],
  jointTest: [
    {
      conditions: {
        section: 'low side',
        valvesOpen: 'all',
        valvesShut: 'king',
        testGas: 'nitrogenHydrogen',
        atJoint: measured('100 psig'),
        minutes: measured('12.5 min'),
        method: 'bubbles',
        otherMethods: ['listening', 'gauge'],
      },
      result: 'pass',
      leakIds: ['k9'],
    },
    [
      'low side',
      'all',
      'king',
      'hydrogen',
      '100 psig',
      '12.5 min',
      'bubbles',
      'listening',
      'gauge',
      'passed',
      'k9',
    ],
  ],
  holdReading: [
    {
      test: 'e1',
      section: 'low side',
      testGas: 'nitrogenTrace',
      pressure: measured('119 psig'),
      temperature: measured('38 °F'),
      design: measured('150 psig'),
    },
    ['low side', 'trace', '119 psig', '38 °F', '150 psig'],
  ],
  holdSkipped: [{ section: 'circuit 4', why: 'the valve passes' }, ['circuit 4', 'the valve passes']],
  vacuum: [
    {
      section: 'coil',
      lowest: measured('340 micron'),
      last: measured('1700 micron'),
      watched: measured('20 min'),
      ended: 'rising',
      explanation: 'valvePasses',
      why: 'rack must run',
      pumpOil: 'changed',
    },
    ['coil', '340 micron', '1700 micron', '20 min', 'crept up', 'passing valve', 'rack must run', 'changed'],
  ],
  vacuumSkipped: [
    { section: 'coil', stayedAboveAtmosphere: 'yes', why: 'never opened' },
    ['coil', 'atmospheric', 'never opened'],
  ],
  weighed: [
    {
      bottles: [{ bottle: 'B-3', before: measured('24 lb'), after: measured('22 lb') }],
      counted: measured('310 g'),
      keptInHoses: measured('2 oz'),
    },
    ['B-3', '24 lb', '22 lb', '310 g', '2 oz'],
  ],
  proof: [
    {
      box: measured('38 °F'),
      superheat: measured('9 °F'),
      subcooling: measured('11 °F'),
      split: measured('28 °F'),
      cutIn: measured('40 psig'),
      cutOut: measured('20 psig'),
      defrost: 'failed',
      secondSearch: 'hit',
    },
    ['38 °F', '9 °F', '11 °F', '28 °F', '40 psig', '20 psig', 'failed', 'a hit'],
  ],
  school: [{ question: 'vacuum', school: 'shapeDecides', why: 'old oil' }, ['old oil', 'shape']],
  checklist: [{ item: 'valveReopened king valve', answer: { notDone: 'seized' } }, ['king valve', 'seized']],
  signed: [{ name: 'Prue', role: 'owner', notSigned: null }, ['Prue', 'owner']],
  picture: [
    { file: 'x.jpg', caption: 'old joint', pair: 'after', leakId: 'k2' },
    ['old joint', 'after', 'k2'],
  ],
};

const entryOf = (kind: EntryKind, fields: object): Entry => ({ ...common, kind, ...fields }) as Entry;
const beside = { caseNote: 'ask Odalys', attachments: ['paper.pdf'] };

describe('every kind of entry', () => {
  test('is in the table', () => {
    expect(Object.keys(FILLED).sort()).toEqual(ENTRY_KINDS.filter((kind) => kind !== 'void').sort());
  });
  test.each(Object.entries(FILLED))('%s shows what was typed', (kind, [fields, shown]) => {
    const entry = entryOf(kind as EntryKind, { ...fields, ...beside });
    const read = entrySchema.safeParse(entry);
    expect(read.error?.issues).toBeUndefined();
    const words = sentenceOf(entry, 'pounds', NO_NAMES);
    for (const each of [...shown, 'ask Odalys', 'paper.pdf']) expect(words).toContain(each);
    expect(words).not.toMatch(/undefined|null|\[object/);
    expect(entryTitle(entry)).toMatch(/^[A-Z]/);
    expect(PAPER_BLOCKS).toContain(blockOf(entry));
  });
});

describe('every note of a visit', () => {
  test('is in the table', () => {
    expect(Object.keys(NOTED).sort()).toEqual(Object.keys(NOTES).sort());
    expect(Object.keys(NOTED).length).toBeGreaterThanOrEqual(30);
  });
  test.each(Object.entries(NOTED))('%s shows what was typed', (tool, [fields, shown]) => {
    const entry = entryOf(NOTES[tool as NoteName].kind, { tool, ...fields });
    expect(noteProblems(entry)).toEqual([]);
    const words = sentenceOf(entry, 'pounds', NO_NAMES).toLowerCase();
    for (const each of shown) expect(words).toContain(each.toLowerCase());
    expect(words).not.toMatch(/undefined|null|\[object/);
    expect(entryTitle(entry)).toMatch(/^[A-Z]/);
  });
});

describe('where an entry stands', () => {
  test('by its kind, its note, its calculator, or as a photo says', () => {
    const at = (kind: EntryKind, fields: object = {}) => stepOf(entryOf(kind, fields));
    expect(at('refrigerantRecovered')).toBe('isolate');
    expect(at('readings', { tool: 'decision' })).toBe('decide');
    expect(at('readings', { tool: 'judge' })).toBe('judge');
    expect(at('readings', { tool: 'superheat' })).toBe('read');
    expect(at('photo', { tool: 'picture', step: 'repair' })).toBe('repair');
    expect(at('handover', { tool: 'signed' })).toBe('handOver');
    // A note's name on an entry of another kind is another tool's word.
    expect(at('evacuation', { tool: 'arrival' })).toBe('evacuate');
  });

  test('a photo alone makes no step', () => {
    const steps = stepsRecorded([
      { entry: entryOf('photo', { tool: 'picture', step: 'repair' }) },
      { entry: entryOf('leakFound', { leakId: 'k1' }) },
    ]);
    expect([...steps]).toEqual(['search']);
  });

  test('a release is told with the gas, though a reading files it', () => {
    expect(blockOf(entryOf('readings', { tool: 'release' }))).toBe('gas');
    expect(blockOf(entryOf('readings', { tool: 'superheat' }))).toBe('found');
  });
});

const RECORDS = [...Object.values(KINDS), ...Object.values(NOTE_RECORDS)];

/** A value of this field as its form would make it, and another. */
function twoOf({ type, stated, ...ask }: AskedField): [unknown, unknown] {
  switch (type) {
    case 'measure':
      return [measured('11 zeb'), measured('12 yak')];
    case 'mass':
      return [lb(11), lb(12)];
    case 'pressure':
      return [
        { value: 11, unit: 'psig' },
        { value: 12, unit: 'psig' },
      ];
    case 'date':
      return ['2026-12-01', '2026-12-02'];
    case 'year':
      return [2025, 2026];
    case 'check':
      return [true, false];
    case 'many':
    case 'leaks':
      return [['zebra'], ['yak']];
    case 'partsLeftOut':
      return [[{ part: 'zebra', reason: 'ice' }], [{ part: 'yak', reason: 'ice' }]];
    case 'wayOut':
    case 'choice': {
      const values = ('choices' in ask ? ask.choices : []).map(({ value }) =>
        value === 'true' ? true : value === 'false' ? false : value,
      );
      return [values.find((each) => each !== ''), stated ? { notDone: 'yak' } : values.at(-1)];
    }
    case 'pack':
      return ['us-hfc', 'us-ca'];
    default:
      return ['zebra', 'yak'];
  }
}

function put(target: object, path: string, value: unknown): void {
  const keys = path.split('.');
  const last = keys.pop() ?? path;
  let inner = target as Record<string, unknown>;
  for (const key of keys) inner = (inner[key] ??= {}) as Record<string, unknown>;
  inner[last] = value;
}

describe.each(RECORDS.map((record) => [record.note ?? record.kind, record] as const))('%s', (_, record) => {
  test('has a name, a step, a way of correction, and a form where it says so', () => {
    expect(record.name).toMatch(/^[A-Z]/);
    expect(STEPS).toContain(record.step);
    const asked = askedFields(record);
    const paths = asked.map(({ key }) => key);
    expect(new Set(paths).size).toBe(paths.length);
    if (record.correction === 'form') expect(record.about).toMatch(/\.$/);
    for (const { label } of asked) expect(label).toMatch(/\w/);
    for (const path of record.saidFirst ?? []) expect(fieldsOf(record).map(([key]) => key)).toContain(path);
    if (record.drawnAt !== undefined) expect(Object.keys(record.fields)).toContain(record.drawnAt);
  });

  test('each field that can be typed is in its sentence: another value, other words', () => {
    const asked = askedFields(record);
    for (const field of asked) {
      // Which stain of the register it is: the place tells it.
      if (field.type === 'stain' || field.type === 'temporaryPart') continue;
      const filled = { ...common, kind: record.kind, ...(record.note && { tool: record.note }) };
      const holding: Record<string, unknown> = { ...record.fixed };
      // What must hold for the field to be asked at all.
      if (field.when)
        for (const other of asked)
          if (other.type === 'choice')
            for (const { value } of other.choices)
              if (field.when({ ...holding, [other.key]: value })) holding[other.key] = value;
      if (field.when && !field.when(holding)) holding['temporary'] = true;
      for (const other of asked)
        if (other.key !== field.key && !other.key.includes('.') && (!other.when || other.when(holding)))
          holding[other.key] ??= twoOf(other)[0];
      const said = twoOf(field).map((value) => {
        const entry = structuredClone({ ...filled, ...holding });
        put(entry, field.key, value);
        return sentenceOf(entry as unknown as Entry, 'pounds');
      });
      expect(said[0], field.key).not.toBe(said[1]);
      expect(said.join(), field.key).not.toMatch(/undefined|null|\[object/);
    }
  });
});

test('there is a record for every kind and note', () => {
  expect(RECORDS.length).toBe(ENTRY_KINDS.length + Object.keys(NOTES).length);
  for (const kind of ENTRY_KINDS) expect(KINDS[kind].kind).toBe(kind);
  for (const [name, { note, kind }] of Object.entries(NOTE_RECORDS))
    expect([note, kind]).toEqual([name, NOTES[name as NoteName].kind]);
  // Each form that the menu offers, and no kind with a form that it forgets.
  const formed = ENTRY_KINDS.filter((kind) => KINDS[kind].correction === 'form');
  expect([...FORM_KINDS].sort()).toEqual(formed.sort());
});
