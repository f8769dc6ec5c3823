/** The log-gas form: amount first, its meaning live beside it, then what else is worth keeping. */
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { ADDED_REASONS, RECOVERED_REASONS } from '../../core/logbook/entry';
import { bareUnit, massSystemOf } from '../../core/logbook/massSystem';
import { type Day, dayText } from '../../core/quantity/day';
import { exactGrams, grams, massText } from '../../core/quantity/mass';
import { isFlammable } from '../../core/refrigerant/refrigerant';
import { useWriter } from '../app/writer';
import { useAppend, useCylinders } from '../data/queries';
import { rememberMachine } from '../data/recentMachines';
import { type Machine, standingWith, usePacks } from '../data/standing';
import { Choices } from '../parts/Choices';
import { CheckField, SelectField, TextArea, TextField } from '../parts/Field';
import { SaveBar } from '../parts/SaveBar';
import { Sheet } from '../parts/Sheet';
import { ADDED_WORDS, RECOVERED_WORDS } from '../words/codes';
import { senseErrorWords } from '../words/refusals';
import { GasMeaning } from './GasMeaning';
import { Warnings } from './Warnings';
import { undoing } from '../entries/voiding';
import { WriterField } from './WriterField';
import { type Direction, type GasDraft, correctionDraft, entryOf, freshDraft, massOf } from './gasDraft';
import { previewOf } from './gasPreview';
import { forgetDraft, keepDraft, keptDraft } from './keptDrafts';

interface Props {
  machine: Machine;
  today: Day;
  supersedes: string | null;
  leakId: string | null;
  direction: Direction;
  onClose: () => void;
}

function firstDraft({ machine, today, supersedes, leakId, direction }: Props): GasDraft {
  const target = machine.entries.find((entry) => entry.id === supersedes);
  const kept = keptDraft(machine.appliance.id, supersedes);
  if (kept) return kept;
  if (target?.kind === 'refrigerantAdded' || target?.kind === 'refrigerantRecovered')
    return correctionDraft(target);
  return { ...freshDraft(dayText(today), direction), leakId: leakId ?? '' };
}

