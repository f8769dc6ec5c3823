/**
 * One place, one fact, saved at once: figures by the keypad, signs as a row of words. Confirming goes on to the next place
 * of the round, so that six readings are one run of the thumb.
 */
import { useState } from 'react';
import { parseMeasure } from '../../../core/quantity/measure';
import type { MapPart } from '../../../core/visit/circuit/map';
import {
  NUMBER_PLACES,
  type NumberName,
  type PlaceName,
  isNumberName,
  partOfPlace,
} from '../../../core/visit/readings/places';
import { phaseAt } from '../../../core/visit/readings/series';
import type { Measured, Stated } from '../../../core/visit/stated';
import { amountsTo } from '../../../words/amounts';
import { measureRefusalWords } from '../../../words/bench';
import { shownIn, turnsOf } from '../../../words/measures';
import { measuredWords, statedWords } from '../../../words/stated';
import { NUMBER_HINTS, PHASE_WORDS, placeWords, signChoices } from '../../../words/readings';
import { partWords } from '../../../words/circuit';
import { usualUnit } from '../../../record/place';
import { EMPTY_DRAFT, readMeasured } from '../../../record/statedDraft';
import { useKeepUnit } from '../../data/keptUnits';
import { useKeptDraft } from '../../data/useKeptDraft';
import { useWriter } from '../../data/writer';
import { WriterField } from '../../forms/WriterField';
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
  const { person } = useWriter();
  const deed = useVisitWrite(`reading ${place} ${part?.id ?? ''}`);
  const own = part !== null && part.id !== partOfPlace(map, place)?.id ? part : null;
  const phase = phaseAt(record.entries, step);
  const next = own ? null : nextOfRound(map, now, place);
  const save = async (given: Stated<Measured> | Stated<string>, goOn = true) => {
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
      {!person && <WriterField />}
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
  save: (given: Stated<Measured>, goOn?: boolean) => Promise<boolean>;
}) {
  const { visitId, view, units, atmosphere, place: home } = useVisit();
  const { now, figuresFor, lastTime } = useReadings();
  const { dimension } = NUMBER_PLACES[place];
  const { usual: ownUnit, unit: usual } = usualUnit(home, dimension);
  const keepUnit = useKeepUnit();
  const { draft, set, forget } = useKeptDraft(
    `${visitId} ${view.machine.appliance.id} keypad ${place} ${own?.id ?? ''}`,
    () => ({ text: '', unit: usual, instrument: '' }),
  );
  const [tried, setTried] = useState(false);
  const read = parseMeasure(dimension, draft.text, draft.unit as never, atmosphere);
  const found = readMeasured(dimension, { ...EMPTY_DRAFT, ...draft }, usual, atmosphere, home.instruments);
  const measured = 'value' in found ? (found.value as Measured) : null;
  const show = shownIn(units, atmosphere);
  const figures =
    own === null
      ? figuresFor({ ...now, numbers: { ...now.numbers, ...(measured && { [place]: measured }) } })
      : null;
  const amounts = figures && amountsTo(place, figures, show, units);
  const before = own === null ? lastTime(place) : null;
  const soFar =
    own === null && draft.text === '' ? statedWords<Measured>(now.numbers[place], measuredWords) : null;
  // What the instrument is off by is put in, and said.
  const shifted = (read: Measured | null): string | null =>
    read?.instrument && read.instrument.offset !== 0 ? `corrected to ${show(dimension, read.si)}` : null;
  const done = async (given: Stated<Measured>, goOn = true) => {
    if (await save(given, goOn)) forget();
  };
  const confirm = (goOn: boolean) => {
    setTried(true);
    if (measured) void done(measured, goOn);
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
        sign={['temperature', 'pressure', 'number'].includes(dimension)}
        below={
          <>
            {amounts?.words && (
              <p className="font-semibold">
                {amounts.words} {amounts.mark && MARK_SIGN[amounts.mark]}
              </p>
            )}
            <p className="text-soft">
              {[
                shifted(measured),
                soFar && `so far ${soFar}`,
                before && `last time ${before}`,
                NUMBER_HINTS[place],
              ]
                .filter(Boolean)
                .join(' · ')}
            </p>
            {!read.ok && (tried || read.refusal.reason !== 'empty') && (
              <p role="alert" className="font-semibold text-brick">
                {measureRefusalWords(read.refusal)}
              </p>
            )}
          </>
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
      />
    </>
  );
}

/** A compound gauge shows inches of mercury below zero; a thermometer a minus. */
function turned(draft: { text: string; unit: string }, gauge: boolean): { text?: string; unit?: string } {
  if (gauge && ['psig', 'inHg'].includes(draft.unit))
    return { unit: draft.unit === 'psig' ? 'inHg' : 'psig' };
  return { text: signTurned(draft.text) };
}
