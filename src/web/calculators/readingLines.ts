/** Readings typed or pasted a line each: a time, then figures. Times are `90 s`, `1:30` (min:s), `2 min` or bare. */
import { parseMeasure } from '../../core/quantity/measure';
import type { UnitOf } from '../../core/quantity/units';
import { type Result, ok, refused } from '../../core/result';

/**
 * A line's parts. Semicolons and tabs part them, else commas with a blank behind or without any blank in the line, else blanks;
 * a comma that parts nothing is that of a decimal.
 */
function partsOf(line: string): string[] {
  if (/[;\t]/.test(line)) return line.split(/[;\t]/).map((each) => pointed(each.trim()));
  if (line.includes(',') && (/,\s/.test(line) || !/\s/.test(line)))
    return line.split(',').map((each) => each.trim());
  return line.split(/\s+/).map(pointed);
}

/** `8,72` as `8.72`. `1,500` can mean two things and stays as it is, which no figure takes. */
const pointed = (part: string): string => {
  const [, whole, digits = '', rest] = /^(-?\d+),(\d+)(\D.*)?$/.exec(part) ?? [];
  return whole === undefined || (digits.length === 3 && !/^-?0$/.test(whole))
    ? part
    : `${whole}.${digits}${rest ?? ''}`;
};

const linesOf = (text: string): { words: string; number: number }[] =>
  text
    .split('\n')
    .map((words, index) => ({ words: words.trim(), number: index + 1 }))
    .filter(({ words }) => words !== '');

function seconds(text: string, bareUnit: 's' | 'min'): number | null {
  const clock = /^(\d+):([0-5]\d)$/.exec(text);
  if (clock) return Number(clock[1]) * 60 + Number(clock[2]);
  const read = parseMeasure('duration', text, bareUnit);
  return read.ok ? read.value.si : null;
}

export interface PressureTestLine {
  at: number;
  pressure: number;
  temperature: number;
}

export function holdLines(
  text: string,
  units: { pressureUnit: string; temperatureUnit: string; atmosphere: number },
): Result<PressureTestLine[], string> {
  const found: PressureTestLine[] = [];
  for (const { words, number } of linesOf(text)) {
    const [time = '', pressureText = '', temperatureText = '', ...more] = partsOf(words);
    const at = seconds(time, 'min');
    const pressure = parseMeasure(
      'pressure',
      pressureText,
      units.pressureUnit as UnitOf<'pressure'>,
      units.atmosphere,
    );
    const temperature = parseMeasure(
      'temperature',
      temperatureText,
      units.temperatureUnit as UnitOf<'temperature'>,
    );
    if (at === null || !pressure.ok || !temperature.ok || more.length > 0)
      return refused(
        `Line ${String(number)}, “${words}”: type minutes, pressure and temperature, such as 30, 148, 72.`,
      );
    found.push({ at, pressure: pressure.value.si, temperature: temperature.value.si });
  }
  return ok(found);
}

export interface VacuumLine {
  at: number;
  pressure: number;
}

export function vacuumLines(
  text: string,
  units: { timeUnit: 's' | 'min'; vacuumUnit: UnitOf<'vacuum'> },
): Result<VacuumLine[], string> {
  const found: VacuumLine[] = [];
  for (const { words, number } of linesOf(text)) {
    const [time = '', vacuumText = '', ...more] = partsOf(words);
    const at = seconds(time, units.timeUnit);
    const vacuum = parseMeasure('vacuum', vacuumText, units.vacuumUnit);
    if (at === null || !vacuum.ok || more.length > 0)
      return refused(
        `Line ${String(number)}, “${words}”: type a time and a reading, such as 1:30 450, or 90 s, 450 micron.`,
      );
    found.push({ at, pressure: vacuum.value.si });
  }
  return ok(found);
}
