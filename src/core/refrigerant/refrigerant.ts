/**
 * What a refrigerant is made of: components by mass with their kind and global warming potential (100 years,
 * IPCC fourth report), and its safety class (ASHRAE 34 / ISO 817). Rules classify by components, not by name.
 */
import data from './compositions.json';

export const REFRIGERANT_KINDS = ['CFC', 'HCFC', 'HFC', 'HFO', 'HC', 'natural'] as const;
export type Kind = (typeof REFRIGERANT_KINDS)[number];

export interface Component {
  component: string;
  massShare: number;
  kind: Kind;
  gwpAr4: number;
}

export interface Refrigerant {
  name: string;
  safetyClass: string;
  composition: readonly Component[];
  kinds: ReadonlySet<Kind>;
  /** mass-weighted over the components, exact: in 1/10,000 (shares have three decimals, potentials one) */
  gwpTenThousandths: bigint;
  /** the same as a number, for reading */
  gwp: number;
}

function refrigerantOf(row: (typeof data)[number]): Refrigerant {
  const composition = row.composition as Component[];
  const gwpTenThousandths = composition.reduce(
    (sum, part) => sum + BigInt(Math.round(part.massShare * 1000)) * BigInt(Math.round(part.gwpAr4 * 10)),
    0n,
  );
  return {
    name: row.name,
    safetyClass: row.safetyClass,
    composition,
    kinds: new Set(composition.map((part) => part.kind)),
    gwpTenThousandths,
    gwp: Number(gwpTenThousandths) / 1e4,
  };
}

const byName = new Map(data.map((row) => [row.name, refrigerantOf(row)]));

export const REFRIGERANT_NAMES: readonly string[] = [...byName.keys()];

export const isRefrigerant = (name: string): boolean => byName.has(name);

/** A refrigerant that the logbook's schema has let in; any other name is a mistake of the caller. */
export function refrigerant(name: string): Refrigerant {
  const found = byName.get(name);
  if (!found) throw new Error(`No refrigerant ${name}: check it with isRefrigerant() where it comes in.`);
  return found;
}

/**
 * Burns: A2L, A2, A3, B2L. The screens show the cautions for these.
 * `isFlammable('R-290')` // => true
 */
export const isFlammable = (name: string): boolean => /[23]/.test(refrigerant(name).safetyClass);

/**
 * Made of several components: it leaves the bottle as liquid, so that their shares stay what they are.
 * `isBlend('R-134a')` // => false
 */
export const isBlend = (name: string): boolean => refrigerant(name).composition.length > 1;

/** Hydrocarbons only: what some laws allow to be let out, outdoors and away from drains and flames. */
export const isHydrocarbon = ({ kinds }: Refrigerant): boolean => kinds.size === 1 && kinds.has('HC');
