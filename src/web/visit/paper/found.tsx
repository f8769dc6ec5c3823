/** What was looked at, and the leaks that came of it: nothing that is only suspected is told as found. */
import { type LeakStory, isFound } from '../../../core/visit/leakStory';
import { LEAK_STATE_WORDS, leakLine } from '../../../words/leaks';
import { blockOf, isCleanSpot, stepOf } from '../../../record/whereItStands';
import { useVisit } from '../visitContext';
import { Block, Line } from './blocks';
import { NOT_RECORDED } from './notRecorded';

/** What was looked at: inspections, stains, hits and what was left out; parts where nothing was are a number. */
export function Searched() {
  const { record } = useVisit();
  const searched = record.entries.map(({ entry }) => entry).filter((entry) => blockOf(entry) === 'searched');
  if (searched.length === 0) return null;
  const clean = searched.filter(isCleanSpot);
  return (
    <Block title="Searched">
      {clean.length > 0 && (
        <p>
          {clean.length} {clean.length === 1 ? 'part' : 'parts'} looked at, nothing found there
        </p>
      )}
      <ul>
        {searched
          .filter((entry) => !isCleanSpot(entry))
          .map((entry) => (
            <Line key={entry.id} entry={entry} />
          ))}
      </ul>
    </Block>
  );
}

export function LeaksTold() {
  const { leaks, visitId, record } = useVisit();
  const ofVisit = (leak: LeakStory) =>
    leak.visitId === visitId ||
    record.entries.some(({ entry }) => 'leakId' in entry && entry.leakId === leak.id);
  const found = leaks.filter((leak) => isFound(leak) && ofVisit(leak));
  const suspected = leaks.filter(
    (leak) =>
      ofVisit(leak) && (leak.state === 'suspected' || (leak.onSuspicion && leak.state !== 'withdrawn')),
  );
  // A verdict withdrawn since the last paper stands on this one, whoever withdrew it.
  const withdrawn = leaks.filter((leak) => leak.state === 'withdrawn' && ofVisit(leak));
  const searched = record.entries.some(({ entry }) => stepOf(entry) === 'search');
  return (
    <Block title="Leaks">
      {found.length === 0 && suspected.length === 0 && withdrawn.length === 0 && (
        <p className={searched ? '' : 'text-soft'}>{searched ? 'none found' : NOT_RECORDED}</p>
      )}
      <ul>
        {found.map((leak) => (
          <li key={leak.id}>
            <span className="font-semibold">{leak.label}</span> {leak.place}: {LEAK_STATE_WORDS[leak.state]}
            {leakLine(leak) && ` · ${leakLine(leak)}`}
          </li>
        ))}
        {suspected.map((leak) => (
          <li key={leak.id}>
            Suspected, not found: {leak.place}
            {leakLine(leak) && ` · ${leakLine(leak)}`}
          </li>
        ))}
        {withdrawn.map((leak) => (
          <li key={leak.id} className="font-semibold">
            Withdrawn: leak {leak.label}, {leak.place}, told before as found, was none: {leak.because}
          </li>
        ))}
      </ul>
    </Block>
  );
}
