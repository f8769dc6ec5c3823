/** The sheet for every entry kind but gas: its fields, the day, a note, who is writing, and what it would change. */
import { useState } from 'react';
import { useLocation } from 'react-router';
import { dayText } from '../../core/quantity/day';
import { isCertifiedWork } from '../../core/rules/certified';
import { formFor } from '../../record/forms';
import { KINDS } from '../../record/records';
import { useLogDialog } from '../data/addresses/logDialog';
import { visitOf } from '../data/addresses/visitAddress';
import { type WriteRequest, useWriteDialog } from '../data/addresses/writeDialog';
import { type MachineView, useMachineView } from '../data/api/machineView';
import type { Machine } from '../data/api/standing';
import { useKeptDraft } from '../data/device/useKeptDraft';
import { visitDay } from '../data/device/visitDay';
import { Button } from '../parts/Button';
import { Caution } from '../parts/Caution';
import { Dialog } from '../parts/Dialog';
import { Loaded } from '../parts/Page';
import { EntryFrame } from './EntryFrame';
import { Fields } from './Fields';
import { Refused } from './Refused';
import { SaveBar } from './SaveBar';
import { Uncertified } from './Uncertified';
import { freshDraft, useEntryForm } from './useEntryForm';

export default function WriteDialog() {
  const { request, close } = useWriteDialog();
  return request ? (
    <Opened key={`${request.kind} ${request.machineId}`} request={request} onClose={close} />
  ) : null;
}

function Opened({ request, onClose }: { request: WriteRequest; onClose: () => void }) {
  const { query, view } = useMachineView(request.machineId);
  if (view) return <WriteForm request={request} view={view} onClose={onClose} />;
  return (
    <Dialog title={KINDS[request.kind].name} onClose={onClose}>
      <Loaded query={query}>{() => null}</Loaded>
    </Dialog>
  );
}

function WriteForm({
  request,
  view,
  onClose,
}: {
  request: WriteRequest;
  view: MachineView;
  onClose: () => void;
}) {
  const { machine, today, standing } = view;
  const entry = machine.entries.find(({ id }) => id === request.corrects) ?? null;
  const spec = formFor(request.kind, entry);
  const visitId = visitOf(useLocation().pathname);
  const name = `sheet ${machine.appliance.id} ${request.kind} ${request.corrects ?? JSON.stringify(request.given)}`;
  const inVisit = standing.history.entries.filter(({ entry: each }) => each.visitId === visitId);
  const fresh = () =>
    freshDraft(spec, view, {
      given: request.given,
      corrected: entry,
      on: dayText(visitDay(visitId, today, inVisit)),
    });
  const [first] = useState(fresh);
  const kept = useKeptDraft(name, () => first);
  const form = useEntryForm({
    spec,
    view,
    first: first.values,
    corrects: entry,
    visitId,
    draft: kept.draft,
    keep: kept.set,
  });
  const save = () =>
    form.save({
      name,
      words: spec.title,
      entries: (placed) => [placed],
      onSaved: () => {
        kept.forget();
        onClose();
      },
    });

  return (
    <Dialog
      title={entry ? `Correct: ${spec.title.toLowerCase()}` : spec.title}
      subtitle={`${machine.appliance.name} · ${machine.site.name}`}
      onClose={onClose}
      footer={
        <SaveBar words="Save" saving={form.saving} onSave={save}>
          <Refused labels={form.faulty} />
        </SaveBar>
      }
    >
      <p className="mb-3 text-soft">{spec.about}</p>
      {spec.caution && <Caution>{spec.caution}</Caution>}
      {request.kind === 'retired' && <GasFirst machine={machine} />}
      <form
        id={form.id}
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <Fields {...form.fields} fields={spec.fields} />
        {isCertifiedWork(request.kind) && <Uncertified day={kept.draft.on} />}
        <EntryFrame form={form} today={today} corrects={entry !== null} />
        <button type="submit" hidden aria-hidden="true" tabIndex={-1} />
      </form>
    </Dialog>
  );
}

/** Before a machine is retired: its gas, while none of it is logged as recovered for that. */
function GasFirst({ machine }: { machine: Machine }) {
  const gas = useLogDialog();
  const logged = machine.entries.some(
    (entry) => entry.kind === 'refrigerantRecovered' && entry.reason === 'retire',
  );
  if (logged) return <p className="mb-4 text-soft">Gas is logged as recovered for its retirement.</p>;
  return (
    <div className="mb-4 border-l-4 border-ochre pl-3">
      <p className="mb-2 font-semibold text-ochre">
        ◐ No gas is logged as recovered for retirement. What you typed here is kept.
      </p>
      <Button onClick={() => gas.openFor({ machine: machine.appliance.id, direction: 'recovered' })}>
        Log the gas
      </Button>
    </div>
  );
}
