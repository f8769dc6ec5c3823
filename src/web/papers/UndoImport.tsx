/** Taking an import back: what goes and what stays is shown first. */
import { useState } from 'react';
import { say } from '../data/device/messages';
import { useImportDeeds, useUndoPreview } from '../data/api/imports';
import { useWriter } from '../data/device/writer';
import { ApiError } from '../forms/ApiError';
import { WriterField } from '../forms/WriterField';
import { Button } from '../parts/Button';
import { Loaded } from '../parts/Page';
import { Dialog } from '../parts/Dialog';
import { countWords, ofCount } from '../../words/counts';

export function UndoImport({ id, name, onUndone }: { id: string; name: string; onUndone?: () => void }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>Undo</Button>
      {open && (
        <UndoDialog
          id={id}
          name={name}
          onClose={() => setOpen(false)}
          onUndone={() => {
            setOpen(false);
            onUndone?.();
          }}
        />
      )}
    </>
  );
}

function UndoDialog({
  id,
  name,
  onClose,
  onUndone,
}: {
  id: string;
  name: string;
  onClose: () => void;
  onUndone: () => void;
}) {
  const { person } = useWriter();
  const { undo } = useImportDeeds(id);
  const preview = useUndoPreview(id);
  return (
    <Dialog
      title="Take this import back"
      subtitle={name}
      onClose={onClose}
      footer={
        <>
          <ApiError error={undo.error} />
          <Button
            weight="main"
            disabled={!preview.data || undo.isPending || !person}
            onClick={() => {
              undo.mutate(person?.id ?? '', {
                onSuccess: () => {
                  say(`Taken back: ${name}.`);
                  onUndone();
                },
              });
            }}
          >
            {undo.isPending ? 'Taking it back…' : 'Take it back'}
          </Button>
        </>
      }
    >
      <Loaded query={preview}>
        {({ rows, entries, stays }) => (
          <>
            <p className="mb-4">
              {rows + entries === 0
                ? 'Nothing of this import can be taken back.'
                : `${countWords(rows, 'row')} and ${countWords(entries, 'entry', 'entries')} are taken back. The record keeps that they stood, and who took them back.`}
            </p>
            {stays.length > 0 && (
              <>
                <p className="font-semibold">
                  {countWords(stays.length, 'row stays', 'rows stay')}, for others hang on{' '}
                  {ofCount(stays.length, 'it', 'them')}:
                </p>
                <ul className="mb-4">
                  {stays.map(({ words, why }, index) => (
                    <li key={index} className="rule-b py-1">
                      {words} <span className="text-soft">({why})</span>
                    </li>
                  ))}
                </ul>
              </>
            )}
          </>
        )}
      </Loaded>
      <WriterField />
    </Dialog>
  );
}
