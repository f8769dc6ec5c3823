/** The sheet for every entry kind but gas: its fields, the day, a note, who is writing, and what it would change. */
import { useMemo, useState } from 'react';
import { useLocation } from 'react-router';
import { v7 as uuidv7 } from 'uuid';
import { bareUnit, chargedUnit, massSystemOf } from '../../core/rules/massSystem';
import { type Day, dayText } from '../../core/quantity/day';
import { useWriter } from '../data/device/writer';
import { fitting } from '../data/device/kept';
import { useMachine, useToday } from '../data/api/queries';
import { type Machine, usePacks } from '../data/api/standing';
import { standingWith } from '../../record/foldedMachine';
import { WriterField } from './WriterField';
import { useLogDialog } from '../data/addresses/logDialog';
import { Button } from '../parts/Button';
import { TextArea, TextField } from '../parts/Field';
import { Loaded } from '../parts/Page';
import { Refused } from './Refused';
import { SaveBar } from './SaveBar';
import { useRefusal } from './useRefusal';
import { KINDS } from '../../record/records';
import { Dialog } from '../parts/Dialog';
import { Fields } from './Fields';
import type { Values } from '../../record/field';
import { faultyLabels, initialValues, madeOf } from '../../record/formValues';
import { placeOf } from '../../record/place';
import { leakLabels } from '../../core/logbook/leakLabels';
import { formFor } from '../../record/forms';
import { placedInDay } from '../../record/placeInDay';
import { visitOf } from '../data/addresses/visitAddress';
import { useKeptDraft } from '../data/device/useKeptDraft';
import { visitDay } from '../data/device/visitDay';
import { useWrite } from '../data/api/useWrite';
import { type WriteRequest, useWriteDialog } from '../data/addresses/writeDialog';

export default function WriteDialog() {
  const { request, close } = useWriteDialog();
  return request ? (
    <Opened key={`${request.kind} ${request.machineId}`} request={request} onClose={close} />
  ) : null;
}

function Opened({ request, onClose }: { request: WriteRequest; onClose: () => void }) {
  const query = useMachine(request.machineId);
  const today = useToday(query.data?.site.timezone);
  if (query.data && today !== null)
    return <WriteForm request={request} machine={query.data} today={today} onClose={onClose} />;
  return (
    <Dialog title={KINDS[request.kind].name} onClose={onClose}>
      <Loaded query={query}>{() => null}</Loaded>
    </Dialog>
  );
}

function WriteForm({
  request,
  machine,
  today,
  onClose,
}: {
  request: WriteRequest;
  machine: Machine;
  today: Day;
  onClose: () => void;
}) {
  const corrected = machine.entries.find((entry) => entry.id === request.corrects) ?? null;
  const spec = formFor(request.kind, corrected);
  const visitId = visitOf(useLocation().pathname);
  const { person } = useWriter();
  const packs = usePacks();
  const { error, writing, save: write } = useWrite();
  const standing = useMemo(() => standingWith(machine, packs, today), [machine, packs, today]);
  const labels = useMemo(() => leakLabels(machine.entries), [machine.entries]);
  const name = `sheet ${machine.appliance.id} ${request.kind} ${request.corrects ?? JSON.stringify(request.given)}`;
  const [id] = useState(() => uuidv7());
  const [first] = useState<Values>(() => initialValues(spec, request.given, corrected, standing, labels));
  const { draft, set, forget } = useKeptDraft(name, () => ({
    values: first,
    on:
      corrected?.on ??
      dayText(
        visitDay(
          visitId,
          today,
          standing.history.entries.filter(({ entry }) => entry.visitId === visitId),
        ),
      ),
    note: corrected?.note ?? '',
    correctionReason: '',
  }));
  const { on, note, correctionReason } = draft;
  const values = fitting(first, draft.values);
  const refusal = useRefusal();
  const charged = chargedUnit(standing.history);
  const place = placeOf(bareUnit(massSystemOf(machine.site, charged), charged), machine.site, labels);
  const frame = {
    id,
    kind: request.kind,
    on,
    by: person?.id ?? null,
    applianceId: machine.appliance.id,
    note,
    corrected: corrected && { entry: corrected, values: first },
    correctionReason,
  };
  const { entry, errors } = madeOf(spec, values, frame, place, today);
  const shown = refusal.tried ? errors : {};

  const save = () => {
    refusal.try();
    if (!entry) return;
    set(draft);
    const at = new Date().toISOString();
    const placed = placedInDay(entry, { visitId, today: dayText(today), at });
    void write({
      name: visitId === null ? name : `${visitId} ${name}`,
      entries: [placed],
      words: `${spec.title}: saved to the logbook of ${machine.appliance.name}.`,
      known: machine.entries,
    }).then((saved) => {
      if (!saved) return;
      forget();
      onClose();
    });
  };

  return (
    <Dialog
      title={corrected ? `Correct: ${spec.title.toLowerCase()}` : spec.title}
      subtitle={`${machine.appliance.name} · ${machine.site.name}`}
      onClose={onClose}
      footer={
        <SaveBar words="Save" saving={{ error, isPending: writing }} onSave={save}>
          <Refused labels={faultyLabels(spec, shown)} />
        </SaveBar>
      }
    >
      <p className="mb-3 text-soft">{spec.about}</p>
      {spec.caution && <p className="mb-4 border-l-4 border-ochre pl-3">{spec.caution}</p>}
      {request.kind === 'retired' && <GasFirst machine={machine} />}
      <form
        id={refusal.form}
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <Fields
          fields={spec.fields}
          values={values}
          errors={shown}
          place={place}
          machine={{ standing, packs: machine.packs }}
          onAnswer={(key, value) => set({ ...draft, values: { ...values, [key]: value } })}
        />
        <TextField
          label="Day"
          type="date"
          max={dayText(today)}
          value={on}
          onChange={(event) => set({ ...draft, on: event.target.value })}
          error={shown['on'] ?? null}
        />
        {corrected && (
          <TextField
            label="Reason for the correction"
            value={correctionReason}
            onChange={(event) => set({ ...draft, correctionReason: event.target.value })}
            error={shown['correctionReason'] ?? null}
          />
        )}
        <TextArea
          label="Note"
          optional
          value={note}
          onChange={(event) => set({ ...draft, note: event.target.value })}
        />
        <WriterField error={shown['by']} />
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
