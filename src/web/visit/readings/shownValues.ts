/** The values on the drawing of a visit: what was read, and the places of the round that wait. */
import type { CircuitMap } from '../../../core/circuit/map';
import type { Figures } from '../../../core/visit/readings/figures';
import {
  type PlaceName,
  ROUND,
  isNumberName,
  isSignName,
  partOfPlace,
  placesOf,
} from '../../../core/visit/readings/places';
import type { ReadingTaken } from '../../../core/visit/readings/series';
import { type Quantity, isNotDone, isUnknown, measuredOf } from '../../../core/visit/notes/stated';
import type { ReadingsSoFar } from '../../../core/visit/visitRecord';
import { amountsTo } from '../../../words/amounts';
import type { Show, UnitSystem } from '../../../words/measures';
import { NUMBER_WORDS, PHASE_WORDS, placeWords, signWords } from '../../../words/readings';
import { quantityWords, statedWords } from '../../../words/stated';
import { MARK_SAID, type ValueShown } from '../../drawing/shown';

/** What stands on an empty place: short enough for its box. */
const SHORT: Partial<Record<PlaceName, string>> = {
  suction: 'suction',
  head: 'head',
  suctionLine: 'suction line',
  liquidLine: 'liquid line',
  box: 'box',
  ambient: 'air',
  rated: 'rated amps',
  standing: 'standing',
};

interface ShownInput {
  map: CircuitMap;
  series: readonly ReadingTaken[];
  /** what still speaks; the rest is shown as what it was before */
  now: ReadingsSoFar;
  figures: Figures | null;
  /** places that wait to be read at this step */
  asked: readonly PlaceName[];
  next: PlaceName | null;
  show: Show;
  system: UnitSystem;
  /** said in Arrive: how long the box has been out of temperature */
  warmFor: string | null;
  /** what is typed at a place and not saved */
  unsaved: (place: PlaceName) => string | null;
}

const givenWords = (taken: ReadingTaken): string =>
  taken.sign
    ? (statedWords<string>(taken.given, (value) => signWords(taken.name, value)) ?? '')
    : (statedWords<Quantity>(taken.given, quantityWords) ?? '');

export function shownValues({
  map,
  series,
  now,
  figures,
  asked,
  next,
  show,
  system,
  warmFor,
  unsaved,
}: ShownInput): ValueShown[] {
  const places = placesOf(map);
  const latest = new Map<string, ReadingTaken>();
  for (const taken of series) latest.set(`${taken.name} ${taken.part ?? ''}`, taken);
  const read = [...latest.values()].flatMap((taken): ValueShown[] => {
    const place = places.find((each) => each === taken.name);
    const partId = taken.part ?? (place && partOfPlace(map, place)?.id) ?? '';
    if (!place || place === 'rated') return [];
    const current = taken.sign ? now.signs[place] : now.numbers[place];
    const old = taken.part === null && current === undefined;
    const rated = place === 'amps' ? measuredOf(now.numbers['rated']) : null;
    const amounts =
      old || taken.part !== null || figures === null ? null : amountsTo(place, figures, show, system);
    const below = isNotDone(taken.given)
      ? taken.given.notDone
      : old
        ? PHASE_WORDS[taken.phase]
        : rated
          ? `of ${rated.typed}`
          : (place === 'box' && taken.part === null && warmFor ? `warm for ${warmFor}` : null) ||
            amounts?.words ||
            lackingWords(place, figures) ||
            (isSignName(place) ? placeWords(place).toLowerCase() : null);
    const none = isNotDone(taken.given) ? 'not done' : isUnknown(taken.given) ? 'unknown' : null;
    const words = none ?? givenWords(taken);
    return [
      {
        place,
        partId,
        words,
        below,
        mark: amounts?.mark ?? null,
        empty: false,
        next: place === next && taken.part === null,
        said: [
          `${placeWords(place)} ${givenWords(taken)}`,
          below,
          amounts?.mark && MARK_SAID[amounts.mark],
          old && 'read before the charge changed',
        ]
          .filter(Boolean)
          .join(', '),
      },
    ];
  });
  const waiting = asked.flatMap((place): ValueShown[] => {
    const part = partOfPlace(map, place);
    const already = read.some((value) => value.place === place);
    if (!part || already) return [];
    const name = SHORT[place] ?? placeWords(place).toLowerCase();
    const typed = unsaved(place);
    return [
      {
        place,
        partId: part.id,
        words: typed ?? name,
        below: typed === null ? null : 'typed, not saved',
        mark: null,
        empty: true,
        next: place === next,
        said: `${placeWords(place)}, ${typed === null ? 'not read yet' : `${typed} typed and not saved`}`,
      },
    ];
  });
  return [...read, ...waiting];
}

/** A reading that says nothing yet names what it must be held against. */
function lackingWords(place: PlaceName, figures: Figures | null): string | null {
  const lacking = figures?.lacking.find((each) => each.reading === place);
  return lacking ? `lacks ${SHORT[lacking.needs] ?? NUMBER_WORDS[lacking.needs].toLowerCase()}` : null;
}

/** The next place of the round that still waits; with a place given, the next after it. */
export function nextOfRound(map: CircuitMap, now: ReadingsSoFar, after: PlaceName | null): PlaceName | null {
  const from = after !== null && isNumberName(after) ? ROUND.indexOf(after) + 1 : 0;
  const round = [...ROUND.slice(from), ...ROUND.slice(0, from)];
  return (
    round.find(
      (place) => place !== after && now.numbers[place] === undefined && partOfPlace(map, place) !== null,
    ) ?? null
  );
}
