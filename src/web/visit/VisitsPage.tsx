/** Visits: those that go on, each where it was left, and those that were handed over. */
import { ForWriters } from '../data/api/ForWriters';
import { useDeferredValue, useState } from 'react';
import type { UseQueryResult } from '@tanstack/react-query';
import { ArrowRight } from 'lucide-react';
import { Link, useSearchParams } from 'react-router';
import type { VisitRow } from '../../contract/api';
import { dayOf } from '../../core/quantity/day';
import { useWriter } from '../data/device/writer';
import { useMachine, useToday, useVisitPages, useVisitsOf } from '../data/api/queries';
import { WriterField } from '../forms/WriterField';
import { ApiError } from '../forms/ApiError';
import { Button } from '../parts/Button';
import { SearchInput } from '../parts/SearchInput';
import { MachinePicker } from '../forms/MachinePicker';
import { Empty, Loaded, Page, Section } from '../parts/Page';
import { Dialog } from '../parts/Dialog';
import { dateWords, dayWords } from '../../words/dates';
import type { Step } from '../../core/visit/steps';
import { stepFrom, visitAddress } from '../data/addresses/visitAddress';
import { useBegin } from './useBegin';
import { countWords } from '../../words/counts';

interface Together {
  visitId: string;
  rows: VisitRow[];
}

/** A visit to several machines is one row. */
function together(rows: readonly VisitRow[]): Together[] {
  const visits = new Map<string, Together>();
  for (const row of rows) {
    const known = visits.get(row.visitId);
    if (known) known.rows.push(row);
    else visits.set(row.visitId, { visitId: row.visitId, rows: [row] });
  }
  return [...visits.values()];
}

export default function VisitsPage() {
  const [text, setText] = useState('');
  const query = useVisitPages(useDeferredValue(text));
  const visits = together(query.data?.pages.flatMap((page) => page.rows) ?? []);
  const open = visits.filter((visit) => visit.rows.some((row) => !row.handedOver));
  const handed = visits.filter((visit) => visit.rows.every((row) => row.handedOver));
  const [params, setParams] = useSearchParams();
  const beginning = params.get('begin') !== null;
  const begin = () => setParams({ begin: '' });
  return (
    <Page
      title="Visits"
      subtitle="From driving there to handing over; left and come back to, on any device."
      main={
        <ForWriters>
          <Button weight="main" onClick={begin}>
            Begin a visit
          </Button>
        </ForWriters>
      }
    >
      <SearchInput
        label="Search visits"
        placeholder="Machine or site"
        className="mb-3"
        value={text}
        onChange={setText}
      />
      {query.data ? (
        <>
          <Section title="Going on">
            {open.length === 0 ? (
              text === '' ? (
                <Empty title="No visit is going on">
                  Begin one before you drive: it shows what the history says and what to pack, and keeps
                  everything that you record, step by step.
                </Empty>
              ) : (
                <p className="text-soft">None of these words.</p>
              )
            ) : (
              <ul>
                {open.map((visit) => (
                  <VisitItem key={visit.visitId} visit={visit} />
                ))}
              </ul>
            )}
          </Section>
          {handed.length > 0 && (
            <Section title="Handed over">
              <ul>
                {handed.map((visit) => (
                  <VisitItem key={visit.visitId} visit={visit} />
                ))}
              </ul>
            </Section>
          )}
          {query.hasNextPage && (
            <Button disabled={query.isFetchingNextPage} onClick={() => void query.fetchNextPage()}>
              {query.isFetchingNextPage ? 'Reading…' : 'Show earlier visits'}
            </Button>
          )}
        </>
      ) : (
        <Loaded query={query as UseQueryResult<never>}>{() => null}</Loaded>
      )}
      {beginning && (
        <BeginDialog
          machine={params.get('machine')}
          step={stepFrom(params.get('step') ?? undefined)}
          onClose={() => setParams({})}
        />
      )}
    </Page>
  );
}

function VisitItem({ visit: { visitId, rows } }: { visit: Together }) {
  const { people } = useWriter();
  const [first] = rows;
  if (!first) return null;
  const from = rows.reduce((least, row) => (row.from < least ? row.from : least), first.from);
  const to = rows.reduce((last, row) => (row.to > last ? row.to : last), first.to);
  const days = dayOf(first.today) - dayOf(to);
  const by = people.find((person) => person.id === first.by)?.name ?? first.by;
  return (
    <li className="rule-b py-3">
      <p className="text-soft">
        {first.siteName} · {by} · {from === to ? dateWords(from) : `${dateWords(from)} to ${dateWords(to)}`}
      </p>
      <ul className="flex flex-wrap gap-x-6">
        {rows.map((row) => (
          <li key={row.applianceId}>
            <Link
              to={visitAddress(visitId, row.applianceId, row.handedOver ? 'handOver' : 'arrive')}
              className="inline-flex min-h-11 items-center gap-2 font-semibold text-green underline underline-offset-4"
            >
              {row.machineName}
              <ArrowRight aria-hidden="true" size={18} />
            </Link>{' '}
            <span className="text-soft">
              {row.handedOver ? 'handed over' : `${countWords(row.entries, 'entry', 'entries')} recorded`}
            </span>
          </li>
        ))}
      </ul>
      {!first.handedOver && days > 1 && <p className="text-ochre">◐ Nothing was written for {days} days.</p>}
    </li>
  );
}

function BeginDialog({
  machine,
  step,
  onClose,
}: {
  machine: string | null;
  step: Step;
  onClose: () => void;
}) {
  const [machineId, setMachineId] = useState(machine);
  return (
    <Dialog title="Begin a visit" subtitle="To which machine? Others of the site can join." onClose={onClose}>
      {machineId === null ? (
        <MachinePicker onPick={setMachineId} />
      ) : (
        <Beginning machineId={machineId} step={step} />
      )}
    </Dialog>
  );
}

/** A visit to this machine that goes on is gone on with, not begun again. */
function GoingOn({ machineId, step }: { machineId: string; step: Step }) {
  const open = (useVisitsOf(machineId).data?.rows ?? []).find((row) => !row.handedOver);
  if (!open) return null;
  return (
    <p className="mb-3 border-l-4 border-green pl-3">
      A visit of {dateWords(open.from)} goes on here.{' '}
      <Link
        className="inline-flex min-h-11 items-center font-semibold text-green underline underline-offset-4"
        to={visitAddress(open.visitId, machineId, step)}
      >
        Go on with it
      </Link>
    </p>
  );
}

function Beginning({ machineId, step }: { machineId: string; step: Step }) {
  const query = useMachine(machineId);
  const today = useToday(query.data?.site.timezone);
  const { begin, person, beginning, error } = useBegin();
  return (
    <Loaded query={query}>
      {({ appliance, site }) => (
        <>
          <p className="mb-3">
            <span className="text-xl font-bold">{appliance.name}</span> · {site.name}
            {today !== null && <span className="block text-soft">{dayWords(today)}</span>}
          </p>
          <GoingOn machineId={machineId} step={step} />
          <WriterField />
          <ApiError error={error} />
          <Button
            weight="main"
            className="mt-3 w-full"
            disabled={!person || today === null || beginning}
            onClick={() => today !== null && begin(machineId, today, undefined, step)}
          >
            {beginning ? 'Beginning…' : 'Begin'}
          </Button>
        </>
      )}
    </Loaded>
  );
}
