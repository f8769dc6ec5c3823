/**
 * One place, one fact, saved at once: figures by the keypad, signs as a row of words. Confirming goes on to the next place
 * of the round, so that six readings are one run of the thumb.
 */
import { useState } from 'react';
import type { MapPart } from '../../../core/circuit/map';
import {
  NUMBER_PLACES,
  type NumberName,
  type PlaceName,
  isNumberName,
  partOfPlace,
} from '../../../core/visit/readings/places';
import { phaseAt } from '../../../core/visit/readings/series';
import { type Felt, type Quantity, type Stated, measuredOf } from '../../../core/visit/notes/stated';
import { choices } from '../../../words/choice';
import { amountsTo } from '../../../words/amounts';
import { shownIn, turnsOf } from '../../../words/measures';
import { FELT_WORDS, feltAt, quantityWords, statedWords } from '../../../words/stated';
import { NUMBER_HINTS, PHASE_WORDS, placeWords, signChoices } from '../../../words/readings';
import { partWords } from '../../../words/circuit';
import { usualUnit } from '../../../record/place';
import { EMPTY_DRAFT, readQuantity } from '../../../record/statedDraft';
import { useKeepUnit } from '../../data/device/keptUnits';
import { ApiError } from '../../forms/ApiError';
import { InstrumentPick } from '../../forms/InstrumentPick';
import { Button } from '../../parts/Button';
import { Keypad } from '../../parts/Keypad';
import { signTurned } from '../../parts/signTurned';
import { Tray } from '../../parts/Tray';
import { MARK_SIGN } from '../../drawing/shown';
import { useVisitWrite } from '../useVisitWrite';
import { useVisit } from '../visitContext';
import { nextOfRound } from './shownValues';
import { useKeypadDraft } from './keypadDraft';
import { useReadings } from './useReadings';

interface Props {
  place: PlaceName;
  /** where it is not the first part of its kind */
  part: MapPart | null;
  onPlace: (place: PlaceName | null) => void;
}

export function ReadingTray({ place, part, onPlace }: Props) {
  const { record, step, map, newEntry } = useVisit();
  const { now } = useReadings();
  const deed = useVisitWrite(`reading ${place} ${part?.id ?? ''}`);
  const own = part !== null && part.id !== partOfPlace(map, place)?.id ? part : null;
  const phase = phaseAt(record.entries, step);
  const next = own ? null : nextOfRound(map, now, place);
  const save = async (given: Stated<Quantity> | Stated<string>, goOn = true) => {
    const filed = { [place]: given };
    const entry = newEntry('readings', {
      tool: 'reading',
      phase,
      ...(own ? { part: own.id } : {}),
      numbers: isNumberName(place) ? filed : {},
      signs: isNumberName(place) ? {} : filed,
    });
    if (!(await deed.save([entry], `${placeWords(place)}: in the logbook.`))) return false;
    onPlace(isNumberName(place) && goOn ? next : null);
    return true;
  };
  return (
    <Tray
      title={own ? `${placeWords(place)}, ${own.where}` : placeWords(place)}
      onClose={() => onPlace(null)}
      focusInside={!isNumberName(place)}
    >
      <p className="-mt-2 mb-1 text-soft">
        {PHASE_WORDS[phase]}
        {own && ` · ${partWords(own)}`}
      </p>
      <ApiError error={deed.error} />
      {isNumberName(place) ? (
        <NumberKeys
          key={`${place} ${own?.id ?? ''}`}
          place={place}
          own={own}
          next={next}
          busy={deed.writing}
          save={save}
        />
      ) : (
        <div className="grid grid-cols-2 gap-2">
          {signChoices(place).map(({ value, words }) => (
            <Button key={value} className="min-h-14" disabled={deed.writing} onClick={() => void save(value)}>
              {words}
            </Button>
          ))}
          <Button
            weight="quiet"
            className="min-h-14"
            disabled={deed.writing}
            onClick={() => void save({ unknown: true })}
          >
            unknown
          </Button>
        </div>
      )}
    </Tray>
  );
}

