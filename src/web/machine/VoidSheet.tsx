/** Voids an entry, with the reason. It stays in the record and counts no more. */
import { useState } from 'react';
import type { Entry } from '../../core/logbook/entry';
import { useWriter } from '../app/writer';
import { useAppend } from '../data/queries';
import { voidOf } from '../entries/voiding';
import { WriterField } from '../gas/WriterField';
import { TextField } from '../parts/Field';
import { SaveBar } from '../parts/SaveBar';
import { Sheet } from '../parts/Sheet';
import { ENTRY_WORDS } from '../words/codes';
import { dateWords } from '../words/dates';
import { mapOf, partNamesOf } from '../visit/layout';
import { noteWords } from '../visit/noteWords';
import type { MachineView } from './machineView';

export function VoidSheet({
  entry,
  view,
  onClose,
}: {
  entry: Entry;
  view: MachineView;
  onClose: () => void;
}) {
  const { person } = useWriter();
  const append = useAppend();
  const [reason, setReason] = useState('');
  const [tried, setTried] = useState(false);
  const save = () => {
    setTried(true);
    if (!person || reason.trim() === '') return;
    append.mutate(voidOf(entry, person.id, reason.trim()), { onSuccess: onClose });
  };
  return (
    <Sheet
      title="Void this entry"
      subtitle={view.machine.appliance.name}
      onClose={onClose}
      footer={<SaveBar words="Void it" saving={append} onSave={save} />}
    >
      <p className="mb-1 font-semibold">
        {ENTRY_WORDS[entry.kind]}, {dateWords(entry.on)}
      </p>
      <p className="mb-4">{noteWords(entry, view.system, partNamesOf(mapOf(view)))}</p>
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
        <WriterField error={tried && !person ? 'Choose who is writing.' : undefined} />
        <button type="submit" hidden aria-hidden="true" tabIndex={-1} />
      </form>
    </Sheet>
  );
}
