/** Who is writing on this device, how it looks, and whether the logbook is intact. */
import { useState } from 'react';
import { Choices } from '../parts/Choices';
import { Sheet } from '../parts/Sheet';
import { useVerify } from '../data/queries';
import { AddPerson } from './AddPerson';
import { LOOKS, LOOK_WORDS, type Look, applyLook, storedLook } from './look';
import { useWriter } from './writer';

export function Settings({ onClose }: { onClose: () => void }) {
  const { people, person, choose } = useWriter();
  const [look, setLook] = useState<Look>(storedLook);
  const chain = useVerify().data;
  return (
    <Sheet title="Who is writing" onClose={onClose}>
      <p className="mb-3 text-soft">
        Every entry carries this name. Accounts with passwords come later; until then the app answers on this
        machine only.
      </p>
      <Choices
        label="Who is writing"
        value={person?.id ?? ''}
        onChange={choose}
        choices={people.map((each) => ({
          value: each.id,
          words: each.role ? `${each.name}, ${each.role}` : each.name,
        }))}
      />
      <AddPerson />
      <h2 className="mb-2 mt-6">Look</h2>
      <Choices
        label="Look"
        value={look}
        onChange={(value) => {
          const next = LOOKS.find((each) => each === value) ?? 'paper';
          applyLook(next);
          setLook(next);
        }}
        choices={LOOKS.map((value) => ({ value, words: LOOK_WORDS[value] }))}
      />
      <h2 className="mb-2 mt-6">The logbook</h2>
      {chain && (
        <p>
          {chain.intact
            ? `${String(chain.entries)} entries, every seal intact: nothing was altered or removed.`
            : `The chain of seals breaks at entry ${String(chain.brokenAt?.sequence)}: something was altered outside the app.`}
        </p>
      )}
      <p className="mt-2">
        <a className="font-semibold text-green underline underline-offset-4" href="/api/logbook" download>
          Save the whole logbook as a file
        </a>
      </p>
    </Sheet>
  );
}
