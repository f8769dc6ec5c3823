/**
 * Values in SI, marked with what they measure. A plain number is taken for any of them, for arithmetic has no units; a value
 * that is marked as one thing is not taken for another: a temperature given where a pressure is wanted does not compile.
 */
import type { Dimension } from './units';

declare const of: unique symbol;

/** The SI value of a dimension. */
export type Si<D extends Dimension> = number & { readonly [of]?: D };

/** Pa absolute */
export type Pascals = Si<'pressure'>;
/** K absolute */
export type Kelvins = Si<'temperature'>;
/** K between two temperatures */
export type KelvinsApart = Si<'temperatureDifference'>;
export type Kilograms = Si<'mass'>;
export type CubicMetres = Si<'volume'>;
export type Metres = Si<'length'>;
/** kg/m³ */
export type Density = Si<'density'>;
