/** Leaks of this machine with state and evidence: more evidence, or a verdict withdrawn that somebody may have been told. */
import { useState } from 'react';
import type { Entry } from '../../../core/logbook/entry';
import { carrying } from '../../../core/visit/notes/notes';
import { type LeakStory } from '../../../core/visit/leaks/leakStory';
import { Button } from '../../parts/Button';
import { Section } from '../../parts/Page';
import { Dialog } from '../../parts/Dialog';
import { dayWords } from '../../../words/dates';
import { LEAK_STATE_WORDS, leakLine } from '../../../words/leaks';
import { NoteCard } from './NoteCard';
import { type Form, noteForm } from '../../../record/forms';
import { useVisit } from '../visitContext';

const OPEN_STATES: readonly LeakStory['state'][] = ['confirmed', 'repaired', 'tested', 'deferred'];
const TONE: Partial<Record<LeakStory['state'], string>> = {
  suspected: 'text-ochre',
  confirmed: 'text-brick',
  deferred: 'text-ochre',
  testedAgain: 'text-green',
};
const MARK: Record<LeakStory['state'], string> = {
  suspected: '◐',
  confirmed: '◆',
  repaired: '◐',
  tested: '◐',
  testedAgain: '○',
  deferred: '◐',
  dismissed: '×',
  withdrawn: '×',
};

export function LeaksPanel() {
  const { leaks, visitId } = useVisit();
  const [shown, setShown] = useState<{ leak: LeakStory; what: 'evidence' | 'withdraw' } | null>(null);
  // Old leaks that are long verified stand on the machine's page.
  const listed = leaks.filter(
    (leak) => leak.visitId === visitId || !['testedAgain', 'dismissed', 'withdrawn'].includes(leak.state),
  );
  if (listed.length === 0) return null;
  return (
    <Section title="Leaks">
      <ul>
        {listed.map((leak) => (
          <li key={leak.id} className="rule-b py-2">
            <p>
              <span className={`font-semibold ${TONE[leak.state] ?? ''}`}>
                <span aria-hidden="true">{MARK[leak.state]} </span>
                {LEAK_STATE_WORDS[leak.state]}
              </span>{' '}
              · {leak.state === 'suspected' || leak.state === 'dismissed' ? '' : `${leak.label}, `}
              {leak.place || 'place not recorded'}
            </p>
            <p className="text-soft">
              {dayWords(leak.since)}
              {leakLine(leak) && ` · ${leakLine(leak)}`}
            </p>
            {(OPEN_STATES.includes(leak.state) || leak.state === 'testedAgain') && (
              <div className="no-print mt-1 flex flex-wrap gap-2">
                <Button className="px-3" onClick={() => setShown({ leak, what: 'evidence' })}>
                  More evidence
                </Button>
                <Button className="px-3" onClick={() => setShown({ leak, what: 'withdraw' })}>
                  Withdraw the verdict
                </Button>
              </div>
            )}
          </li>
        ))}
      </ul>
      {shown?.what === 'evidence' && <EvidenceDialog leak={shown.leak} onClose={() => setShown(null)} />}
      {shown?.what === 'withdraw' && <WithdrawDialog leak={shown.leak} onClose={() => setShown(null)} />}
    </Section>
  );
}

function EvidenceDialog({ leak, onClose }: { leak: LeakStory; onClose: () => void }) {
  const spec: Form = { ...noteForm('evidence'), fixed: { tool: 'evidence', leakId: leak.id } };
  return (
    <Dialog title={`Leak ${leak.label}`} subtitle={leak.place} onClose={onClose}>
      <NoteCard name={`evidence ${leak.id}`} spec={spec} save="Save the evidence" onSaved={onClose} />
    </Dialog>
  );
}

/** What told of this leak: withdrawing kills all of it, and what was done to it stays as work that was no leak repair. */
function toldBy(entries: readonly { entry: Entry }[], leakId: string): Entry[] {
  return entries
    .map(({ entry }) => entry)
    .filter(
      (entry) => (entry.kind === 'leakFound' || entry.kind === 'leakRepaired') && entry.leakId === leakId,
    );
}

function WithdrawDialog({ leak, onClose }: { leak: LeakStory; onClose: () => void }) {
  const { view, newEntry } = useVisit();
  const told = toldBy(view.standing.history.entries, leak.id);
  const spec: Form = {
    ...noteForm('withdrawal'),
    fixed: { tool: 'withdrawal', leakId: leak.id, place: leak.place },
  };
  const alter = (entry: Entry): Entry[] => {
    const why = (entry as unknown as { why: string }).why;
    const [first, ...rest] = told.filter((each) => each.kind === 'leakFound');
    const repairs = told.filter((each) => each.kind === 'leakRepaired');
    const killing = (target: Entry | undefined, by: Entry): Entry =>
      target ? carrying(by, { supersedes: target.id, correctionReason: why }) : by;
    // On the map it is a false hit then.
    const spot =
      leak.part === null
        ? null
        : newEntry('search', {
            tool: 'spot',
            part: leak.part,
            words: leak.place,
            mark: 'false',
            cause: 'other',
            why,
            leakId: leak.id,
          });
    return [
      killing(first, entry),
      ...(spot ? [spot] : []),
      ...rest.flatMap((target) => newEntry('void', { supersedes: target.id, correctionReason: why }) ?? []),
      ...repairs.flatMap((target) => {
        const kept = newEntry('partFitted', {
          tool: 'preventive',
          on: target.on,
          at: target.at ?? undefined,
          part: leak.place || `leak ${leak.label}`,
          how: 'how' in target ? (target.how ?? null) : null,
          preventive: true,
          leakId: leak.id,
        });
        return kept ? [killing(target, kept)] : [];
      }),
    ];
  };
  return (
    <Dialog title={`Leak ${leak.label}`} subtitle={leak.place} onClose={onClose}>
      <NoteCard name={`withdraw ${leak.id}`} spec={spec} save="Withdraw it" alter={alter} onSaved={onClose} />
    </Dialog>
  );
}
