/** Cases of the machine, newest first. */
import { Link } from 'react-router';
import { Section } from '../parts/Page';
import { casePath } from '../panels/DueRowItem';
import { CASE_STATE_WORDS, CLOSED_WORDS, PACK_WORDS } from '../../words/codes';
import { dayWords } from '../../words/dates';
import { dayText } from '../../core/quantity/day';
import { unjudged } from '../../core/rules/unjudged';
import type { MachineView } from '../data/api/machineView';

export function CaseList({ view: { standing, machine } }: { view: MachineView }) {
  const cases = standing.cases.toReversed();
  return (
    <Section title="Cases">
      {cases.length === 0 && (
        <p className="text-soft">
          {unjudged(standing) === null
            ? 'No case: nothing exceeded a limit, and no leak asked for one.'
            : 'No case is known; whether one should run cannot be judged.'}
        </p>
      )}
      <ul>
        {cases.map((each) => (
          <li
            key={`${each.case.pack.id}${String(each.case.openedOn)}${String(each.case.closedOn)}`}
            className="rule-b"
          >
            <Link
              to={casePath(machine.appliance.id, each.case.pack.id, dayText(each.case.openedOn))}
              className="block py-2"
            >
              <span className="font-semibold underline decoration-line underline-offset-4">
                {PACK_WORDS[each.case.pack.id]}, opened {dayWords(each.case.openedOn)}
              </span>
              <span
                className={`block ${each.state === 'closed' || each.state === 'verified' ? 'text-green' : 'text-brick'}`}
              >
                {CASE_STATE_WORDS[each.state]}
                {each.case.closedOn !== null &&
                  each.case.closedBecause &&
                  ` ${dayWords(each.case.closedOn)}: ${CLOSED_WORDS[each.case.closedBecause]}`}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </Section>
  );
}
