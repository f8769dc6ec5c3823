/** Voids an entry, with the reason. It stays in the record and counts no more. */
import { Caution } from '../parts/Caution';
import { useState } from 'react';
import type { Entry } from '../../core/logbook/entry';
import { useWriter } from '../data/device/writer';
import { useWrite } from '../data/api/useWrite';
import { voidOf } from '../../record/voiding';
import { WriterField } from './WriterField';
import { TextField } from '../parts/Field';
import { SaveBar } from './SaveBar';
import { Dialog } from '../parts/Dialog';
import { dateWords } from '../../words/dates';
import { entryTitle, sentenceOf } from '../../record/sentence';
import type { MachineView } from '../data/api/machineView';

export function VoidDialog({
  entry,
  view,
  onClose,
}: {
  entry: Entry;
  view: MachineView;
  onClose: () => void;
}) {
  const { person } = useWriter();
  const { error, writing, save: write } = useWrite();
  const [reason, setReason] = useState('');
  const [tried, setTried] = useState(false);
  const visit = visitWords(entry, view.machine.entries);
  const save = () => {
    setTried(true);
    if (!person || reason.trim() === '') return;
    void write({
      name: `void ${entry.id}`,
      entries: [voidOf(entry, person.id, reason.trim())],
      words: `Voided: ${entryTitle(entry).toLowerCase()} of ${dateWords(entry.on)}.`,
      known: view.machine.entries,
    }).then((saved) => {
      if (saved) onClose();
    });
  };
  return (
    <Dialog
      title="Void this entry"
      subtitle={view.machine.appliance.name}
      onClose={onClose}
      footer={<SaveBar words="Void it" saving={{ error, isPending: writing }} onSave={save} />}
    >
      <p className="mb-1 font-semibold">
        {entryTitle(entry)}, {dateWords(entry.on)}
      </p>
      <p className="mb-4">{sentenceOf(entry, view.system, view.names)}</p>
      {visit && (
        <Caution>
          It belongs to the visit of {visit}; its service record changes with it, and says so.
        </Caution>
      )}
      <p className="mb-4 text-soft">
        The entry stays in the record with your reason, and nothing is computed from it any more: rates, cases
        and deadlines are as if it had never been written.
      </p>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <TextField
          label="Reason"
          autoFocus
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          error={tried && reason.trim() === '' ? 'Say why it is voided.' : null}
        />
        <WriterField />
        <button type="submit" hidden aria-hidden="true" tabIndex={-1} />
      </form>
    </Dialog>
  );
}

/** The days of the visit that an entry belongs to, or null. */
export function visitWords(entry: Entry, entries: readonly Entry[]): string | null {
  if (entry.visitId == null) return null;
  const days = entries.flatMap((each) => (each.visitId === entry.visitId ? [each.on] : [])).sort();
  const [first = entry.on] = days;
  const last = days.at(-1) ?? first;
  return first === last ? dateWords(first) : `${dateWords(first)} to ${dateWords(last)}`;
}
