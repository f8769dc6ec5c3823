/** Weighing at the bottle: before and after, less what stays in the hoses, kept as it is typed. */
import type { CalculatorRefusal } from '../../../core/calculators/calculated';
import { hoseContent } from '../../../core/calculators/charge/hoses';
import { weighedIn } from '../../../core/calculators/charge/weighed';
import { fromSi, parseMeasure } from '../../../core/quantity/measure';
import { MASS_UNITS, type MassUnit, grams } from '../../../core/quantity/mass';
import { liquidDensity, saturationTemperature, vapourDensity } from '../../../core/refrigerant/saturation';
import type { Measured } from '../../../core/visit/notes/stated';
import type { GasKind } from '../../../record/forms';
import { readingsNow } from '../../../core/visit/readings/series';
import { readNumber } from '../../../core/visit/visitRecord';
import { useTable } from '../../data/api/useTable';
import { useCylindersOf } from '../../data/api/queries';
import { calculatorRefusalWords } from '../../../words/calculators';
import { readIn, shownIn } from '../../../words/measures';
import { readKept, writeKept } from '../../data/device/kept';
import { useKeptDraft } from '../../data/device/useKeptDraft';
import { useReadings } from '../readings/useReadings';
import { useVisit } from '../visitContext';

export interface Weighing {
  bottle: string;
  /** a bottle before and after, or a scale that was zeroed and counts */
  way: 'twice' | 'zeroed';
  counted: string;
  before: string;
  after: string;
  hoses: 'none' | 'empty' | 'full';
  length: string;
  bore: string;
  liquid: string;
}

/** Hoses are those that were used last on this device. */
const HOSES = 'abacus.hoses';
type Hoses = Pick<Weighing, 'length' | 'bore'>;

export const FRESH: Weighing = {
  bottle: '',
  way: 'twice',
  counted: '',
  before: '',
  after: '',
  hoses: 'none',
  length: '5 ft',
  bore: '0.19 in',
  liquid: '75 °F',
};

/** What the scale said, what stays in the hoses, and so what went in, or came out; null while something is missing. */
export function useWeighing(direction: GasKind = 'refrigerantAdded') {
  const out = direction === 'refrigerantRecovered';
  const { visitId, view, units, atmosphere, record, place } = useVisit();
  const { figuresFor } = useReadings();
  const name = view.standing.present.refrigerant?.name ?? null;
  const table = useTable(name).data;
  const { draft, set, forget } = useKeptDraft<Weighing>(
    `${visitId} ${view.machine.appliance.id} weighing${out ? ' out' : ''}`,
    () => ({ ...FRESH, ...readKept<Hoses>(HOSES) }),
  );
  const cylinders = useCylindersOf(name) ?? [];
  const read = <D extends 'mass' | 'length' | 'temperature'>(dimension: D, text: string) =>
    parseMeasure(
      dimension,
      text,
      (dimension === 'mass' ? place.mass : readIn(dimension, units)) as never,
      atmosphere,
    );
  const before = read('mass', draft.before);
  const after = read('mass', draft.after);
  const counted = read('mass', draft.counted);
  const length = read('length', draft.length);
  const bore = read('length', draft.bore);
  const liquid = read('temperature', draft.liquid);
  const cylinder = cylinders.find((each) => each.id === draft.bottle)?.serial ?? 'bottle';
  // A hose keeps vapour at what the machine runs at now, not at what it was found with.
  const now = readingsNow(record.entries);
  const suction = readNumber(now, 'suction') ?? figuresFor(now)?.aim?.suction ?? null;
  const hoses =
    draft.hoses === 'none'
      ? { kept: 0 }
      : table && length.ok && bore.ok
        ? hoseHolds(
            { length: length.value.si, bore: bore.value.si },
            draft.hoses === 'full'
              ? liquid.ok
                ? liquidDensity(table, liquid.value.si)
                : null
              : vapourAt(table, suction ?? atmosphere),
          )
        : { kept: null };
  const { kept } = hoses;
  const moved =
    draft.way === 'zeroed'
      ? counted.ok
        ? weighedIn([{ bottle: cylinder, before: counted.value.si, after: 0 }])
        : null
      : before.ok && after.ok
        ? // A bottle that takes gas up is heavier after.
          weighedIn([
            out
              ? { bottle: cylinder, before: after.value.si, after: before.value.si }
              : { bottle: cylinder, before: before.value.si, after: after.value.si },
          ])
        : null;
  const refusal = moved && !moved.ok ? moved.refusal : hoses.refusal;
  const typedOn = draft.way === 'zeroed' ? counted : before;
  const scale = MASS_UNITS.find((unit) => typedOn.ok && typedOn.value.unit === unit) ?? place.mass;
  const inside = moved?.ok && kept !== null ? Math.max(0, moved.value.value - kept) : null;
  const keptInHoses = { typed: takenText(kept ?? 0, scale), si: kept ?? 0, unit: scale };
  const bottlesOf = () =>
    before.ok && after.ok
      ? [
          {
            bottle: cylinder,
            before: measured(draft.before, before.value),
            after: measured(draft.after, after.value),
          },
        ]
      : [];
  const note =
    inside === null
      ? null
      : draft.way === 'zeroed' && counted.ok
        ? { bottles: [], counted: measured(draft.counted, counted.value), keptInHoses }
        : { bottles: bottlesOf(), keptInHoses };
  const remember = () => writeKept(HOSES, { length: draft.length, bore: draft.bore } satisfies Hoses);
  return {
    out,
    draft,
    set,
    forget,
    remember,
    cylinders,
    kept,
    inside,
    problem: refusal ? calculatorRefusalWords(refusal, shownIn(units, atmosphere)) : null,
    note,
    scale,
    hosesHoldMore: holdsMore(),
  };

  /** A critical charge can be less than one hose holds. */
  function holdsMore(): boolean {
    const full = view.standing.present.fullCharge;
    return draft.hoses === 'full' && kept !== null && full !== null && kept * 1000 > grams(full);
  }
}

function measured(text: string, { si, unit }: { si: number; unit: string }): Measured {
  return { typed: /[a-z]/i.test(text) ? text.trim() : `${text.trim()} ${unit}`, si, unit };
}

/** kg in one hose; null while the density of what is in it is not known. */
function hoseHolds(
  hose: { length: number; bore: number },
  density: ReturnType<typeof liquidDensity> | null,
): { kept: number | null; refusal?: CalculatorRefusal } {
  if (density === null) return { kept: null };
  const held = density.ok ? hoseContent({ ...hose, count: 1, density: density.value }) : density;
  return held.ok ? { kept: held.value.value.mass } : { kept: null, refusal: held.refusal };
}

/** Vapour that a hose keeps when it was pulled down to the suction pressure. */
function vapourAt(table: Parameters<typeof vapourDensity>[0], pressure: number) {
  const at = saturationTemperature(table, 'dew', pressure);
  return at.ok ? vapourDensity(table, at.value) : at;
}

/** No scale of the trade reads finer. */
export const LEAST_SHOWN_KG = 5e-4;

const DECIMALS: Partial<Record<string, number>> = { g: 1, oz: 2 };

/** The weight as a person would type it, in the unit in which the scale was read: 53 g stay 53 g. */
export function takenText(kilograms: number, unit: MassUnit): string {
  return `${String(Number(fromSi('mass', kilograms, unit).toFixed(DECIMALS[unit] ?? 3)))} ${unit}`;
}
