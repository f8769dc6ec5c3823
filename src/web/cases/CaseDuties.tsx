/** Every duty of a case, also those done or void, with its one end. */
import type { Day } from '../../core/quantity/day';
import type { CaseStanding } from '../../core/rules/caseDeadlines';
import { stateOf } from '../../core/rules/obligation';
import type { Standing } from '../../core/rules/standing';
import { Section } from '../parts/Page';
import { DutyMark } from '../parts/StateMark';
import { OBLIGATION_STATE_WORDS, OBLIGATION_WORDS } from '../../words/codes';
import { dayWords } from '../../words/dates';
import { whyWords } from '../../words/why';
import { dutiesOf } from '../../record/caseLane';

export function CaseDuties({
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
        {dutiesOf(standing, found).map((duty) => {
          const state = stateOf(duty, today);
          return (
            <li key={`${duty.kind}${String(duty.due)}`} className="rule-b py-2">
              <div className="flex flex-wrap justify-between gap-x-4">
                <span className="font-semibold">{OBLIGATION_WORDS[duty.kind]}</span>
                <DutyMark
                  state={state}
                  words={
                    duty.doneOn === null
                      ? OBLIGATION_STATE_WORDS[state]
                      : `done ${dayWords(duty.doneOn)}${duty.doneOn > duty.due ? ', late' : ''}`
                  }
                />
              </div>
              <p className="text-[0.93rem] text-soft">
                Due {dayWords(duty.due)}: {whyWords(duty.why)} · {duty.source.cite}
              </p>
            </li>
          );
        })}
      </ul>
    </Section>
  );
}
