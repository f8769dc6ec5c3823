/** What reading a form needs to know of the place: units, air, instruments, and what the leaks are called. */
import type { LeakLabels } from '../core/logbook/leakLabels';
import type { Site } from '../core/logbook/tables';
import { SEA_LEVEL_PA, atmosphereAt } from '../core/quantity/atmosphere';
import type { MassUnit } from '../core/quantity/mass';
import { unitSystemOf } from '../core/rules/massSystem';
import type { Instrument } from '../core/visit/instrument';
import type { Dimension } from '../core/quantity/units';
import { type UnitSystem, readIn } from '../words/measures';

export interface FormPlace {
  mass: MassUnit;
  system: UnitSystem;
  /** Pa absolute at the site */
  atmosphere: number;
  instruments: readonly Instrument[];
  /** what the leaks of the machine are called, and so what the next one is */
  labels: LeakLabels;
  /** units that somebody chose in place of the usual ones, by quantity and usual unit: `temperature °F` */
  units?: Readonly<Partial<Record<string, string>>>;
}

/** By what a chosen unit is kept. */
export const unitKey = (dimension: string, usual: string): string => `${dimension} ${usual}`;

/** The unit of a bare number: what was chosen last for such a quantity, else the field's own, else that of the place. */
export function usualUnit(
  { system, mass, units = {} }: Pick<FormPlace, 'system' | 'mass' | 'units'>,
  dimension: Dimension,
  own?: Readonly<Record<UnitSystem, string>>,
): { usual: string; unit: string } {
  const usual = own?.[system] ?? (dimension === 'mass' ? mass : readIn(dimension, system));
  return { usual, unit: units[unitKey(dimension, usual)] ?? usual };
}

/** Pa absolute at a site; at sea level where its height is not known, or is none. */
export function atmosphereOf(site: Pick<Site, 'altitudeM'>): number {
  const air = atmosphereAt(site.altitudeM ?? 0);
  return air.ok ? air.value : SEA_LEVEL_PA;
}

export function placeOf(
  mass: MassUnit,
  site: Pick<Site, 'packs' | 'altitudeM'>,
  labels: LeakLabels = new Map(),
): FormPlace {
  return {
    mass,
    system: unitSystemOf(site),
    atmosphere: atmosphereOf(site),
    instruments: [],
    labels,
  };
}
