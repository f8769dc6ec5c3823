/** Changes of a drawing: what is joined stays joined, what is cut is cut, and what cannot be is refused. */
import { describe, expect, test } from 'vitest';
import { type Piping, pipingRow } from '../logbook/piping';
import { dayOf } from '../quantity/day';
import { randomPiping, someOf } from '../testkit/randomPiping';
import { type Spot, put } from './changes';
import { named, standing, strike, takeOut } from './takingOut';
import { joints, piecesOf } from './pieces';

const valve = { id: 'new', type: 'ballValve' };
const after = (drawing: Piping, parts: Piping['parts'], spot: Spot): Piping => {
  const changed = put(drawing, parts, spot);
  if (!changed.ok) throw new Error(changed.refusal.code);
  return changed.value;
};
const idsOf = (drawing: Piping): string[] => drawing.parts.map(({ id }) => id);
/** Pieces as sets of the named parts alone, whatever their order. */
const parted = (drawing: Piping, shut: readonly string[], of: readonly string[]): string[] =>
  piecesOf(drawing, { shut: new Set(shut) })
    .sections.map((piece) =>
      piece
        .filter((id) => of.includes(id))
        .sort()
        .join(' '),
    )
    .filter((piece) => piece !== '')
    .sort();

const MACHINES = 2000;

describe('random machines', () => {
  test('a valve put anywhere changes nothing while it is open, and shut it cuts its own joint alone', () => {
    for (let seed = 1; seed <= MACHINES; seed += 1) {
      const drawing = randomPiping(seed);
      const before = idsOf(drawing);
      const all = joints(drawing).filter(([one, other]) => one !== other);
      const between = all[seed % all.length];
      if (!between) throw new Error('a machine without joints');
      const more = after(drawing, [valve], { how: 'inLine', between });
      expect(pipingRow.safeParse(more).error?.issues ?? []).toEqual([]);
      const shut = someOf(before, 0.15, seed);
      expect(parted(more, shut, before), `seed ${String(seed)}`).toEqual(parted(drawing, shut, before));
      // Shut, it cuts as if that one joint were not there.
      const [one, other] = between;
      let cut = false;
      const without: Piping = {
        ...drawing,
        lines: drawing.lines.flatMap((line) => {
          const at = cut
            ? -1
            : line.through.findIndex(
                (id, i) =>
                  [one, other].includes(id) &&
                  [one, other].includes(line.through[i + 1] ?? '') &&
                  id !== line.through[i + 1],
              );
          if (at < 0) return [line];
          cut = true;
          return [
            { ...line, through: line.through.slice(0, at + 1) },
            { ...line, through: line.through.slice(at + 1) },
          ];
        }),
        stubs: (drawing.stubs ?? []).filter(
          ({ part, on }) => !([one, other].includes(part) && [one, other].includes(on)),
        ),
      };
      expect(parted(more, ['new'], before), `seed ${String(seed)}`).toEqual(parted(without, [], before));
    }
  });

  test('a part that never was there leaves joined what it joined, whatever else is shut', () => {
    for (let seed = 1; seed <= MACHINES; seed += 1) {
      const drawing = randomPiping(seed);
      const gone = drawing.parts[seed % drawing.parts.length]?.id ?? '';
      const struck = strike(drawing, gone);
      if (!struck.ok) {
        expect(struck.refusal.code).toBe('linesMeet');
        continue;
      }
      expect(pipingRow.safeParse(struck.value).error?.issues ?? []).toEqual([]);
      const left = idsOf(drawing).filter((id) => id !== gone);
      const shut = someOf(left, 0.2, seed);
      expect(parted(struck.value, shut, left), `seed ${String(seed)}`).toEqual(parted(drawing, shut, left));
    }
  });

  test('as it stands on a day: the same pieces as with what is gone passed over', () => {
    const day = dayOf('2026-06-30');
    for (let seed = 1; seed <= MACHINES; seed += 1) {
      const drawing = randomPiping(seed);
      const now = standing(drawing, day);
      const shut = someOf(idsOf(drawing), 0.2, seed);
      const here = idsOf(now).filter((id) => !id.endsWith('joint') && !id.endsWith("'"));
      const sections = piecesOf(drawing, { shut: new Set(shut) }, day).sections;
      expect(parted(now, shut, here), `seed ${String(seed)}`).toEqual(
        sections.map((piece) => [...piece].sort().join(' ')).sort(),
      );
    }
  });
});

