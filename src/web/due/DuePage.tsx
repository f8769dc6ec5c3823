/** Due: what must happen, by day, with why and by which rule; beside it where to drive and what exceeds next. */
import { lazy } from 'react';
import { Link, useSearchParams } from 'react-router';
import { DUE_GROUPS, type DueGroup, type DueRow } from '../../contract/api';
import { dayOf } from '../../core/quantity/day';
import {
  useClock,
  useDueCounts,
  useDuePages,
  useMachinePages,
  useMachines,
  useSite,
  useToday,
  useTripPages,
} from '../data/queries';
import { useWriteSheet } from '../data/writeSheet';
import { useLogSheet } from '../data/logSheet';
import { Button, ButtonLink } from '../parts/Button';
import { Empty, Loaded, Page, Section } from '../parts/Page';
import { LoadedPages, MoreRows, rowsOf } from '../parts/Pages';
import { RodDrawing } from '../parts/Rod';
import { DutyMark } from '../parts/StateMark';
import { dayWords, untilWords, weekdayWords } from '../../words/dates';
import { rodWords, unjudgedSentence } from '../../words/rod';
import { DueRowItem } from '../panels/DueRowItem';
import { GROUP_WORDS, grouped } from './dueGroups';

const BeginHere = lazy(() => import('./BeginHere'));
const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone;

export function DuePage() {
  const machines = useMachines({ limit: 1 });
  const sheet = useLogSheet();
  const [params] = useSearchParams();
  const site = useSite(params.get('site')).data;
  const today = useToday(site?.timezone ?? HERE);
  const clock = useClock().data;
  return (
    <Page
      title="Due"
      subtitle={
        today !== null &&
        [
          `${weekdayWords(today, today)} ${dayWords(today).slice(-4)}`,
          site ? `today at ${site.name}` : 'today on this device; each row counts by the day of its site',
          clock?.fixedToday && 'the demo holds this day still',
        ]
          .filter(Boolean)
          .join(' · ')
      }
      actions={<ButtonLink to="/machines?find=1">Find</ButtonLink>}
      main={
        <Button weight="main" onClick={() => sheet.openFor({})}>
          Log gas
        </Button>
      }
    >
      <Loaded query={machines}>
        {({ count, retired }) => (count === 0 && retired === 0 ? <BeginHere /> : <Board />)}
      </Loaded>
    </Page>
  );
}

/** On a narrow screen trips and the rest stand below the list: it must end for them to be reached. */
const asideIsBeside = window.matchMedia('(min-width: 80rem)').matches;

function Board() {
  const [params, setParams] = useSearchParams();
  const site = params.get('site');
  const name = useSite(site).data?.name;
  const due = useDuePages(site);
  const counts = useDueCounts(site).data;
  const unjudged = useUnjudged(site);
  const setSite = (id: string | null) => setParams(id === null ? {} : { site: id });
  const cannot = unjudged.data?.pages[0]?.count ?? 0;
  return (
    <div className="grid gap-x-8 xl:grid-cols-[minmax(0,1fr)_15.5rem]">
      <div>
        {site !== null && (
          <p className="mb-3">
            Only {name ?? 'one site'}.{' '}
            <Button weight="quiet" onClick={() => setSite(null)}>
              Show all sites
            </Button>
          </p>
        )}
        {counts && counts.left > 0 && (
          <p role="status" className="mb-3 border-l-4 border-ochre pl-3">
            {counts.left.toLocaleString('en-US')} machines are still being judged for today. What stands here
            is right; what they ask for may come yet.
          </p>
        )}
        <CannotBeJudged pages={unjudged} />
        <LoadedPages pages={due} more="Show what is due later" itself={asideIsBeside}>
          {(rows) =>
            rows.length > 0 ? (
              <Groups rows={rows} counts={counts?.groups} />
            ) : cannot > 0 || !unjudged.data || (counts?.left ?? 0) > 0 ? null : (
              <Empty title="Nothing is due">
                <p>
                  Every machine can be judged, and none of them asks for anything. When gas is added or a leak
                  is found, what the rules ask for stands here, by day, with the reason.
                </p>
                <ButtonLink to="/machines" weight="main" className="mt-4">
                  Go to the machines
                </ButtonLink>
              </Empty>
            )
          }
        </LoadedPages>
      </div>
      <aside>
        <Trips site={site} onPick={setSite} />
        <NextToExceed />
        {counts && counts.certificates.length > 0 && (
          <Section title="Certificates ending">
            {counts.certificates.map((each) => (
              <Ending key={each.personId} certificate={each} />
            ))}
          </Section>
        )}
      </aside>
    </div>
  );
}

