/** Gas by the scale: a bottle before and after, or a scale that was zeroed; in, less what stays in the hoses, or out. */
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Choices } from '../../parts/Choices';
import { SelectField, TextField } from '../../parts/Field';
import { useVisit } from '../visitContext';
import { LEAST_SHOWN_KG, type Weighing, takenText, type useWeighing } from './useWeighing';

interface Props {
  weighing: ReturnType<typeof useWeighing>;
  onTake: (amount: string) => void;
}

export function Weigh({ weighing, onTake }: Props) {
  const { out, draft, set, cylinders, problem, scale, hosesHoldMore } = weighing;
  const { place } = useVisit();
  const [open, setOpen] = useState(draft.before !== '' || draft.counted !== '');
  const change = (part: Partial<Weighing>) => set({ ...draft, ...part });
  return (
    <details className="rule-b mb-2" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="flex min-h-12 cursor-pointer flex-wrap items-center gap-x-2">
        <span className="font-semibold text-green underline underline-offset-4">Bottle on the scale</span>
        <span className="text-soft">before and after, or zeroed</span>
      </summary>
      <Choices
        label="Scale"
        value={draft.way}
        onChange={(way) => change({ way: way as Weighing['way'] })}
        choices={[
          { value: 'twice', words: 'bottle before and after' },
          { value: 'zeroed', words: 'zeroed, it counts' },
        ]}
      />
      <div className="grid grid-cols-2 gap-x-4 sm:grid-cols-3">
        {draft.way === 'zeroed' ? (
          <TextField
            label="Counted"
            className="text-xl font-semibold"
            hint={`A bare number is in ${place.mass}.`}
            value={draft.counted}
            onChange={(event) => change({ counted: event.target.value })}
          />
        ) : (
          <>
            <TextField
              label="Before"
              className="text-xl font-semibold"
              hint={`A bare number is in ${place.mass}.`}
              value={draft.before}
              onChange={(event) => change({ before: event.target.value })}
            />
            <TextField
              label="After"
              className="text-xl font-semibold"
              value={draft.after}
              onChange={(event) => change({ after: event.target.value })}
            />
          </>
        )}
        <SelectField
          label="Bottle weighed"
          value={draft.bottle}
          onChange={(event) => change({ bottle: event.target.value })}
          choices={[
            { value: '', words: 'not on the list' },
            ...cylinders.map((each) => ({ value: each.id, words: each.serial })),
          ]}
        />
      </div>
      {scale === 'g' && !out && (
        <p className="mb-2 border-l-4 border-green pl-3">
          Stop about 15 g early: what is in the hose still runs in.
        </p>
      )}
      {!out && <HosesKept weighing={weighing} />}
      {problem && (
        <p role="alert" className="mb-3 font-semibold text-brick">
          {problem}
        </p>
      )}
      <Weighed weighing={weighing} onTake={onTake} />
      {hosesHoldMore && (
        <p className="mb-3 border-l-4 border-ochre pl-3 font-semibold text-ochre">
          ◐ The hose holds more than this machine does. Pull it empty, or use a shorter one.
        </p>
      )}
    </details>
  );
}

/** What is in the hoses when they come off: a critical charge can be less than that. */
function HosesKept({ weighing: { draft, set } }: Pick<Props, 'weighing'>) {
  const change = (part: Partial<Weighing>) => set({ ...draft, ...part });
  return (
    <>
      <p className="mb-1 font-semibold">Hoses</p>
      <Choices
        label="Hoses"
        value={draft.hoses}
        onChange={(value) => change({ hoses: value as Weighing['hoses'] })}
        choices={[
          { value: 'none', words: 'nothing stays in them' },
          { value: 'empty', words: 'pulled empty into the low side' },
          { value: 'full', words: 'taken off full of liquid' },
        ]}
      />
      {draft.hoses !== 'none' && (
        <div className="grid gap-x-6 sm:grid-cols-3">
          <TextField
            label="Length in all"
            value={draft.length}
            onChange={(event) => change({ length: event.target.value })}
          />
          <TextField
            label="Bore"
            value={draft.bore}
            onChange={(event) => change({ bore: event.target.value })}
          />
          {draft.hoses === 'full' && (
            <TextField
              label="Temperature of the liquid"
              value={draft.liquid}
              onChange={(event) => change({ liquid: event.target.value })}
            />
          )}
        </div>
      )}
    </>
  );
}

/** What it comes to, to be taken over with one touch. */
function Weighed({ weighing: { out, kept, inside, scale }, onTake }: Props) {
  return (
    <div className="flex flex-wrap items-end gap-x-8 gap-y-2 pb-4" aria-live="polite">
      <div>
        <p className="text-soft">{out ? 'Came out' : 'Inside the machine'}</p>
        <p className="text-4xl font-bold">{inside === null ? '–' : takenText(inside, scale)}</p>
      </div>
      {!out && (
        <div>
          <p className="text-soft">stays in the hoses</p>
          <p className="text-2xl font-bold">
            {kept === null ? '–' : kept > 0 && kept < LEAST_SHOWN_KG ? 'under 0.5 g' : takenText(kept, scale)}
          </p>
        </div>
      )}
      <Button disabled={inside === null} onClick={() => inside !== null && onTake(takenText(inside, scale))}>
        Take this weight
      </Button>
    </div>
  );
}
