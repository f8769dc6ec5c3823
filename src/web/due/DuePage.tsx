/** Due: what must happen, by day, with why and by which rule; beside it where to drive and what exceeds next. */
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { DueRow, UnjudgedRow } from '../../contract/api';
import { dayOf } from '../../core/quantity/day';
import { useClock, useDue, useMachines, useSites, useToday } from '../data/queries';
import { useLogSheet } from '../gas/logSheet';
import { Button, ButtonLink } from '../parts/Button';
import { Empty, Loaded, Page, Section } from '../parts/Page';
import { RodDrawing } from '../parts/Rod';
import { DutyMark } from '../parts/StateMark';
import { dayWords, untilWords, weekdayWords } from '../words/dates';
import { useWriteSheet } from '../entries/useWriteSheet';
import { rodWords, unjudgedSentence } from '../words/rod';
import { BeginHere } from './BeginHere';
import { DueRowItem } from './DueRowItem';
import { type FoldedDuty, GROUPS, GROUP_WORDS, folded, grouped, trips } from './dueGroups';

const LATER_SHOWN = 12;

export function DuePage() {
  const due = useDue();
  const machines = useMachines();
  const sheet = useLogSheet();
  const [params] = useSearchParams();
  const site = (useSites().data ?? []).find((each) => each.id === params.get('site'));
  const today = useToday(site?.timezone ?? Intl.DateTimeFormat().resolvedOptions().timeZone);
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
      <Loaded query={due}>
        {({ rows, unjudged, certificates }) =>
          machines.data?.length === 0 ? (
            <BeginHere />
          ) : (
            <Board rows={rows} unjudged={unjudged} certificates={certificates} />
          )
        }
      </Loaded>
    </Page>
  );
}

interface Certificate {
  personId: string;
  name: string;
  scheme: string;
  expires: string;
}

