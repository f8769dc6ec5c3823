/** Gas in or out as part of a visit: the same form as everywhere, with the rod live, filed under the visit. */
import { dayText } from '../../../core/quantity/day';
import { NO_MASS, exactGrams, grams, massText } from '../../../core/quantity/mass';
import { sentenceOf } from '../../../record/sentence';
import type { Entry } from '../../../core/logbook/entry';
import { GasFields } from '../../forms/gas/GasFields';
import type { GasKind } from '../../../record/forms';
import { type GasFormState, useGasForm } from '../../forms/gas/useGasForm';
import { ApiError } from '../../forms/ApiError';
import { Refused } from '../../forms/Refused';
import { Button } from '../../parts/Button';
import { SaveHere } from '../StepBar';
import { useVisit } from '../visitContext';

/** The form of this visit's gas; `also` is written with it. */
export function useVisitGas(
  direction: GasKind,
  also: () => readonly Entry[] = () => [],
  onDone: () => void = () => undefined,
): GasFormState {
  const { view, visitId, day, step } = useVisit();
  return useGasForm({
    view,
    supersedes: null,
    leakId: null,
    direction,
    place: `${visitId} ${direction} `,
    on: dayText(day),
    visitId,
    step,
    also,
    onDone,
  });
}

/** What of this visit's gas is written down: the portions of a charge and their sum; each stands on the clipboard. */
function Portions({ direction }: { direction: GasKind }) {
  const { record, view } = useVisit();
  const portions = record.entries.flatMap(({ entry }) => (entry.kind === direction ? entry : []));
  if (portions.length === 0) return null;
  const weighed = portions.flatMap(({ mass }) => (mass ? exactGrams(mass) : []));
  const sum = massText(grams(weighed.reduce((a, b) => (a + b) as typeof a, NO_MASS)), view.system);
  const unweighed = portions.length - weighed.length;
  const last = portions.at(-1);
  return (
    <p aria-label="Written in this visit" role="group" className="mb-1 border-l-4 border-green pl-3">
      <span className="text-soft">Written: </span>
      {portions.length === 1 && last ? (
        sentenceOf(last, view.system, view.names)
      ) : (
        <span className="font-semibold">
          {portions.length} portions, {weighed.length === 0 ? 'none of them weighed' : `${sum} in all`}
          {unweighed > 0 && weighed.length > 0 && `, and ${String(unweighed)} not weighed`}
        </span>
      )}
    </p>
  );
}

export function GasCard({
  form,
  words,
  atThumb = false,
}: {
  form: GasFormState;
  words: string;
  atThumb?: boolean;
}) {
  const refused = <Refused labels={form.faulty} />;
  const button = (
    <Button weight="main" className="w-full sm:w-auto" disabled={form.saving.isPending} onClick={form.save}>
      {form.saving.isPending ? 'Saving…' : words}
    </Button>
  );
  return (
    <div className="mb-4">
      <Portions direction={form.draft.kind} />
      <GasFields form={form} inVisit />
      <ApiError error={form.saving.error} />
      <SaveHere atThumb={atThumb}>
        {refused}
        {button}
      </SaveHere>
    </div>
  );
}
