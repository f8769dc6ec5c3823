/** What stands beside the drawing wherever a machine is read: other places, the series, the button that reads on. */
import { AMPLE, type PlaceName, placesOf } from '../../../core/visit/readings/places';
import { pullDown } from '../../../core/visit/readings/series';
import { degreesApart } from '../../../words/amounts';
import { durationWords } from '../../../words/measures';
import { placeWords } from '../../../words/readings';
import { Button } from '../../parts/Button';
import { Fold } from '../../parts/Fold';
import type { Round } from '../drawing/VisitDrawing';
import { MainAction } from '../StepBar';
import { useVisit } from '../visitContext';
import { SeriesTable } from './SeriesTable';
import { useReadings } from './useReadings';

/** At the thumb: the next place that was not read; when the round is made, what else is worth reading. */
export function ReadOn({ round, also = AMPLE }: { round: Round; also?: readonly PlaceName[] }) {
  const { map } = useVisit();
  const { now } = useReadings();
  const open = also.find(
    (place) =>
      placesOf(map).includes(place) && now.numbers[place] === undefined && now.signs[place] === undefined,
  );
  const next = round.next ?? open;
  return (
    next && (
      <MainAction>
        <Button weight="main" onClick={() => round.read(next)}>
          Read on: {placeWords(next).toLowerCase()}
        </Button>
      </MainAction>
    )
  );
}

/** Places that the drawing has no box for, and those that are read again. */
export function OtherPlaces({ round }: { round: Round }) {
  const { map } = useVisit();
  return (
    <Fold title="Every place" about="discharge, level, water, defrost, weather, hours on site">
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        {placesOf(map).map((place) => (
          <Button key={place} className="min-h-12 px-2" onClick={() => round.read(place)}>
            {placeWords(place)}
          </Button>
        ))}
      </div>
    </Fold>
  );
}

/** Open where there is something to compare. */
export function Series({ onlyToCompare = false }: { onlyToCompare?: boolean }) {
  const { units } = useVisit();
  const { series } = useReadings();
  const fall = pullDown(series);
  const phases = new Set(series.map((taken) => taken.phase)).size;
  if (phases === 0 || (onlyToCompare && phases === 1)) return null;
  return (
    <Fold title="Before and after" about="every reading by its time" open={phases > 1}>
      <SeriesTable />
      {fall && (
        <p className="mt-2">
          The box {fall.kelvinsAnHour >= 0 ? 'falls' : 'rises'} by{' '}
          <span className="font-semibold">{degreesApart(Math.abs(fall.kelvinsAnHour), units)} an hour</span>,
          over {durationWords(fall.seconds)}.
        </p>
      )}
    </Fold>
  );
}