function Board({
  rows,
  unjudged,
  certificates,
}: {
  rows: DueRow[];
  unjudged: UnjudgedRow[];
  certificates: Certificate[];
}) {
  const [params, setParams] = useSearchParams();
  const site = params.get('site');
  const all = folded(rows);
  const shown = site === null ? all : all.filter((row) => row.siteId === site);
  const unknown = site === null ? unjudged : unjudged.filter((row) => row.siteId === site);
  const groups = grouped(shown);
  const setSite = (id: string | null) => setParams(id === null ? {} : { site: id });
  return (
    <div className="grid gap-x-8 xl:grid-cols-[minmax(0,1fr)_15.5rem]">
      <div>
        {site !== null && (
          <p className="mb-3">
            Only {shown[0]?.siteName ?? unknown[0]?.siteName ?? 'one site'}.{' '}
            <Button weight="quiet" onClick={() => setSite(null)}>
              Show all sites
            </Button>
          </p>
        )}
        <CannotBeJudged rows={unknown} />
        {shown.length === 0 && unknown.length > 0 ? null : shown.length === 0 ? (
          <Empty title="Nothing is due">
            <p>
              Every machine can be judged, and none of them asks for anything. When gas is added or a leak is
              found, what the rules ask for stands here, by day, with the reason.
            </p>
            <ButtonLink to="/machines" weight="main" className="mt-4">
              Go to the machines
            </ButtonLink>
          </Empty>
        ) : (
          GROUPS.map((group) => (
            <DueGroup
              key={group}
              words={GROUP_WORDS[group]}
              rows={groups.get(group) ?? []}
              collapsed={group === 'later'}
            />
          ))
        )}
      </div>
      <aside>
        {all.length > 0 && (
          <Section title="By trip">
            <ul>
              {trips(all).map((trip) => (
                <li key={trip.siteId} className="rule-b">
                  <button
                    type="button"
                    aria-pressed={site === trip.siteId}
                    className="min-h-12 w-full cursor-pointer py-2 text-left aria-pressed:border-l-4 aria-pressed:border-green aria-pressed:pl-2"
                    onClick={() => setSite(trip.siteId)}
                  >
                    <span className="font-semibold">{trip.siteName}</span>
                    <span className="block text-soft">
                      {trip.due} within a month{trip.late > 0 && ` · ${String(trip.late)} late`}
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          </Section>
        )}
        <NextToExceed />
        {certificates.length > 0 && (
          <Section title="Certificates ending">
            {certificates.map((each) => (
              <Ending key={each.personId} certificate={each} today={rows[0]?.today} />
            ))}
          </Section>
        )}
      </aside>
    </div>
  );
}

function Ending({ certificate, today }: { certificate: Certificate; today: string | undefined }) {
  const expires = dayOf(certificate.expires);
  const late = today !== undefined && expires < dayOf(today);
  return (
    <div className="rule-b py-2">
      <p className="font-semibold">{certificate.name}</p>
      <DutyMark
        state={late ? 'overdue' : 'upcoming'}
        words={today === undefined ? dayWords(expires) : untilWords(expires, dayOf(today))}
      />
      <p className="text-soft">
        {certificate.scheme}, {dayWords(expires)}
      </p>
    </div>
  );
}

function DueGroup({ words, rows, collapsed }: { words: string; rows: FoldedDuty[]; collapsed: boolean }) {
  const [all, setAll] = useState(!collapsed);
  if (rows.length === 0) return null;
  const shown = all ? rows : rows.slice(0, LATER_SHOWN);
  return (
    <Section title={words} aside={<span className="text-soft">{rows.length}</span>}>
      <ul>
        {shown.map((row) => (
          <DueRowItem key={[row.machineId, row.kind, row.due].join(' ')} row={row} />
        ))}
      </ul>
      {shown.length < rows.length && (
        <Button weight="quiet" onClick={() => setAll(true)}>
          Show {rows.length - shown.length} more
        </Button>
      )}
    </Section>
  );
}

const UNJUDGED_SHOWN = 4;

/** Machines of which nobody can say what is due: never counted among those where nothing is. */
function CannotBeJudged({ rows }: { rows: UnjudgedRow[] }) {
  const write = useWriteSheet();
  const [all, setAll] = useState(false);
  if (rows.length === 0) return null;
  const shown = all ? rows : rows.slice(0, UNJUDGED_SHOWN);
  return (
    <Section title="Cannot be judged" aside={<span className="text-soft">{rows.length}</span>}>
      <ul>
        {shown.map((row) => (
          <li key={row.machineId} className="rule-b flex flex-wrap items-center gap-x-4 gap-y-2 py-3">
            <div className="min-w-0 flex-1 basis-64">
              <p>
                <Link
                  to={`/machines/${encodeURIComponent(row.machineId)}`}
                  className="font-semibold underline decoration-line underline-offset-4"
                >
                  {row.machineName}
                </Link>{' '}
                · {row.siteName}
              </p>
              <p className="text-ochre">◐ {unjudgedSentence(row.unjudged, row.massSystem)}</p>
            </div>
            {row.unjudged.code === 'fullCharge' && (
              <Button onClick={() => write.open({ kind: 'fullChargeSet', machineId: row.machineId })}>
                Set the full charge
              </Button>
            )}
          </li>
        ))}
      </ul>
      {shown.length < rows.length && (
        <Button weight="quiet" onClick={() => setAll(true)}>
          Show {rows.length - shown.length} more
        </Button>
      )}
    </Section>
  );
}

/** Machines whose allowance is nearly spent; those that exceeded already are in the list. */
function NextToExceed() {
  const machines = useMachines().data ?? [];
  const closest = machines
    .flatMap((row) =>
      row.summary.rod.limit && row.summary.rod.exceeded === null
        ? [{ row, share: row.summary.rod.freeGrams / row.summary.rod.allowanceGrams }]
        : [],
    )
    .sort((a, b) => a.share - b.share)
    .slice(0, 3);
  if (closest.length === 0) return null;
  return (
    <Section title="Least room today">
      {closest.map(({ row }) => (
        <div key={row.appliance.id} className="mb-3">
          <Link
            className="font-semibold underline decoration-line underline-offset-4"
            to={`/machines/${encodeURIComponent(row.appliance.id)}`}
          >
            {row.appliance.name}
          </Link>
          <RodDrawing rod={row.summary.rod} system={row.massSystem} />
          <p className="text-soft">{rodWords(row.summary.rod, row.massSystem)}</p>
        </div>
      ))}
    </Section>
  );
}
