/** Step 14: the service record on one page, signed on the screen, and what is due now. */
import { useState } from 'react';
import { Printer } from 'lucide-react';
import clsx from 'clsx';
import { Link } from 'react-router';
import { unspokenValves } from '../../../core/visit/guards';
import { notesOf } from '../../../core/visit/visitRecord';
import { useVisitRows } from '../../data/api/queries';
import { visitAddress } from '../../data/addresses/visitAddress';
import { WaitingList, useWaitingDeeds } from '../../forms/WaitingDeeds';
import { WriterField } from '../../forms/WriterField';
import { ApiError } from '../../forms/ApiError';
import { Refused } from '../../forms/Refused';
import { useRefusal } from '../../forms/useRefusal';
import { Button, ButtonLink } from '../../parts/Button';
import { TextField } from '../../parts/Field';
import { Section } from '../../parts/Page';
import { issueAddress } from '../../data/addresses/paperAddress';
import { ServiceRecord } from '../ServiceRecord';
import { SignaturePad } from '../SignaturePad';
import { SaveHere } from '../StepBar';
import { useVisitWrite } from '../useVisitWrite';
import { STEP_WORDS } from '../../../words/steps';
import { typedIn, typedWords } from '../../data/device/typed';
import { forgetVisit, useKeptDraft } from '../../data/device/useKeptDraft';
import { useVisit } from '../visitContext';
import { ofCount } from '../../../words/counts';

export function HandOver() {
  const { record, visitId, view } = useVisit();
  const [whole, setWhole] = useState(false);
  const signed = notesOf(record.entries, 'signed').length > 0;
  return (
    <>
      <div
        className={clsx(
          'relative',
          !whole && 'max-lg:max-h-[55vh] max-lg:overflow-hidden print:max-h-none print:overflow-visible',
        )}
      >
        <ServiceRecord />
        {!whole && (
          <div className="no-print absolute inset-x-0 bottom-0 flex gap-2 border-t border-line bg-paper py-2 lg:static lg:border-0">
            <Button className="lg:hidden" onClick={() => setWhole(true)}>
              The whole record
            </Button>
            <Button onClick={() => window.print()}>
              <Printer aria-hidden="true" size={20} /> Print
            </Button>
            <ButtonLink
              to={issueAddress({
                document: 'serviceRecord',
                visit: visitId,
                machine: view.machine.appliance.id,
              })}
            >
              Issue as PDF
            </ButtonLink>
          </div>
        )}
      </div>
      <OtherMachines />
      {!signed && <Sign />}
    </>
  );
}

/** One visit, several machines: each has its record, and each is handed over. */
function OtherMachines() {
  const { visitId, view } = useVisit();
  const rows = useVisitRows(visitId).data?.rows ?? [];
  const others = rows.filter((row) => row.applianceId !== view.machine.appliance.id);
  if (others.length === 0) return null;
  return (
    <section aria-label="Other machines of this visit" className="no-print mt-3">
      <p className="font-semibold">Other machines of this visit</p>
      <ul>
        {others.map((row) => (
          <li key={row.applianceId} className="rule-b">
            <Link
              className="flex min-h-11 items-center justify-between gap-3 text-green underline underline-offset-4"
              to={visitAddress(visitId, row.applianceId, 'handOver')}
            >
              {row.machineName}
              <span className={row.handedOver ? 'text-soft' : 'text-ochre'}>
                {row.handedOver ? 'handed over' : '◐ not handed over yet'}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What was written in this visit and the logbook is not known to have: named, so that nobody signs a record that lacks it. */
function Waiting() {
  const { visitId } = useVisit();
  const waiting = useWaitingDeeds(`${visitId} `);
  if (waiting.length === 0) return null;
  return (
    <div role="alert" className="mb-3 border-l-4 border-brick pl-3">
      <p className="font-semibold text-brick">▲ Written in this visit and not in the logbook:</p>
      <WaitingList deeds={waiting} />
    </div>
  );
}

/** What was typed in a step and never saved: the record lacks it. */
function NotSaved() {
  const { visitId } = useVisit();
  const [typed] = useState(() => typedIn(visitId));
  if (typed.length === 0) return null;
  return (
    <div role="alert" className="mb-3 border-l-4 border-ochre pl-3">
      <p className="font-semibold text-ochre">◐ Typed in this visit and not saved:</p>
      <ul>
        {typed.map((each) => (
          <li key={`${each.machineId} ${each.step} ${each.words}`}>
            <Link
              className="flex min-h-11 items-center text-green underline underline-offset-4"
              to={visitAddress(visitId, each.machineId, each.step)}
            >
              {typedWords(each)}, at “{STEP_WORDS[each.step].title}”
            </Link>
          </li>
        ))}
      </ul>
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
  const refusal = useRefusal();
  const { tried } = refusal;
  const noSign = path === '' && why.trim() === '';
  // A person signs, or a reason stands for the signature: then no name is asked.
  const noName = path !== '' && name.trim() === '';
  const sign = async () => {
    refusal.try();
    if (noName || noSign || blocked.length > 0) return;
    const entry = newEntry('handover', {
      tool: 'signed',
      name: name.trim() || null,
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
      <NotSaved />
      {blocked.length > 0 && (
        <p role="alert" className="mb-3 border-l-4 border-brick pl-3 font-semibold text-brick">
          ▲ Not handed over while {blocked.map((each) => each.valve).join(', ')}{' '}
          {ofCount(blocked.length, 'is', 'are')} shut: open it, or say under “Leave it right” that it stays
          shut and why.
        </p>
      )}
      <div id={refusal.form}>
        <div className="grid gap-x-6 sm:grid-cols-2">
          <TextField
            label="Name of who takes it over"
            optional={path === ''}
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
      </div>
      <ApiError error={deed.error} />
      <SaveHere atThumb>
        {tried && (
          <Refused
            labels={[
              ...(noName ? ['Name of who takes it over'] : []),
              ...(noSign ? ['Signature, or why nobody could sign'] : []),
            ]}
          />
        )}
        <Button weight="main" disabled={deed.writing || blocked.length > 0} onClick={() => void sign()}>
          Hand over
        </Button>
      </SaveHere>
    </Section>
  );
}
