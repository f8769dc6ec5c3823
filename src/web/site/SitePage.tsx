/** A site: where it is, who has the key, which rules hold, what stands and what is cooled there, and its history. */
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { v7 as uuidv7 } from 'uuid';
import type { Site } from '../../core/logbook/tables';
import { ApiProblem } from '../data/api/api';
import { useMachines, useMachinesOfSite, useOwners, useSite, useSpaces, useToday } from '../data/api/queries';
import { ForWriters } from '../data/api/ForWriters';
import { Button, ButtonLink } from '../parts/Button';
import { Loaded, Page, Section } from '../parts/Page';
import { LoadedPages } from '../parts/Pages';
import { MachineMark } from '../parts/StateMark';
import { HistorySection } from '../forms/rows/RowHistory';
import { RowDialog } from '../forms/rows/RowDialog';
import { KIND_WORDS, METHOD_WORDS, PACK_WORDS } from '../../words/codes';
import { dateWords, dayWords } from '../../words/dates';
import { gasNameOf } from '../../words/gas';
import { ownerOn } from '../../core/logbook/ownership';

export default function SitePage() {
  const { id = '' } = useParams();
  const site = useSite(id);
  if (site.error instanceof ApiProblem && site.error.document.status === 404)
    return (
      <Page title="No such site">
        <ButtonLink to="/machines" weight="main">
          Go to the machines
        </ButtonLink>
      </Page>
    );
  return <Loaded query={site}>{(found) => <Shown site={found} />}</Loaded>;
}

function Shown({ site }: { site: Site }) {
  const [changing, setChanging] = useState(false);
  const owners = useOwners().data ?? [];
  const today = useToday(site.timezone);
  const owner = today === null ? null : ownerOn(site, today);
  const facts: [string, string][] = [
    ['Address', site.address ?? 'not recorded'],
    ['Owner', owner === null ? 'not recorded' : (owners.find(({ id }) => id === owner)?.name ?? owner)],
    ['Access', site.access ?? 'not recorded'],
    ['Rule sets', site.packs.map((pack) => PACK_WORDS[pack]).join(', ') || 'none'],
    [
      'Leak-rate method',
      (site.leakRateMethod ?? [])
        .map((each) => `${METHOD_WORDS[each.method]} from ${dateWords(each.from)}`)
        .join('; ') || 'annualizing',
    ],
    ['Time zone', site.timezone],
    ['Altitude', site.altitudeM == null ? 'not recorded: taken as sea level' : `${String(site.altitudeM)} m`],
  ];
  return (
    <Page
      title={site.name}
      subtitle={today === null ? 'Site' : `Site · today there ${dayWords(today)}`}
      actions={
        <ForWriters>
          <Button onClick={() => setChanging(true)}>Change the site</Button>
        </ForWriters>
      }
    >
      <dl className="mb-6 grid gap-x-8 gap-y-3 sm:grid-cols-2 lg:grid-cols-3">
        {facts.map(([term, value]) => (
          <div key={term} className="min-w-0">
            <dt className="text-soft">{term}</dt>
            <dd className="whitespace-pre-line break-words font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      <div className="grid gap-x-10 lg:grid-cols-2">
        <MachinesHere site={site} />
        <SpacesHere site={site} />
      </div>
      <HistorySection table="sites" id={site.id} title="History of the site" />
      {changing && <RowDialog table="sites" id={site.id} onClose={() => setChanging(false)} />}
    </Page>
  );
}

function MachinesHere({ site }: { site: Site }) {
  const machines = useMachinesOfSite(site.id);
  const retired = useMachines({ site: site.id, state: 'retired', sort: 'name', limit: 200 }).data?.rows ?? [];
  return (
    <Section title="Machines here">
      <LoadedPages pages={machines} more="Show more machines">
        {(here) => {
          const all = [...here, ...retired];
          return all.length === 0 ? (
            <p className="text-soft">None yet. Add the first under Machines.</p>
          ) : (
            <ul>
              {all.map(({ appliance, summary }) => (
                <li key={appliance.id} className="rule-b">
                  <Link
                    to={`/machines/${encodeURIComponent(appliance.id)}`}
                    className="flex min-h-12 flex-wrap items-center justify-between gap-x-4 py-2"
                  >
                    <span>
                      <span className="font-semibold underline decoration-line underline-offset-4">
                        {appliance.name}
                      </span>{' '}
                      <span className="text-soft">
                        {KIND_WORDS[appliance.kind]}, {gasNameOf(summary.refrigerant)}
                      </span>
                    </span>
                    <MachineMark state={summary.state} />
                  </Link>
                </li>
              ))}
            </ul>
          );
        }}
      </LoadedPages>
    </Section>
  );
}

function SpacesHere({ site }: { site: Site }) {
  const spaces = useSpaces(site.id).data ?? [];
  const [opened, setOpened] = useState<{ id: string; isNew: boolean } | null>(null);
  return (
    <Section title="Cooled spaces">
      {spaces.length === 0 && <p className="mb-3 text-soft">None is on record.</p>}
      <ul>
        {spaces.map((space) => (
          <li key={space.id} className="rule-b flex items-center justify-between gap-4 py-1">
            <span className="font-semibold">{space.name}</span>
            <ForWriters>
              <Button
                weight="quiet"
                aria-label={`Change ${space.name}`}
                onClick={() => setOpened({ id: space.id, isNew: false })}
              >
                Change
              </Button>
            </ForWriters>
          </li>
        ))}
      </ul>
      <ForWriters>
        <Button className="mt-3" onClick={() => setOpened({ id: uuidv7(), isNew: true })}>
          Add a cooled space
        </Button>
      </ForWriters>
      {opened && (
        <RowDialog
          table="spaces"
          id={opened.id}
          {...(opened.isNew ? { fresh: { id: opened.id, siteId: site.id } } : {})}
          onClose={() => setOpened(null)}
        />
      )}
    </Section>
  );
}
