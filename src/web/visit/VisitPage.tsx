/** A visit: the strip of steps at the left, the step's tool in the middle, the clipboard at the right. */
import { useIsFetching } from '@tanstack/react-query';
import { useLayoutEffect, useState } from 'react';
import { Plus } from 'lucide-react';
import { Link, useParams } from 'react-router';
import clsx from 'clsx';
import type { VisitRow } from '../../contract/api';
import { dayText, parseDay } from '../../core/quantity/day';
import { grams, massText } from '../../core/quantity/mass';
import { useMachinesOfSite, useVisitRows } from '../data/api/queries';
import { useMachineView } from '../data/api/machineView';
import { TextField } from '../parts/Field';
import { Loaded, Page } from '../parts/Page';
import { LoadedPages } from '../parts/Pages';
import { Dialog } from '../parts/Dialog';
import { dayWords } from '../../words/dates';
import { STEP_WORDS } from '../../words/steps';
import { stepFrom, visitAddress } from '../data/addresses/visitAddress';
import { Clipboard, ClipboardButton } from './Clipboard';
import { Cautions, Guards } from './panels/Guards';
import { PhotoButton } from './photos/PhotoButton';
import { FoldPair } from '../parts/Fold';
import { WaysOfWorking } from './panels/WayOfWorkingPick';
import { StepButton, Strip } from './Strip';
import { WithStepBar } from './StepBar';
import { STEP_SCREENS } from './steps/stepScreens';
import { useBegin } from './useBegin';
import { VisitProvider, useVisit } from './visitContext';
import { gasNameOf, gasWords } from '../../words/gas';

export default function VisitPage() {
  const { visitId = '', machineId = '', step } = useParams();
  const { query, view } = useMachineView(machineId);
  if (!view) {
    return (
      <Page title="Visit">
        <Loaded query={query}>{() => null}</Loaded>
      </Page>
    );
  }
  return (
    <VisitProvider key={`${visitId} ${machineId}`} visitId={visitId} step={stepFrom(step)} view={view}>
      <Laid />
    </VisitProvider>
  );
}

function Laid() {
  const { step, view, record, day } = useVisit();
  const { appliance, site } = view.machine;
  const { present } = view.standing;
  const StepScreen = STEP_SCREENS[step];
  // What is fetched again in the background is there already.
  const waits = useIsFetching({ predicate: ({ state }) => state.data === undefined }) > 0;
  // The next step begins at its top, wherever the last one was left.
  useLayoutEffect(() => {
    window.scrollTo(0, 0);
  }, [step]);
  return (
    <div className="lg:grid lg:min-h-screen lg:grid-cols-[12.5rem_minmax(0,1fr)] xl:grid-cols-[12.5rem_minmax(0,1fr)_19rem]">
      <div className="hidden border-r border-line lg:block">
        <div className="sticky top-0 max-h-screen overflow-y-auto px-4 py-4">
          <Strip />
        </div>
      </div>
      <main
        aria-busy={waits}
        className="min-w-0 px-4 pb-[4.1rem] pt-2 sm:px-7 lg:pb-0 lg:pt-4 [&_section.mb-8]:mb-3"
      >
        <Machines at="top" />
        <header className="flex items-center justify-between gap-x-3">
          <p className="min-w-0 leading-tight">
            <Link
              to={`/machines/${encodeURIComponent(appliance.id)}`}
              className="inline-flex min-h-8 items-center font-bold text-green underline underline-offset-4"
            >
              {appliance.name}
            </Link>
            <span className="text-soft max-lg:hidden">, {site.name}</span>
            <span className="text-soft max-lg:block">
              <span className="max-lg:hidden"> · </span>
              {gasWords(present.refrigerant)}
              {present.fullCharge !== null && `, ${massText(grams(present.fullCharge), view.system)}`}
            </span>
            {record.handedOver && <span className="font-semibold"> · handed over</span>}
          </p>
          <div className="no-print flex shrink-0 gap-1">
            <PhotoButton />
            <ClipboardButton />
          </div>
        </header>
        <StepButton />
        <div className="mb-1 flex flex-wrap items-baseline justify-between gap-x-3">
          <h1>{STEP_WORDS[step].title}</h1>
          <p className="flex-1 text-soft max-lg:sr-only">{STEP_WORDS[step].about}</p>
          <DayLine />
        </div>
        <WithStepBar>
          <Guards />
          <StepScreen key={`${step} ${String(day)}`} />
          <FoldPair>
            <Cautions />
            <WaysOfWorking />
          </FoldPair>
          <Machines at="foot" />
        </WithStepBar>
      </main>
      <Clipboard />
    </div>
  );
}

