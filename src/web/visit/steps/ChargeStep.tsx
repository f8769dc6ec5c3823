/** Step 11: gas by weight, corrected for what stays in the hoses, with the rod moving as it counts. */
import { grams, massText } from '../../../core/quantity/mass';
import { Fold } from '../../parts/Fold';
import { kindForm } from '../../../record/forms';
import { GasCard, useVisitGas } from '../panels/GasCard';
import { NoteCard } from '../panels/NoteCard';
import { StepCalculators } from '../panels/StepCalculators';
import { useVisit } from '../visitContext';
import { VisitDrawing, useReadingRound } from '../drawing/VisitDrawing';
import { Series } from '../readings/Reading';
import { Weigh } from '../charge/Weigh';
import { useWeighing } from '../charge/useWeighing';

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
      <Weigh weighing={weighing} onTake={(amount) => gas.weigh(amount)} />
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
