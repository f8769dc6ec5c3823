/** "Keep this": the result and what it came from, filed with a machine as an entry of its logbook. */
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import type { Entry } from '../../../core/logbook/entry';
import { type Day, dayText } from '../../../core/quantity/day';
import { useWriter } from '../../data/device/writer';
import { useMachine, useToday } from '../../data/api/queries';
import { rememberMachine } from '../../data/device/recentMachines';
import { type Machine } from '../../data/api/standing';
import { useWrite } from '../../data/api/useWrite';
import { WriterField } from '../../forms/WriterField';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { TextArea, TextField } from '../../parts/Field';
import { MachinePicker } from '../../forms/MachinePicker';
import { Loaded } from '../../parts/Page';
import { SaveBar } from '../../forms/SaveBar';
import { Dialog } from '../../parts/Dialog';
import { KINDS } from '../../../record/records';
import { type BenchInput, measuredOf } from '../form';
import { useBench } from '../setting';
import { type CalculatorHome, useCalculatorHome } from '../calculatorHome';
import { NO_WRITER } from '../../../words/refused';

export type KeptKind = 'readings' | 'pressureHold' | 'evacuation' | 'chargeRun';

export interface Keepable {
  tool: string;
  kind: KeptKind;
  /** one line, in the words of the service record */
  summary: string;
  inputs: Readonly<Record<string, BenchInput>>;
  /** what was chosen, and is not among the inputs */
  choices?: Readonly<Record<string, string>>;
  /** figures of the result in SI, by name */
  result: Record<string, unknown>;
}

/** What was typed beside its SI value; what was left empty is left out. */
const measuresOf = (inputs: Keepable['inputs']): Record<string, { typed: string; si: number }> =>
  Object.fromEntries(
    Object.entries(inputs).flatMap(([key, { field, read }]) => {
      const measured = field.type === 'measure' ? measuredOf(read) : undefined;
      return measured ? [[key, { typed: measured.typed, si: measured.si }]] : [];
    }),
  );

const choicesOf = (inputs: Keepable['inputs']): Record<string, string> =>
  Object.fromEntries(
    Object.entries(inputs).flatMap(([key, { field, value }]) =>
      field.type !== 'measure' && value !== '' ? [[key, value as string]] : [],
    ),
  );

/** What a result files besides who, when and on which machine. */
const filed = (keepable: Keepable, setting: { refrigerant: string | null; altitudeM: number }) => ({
  tool: keepable.tool,
  summary: keepable.summary,
  refrigerant: setting.refrigerant,
  altitudeM: setting.altitudeM,
  inputs: measuresOf(keepable.inputs),
  choices: { ...choicesOf(keepable.inputs), ...keepable.choices },
  result: keepable.result,
});

export function KeepThis({ keepable }: { keepable: Keepable }) {
  const home = useCalculatorHome();
  return home ? <KeepAtHome keepable={keepable} home={home} /> : <KeepAnywhere keepable={keepable} />;
}

/** Inside a visit the machine, the day and the writer are known: one touch files it. */
function KeepAtHome({ keepable, home }: { keepable: Keepable; home: CalculatorHome }) {
  const { person } = useWriter();
  const setting = useBench();
  const [problem, setProblem] = useState<string | null>(null);
  const keep = async () => {
    const beside = home.beside?.() ?? { fields: {} };
    if ('error' in beside || !person) {
      setProblem('error' in beside ? beside.error : NO_WRITER);
      return;
    }
    setProblem(null);
    await home.keep(keepable.kind, { ...filed(keepable, setting), ...beside.fields }, `${keepable.summary}.`);
  };
  return (
    <div className="my-4">
      {problem && (
        <p role="alert" className="mb-2 font-semibold text-brick">
          {problem}
        </p>
      )}
      <ApiError error={home.problem} />
      <Button weight="main" onClick={() => void keep()}>
        {home.keepWords}
      </Button>
    </div>
  );
}

function KeepAnywhere({ keepable }: { keepable: Keepable }) {
  const [open, setOpen] = useState(false);
  const [machineId, setMachineId] = useState<string | null>(null);
  const close = () => {
    setOpen(false);
    setMachineId(null);
  };
  return (
    <div className="my-4">
      <Button weight="main" onClick={() => setOpen(true)}>
        Keep this
      </Button>
      {open && machineId === null && (
        <Dialog title="Keep this" subtitle="With which machine?" onClose={close}>
          <MachinePicker onPick={setMachineId} />
        </Dialog>
      )}
      {open && machineId !== null && <WithMachine id={machineId} keepable={keepable} onClose={close} />}
    </div>
  );
}

function WithMachine({ id, keepable, onClose }: { id: string; keepable: Keepable; onClose: () => void }) {
  const query = useMachine(id);
  const today = useToday(query.data?.site.timezone);
  if (query.data && today !== null)
    return <KeepForm machine={query.data} today={today} keepable={keepable} onClose={onClose} />;
  return (
    <Dialog title="Keep this" onClose={onClose}>
      <Loaded query={query}>{() => null}</Loaded>
    </Dialog>
  );
}

function KeepForm({
  machine,
  today,
  keepable,
  onClose,
}: {
  machine: Machine;
  today: Day;
  keepable: Keepable;
  onClose: () => void;
}) {
  const { person } = useWriter();
  const { refrigerant, altitudeM } = useBench();
  const { error, writing, save: write } = useWrite();
  const [on, setOn] = useState(() => dayText(today));
  const [note, setNote] = useState('');
  const save = () => {
    if (!person) return;
    const entry = {
      id: uuidv7(),
      kind: keepable.kind,
      applianceId: machine.appliance.id,
      on,
      by: person.id,
      note: note.trim() === '' ? null : note,
      ...filed(keepable, { refrigerant, altitudeM }),
    } as Entry;
    void write({
      name: `bench ${machine.appliance.id} ${keepable.tool}`,
      entries: [entry],
      words: `Kept in the logbook of ${machine.appliance.name}.`,
      known: machine.entries,
    }).then((saved) => {
      if (!saved) return;
      rememberMachine(machine.appliance.id);
      onClose();
    });
  };
  return (
    <Dialog
      title="Keep this"
      subtitle={`${machine.appliance.name} · ${machine.site.name}`}
      onClose={onClose}
      footer={<SaveBar words="Keep" saving={{ error, isPending: writing }} onSave={save} />}
    >
      <p className="mb-1 text-soft">{KINDS[keepable.kind].name}</p>
      <p className="mb-4 border-l-4 border-green pl-3 font-semibold">{keepable.summary}</p>
      <TextField
        label="Day"
        type="date"
        max={dayText(today)}
        value={on}
        onChange={(event) => setOn(event.target.value)}
      />
      <TextArea label="Note" optional value={note} onChange={(event) => setNote(event.target.value)} />
      <WriterField />
    </Dialog>
  );
}
