/** Bringing a file in: chosen, understood, put right, written; and what came in before, with the way back. */
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import type { Mapping } from '../../sheets/mapping';
import { useBeginImport, useImportDeeds, useImportState, useSendFile } from '../data/imports';
import { ApiError } from '../forms/ApiError';
import { Button } from '../parts/Button';
import { Page } from '../parts/Page';
import { ChooseFile } from './ChooseFile';
import { ImportDone } from './ImportDone';
import { ImportPreview } from './ImportPreview';
import { ImportsBefore } from './ImportsBefore';
import { PapersLink } from './PapersLink';

interface Chosen {
  id: string;
  file: string;
  name: string;
  mapping: Mapping;
}

export default function ImportPage() {
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const send = useSendFile();
  const begin = useBeginImport();
  const start = async (next: Omit<Chosen, 'id'>) => {
    const id = uuidv7();
    const state = await begin.mutateAsync({ ...next, id }).catch(() => null);
    if (state) setChosen({ ...next, id });
  };
  const choose = async (file: File) => {
    setChosen(null);
    const kept = await send.mutateAsync(file).catch(() => null);
    if (kept) await start({ file: kept.file, name: kept.name, mapping: {} });
  };
  return (
    <Page title="Bring in" subtitle={<PapersLink />}>
      <ChooseFile busy={send.isPending || begin.isPending} onChoose={(file) => void choose(file)} />
      <ApiError error={send.error ?? begin.error} />
      {chosen && (
        <OneImport
          key={chosen.id}
          chosen={chosen}
          onMapping={(mapping) => void start({ ...chosen, mapping })}
          onClose={() => setChosen(null)}
        />
      )}
      <ImportsBefore />
    </Page>
  );
}

function OneImport({
  chosen,
  onMapping,
  onClose,
}: {
  chosen: Chosen;
  onMapping: (mapping: Mapping) => void;
  onClose: () => void;
}) {
  const state = useImportState(chosen.id).data;
  const { stop } = useImportDeeds(chosen.id);
  if (!state) return null;
  switch (state.state) {
    case 'reading':
    case 'writing': {
      const words = state.state === 'reading' ? 'Reading' : 'Writing';
      return (
        <section aria-label={words} aria-busy="true" className="my-6">
          <p role="status" className="mb-2 font-semibold">
            {words} {chosen.name}
            {state.of > 0 && `: ${String(state.done)} of ${String(state.of)}`}
          </p>
          <progress
            className="mb-3 h-3 w-full max-w-md accent-green"
            max={state.of || undefined}
            value={state.of ? state.done : undefined}
          />
          {state.state === 'reading' && (
            <div>
              <Button disabled={stop.isPending} onClick={() => stop.mutate()}>
                Stop
              </Button>
            </div>
          )}
        </section>
      );
    }
    case 'refused':
    case 'stopped':
      return (
        <section role="alert" className="my-6 max-w-prose border-l-4 border-brick pl-4">
          <p className="font-semibold">
            {state.state === 'stopped' ? 'Stopped.' : (state.refusal ?? 'This file was refused.')}
          </p>
          <p>Nothing was written.</p>
        </section>
      );
    case 'written':
    case 'undone':
      return <ImportDone state={state} onClose={onClose} />;
    case 'ready':
      return (
        state.preview && (
          <ImportPreview
            state={state}
            preview={state.preview}
            mapping={chosen.mapping}
            onMapping={onMapping}
          />
        )
      );
  }
}
