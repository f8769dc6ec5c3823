/** The machine of this visit as the form of every step: one drawing, whose layers and touches the step chooses. */
import { useMemo, useState } from 'react';
import type { MapPart } from '../../../core/circuit/map';
import { type PlaceName, ROUND, isReadOff, placesAt } from '../../../core/visit/readings/places';
import type { Quantity } from '../../../core/visit/notes/stated';
import { shutParts } from '../../../core/visit/valves';
import { notesOf } from '../../../core/visit/visitRecord';
import { shownIn } from '../../../words/measures';
import { placeWords } from '../../../words/readings';
import { quantityWords, statedWords } from '../../../words/stated';
import { partWords } from '../../../words/circuit';
import { CircuitDrawing, type Paged } from '../../drawing/CircuitDrawing';
import type { PartShown, ValueShown } from '../../drawing/shown';
import { ForWriters } from '../../data/api/ForWriters';
import { Button } from '../../parts/Button';
import { Tray } from '../../parts/Tray';
import { unsavedAt } from '../readings/keypadDraft';
import { ReadingTray } from '../readings/ReadingTray';
import { nextOfRound, shownValues } from '../readings/shownValues';
import { useReadings } from '../readings/useReadings';
import { useVisit } from '../visitContext';
import { PartKnown } from './PartKnown';
import { PipingDrawing } from './PipingDrawing';

interface Reading {
  place: PlaceName;
  part: MapPart | null;
}

/** What is being read, held above the drawing so that a button beside it can begin the round. */
export function useReadingRound() {
  const { map } = useVisit();
  const { now } = useReadings();
  const [reading, setReading] = useState<Reading | null>(null);
  return {
    reading,
    next: nextOfRound(map, now, null),
    read: (place: PlaceName | null, part: MapPart | null = null) =>
      setReading(place === null ? null : { place, part }),
  };
}

export type Round = ReturnType<typeof useReadingRound>;

interface Props {
  label: string;
  /** places that wait to be read here; none: what was read is shown alone */
  asked?: readonly PlaceName[];
  round: Round;
  /** more layers */
  shown?: (part: MapPart) => PartShown;
  /** what a touch on a part offers; left out: its readings */
  onPart?: (part: MapPart) => void;
  /** whether values are drawn */
  values?: boolean;
  /** shown only: nothing is said by touching it here */
  still?: boolean;
}

export function VisitDrawing(props: Props) {
  const [piping, setPiping] = useState(false);
  const [page, onPage] = useState(0);
  const paged = { page, onPage };
  return piping ? (
    <PipingDrawing paged={paged} onDone={() => setPiping(false)} />
  ) : (
    <StepDrawing {...props} paged={paged} onPiping={() => setPiping(true)} />
  );
}

function StepDrawing({ onPiping, paged, ...props }: Props & { paged: Paged; onPiping: () => void }) {
  const { label, asked = ROUND, round, shown, onPart, values = true, still = false } = props;
  const { map, units, atmosphere, view, visitId, step, record } = useVisit();
  const { series, now, figuresFor } = useReadings();
  const [chosen, setChosen] = useState<MapPart | null>(null);
  const shut = useMemo(() => shutParts(view.standing.history.entries, map), [view, map]);
  const drawnValues = values
    ? shownValues({
        map,
        series,
        now,
        figures: figuresFor(now),
        asked,
        next: round.next,
        show: shownIn(units, atmosphere),
        system: units,
        unsaved: (place) => unsavedAt({ visitId, machineId: view.machine.appliance.id, place, partId: null }),
        warmFor: statedWords<Quantity>(
          step === 'arrive' ? notesOf(record.entries, 'arrival').at(-1)?.note.outOfTemperature : null,
          quantityWords,
        ),
      })
    : [];
  const partAt = (value: ValueShown): MapPart | null =>
    map.parts.find((part) => part.id === value.partId) ?? null;
  const touch = (part: MapPart) => {
    if (onPart) return onPart(part);
    const places = placesAt(map, part);
    const [only, ...more] = places.filter((place) => !isReadOff(place));
    if (only && more.length === 0) round.read(only, part);
    else setChosen(part);
  };
  return (
    <>
      <CircuitDrawing
        {...paged}
        map={map}
        label={label}
        shown={(part) => ({ shut: shut.has(part.id), ...shown?.(part) })}
        values={drawnValues}
        onTouch={still ? undefined : touch}
        onValue={still ? undefined : (value) => round.read(value.place, partAt(value))}
        aside={
          !still && (
            <ForWriters of="changeRows">
              <button
                type="button"
                className="min-h-11 cursor-pointer text-soft underline underline-offset-4"
                onClick={onPiping}
              >
                Not how it is piped?
              </button>
            </ForWriters>
          )
        }
      />
      {chosen && (
        <PlacesTray
          part={chosen}
          onClose={() => setChosen(null)}
          onPlace={(place) => {
            setChosen(null);
            round.read(place, chosen);
          }}
        />
      )}
      {round.reading && (
        <ReadingTray
          key={round.reading.place}
          place={round.reading.place}
          part={round.reading.part}
          onPlace={(place) => round.read(place)}
        />
      )}
    </>
  );
}

/** What can be read at one part. */
function PlacesTray({
  part,
  onClose,
  onPlace,
}: {
  part: MapPart;
  onClose: () => void;
  onPlace: (place: PlaceName) => void;
}) {
  const { map } = useVisit();
  const places = placesAt(map, part);
  return (
    <Tray title={partWords(part)} onClose={onClose}>
      <PartKnown part={part} />
      {places.length === 0 ? (
        <p className="pb-3 text-soft">
          Nothing is read at this part. It is searched, repaired and shut at its steps.
        </p>
      ) : (
        <div className="grid grid-cols-2 gap-2">
          {places.map((place) => (
            <Button key={place} className="min-h-14" onClick={() => onPlace(place)}>
              {placeWords(place)}
            </Button>
          ))}
        </div>
      )}
    </Tray>
  );
}
