/** Step 5: the circuit map, the order in which it is best searched, what was covered, and the leaks that came of it. */
import { useMemo, useState } from 'react';
import type { MapPart } from '../../../core/circuit/map';
import {
  type Proposed,
  type SearchState,
  pastLeaks,
  searchOrder,
  searchState,
  signsOf,
  spotsOf,
} from '../../../core/visit/leaks/search';
import { useLeaksOfKind } from '../../data/api/queries';
import { kindForm } from '../../../record/forms';
import { Button } from '../../parts/Button';
import { Fold } from '../../parts/Fold';
import { MARK_WORDS, orderReasonWords, partWords } from '../../../words/circuit';
import { LeaksPanel } from '../panels/LeaksPanel';
import { SpotTray } from '../drawing/SpotTray';
import { VisitDrawing, useReadingRound } from '../drawing/VisitDrawing';
import { MethodTable } from '../panels/MethodTable';
import { noteForm } from '../../../record/forms';
import { NoteCard } from '../panels/NoteCard';
import { MainAction } from '../StepBar';
import { useVisit } from '../visitContext';

const RANKED = 5;
const ORDER_SHOWN = 8;

export function Search() {
  const { view, record, map } = useVisit();
  const { entries } = view.standing.history;
  const similar = useLeaksOfKind(view.machine.appliance.kind).data;
  const [touched, setTouched] = useState<MapPart | null>(null);
  const round = useReadingRound();
  const past = useMemo(() => pastLeaks(entries), [entries]);
  const spots = useMemo(() => spotsOf(record.entries), [record]);
  const order = useMemo(
    () => searchOrder(map, past, similar ?? {}, signsOf(spots)),
    [map, past, similar, spots],
  );
  const state = searchState(map, spots);
  const wanted = order.filter((each) => !spots.has(each.part.id) && each.reasons.length > 0);
  const [first] = wanted;
  return (
    <>
      <VisitDrawing
        label="Circuit map: touch a part to mark it"
        round={round}
        values={false}
        onPart={setTouched}
        shown={(part) => {
          const rank = wanted.findIndex((each) => each.part.id === part.id);
          return {
            mark: spots.get(part.id)?.mark ?? null,
            leaks: past.filter((leak) => leak.part === part.id).length,
            rank: rank >= 0 && rank < RANKED ? rank + 1 : null,
          };
        }}
      />
      <p className="mb-2 text-soft">
        {state.done.length} of {state.done.length + state.notYet.length + state.leftOut.length} looked at ·
        numbers: search these first · ◆ leaks of all time
      </p>
      {first && (
        <MainAction>
          <Button weight="main" onClick={() => setTouched(first.part)}>
            Next: {partWords(first.part)}
          </Button>
        </MainAction>
      )}
      <LeaksPanel />
      <Covered state={state} onTouch={setTouched} />
      <Fold title="Search these first" about="where it leaked, then oil, then what leaks readily">
        <Order wanted={wanted} onTouch={setTouched} />
      </Fold>
      <Fold title="Oil stains" about="place, known cause, cleaned">
        <NoteCard name="stain" spec={noteForm('stain')} save="Write the stain down" main={false} />
      </Fold>
      <Fold title="What finds what" about="and what each method cannot see">
        <MethodTable />
      </Fold>
      {touched && <SpotTray key={touched.id} part={touched} onClose={() => setTouched(null)} />}
    </>
  );
}

function Order({ wanted, onTouch }: { wanted: readonly Proposed[]; onTouch: (part: MapPart) => void }) {
  if (wanted.length === 0) return <p className="text-soft">Nothing stands out: every part in turn.</p>;
  return (
    <ol>
      {wanted.slice(0, ORDER_SHOWN).map(({ part, reasons }) => (
        <li key={part.id} className="rule-b">
          <button
            type="button"
            className="min-h-11 w-full cursor-pointer py-1 text-left"
            onClick={() => onTouch(part)}
          >
            <span className="font-semibold">{partWords(part)}</span>
            <span className="block text-soft">{reasons.map(orderReasonWords).join(', ')}</span>
          </button>
        </li>
      ))}
    </ol>
  );
}

function Covered({ state, onTouch }: { state: SearchState; onTouch: (part: MapPart) => void }) {
  const { record } = useVisit();
  const written = record.entries.some(({ entry }) => entry.kind === 'leakInspection');
  return (
    <Fold title="What was covered" about={coveredWords(state)}>
      {state.leftOut.map(({ part, why, reachable }) => (
        <p key={part.id} className="text-soft">
          {partWords(part)}: {MARK_WORDS.leftOut}, {why}
          {!reachable && ', out of reach'}
        </p>
      ))}
      {state.notYet.length > 0 && (
        <details>
          <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-green underline underline-offset-4">
            Not yet: {state.notYet.length}
          </summary>
          <div className="flex flex-wrap gap-2">
            {state.notYet.map((part) => (
              <Button key={part.id} className="px-3" onClick={() => onTouch(part)}>
                {partWords(part)}
              </Button>
            ))}
          </div>
        </details>
      )}
      <p className={`my-2 font-semibold ${state.countsAsInspection ? 'text-green' : 'text-ochre'}`}>
        {state.countsAsInspection
          ? '○ Every part that can be reached was looked at: this counts as a leak inspection.'
          : '◐ Not every part that can be reached was looked at: kept as a search, it fulfils no inspection.'}
      </p>
      {state.done.length > 0 && !written && (
        <NoteCard
          name="inspection"
          spec={{
            ...kindForm('leakInspection'),
            title: 'Finish the search',
            about: 'Written as a leak inspection, with what was left out and why.',
            fields: [],
            fixed: {
              methods: state.methods,
              leaksFound: state.leakIds,
              allAccessibleInspected: state.countsAsInspection,
              partsLeftOut: [
                ...state.leftOut.map(({ part, why }) => ({ part: partWords(part), reason: why })),
                ...state.notYet.map((part) => ({ part: partWords(part), reason: 'not looked at' })),
              ],
            },
          }}
          save={
            state.countsAsInspection ? 'Finish: write the inspection' : 'Finish: keep it as a partial search'
          }
        />
      )}
      {written && <p className="text-soft">The inspection is written; it stands on the clipboard.</p>}
    </Fold>
  );
}

const coveredWords = ({ done, notYet, leftOut, open }: SearchState): string =>
  [
    `${String(done.length)} of ${String(done.length + notYet.length + leftOut.length)} parts looked at`,
    open.length > 0 && `${String(open.length)} with a hit that nothing has confirmed or explained`,
    leftOut.length > 0 && `${String(leftOut.length)} left out`,
  ]
    .filter(Boolean)
    .join(', ');
