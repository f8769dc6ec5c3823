/** The rows beside the entries: sites, cooled spaces, people, appliances, cylinders. */
import { z } from 'zod';
import * as f from './fields';

export const APPLIANCE_KINDS = [
  'walkIn',
  'reachIn',
  'rack',
  'condensingUnit',
  'chiller',
  'milkTank',
  'iceMachine',
  'other',
] as const;
export type ApplianceKind = (typeof APPLIANCE_KINDS)[number];

export const siteRow = f.row({
  id: f.id,
  name: f.text,
  timezone: f.timezone,
  packs: z.array(f.packId),
  altitudeM: f.maybe(z.number()),
  leakRateMethod: f.maybe(z.array(f.row({ from: f.calendarDate, method: z.enum(f.METHODS) }))),
});

export const spaceRow = f.row({ id: f.id, siteId: f.id, name: f.text });

export const personRow = f.row({
  id: f.id,
  name: f.text,
  role: f.maybe(f.text),
  certificates: f.maybe(
    z.array(f.row({ scheme: f.maybe(f.text), number: f.maybe(f.text), expires: f.maybe(f.calendarDate) })),
  ),
});

export const applianceRow = f.row({
  id: f.id,
  siteId: f.id,
  name: f.text,
  kind: z.enum(APPLIANCE_KINDS),
  category: f.category,
  refrigerant: f.refrigerantName,
  installedOn: f.maybe(f.calendarDate),
  hermetic: f.maybe(f.flag),
  automaticDetection: f.maybe(f.detection),
  lightCommercialAirConditioning: f.maybe(f.flag),
  serves: f.maybe(f.texts),
  assembly: f.maybe(f.text),
});

export const cylinderRow = f.row({
  id: f.id,
  serial: f.text,
  refrigerant: f.refrigerantName,
  purpose: f.maybe(f.text),
  tare: f.maybe(f.mass),
  waterCapacityL: f.maybe(z.number().min(0, 'must not be negative')),
  ownerId: f.maybe(f.text),
});

export type Site = z.infer<typeof siteRow>;
export type Space = z.infer<typeof spaceRow>;
export type Person = z.infer<typeof personRow>;
export type Appliance = z.infer<typeof applianceRow>;
export type Cylinder = z.infer<typeof cylinderRow>;
