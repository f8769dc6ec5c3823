/** What the judge may blame and ask for, by the drawing of the machine. */
import { expect, test } from 'vitest';
import { canBe, canRead } from './machineKind';
import type { CircuitMap } from '../circuit/map';
import { machineKindOf } from './machineKindOf';

const drawn = (...types: string[]): CircuitMap =>
  ({ parts: types.map((type, i) => ({ id: `p${String(i)}`, type })) }) as unknown as CircuitMap;

test('a walk-in with valve, solenoid, glass and drier can be all of it', () => {
  const kind = machineKindOf(drawn('compressor', 'expansionValve', 'solenoid', 'sightGlass', 'drier'));
  expect(kind).toEqual({ metering: 'valve', solenoid: true, sightGlass: true, drier: true });
  expect(canBe(kind, 'valveStarving') && canBe(kind, 'pumpedDown')).toBe(true);
});

test('a sealed cabinet with a capillary is never blamed for a valve or asked for its glass', () => {
  const kind = machineKindOf(drawn('compressor', 'capillary', 'drier'));
  expect(kind).toEqual({ metering: 'capillary', solenoid: false, sightGlass: false, drier: true });
  expect(canBe(kind, 'valveStarving')).toBe(false);
  expect(canRead(kind, 'sightGlass')).toBe(false);
  expect(canRead(kind, 'drierDrop')).toBe(true);
});

test('with both, or neither, drawn, either may be at fault', () => {
  expect(machineKindOf(drawn('capillary', 'expansionValve')).metering).toBeNull();
  expect(machineKindOf(drawn('compressor')).metering).toBeNull();
});
