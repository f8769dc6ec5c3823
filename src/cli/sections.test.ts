/** The sections command: its contract line by line, and as an engineer runs it, with a long list. */
import { spawnSync } from 'node:child_process';
import { expect, test } from 'vitest';
import { randomPiping } from '../core/testkit/randomPiping';
import { sectionsLine } from './sectionsLine';

const part = (id: string, more: object = {}) => ({ id, type: 'ballValve', ...more });
/** The machine of the handbook: two coils side by side, a port on the right one. */
const MACHINE = {
  parts: ['c', 'k', 'v1', 't', 'xl', 'el', 'xr', 'er', 'u', 'g'].map((id) => part(id)),
  lines: [
    { id: 'l1', carries: 'discharge', through: ['c', 'k'] },
    { id: 'l2', carries: 'liquid', through: ['k', 'v1', 't'] },
    { id: 'l3', carries: 'liquid', through: ['t', 'xl', 'el', 'u'] },
    { id: 'l4', carries: 'liquid', through: ['t', 'xr', 'er', 'u'] },
    { id: 'l5', carries: 'suction', through: ['u', 'c'] },
  ],
  stubs: [{ part: 'g', on: 'er' }],
};
const ask = (question: object) => sectionsLine(JSON.stringify(question));

test('the example of the handbook: one valve shut of two sides parts nothing, the other coil goes round', () => {
  expect(ask({ drawing: MACHINE, shut: ['v1', 'xl'], doesNotHold: ['xl'] })).toEqual({
    sections: [
      ['c', 'k', 'el', 'er', 'u', 'g', 't', 'xr'].sort(
        (a, b) =>
          MACHINE.parts.findIndex(({ id }) => id === a) - MACHINE.parts.findIndex(({ id }) => id === b),
      ),
    ],
    between: [],
  });
});

test('all three shut: what stands between them is cut off, save where one lets gas through', () => {
  expect(ask({ drawing: MACHINE, shut: ['v1', 'xl', 'xr'], doesNotHold: ['xr', 'v1'] })).toEqual({
    sections: [['c', 'k', 'el', 'er', 'u', 'g'], ['t']],
    between: [
      ['v1', 0, 1],
      ['xr', 0, 1],
    ],
  });
});

test('a part is there from its first day to the day before it is gone, and lines run on through its place', () => {
  const drawing = {
    ...MACHINE,
    parts: MACHINE.parts.map((each) =>
      each.id === 't'
        ? { ...each, until: '2026-05-01' }
        : each.id === 'v1'
          ? { ...each, since: '2026-04-01' }
          : each,
    ),
  };
  const at = (asOf: string) => ask({ drawing, shut: ['v1', 'xl', 'xr'], asOf });
  // Nobody had put the valve there: the liquid line is open to the condenser.
  expect(at('2026-03-31')).toEqual({ sections: [['c', 'k', 't', 'el', 'er', 'u', 'g']], between: [] });
  expect(at('2026-04-01')).toEqual({ sections: [['c', 'k', 'el', 'er', 'u', 'g'], ['t']], between: [] });
  // The tee is gone: nothing stands between the three valves.
  expect(at('2026-05-01')).toEqual({ sections: [['c', 'k', 'el', 'er', 'u', 'g']], between: [] });
  const open = ask({ drawing, shut: ['xl'], asOf: '2026-05-01' });
  expect(open).toEqual({ sections: [['c', 'k', 'v1', 'el', 'xr', 'er', 'u', 'g']], between: [] });
});

const BAD: [what: string, question: object, path: string][] = [
  [
    'an id that stands twice',
    { drawing: { ...MACHINE, parts: [...MACHINE.parts, part('k')] } },
    '$.drawing.parts[10].id',
  ],
  [
    'a line of an unknown part',
    { drawing: { ...MACHINE, lines: [{ id: 'l', carries: 'liquid', through: ['c', 'z'] }] } },
    '$.drawing.lines[0].through[1]',
  ],
  [
    'a line of an unknown kind',
    { drawing: { ...MACHINE, lines: [{ id: 'l', carries: 'steam', through: ['c', 'k'] }] } },
    '$.drawing.lines[0].carries',
  ],
  [
    'a line through one part',
    { drawing: { ...MACHINE, lines: [{ id: 'l', carries: 'liquid', through: ['c', 'c'] }] } },
    '$.drawing.lines[0].through',
  ],
  [
    'a part both stub and in flow',
    { drawing: { ...MACHINE, stubs: [{ part: 'el', on: 'c' }] } },
    '$.drawing.stubs[0].part',
  ],
  [
    'a stub on nothing known',
    { drawing: { ...MACHINE, stubs: [{ part: 'g', on: 'z' }] } },
    '$.drawing.stubs[0].on',
  ],
  [
    'stubs that hang on each other',
    {
      drawing: {
        ...MACHINE,
        parts: [...MACHINE.parts, part('h')],
        stubs: [
          { part: 'g', on: 'h' },
          { part: 'h', on: 'g' },
        ],
      },
    },
    '$.drawing.stubs[0].on',
  ],
  [
    'a stub on two parts',
    {
      drawing: {
        ...MACHINE,
        stubs: [
          { part: 'g', on: 'er' },
          { part: 'g', on: 'c' },
        ],
      },
    },
    '$.drawing.stubs[0].part',
  ],
  ['a shut part that is none', { drawing: MACHINE, shut: ['z'] }, '$.shut[0]'],
  ['a valve that is none', { drawing: MACHINE, doesNotHold: ['v1', 'z'] }, '$.doesNotHold[1]'],
  ['a day that does not exist', { drawing: MACHINE, asOf: '2026-02-30' }, '$.asOf'],
  ['a field that nobody knows', { drawing: MACHINE, open: [] }, '$'],
  ['no drawing', { shut: [] }, '$.drawing'],
];
test.each(BAD)('%s is told with its path', (_, question, path) => {
  expect(ask(question)).toEqual({ error: expect.stringContaining(`${path}: `) as string });
});

test('as a process: a thousand lines are answered in order, a bad one among them, and the exit code is 2', () => {
  const questions = Array.from({ length: 1000 }, (_, seed) =>
    JSON.stringify({ drawing: randomPiping(seed + 1) }),
  );
  const { status, stdout } = spawnSync('npx', ['tsx', 'src/cli/sections.ts'], {
    input: [...questions.slice(0, 500), '{"drawing": 7}', '', ...questions.slice(500)].join('\n'),
    encoding: 'utf8',
    maxBuffer: 1e8,
  });
  const answers = stdout.trimEnd().split('\n');
  expect(status).toBe(2);
  expect(answers).toHaveLength(1001);
  expect(answers[500]).toContain('$.drawing');
  expect(answers[1000]).toBe(JSON.stringify(sectionsLine(questions[999] ?? '')));
  expect(spawnSync('npx', ['tsx', 'src/cli/sections.ts'], { input: questions[0] ?? '' }).status).toBe(0);
});
