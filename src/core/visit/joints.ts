/** Which alloy and whether flux, by the two metals of a joint. Trade practice; the maker's data sheet decides. */
export const METALS = ['copper', 'brass', 'steel', 'aluminium'] as const;
export type Metal = (typeof METALS)[number];

/** How a joint is made again. */
export const JOINT_WAYS = ['brazed', 'pressed', 'flared', 'tightened', 'exchanged'] as const;
export type JointWay = (typeof JOINT_WAYS)[number];

export type JointAdvice =
  /** copper to copper: the phosphorus in the alloy is its flux */
  | { alloy: 'phosphorusCopper'; flux: false }
  /** brass or steel: phosphorus makes it brittle; high silver, with flux */
  | { alloy: 'highSilver'; flux: true }
  /** aluminium is not brazed on a roof: exchange the part, or a mechanical joint that the maker allows */
  | { alloy: 'exchangePart'; flux: false };

/** `jointAdvice('copper', 'brass')` // => { alloy: 'highSilver', flux: true } */
export function jointAdvice(one: Metal, other: Metal): JointAdvice {
  if (one === 'aluminium' || other === 'aluminium') return { alloy: 'exchangePart', flux: false };
  return one === 'copper' && other === 'copper'
    ? { alloy: 'phosphorusCopper', flux: false }
    : { alloy: 'highSilver', flux: true };
}