/** The day that entries are written for; another than today is for paper of last week, and says so. */
function DayLine() {
  const { day, setDay, view } = useVisit();
  const [open, setOpen] = useState(false);
  const past = day !== view.today;
  return (
    <div className="no-print">
      <button
        type="button"
        className={clsx(
          'cursor-pointer text-left',
          past ? 'min-h-11 font-semibold text-ochre' : 'min-h-8 text-soft',
        )}
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        {past ? `◐ Written for ${dayWords(day)}, not today` : 'today'}{' '}
        <span className="text-green underline underline-offset-4">change</span>
      </button>
      {open && (
        <div className="max-w-52">
          <TextField
            label="Day of the work"
            type="date"
            max={dayText(view.today)}
            value={dayText(day)}
            onChange={(event) => {
              const chosen = parseDay(event.target.value);
              if (chosen !== null && chosen <= view.today) setDay(chosen);
            }}
          />
        </div>
      )}
    </div>
  );
}

const chip =
  'inline-flex min-h-11 shrink-0 cursor-pointer items-center gap-1 rounded px-3 no-underline whitespace-nowrap';

/** Machines of this visit; others of the site can join. With one machine only, a phone has this at the foot of the step. */
function Machines({ at }: { at: 'top' | 'foot' }) {
  const { visitId, view, step } = useVisit();
  const visits = useVisitRows(visitId).data;
  const [adding, setAdding] = useState(false);
  // In one order, whichever was written last.
  const rows: readonly VisitRow[] = (visits?.rows ?? []).toSorted((a, b) =>
    a.machineName.localeCompare(b.machineName, undefined, { numeric: true }),
  );
  const { appliance } = view.machine;
  const many = rows.length > 1;
  // Where one thinks of another machine: on arriving, and when this one is done.
  const asked = ['before', 'arrive', 'handOver'].includes(step);
  const shown =
    at === 'top' ? (many ? 'flex' : 'hidden lg:flex') : many || !asked ? 'hidden' : 'flex lg:hidden';
  return (
    <div
      className={clsx('no-print mb-1 flex-wrap items-center gap-1', shown)}
      aria-label="Machines of this visit"
      role="group"
    >
      {many &&
        rows.map((row) => (
          <Link
            key={row.applianceId}
            to={visitAddress(visitId, row.applianceId, step)}
            aria-current={row.applianceId === appliance.id ? 'true' : undefined}
            className={clsx(
              chip,
              row.applianceId === appliance.id
                ? 'border-2 border-green font-semibold text-ink'
                : 'border border-soft text-soft',
            )}
          >
            {row.machineName}
          </Link>
        ))}
      <button
        type="button"
        className={clsx(chip, '-ml-3 text-green underline underline-offset-4')}
        onClick={() => setAdding(true)}
      >
        <Plus aria-hidden="true" size={18} /> Another machine of this site
      </button>
      {adding && <AddDialog taken={rows.map((row) => row.applianceId)} onClose={() => setAdding(false)} />}
    </div>
  );
}

function AddDialog({ taken, onClose }: { taken: readonly string[]; onClose: () => void }) {
  const { visitId, view } = useVisit();
  const machines = useMachinesOfSite(view.machine.site.id);
  const { begin, beginning } = useBegin();
  return (
    <Dialog title="Another machine" subtitle={view.machine.site.name} onClose={onClose}>
      <LoadedPages pages={machines} more="Show more machines">
        {(rows) => {
          const others = rows.filter(
            (row) => row.appliance.id !== view.machine.appliance.id && !taken.includes(row.appliance.id),
          );
          return others.length === 0 ? (
            <p className="text-soft">All machines of this site are in the visit.</p>
          ) : (
            <ul>
              {others.map(({ appliance, summary }) => (
                <li key={appliance.id} className="rule-b">
                  <button
                    type="button"
                    disabled={beginning}
                    className="min-h-14 w-full cursor-pointer py-2 text-left"
                    onClick={() => {
                      begin(appliance.id, view.today, visitId);
                      onClose();
                    }}
                  >
                    <span className="font-semibold">{appliance.name}</span>
                    <span className="block text-soft">{gasNameOf(summary.refrigerant)}</span>
                  </button>
                </li>
              ))}
            </ul>
          );
        }}
      </LoadedPages>
    </Dialog>
  );
}
