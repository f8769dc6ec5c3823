/** What the form of a new machine holds, and its full charge as it is known. */
import { v7 as uuidv7 } from 'uuid';
import { type FullChargeMethod } from '../../core/logbook/entry';
import type { MassUnit } from '../../core/quantity/mass';
import { type Category, type Detection } from '../../core/logbook/fields';
import { type ApplianceKind } from '../../core/logbook/tables';
import { massOf } from '../../record/gasDraft';

export interface MachineForm {
  siteId: string;
  name: string;
  kind: ApplianceKind;
  category: Category;
  refrigerant: string;
  installedOn: string;
  hermetic: boolean;
  automaticDetection: Detection;
  assembly: string;
  spaces: string;
  recordFrom: string;
  inspectedOn: string;
  charge: string;
  chargeTo: string;
  chargeMethod: FullChargeMethod;
}

/** Ids by what they are for. */
export function makeIds(): { of: (what: string) => string } {
  const made = new Map<string, string>();
  return {
    of: (what) => {
      const id = made.get(what) ?? uuidv7();
      made.set(what, id);
      return id;
    },
  };
}

/** The full charge as it is known: a figure, or an estimate with both its ends; null where nobody knows. */
export function chargeOf(form: MachineForm, unit: MassUnit) {
  const read = massOf(form.charge, unit);
  if (!('mass' in read)) return null;
  if (form.chargeMethod !== 'range') return { method: form.chargeMethod, mass: read.mass };
  const high = massOf(form.chargeTo, unit);
  return 'mass' in high ? { method: form.chargeMethod, low: read.mass, high: high.mass } : null;
}

export const freshMachine = (siteId: string): MachineForm => ({
  siteId,
  name: '',
  kind: 'walkIn',
  category: 'commercialRefrigeration',
  refrigerant: '',
  installedOn: '',
  hermetic: false,
  automaticDetection: 'none',
  assembly: '',
  spaces: '',
  recordFrom: '',
  inspectedOn: '',
  charge: '',
  chargeTo: '',
  chargeMethod: 'maker',
});
