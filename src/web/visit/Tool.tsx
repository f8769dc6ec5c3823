/** A calculator of the bench inside a step: set to this machine, its result filed in this visit. */
import { Suspense } from 'react';
import { calculatorOf } from '../calculators/calculators';
import { BenchSettingProvider } from '../calculators/setting';
import { TOOLS } from '../calculators/tools';
import { type ToolHome, ToolHomeContext } from '../calculators/toolHome';
import { Fold } from '../parts/Fold';
import { useDeed } from './useDeed';
import { useKnown } from './useKnown';
import { useVisit } from './visitContext';

interface Props {
  slug: string;
  /** open at once: it is what the step is about */
  open?: boolean;
  beside?: ToolHome['beside'];
}

export function Tool({ slug, open = false, beside }: Props) {
  const { question, title } = calculatorOf(slug);
  return (
    <Fold title={question} about={title} open={open}>
      <ToolBody slug={slug} beside={beside} />
    </Fold>
  );
}

export function ToolBody({ slug, beside }: Omit<Props, 'open'>) {
  const { visitId, view, units, draft } = useVisit();
  const deed = useDeed(`tool ${slug}`);
  const { machine, standing } = view;
  const starts = useKnown();
  const Calculator = TOOLS[slug];
  if (!Calculator) throw new Error(`No calculator ${slug}: add it to TOOLS.`);
  const home: ToolHome = {
    prefix: `${visitId} ${machine.appliance.id} `,
    keepWords: 'Keep it in this visit',
    beside,
    starts,
    keep: (kind, fields, words) => deed.save([draft(kind, fields)], words),
    problem: deed.error,
  };
  return (
    <ToolHomeContext value={home}>
      <BenchSettingProvider
        machine={{
          system: units,
          weights: view.system === 'kilograms' ? 'metric' : 'us',
          altitudeM: machine.site.altitudeM ?? 0,
          refrigerant: standing.present.refrigerant.name,
        }}
      >
        <Suspense fallback={<div aria-busy="true" className="min-h-screen" />}>
          <Calculator />
        </Suspense>
      </BenchSettingProvider>
    </ToolHomeContext>
  );
}
