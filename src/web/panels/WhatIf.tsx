/** What if: an addition of any size on any day, with what would follow. Nothing is saved. */
import { useState } from 'react';
import type { Entry } from '../../core/logbook/entry';
import { addDays, dayOf, dayText, parseDay } from '../../core/quantity/day';
import { obligationKey, stateOf } from '../../core/rules/obligation';
import { headroomSummary } from '../../core/rules/summary';
import { standingWith } from '../../record/foldedMachine';
import { massOf } from '../../record/readMass';
import { RateLines } from '../forms/gas/RateLines';
import { TextField } from '../parts/Field';
import { Section } from '../parts/Page';
import { RodDrawing } from '../parts/Rod';
import { OBLIGATION_WORDS, PACK_WORDS } from '../../words/codes';
import { dayWords } from '../../words/dates';
import { rodWords } from '../../words/rod';
import { whyWords } from '../../words/why';
import type { MachineView } from '../data/api/machineView';

const IMAGINED = 'what-if';
/** as far ahead as anyone plans gas */
const MOST_DAYS_AHEAD = 730;

export function WhatIf({ view }: { view: MachineView }) {
  const { today } = view;
  const [amount, setAmount] = useState('');
  const [on, setOn] = useState(dayText(today));
  const day = parseDay(on);
  const read = massOf(amount, view.bareUnit);
  const tooFar = day !== null && day > addDays(today, MOST_DAYS_AHEAD);
  return (
    <Section title="What if gas went in">
      <p className="mb-2 text-soft">
        An addition of any size on any day, and what would follow. Nothing is saved.
      </p>
      <div className="grid gap-x-6 sm:grid-cols-[14rem_12rem_1fr]">
        <TextField
          label="Amount"
          placeholder={`3 ${view.bareUnit}`}
          value={amount}
          onChange={(event) => setAmount(event.target.value)}
          error={amount !== '' && 'error' in read ? read.error : null}
        />
        <TextField
          label="On"
          type="date"
          value={on}
          onChange={(event) => setOn(event.target.value)}
          error={tooFar ? 'Too far ahead: at most two years.' : null}
        />
      </div>
      {'mass' in read && day !== null && !tooFar && (
        <Answer view={view} entry={imagined(view, read.mass, on)} />
      )}
    </Section>
  );
}

const imagined = (
  view: MachineView,
  mass: { value: number; unit: 'lb' | 'oz' | 'kg' | 'g' },
  on: string,
): Entry => ({
  id: IMAGINED,
  kind: 'refrigerantAdded',
  on,
  // behind all that is written of that day
  at: '9999-12-31T00:00:00Z',
  by: IMAGINED,
  applianceId: view.machine.appliance.id,
  mass,
  reason: 'topOff',
});

function Answer({ view, entry }: { view: MachineView; entry: Entry }) {
  const { machine, packs, today, system } = view;
  const day = dayOf(entry.on);
  const asOf = day > today ? day : today;
  const thatDay = standingWith(machine, packs, day, [entry]);
  const without = standingWith(machine, packs, asOf);
  const withIt = standingWith(machine, packs, asOf, [entry]);
  const rate = thatDay.additions.find((each) => each.gasDay.day === day);
  const key = (each: (typeof withIt.obligations)[number]) => `${obligationKey(each)} ${stateOf(each, asOf)}`;
  const known = new Set(without.obligations.map(key));
  const changed = withIt.obligations.filter((each) => !known.has(key(each)));
  const stateWords = rodWords(headroomSummary(thatDay), system);
  return (
    <div className="rule-t rule-b grid gap-x-10 gap-y-3 bg-card px-3 py-3 lg:grid-cols-2" aria-live="polite">
      <div>
        <RodDrawing size="full" rod={headroomSummary(thatDay)} system={system} />
        <p className="text-xl font-bold">{stateWords} after it</p>
        {rate ? (
          <RateLines rate={rate} ledger={thatDay.ledger} system={system} labels={view.names.leaks} />
        ) : (
          <p>Nothing of it would count.</p>
        )}
      </div>
      <div>
        <p className="font-semibold">What would change</p>
        {changed.length === 0 && <p className="text-soft">No duty would come or go.</p>}
        <ul>
          {changed.map((each) => (
            <li key={key(each)} className="py-1">
              {OBLIGATION_WORDS[each.kind]}{' '}
              {stateOf(each, asOf) === 'void' ? 'would be void' : `by ${dayWords(each.due)}`}
              <span className="block text-[0.93rem] text-soft">
                {whyWords(each.why)} · {PACK_WORDS[each.pack.id]}
              </span>
            </li>
          ))}
        </ul>
      </div>
    </div>
  );
}
