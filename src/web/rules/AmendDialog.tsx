/** The company's own value for a figure, from a day on, with the reason. */
import { useState } from 'react';
import { parseDay } from '../../core/quantity/day';
import type { PlacedFigure } from '../../core/rules/amend';
import type { Pack } from '../../core/rules/pack';
import { useWriter } from '../data/device/writer';
import { useAmend } from '../data/api/queries';
import { WriterField } from '../forms/WriterField';
import { TextArea, TextField } from '../parts/Field';
import { faultyLabels } from '../../record/formValues';
import { Refused } from '../forms/Refused';
import { SaveBar } from '../forms/SaveBar';
import { useRefusal } from '../forms/useRefusal';
import { Dialog } from '../parts/Dialog';
import { PACK_WORDS } from '../../words/codes';
import { figureLabel, figureWords } from '../../words/figures';
import { NO_WRITER } from '../../words/refused';

export function AmendDialog({
  pack,
  placed,
  onClose,
}: {
  pack: Pack;
  placed: PlacedFigure;
  onClose: () => void;
}) {
  const amend = useAmend();
  const { person } = useWriter();
  const [typed, setTyped] = useState({ value: '', from: '', reason: '' });
  const refusal = useRefusal();
  const faults: Record<string, string> = {
    ...(typed.value.trim() !== '' && Number(typed.value) >= 0
      ? {}
      : { value: 'Give a number that is not negative.' }),
    ...(parseDay(typed.from) === null ? { from: 'Give the day from which it holds.' } : {}),
    ...(typed.reason.trim() === '' ? { reason: 'Say why the figure is changed.' } : {}),
    ...(person ? {} : { by: NO_WRITER }),
  };
  const shown = refusal.tried ? faults : {};
  const save = () => {
    refusal.try();
    if (!person || Object.keys(faults).length > 0) return;
    amend.mutate(
      {
        pack: pack.id,
        figure: placed.path,
        from: typed.from,
        value: Number(typed.value),
        reason: typed.reason.trim(),
        by: person.id,
      },
      { onSuccess: onClose },
    );
  };
  const field = (key: keyof typeof typed) => ({
    value: typed[key],
    onChange: (event: { target: { value: string } }) => setTyped({ ...typed, [key]: event.target.value }),
    error: shown[key] ?? null,
  });
  const labels = [
    { key: 'value', label: `Value in ${placed.figure.unit}` },
    { key: 'from', label: 'From' },
    { key: 'reason', label: 'Reason' },
  ] as const;
  const present = placed.figure.periods.at(-1);
  return (
    <Dialog
      title="Your own figure"
      subtitle={`${PACK_WORDS[pack.id]}: ${figureLabel(pack, placed.path) ?? ''}`}
      onClose={onClose}
      footer={
        <SaveBar words="Save your figure" saving={amend} onSave={save}>
          <Refused labels={faultyLabels({ fields: labels }, shown)} />
        </SaveBar>
      }
    >
      <p className="mb-4">
        Now {present ? figureWords(present.value, placed.figure.unit) : ''} ({placed.figure.source.cite}).
        Your value holds from its day on; what was computed for earlier days keeps the old one. A looser
        figure than the law’s protects nobody: the authority’s text decides.
      </p>
      <form
        id={refusal.form}
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <TextField label={labels[0].label} autoFocus inputMode="decimal" {...field('value')} />
        <TextField label={labels[1].label} type="date" {...field('from')} />
        <TextArea label={labels[2].label} {...field('reason')} />
        <WriterField />
        <button type="submit" hidden aria-hidden="true" tabIndex={-1} />
      </form>
    </Dialog>
  );
}
