/** Pieces against a second, naive way: walk from every part over open joints, and see where one comes. */
import { describe, expect, test } from 'vitest';
import type { Piping } from '../logbook/piping';
import { dayOf } from '../quantity/day';
import { randomPiping, someOf } from '../testkit/randomPiping';
import { piecesOf } from './pieces';

const idsOf = (drawing: Piping): string[] => drawing.parts.map(({ id }) => id);

/** What a walk from a part reaches: a shut part stops it, one that is gone does not. */
function walked(drawing: Piping, from: string, stops: (id: string) => boolean): Set<string> {
  const reached = new Set([from]);
  for (let grew = true; grew;) {
    grew = false;
    const step = (a: string | undefined, b: string | undefined): void => {
      if (a === undefined || b === undefined || stops(a) || stops(b)) return;
      if (reached.has(a) === reached.has(b)) return;
      reached.add(a).add(b);
      grew = true;
    };
    for (const { through } of drawing.lines) through.forEach((id, at) => step(id, through[at + 1]));
    for (const { part, on } of drawing.stubs ?? []) step(part, on);
  }
  return reached;
}

const MACHINES = 2000;
const DAY = dayOf('2026-06-30');

describe('random machines', () => {
  test('pieces are what a walk reaches, with valves shut and parts gone', () => {
    let several = 0;
    for (let seed = 1; seed <= MACHINES; seed += 1) {
      const drawing = randomPiping(seed);
      const shut = new Set(someOf(idsOf(drawing), 0.2, seed));
      const day = seed % 2 === 0 ? DAY : null;
      const stands = ({ since, until }: Piping['parts'][number]): boolean =>
        day === null || ((since ?? '') <= '2026-06-30' && '2026-06-30' < (until ?? '9999-12-31'));
      const here = drawing.parts.filter(stands).map(({ id }) => id);
      const stops = (id: string): boolean => shut.has(id) && here.includes(id);
      const left = here.filter((id) => !stops(id));
      const expected: string[][] = [];
      for (const id of left)
        if (!expected.some((piece) => piece.includes(id))) {
          const reached = walked(drawing, id, stops);
          expected.push(left.filter((each) => reached.has(each)));
        }
      expect(piecesOf(drawing, { shut }, day).sections, `seed ${String(seed)}`).toEqual(expected);
      if (expected.length > 2) several += 1;
    }
    expect(several).toBeGreaterThan(MACHINES / 4);
  });

  test('a part that does not hold joins what opening it alone would join', () => {
    let joins = 0;
    for (let seed = 1; seed <= MACHINES; seed += 1) {
      const drawing = randomPiping(seed);
      const shut = new Set(someOf(idsOf(drawing), 0.25, seed));
      const doesNotHold = new Set(someOf(idsOf(drawing), 0.5, seed + 7));
      const { sections, between } = piecesOf(drawing, { shut, doesNotHold });
      for (const valve of idsOf(drawing)) {
        const opened = new Set(shut);
        opened.delete(valve);
        const whole =
          shut.has(valve) && doesNotHold.has(valve) ? walked(drawing, valve, (id) => opened.has(id)) : null;
        const met =
          whole === null
            ? []
            : sections.flatMap((piece, at) => (piece.some((id) => whole.has(id)) ? [at] : []));
        const pairs = met.flatMap((a) => met.filter((b) => b > a).map((b) => [valve, a, b]));
        expect(
          between.filter(([id]) => id === valve),
          `seed ${String(seed)}, ${valve}`,
        ).toEqual(pairs);
        joins += pairs.length;
      }
    }
    expect(joins).toBeGreaterThan(MACHINES / 4);
  });
});

test('two stubs chained: the outer one stays joined, and a shut one leaves it by itself', () => {
  const drawing: Piping = {
    parts: ['c', 'k', 'pigtail', 'gauge'].map((id) => ({ id, type: 'other' })),
    lines: [{ id: 'l', carries: 'discharge', through: ['c', 'k'] }],
    stubs: [
      { part: 'pigtail', on: 'k' },
      { part: 'gauge', on: 'pigtail' },
    ],
  };
  expect(piecesOf(drawing, { shut: new Set() }).sections).toEqual([['c', 'k', 'pigtail', 'gauge']]);
  expect(piecesOf(drawing, { shut: new Set(['pigtail']) }).sections).toEqual([['c', 'k'], ['gauge']]);
});
