/** The two sides of a saturation curve that can be taken hold of, and what a hold moves. */

export type CurveSide = 'liquid' | 'vapour';

export type Moved =
  { axis: 'temperature'; kelvin: number } | { axis: 'pressure'; side: CurveSide; pascal: number };

export const LINE: Record<CurveSide, 'bubble' | 'dew'> = { liquid: 'bubble', vapour: 'dew' };

/** along which axis a drag goes is decided once it is this far from where it began */
export const DECIDED_PX = 6;
