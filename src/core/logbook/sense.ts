/**
 * Does an entry make sense on this machine, today? What cannot be is an error; what may be is a warning that
 * asks for a reason. Codes with their figures; the words live in the interface.
 */
import { type Day, dayOf } from '../quantity/day';
import { type ExactGrams, exactGrams, grams } from '../quantity/mass';
import { isHydrocarbon, isRefrigerant, refrigerant } from '../refrigerant/refrigerant';
import type { Entry } from './entry';
import type { MachineHistory } from './history';
import type { Cylinder } from './tables';

/** No refrigerating machine holds more than this: 100,000 lb. */
const MOST_ANY_MACHINE_HOLDS = exactGrams({ value: 100_000, unit: 'lb' });

export type SenseError =
  | { code: 'futureDate'; field: 'on'; today: Day }
  | { code: 'moreThanAnyMachine'; field: 'mass' | 'high'; limitGrams: number }
  | { code: 'rangeReversed'; field: 'high' }
  | { code: 'supersedesDead'; field: 'supersedes' }
  /** only hydrocarbons may be let out, and only where the law allows it */
  | { code: 'notToBeLetOut'; field: 'into'; refrigerant: string };

export const SENSE_WARNINGS = [
  'retiredMachine',
  'moreThanFullCharge',
  'commissionAgain',
  'wrongRefrigerant',
  'moreThanRecovered',
  'beforeInstallation',
] as const;
export type SenseWarning = (typeof SENSE_WARNINGS)[number];

export interface Sense {
  errors: SenseError[];
  warnings: SenseWarning[];
  /** nothing is wrong, but the rate stays unknown until a full charge is set */
  fullChargeUnknown: boolean;
}

export interface SenseContext {
  /** the machine's history up to today */
  history: MachineHistory;
  /** today at the site */
  today: Day;
  /** the refrigerant in force on the entry's day */
  refrigerant: string;
  /** full charge in force on the entry's day */
  fullCharge: ExactGrams | null;
  /** recovered for repair and not yet put back */
  repairBalance: ExactGrams;
  /** the bottle that the entry names, if known */
  cylinder: Cylinder | null;
  /** whether the entry that is superseded is dead already */
  targetIsDead: boolean;
}

export function senseOf(entry: Entry, context: SenseContext): Sense {
  const errors: SenseError[] = [];
  const warnings: SenseWarning[] = [];
  const day = dayOf(entry.on);
  if (day > context.today) errors.push({ code: 'futureDate', field: 'on', today: context.today });
  if (entry.supersedes != null && context.targetIsDead)
    errors.push({ code: 'supersedesDead', field: 'supersedes' });
  const tooMuch = (field: 'mass' | 'high', mass: ExactGrams) => {
    if (mass > MOST_ANY_MACHINE_HOLDS) {
      errors.push({ code: 'moreThanAnyMachine', field, limitGrams: grams(MOST_ANY_MACHINE_HOLDS) });
    }
  };
  const { history } = context;
  const gas = entry.kind === 'refrigerantAdded' || entry.kind === 'refrigerantRecovered';
  if (entry.kind === 'fullChargeSet') {
    if (entry.mass) tooMuch('mass', exactGrams(entry.mass));
    if (entry.high) tooMuch('high', exactGrams(entry.high));
    if (entry.low && entry.high && exactGrams(entry.low) > exactGrams(entry.high)) {
      errors.push({ code: 'rangeReversed', field: 'high' });
    }
  }
  if (gas) {
    const mass = entry.mass ? exactGrams(entry.mass) : null;
    if (mass !== null) tooMuch('mass', mass);
    if (mass !== null && context.fullCharge !== null && mass > context.fullCharge)
      warnings.push('moreThanFullCharge');
    if (history.retiredOn !== null && day > history.retiredOn) warnings.push('retiredMachine');
    if (history.appliance.installedOn != null && day < dayOf(history.appliance.installedOn))
      warnings.push('beforeInstallation');
    const { cylinder } = context;
    if (cylinder && isRefrigerant(cylinder.refrigerant) && cylinder.refrigerant !== context.refrigerant)
      warnings.push('wrongRefrigerant');
  }
  if (
    entry.kind === 'refrigerantRecovered' &&
    entry.into === 'outdoors' &&
    isRefrigerant(context.refrigerant) &&
    !isHydrocarbon(refrigerant(context.refrigerant))
  )
    errors.push({ code: 'notToBeLetOut', field: 'into', refrigerant: context.refrigerant });
  if (entry.kind === 'refrigerantAdded') {
    const earlier = history.gas.some(
      (each) => each.entry.kind === 'refrigerantAdded' && each.entry.id !== entry.supersedes,
    );
    if (entry.reason === 'commission' && earlier) warnings.push('commissionAgain');
    if (entry.reason === 'recharge' && entry.mass && exactGrams(entry.mass) > context.repairBalance)
      warnings.push('moreThanRecovered');
  }
  const fullChargeUnknown = entry.kind === 'refrigerantAdded' && context.fullCharge === null;
  return { errors, warnings, fullChargeUnknown };
}

/** Where an entry keeps the reasons that its writer gave for what looked odd. */
export const ACCEPTED = 'x-accepted';

/** Reasons by warning code, as an entry carries them. */
export function acceptedReasons(entry: Entry): Partial<Record<SenseWarning, string>> {
  const value = (entry as unknown as Record<string, unknown>)[ACCEPTED];
  if (value === null || typeof value !== 'object') return {};
  return Object.fromEntries(
    Object.entries(value).filter(([, reason]) => typeof reason === 'string' && reason.trim() !== ''),
  );
}
