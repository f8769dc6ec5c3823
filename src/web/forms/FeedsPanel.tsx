/** What feeds what: the tag on the roof, the names on the doors, who else cools them, and the circuits of one machine. */
import { useState } from 'react';
import { Link } from 'react-router';
import { v7 as uuidv7 } from 'uuid';
import type { Appliance } from '../../core/logbook/tables';
import { machineAsNamedToday } from '../../core/logbook/olderNames';
import { type Feeds, feeds, tagOf } from '../../core/visit/feeds';
import { useWriter } from '../data/device/writer';
import { useChangeRows, useMachinesOfSite } from '../data/api/queries';
import { WriterField } from './WriterField';
import { Button } from '../parts/Button';
import { CheckField, TextField } from '../parts/Field';
import { Section } from '../parts/Page';
import { SaveBar } from './SaveBar';
import { rowsOf } from '../parts/Pages';
import { Dialog } from '../parts/Dialog';
import type { MachineView } from '../data/api/machineView';

export function FeedsPanel({ view }: { view: MachineView }) {
  const { appliance, spaces } = view.machine;
  const neighbours = rowsOf(useMachinesOfSite(appliance.siteId)).map((row) => row.appliance);
  const [changing, setChanging] = useState(false);
  const fed = feeds(appliance, spaces, neighbours);
  return (
    <Section
      title="What feeds what"
      aside={
        <Button weight="quiet" className="px-0" onClick={() => setChanging(true)}>
          Change
        </Button>
      }
    >
      <Fed fed={fed} name={appliance.name} />
      {changing && <FeedsDialog view={view} onClose={() => setChanging(false)} />}
    </Section>
  );
}

const MachineLinks = ({ machines }: { machines: readonly Appliance[] }) =>
  machines.map((each) => (
    <Link
      key={each.id}
      to={`/machines/${encodeURIComponent(each.id)}`}
      className="mr-2 text-green underline underline-offset-4"
    >
      {each.name}
    </Link>
  ));

function Fed({ fed: { tag, spaces, circuits }, name }: { fed: Feeds; name: string }) {
  return (
    <>
      {tag && tag !== name && (
        <p>
          At the unit it is tagged <span className="font-semibold">{tag}</span>.
        </p>
      )}
      {spaces.length === 0 && <p className="text-soft">No cooled space is on record for it.</p>}
      <ul>
        {spaces.map(({ space, alsoCooledBy }) => (
          <li key={space.id} className="py-0.5">
            <span className="font-semibold">{space.name}</span>
            {alsoCooledBy.length > 0 && (
              <>
                {' '}
                <span className="text-soft">also cooled by</span> <MachineLinks machines={alsoCooledBy} />
              </>
            )}
          </li>
        ))}
      </ul>
      {spaces.length > 1 && (
        <p className="text-soft">Two warm boxes on one unit point to the unit, not to a coil.</p>
      )}
      {circuits.length > 0 && (
        <p>
          Other circuits of this machine, each an appliance of its own: <MachineLinks machines={circuits} />
        </p>
      )}
    </>
  );
}

function FeedsDialog({ view, onClose }: { view: MachineView; onClose: () => void }) {
  const { appliance, spaces, site } = view.machine;
  const change = useChangeRows();
  const { person } = useWriter();
  const [made] = useState(() => new Map<string, string>());
  // A name keeps its id however often it is sent.
  const spaceId = (name: string): string => {
    const id = made.get(name) ?? uuidv7();
    made.set(name, id);
    return id;
  };
  const [served, setServed] = useState<readonly string[]>(appliance.serves ?? []);
  const [names, setNames] = useState('');
  const [tag, setTag] = useState(tagOf(appliance) ?? '');
  const [assembly, setAssembly] = useState(appliance.assembly ?? '');
  const save = () => {
    const newSpaces = names
      .split(',')
      .map((each) => each.trim())
      .filter(Boolean)
      .map((name) => ({ id: spaceId(name), siteId: site.id, name }));
    if (!person) return;
    const row = machineAsNamedToday(appliance);
    const changed = {
      ...row,
      serves: [...served, ...newSpaces.map((each) => each.id)],
      tag: tag.trim() || null,
      assembly: assembly.trim() || null,
    };
    change.mutate(
      {
        changes: [
          ...newSpaces.map((each) => ({ table: 'spaces' as const, id: each.id, row: each })),
          { table: 'appliances', id: appliance.id, row: changed },
        ],
        by: person.id,
      },
      { onSuccess: onClose },
    );
  };
  return (
    <Dialog
      title="What feeds what"
      subtitle={`${appliance.name} · ${site.name}`}
      onClose={onClose}
      footer={<SaveBar words="Save" saving={change} onSave={save} />}
    >
      <TextField
        label="Tag at the unit"
        optional
        hint="Where the roof says another name than the door."
        value={tag}
        onChange={(event) => setTag(event.target.value)}
      />
      <p className="font-semibold">Cools</p>
      {spaces.map((space) => (
        <CheckField
          key={space.id}
          label={space.name}
          checked={served.includes(space.id)}
          onChange={(event) =>
            setServed(event.target.checked ? [...served, space.id] : served.filter((id) => id !== space.id))
          }
        />
      ))}
      <TextField
        label="More spaces"
        optional
        hint="Names on the doors, with commas between."
        value={names}
        onChange={(event) => setNames(event.target.value)}
      />
      <TextField
        label="Belongs to"
        optional
        hint="The machine whose circuits these are; each circuit is one machine in law."
        value={assembly}
        onChange={(event) => setAssembly(event.target.value)}
      />
      <WriterField />
    </Dialog>
  );
}
