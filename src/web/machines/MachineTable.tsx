/** The machines as rows; only those in view are in the document, and the next page comes before its rows are. Headings sort. */
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { createColumnHelper, getCoreRowModel, useReactTable } from '@tanstack/react-table';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import type { MachineRow, MachineSort } from '../../contract/machines';
import { massText } from '../../core/quantity/mass';
import { MoreRows } from '../parts/Pages';
import { RodDrawing } from '../parts/Rod';
import { MachineMark } from '../parts/StateMark';
import { KIND_WORDS, OBLIGATION_WORDS } from '../../words/codes';
import { dateWords } from '../../words/dates';
import { rodWords } from '../../words/rod';
import type { useMachinePages } from '../data/api/queries';
import { gasNameOf } from '../../words/gas';

const column = createColumnHelper<MachineRow>();
const HEADINGS: Record<MachineSort, string> = {
  state: 'State',
  name: 'Machine',
  site: 'Site',
  charge: 'Gas',
  room: 'Room today',
  due: 'Next due',
};
const COLUMNS = Object.entries(HEADINGS).map(([id, header]) =>
  column.display({ id, header, enableSorting: true }),
);

const GRID = 'md:grid-cols-[7.2rem_minmax(0,1.3fr)_minmax(0,1fr)_7rem_11rem_minmax(0,9.5rem)]';
const ROW_HEIGHT = 72;
/** The next page is asked for when so few rows are left beneath the last one in view. */
const ROWS_AHEAD = 15;

export function MachineTable({
  rows,
  count,
  sort,
  descending,
  onSort,
  pages,
}: {
  rows: MachineRow[];
  /** how many there are with those that are not read yet; null: not known */
  count: number | null;
  sort: MachineSort;
  descending: boolean;
  onSort: (sort: MachineSort, descending: boolean) => void;
  pages: ReturnType<typeof useMachinePages>;
}) {
  const table = useReactTable({
    data: rows,
    columns: COLUMNS,
    state: { sorting: [{ id: sort, desc: descending }] },
    manualSorting: true,
    getCoreRowModel: getCoreRowModel(),
  });
  const list = useRef<HTMLDivElement>(null);
  const virtual = useWindowVirtualizer({
    count: rows.length,
    estimateSize: () => ROW_HEIGHT,
    overscan: 8,
    scrollMargin: list.current?.offsetTop ?? 0,
  });
  const items = virtual.getVirtualItems();
  const nearEnd = (items.at(-1)?.index ?? 0) >= rows.length - ROWS_AHEAD;
  const { hasNextPage, isFetching, isFetchNextPageError, fetchNextPage } = pages;
  useEffect(() => {
    if (nearEnd && hasNextPage && !isFetching && !isFetchNextPageError) void fetchNextPage();
  }, [nearEnd, hasNextPage, isFetching, isFetchNextPageError, fetchNextPage]);
  return (
    <div>
      <div role="group" aria-label="Sort by" className={`rule-b hidden gap-x-4 md:grid ${GRID}`}>
        {table.getFlatHeaders().map(({ id, column: { columnDef } }) => (
          <div key={id}>
            <button
              type="button"
              aria-pressed={id === sort}
              className="min-h-11 cursor-pointer text-left font-semibold text-soft"
              onClick={() => onSort(id as MachineSort, id === sort && !descending)}
            >
              {columnDef.header as string}
              {id !== sort ? '' : descending ? ' ↓' : ' ↑'}
            </button>
          </div>
        ))}
      </div>
      <div
        ref={list}
        role="list"
        aria-label="Machines"
        style={{ height: virtual.getTotalSize(), position: 'relative' }}
      >
        {items.map((item) => {
          const row = rows[item.index];
          if (!row) return null;
          return (
            <div
              key={row.appliance.id}
              ref={virtual.measureElement}
              data-index={item.index}
              role="listitem"
              aria-setsize={count ?? -1}
              aria-posinset={item.index + 1}
              className="absolute inset-x-0 top-0"
              style={{ transform: `translateY(${String(item.start - virtual.options.scrollMargin)}px)` }}
            >
              <MachineLine row={row} />
            </div>
          );
        })}
      </div>
      <MoreRows pages={pages} words="Show more machines" />
    </div>
  );
}

function MachineLine({ row: { appliance, siteName, summary, massSystem } }: { row: MachineRow }) {
  return (
    <Link
      to={`/machines/${encodeURIComponent(appliance.id)}`}
      className={`rule-b grid grid-cols-2 items-center gap-x-4 gap-y-0.5 py-2.5 ${GRID}`}
    >
      <div className="order-2 justify-self-end md:order-none md:justify-self-start">
        <MachineMark state={summary.state} />
      </div>
      <div className="order-1 min-w-0 md:order-none">
        <p className="break-words font-semibold">{appliance.name}</p>
        <p className="text-[0.93rem] text-soft">{KIND_WORDS[appliance.kind]}</p>
      </div>
      <div className="order-3 min-w-0 text-soft md:order-none md:text-ink">{siteName}</div>
      <div className="order-4 justify-self-end md:order-none md:justify-self-start">
        {gasNameOf(summary.refrigerant)}
        <span className="block text-[0.93rem] text-soft">
          {summary.fullChargeGrams === null ? 'not known' : massText(summary.fullChargeGrams, massSystem)}
        </span>
      </div>
      <div className="order-5 md:order-none">
        <RodDrawing rod={summary.rod} system={massSystem} />
        <p className="text-[0.93rem] text-balance">{rodWords(summary.rod, massSystem)}</p>
      </div>
      <div className="order-6 justify-self-end text-right md:order-none md:justify-self-start md:text-left">
        {summary.nextDue ? (
          <>
            {dateWords(summary.nextDue.due)}
            <span className="block text-[0.93rem] text-soft">{OBLIGATION_WORDS[summary.nextDue.kind]}</span>
          </>
        ) : (
          <span className="text-soft">
            {summary.unjudged ? 'cannot be judged' : summary.state === 'retired' ? 'retired' : 'nothing due'}
          </span>
        )}
      </div>
    </Link>
  );
}
