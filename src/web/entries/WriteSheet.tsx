/** The sheet for every entry kind but gas: its fields, the day, a note, who is writing, and what it would change. */
import { useMemo, useRef, useState } from 'react';
import { useLocation } from 'react-router';
import { toast } from 'sonner';
import { v7 as uuidv7 } from 'uuid';
import { bareUnit, massSystemOf } from '../../core/rules/massSystem';
import { type Day, dayText } from '../../core/quantity/day';
import { useWriter } from '../app/writer';
import { useAppend, useMachine, useToday } from '../data/queries';
import { type Machine, standingWith, usePacks } from '../data/standing';
import { WriterField } from '../gas/WriterField';
import { TextArea, TextField } from '../parts/Field';
import { Loaded } from '../parts/Page';
import { SaveBar } from '../parts/SaveBar';
import { Sheet } from '../parts/Sheet';
import { FieldControl } from './FieldControl';
import { type Values, initialValues, madeOf, placeOf } from './formValues';
import { FORMS } from './specs';
import { filedUnder, visitOf } from '../visit/addresses';
import { keptDay } from '../visit/visitDay';
import { undoing } from './voiding';
import { type WriteRequest, useWriteSheet } from './useWriteSheet';

export function WriteSheet() {
  const { request, close } = useWriteSheet();
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
    <Sheet title={FORMS[request.kind].title} onClose={onClose}>
      <Loaded query={query}>{() => null}</Loaded>
    </Sheet>
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
  const spec = FORMS[request.kind];
  const visitId = visitOf(useLocation().pathname);
  const { person } = useWriter();
  const packs = usePacks();
  const append = useAppend();
  const standing = useMemo(() => standingWith(machine, packs, today), [machine, packs, today]);
  const corrected = machine.entries.find((entry) => entry.id === request.corrects) ?? null;
  const [id] = useState(() => uuidv7());
  const [values, setValues] = useState<Values>(() => initialValues(spec, request.given, corrected, standing));
  const [on, setOn] = useState(corrected?.on ?? dayText(keptDay(visitId, today)));
  const [note, setNote] = useState(corrected?.note ?? '');
  const [correctionReason, setCorrectionReason] = useState('');
  const [tried, setTried] = useState(false);
  const sentAt = useRef<string | null>(null);
  const place = placeOf(bareUnit(massSystemOf(machine.site)));
  const frame = {
    id,
    kind: request.kind,
    on,
    by: person?.id ?? null,
    applianceId: machine.appliance.id,
    note,
    supersedes: request.corrects,
    correctionReason,
  };
  const { entry, errors } = madeOf(spec, values, frame, place, today);
  const shown = tried ? errors : {};

  const save = () => {
    setTried(true);
    if (!entry) return;
    sentAt.current ??= new Date().toISOString();
    const written = { ...entry, ...filedUnder(corrected, visitId, sentAt.current) };
    append.mutate(written, {
      onSuccess: () => {
        toast.success(`${spec.title}: saved to the logbook of ${machine.appliance.name}.`, {
          action: { label: 'Undo', onClick: () => append.mutate(undoing(written, machine.entries)) },
        });
        onClose();
      },
    });
  };

  return (
    <Sheet
      title={corrected ? `Correct: ${spec.title.toLowerCase()}` : spec.title}
      subtitle={`${machine.appliance.name} · ${machine.site.name}`}
      onClose={onClose}
      footer={
        <SaveBar words="Save" saving={append} onSave={save}>
          {tried && !entry && (
            <p className="mb-2 font-semibold text-brick">
              {String(Object.keys(errors).length)} fields want another look.
            </p>
          )}
        </SaveBar>
      }
    >
      <p className="mb-3 text-soft">{spec.about}</p>
      {spec.caution && <p className="mb-4 border-l-4 border-ochre pl-3">{spec.caution}</p>}
      <form
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        {spec.fields.map((field) =>
          field.when && !field.when(values) ? null : (
            <FieldControl
              key={field.key}
              field={field}
              value={values[field.key]}
              error={shown[field.key]}
              standing={standing}
              packs={machine.packs}
              place={place}
              onChange={(value) => setValues((before) => ({ ...before, [field.key]: value }))}
            />
          ),
        )}
        <TextField
          label="Day"
          type="date"
          max={dayText(today)}
          value={on}
          onChange={(event) => setOn(event.target.value)}
          error={shown['on'] ?? null}
        />
        {corrected && (
          <TextField
            label="Reason for the correction"
            value={correctionReason}
            onChange={(event) => setCorrectionReason(event.target.value)}
            error={shown['correctionReason'] ?? null}
          />
        )}
        <TextArea label="Note" optional value={note} onChange={(event) => setNote(event.target.value)} />
        <WriterField error={shown['by']} />
        <button type="submit" hidden aria-hidden="true" tabIndex={-1} />
      </form>
    </Sheet>
  );
}
