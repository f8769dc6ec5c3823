/** What this machine has of its own: the layout is where the drawing begins; parts are added, named, and left out. */
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { LAYOUTS } from '../../../core/circuit/layouts';
import { PART_TYPES, type PartTypeName } from '../../../core/circuit/parts';
import type { Note } from '../../../core/visit/notes/notes';
import { notesOf } from '../../../core/visit/visitRecord';
import { LAYOUT_WORDS, PART_WORDS, partWords } from '../../../words/circuit';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { SelectField, TextField } from '../../parts/Field';
import { useVisitWrite } from '../useVisitWrite';
import { useVisit } from '../visitContext';

const TYPES = Object.keys(PART_TYPES) as PartTypeName[];

export function OwnDrawing() {
  const { view, layout, map, newEntry } = useVisit();
  const deed = useVisitWrite('map');
  const own = notesOf(view.standing.history.entries, 'map').at(-1)?.note;
  const now: Note<'map'> = {
    layout,
    added: own?.added ?? [],
    leftOut: own?.leftOut ?? [],
    names: own?.names ?? {},
  };
  const change = (next: Partial<Note<'map'>>, words: string) =>
    deed.save([newEntry('search', { tool: 'map', ...now, ...next })], words);
  const parts = map.parts.map((part) => ({ value: part.id, words: partWords(part) }));
  return (
    <>
      <SelectField
        label="Drawn as"
        value={layout}
        onChange={(event) =>
          void change({ layout: event.target.value }, 'The map of this machine is changed.')
        }
        choices={LAYOUTS.map((value) => ({ value, words: LAYOUT_WORDS[value] }))}
      />
      <AddPart
        parts={parts}
        busy={deed.writing}
        onAdd={(part) => change({ added: [...(now.added ?? []), part] }, 'A part is added to the drawing.')}
      />
      <NamePart
        parts={parts}
        busy={deed.writing}
        onName={(id, name) => change({ names: { ...now.names, [id]: name } }, 'The part has its name.')}
        onLeaveOut={(id) =>
          change(
            (now.added ?? []).some((part) => part.id === id)
              ? { added: (now.added ?? []).filter((part) => part.id !== id) }
              : { leftOut: [...(now.leftOut ?? []), id] },
            'The part is off the drawing.',
          )
        }
      />
      {(now.leftOut ?? []).map((id) => (
        <p key={id} className="flex items-center gap-3">
          <span className="text-soft">{view.names.parts.get(id) ?? id} is left out.</span>
          <Button
            weight="quiet"
            onClick={() =>
              void change(
                { leftOut: (now.leftOut ?? []).filter((each) => each !== id) },
                'The part is on the drawing again.',
              )
            }
          >
            It is there
          </Button>
        </p>
      ))}
      <ApiError error={deed.error} />
    </>
  );
}

interface Listed {
  parts: readonly { value: string; words: string }[];
  busy: boolean;
}

function AddPart({
  parts,
  busy,
  onAdd,
}: Listed & { onAdd: (part: NonNullable<Note<'map'>['added']>[number]) => Promise<boolean> }) {
  const [type, setType] = useState<string>('compressor');
  const [beside, setBeside] = useState(parts[0]?.value ?? '');
  const [name, setName] = useState('');
  const add = async () => {
    if (await onAdd({ id: `own-${uuidv7()}`, type, beside, name: name.trim() || null })) setName('');
  };
  return (
    <div className="rule-t pt-3">
      <p className="mb-2 font-semibold">Add a part</p>
      <div className="grid gap-x-4 sm:grid-cols-3">
        <SelectField
          label="What it is"
          value={type}
          onChange={(event) => setType(event.target.value)}
          choices={TYPES.map((value) => ({ value, words: PART_WORDS[value] }))}
        />
        <SelectField
          label="Beside"
          value={beside}
          onChange={(event) => setBeside(event.target.value)}
          choices={parts}
        />
        <TextField label="Called" optional value={name} onChange={(event) => setName(event.target.value)} />
      </div>
      <Button disabled={busy} onClick={() => void add()}>
        Add it
      </Button>
    </div>
  );
}

function NamePart({
  parts,
  busy,
  onName,
  onLeaveOut,
}: Listed & {
  onName: (id: string, name: string) => Promise<boolean>;
  onLeaveOut: (id: string) => Promise<boolean>;
}) {
  const [part, setPart] = useState(parts[0]?.value ?? '');
  const [name, setName] = useState('');
  return (
    <div className="rule-t mt-3 pt-3">
      <p className="mb-2 font-semibold">Name a part, or leave it out</p>
      <div className="grid gap-x-4 sm:grid-cols-2">
        <SelectField
          label="Part"
          value={part}
          onChange={(event) => setPart(event.target.value)}
          choices={parts}
        />
        <TextField label="Name" value={name} onChange={(event) => setName(event.target.value)} />
      </div>
      <div className="mb-3 flex flex-wrap gap-2">
        <Button
          disabled={busy || name.trim() === ''}
          onClick={() =>
            void onName(part, name.trim()).then((saved) => {
              if (saved) setName('');
            })
          }
        >
          Name it so
        </Button>
        <Button disabled={busy} onClick={() => void onLeaveOut(part)}>
          This machine has none
        </Button>
      </div>
    </div>
  );
}
