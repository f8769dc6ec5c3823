/** The rows beside the entries: the company, owners, sites, cooled spaces, people, appliances, cylinders, and what became of rows. */
import { z } from 'zod';
import * as f from './fields';
import { pipingRow } from './piping';

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

/** Numbers that an authority gave, as a text or a list. */
const numbers = f.maybe(z.union([f.text, z.array(z.union([f.text, z.looseObject({})])), z.looseObject({})]));

/** Who writes this logbook: the contractor. */
export const companyRow = f.row({
  name: f.maybe(f.text),
  address: f.maybe(f.text),
  contact: f.maybe(f.text),
  numbers,
});

/** Whose machines and whose recovered gas it is. */
export const ownerRow = f.row({
  id: f.id,
  name: f.text,
  address: f.maybe(f.text),
  contact: f.maybe(f.text),
  numbers,
});

export const siteRow = f.row({
  id: f.id,
  name: f.text,
  timezone: f.timezone,
  packs: z.array(f.packId),
  altitudeM: f.maybe(z.number()),
  leakRateMethod: f.maybe(z.array(f.row({ from: f.calendarDate, method: z.enum(f.METHODS) }))),
  /** whose it was before the first of `owners`, or all along where there is no list */
  ownerId: f.maybe(f.text),
  /** whose it was from which day */
  owners: f.maybe(z.array(f.row({ from: f.calendarDate, ownerId: f.text.nullable() }))),
  address: f.maybe(f.text),
  country: f.maybe(f.text),
  /** who has the key, when, where to park */
  access: f.maybe(f.text),
});

export const spaceRow = f.row({ id: f.id, siteId: f.id, name: f.text });

/** What proves that somebody may do certified work. */
const certificateRow = f.row({
  scheme: f.maybe(f.text),
  number: f.maybe(f.text),
  expires: f.maybe(f.calendarDate),
  /** file of its picture */
  'x-photo': f.maybe(f.text),
});

export const personRow = f.row({
  id: f.id,
  name: f.text,
  role: f.maybe(f.text),
  certificates: f.maybe(z.array(certificateRow)),
  /** from then on nobody chooses them */
  leftOn: f.maybe(f.calendarDate),
  /** another program, which writes by its token: nobody whom one would choose */
  'x-program': f.maybe(f.flag),
});

export const applianceRow = f.row({
  id: f.id,
  siteId: f.id,
  name: f.text,
  kind: z.enum(APPLIANCE_KINDS),
  category: f.category,
  /** null: nobody knows it yet */
  refrigerant: f.refrigerantName.nullable(),
  installedOn: f.maybe(f.calendarDate),
  hermetic: f.maybe(f.flag),
  automaticDetection: f.maybe(f.detection),
  lightCommercialAirConditioning: f.maybe(f.flag),
  /** the day from which this logbook answers for the machine */
  recordFrom: f.maybe(f.calendarDate),
  serves: f.maybe(f.texts),
  /** name of the machine whose circuits these are */
  assembly: f.maybe(f.text),
  /** what it is called at the unit, where that is another name than on the door */
  tag: f.maybe(f.text),
  model: f.maybe(f.text),
  serialNumber: f.maybe(f.text),
  designPressureLow: f.maybe(f.pressure),
  designPressureHigh: f.maybe(f.pressure),
  location: f.maybe(f.text),
  access: f.maybe(f.text),
  drawing: f.maybe(pipingRow),
});

export const PURPOSES = ['virgin', 'recovery', 'mixed'] as const;

export const cylinderRow = f.row({
  id: f.id,
  serial: f.text,
  refrigerant: f.refrigerantName,
  purpose: f.maybe(z.enum(PURPOSES)),
  tare: f.maybe(f.mass),
  waterCapacityL: f.maybe(z.number().min(0, 'must not be negative')),
  ownerId: f.maybe(f.text),
  retestOn: f.maybe(f.calendarDate),
  place: f.maybe(f.text),
  scrappedOn: f.maybe(f.calendarDate),
});

/** A change of a row: the whole row as it was from then on, who changed it, when, and why. */
export const revisionRow = f.row({
  table: f.filledText,
  id: f.id,
  row: z.looseObject({}),
  recordedAt: f.maybe(f.instant),
  by: f.maybe(f.text),
  why: f.maybe(f.text),
  seal: f.maybe(f.row({ hash: f.maybe(f.text), previous: f.maybe(f.text) })),
});

export type Company = z.infer<typeof companyRow>;
export type Owner = z.infer<typeof ownerRow>;
export type Revision = z.infer<typeof revisionRow>;
export type Site = z.infer<typeof siteRow>;
export type Space = z.infer<typeof spaceRow>;
export type Certificate = z.infer<typeof certificateRow>;
export type Person = z.infer<typeof personRow>;
export type Appliance = z.infer<typeof applianceRow>;
export type Cylinder = z.infer<typeof cylinderRow>;
