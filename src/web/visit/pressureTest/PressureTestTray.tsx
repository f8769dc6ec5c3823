/** One reading of a pressure test: the pressure by the keypad, the temperature of the coldest part beside it where it is taken. */
import { type ReactNode, useState } from 'react';
import { parseMeasure } from '../../../core/quantity/measure';
import type { Measured } from '../../../core/visit/notes/stated';
import { FALL_UNITS, afterFall } from '../../../record/fall';
import { EMPTY_DRAFT, readMeasured } from '../../../record/statedDraft';
import { measureRefusalWords } from '../../../words/calculators';
import { turnsOf } from '../../../words/measures';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { Keypad } from '../../parts/Keypad';
import { signTurned } from '../../parts/signTurned';
import { Tray } from '../../parts/Tray';
import { useVisit } from '../visitContext';
import type { PressureTestOfVisit } from './usePressureTest';

export function PressureTestTray({ hold, onClose }: { hold: PressureTestOfVisit; onClose: () => void }) {
  const { atmosphere, units } = useVisit();
  const [stage, setStage] = useState<'pressure' | 'temperature'>('pressure');
  const [tried, setTried] = useState(false);
  // What it fell since the last reading, in place of what the gauge shows.
  const [fall, setFall] = useState<string | null>(null);
  const { draft, set, running, section, deed } = hold;
  const measuredOf = (dimension: 'pressure' | 'temperature', text: string, unit: string) =>
    readOf(dimension, text, unit, atmosphere);
  const last = running?.readings.at(-1);
  const fallen = last && fall !== null ? afterFall(last.pressure, draft.pressure, fall, atmosphere) : null;
  const pressure =
    fallen === null
      ? measuredOf('pressure', draft.pressure, draft.unit)
      : 'value' in fallen
        ? fallen.value
        : null;
  const design = measuredOf('pressure', draft.design, draft.unit);
  const limit = running?.design ?? design?.si ?? null;
  const over = pressure !== null && limit !== null && pressure.si > limit;
  const save = async (temperature: Measured | null) => {
    setTried(true);
    if (!pressure || over) return;
    if (await hold.keep(pressure, temperature, design)) onClose();
  };
  const read =
    stage === 'pressure'
      ? parseMeasure('pressure', draft.pressure, draft.unit as never, atmosphere)
      : parseMeasure('temperature', draft.temperature, draft.temperatureUnit as never, atmosphere);
  const problem = fallen
    ? 'error' in fallen && (tried || draft.pressure !== '')
      ? fallen.error
      : null
    : !read.ok && (tried || read.refusal.reason !== 'empty')
      ? measureRefusalWords(read.refusal)
      : null;
  return (
    <Tray title={section === '' ? 'Pressure' : `Pressure: ${section}`} onClose={onClose} focusInside={false}>
      <ApiError error={deed.error} />
      {stage === 'pressure' ? (
        <Keypad
          label={fall === null ? 'Pressure of the test' : 'It fell by'}
          text={draft.pressure}
          unit={fall ?? draft.unit}
          units={fall === null ? turnsOf('pressure', units) : FALL_UNITS}
          sign={false}
          below={
            <>
              {last && (
                <p className="text-soft">
                  before {last.pressure.typed}
                  {fallen && pressure && `, now ${pressure.typed.replace(/ \(.*/, '')}`}
                </p>
              )}
              {over && <Wrong>Above the least marked design pressure: let it down.</Wrong>}
              {problem && <Wrong>{problem}</Wrong>}
              <Button weight="quiet" className="-ml-4" onClick={() => setStage('temperature')}>
                with the temperature of the coldest part
              </Button>
              {last && (
                <Button
                  weight="quiet"
                  className="-ml-4"
                  aria-pressed={fall !== null}
                  onClick={() => setFall(fall === null ? (units === 'us' ? 'psi' : 'bar') : null)}
                >
                  {fall === null ? 'told by its fall' : 'as the gauge shows it'}
                </Button>
              )}
            </>
          }
          confirm={running ? 'Keep this reading' : 'Start the test'}
          busy={deed.writing}
          onText={(text) => set({ ...draft, pressure: text })}
          onUnit={(unit) => (fall === null ? set({ ...draft, unit }) : setFall(unit))}
          onSign={() => undefined}
          onConfirm={() => void save(measuredOf('temperature', draft.temperature, draft.temperatureUnit))}
        />
      ) : (
        <Keypad
          label="Temperature of the coldest part"
          text={draft.temperature}
          unit={draft.temperatureUnit}
          units={turnsOf('temperature', units)}
          sign
          below={problem}
          confirm="Back to the pressure"
          busy={false}
          onText={(temperature) => set({ ...draft, temperature })}
          onUnit={(temperatureUnit) => set({ ...draft, temperatureUnit })}
          onSign={() => set({ ...draft, temperature: signTurned(draft.temperature) })}
          onConfirm={() => setStage('pressure')}
        />
      )}
    </Tray>
  );
}

const Wrong = ({ children }: { children: ReactNode }) => (
  <p role="alert" className="font-semibold text-brick">
    {children}
  </p>
);

/** null: nothing, or nothing that reads. */
function readOf(
  dimension: 'pressure' | 'temperature',
  text: string,
  unit: string,
  atmosphere: number,
): Measured | null {
  if (text.trim() === '') return null;
  const read = readMeasured(dimension, { ...EMPTY_DRAFT, text, unit }, unit, atmosphere, []);
  return 'value' in read ? read.value : null;
}
