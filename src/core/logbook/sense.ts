/**
 * Does an entry make sense on this machine, today? What cannot be is an error; what may be is a warning that
 * asks for a reason. Codes with their figures; the words live in the interface.
 */
import { type Day, dayOf } from '../quantity/day';
import { type ExactGrams, exactGrams, grams } from '../quantity/mass';
import { isHydrocarbon, isRefrigerant, refrigerant } from '../refrigerant/refrigerant';
import type { Entry, EntryOf } from './entry';
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
  | { code: 'notToBeLetOut'; field: 'into'; refrigerant: string | null };

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

/** What the record says of the machine. */
export interface MachineFacts {
  /** up to today */
  history: MachineHistory;
  /** the refrigerant in force on the entry's day; null where nobody knows it */
  refrigerant: string | null;
  /** full charge in force on the entry's day */
  fullCharge: ExactGrams | null;
  /** recovered for repair and not yet put back; asked for only where gas goes back */
  repairBalance: () => ExactGrams;
}

export interface SenseContext {
  /** today at the site */
  today: Day;
  /** the bottle that the entry names, if known */
  cylinder: Cylinder | null;
  /** whether the entry that is superseded is superseded already */
  targetIsSuperseded: boolean;
  /** null only for entries of which `readsRecord` says that they need none */
  machine: MachineFacts | null;
}

/** Whether an entry is held against the record of its machine: only what moves gas is. */
export const readsRecord = (entry: Entry): entry is EntryOf<'refrigerantAdded' | 'refrigerantRecovered'> =>
  entry.kind === 'refrigerantAdded' || entry.kind === 'refrigerantRecovered';

export function senseOf(entry: Entry, context: SenseContext): Sense {
  const errors: SenseError[] = [];
  const warnings: SenseWarning[] = [];
  const day = dayOf(entry.on);
  if (day > context.today) errors.push({ code: 'futureDate', field: 'on', today: context.today });
  if (entry.supersedes != null && context.targetIsSuperseded)
    errors.push({ code: 'supersedesDead', field: 'supersedes' });
  const tooMuch = (field: 'mass' | 'high', mass: ExactGrams) => {
    if (mass > MOST_ANY_MACHINE_HOLDS) {
      errors.push({ code: 'moreThanAnyMachine', field, limitGrams: grams(MOST_ANY_MACHINE_HOLDS) });
    }
  };
  if (entry.kind === 'fullChargeSet') {
    if (entry.mass) tooMuch('mass', exactGrams(entry.mass));
    if (entry.high) tooMuch('high', exactGrams(entry.high));
    if (entry.low && entry.high && exactGrams(entry.low) > exactGrams(entry.high)) {
      errors.push({ code: 'rangeReversed', field: 'high' });
    }
  }
  if (!readsRecord(entry)) return { errors, warnings, fullChargeUnknown: false };
  const { machine, cylinder } = context;
  if (!machine) throw new Error(`The record of its machine is needed to check ${entry.id}.`);
  const { history } = machine;
  const mass = entry.mass ? exactGrams(entry.mass) : null;
  if (mass !== null) tooMuch('mass', mass);
  if (mass !== null && machine.fullCharge !== null && mass > machine.fullCharge)
    warnings.push('moreThanFullCharge');
  if (history.retiredOn !== null && day > history.retiredOn) warnings.push('retiredMachine');
  if (history.appliance.installedOn != null && day < dayOf(history.appliance.installedOn))
    warnings.push('beforeInstallation');
  const gas = machine.refrigerant;
  if (cylinder && gas !== null && isRefrigerant(cylinder.refrigerant) && cylinder.refrigerant !== gas)
    warnings.push('wrongRefrigerant');
  if (entry.kind === 'refrigerantRecovered') {
    const kept = gas === null || (isRefrigerant(gas) && !isHydrocarbon(refrigerant(gas)));
    if (entry.into === 'outdoors' && kept)
      errors.push({ code: 'notToBeLetOut', field: 'into', refrigerant: gas });
    return { errors, warnings, fullChargeUnknown: false };
  }
  const earlier = history.gas.some(
    (each) => each.entry.kind === 'refrigerantAdded' && each.entry.id !== entry.supersedes,
  );
  if (entry.reason === 'commission' && earlier) warnings.push('commissionAgain');
  // Several bottles one after the other: the reason that was given at the first stands for the visit.
  const saidBefore =
    entry.visitId != null &&
    history.gas.some(
      (each) => each.entry.visitId === entry.visitId && acceptedReasons(each.entry).moreThanRecovered,
    );
  if (entry.reason === 'recharge' && !saidBefore && mass !== null && mass > machine.repairBalance())
    warnings.push('moreThanRecovered');
  return { errors, warnings, fullChargeUnknown: machine.fullCharge === null };
}

/** Where an entry keeps the reasons that its writer gave for what looked odd. */
export const ACCEPTED = 'x-accepted';

/** The entry with the reasons that were given for what looked odd in it. */
export const withAccepted = (entry: Entry, reasons: Partial<Record<SenseWarning, string>>): Entry =>
  Object.keys(reasons).length === 0 ? entry : Object.assign({ ...entry }, { [ACCEPTED]: reasons });

/** Reasons by warning code, as an entry carries them. */
export function acceptedReasons(entry: Entry): Partial<Record<SenseWarning, string>> {
  const value = (entry as unknown as Record<string, unknown>)[ACCEPTED];
  if (value === null || typeof value !== 'object') return {};
  return Object.fromEntries(
    Object.entries(value).filter(([, reason]) => typeof reason === 'string' && reason.trim() !== ''),
  );
}
