/** Drawings by chance: a machine grown from a ring, with parts side by side, bridges, stubs on stubs, and parts that come and go. */
import type { Piping } from '../logbook/piping';
import { seeded } from './seeded';

const TYPES = ['ballValve', 'solenoid', 'drier', 'evaporator', 'tee', 'checkValve', 'expansionValve'];
const CARRIED = ['discharge', 'liquid', 'suction', 'hotGas', 'capillary', 'equaliser', 'oil'] as const;
const DAYS = ['2026-01-05', '2026-03-01', '2026-06-30', '2026-11-23'];

export function randomPiping(seed: number): Piping {
  const chance = seeded(seed);
  const upTo = (most: number): number => Math.floor(chance() * most);
  const one = <Item>(items: readonly Item[]): Item => items[upTo(items.length)] as Item;
  const parts: Piping['parts'] = [];
  const lines: Piping['lines'] = [];
  const stubs: NonNullable<Piping['stubs']> = [];
  const add = (type: string): string => {
    const id = `p${String(parts.length)}`;
    parts.push({
      id,
      type,
      ...(chance() < 0.15 ? { since: one(DAYS) } : {}),
      ...(chance() < 0.15 ? { until: one(DAYS) } : {}),
    });
    return id;
  };
  const run = (from: string, to: string, between: number): void => {
    const middle = Array.from({ length: between }, () => add(one(TYPES)));
    lines.push({ id: `l${String(lines.length)}`, carries: one(CARRIED), through: [from, ...middle, to] });
  };
  const rings = 1 + upTo(2);
  for (let ring = 0; ring < rings; ring += 1) {
    const [compressor, condenser] = [add('compressor'), add('condenser')];
    run(compressor, condenser, upTo(3));
    run(condenser, compressor, 1 + upTo(6));
  }
  const inFlow = (): string => one(lines.flatMap(({ through }) => through));
  for (let more = upTo(6); more > 0; more -= 1) run(inFlow(), add('tee'), upTo(4));
  for (let more = upTo(5); more > 0; more -= 1) {
    const [from, to] = [inFlow(), inFlow()];
    if (from !== to) run(from, to, upTo(3));
  }
  for (let more = upTo(5); more > 0; more -= 1) {
    const on = stubs.length > 0 && chance() < 0.3 ? one(stubs).part : inFlow();
    stubs.push({ part: add('accessPort'), on });
  }
  // What is listed first need not flow first.
  parts.sort((a, b) => Number(a.id < b.id) - 0.5 + (chance() - 0.5));
  return { parts, lines, stubs };
}

/** So many of the ids, by chance. */
export function someOf(ids: readonly string[], share: number, seed: number): string[] {
  const chance = seeded(seed);
  return ids.filter(() => chance() < share);
}
