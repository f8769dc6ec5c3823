/** Due: what must happen, by day, with why and by which rule; beside it where to drive and what exceeds next. */
import { lazy } from 'react';
import { useSearchParams } from 'react-router';
import { DUE_GROUPS, type DueGroup, type DueRow } from '../../contract/api';
import { useClock, useDueCounts, useDuePages, useMachines, useSite, useToday } from '../data/api/queries';
import { useLogDialog } from '../data/addresses/logDialog';
import { ForWriters } from '../data/api/ForWriters';
import { Button, ButtonLink } from '../parts/Button';
import { Empty, Loaded, Page, Section } from '../parts/Page';
import { LoadedPages } from '../parts/Pages';
import { dayWords, weekdayWords } from '../../words/dates';
import { DueRowItem } from '../panels/DueRowItem';
import { GROUP_WORDS, grouped } from './dueGroups';
import { Trips, Ending, NextToExceed } from './Asides';
import { useUnjudged, CannotBeJudged } from './CannotBeJudged';
import { HERE } from '../data/device/here';

const BeginHere = lazy(() => import('./BeginHere'));

export function DuePage() {
  const machines = useMachines({ limit: 1 });
  const sheet = useLogDialog();
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
        <ForWriters>
          <Button weight="main" onClick={() => sheet.openFor({})}>
            Log gas
          </Button>
        </ForWriters>
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
