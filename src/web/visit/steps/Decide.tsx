/** Step 6: what law and product allow, what it costs, and the decision with its person, reason and end. */
import { notesOf } from '../../../core/visit/visitRecord';
import { stateOf, mergedObligations, obligationKey, openObligations } from '../../../core/rules/obligation';
import { headroomSummary } from '../../../core/rules/summary';
import { unjudged } from '../../../core/rules/unjudged';
import { CannotJudge } from '../../panels/CannotJudge';
import { useWriteDialog } from '../../data/addresses/writeDialog';
import { type FormKind, kindForm, noteForm } from '../../../record/forms';
import { packsWords } from '../../../words/duties';
import { WhatIf } from '../../panels/WhatIf';
import { Button } from '../../parts/Button';
import { Section } from '../../parts/Page';
import { Fold, FoldPair } from '../../parts/Fold';
import { RodDrawing } from '../../parts/Rod';
import { ObligationMark } from '../../parts/StateMark';
import { OBLIGATION_WORDS } from '../../../words/codes';
import { dayWords, untilWords } from '../../../words/dates';
import { rodSentence } from '../../../words/rod';
import { whyWords } from '../../../words/why';
import { VisitDrawing, useReadingRound } from '../drawing/VisitDrawing';
import { LeaksPanel } from '../panels/LeaksPanel';
import { NoteCard } from '../panels/NoteCard';
import { StepCalculators } from '../panels/StepCalculators';
import { useVisit } from '../visitContext';

/** Forms that answer a decision in law. */
const LEGAL: readonly FormKind[] = [
  'extension',
  'processShutdown',
  'planFiled',
  'retrofitted',
  'unrelatedLeak',
  'retired',
];

export function Decide() {
  const { view, leaks, readings, record } = useVisit();
  // The pressure at which the leak showed: what it was raised to, else what stood in it.
  const showedAt =
    notesOf(record.entries, 'raised').at(-1)?.note.pressure ?? readings.latest.numbers['standing'];
  const round = useReadingRound();
  const write = useWriteDialog();
  return (
    <>
      <Law />
      <LeaksPanel />
      <NoteCard
        key={JSON.stringify(showedAt)}
        name="decision"
        spec={noteForm('decision')}
        given={{ atPressure: showedAt }}
        first={['choice', 'until', 'why']}
        save="Save the decision"
        atThumb
      />
      <FoldPair>
        <Fold title="On the drawing" about="leaks by their state">
          <VisitDrawing
            label="The machine, with its leaks"
            round={round}
            values={false}
            still
            shown={(part) => ({ leaks: leaks.filter((leak) => leak.part === part.id).length })}
          />
        </Fold>
        <Fold title="What if gas went in?" about="what the law will ask at the next top-off">
          <WhatIf view={view} />
        </Fold>
      </FoldPair>
      <FoldPair>
        <StepCalculators />
        <Fold title="In law" about="extension, shutdown, plan, conversion, retirement">
          <div className="flex flex-wrap gap-2">
            {LEGAL.map((kind) => (
              <Button
                key={kind}
                className="px-3"
                onClick={() => write.open({ kind, machineId: view.machine.appliance.id })}
              >
                {kindForm(kind).title}
              </Button>
            ))}
          </div>
        </Fold>
      </FoldPair>
    </>
  );
}

/** Dates that run, and the gas that keeps it alive without exceeding. */
function Law() {
  const { view } = useVisit();
  const { standing, today, system } = view;
  const running = mergedObligations(openObligations(standing.obligations));
  const rod = headroomSummary(standing);
  return (
    <Section title="What the law leaves open">
      <RodDrawing size="full" rod={rod} system={system} />
      {unjudged(standing) === null && <p className="mb-2 font-semibold">{rodSentence(rod, system)}</p>}
      <CannotJudge standing={standing} system={system} />
      {running.length === 0 && unjudged(standing) === null && (
        <p className="text-soft">Nothing is due on this machine.</p>
      )}
      <ul>
        {running.slice(0, 5).map(({ first, packs }) => (
          <li key={obligationKey(first)} className="rule-b py-1.5">
            <ObligationMark
              state={stateOf(first, today)}
              words={`${OBLIGATION_WORDS[first.kind]}: ${dayWords(first.due)}, ${untilWords(first.due, today)}`}
            />
            <p className="text-soft">
              {whyWords(first.why)} · {packsWords(packs)}
            </p>
          </li>
        ))}
      </ul>
    </Section>
  );
}
