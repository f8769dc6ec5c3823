/** A new machine: one refrigerant circuit, the cooled spaces it serves, the assembly it belongs to, its charge. */
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { bareUnit, massSystemOf } from '../../core/rules/massSystem';
import { dayOf } from '../../core/quantity/day';
import type { Values } from '../../record/field';
import { faultyLabels } from '../../record/formValues';
import { placeOf } from '../../record/place';
import { ROW_PLACE } from '../../record/rows/rowValues';
import { useAddMachine, useSite, useSites, useToday } from '../data/api/queries';
import { useWriter } from '../data/device/writer';
import { Button } from '../parts/Button';
import { Fold } from '../parts/Fold';
import { Dialog } from '../parts/Dialog';
import { FIRST, MORE, freshMachine, makeIds, newMachineOf } from './addMachineForm';
import { Fields, applying, namesOf } from './Fields';
import { Refused } from './Refused';
import { SaveBar } from './SaveBar';
import { useRefusal } from './useRefusal';
import { WriterField } from './WriterField';

export function AddMachine({
  onClose,
  initialSite,
  onAddSite,
}: {
  onClose: () => void;
  initialSite: string;
  onAddSite: () => void;
}) {
  const sites = useSites().data?.rows ?? [];
  if (sites.length === 0) {
    return (
      <Dialog title="Add a machine" onClose={onClose}>
        <p className="mb-4">A machine stands at a site. Add the site first.</p>
        <Button weight="main" onClick={onAddSite}>
          Add a site
        </Button>
      </Dialog>
    );
  }
  // Of several sites only a person knows which.
  const only = sites.length === 1 ? (sites[0]?.id ?? '') : '';
  return <MachineDialog initialSite={initialSite || only} onClose={onClose} />;
}

function MachineDialog({ onClose, initialSite }: { onClose: () => void; initialSite: string }) {
  const { person } = useWriter();
  const add = useAddMachine();
  const navigate = useNavigate();
  // Made once: a second try after a lost answer adds nothing twice.
  const [ids] = useState(makeIds);
  const [values, setValues] = useState<Values>(() => freshMachine(initialSite));
  const refusal = useRefusal();
  const siteId = String(values['siteId'] ?? '');
  const site = useSite(siteId === '' ? null : siteId).data;
  const today = useToday(site?.timezone);
  const place = site ? placeOf(bareUnit(massSystemOf(site)), site) : { ...ROW_PLACE, mass: 'lb' as const };
  const waits = siteId !== '' && today === null;
  const { machine, errors } = newMachineOf(values, {
    ids,
    by: person?.id ?? null,
    // Before the site is chosen nobody knows its day; saving waits for it.
    today: today ?? dayOf('9999-12-31'),
    place,
  });
  const shown = refusal.tried ? errors : {};
  const save = () => {
    refusal.try();
    if (!machine || today === null) return;
    // The page beneath may change as soon as there is a machine, and this sheet go with it: go there all the same.
    add.mutateAsync(machine).then(
      () => void navigate(`/machines/${machine.appliance.id}`),
      () => undefined, // its error stands in the sheet
    );
  };
  const asFields = {
    values,
    errors: shown,
    place,
    machine: null,
    onAnswer: (key: string, value: unknown) => setValues({ ...values, [key]: value }),
  };
  return (
    <Dialog
      title="Add a machine"
      subtitle="One refrigerant circuit"
      onClose={onClose}
      footer={
        <SaveBar
          words={waits ? 'Reading the site…' : 'Save the machine'}
          saving={add}
          waits={waits}
          onSave={save}
        >
          <Refused labels={faultyLabels({ fields: [...FIRST, ...MORE] }, shown)} />
        </SaveBar>
      }
    >
      <form
        id={refusal.form}
        onSubmit={(event) => {
          event.preventDefault();
          if (!waits) save();
        }}
      >
        <Fields {...asFields} fields={FIRST} />
        <Fold title="More" about={namesOf(applying(MORE, values))}>
          <Fields {...asFields} fields={MORE} />
        </Fold>
        <WriterField />
        <button type="submit" hidden aria-hidden="true" tabIndex={-1} />
      </form>
    </Dialog>
  );
}
