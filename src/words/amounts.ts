/** What a reading amounts to, in the few words that fit beside it on the drawing. */
import type { Figures, Mark } from '../core/visit/readings/figures';
import type { PlaceName } from '../core/visit/readings/places';
import { figureText } from '../core/quantity/measure';
import { fromSi } from '../core/quantity/measure';
import { SUBCOOLING, SUPERHEAT } from '../core/calculators/superheat';
import type { Show, UnitSystem } from './measures';

/** `63 °F`: whole degrees, as a thermometer of the trade is read. */
export const degreesApart = (kelvins: number, system: UnitSystem): string => {
  const unit = system === 'us' ? '°F' : 'K';
  return `${figureText(fromSi('temperatureDifference', kelvins, unit), system === 'us' ? 0 : 1)} ${unit}`;
};

const range = ({ low, high }: { low: number; high: number }, system: UnitSystem): string =>
  `${degreesApart(low, system).replace(/ .*/, '')}–${degreesApart(high, system).replace(/ .*/, '')}`;

export interface Amounts {
  words: string;
  mark: Mark | null;
}

/** To the whole unit: what it should be near is no finer than that. */
const rounded = (words: string): string =>
  words.replace(/\d+\.\d+/, (figure) =>
    Number(figure) < 10 && / bar/.test(words) ? figure : String(Math.round(Number(figure))),
  );
/** Without the unit, which the reading itself bears. */
const bare = (words: string): string => words.replace(/ (?:psig|bar)$/, '');

/** Beside the reading of a place: saturation, superheat, subcooling, split, and what it should be near; null where it says nothing more. */
export function amountsTo(
  place: PlaceName,
  figures: Figures,
  show: Show,
  system: UnitSystem,
): Amounts | null {
  const { marks, aim } = figures;
  const line = (...parts: (string | false | null)[]): string => parts.filter(Boolean).join(' · ');
  const saturated = (kelvins: number | null): string | null =>
    kelvins === null ? null : `sat ${rounded(show('temperature', kelvins))}`;
  switch (place) {
    case 'suction':
    case 'head': {
      const at = place === 'suction' ? figures.saturatedSuction : figures.saturatedHead;
      const near = aim && `near ${bare(rounded(show('pressure', aim[place])))}`;
      return { words: line(saturated(at), near), mark: marks[place] ?? null };
    }
    case 'suctionLine':
      return figures.superheat === null
        ? null
        : {
            words: line(`superheat ${degreesApart(figures.superheat, system)}`, range(SUPERHEAT, system)),
            mark: marks.suctionLine ?? null,
          };
    case 'liquidLine':
      return figures.subcooling === null
        ? null
        : {
            words: line(`subcooling ${degreesApart(figures.subcooling, system)}`, range(SUBCOOLING, system)),
            mark: marks.liquidLine ?? null,
          };
    case 'superheat':
    case 'subcooling': {
      const computed = figures[place];
      const usual = range(place === 'superheat' ? SUPERHEAT : SUBCOOLING, system);
      return {
        words: line(computed !== null && `computed ${degreesApart(computed, system)}`, usual),
        mark: marks[place] ?? null,
      };
    }
    case 'ambient':
    case 'waterOut':
      return figures.split === null
        ? null
        : { words: `split ${degreesApart(figures.split, system)}`, mark: marks.split ?? null };
    case 'box':
      return figures.coilDifference === null
        ? null
        : { words: `${degreesApart(figures.coilDifference, system)} above the coil`, mark: null };
    case 'amps':
      return { words: '', mark: marks.amps ?? null };
    default:
      return null;
  }
}
