/** Step 12: it runs as it should: read again, compared with as found, and the second test that the case asks. */
import { mergedObligations, obligationKey, openObligations, stateOf } from '../../../core/rules/obligation';
import { unjudged } from '../../../core/rules/unjudged';
import { AMPLE } from '../../../core/visit/readings/places';
import { kindForm, noteForm } from '../../../record/forms';
import { OBLIGATION_WORDS } from '../../../words/codes';
import { dayWords, untilWords } from '../../../words/dates';
import { CannotJudge } from '../../panels/CannotJudge';
import { Fold } from '../../parts/Fold';
import { ObligationMark } from '../../parts/StateMark';
import { VisitDrawing, useReadingRound } from '../drawing/VisitDrawing';
import { LeaksPanel } from '../panels/LeaksPanel';
import { SecondTest } from '../panels/LegalTest';
import { NoteCard } from '../panels/NoteCard';
import { StepCalculators } from '../panels/StepCalculators';
import { TestsPanel } from '../panels/TestsPanel';
import { OtherPlaces, ReadOn, Series } from '../readings/Reading';
import { useVisit } from '../visitContext';

const RUNNING = AMPLE.filter((place) => place !== 'standing');

export function Prove() {
  const { record } = useVisit();
  const round = useReadingRound();
  const running = record.entries.some(({ entry }) => entry.kind === 'normalOperation');
  return (
    <>
      <VisitDrawing label="The machine: touch a place to read it as it runs now" round={round} />
      <ReadOn round={round} also={RUNNING} />
      <Series />
      <Asked />
      <SecondTest />
      <Fold title="Normal operation" about={running ? 'written down' : 'the day on which it was reached'}>
        {running ? (
          <p className="text-soft">Written down: it reached normal operation.</p>
        ) : (
          <NoteCard
            name="normalOperation"
            spec={kindForm('normalOperation')}
            save="It runs normally today"
            main={false}
          />
        )}
      </Fold>
      <Fold title="Control, defrost, second search" about="cut-in and cut-out, works, clean">
        <NoteCard name="proof" spec={noteForm('proof')} save="Save how it runs" main={false} />
      </Fold>
      <Fold title="Tests and leaks" about="of this visit">
        <TestsPanel />
        <LeaksPanel />
      </Fold>
      <OtherPlaces round={round} />
      <StepCalculators />
    </>
  );
}

/** Which tests are due, and by when. */
function Asked() {
  const { view } = useVisit();
  const { standing, today, system } = view;
  const tests = mergedObligations(openObligations(standing.obligations)).filter(
    ({ first: each }) => each.kind === 'initialTest' || each.kind === 'followUpTest',
  );
  return (
    <section aria-label="What the case asks">
      <CannotJudge standing={standing} system={system} />
      {tests.length === 0 && unjudged(standing) === null && (
        <p className="mb-2 text-soft">No test is due by law. A repair is tested all the same.</p>
      )}
      <ul>
        {tests.map(({ first: each }) => (
          <li key={obligationKey(each)} className="py-1">
            <ObligationMark
              state={stateOf(each, today)}
              words={`${OBLIGATION_WORDS[each.kind]}: ${dayWords(each.due)}, ${untilWords(each.due, today)}`}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}
