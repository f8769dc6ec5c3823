/** The pressure tests of a visit as series: each reading an entry of its own, kept under the first of its test. */
import type { DatedEntry } from '../../logbook/order';
import { type Note, readNote } from '../notes/notes';
import type { Measured } from '../notes/stated';
import { siOf } from '../notes/stated';
import { SHARE_THAT_MATTERS } from '../../calculators/atWork';
import { fahrenheitDegrees } from '../../calculators/calculated';
import { judgePressureTest } from '../../calculators/pressureTest';
import type { PressureTestReading } from '../../calculators/pressureTestTail';
import { gasesOf } from '../../calculators/lossAsGas';
import { volumeByCharge } from '../../calculators/release';
import type { Kilograms, Pascals } from '../../quantity/si';
import type { SaturationTable } from '../../refrigerant/saturation';
import { unitFact } from '../../quantity/units';

export interface PressureTest {
  /** id of its first reading */
  id: string;
  section: string;
  testGas: Note<'holdReading'>['testGas'];
  design: number | null;
  readings: readonly { entryId: string; at: string | null; pressure: Measured; temperature: number | null }[];
  /** a result was written after its last reading */
  ended: boolean;
}

/** Tests in the order in which they began. */
export function pressureTests(entries: readonly DatedEntry[]): PressureTest[] {
  const tests = new Map<string, PressureTest>();
  for (const { entry } of entries) {
    const note = readNote(entry, 'holdReading');
    if (note) {
      const id = note.test ?? entry.id;
      const known = tests.get(id);
      const reading = {
        entryId: entry.id,
        at: entry.at ?? null,
        pressure: note.pressure,
        temperature: siOf(note.temperature),
      };
      tests.set(id, {
        id,
        section: known?.section ?? note.section,
        testGas: known?.testGas ?? note.testGas,
        design: siOf(note.design) ?? known?.design ?? null,
        readings: [...(known?.readings ?? []), reading],
        ended: false,
      });
    }
    const ended =
      readNote(entry, 'jointTest')?.conditions.section ??
      (entry.kind === 'verificationTest' ? entry.section : null);
    if (ended == null) continue;
    for (const [id, test] of tests) if (test.section === ended) tests.set(id, { ...test, ended: true });
  }
  return [...tests.values()];
}

/** The series for its arithmetic, in seconds since the first reading; readings without a time are left out. */
export function takenOf({ readings }: PressureTest): PressureTestReading[] {
  const timed = readings.flatMap(({ at, pressure, temperature }) =>
    at === null ? [] : [{ at: Date.parse(at) / 1000, pressure: pressure.si, temperature }],
  );
  const start = timed[0]?.at ?? 0;
  return timed.map((each) => ({ ...each, at: each.at - start }));
}

/** Pa of the last digit that was typed: 89.9 psig has a tenth. The coarsest of the series counts. */
export function resolutionOf({ readings }: PressureTest): number {
  const digits = readings.map(({ pressure: { typed, unit } }) => {
    const decimals = /\.(\d+)/.exec(typed)?.[1]?.length ?? 0;
    return Math.abs(unitFact('pressure', unit).factor) * 10 ** -decimals;
  });
  return digits.length === 0 ? 0 : Math.max(...digits);
}

/** How far the temperature of the gas may be off where somebody took it, K. */
const TEMPERATURE_DOUBT = fahrenheitDegrees(2);

/**
 * What the series says of a leak. The leak that must not hide is a tenth of the full charge a year, in the largest volume that
 * such a charge stands in; where charge or gas is unknown nothing is called holding.
 */
export function judgeTest(
  test: PressureTest,
  machine: { table: SaturationTable | null; fullCharge: Kilograms | null; atmosphere: Pascals },
): ReturnType<typeof judgePressureTest> {
  const readings = takenOf(test);
  const { table, fullCharge, atmosphere } = machine;
  const start = readings[0]?.pressure ?? atmosphere;
  const gases =
    table === null || fullCharge === null
      ? null
      : gasesOf({
          testGas: typeof test.testGas === 'string' ? test.testGas : 'nitrogen',
          table,
          volume: volumeByCharge(fullCharge).most,
          test: start,
          atmosphere,
        });
  return judgePressureTest({
    readings,
    changedShare: 1,
    gauge: { resolution: resolutionOf(test), temperatureDoubt: TEMPERATURE_DOUBT },
    // What is above the design pressure is said where it is typed; what was read is judged all the same.
    limits: { design: null, working: null },
    matters: gases && fullCharge !== null ? gases.fallOf(SHARE_THAT_MATTERS * fullCharge) : null,
  });
}
