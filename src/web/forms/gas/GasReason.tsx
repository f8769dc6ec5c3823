/** Why gas goes in or comes out. */
import { ADDED_REASONS, RECOVERED_REASONS } from '../../../core/logbook/entry';
import type { GasDraft } from '../../../record/gasDraft';
import { ADDED_WORDS, RECOVERED_WORDS } from '../../../words/codes';
import { ChoiceField } from '../../parts/ChoiceField';
import type { GasFormState } from './useGasForm';

export function GasReason({ form: { draft, set, added } }: { form: GasFormState }) {
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
  return <ChoiceField label="Reason" value={value} choices={choices} onChange={change} />;
}