const RACK: Piping = {
  parts: ['c1', 'check', 'head', 'k', 'v', 'coil', 'back', 'g'].map((id) => ({
    id,
    type: ['v', 'back', 'check'].includes(id) ? 'ballValve' : 'other',
  })),
  lines: [
    { id: 'd', carries: 'discharge', through: ['c1', 'check', 'head', 'k'] },
    { id: 'l', carries: 'liquid', through: ['k', 'v', 'coil'] },
    { id: 's', carries: 'suction', through: ['coil', 'back', 'c1'] },
  ],
  stubs: [{ part: 'g', on: 'back' }],
};

test('a second compressor side by side, with its own check valve: shutting both sides of one leaves the other in the circuit', () => {
  const two = after(
    RACK,
    [
      { id: 'c2', type: 'compressor' },
      { id: 'check2', type: 'checkValve' },
    ],
    { how: 'beside', from: 'c1', to: 'check' },
  );
  expect(two.lines.slice(3)).toEqual([
    { id: 'line c2', carries: 'suction', through: ['c2 in', 'c2'] },
    { id: 'line c2 2', carries: 'discharge', through: ['c2', 'check2', 'c2 out'] },
  ]);
  expect(parted(two, ['check', 'back'], ['c1', 'c2', 'k', 'coil'])).toEqual(['c1 c2 coil k']);
  expect(parted(two, ['check', 'check2', 'back'], ['c1', 'c2', 'k', 'coil'])).toEqual(['c1 c2', 'coil k']);
});

test('a second coil with its valve, a hot-gas line across, a control under a shut-off', () => {
  const two = after(
    RACK,
    [
      { id: 'v2', type: 'expansionValve' },
      { id: 'coil2', type: 'evaporator' },
    ],
    {
      how: 'beside',
      from: 'v',
      to: 'coil',
    },
  );
  expect(parted(two, ['v'], ['k', 'coil', 'coil2'])).toEqual(['coil coil2 k']);
  expect(parted(two, ['v', 'back'], ['k', 'coil', 'coil2'])).toEqual(['coil coil2 k']);
  expect(parted(two, ['v', 'v2', 'back'], ['k', 'coil', 'coil2'])).toEqual(['coil coil2', 'k']);
  const hot = after(two, [{ id: 'hot', type: 'hotGasValve' }], {
    how: 'across',
    from: 'head',
    to: ['coil', 'v2 out'],
    carries: 'hotGas',
  });
  expect(parted(hot, ['v', 'v2', 'back'], ['k', 'coil'])).toEqual(['coil k']);
  expect(parted(hot, ['v', 'v2', 'back', 'hot'], ['k', 'coil'])).toEqual(['coil', 'k']);
  const control = after(RACK, [{ id: 'off', type: 'ballValve' }], { how: 'inLine', between: ['back', 'g'] });
  expect(parted(control, ['off'], ['g', 'back', 'c1'])).toEqual(['back c1', 'g']);
});

test('out from a day on stays in the history; a name is given and taken', () => {
  const out = takeOut(RACK, 'v', '2026-11-23');
  if (!out.ok) throw new Error();
  expect(out.value.parts.find(({ id }) => id === 'v')).toMatchObject({ until: '2026-11-23' });
  expect(idsOf(standing(out.value, dayOf('2026-11-22')))).toContain('v');
  expect(standing(out.value, dayOf('2026-11-23')).lines[1]?.through).toEqual(['k', 'coil']);
  expect(named(RACK, 'v', ' aisle 9 ')).toMatchObject({ ok: true });
  expect(named(RACK, 'z', 'x')).toEqual({ ok: false, refusal: { code: 'unknownPart', id: 'z' } });
});

const REFUSED: [Spot, string][] = [
  [{ how: 'inLine', between: ['c1', 'coil'] }, 'notJoined'],
  [{ how: 'inLine', between: ['c1', 'z'] }, 'unknownPart'],
  [{ how: 'stub', on: 'z' }, 'unknownPart'],
  [{ how: 'across', from: 'k', to: 'k', carries: 'hotGas' }, 'toItself'],
  [{ how: 'across', from: 'g', to: 'k', carries: 'hotGas' }, 'stubInFlow'],
  [{ how: 'across', from: 'check', to: 'k', carries: 'hotGas' }, 'whichSide'],
  [{ how: 'beside', from: 'g', to: 'k' }, 'notBetweenTwo'],
];
test.each(REFUSED)('%j is refused', (spot, code) => {
  expect(put(RACK, [valve], spot)).toMatchObject({ ok: false, refusal: { code } });
});
test('an id that is taken is refused, and the drawing before is untouched', () => {
  const before = JSON.stringify(RACK);
  expect(put(RACK, [{ id: 'k', type: 'tee' }], { how: 'stub', on: 'v' })).toMatchObject({ ok: false });
  after(RACK, [valve], { how: 'inLine', between: ['k', 'v'] });
  expect(JSON.stringify(RACK)).toBe(before);
});
