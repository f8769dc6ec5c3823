/** Step 12: it runs as it should, and the legal tests that the case asks for, first and second. */
import { openObligations, stateOf } from '../../../core/rules/obligation';
import { unjudged } from '../../../core/rules/unjudged';
import { conditionsOf } from '../../../core/visit/evidence';
import { carrying } from '../../../core/visit/notes';
import { valueOf } from '../../../core/visit/stated';
import { CannotJudge } from '../../panels/CannotJudge';
import type { Values } from '../../../record/field';
import { kindForm } from '../../../record/forms';
import { fromSi } from '../../../core/quantity/measure';
import { Section } from '../../parts/Page';
import { DutyMark } from '../../parts/StateMark';
import { OBLIGATION_WORDS } from '../../../words/codes';
import { dayWords, untilWords } from '../../../words/dates';
import { TEST_METHOD_WORDS } from '../../../words/leaks';
import { LeaksPanel } from '../panels/LeaksPanel';
import { noteForm } from '../../../record/forms';
import { NoteCard } from '../panels/NoteCard';
import { TestsPanel } from '../panels/TestsPanel';
import { StepCalculators } from '../panels/StepCalculators';
import { useVisit } from '../visitContext';

export function Prove() {
  const { record } = useVisit();
  const running = record.entries.some(({ entry }) => entry.kind === 'normalOperation');
  return (
    <>
      <Asked />
      <LegalTest />
      <TestsPanel />
      <LeaksPanel />
      <Section title="How it runs now">
        <NoteCard name="proof" spec={noteForm('proof')} save="Save how it runs" main={false} />
      </Section>
      <Section title="Normal operation">
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
      </Section>
      <StepCalculators />
    </>
  );
}

/** Which tests are due, and by when. */
function Asked() {
  const { view } = useVisit();
  const { standing, today, system } = view;
  const tests = openObligations(standing.obligations, today).filter(
    (each) => each.kind === 'initialTest' || each.kind === 'followUpTest',
  );
  return (
    <Section title="What the case asks">
      <CannotJudge standing={standing} system={system} />
      {tests.length === 0 && unjudged(standing) === null && (
        <p className="text-soft">
          No test is due by law. A repair is tested all the same: first before gas goes in, then once it runs.
        </p>
      )}
      <ul>
        {tests.map((each) => (
          <li key={`${each.pack.id}${each.kind}${String(each.due)}`} className="py-1">
            <DutyMark
              state={stateOf(each, today)}
              words={`${OBLIGATION_WORDS[each.kind]}: ${dayWords(each.due)}, ${untilWords(each.due, today)}`}
            />
          </li>
        ))}
      </ul>
    </Section>
  );
}

/** The legal test, with the conditions of the last hold or joint test put in: typed once, used twice. */
function LegalTest() {
  const { view, record, atmosphere, units } = useVisit();
  const leaks = [...view.standing.leaks.byId.values()];
  const repaired = leaks.filter((leak) => leak.state === 'repaired').map((leak) => leak.id);
  const tested = leaks.filter((leak) => leak.state === 'tested').map((leak) => leak.id);
  const second = repaired.length === 0 && tested.length > 0;
  const last = record.entries.findLast(({ entry }) => entry.kind === 'pressureHold')?.entry;
  const conditions = last ? conditionsOf(last, atmosphere) : null;
  const joint = valueOf(conditions?.atJoint);
  const method = valueOf(conditions?.method);
  const unit = units === 'us' ? 'psig' : 'bar';
  const given: Values = {
    stage: second ? 'followUp' : 'initial',
    leakIds: second ? tested : repaired,
    ...(second
      ? { testGas: 'refrigerant' }
      : {
          section: conditions?.section ?? '',
          testGas: valueOf(conditions?.testGas) ?? '',
          atJoint: joint
            ? { value: Number(fromSi('pressure', joint.si, unit, atmosphere).toFixed(1)), unit }
            : null,
          method: method ? TEST_METHOD_WORDS[method] : '',
        }),
  };
  const more = {
    minutes: conditions?.minutes,
    valvesOpen: conditions?.valvesOpen,
    valvesShut: conditions?.valvesShut,
  };
  return (
    <Section title={second ? 'Second test' : 'First test'}>
      <NoteCard
        key={`${given['stage'] as string} ${last?.id ?? ''} ${repaired.join()} ${tested.join()}`}
        name={`legal ${given['stage'] as string} ${last?.id ?? ''} ${repaired.join()} ${tested.join()}`}
        spec={kindForm('verificationTest')}
        given={given}
        save="Write the test down"
        alter={(entry) => [
          entry.kind === 'verificationTest' && entry.stage === 'initial' && conditions
            ? carrying(entry, { 'x-conditions': more })
            : entry,
        ]}
      />
    </Section>
  );
}