function Groups({ rows, counts }: { rows: DueRow[]; counts: Record<DueGroup, number> | undefined }) {
  const groups = grouped(rows);
  return DUE_GROUPS.map((group) => {
    const own = groups.get(group) ?? [];
    if (own.length === 0) return null;
    return (
      <Section
        key={group}
        title={GROUP_WORDS[group]}
        aside={<span className="text-soft">{counts?.[group].toLocaleString('en-US')}</span>}
      >
        <ul>
          {own.map((row) => (
            <DueRowItem key={[row.machineId, row.kind, row.due].join(' ')} row={row} />
          ))}
        </ul>
      </Section>
    );
  });
}

function Trips({ site, onPick }: { site: string | null; onPick: (id: string) => void }) {
  const trips = useTripPages();
  const rows = rowsOf(trips, (trip) => trip.siteId);
  if (rows.length === 0) return null;
  return (
    <Section title="By trip">
      <ul>
        {rows.map((trip) => (
          <li key={trip.siteId} className="rule-b">
            <button
              type="button"
              aria-pressed={site === trip.siteId}
              className="min-h-12 w-full cursor-pointer py-2 text-left aria-pressed:border-l-4 aria-pressed:border-green aria-pressed:pl-2"
              onClick={() => onPick(trip.siteId)}
            >
              <span className="font-semibold">{trip.siteName}</span>
              <span className="block text-soft">
                {trip.due} within a month{trip.late > 0 && ` · ${String(trip.late)} late`}
              </span>
            </button>
          </li>
        ))}
      </ul>
      <MoreRows pages={trips} words="Show more sites" />
    </Section>
  );
}

interface Certificate {
  personId: string;
  name: string;
  scheme: string;
  expires: string;
}

function Ending({ certificate }: { certificate: Certificate }) {
  const today = useToday(HERE);
  const expires = dayOf(certificate.expires);
  const late = today !== null && expires < today;
  return (
    <div className="rule-b py-2">
      <p className="font-semibold">{certificate.name}</p>
      <DutyMark
        state={late ? 'overdue' : 'upcoming'}
        words={today === null ? dayWords(expires) : untilWords(expires, today)}
      />
      <p className="text-soft">
        {certificate.scheme}, {dayWords(expires)}
      </p>
    </div>
  );
}

const UNJUDGED_SHOWN = 4;
const UNJUDGED_MORE = 50;

const useUnjudged = (site: string | null) =>
  useMachinePages(
    { unjudged: '1', sort: 'name', limit: UNJUDGED_SHOWN, ...(site === null ? {} : { site }) },
    { limit: UNJUDGED_MORE },
  );

/** Machines of which nobody can say what is due: never counted among those where nothing is. */
function CannotBeJudged({ pages }: { pages: ReturnType<typeof useUnjudged> }) {
  const write = useWriteSheet();
  const rows = rowsOf(pages, ({ appliance }) => appliance.id);
  const count = pages.data?.pages[0]?.count ?? 0;
  if (rows.length === 0) return null;
  return (
    <Section
      title="Cannot be judged"
      aside={<span className="text-soft">{count.toLocaleString('en-US')}</span>}
    >
      <ul>
        {rows.map(({ appliance, siteName, massSystem, summary: { unjudged } }) => (
          <li key={appliance.id} className="rule-b flex flex-wrap items-center gap-x-4 gap-y-2 py-3">
            <div className="min-w-0 flex-1 basis-64">
              <p>
                <Link
                  to={`/machines/${encodeURIComponent(appliance.id)}`}
                  className="font-semibold underline decoration-line underline-offset-4"
                >
                  {appliance.name}
                </Link>{' '}
                · {siteName}
              </p>
              {unjudged && <p className="text-ochre">◐ {unjudgedSentence(unjudged, massSystem)}</p>}
            </div>
            {unjudged?.code === 'fullCharge' && (
              <Button onClick={() => write.open({ kind: 'fullChargeSet', machineId: appliance.id })}>
                Set the full charge
              </Button>
            )}
          </li>
        ))}
      </ul>
      <MoreRows pages={pages} words={`Show more of ${count.toLocaleString('en-US')}`} />
    </Section>
  );
}

const CLOSEST_SHOWN = 3;

/** Machines whose allowance is nearly spent; those that exceeded already are in the list. */
function NextToExceed() {
  const closest = useMachines({ withRoom: '1', sort: 'room', limit: CLOSEST_SHOWN }).data?.rows ?? [];
  if (closest.length === 0) return null;
  return (
    <Section title="Least room today">
      {closest.map(({ appliance, summary, massSystem }) => (
        <div key={appliance.id} className="mb-3">
          <Link
            className="font-semibold underline decoration-line underline-offset-4"
            to={`/machines/${encodeURIComponent(appliance.id)}`}
          >
            {appliance.name}
          </Link>
          <RodDrawing rod={summary.rod} system={massSystem} />
          <p className="text-soft">{rodWords(summary.rod, massSystem)}</p>
        </div>
      ))}
    </Section>
  );
}
