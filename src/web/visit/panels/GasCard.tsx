/** Gas in or out as part of a visit: the same form as everywhere, with the rod live, filed under the visit. */
import { dayText } from '../../../core/quantity/day';
import type { Entry } from '../../../core/logbook/entry';
import { GasFields } from '../../forms/gas/GasFields';
import type { Direction } from '../../../record/gasDraft';
import { type GasFormState, useGasForm } from '../../forms/gas/useGasForm';
import { ApiError } from '../../forms/ApiError';
import { Refused } from '../../forms/Refused';
import { Button } from '../../parts/Button';
import { MainAction } from '../StepBar';
import { useVisit } from '../visitContext';

/** The form of this visit's gas; `also` is written with it. */
export function useVisitGas(
  direction: Direction,
  also: () => readonly Entry[] = () => [],
  onDone: () => void = () => undefined,
): GasFormState {
  const { view, visitId, day } = useVisit();
  return useGasForm({
    machine: view.machine,
    today: view.today,
    supersedes: null,
    leakId: null,
    direction,
    place: `${visitId} ${direction} `,
    on: dayText(day),
    visitId,
    also,
    onDone,
  });
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
  const { view } = useVisit();
  const refused = <Refused labels={form.faulty} />;
  const button = (
    <Button weight="main" className="w-full sm:w-auto" disabled={form.saving.isPending} onClick={form.save}>
      {form.saving.isPending ? 'Saving…' : words}
    </Button>
  );
  return (
    <div className="mb-4">
      <GasFields form={form} today={view.today} fixed />
      <ApiError error={form.saving.error} />
      {atThumb ? (
        <MainAction>
          <div>
            {refused}
            {button}
          </div>
        </MainAction>
      ) : (
        <>
          {refused}
          {button}
        </>
      )}
    </div>
  );
}
