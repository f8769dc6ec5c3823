/** Sites and machines: search, filters and order by the server, page by page; the rod in each row. */
import { ForWriters } from '../data/api/ForWriters';
import { useDeferredValue, useEffect, useRef, useState } from 'react';
import type { UseQueryResult } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { APPLIANCE_KINDS } from '../../core/logbook/tables';
import { MACHINE_STATES } from '../../core/rules/machineState';
import { useDueCounts, useMachinePages, useSites } from '../data/api/queries';
import { Button } from '../parts/Button';
import { inputShape } from '../parts/Field';
import { Empty, Loaded, Page } from '../parts/Page';
import { rowsOf } from '../parts/Pages';
import { SiteChoice } from '../forms/SiteChoice';
import { KIND_WORDS, STATE_WORDS } from '../../words/codes';
import { type Added, Adding } from '../forms/Adding';
import { MachineTable } from './MachineTable';
import { type Filters, NO_FILTERS, filteredAddress, askedBy, filtersOf, isNarrowed } from './machineFilters';
import { countWords, ofCount } from '../../words/counts';

export default function MachinesPage() {
  const sites = useSites().data?.rows ?? [];
  const [params, setParams] = useSearchParams();
  const [adding, setAdding] = useState<Added>(null);
  // Kept here and only mirrored in the address: an address changes too late for fast typing.
  const [filters, setFilters] = useState<Filters>(() => filtersOf(params));
  const set = (change: Partial<Filters>) => {
    const next = { ...filters, ...change };
    setFilters(next);
    setParams(filteredAddress(next), { replace: true });
  };
  const search = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (params.get('find') !== null) search.current?.focus();
  }, [params]);

  return (
    <Page
      title="Machines"
      actions={
        <ForWriters>
          <Button onClick={() => setAdding('site')}>Add a site</Button>
        </ForWriters>
      }
      main={
        <ForWriters>
          <Button weight="main" onClick={() => setAdding('machine')}>
            Add a machine
          </Button>
        </ForWriters>
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
        <SiteChoice label="Site" none="All sites" value={filters.site} onChange={(site) => set({ site })} />
        <Filter
          label="Show only"
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
      <Found
        filters={filters}
        onSort={(sort, descending) => set({ sort, descending })}
        onClear={() => set({ ...NO_FILTERS, sort: filters.sort, descending: filters.descending })}
        onAdd={() => setAdding(sites.length === 0 ? 'site' : 'machine')}
      />
      <Adding what={adding} site={filters.site} onChange={setAdding} />
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
  filters,
  onSort,
  onClear,
  onAdd,
}: {
  filters: Filters;
  onSort: (sort: Filters['sort'], descending: boolean) => void;
  onClear: () => void;
  onAdd: () => void;
}) {
  const pages = useMachinePages(askedBy(useDeferredValue(filters)));
  const first = pages.data?.pages[0];
  const left = useDueCounts(null).data?.left ?? 0;
  if (!first) return <Loaded query={pages as unknown as UseQueryResult<never>}>{() => null}</Loaded>;
  const rows = rowsOf(pages, ({ appliance }) => appliance.id);
  if (rows.length === 0 && !isNarrowed(filters) && first.retired === 0) {
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
  if (rows.length === 0) {
    return (
      <Empty title="No machine fits">
        <p>Nothing has these words and filters together.{retiredWords(first.retired)}</p>
        <Button className="mt-4" onClick={onClear}>
          Clear search and filters
        </Button>
      </Empty>
    );
  }
  return (
    <>
      <p className="mb-1 text-soft" role="status">
        {`${first.more ? 'More than ' : ''}${countWords(first.count, 'machine')}${isNarrowed(filters) ? ofCount(first.count, ' fits', ' fit') : ''}${retiredWords(first.retired)}`}
        {left > 0 && (
          <span className="text-ochre">
            {' '}
            ◐ {left.toLocaleString('en-US')} of the company’s machines are still being judged for today; their
            order may change.
          </span>
        )}
      </p>
      <MachineTable
        rows={rows}
        count={first.more ? null : first.count}
        sort={filters.sort}
        descending={filters.descending}
        onSort={onSort}
        pages={pages}
      />
    </>
  );
}

const retiredWords = (retired: number | null): string =>
  retired === null || retired === 0
    ? ''
    : `; ${retired.toLocaleString('en-US')} retired, under the state “retired”`;
