/** The gas of the visit: added, recovered, and what got out. */
import { massText } from '../../../core/quantity/mass';
import { notesOf } from '../../../core/visit/visitRecord';
import { gasSumWords } from '../../../words/weights';
import { type GasSum, gasOfVisit } from '../../../core/visit/gasOfVisit';
import { useVisit } from '../visitContext';
import { Block, Lines } from './blocks';
import { NOT_RECORDED } from './notRecorded';

export function GasBlock() {
  const { record, view } = useVisit();
  const { added, recovered, released } = gasOfVisit(record.entries);
  const said = notesOf(record.entries, 'isolation').some(({ note }) => note.way === 'recoverAll');
  return (
    <Block title="Gas">
      <GasLine words="Added" sum={added} />
      <GasLine
        words="Recovered"
        sum={recovered}
        none={said ? 'said to be the whole charge; no weight is recorded' : 'none recorded'}
      />
      <p>Estimated release: {released === null ? NOT_RECORDED : massText(released, view.system)}</p>
      <Lines of="gas" empty={null} />
    </Block>
  );
}

function GasLine({ words, sum, none = 'none recorded' }: { words: string; sum: GasSum; none?: string }) {
  const { view } = useVisit();
  return (
    <p>
      {words}: {sum.times === 0 ? none : gasSumWords(sum, view.system)}
    </p>
  );
}
