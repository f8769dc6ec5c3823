/** A file, chosen or dropped. */
import { useId, useRef, useState } from 'react';
import clsx from 'clsx';
import { FileUp } from 'lucide-react';

export function ChooseFile({ busy, onChoose }: { busy: boolean; onChoose: (file: File) => void }) {
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  const take = (files: FileList | null) => {
    const file = files?.[0];
    if (file) onChoose(file);
    // The same file, put right, can be chosen again.
    if (input.current) input.current.value = '';
  };
  return (
    <div
      className={clsx(
        'mb-4 flex flex-wrap items-center gap-x-4 gap-y-2 rounded border-2 border-dashed px-4 py-4',
        over ? 'border-green bg-card' : 'border-line',
      )}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        take(event.dataTransfer.files);
      }}
    >
      <label
        htmlFor={id}
        className="inline-flex min-h-12 cursor-pointer items-center gap-2 rounded bg-green px-4 font-semibold text-paper focus-within:outline-3"
      >
        <FileUp aria-hidden="true" size={22} />
        {busy ? 'Sending…' : 'Choose a file'}
        <input
          id={id}
          ref={input}
          type="file"
          accept=".csv,.tsv,.txt,.xlsx,.json,.zip"
          className="sr-only"
          disabled={busy}
          onChange={(event) => take(event.target.files)}
        />
      </label>
      <p className="min-w-0 flex-1 basis-64 text-soft">
        A spreadsheet (CSV or XLSX) of machines, sites, people, bottles, gas or inspections; or a logbook
        (JSON or zip) to be merged. It is only looked at first.
      </p>
    </div>
  );
}
