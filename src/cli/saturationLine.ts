/** One line of the saturation command: the state that it asks for, or what is wrong with it. */
import { ZERO_CELSIUS } from '../core/quantity/units';
import { REFRIGERANT_NAMES, isRefrigerant } from '../core/refrigerant/refrigerant';
import { type OutsideTable, saturatedState, saturationTemperature } from '../core/refrigerant/saturation';
import { loadSaturation } from '../core/refrigerant/tables';

export interface StateLine {
  refrigerant: string;
  temperature_C: number;
  bubblePressure_Pa: number;
  dewPressure_Pa: number;
  liquidDensity_kg_m3: number;
  vapourDensity_kg_m3: number;
}

const FORMS = 'Write `R-448A 20.37` (°C), `R-448A bubble 1200000` or `R-448A dew 1200000` (Pa absolute).';
const NUMBER = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i;

export async function answerLine(line: string): Promise<StateLine | { error: string }> {
  const words = line.trim().split(/\s+/);
  const [name = '', second = '', third] = words;
  const unreadable = { error: `“${line.trim()}” does not read as a question. ${FORMS}` };
  if (words.length < 2) return unreadable;
  if (!isRefrigerant(name)) {
    return { error: `“${name}” is no refrigerant known here. Known: ${REFRIGERANT_NAMES.join(', ')}.` };
  }
  const onLine = second === 'bubble' || second === 'dew' ? second : null;
  const figure = onLine ? (third ?? '') : second;
  if (words.length !== (onLine ? 3 : 2) || !NUMBER.test(figure)) return unreadable;
  const table = await loadSaturation(name);
  const given = Number(figure);
  const temperature = onLine
    ? saturationTemperature(table, onLine, given)
    : { ok: true as const, value: given + ZERO_CELSIUS };
  if (!temperature.ok) return { error: outsideWords(temperature.refusal) };
  const state = saturatedState(table, temperature.value);
  if (!state.ok) return { error: outsideWords(state.refusal) };
  return {
    refrigerant: name,
    temperature_C: onLine ? temperature.value - ZERO_CELSIUS : given,
    bubblePressure_Pa: state.value.bubblePressure,
    dewPressure_Pa: state.value.dewPressure,
    liquidDensity_kg_m3: state.value.liquidDensity,
    vapourDensity_kg_m3: state.value.vapourDensity,
  };
}

function outsideWords({ refrigerant, quantity, given, from, to }: OutsideTable): string {
  if (quantity === 'temperature') {
    const celsius = (kelvin: number): string => String(Number((kelvin - ZERO_CELSIUS).toFixed(6)));
    return `${refrigerant}: ${celsius(given)} °C is outside its table, ${celsius(from)} to ${celsius(to)} °C.`;
  }
  const line = quantity === 'bubblePressure' ? 'bubble' : 'dew';
  return `${refrigerant}: ${String(given)} Pa is outside its ${line} pressures, ${String(from)} to ${String(to)} Pa absolute.`;
}
