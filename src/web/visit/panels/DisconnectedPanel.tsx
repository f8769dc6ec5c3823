/** What is taken off or bypassed for the work: it stands on the list until it is back. */
import { stillDisconnected } from '../../../core/visit/visitRecord';
import { DISCONNECTED_WORDS } from '../../../words/leaks';
import { noteForm } from '../../../record/forms';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { Fold } from '../../parts/Fold';
import { useVisitWrite } from '../useVisitWrite';
import { useVisit } from '../visitContext';
import { NoteCard } from './NoteCard';

export function DisconnectedPanel() {
  const { record, newEntry } = useVisit();
  const deed = useVisitWrite('back on');
  const off = stillDisconnected(record.entries);
  return (
    <>
      {off.map(({ what, name }) => (
        <div key={`${what} ${name}`} className="rule-b flex items-center justify-between gap-3 py-1">
          <p className="font-semibold text-ochre">
            ◐ {DISCONNECTED_WORDS[what]}
            {name && `, ${name}`}: off
          </p>
          <Button
            disabled={deed.writing}
            onClick={() =>
              void deed.save(
                [newEntry('readings', { tool: 'disconnected', what, name: name || null, state: 'back' })],
                `${DISCONNECTED_WORDS[what]}: on again.`,
              )
            }
          >
            On again
          </Button>
        </div>
      ))}
      <ApiError error={deed.error} />
      <Fold title="Taken off or bypassed for a while" about="solenoid, contactor, timer, alarm">
        <NoteCard name="disconnected" spec={noteForm('disconnected')} save="It is off" main={false} />
      </Fold>
    </>
  );
}
