/** The gas of the visit: added, recovered, and what got out. */
import { grams, massText } from '../../../core/quantity/mass';
import { type GasSum, gasOfVisit } from '../../../core/visit/gasOfVisit';
import { useVisit } from '../visitContext';
import { Block, Lines } from './blocks';
import { NOT_RECORDED } from './notRecorded';

export function GasBlock() {
  const { record, view } = useVisit();
  const { added, recovered, released } = gasOfVisit(record.entries);
  return (
    <Block title="Gas">
      <GasLine words="Added" sum={added} />
      <GasLine words="Recovered" sum={recovered} />
      <p>Estimated release: {released === null ? NOT_RECORDED : massText(released, view.system)}</p>
      <Lines of="gas" empty={null} />
    </Block>
  );
}

function GasLine({ words, sum }: { words: string; sum: GasSum }) {
  const { view } = useVisit();
  const weighedTimes = sum.times - sum.notWeighed.length;
  return (
    <p>
      {words}:{' '}
      {sum.times === 0
        ? 'none recorded'
        : [
            weighedTimes > 0 && massText(grams(sum.weighed), view.system),
            ...sum.notWeighed.map((why) => `not weighed: ${why}`),
          ]
            .filter(Boolean)
            .join('; ')}
    </p>
  );
}
