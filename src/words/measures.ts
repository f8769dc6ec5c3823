/** Measures in the words of the trade: which unit a system reads, and SI figures as text. */
import type { Si } from '../core/quantity/si';
import { figureText, fromSi, measureText, toSi } from '../core/quantity/measure';
import { massText } from '../core/quantity/mass';
import { type Dimension, YEAR_S } from '../core/quantity/units';

export type UnitSystem = 'us' | 'metric';

const READ: Record<Dimension, Record<UnitSystem, string>> = {
  pressure: { us: 'psig', metric: 'bar' },
  pressureDifference: { us: 'psi', metric: 'bar' },
  vacuum: { us: 'micron', metric: 'mbar' },
  temperature: { us: '°F', metric: '°C' },
  temperatureDifference: { us: '°F', metric: 'K' },
  length: { us: 'in', metric: 'mm' },
  volume: { us: 'gal', metric: 'L' },
  flow: { us: 'cfm', metric: 'L/s' },
  duration: { us: 'min', metric: 'min' },
  mass: { us: 'lb', metric: 'kg' },
  density: { us: 'lb/ft³', metric: 'kg/m³' },
  massRate: { us: 'oz/yr', metric: 'g/yr' },
  throughput: { us: 'mbar·L/s', metric: 'Pa·m³/s' },
  pressureRate: { us: 'psi/h', metric: 'kPa/h' },
  vacuumRate: { us: 'micron/min', metric: 'Pa/min' },
  gasPrice: { us: 'a lb', metric: 'a kg' },
  share: { us: '%', metric: '%' },
  bubbleRate: { us: 'bubbles/min', metric: 'bubbles/min' },
  current: { us: 'A', metric: 'A' },
  number: { us: '', metric: '' },
};

export const readIn = (dimension: Dimension, system: UnitSystem): string => READ[dimension][system];

/** The units that a key turns through, the usual one first; another can be typed. */
const TURNS: Partial<Record<Dimension, Record<UnitSystem, readonly string[]>>> = {
  pressure: { us: ['psig', 'inHg', 'bar'], metric: ['bar', 'kPa', 'psig'] },
  temperature: { us: ['°F', '°C'], metric: ['°C', '°F'] },
  vacuum: { us: ['micron', 'mbar'], metric: ['mbar', 'micron', 'Pa'] },
  mass: { us: ['lb', 'oz', 'g', 'kg'], metric: ['kg', 'g', 'lb', 'oz'] },
  duration: { us: ['min', 'h'], metric: ['min', 'h'] },
};

export const turnsOf = (dimension: Dimension, system: UnitSystem): readonly string[] =>
  TURNS[dimension]?.[system] ?? [READ[dimension][system]];

const SMALL_VOLUME_M3 = 5e-4;

export type Show = <D extends Dimension>(dimension: D, si: Si<D>) => string;

/** Turns SI into text for a system at a site's atmosphere. `weights`: where they are weighed in the other system. */
export const shownIn =
  (system: UnitSystem, atmospherePa: number, weights: UnitSystem = system): Show =>
  (dimension, si) => {
    if (!Number.isFinite(si)) return 'never';
    if (dimension === 'mass') return massWords(si, weights);
    if (dimension === 'length') return lengthWords(si, system);
    if (dimension === 'massRate') return massRateWords(si, system);
    if (dimension === 'duration') return durationWords(si);
    if (dimension === 'volume' && Math.abs(si) < SMALL_VOLUME_M3) return measureText('volume', si, 'cm³');
    // A compound gauge shows inches of mercury below zero.
    if (dimension === 'pressure' && system === 'us' && si < atmospherePa - 1)
      return `${measureText('pressure', si, 'inHg', atmospherePa)} vacuum`;
    return measureText(dimension, si, READ[dimension][system], atmospherePa);
  };

const POUND_KG = toSi('mass', 1, 'lb');

/** Hoses and small machines are a matter of hundredths of an ounce and tenths of a gram. */
function massWords(kilograms: number, system: UnitSystem): string {
  if (system === 'us' && Math.abs(kilograms) < POUND_KG)
    return `${figureText(fromSi('mass', kilograms, 'oz'), 2)} oz`;
  return massText(kilograms * 1000, system === 'us' ? 'pounds' : 'kilograms');
}

function massRateUnit(kilogramsASecond: number, system: UnitSystem): string {
  const large = kilogramsASecond * YEAR_S >= (system === 'us' ? POUND_KG : 1);
  return system === 'us' ? (large ? 'lb/yr' : 'oz/yr') : large ? 'kg/yr' : 'g/yr';
}

const massRateWords = (kilogramsASecond: number, system: UnitSystem): string =>
  measureText('massRate', kilogramsASecond, massRateUnit(kilogramsASecond, system));

const lengthWords = (metres: number, system: UnitSystem): string =>
  system === 'us'
    ? measureText('length', metres, metres < toSi('length', 3, 'ft') ? 'in' : 'ft')
    : measureText('length', metres, metres < 1 ? 'mm' : 'm');

/** A rate of which only the size is known: two digits, in the unit that makes them plain. kg/s. */
export function roughRateWords(kilogramsASecond: number, system: UnitSystem): string {
  const unit = massRateUnit(kilogramsASecond, system);
  return `${Number(fromSi('massRate', kilogramsASecond, unit).toPrecision(2)).toLocaleString('en-US')} ${unit}`;
}

/** Rounded as people say it: seconds below two minutes, then minutes, hours, days. */
export function durationWords(seconds: number): string {
  const minutes = seconds / 60;
  if (seconds < 120) return `${figureText(seconds, seconds < 10 ? 1 : 0)} s`;
  if (minutes < 120) return `${figureText(minutes, 1)} min`;
  const hours = minutes / 60;
  if (hours < 48) return `${figureText(hours, 1)} h`;
  const days = hours / 24;
  return days < 800 ? `${figureText(days, days < 10 ? 1 : 0)} days` : `${figureText(days / 365, 1)} years`;
}

/** The same measure in the other system, for the echo under a field. */
export function echoOf(dimension: Dimension, si: number, typedUnit: string, atmospherePa: number): string {
  const metricTyped =
    typedUnit === READ[dimension].metric ||
    ['kPa', 'kg', 'g', 'm', 'cm', 'L', 'cm³', 'Pa', 'K', 'a kg'].includes(typedUnit);
  return shownIn(metricTyped ? 'us' : 'metric', atmospherePa)(dimension, si);
}

/** A bare figure in a unit, for axes and cells. */
export const bareFigure = (dimension: Dimension, si: number, unit: string, atmospherePa?: number): number =>
  fromSi(dimension, si, unit, atmospherePa);

/** The figures at the start of what was typed, without the unit behind them; null where there are none. */
export const figuresOnly = (text: string): string | null =>
  /^\s*[+\-−]?[\d./ ]*\d/.exec(text)?.[0].trim() ?? null;
