/** A machine with a long record: where it stands and what was written last, while the older entries are read. */
import { massSystemOf } from '../../core/rules/massSystem';
import type { MachineRecord } from '../data/api/machine';
import { Page, Section } from '../parts/Page';
import { RodDrawing } from '../parts/Rod';
import { MachineMark } from '../parts/StateMark';
import { entryTitle } from '../../record/sentence';
import { KIND_WORDS, OBLIGATION_WORDS } from '../../words/codes';
import { dateWords } from '../../words/dates';
import { rodSentence, rodWords } from '../../words/rod';

const NEWEST_SHOWN = 12;

export function Opening({ head }: { head: MachineRecord & { read: number } }) {
  const { appliance, site, summary, entries, total, read } = head;
  const system = massSystemOf(site, summary.chargedUnit);
  return (
    <Page
      title={appliance.name}
      subtitle={
        <>
          <p>
            {site.name} · {KIND_WORDS[appliance.kind]}
          </p>
          <MachineMark state={summary.state} />
        </>
      }
    >
      <section aria-label="Figures" className="rule-t rule-b mb-6 py-4">
        <RodDrawing size="full" rod={summary.rod} system={system} />
        <p className="text-3xl font-bold">{rodWords(summary.rod, system)}</p>
        <p className="text-soft">{rodSentence(summary.rod, system)}</p>
        {summary.nextDue && (
          <p>
            Next due: {OBLIGATION_WORDS[summary.nextDue.kind]}, {dateWords(summary.nextDue.due)}
          </p>
        )}
      </section>
      <p role="status" className="mb-6 border-l-4 border-ochre pl-3">
        This machine has a long record: {read.toLocaleString('en-US')} of {total.toLocaleString('en-US')}{' '}
        entries are read. Its cases, leaks and workings stand here when all are.
      </p>
      <Section title="Written last">
        <ul>
          {entries
            .slice(-NEWEST_SHOWN)
            .toReversed()
            .map((entry) => (
              <li key={entry.id} className="rule-b py-2">
                <span className="text-soft">{dateWords(entry.on)}</span> {entryTitle(entry)}
              </li>
            ))}
        </ul>
      </Section>
    </Page>
  );
}
