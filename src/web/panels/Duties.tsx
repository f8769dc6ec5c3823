/** What is due on this machine: why, by which rule, and the form that answers it. */
import { stateOf, mergedObligations, obligationKey, openObligations } from '../../core/rules/obligation';
import { unjudged } from '../../core/rules/unjudged';
import { CannotJudge } from './CannotJudge';
import { DutyButton } from './DutyButton';
import { Section } from '../parts/Page';
import { ObligationMark } from '../parts/StateMark';
import { OBLIGATION_WORDS } from '../../words/codes';
import { dayWords, untilWords } from '../../words/dates';
import { packsWords } from '../../words/duties';
import { whyWords } from '../../words/why';
import type { MachineView } from '../data/api/machineView';

const SHOWN = 6;

export function Obligations({ view: { standing, today, machine, system } }: { view: MachineView }) {
  const open = mergedObligations(openObligations(standing.obligations));
  return (
    <Section title="Due on this machine">
      <CannotJudge standing={standing} system={system} />
      {open.length === 0 && unjudged(standing) === null && <p className="text-soft">Nothing is due.</p>}
      <ul>
        {open.slice(0, SHOWN).map(({ first, packs }) => {
          return (
            <li key={obligationKey(first)} className="rule-b flex items-center gap-3 py-2">
              <div className="min-w-0 flex-1">
                <p className="font-semibold">{OBLIGATION_WORDS[first.kind]}</p>
                <ObligationMark
                  state={stateOf(first, today)}
                  words={`${untilWords(first.due, today)}, ${dayWords(first.due)}`}
                />
                <p className="text-[0.93rem] text-soft">
                  {whyWords(first.why)} · {packsWords(packs)}, {first.source.cite}
                </p>
              </div>
              <div className="flex shrink-0">
                <DutyButton
                  duty={first}
                  machineId={machine.appliance.id}
                  overdue={stateOf(first, today) === 'overdue'}
                />
              </div>
            </li>
          );
        })}
      </ul>
      {open.length > SHOWN && <p className="pt-2 text-soft">And {open.length - SHOWN} later ones.</p>}
    </Section>
  );
}
