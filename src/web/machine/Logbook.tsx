/** The logbook of a machine: every entry and every version of it, newest first, with correct and void. */
import { Caution } from '../parts/Caution';
import { useState } from 'react';
import type { DocumentKind } from '../../contract/papers';
import { type Entry, type EntryKind, writtenByOf } from '../../core/logbook/entry';
import { byOrder, supersededIds } from '../../core/logbook/order';
import { dayOf } from '../../core/quantity/day';
import { looseEntries } from '../../core/rules/loose';
import { issueAddress } from '../data/addresses/paperAddress';
import { useWriter } from '../data/device/writer';
import { useCorrecting } from '../data/api/useCorrecting';
import { ForWriters } from '../data/api/ForWriters';
import { Button, ButtonLink } from '../parts/Button';
import { Section } from '../parts/Page';
import { dateWords } from '../../words/dates';
import { isCorrectable } from '../../record/forms';
import { entryTitle, sentenceOf } from '../../record/sentence';
import type { MachineView } from '../data/api/machineView';
import { VoidDialog } from '../forms/VoidDialog';
import { countWords } from '../../words/counts';

const SHOWN = 25;

/** Entries that are papers of their own. */
const PAPER_OF: Partial<Record<EntryKind, DocumentKind>> = {
  leakInspection: 'inspection',
  extension: 'extension',
  planFiled: 'plan',
};

export function Logbook({ view }: { view: MachineView }) {
  const { machine } = view;
  const [voiding, setVoiding] = useState<Entry | null>(null);
  const [all, setAll] = useState(false);
  const superseded = supersededIds(machine.entries);
  const entries = machine.entries
    .filter((entry) => entry.kind !== 'void' && entry.applianceId === machine.appliance.id)
    .map((entry) => ({ entry, day: dayOf(entry.on) }))
    .sort((a, b) => byOrder(b, a))
    .map(({ entry }) => entry);
  const loose = looseEntries(view.standing);
  const shown = all ? entries : entries.slice(0, SHOWN);
  return (
    <Section
      title="Logbook"
      id="logbook"
      aside={
        <span className="text-soft">
          {countWords(entries.length, 'entry', 'entries')}, nothing is ever erased
        </span>
      }
    >
      {entries.length === 0 && (
        <p className="text-soft">
          Nothing is written yet. Set the full charge first; then log gas as it goes in.
        </p>
      )}
      {loose.length > 0 && (
        <Caution>
          Without effect, since no case ran on their day:{' '}
          {loose.map(({ entry }) => `${entryTitle(entry)} of ${dateWords(entry.on)}`).join(', ')}.
        </Caution>
      )}
      <ol>
        {shown.map((entry) => (
          <LogbookEntry
            key={entry.id}
            entry={entry}
            superseded={superseded.has(entry.id)}
            view={view}
            onVoid={() => setVoiding(entry)}
          />
        ))}
      </ol>
      {shown.length < entries.length && (
        <Button weight="quiet" onClick={() => setAll(true)}>
          Show all {entries.length}
        </Button>
      )}
      {voiding && <VoidDialog entry={voiding} view={view} onClose={() => setVoiding(null)} />}
    </Section>
  );
}

function LogbookEntry({
  entry,
  superseded,
  view,
  onVoid,
}: {
  entry: Entry;
  superseded: boolean;
  view: MachineView;
  onVoid: () => void;
}) {
  const { machine, system } = view;
  const { people } = useWriter();
  const correct = useCorrecting(machine.appliance.id);
  const name = (id: string) => people.find((person) => person.id === id)?.name ?? id;
  const paper = PAPER_OF[entry.kind];
  const replaced = superseded ? machine.entries.find((each) => each.supersedes === entry.id) : undefined;
  const writtenBy = writtenByOf(entry);
  return (
    <li className="rule-b grid gap-x-4 gap-y-1 py-2 sm:grid-cols-[8rem_minmax(0,1fr)_auto]">
      <div className="text-soft">{dateWords(entry.on)}</div>
      <div className="min-w-0">
        <p className={superseded ? 'text-soft line-through' : ''}>
          <span className="font-semibold">{entryTitle(entry)}</span> {sentenceOf(entry, system, view.names)}
        </p>
        {entry.note && <p className="text-soft">“{entry.note}”</p>}
        <p className="text-[0.93rem] text-soft">
          {name(entry.by)}
          {writtenBy !== null && ` (written by ${name(writtenBy)})`}
          {entry.supersedes && ` · corrects an earlier entry: ${entry.correctionReason ?? ''}`}
        </p>
        {replaced && (
          <p className="text-[0.93rem] font-semibold text-ochre">
            {replaced.kind === 'void' ? 'Voided' : 'Corrected'} by {name(replaced.by)}:{' '}
            {replaced.correctionReason}
          </p>
        )}
      </div>
      {!superseded && (
        <div className="no-print flex flex-wrap gap-1">
          {paper && (
            <ButtonLink
              weight="quiet"
              className="px-2"
              to={issueAddress({ document: paper, entry: entry.id })}
            >
              Issue
            </ButtonLink>
          )}
          <ForWriters>
            {isCorrectable(entry) && (
              <Button weight="quiet" className="px-2" onClick={() => correct(entry)}>
                Correct
              </Button>
            )}
            <Button weight="quiet" className="px-2" onClick={onVoid}>
              Void
            </Button>
          </ForWriters>
        </div>
      )}
    </li>
  );
}
