/** Instruments: what must be added to each one's reading, and when it was last checked. The machine's own display is one. */
import { Fold } from '../../parts/Fold';
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { type Instrument, checkState } from '../../../core/visit/instrument';
import { useInstruments } from '../../data/api/queries';
import { Button } from '../../parts/Button';
import { RowDialog } from '../../forms/rows/RowDialog';
import { DIMENSION_WORDS, OFFSET_IN } from '../../../words/codes';
import { dayWords } from '../../../words/dates';
import { shownIn } from '../../../words/measures';
import { useVisit } from '../visitContext';

export function InstrumentsPanel() {
  const { view, units, atmosphere } = useVisit();
  const instruments = useInstruments().data ?? [];
  const [editing, setEditing] = useState<Instrument | 'new' | null>(null);
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
      <Button className="my-3" onClick={() => setEditing('new')}>
        Add an instrument
      </Button>
      {editing !== null && <InstrumentDialog instrument={editing} onClose={() => setEditing(null)} />}
    </Fold>
  );
}

export function InstrumentDialog({
  instrument,
  onClose,
}: {
  instrument: Instrument | 'new';
  onClose: () => void;
}) {
  const [fresh] = useState(() => ({ id: uuidv7(), dimension: 'pressure', offset: 0, checkEveryMonths: 12 }));
  return instrument === 'new' ? (
    <RowDialog table="instruments" id={fresh.id} fresh={fresh} onClose={onClose} />
  ) : (
    <RowDialog table="instruments" id={instrument.id} onClose={onClose} />
  );
}
