/** Every duty of a case, also those done or void, with its one end. */
import type { Day } from '../../core/quantity/day';
import type { CaseStanding } from '../../core/rules/caseDeadlines';
import { stateOf } from '../../core/rules/obligation';
import type { Standing } from '../../core/rules/standing';
import { Section } from '../parts/Page';
import { ObligationMark } from '../parts/StateMark';
import { OBLIGATION_STATE_WORDS, OBLIGATION_WORDS } from '../../words/codes';
import { dayWords } from '../../words/dates';
import { whyWords } from '../../words/why';
import { obligationsOf } from '../../record/caseLane';

export function CaseObligations({
  standing,
  found,
  today,
}: {
  standing: Standing;
  found: CaseStanding;
  today: Day;
}) {
  return (
    <Section title="Duties of the case">
      <ul>
        {obligationsOf(standing, found).map((obligation) => {
          const state = stateOf(obligation, today);
          return (
            <li key={`${obligation.kind}${String(obligation.due)}`} className="rule-b py-2">
              <div className="flex flex-wrap justify-between gap-x-4">
                <span className="font-semibold">{OBLIGATION_WORDS[obligation.kind]}</span>
                <ObligationMark
                  state={state}
                  words={
                    obligation.doneOn === null
                      ? OBLIGATION_STATE_WORDS[state]
                      : `done ${dayWords(obligation.doneOn)}${obligation.doneOn > obligation.due ? ', late' : ''}`
                  }
                />
              </div>
              <p className="text-[0.93rem] text-soft">
                Due {dayWords(obligation.due)}: {whyWords(obligation.why)} · {obligation.source.cite}
              </p>
            </li>
          );
        })}
      </ul>
    </Section>
  );
}
