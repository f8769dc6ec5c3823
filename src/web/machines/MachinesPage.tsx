/** Sites and machines: search, filters, the rod in each row; a long list scrolls through a window. */
import { useEffect, useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { MachineRow } from '../../contract/api';
import { APPLIANCE_KINDS } from '../../core/logbook/tables';
import { MACHINE_STATES } from '../../core/rules/summary';
import { useMachines, useSites } from '../data/queries';
import { Button } from '../parts/Button';
import { inputShape } from '../parts/Field';
import { Empty, Loaded, Page } from '../parts/Page';
import { KIND_WORDS, STATE_WORDS } from '../words/codes';
import { AddMachine } from './AddMachine';
import { AddSite } from './AddSite';
import { MachineTable } from './MachineTable';
import { type Filters, NO_FILTERS, filtered } from './machineFilters';

export function MachinesPage() {
  const machines = useMachines();
  const sites = useSites().data ?? [];
  const [params, setParams] = useSearchParams();
  const [adding, setAdding] = useState<'site' | 'machine' | null>(null);
  // Kept here and only mirrored in the address: an address changes too late for fast typing.
  const [filters, setFilters] = useState<Filters>(() => ({
    text: params.get('q') ?? '',
    site: params.get('site') ?? '',
    kind: params.get('kind') ?? '',
    state: params.get('state') ?? '',
  }));
  const set = (change: Partial<Filters>) => {
    const next = { ...filters, ...change };
    setFilters(next);
    const shown = { q: next.text, site: next.site, kind: next.kind, state: next.state };
    setParams(Object.entries(shown).filter(([, value]) => value !== '') as [string, string][], {
      replace: true,
    });
  };
  const search = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (params.get('find') !== null) search.current?.focus();
  }, [params]);

  return (
    <Page
      title="Machines"
      actions={<Button onClick={() => setAdding('site')}>Add a site</Button>}
      main={
        <Button weight="main" onClick={() => setAdding('machine')}>
          Add a machine
        </Button>
      }
    >
      <div className="mb-3 grid grid-cols-3 gap-2 lg:grid-cols-[minmax(0,1fr)_13rem_10rem_9rem]">
        <input
          ref={search}
          type="search"
          aria-label="Search machines"
          placeholder="Name, site or refrigerant"
          className={`${inputShape} col-span-3 lg:col-span-1`}
          value={filters.text}
          onChange={(event) => set({ text: event.target.value })}
        />
        <Filter
          label="Site"
          all="All sites"
          value={filters.site}
          onChange={(site) => set({ site })}
          choices={sites.map((site) => [site.id, site.name])}
        />
        <Filter
          label="Kind"
          all="All kinds"
          value={filters.kind}
          onChange={(kind) => set({ kind })}
          choices={APPLIANCE_KINDS.map((kind) => [kind, KIND_WORDS[kind]])}
        />
        <Filter
          label="State"
          all="All states"
          value={filters.state}
          onChange={(state) => set({ state })}
          choices={MACHINE_STATES.map((state) => [state, STATE_WORDS[state]])}
        />
      </div>
      <Loaded query={machines}>
        {(rows) => (
          <Found
            rows={rows}
            filters={filters}
            onClear={() => set(NO_FILTERS)}
            onAdd={() => setAdding(sites.length === 0 ? 'site' : 'machine')}
          />
        )}
      </Loaded>
      {adding === 'site' && <AddSite onClose={() => setAdding(null)} />}
      {adding === 'machine' && (
        <AddMachine
          onClose={() => setAdding(null)}
          initialSite={filters.site}
          onAddSite={() => setAdding('site')}
        />
      )}
    </Page>
  );
}

function Filter({
  label,
  all,
  value,
  onChange,
  choices,
}: {
  label: string;
  all: string;
  value: string;
  onChange: (value: string) => void;
  choices: (readonly [string, string])[];
}) {
  return (
    <select
      aria-label={label}
      className={inputShape}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    >
      <option value="">{all}</option>
      {choices.map(([id, words]) => (
        <option key={id} value={id}>
          {words}
        </option>
      ))}
    </select>
  );
}

function Found({
  rows,
  filters,
  onClear,
  onAdd,
}: {
  rows: MachineRow[];
  filters: Filters;
  onClear: () => void;
  onAdd: () => void;
}) {
  const found = useMemo(() => filtered(rows, filters), [rows, filters]);
  const retired = rows.filter(({ summary }) => summary.state === 'retired').length;
  if (rows.length === 0) {
    return (
      <Empty title="No machines yet">
        <p>
          A machine stands at a site and is one refrigerant circuit. Give it a name, what it is charged with
          and how much it holds; from then on every gram is counted against its threshold.
        </p>
        <Button weight="main" className="mt-4" onClick={onAdd}>
          Add the first one
        </Button>
      </Empty>
    );
  }
  if (found.length === 0) {
    return (
      <Empty title="No machine fits">
        <p>Nothing has these words and filters together.</p>
        <Button className="mt-4" onClick={onClear}>
          Clear search and filters
        </Button>
      </Empty>
    );
  }
  return (
    <>
      <p className="mb-1 text-soft" role="status">
        {`${found.length === rows.length ? '' : `${String(found.length)} of `}${String(rows.length)} ${rows.length === 1 ? 'machine' : 'machines'}${retired > 0 && filters.state === '' ? `; ${String(retired)} retired, under the state “retired”` : ''}`}
      </p>
      <MachineTable rows={found} />
    </>
  );
}
