/** The lane itself: beads on an upright rod, filled where done, hollow where to do. */
import type { CaseStanding } from '../../core/rules/caseDeadlines';
import { stateOf } from '../../core/rules/obligation';
import type { MachineView } from '../data/api/machineView';
import { ObligationMark } from '../parts/StateMark';
import { CLOSED_WORDS, OBLIGATION_WORDS } from '../../words/codes';
import { dayWords, untilWords } from '../../words/dates';
import { entryTitle, sentenceOf } from '../../record/sentence';
import { whyWords } from '../../words/why';
import { type LaneStep, laneOf } from '../../record/caseLane';

export function Lane({ view, found }: { view: MachineView; found: CaseStanding }) {
  const steps = laneOf(view.standing, found);
  return (
    <ol className="relative ml-2 border-l-2 border-soft">
      {steps.map((step, index) => (
        <li key={index} className="relative pb-4 pl-6">
          <span
            aria-hidden="true"
            className={`absolute -left-[9px] top-1 h-4 w-4 rounded-[50%] border-2 ${step.type === 'duty' ? 'border-soft bg-paper' : 'border-green bg-green'}`}
          />
          <Step step={step} view={view} found={found} />
        </li>
      ))}
    </ol>
  );
}

function Step({ step, view, found }: { step: LaneStep; view: MachineView; found: CaseStanding }) {
  const { today, system } = view;
  const day = <p className="text-[0.93rem] text-soft">{dayWords(step.day)}</p>;
  switch (step.type) {
    case 'opened':
      return (
        <>
          {day}
          <p className="font-semibold">Case opened</p>
        </>
      );
    case 'closed':
      return (
        <>
          {day}
          <p className="font-semibold text-green">
            Case closed: {found.case.closedBecause && CLOSED_WORDS[found.case.closedBecause]}
          </p>
        </>
      );
    case 'entry':
      return (
        <>
          {day}
          <p>
            <span className="font-semibold">{entryTitle(step.entry)}</span>{' '}
            {sentenceOf(step.entry, system, view.names)}
          </p>
        </>
      );
    case 'duty': {
      const { obligation } = step;
      return (
        <>
          <ObligationMark
            state={stateOf(obligation, today)}
            words={`${untilWords(obligation.due, today)}, ${dayWords(obligation.due)}`}
          />
          <p className="font-semibold">{OBLIGATION_WORDS[obligation.kind]}</p>
          <p className="text-[0.93rem] text-soft">
            {whyWords(obligation.why)}
            {obligation.movedDays
              ? `; moved ${String(obligation.movedDays)} days while mothballed`
              : ''} · {obligation.source.cite}
          </p>
        </>
      );
    }
  }
}
