/** Why gas goes in or comes out: in a visit one line, since most often it is the first; elsewhere each is a button. */
import { ADDED_REASONS, RECOVERED_REASONS } from '../../../core/logbook/entry';
import type { GasDraft } from '../../../record/gasDraft';
import { ADDED_WORDS, RECOVERED_WORDS } from '../../../words/codes';
import { Choices } from '../../parts/Choices';
import { SelectField } from '../../parts/Field';
import type { GasFormState } from './useGasForm';

export function GasReason({ form: { draft, set, added }, asList }: { form: GasFormState; asList: boolean }) {
  const value = added ? draft.addedReason : draft.recoveredReason;
  // A move has two ends, which one entry cannot say: it is offered only where the entry is one already.
  const choices = (
    added
      ? ADDED_REASONS.map((each) => ({ value: each, words: ADDED_WORDS[each] }))
      : RECOVERED_REASONS.map((each) => ({ value: each, words: RECOVERED_WORDS[each] }))
  ).filter((each) => each.value !== 'moved' || value === 'moved');
  const change = (next: string) =>
    set(
      added
        ? { addedReason: next as GasDraft['addedReason'] }
        : { recoveredReason: next as GasDraft['recoveredReason'] },
    );
  return asList ? (
    <SelectField
      label="Reason"
      value={value}
      choices={choices}
      onChange={(event) => change(event.target.value)}
    />
  ) : (
    <Choices label="Reason" value={value} choices={choices} onChange={change} />
  );
}
