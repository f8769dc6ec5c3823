/** Instruments: what must be added to each one's reading, and when it was last checked. The machine's own display is one. */
import { Fold } from '../parts/Fold';
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { INSTRUMENT_DIMENSIONS, type Instrument, checkState } from '../../core/visit/instrument';
import { parseMeasure } from '../../core/quantity/measure';
import { useAddInstrument, useInstruments } from '../data/queries';
import { Button } from '../parts/Button';
import { SelectField, TextField } from '../parts/Field';
import { SaveBar } from '../parts/SaveBar';
import { Sheet } from '../parts/Sheet';
import { measureRefusalWords } from '../words/bench';
import { dayWords } from '../words/dates';
import { readIn, shownIn } from '../words/measures';
import { useVisit } from './visitContext';

const DIMENSION_WORDS: Record<Instrument['dimension'], string> = {
  pressure: 'pressure gauge',
  temperature: 'thermometer',
  vacuum: 'vacuum gauge',
  mass: 'scale',
  current: 'clamp meter',
};
/** Offsets are differences, typed as such. */
const OFFSET_IN = {
  pressure: 'pressureDifference',
  temperature: 'temperatureDifference',
  vacuum: 'vacuum',
  mass: 'mass',
  current: 'current',
} as const;

export function InstrumentsPanel() {
  const { view, units, atmosphere } = useVisit();
  const instruments = useInstruments().data ?? [];
  const [editing, setEditing] = useState<Instrument | null>(null);
  const show = shownIn(units, atmosphere);
  return (
    <Fold title="Instruments" about="offset and check date of each">
      <ul>
        {instruments.map((each) => {
          const check = checkState(each, view.today);
          return (
            <li key={each.id} className="rule-b flex flex-wrap items-center justify-between gap-x-4 py-1.5">
              <span>
                <span className="font-semibold">{each.name}</span>{' '}
                <span className="text-soft">
                  {DIMENSION_WORDS[each.dimension]}
                  {each.offset !== 0 && `, add ${show(OFFSET_IN[each.dimension], each.offset)}`}
                </span>
                <span
                  className={`block ${check.state === 'inDate' ? 'text-soft' : 'font-semibold text-ochre'}`}
                >
                  {check.state === 'neverChecked'
                    ? '◐ never checked'
                    : check.state === 'overdue'
                      ? `◐ check was due ${dayWords(check.due)}`
                      : `checked, next ${dayWords(check.due)}`}
                </span>
              </span>
              <Button weight="quiet" onClick={() => setEditing(each)}>
                Change
              </Button>
            </li>
          );
        })}
      </ul>
      <Button
        className="my-3"
        onClick={() =>
          setEditing({
            id: uuidv7(),
            name: '',
            dimension: 'pressure',
            offset: 0,
            checkedOn: null,
            checkEveryMonths: null,
          })
        }
      >
        Add an instrument
      </Button>
      {editing && <InstrumentSheet instrument={editing} onClose={() => setEditing(null)} />}
    </Fold>
  );
}

function InstrumentSheet({ instrument, onClose }: { instrument: Instrument; onClose: () => void }) {
  const { units } = useVisit();
  const add = useAddInstrument();
  const [name, setName] = useState(instrument.name);
  const [dimension, setDimension] = useState(instrument.dimension);
  const [offset, setOffset] = useState(
    instrument.offset === 0 ? '' : shownIn(units, 0)(OFFSET_IN[instrument.dimension], instrument.offset),
  );
  const [checkedOn, setCheckedOn] = useState(instrument.checkedOn ?? '');
  const [months, setMonths] = useState(String(instrument.checkEveryMonths ?? 12));
  const [tried, setTried] = useState(false);
  const typed = OFFSET_IN[dimension];
  const below = /^\s*[-−]/.test(offset);
  const read =
    offset.trim() === ''
      ? null
      : parseMeasure(typed, offset.replace(/^\s*[-−]/, ''), readIn(typed, units) as never);
  const every = Number(months);
  const wrongMonths = !(Number.isInteger(every) && every >= 1 && every <= 120);
  const save = () => {
    setTried(true);
    if (name.trim() === '' || (read && !read.ok) || wrongMonths) return;
    const size = read?.ok ? read.value.si : 0;
    add.mutate(
      {
        id: instrument.id,
        name: name.trim(),
        dimension,
        offset: below ? -size : size,
        checkedOn: checkedOn || null,
        checkEveryMonths: every,
      },
      { onSuccess: onClose },
    );
  };
  return (
    <Sheet title="Instrument" onClose={onClose} footer={<SaveBar words="Save" saving={add} onSave={save} />}>
      <TextField
        label="Name"
        hint="As it is labelled: gauge 2, display of the machine."
        value={name}
        onChange={(event) => setName(event.target.value)}
        error={tried && name.trim() === '' ? 'Give it a name.' : null}
      />
      <SelectField
        label="Kind"
        value={dimension}
        onChange={(event) => setDimension(event.target.value as Instrument['dimension'])}
        choices={INSTRUMENT_DIMENSIONS.map((value) => ({ value, words: DIMENSION_WORDS[value] }))}
      />
      <TextField
        label="Add to its reading"
        optional
        hint="Such as 2 psi or -1 °F; empty where it reads true."
        value={offset}
        onChange={(event) => setOffset(event.target.value)}
        error={read && !read.ok ? measureRefusalWords(read.refusal) : null}
      />
      <TextField
        label="Last checked on"
        optional
        type="date"
        value={checkedOn}
        onChange={(event) => setCheckedOn(event.target.value)}
      />
      <TextField
        label="Check every so many months"
        inputMode="numeric"
        value={months}
        onChange={(event) => setMonths(event.target.value)}
        error={wrongMonths ? 'Give whole months from 1 to 120.' : null}
      />
    </Sheet>
  );
}
