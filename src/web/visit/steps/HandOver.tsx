/** Step 14: the service record on one page, signed on the screen, and what is due now. */
import { useState } from 'react';
import { Printer } from 'lucide-react';
import { unspokenValves } from '../../../core/visit/guards';
import { notesOf } from '../../../core/visit/visitRecord';
import { waitingDeeds } from '../../data/deeds';
import { WriterField } from '../../forms/WriterField';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { TextField } from '../../parts/Field';
import { Section } from '../../parts/Page';
import { ServiceRecord } from '../paper/ServiceRecord';
import { SignaturePad } from '../paper/SignaturePad';
import { useVisitWrite } from '../useVisitWrite';
import { forgetVisit, useKeptDraft } from '../../data/useKeptDraft';
import { useVisit } from '../visitContext';

export function HandOver() {
  const { record } = useVisit();
  const signed = notesOf(record.entries, 'signed').length > 0;
  return (
    <>
      <div className="no-print mb-3">
        <Button onClick={() => window.print()}>
          <Printer aria-hidden="true" size={20} /> Print
        </Button>
      </div>
      <ServiceRecord />
      {!signed && <Sign />}
    </>
  );
}

/** What was written in this visit and the logbook is not known to have: named, so that nobody signs a record that lacks it. */
function Waiting() {
  const { visitId } = useVisit();
  const waiting = waitingDeeds(`${visitId} `);
  if (waiting.length === 0) return null;
  return (
    <div role="alert" className="mb-3 border-l-4 border-brick pl-3">
      <p className="font-semibold text-brick">▲ Written in this visit and not in the logbook:</p>
      <ul>
        {waiting.map((each, index) => (
          <li key={index}>
            {each.words.replace(/\.$/, '')} ·{' '}
            {each.refused === null ? 'no answer came' : `refused: ${each.refused}`}
          </li>
        ))}
      </ul>
      <p>Go back to the step and save it again: it cannot be written twice.</p>
    </div>
  );
}

const UNSIGNED = { name: '', role: '', path: '', why: '' };

function Sign() {
  const { view, visitId, newEntry } = useVisit();
  const deed = useVisitWrite('sign');
  const blocked = unspokenValves(view.standing.history.entries);
  const {
    draft: typed,
    set,
    forget,
  } = useKeptDraft(`${visitId} ${view.machine.appliance.id} sign`, () => UNSIGNED);
  const { name, role, path, why } = typed;
  const [tried, setTried] = useState(false);
  const noName = name.trim() === '';
  const noSign = path === '' && why.trim() === '';
  const sign = async () => {
    setTried(true);
    if (noName || noSign || blocked.length > 0) return;
    const entry = newEntry('handover', {
      tool: 'signed',
      name: name.trim(),
      role: role.trim() || null,
      path: path || null,
      notSigned: path === '' ? why.trim() : null,
    });
    if (!(await deed.save([entry], 'Handed over.'))) return;
    forget();
    forgetVisit(visitId);
  };
  return (
    <Section title="Sign">
      <Waiting />
      {blocked.length > 0 && (
        <p role="alert" className="mb-3 border-l-4 border-brick pl-3 font-semibold text-brick">
          ▲ Not handed over while {blocked.map((each) => each.valve).join(', ')}{' '}
          {blocked.length === 1 ? 'is' : 'are'} shut: open it, or say under “Leave it right” that it stays
          shut and why.
        </p>
      )}
      <div className="grid gap-x-6 sm:grid-cols-2">
        <TextField
          label="Name of who takes it over"
          value={name}
          onChange={(event) => set({ ...typed, name: event.target.value })}
          error={tried && noName ? 'Give the name.' : null}
        />
        <TextField
          label="Role"
          optional
          value={role}
          onChange={(event) => set({ ...typed, role: event.target.value })}
        />
      </div>
      <SignaturePad path={path} onChange={(next) => set({ ...typed, path: next })} />
      <TextField
        label="Nobody could sign, because"
        optional
        value={why}
        onChange={(event) => set({ ...typed, why: event.target.value })}
        error={tried && noSign ? 'Let them sign above, or say why nobody could.' : null}
      />
      <WriterField />
      <ApiError error={deed.error} />
      <Button
        weight="main"
        className="w-full sm:w-auto"
        disabled={deed.writing || blocked.length > 0}
        onClick={() => void sign()}
      >
        Hand over
      </Button>
    </Section>
  );
}
