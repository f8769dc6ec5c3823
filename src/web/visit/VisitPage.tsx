/** A visit: the strip of steps at the left, the step's tool in the middle, the clipboard at the right. */
import { useState } from 'react';
import { ArrowLeft, ArrowRight, Plus } from 'lucide-react';
import { Link, useParams } from 'react-router';
import clsx from 'clsx';
import type { VisitRow } from '../../contract/api';
import { dayText, parseDay } from '../../core/quantity/day';
import { STEPS } from '../../core/visit/steps';
import { useMachinesOfSite, useVisitRows } from '../data/queries';
import { useMachineView } from '../data/machineView';
import { ButtonLink } from '../parts/Button';
import { TextField } from '../parts/Field';
import { Loaded, Page } from '../parts/Page';
import { LoadedPages } from '../parts/Pages';
import { Sheet } from '../parts/Sheet';
import { dayWords } from '../../words/dates';
import { STEP_WORDS } from '../../words/steps';
import { stepFrom, visitAddress } from '../data/visitAddress';
import { Clipboard, ClipboardButton } from './Clipboard';
import { Guards } from './panels/Guards';
import { PhotoButton } from './photos/PhotoButton';
import { SchoolPicks } from './panels/SchoolPick';
import { StepButton, Strip } from './Strip';
import { STEP_SCREENS } from './steps/stepScreens';
import { useBegin } from './useBegin';
import { VisitProvider, useVisit } from './visitContext';

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
  const { step, view, visitId, record, day } = useVisit();
  const { appliance, site } = view.machine;
  const StepScreen = STEP_SCREENS[step];
  return (
    <div className="lg:grid lg:min-h-screen lg:grid-cols-[12.5rem_minmax(0,1fr)] xl:grid-cols-[12.5rem_minmax(0,1fr)_19rem]">
      <div className="hidden border-r border-line lg:block">
        <div className="sticky top-0 max-h-screen overflow-y-auto px-4 py-4">
          <Strip />
        </div>
      </div>
      <main className="min-w-0 px-4 pb-40 pt-4 sm:px-7 lg:pb-10">
        <Machines at="top" />
        <StepButton />
        <header className="mb-3 mt-3 flex flex-wrap items-start justify-between gap-x-4 gap-y-2 lg:mt-0">
          <div className="min-w-0 flex-1 basis-56">
            {/* On a phone the button of steps above says it already. */}
            <h1 className="max-lg:sr-only">{STEP_WORDS[step].title}</h1>
            <p className="text-soft">
              <Link
                to={`/machines/${encodeURIComponent(appliance.id)}`}
                className="text-green underline underline-offset-4"
              >
                {appliance.name}
              </Link>
              , {site.name} · {view.standing.present.refrigerant.name},{' '}
              {view.standing.present.refrigerant.safetyClass}
              {record.handedOver && <span className="font-semibold"> · handed over</span>}
            </p>
            <p className="text-soft">{STEP_WORDS[step].about}</p>
          </div>
          <div className="no-print flex flex-wrap gap-2">
            <PhotoButton />
            <ClipboardButton />
          </div>
        </header>
        <DayLine />
        <Guards />
        <StepScreen key={`${step} ${String(day)}`} />
        <SchoolPicks />
        <Onward visitId={visitId} machineId={appliance.id} />
        <Machines at="foot" />
      </main>
      <Clipboard />
    </div>
  );
}

/** Steps are free: before and after this one, at the thumb. */
function Onward({ visitId, machineId }: { visitId: string; machineId: string }) {
  const { step } = useVisit();
  const index = STEPS.indexOf(step);
  const before = STEPS[index - 1];
  const next = STEPS[index + 1];
  return (
    <nav
      aria-label="Step before and step after"
      className="no-print rule-t mt-6 flex justify-between gap-2 pt-4"
    >
      {before ? (
        <ButtonLink weight="quiet" className="-ml-4" to={visitAddress(visitId, machineId, before)}>
          <ArrowLeft aria-hidden="true" size={18} /> {STEP_WORDS[before].title}
        </ButtonLink>
      ) : (
        <span />
      )}
      {next && (
        <ButtonLink to={visitAddress(visitId, machineId, next)}>
          {STEP_WORDS[next].title} <ArrowRight aria-hidden="true" size={18} />
        </ButtonLink>
      )}
    </nav>
  );
}

/** The day that entries are written for; another than today is for paper of last week, and says so. */
function DayLine() {
  const { day, setDay, view } = useVisit();
  const [open, setOpen] = useState(false);
  const past = day !== view.today;
  return (
    <div className="no-print mb-2">
      <button
        type="button"
        className={clsx('min-h-9 cursor-pointer text-left', past ? 'font-semibold text-ochre' : 'text-soft')}
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        {past ? `◐ Written for ${dayWords(day)}, not today` : `Written for today, ${dayWords(day)}`}{' '}
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
  const rows: readonly VisitRow[] = visits?.rows ?? [];
  const { appliance } = view.machine;
  const many = rows.length > 1;
  const shown = at === 'top' ? (many ? 'flex' : 'hidden lg:flex') : many ? 'hidden' : 'mt-4 flex lg:hidden';
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
      {adding && <AddSheet taken={rows.map((row) => row.applianceId)} onClose={() => setAdding(false)} />}
    </div>
  );
}

function AddSheet({ taken, onClose }: { taken: readonly string[]; onClose: () => void }) {
  const { visitId, view } = useVisit();
  const machines = useMachinesOfSite(view.machine.site.id);
  const { begin, beginning } = useBegin();
  return (
    <Sheet title="Another machine" subtitle={view.machine.site.name} onClose={onClose}>
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
                    <span className="block text-soft">{summary.refrigerant}</span>
                  </button>
                </li>
              ))}
            </ul>
          );
        }}
      </LoadedPages>
    </Sheet>
  );
}
