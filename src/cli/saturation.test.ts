/** The saturation command as an engineer runs it. */
import { spawnSync } from 'node:child_process';
import { expect, test } from 'vitest';

const run = (input: string) =>
  spawnSync('npx', ['tsx', 'src/cli/saturation.ts'], { input, encoding: 'utf8' });

test('each line is answered in order, and all well means exit 0', () => {
  const { stdout, status } = run('R-134a 0\nR-448A bubble 1200000\nR-448A dew 1200000\n');
  const lines = stdout
    .trimEnd()
    .split('\n')
    .map((line) => JSON.parse(line) as Record<string, number>);
  expect(status).toBe(0);
  expect(lines).toHaveLength(3);
  expect(lines[0]).toMatchObject({ refrigerant: 'R-134a', temperature_C: 0 });
  expect(lines[0]?.['bubblePressure_Pa']).toBeCloseTo(292_800, -3);
  expect(lines[1]?.['bubblePressure_Pa']).toBeCloseTo(1_200_000, 3);
  expect(lines[2]?.['dewPressure_Pa']).toBeCloseTo(1_200_000, 3);
  // A blend: the same pressure belongs to a colder bubble point than dew point.
  expect(lines[1]?.['temperature_C']).toBeLessThan(lines[2]?.['temperature_C'] ?? 0);
});

test('a bad line says what is wrong, the others are still answered, and the exit code is 2', () => {
  const { stdout, status } = run('R-9 1\nR-744 40\nR-22 dew -5\nR-22\n\nR-22 twenty\nR-22 5');
  const lines = stdout
    .trimEnd()
    .split('\n')
    .map((line) => JSON.parse(line) as { error?: string });
  expect(status).toBe(2);
  expect(lines).toHaveLength(7);
  expect(lines[0]?.error).toContain('R-9');
  expect(lines[1]?.error).toContain('-56 to 28 °C');
  expect(lines[2]?.error).toContain('dew pressures');
  for (const index of [3, 4, 5]) expect(lines[index]?.error).toContain('R-448A dew 1200000');
  expect(lines[6]?.error).toBeUndefined();
});
