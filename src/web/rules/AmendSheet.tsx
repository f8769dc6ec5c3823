/** The company's own value for a figure, from a day on, with the reason. */
import { useForm } from 'react-hook-form';
import { parseDay } from '../../core/quantity/day';
import type { PlacedFigure } from '../../core/rules/amend';
import type { Pack } from '../../core/rules/pack';
import { useWriter } from '../data/writer';
import { useAmend } from '../data/queries';
import { WriterField } from '../forms/WriterField';
import { TextArea, TextField } from '../parts/Field';
import { SaveBar } from '../forms/SaveBar';
import { Sheet } from '../parts/Sheet';
import { PACK_WORDS } from '../../words/codes';
import { figureLabel, figureWords } from '../../words/figures';

interface AmendForm {
  value: string;
  from: string;
  reason: string;
}

export function AmendSheet({
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
  const { register, handleSubmit, formState, setError } = useForm<AmendForm>({
    defaultValues: { value: '', from: '', reason: '' },
  });
  const { errors } = formState;
  const save = handleSubmit(({ value, from, reason }) => {
    if (!person) {
      setError('root', { message: 'Choose who is writing.' });
      return;
    }
    amend.mutate(
      {
        pack: pack.id,
        figure: placed.path,
        from,
        value: Number(value),
        reason: reason.trim(),
        by: person.id,
      },
      { onSuccess: onClose },
    );
  });
  const present = placed.figure.periods.at(-1);
  return (
    <Sheet
      title="Your own figure"
      subtitle={`${PACK_WORDS[pack.id]}: ${figureLabel(pack, placed.path) ?? ''}`}
      onClose={onClose}
      footer={<SaveBar words="Save your figure" saving={amend} onSave={() => void save()} />}
    >
      <p className="mb-4">
        Now {present ? figureWords(present.value, placed.figure.unit) : ''} ({placed.figure.source.cite}).
        Your value holds from its day on; what was computed for earlier days keeps the old one. A looser
        figure than the law’s protects nobody: the authority’s text decides.
      </p>
      <form onSubmit={(event) => void save(event)}>
        <TextField
          label={`Value in ${placed.figure.unit}`}
          autoFocus
          inputMode="decimal"
          {...register('value', {
            validate: (text) =>
              (text.trim() !== '' && Number(text) >= 0) || 'Give a number that is not negative.',
          })}
          error={errors.value?.message ?? null}
        />
        <TextField
          label="From"
          type="date"
          {...register('from', {
            validate: (text) => parseDay(text) !== null || 'Give the day from which it holds.',
          })}
          error={errors.from?.message ?? null}
        />
        <TextArea
          label="Reason"
          {...register('reason', {
            validate: (text) => text.trim() !== '' || 'Say why the figure is changed.',
          })}
          error={errors.reason?.message ?? null}
        />
        <WriterField error={errors.root?.message} />
        <button type="submit" hidden aria-hidden="true" tabIndex={-1} />
      </form>
    </Sheet>
  );
}
