/** The machines as rows; only those in view are in the document. Headings sort. */
import { useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import {
  type SortingState,
  createColumnHelper,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
} from '@tanstack/react-table';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import type { MachineRow } from '../../contract/api';
import { massText } from '../../core/quantity/mass';
import { MACHINE_STATES } from '../../core/rules/summary';
import { RodDrawing } from '../parts/Rod';
import { MachineMark } from '../parts/StateMark';
import { KIND_WORDS, OBLIGATION_WORDS } from '../words/codes';
import { dateWords } from '../words/dates';
import { rodWords } from '../words/rod';
import type { ObligationKind } from '../../core/rules/obligation';

const column = createColumnHelper<MachineRow>();
const freeShare = ({ summary: { rod } }: MachineRow): number =>
  rod.limit
    ? rod.freeGrams / rod.allowanceGrams -
      (rod.exceeded ? rod.exceeded.percent / rod.exceeded.limitPercent : 0)
    : 2;

const COLUMNS = [
  column.accessor((row) => MACHINE_STATES.indexOf(row.summary.state), { id: 'state', header: 'State' }),
  column.accessor((row) => row.appliance.name, { id: 'name', header: 'Machine', sortingFn: 'alphanumeric' }),
  column.accessor((row) => row.siteName, { id: 'site', header: 'Site', sortingFn: 'text' }),
  column.accessor((row) => row.summary.fullChargeGrams ?? -1, { id: 'charge', header: 'Gas' }),
  column.accessor(freeShare, { id: 'rod', header: 'Room today', sortDescFirst: false }),
  column.accessor((row) => row.summary.nextDue?.due ?? '9999', {
    id: 'due',
    header: 'Next due',
    sortDescFirst: false,
  }),
];

const GRID = 'md:grid-cols-[7.2rem_minmax(0,1.3fr)_minmax(0,1fr)_7rem_11rem_minmax(0,9.5rem)]';
const ROW_HEIGHT = 72;

export function MachineTable({ rows }: { rows: MachineRow[] }) {
  const [sorting, setSorting] = useState<SortingState>([{ id: 'state', desc: false }]);
  const data = useMemo(() => rows, [rows]);
  const table = useReactTable({
    data,
    columns: COLUMNS,
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  const sorted = table.getRowModel().rows;
  const list = useRef<HTMLDivElement>(null);
  const virtual = useWindowVirtualizer({
    count: sorted.length,
    estimateSize: () => ROW_HEIGHT,
    overscan: 8,
    scrollMargin: list.current?.offsetTop ?? 0,
  });
  return (
    <div>
      <div role="group" aria-label="Sort by" className={`rule-b hidden gap-x-4 md:grid ${GRID}`}>
        {table.getFlatHeaders().map((header) => (
          <div key={header.id}>
            <button
              type="button"
              className="min-h-11 cursor-pointer text-left font-semibold text-soft"
              onClick={header.column.getToggleSortingHandler()}
            >
              {header.column.columnDef.header as string}
              {{ asc: ' ↑', desc: ' ↓', none: '' }[header.column.getIsSorted() || 'none']}
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
        {virtual.getVirtualItems().map((item) => {
          const row = sorted[item.index];
          if (!row) return null;
          return (
            <div
              key={row.id}
              ref={virtual.measureElement}
              data-index={item.index}
              role="listitem"
              aria-setsize={sorted.length}
              aria-posinset={item.index + 1}
              className="absolute inset-x-0 top-0"
              style={{ transform: `translateY(${String(item.start - virtual.options.scrollMargin)}px)` }}
            >
              <MachineLine row={row.original} />
            </div>
          );
        })}
      </div>
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
        {summary.refrigerant}
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
            <span className="block text-[0.93rem] text-soft">
              {OBLIGATION_WORDS[summary.nextDue.kind as ObligationKind]}
            </span>
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
