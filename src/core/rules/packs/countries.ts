/**
 * Which rule sets a site takes from its country, to begin with; a person can choose others. Codes of ISO 3166; a state with
 * rules of its own by its own code, under which those of its country hold too. House rules hold wherever no other covers.
 */
import { PACK_IDS, type PackId } from '../../logbook/packNames';
import { SHIPPED_PACKS } from './shipped';

const everywhere = (id: PackId): boolean => SHIPPED_PACKS[id].holdsIn.length === 0;

/** Every country and state that a pack names, with the name that a browser lacks. */
export const COUNTRIES_WITH_RULES: ReadonlyMap<string, string | null> = new Map(
  PACK_IDS.flatMap((id) => SHIPPED_PACKS[id].holdsIn.map(({ code, name }) => [code, name ?? null])),
);

/** `packsOf('US-CA')`: those of the country, of the state, and the house's own; of an unknown country the house's alone. */
export function packsOf(country: string): readonly PackId[] {
  const [whole = ''] = country.split('-');
  return PACK_IDS.filter(
    (id) =>
      everywhere(id) || SHIPPED_PACKS[id].holdsIn.some(({ code }) => code === country || code === whole),
  );
}
