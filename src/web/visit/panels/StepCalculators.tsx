/** Calculators of the bench inside a step: set to this machine, their results filed in this visit. */
import { type CalculatorName, calculatorOf, calculatorsAt } from '../../../record/calculators';
import { type CalculatorHome, CalculatorHomeContext } from '../../calculators/calculatorHome';
import { CalculatorPage } from '../../calculators/CalculatorPage';
import { BenchSettingProvider } from '../../calculators/setting';
import { uncapped } from '../../../words/list';
import { Fold } from '../../parts/Fold';
import { useVisitWrite } from '../useVisitWrite';
import { useKnown } from '../useKnown';
import { useVisit } from '../visitContext';

/** All that stand at this step, folded behind their questions; `but`: those that the step shows open itself. */
export function StepCalculators({ but = [] }: { but?: readonly CalculatorName[] }) {
  const { step } = useVisit();
  const names = calculatorsAt(step).filter((name) => !but.includes(name));
  if (names.length === 0) return null;
  return (
    <Fold title="Calculators" about={names.map((name) => uncapped(calculatorOf(name).question)).join(' ')}>
      {names.map((name) => {
        const { question, title } = calculatorOf(name);
        return (
          <Fold key={name} title={question} about={title}>
            <StepCalculator name={name} />
          </Fold>
        );
      })}
    </Fold>
  );
}

interface Props {
  name: CalculatorName;
  beside?: CalculatorHome['beside'];
}

export function StepCalculator({ name, beside }: Props) {
  const { visitId, view, place, newEntry } = useVisit();
  const deed = useVisitWrite(`calculator ${name}`);
  const { machine, standing } = view;
  const starts = useKnown();
  const home: CalculatorHome = {
    prefix: `${visitId} ${machine.appliance.id} `,
    keepWords: 'Keep it in this visit',
    beside,
    starts,
    keep: (kind, fields, words) => deed.save([newEntry(kind, fields)], words),
    problem: deed.error,
  };
  return (
    <CalculatorHomeContext value={home}>
      <BenchSettingProvider
        units={place.units}
        machine={{
          system: place.system,
          weights: view.system === 'kilograms' ? 'metric' : 'us',
          altitudeM: machine.site.altitudeM ?? 0,
          refrigerant: standing.present.refrigerant?.name ?? null,
        }}
      >
        <CalculatorPage name={name} />
      </BenchSettingProvider>
    </CalculatorHomeContext>
  );
}
