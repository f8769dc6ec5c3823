/** What cannot be judged of a machine, why, and the way to mend it. Nothing where it can. */
import type { MassSystem } from '../../core/quantity/mass';
import type { Standing } from '../../core/rules/standing';
import { unjudgedSummary } from '../../core/rules/summary';
import { unjudged } from '../../core/rules/unjudged';
import { ForWriters } from '../data/api/ForWriters';
import { Button } from '../parts/Button';
import { unjudgedSentence } from '../../words/rod';
import { SayRefrigerant } from './SayRefrigerant';
import { useWriteDialog } from '../data/addresses/writeDialog';

export function CannotJudge({ standing, system }: { standing: Standing; system: MassSystem }) {
  const write = useWriteDialog();
  const cannot = unjudged(standing);
  if (!cannot) return null;
  const machineId = standing.history.appliance.id;
  if (cannot.code === 'refrigerant')
    return <SayRefrigerant machineId={machineId} forWhat="so that the machine can be judged" />;
  return (
    <div className="mb-3 border-l-4 border-ochre pl-3">
      <p className="font-semibold text-ochre">◐ {unjudgedSentence(unjudgedSummary(cannot), system)}</p>
      {cannot.code === 'fullCharge' && (
        <ForWriters>
          <Button
            className="no-print mt-2"
            onClick={() => write.open({ kind: 'fullChargeSet', machineId, given: {} })}
          >
            Set the full charge
          </Button>
        </ForWriters>
      )}
    </div>
  );
}
