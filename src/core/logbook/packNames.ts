/** The rule packs that a site can list, by id, and what each is called. A new one has its data in `rules/packs`. */
export const PACK_NAMES = {
  'us-ods': 'US ozone rules',
  'us-hfc': 'US HFC rules',
  'us-ca': 'California',
  eu: 'European Union',
  gb: 'Great Britain',
  house: 'House rule',
} as const;

export type PackId = keyof typeof PACK_NAMES;
export const PACK_IDS = Object.keys(PACK_NAMES) as [PackId, ...PackId[]];