export function GasForm(props: Props) {
  const { machine, today, onClose } = props;
  const { person } = useWriter();
  const packs = usePacks();
  const cylinders = useCylinders().data ?? [];
  const append = useAppend();
  const [draft, setDraft] = useState<GasDraft>(() => firstDraft(props));
  const [tried, setTried] = useState(false);
  const set = (change: Partial<GasDraft>) => {
    const next = { ...draft, ...change };
    setDraft(next);
    keepDraft(machine.appliance.id, next);
  };

  const system = massSystemOf(machine.site);
  const present = useMemo(() => standingWith(machine, packs, today), [machine, packs, today]);
  // Small machines are charged in grams or ounces; their full charge tells which unit a bare number means.
  const unit = smallUnit(machine) ?? bareUnit(system);
  const { entry, errors } = entryOf(draft, machine.appliance.id, person?.id ?? null, unit);
  // What it would mean is shown before a reason is given or a writer chosen.
  const asIf = { ...draft, correctionReason: draft.correctionReason || 'as if' };
  const guess = entryOf(asIf, machine.appliance.id, person?.id ?? 'nobody', unit).entry;
  const preview = guess ? previewOf(guess, machine, cylinders, packs, today) : null;
  const senseError = preview?.sense.errors[0];
  const unanswered = preview?.sense.warnings.filter((warning) => !draft.accepted[warning]?.trim()) ?? [];
  const read = massOf(draft.amount, unit);
  const openLeaks = present.leaks.open();
  const fitting = cylinders.filter((each) => each.refrigerant === present.present.refrigerant.name);
  const others = cylinders.filter((each) => each.refrigerant !== present.present.refrigerant.name);
  const added = draft.direction === 'refrigerantAdded';

  const save = () => {
    setTried(true);
    if (!entry || senseError || unanswered.length > 0) return;
    append.mutate(entry, {
      onSuccess: () => {
        rememberMachine(machine.appliance.id);
        forgetDraft(machine.appliance.id, draft.supersedes);
        toast.success(
          `${added ? 'Gas added' : 'Gas recovered'}: saved to the logbook of ${machine.appliance.name}.`,
          {
            action: { label: 'Undo', onClick: () => append.mutate(undoing(entry)) },
          },
        );
        onClose();
      },
    });
  };

  const amountError =
    tried || draft.amount !== ''
      ? (errors.amount ?? (senseError?.field === 'mass' ? senseErrorWords(senseError) : null))
      : null;
  return (
    <Sheet
      title={draft.supersedes ? 'Correct gas entry' : 'Log gas'}
      subtitle={`${machine.appliance.name} · ${machine.site.name} · ${present.present.refrigerant.name}`}
      onClose={onClose}
      footer={
        <SaveBar words={draft.supersedes ? 'Save the correction' : 'Save'} saving={append} onSave={save}>
          {tried && unanswered.length > 0 && (
            <p role="alert" className="mb-2 font-semibold text-ochre">
              Give a reason for what looks odd, above.
            </p>
          )}
        </SaveBar>
      }
    >
      <form
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        {draft.supersedes === null && (
          <Choices
            label="Direction"
            value={draft.direction}
            onChange={(value) => set({ direction: value as Direction })}
            choices={[
              { value: 'refrigerantAdded', words: 'Gas added' },
              { value: 'refrigerantRecovered', words: 'Gas recovered' },
            ]}
          />
        )}
        {!draft.notWeighed && (
          <TextField
            label="Amount"
            autoFocus
            inputMode="text"
            autoComplete="off"
            placeholder={unit === 'kg' ? '2.4 kg' : unit === 'g' ? '40 g' : '12 lb 6 oz'}
            className="text-3xl font-bold"
            value={draft.amount}
            onChange={(event) => set({ amount: event.target.value })}
            error={amountError}
            hint={
              'mass' in read
                ? echo(grams(exactGrams(read.mass)), draft.amount)
                : `A bare number is in ${unit}.`
            }
          />
        )}
        <CheckField
          label="Not weighed"
          checked={draft.notWeighed}
          onChange={(event) => set({ notWeighed: event.target.checked })}
          hint={
            draft.notWeighed
              ? 'The entry is kept without a weight; the leak rate of that day becomes unknown, not zero.'
              : undefined
          }
        />
        {draft.notWeighed && (
          <TextField
            label="Why not"
            value={draft.whyNotWeighed}
            onChange={(event) => set({ whyNotWeighed: event.target.value })}
            error={tried ? errors.whyNotWeighed : null}
          />
        )}
        {isFlammable(present.present.refrigerant.name) && (
          <p className="mb-4 border-l-4 border-ochre pl-3">
            {present.present.refrigerant.name} burns ({present.present.refrigerant.safetyClass}): no flame or
            spark near, air the room, scale and hoses rated for it. A certified person does this work; local
            code decides.
          </p>
        )}
        <GasMeaning preview={preview} present={present} system={system} today={today} added={added} />
        <Warnings
          warnings={preview?.sense.warnings ?? []}
          accepted={draft.accepted}
          onChange={(accepted) => set({ accepted })}
          tried={tried}
        />
        {added ? (
          <Choices
            label="Reason"
            value={draft.addedReason}
            onChange={(value) => set({ addedReason: value as GasDraft['addedReason'] })}
            choices={ADDED_REASONS.map((value) => ({ value, words: ADDED_WORDS[value] }))}
          />
        ) : (
          <Choices
            label="Reason"
            value={draft.recoveredReason}
            onChange={(value) => set({ recoveredReason: value as GasDraft['recoveredReason'] })}
            choices={RECOVERED_REASONS.map((value) => ({ value, words: RECOVERED_WORDS[value] }))}
          />
        )}
        {draft.supersedes !== null && (
          <TextField
            label="Reason for the correction"
            value={draft.correctionReason}
            onChange={(event) => set({ correctionReason: event.target.value })}
            error={tried ? errors.correctionReason : null}
          />
        )}
        <TextField
          label="Day"
          type="date"
          max={dayText(today)}
          value={draft.on}
          onChange={(event) => set({ on: event.target.value })}
          error={
            (tried ? errors.on : null) ?? (senseError?.field === 'on' ? senseErrorWords(senseError) : null)
          }
        />
        {added && openLeaks.length > 0 && (
          <SelectField
            label="For which leak"
            optional
            value={draft.leakId}
            onChange={(event) => set({ leakId: event.target.value })}
            choices={[
              { value: '', words: 'not tied to one leak' },
              ...openLeaks.map((leak) => ({ value: leak.id, words: `${leak.id}, ${leak.state}` })),
            ]}
          />
        )}
        <SelectField
          label="Bottle"
          optional
          value={draft.cylinderId}
          onChange={(event) => set({ cylinderId: event.target.value })}
          hint={added ? undefined : 'A recovery bottle may be filled to 80 % only; never mix gases.'}
          choices={[
            { value: '', words: 'not noted' },
            ...fitting.map((each) => ({
              value: each.id,
              words: `${each.serial}, ${each.refrigerant}${each.purpose ? `, ${each.purpose}` : ''}`,
            })),
            ...others.map((each) => ({ value: each.id, words: `${each.serial}, holds ${each.refrigerant}` })),
          ]}
        />
        <TextArea
          label="Note"
          optional
          value={draft.note}
          onChange={(event) => set({ note: event.target.value })}
        />
        <WriterField error={tried ? errors.by : undefined} />
        <button type="submit" hidden aria-hidden="true" tabIndex={-1} />
      </form>
    </Sheet>
  );
}

/** The same amount in the other units, so that a slip of unit shows at once. */
function echo(gramsValue: number, typed: string): string {
  const both = [massText(gramsValue, 'pounds'), massText(gramsValue, 'kilograms')];
  return `= ${both.filter((each) => each !== typed.trim()).join(' = ')}`;
}

function smallUnit(machine: Machine): 'g' | 'oz' | null {
  const set = machine.entries.findLast((entry) => entry.kind === 'fullChargeSet');
  const unit = set?.kind === 'fullChargeSet' ? set.mass?.unit : undefined;
  return unit === 'g' || unit === 'oz' ? unit : null;
}
