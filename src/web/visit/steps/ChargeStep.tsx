/** Step 11: gas by weight, corrected for what stays in the hoses, with the rod moving as it counts. */
import { useState } from 'react';
import { grams, massText } from '../../../core/quantity/mass';
import { Button } from '../../parts/Button';
import { Choices } from '../../parts/Choices';
import { SelectField, TextField } from '../../parts/Field';
import { Fold } from '../../parts/Fold';
import { kindForm } from '../../../record/forms';
import { GasCard, useVisitGas } from '../panels/GasCard';
import { NoteCard } from '../panels/NoteCard';
import { StepCalculators } from '../panels/StepCalculators';
import { useVisit } from '../visitContext';
import { VisitDrawing, useReadingRound } from '../drawing/VisitDrawing';
import { Series } from '../readings/Reading';
import { type Weighing, FRESH, useWeighing, LEAST_SHOWN_KG, takenText } from './useWeighing';

export function ChargeStep() {
  const { newEntry } = useVisit();
  const round = useReadingRound();
  const weighing = useWeighing();
  const gas = useVisitGas(
    'refrigerantAdded',
    () => {
      const entry = weighing.note && newEntry('chargeRun', { tool: 'weighed', ...weighing.note });
      return entry ? [entry] : [];
    },
    () => {
      weighing.remember();
      weighing.forget();
    },
  );
  return (
    <>
      <FullChargeLine />
      <Weigh weighing={weighing} onTake={(amount) => gas.set({ amount, notWeighed: false })} />
      <GasCard form={gas} words="Write it down" atThumb />
      <VisitDrawing label="The machine: touch a place to read it while gas goes in" round={round} />
      <Series onlyToCompare />
      <StepCalculators />
      <Fold title="Set the full charge" about="a good weigh-in is worth keeping for ever">
        <NoteCard name="fullCharge" spec={kindForm('fullChargeSet')} save="Set it" main={false} />
      </Fold>
    </>
  );
}

function FullChargeLine() {
  const { view } = useVisit();
  const { present } = view.standing;
  return (
    <p className="mb-1">
      Full charge:{' '}
      <span className="text-xl font-bold">
        {present.fullCharge === null ? 'not known' : massText(grams(present.fullCharge), view.system)}
      </span>
      {present.fullCharge === null && (
        <span className="text-soft"> · weigh all that goes in, and set it below</span>
      )}
    </p>
  );
}

function Weigh({
  weighing,
  onTake,
}: {
  weighing: ReturnType<typeof useWeighing>;
  onTake: (amount: string) => void;
}) {
  const { draft, set, bottles, kept, inside, problem, scale, hosesHoldMore } = weighing;
  const { place } = useVisit();
  const [open, setOpen] = useState(draft !== FRESH && draft.before !== '');
  const change = (part: Partial<Weighing>) => set({ ...draft, ...part });
  return (
    <details className="rule-b mb-4" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="flex min-h-12 cursor-pointer flex-wrap items-center gap-x-2">
        <span className="font-semibold text-green underline underline-offset-4">Bottle on the scale</span>
        <span className="text-soft">before and after, less what stays in the hoses</span>
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
            ...bottles.map((each) => ({ value: each.id, words: each.serial })),
          ]}
        />
      </div>
      {scale === 'g' && (
        <p className="mb-2 border-l-4 border-green pl-3">
          Stop about 15 g early: what is in the hose still runs in.
        </p>
      )}
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
      {problem && (
        <p role="alert" className="mb-3 font-semibold text-brick">
          {problem}
        </p>
      )}
      <div className="flex flex-wrap items-end gap-x-8 gap-y-2 pb-4" aria-live="polite">
        <div>
          <p className="text-soft">Inside the machine</p>
          <p className="text-4xl font-bold">{inside === null ? '–' : takenText(inside, scale)}</p>
        </div>
        <div>
          <p className="text-soft">stays in the hoses</p>
          <p className="text-2xl font-bold">
            {kept === null ? '–' : kept > 0 && kept < LEAST_SHOWN_KG ? 'under 0.5 g' : takenText(kept, scale)}
          </p>
        </div>
        <Button
          disabled={inside === null}
          onClick={() => inside !== null && onTake(takenText(inside, scale))}
        >
          Take this weight
        </Button>
      </div>
      {hosesHoldMore && (
        <p className="mb-3 border-l-4 border-ochre pl-3 font-semibold text-ochre">
          ◐ The hose holds more than this machine does. Pull it empty, or use a shorter one.
        </p>
      )}
    </details>
  );
}
