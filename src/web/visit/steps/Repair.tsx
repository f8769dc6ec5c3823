/** Step 8: what was done, said at its place on the drawing: leak, place and joint are known from there. */
import { useState } from 'react';
import type { MapPart } from '../../../core/circuit/map';
import { nextLeaks } from '../../../core/visit/leaks/search';
import { partWords } from '../../../words/circuit';
import { kindForm, noteForm } from '../../../record/forms';
import { Button } from '../../parts/Button';
import { Fold } from '../../parts/Fold';
import { Dialog } from '../../parts/Dialog';
import { Tray } from '../../parts/Tray';
import { VisitDrawing, useReadingRound } from '../drawing/VisitDrawing';
import { LeaksPanel } from '../panels/LeaksPanel';
import { NoteCard } from '../panels/NoteCard';
import { PartLabels } from '../panels/PartLabels';
import { Exchange } from '../repair/Exchange';
import { LeakRepair } from '../repair/LeakRepair';
import { MainAction } from '../StepBar';
import { useVisit } from '../visitContext';

const WORKS = {
  leak: 'A leak repaired here',
  part: 'Part fitted',
  heated: 'Heated or bent',
  preventive: 'Preventive work',
  exchange: 'Exchanged on suspicion',
} as const;
type Work = keyof typeof WORKS;

export function Repair() {
  const { view, leaks, record } = useVisit();
  const round = useReadingRound();
  const [touched, setTouched] = useState<MapPart | null>(null);
  const [doing, setDoing] = useState<{ work: Work; part: MapPart | null } | null>(null);
  const open = view.standing.leaks.open();
  const first = leaks.find((leak) => open.some((each) => each.id === leak.id));
  const coming = nextLeaks(view.standing.history.entries);
  return (
    <>
      <VisitDrawing
        label="The machine: touch the part that was worked on"
        round={round}
        values={false}
        onPart={setTouched}
        shown={(part) => ({
          leaks: leaks.filter((leak) => leak.part === part.id && leak.state !== 'dismissed').length,
          mark: coming.some((each) => each.part === part.id) ? 'nextLeak' : null,
        })}
      />
      <MainAction>
        <Button weight="main" onClick={() => setDoing({ work: 'leak', part: null })}>
          {first ? `Repair ${first.label}` : 'A leak repaired'}
        </Button>
      </MainAction>
      <LeaksPanel />
      {coming.map((each) => (
        <p key={each.part} className="mb-2 border-l-4 border-ochre pl-3">
          → Will be the next leak: <span className="font-semibold">{each.words}</span>, {each.why}. Do it too.
        </p>
      ))}
      <Fold
        title="Drier"
        about="changed last before the vacuum, and dated; or why not"
        open={open.length === 0 && !record.entries.some(({ entry }) => entry.kind === 'partFitted')}
      >
        <NoteCard
          name="drier"
          spec={noteForm('drier')}
          first={['changed']}
          save="Save the drier"
          main={false}
        />
      </Fold>
      <Fold title="Settings of controls" about="before and after">
        <NoteCard name="setting" spec={noteForm('setting')} save="Save the setting" main={false} />
      </Fold>
      <Fold title="Without the drawing" about="part fitted, heated or bent, preventive work">
        <div className="grid grid-cols-2 gap-2">
          {(['part', 'heated', 'preventive', 'exchange'] as const).map((work) => (
            <Button key={work} className="min-h-14" onClick={() => setDoing({ work, part: null })}>
              {WORKS[work]}
            </Button>
          ))}
        </div>
      </Fold>
      <PartLabels />
      {touched && (
        <Tray title={partWords(touched)} onClose={() => setTouched(null)}>
          <div className="grid grid-cols-2 gap-2">
            {(Object.keys(WORKS) as Work[]).map((work) => (
              <Button
                key={work}
                className="min-h-14"
                onClick={() => {
                  setDoing({ work, part: touched });
                  setTouched(null);
                }}
              >
                {WORKS[work]}
              </Button>
            ))}
          </div>
        </Tray>
      )}
      {doing && <Doing {...doing} onClose={() => setDoing(null)} />}
    </>
  );
}

function Doing({ work, part, onClose }: { work: Work; part: MapPart | null; onClose: () => void }) {
  const at = part ? partWords(part) : '';
  const name = `${work} ${part?.id ?? ''}`;
  return (
    <Dialog title={WORKS[work]} subtitle={at} onClose={onClose}>
      {work === 'leak' && <LeakRepair part={part} onSaved={onClose} />}
      {work === 'exchange' && <Exchange part={part} onSaved={onClose} />}
      {work === 'part' && (
        <NoteCard
          name={name}
          spec={kindForm('partFitted')}
          given={{ part: part ? at : '' }}
          first={['part', 'why']}
          save="Write the part down"
          onSaved={onClose}
        />
      )}
      {work === 'heated' && (
        <NoteCard
          name={name}
          spec={noteForm('heated')}
          given={{ part: at }}
          save="Put it on the list of tests"
          onSaved={onClose}
        />
      )}
      {work === 'preventive' && (
        <NoteCard
          name={name}
          spec={noteForm('preventive')}
          given={{ part: at }}
          first={['part', 'how']}
          save="Write the work down"
          onSaved={onClose}
        />
      )}
    </Dialog>
  );
}
