/** The two tests that the law asks after a repair: the first before gas goes in, with what the pressure test said; the second running. */
import { Caution } from '../../parts/Caution';
import { fromSi } from '../../../core/quantity/measure';
import { conditionsOf } from '../../../core/visit/leaks/evidence';
import { carrying } from '../../../core/visit/notes/notes';
import { endsOf, valueOf } from '../../../core/visit/notes/stated';
import { kindForm } from '../../../record/forms';
import { TEST_METHOD_WORDS } from '../../../words/leaks';
import { Fold } from '../../parts/Fold';
import { Section } from '../../parts/Page';
import { useVisit } from '../visitContext';
import { NoteCard } from './NoteCard';

const leaksIn = (view: ReturnType<typeof useVisit>['view'], state: 'repaired' | 'tested'): string[] =>
  [...view.standing.leaks.byId.values()].filter((leak) => leak.state === state).map((leak) => leak.id);

/** With the conditions of the last test of a section put in: typed once, used twice. */
export function FirstTest() {
  const { view, record, atmosphere, units } = useVisit();
  const repaired = leaksIn(view, 'repaired');
  const last = record.entries.findLast(
    ({ entry }) => entry.kind === 'pressureHold' && conditionsOf(entry, atmosphere)?.method != null,
  )?.entry;
  const conditions = last ? conditionsOf(last, atmosphere) : null;
  // The least that was said of it: the law's test takes one figure.
  const joint = endsOf(conditions?.atJoint).low;
  const method = valueOf(conditions?.method);
  const unit = units === 'us' ? 'psig' : 'bar';
  const more = {
    minutes: conditions?.minutes,
    valvesOpen: conditions?.valvesOpen,
    valvesShut: conditions?.valvesShut,
    otherMethods: conditions?.otherMethods,
  };
  if (repaired.length === 0) return null;
  return (
    <Fold title="First test, by hand" about="before gas goes in: what the law asks after a repair">
      <NoteCard
        key={`first ${last?.id ?? ''} ${repaired.join()}`}
        name={`legal initial ${last?.id ?? ''} ${repaired.join()}`}
        spec={kindForm('verificationTest')}
        first={['result', 'leakIds']}
        given={{
          stage: 'initial',
          leakIds: repaired,
          section: conditions?.section ?? '',
          testGas: valueOf(conditions?.testGas) ?? '',
          atJoint:
            joint === null
              ? null
              : { value: Number(fromSi('pressure', joint, unit, atmosphere).toFixed(1)), unit },
          method: method ? TEST_METHOD_WORDS[method] : '',
        }}
        save="Write the first test down"
        main={false}
        alter={(entry) => [conditions ? carrying(entry, { 'x-conditions': more }) : entry]}
      />
    </Fold>
  );
}

/** The second, once it runs; leaks that were only repaired are tested first. */
export function SecondTest() {
  const { view } = useVisit();
  const tested = leaksIn(view, 'tested');
  const repaired = leaksIn(view, 'repaired');
  return (
    <>
      {repaired.length > 0 && (
        <Caution>
          ◐ {repaired.map((id) => view.names.leaks.get(id) ?? id).join(', ')} has no first test yet: it stands
          at “Pressure test”.
        </Caution>
      )}
      {tested.length > 0 && (
        <Section title="Second test">
          <NoteCard
            key={tested.join()}
            name={`legal followUp ${tested.join()}`}
            spec={kindForm('verificationTest')}
            first={['result', 'leakIds', 'method']}
            given={{ stage: 'followUp', leakIds: tested, testGas: 'refrigerant' }}
            save="Write the second test down"
            main={false}
          />
        </Section>
      )}
    </>
  );
}
