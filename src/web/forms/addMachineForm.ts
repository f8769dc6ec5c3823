/** What the form of a new machine holds, and its full charge as it is known. */
import { v7 as uuidv7 } from 'uuid';
import type { Entry, FullChargeMethod } from '../../core/logbook/entry';
import type { Appliance } from '../../core/logbook/tables';
import type { MassUnit } from '../../core/quantity/mass';
import { type Category, type Detection } from '../../core/logbook/fields';
import { type ApplianceKind } from '../../core/logbook/tables';
import { massOf } from '../../record/gasDraft';

export interface MachineForm {
  siteId: string;
  name: string;
  /** empty until somebody chose */
  kind: ApplianceKind | '';
  category: Category | '';
  lightCommercialAirConditioning: boolean;
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

/** The choice of who does not know the refrigerant. */
export const NOT_KNOWN = 'unknown';

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
  kind: '',
  category: '',
  lightCommercialAirConditioning: false,
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

/** What is sent: the machine, its spaces, and what is known of it as entries. */
export function newMachineOf(
  form: MachineForm & { kind: ApplianceKind; category: Category },
  { ids, by, today, unit }: { ids: ReturnType<typeof makeIds>; by: string; today: string; unit: MassUnit },
) {
  const id = ids.of('machine');
  const spaces = form.spaces
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean)
    .map((name) => ({ id: ids.of(`space ${name}`), siteId: form.siteId, name }));
  const appliance: Appliance = {
    id,
    siteId: form.siteId,
    name: form.name.trim(),
    kind: form.kind,
    category: form.category,
    ...(form.category === 'comfortCooling'
      ? { lightCommercialAirConditioning: form.lightCommercialAirConditioning }
      : {}),
    refrigerant: form.refrigerant === NOT_KNOWN ? null : form.refrigerant,
    installedOn: form.installedOn || null,
    recordFrom: form.recordFrom || today,
    hermetic: form.hermetic,
    automaticDetection: form.automaticDetection,
    serves: spaces.map((space) => space.id),
    assembly: form.assembly.trim() || null,
  };
  const common = { by, applianceId: id };
  const charge = chargeOf(form, unit);
  const entries: Entry[] = [
    ...(charge
      ? [
          {
            ...common,
            ...charge,
            id: ids.of('charge'),
            kind: 'fullChargeSet' as const,
            on: form.installedOn || today,
          },
        ]
      : []),
    ...(form.inspectedOn
      ? [
          {
            ...common,
            id: ids.of('inspection'),
            kind: 'leakInspection' as const,
            on: form.inspectedOn,
            note: 'As told when the machine came into the record.',
          },
        ]
      : []),
  ];
  return { appliance, spaces, entries, by };
}
