/** Bringing a file in: chosen, understood, put right, written; and what came in before, with the way back. */
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import type { ImportState } from '../../contract/imports';
import type { Mapping } from '../../sheets/mapping';
import { useBeginImport, useImportDeeds, useImportState, useSendFile } from '../data/api/imports';
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
          onAgain={() => void start(chosen)}
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
  onAgain,
  onClose,
}: {
  chosen: Chosen;
  onMapping: (mapping: Mapping) => void;
  onAgain: () => void;
  onClose: () => void;
}) {
  const { stop, write } = useImportDeeds(chosen.id);
  const state = useImportState(chosen.id, write.isPending).data;
  if (!state) return null;
  const writing = write.isPending || state.state === 'writing';
  switch (state.state) {
    case 'refused':
    case 'stopped':
      return (
        <section role="alert" className="my-6 max-w-prose border-l-4 border-brick pl-4">
          <p className="font-semibold">
            {state.state === 'stopped' ? 'Stopped.' : (state.refusal ?? 'This file was refused.')}
          </p>
          <p className="mb-3">Nothing was written.</p>
          <p className="flex flex-wrap gap-2">
            <Button onClick={onAgain}>Try again</Button>
            <Button onClick={onClose}>Another file</Button>
          </p>
        </section>
      );
    case 'written':
    case 'undone':
      return <ImportDone state={state} onClose={onClose} />;
    case 'reading':
    case 'writing':
    case 'ready':
      return (
        <>
          {(writing || state.state === 'reading') && <Progress state={state} writing={writing} stop={stop} />}
          {state.preview && (
            // What was ticked and said is there again where the writing is stopped.
            <div hidden={writing}>
              <ImportPreview state={state} preview={state.preview} write={write} onMapping={onMapping} />
            </div>
          )}
        </>
      );
  }
}

function Progress({
  state,
  writing,
  stop,
}: {
  state: ImportState;
  writing: boolean;
  stop: ReturnType<typeof useImportDeeds>['stop'];
}) {
  const words = writing ? 'Writing' : 'Reading';
  return (
    <section aria-label={words} aria-busy="true" className="my-6">
      <p role="status" className="mb-2 font-semibold">
        {words} {state.name}
        {state.of > 0 && `: ${String(state.done)} of ${String(state.of)}`}
      </p>
      <progress
        className="mb-3 h-3 w-full max-w-md accent-green"
        max={state.of || undefined}
        value={state.of ? state.done : undefined}
      />
      <ApiError error={stop.error} />
      <div className="flex flex-wrap items-center gap-x-4">
        <Button disabled={stop.isPending} onClick={() => stop.mutate()}>
          Stop
        </Button>
        {writing && <span className="text-soft">Stopped before its end, nothing of it is written.</span>}
      </div>
    </section>
  );
}