function NumberKeys({
  place,
  own,
  next,
  busy,
  save,
}: {
  place: NumberName;
  own: MapPart | null;
  next: PlaceName | null;
  busy: boolean;
  /** `goOn`: to the next place of the round, where there is one */
  save: (given: Stated<Quantity>, goOn?: boolean) => Promise<boolean>;
}) {
  const { visitId, view, step, units, atmosphere, place: home } = useVisit();
  const { now, figuresFor, lastTime } = useReadings();
  const { dimension } = NUMBER_PLACES[place];
  const { usual: ownUnit, unit: usual } = usualUnit(home, dimension);
  const keepUnit = useKeepUnit();
  const { draft, set, forget } = useKeypadDraft(
    { visitId, machineId: view.machine.appliance.id, place, partId: own?.id ?? null },
    step,
    usual,
  );
  const [tried, setTried] = useState(false);
  const found = readQuantity(dimension, { ...EMPTY_DRAFT, ...draft }, usual, atmosphere, home.instruments);
  const given = 'value' in found ? found.value : null;
  const measured = measuredOf(given);
  const show = shownIn(units, atmosphere);
  const figures =
    own === null
      ? figuresFor({ ...now, numbers: { ...now.numbers, ...(given && { [place]: given }) } })
      : null;
  const amounts = figures && amountsTo(place, figures, show, units);
  const before = own === null ? lastTime(place) : null;
  const soFar =
    own === null && draft.text === '' ? statedWords<Quantity>(now.numbers[place], quantityWords) : null;
  // What the instrument is off by is put in, and said.
  const shifted =
    measured?.instrument && measured.instrument.offset !== 0
      ? `corrected to ${show(dimension, measured.si)}`
      : null;
  const done = async (said: Stated<Quantity>, goOn = true) => {
    if (await save(said, goOn)) forget();
  };
  const confirm = (goOn: boolean) => {
    setTried(true);
    if (given) void done(given, goOn);
  };
  return (
    <>
      <InstrumentPick
        label={placeWords(place)}
        dimension={dimension}
        place={home}
        value={draft.instrument}
        onChange={(instrument) => set({ ...draft, instrument })}
      />
      <Keypad
        label={placeWords(place)}
        text={draft.text}
        unit={draft.unit}
        units={turnsOf(dimension, units)}
        sign={['temperature', 'temperatureDifference', 'pressure', 'number'].includes(dimension)}
        below={
          <BelowKeys
            amounts={amounts}
            about={[
              shifted,
              measured?.range && `reckoned with ${show(dimension, measured.si)}`,
              soFar && `so far ${soFar}`,
              before && `last time ${before}`,
              NUMBER_HINTS[place],
            ]}
            error={'error' in found && (tried || /[\d.]$/.test(draft.text)) ? found.error : null}
          />
        }
        confirm={next ? `Next: ${placeWords(next).toLowerCase()}` : 'Done'}
        busy={busy}
        onText={(text) => set({ ...draft, text })}
        onUnit={(unit) => {
          keepUnit(dimension, ownUnit, unit);
          set({ ...draft, unit });
        }}
        onSign={() => set({ ...draft, ...turned(draft, dimension === 'pressure') })}
        onConfirm={() => confirm(true)}
        {...(next ? { onDone: () => confirm(false) } : {})}
        onNotDone={(why) => void done({ notDone: why })}
        onUnknown={() => void done({ unknown: true })}
        rough={{
          words: choices(feltAt(dimension), FELT_WORDS),
          onWord: (word) => void done({ felt: word as Felt }),
        }}
      />
    </>
  );
}

/** What the reading amounts to, what is known beside it, and what does not read. */
const BelowKeys = ({
  amounts,
  about,
  error,
}: {
  amounts: ReturnType<typeof amountsTo> | null;
  about: readonly (string | false | null | undefined)[];
  error: string | null;
}) => (
  <>
    {amounts?.words && (
      <p className="font-semibold">
        {amounts.words} {amounts.mark && MARK_SIGN[amounts.mark]}
      </p>
    )}
    <p className="text-soft">{about.filter(Boolean).join(' · ')}</p>
    {error !== null && (
      <p role="alert" className="font-semibold text-brick">
        {error}
      </p>
    )}
  </>
);

/** A compound gauge shows inches of mercury below zero; a thermometer a minus. */
function turned(draft: { text: string; unit: string }, gauge: boolean): { text?: string; unit?: string } {
  if (gauge && ['psig', 'inHg'].includes(draft.unit))
    return { unit: draft.unit === 'psig' ? 'inHg' : 'psig' };
  return { text: signTurned(draft.text) };
}
