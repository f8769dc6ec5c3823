/** What this visit and the machine's history know already: calculators begin with it. */
import { rateOf } from '../../core/diagnosis/leaking';
import { leakingMachine } from '../../core/diagnosis/leakingMachine';
import { grams } from '../../core/quantity/mass';
import type { Dimension } from '../../core/quantity/units';
import { siOf } from '../../core/visit/notes/stated';
import { readingsNow } from '../../core/visit/readings/series';
import { notesOf, readNumber } from '../../core/visit/visitRecord';
import type { CalculatorHome } from '../calculators/calculatorHome';
import { useVisit } from './visitContext';

const DAY_S = 86_400;

export function useKnown(): CalculatorHome['starts'] {
  const { record, view } = useVisit();
  const so = readingsNow(record.entries);
  const { present } = view.standing;
  const leaking = leakingMachine(view.standing);
  const fullCharge = present.fullCharge === null ? null : grams(present.fullCharge) / 1000;
  const raised = notesOf(record.entries, 'raised').at(-1)?.note;
  const isolated = notesOf(record.entries, 'isolation').at(-1)?.note;
  const number = (name: string) => readNumber(so, name);
  const known: [key: string, dimension: Dimension, si: number | null][] = [
    ['suction', 'pressure', number('suction')],
    ['head', 'pressure', number('head')],
    ['liquid', 'pressure', number('head')],
    ['standing', 'pressure', number('standing')],
    ['suctionLine', 'temperature', number('suctionLine')],
    ['liquidLine', 'temperature', number('liquidLine')],
    ['box', 'temperature', number('box')],
    ['ambient', 'temperature', number('ambient')],
    ['temperature', 'temperature', number('ambient')],
    ['design', 'pressure', siOf(raised?.design)],
    ['left', 'pressure', siOf(isolated?.leftPressure)],
    ['fullCharge', 'mass', fullCharge],
    ['charge', 'mass', fullCharge],
    ['rate', 'massRate', leaking.ok ? rateOf(leaking.machine) / DAY_S : null],
  ];
  return known.flatMap(([key, dimension, si]) => (si === null ? [] : [{ key, dimension, si }]));
}
