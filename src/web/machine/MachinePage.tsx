/** A machine's page: its logbook. What it may take today, what is due, what happened, and every version of it. */
import { ForWriters } from '../data/api/ForWriters';
import { Suspense, lazy, useState } from 'react';
import { Link, useParams } from 'react-router';
import { summaryOf } from '../../core/rules/summary';
import { useLogDialog } from '../data/addresses/logDialog';
import { Button, ButtonLink } from '../parts/Button';
import { Loaded, Page, Section } from '../parts/Page';
import { MachineMark } from '../parts/StateMark';
import { KIND_WORDS, NOTE_WORDS } from '../../words/codes';
import { fullChargeWords } from '../../words/fullCharge';
import { CaseList } from './CaseList';
import { Obligations } from '../panels/Duties';
import { Figures } from './Figures';
import { LeakList } from './LeakList';
import { FeedsPanel } from '../forms/FeedsPanel';
import { LeakMap } from './LeakMap';
import { Logbook } from './Logbook';
import { Temporary } from './Temporary';
import { type MachineView, useMachineView } from '../data/api/machineView';
import { WhatIf } from '../panels/WhatIf';
import { HistorySection } from '../forms/rows/RowHistory';
import { RowDialog } from '../forms/rows/RowDialog';
import { Visits } from './Visits';
import { Opening } from './Opening';
import { PapersOf } from './PapersOf';
import { WriteMenu } from './WriteMenu';
import { useMachineHead } from '../data/api/queries';
import { gasWords } from '../../words/gas';

const Timeline = lazy(() => import('./Timeline'));

export default function MachinePage() {
  const { id = '' } = useParams();
  const { query, view } = useMachineView(id);
  const head = useMachineHead(id);
  if (!view && head && head.before !== null) return <Opening head={head} />;
  if (!view) {
    return (
      <Page title="Machine">
        <Loaded query={query}>{() => null}</Loaded>
      </Page>
    );
  }
  return <Shown view={view} />;
}

function Shown({ view }: { view: MachineView }) {
  const { machine, standing, system } = view;
  const sheet = useLogDialog();
  const [changing, setChanging] = useState(false);
  const { appliance, site, spaces } = machine;
  const served = spaces.filter((space) => appliance.serves?.includes(space.id)).map((space) => space.name);
  const { tag, model, serialNumber, location } = appliance;
  const plate = [
    ...(tag ? [`tag ${tag}`] : []),
    ...(model ? [model] : []),
    ...(serialNumber ? [`serial number ${serialNumber}`] : []),
    ...(location ? [location] : []),
  ];
  return (
    <Page
      title={appliance.name}
      subtitle={
        <>
          <p>
            <Link
              className="text-green underline underline-offset-4"
              to={`/sites/${encodeURIComponent(site.id)}`}
            >
              {site.name}
            </Link>{' '}
            · {KIND_WORDS[appliance.kind]}
            {appliance.assembly && `, circuit of ${appliance.assembly}`}
            {served.length > 0 && ` · serves ${served.join(', ')}`}
          </p>
          <p>
            {gasWords(standing.present.refrigerant)} · full charge{' '}
            {fullChargeWords(standing.history, system) ?? 'not known'}
          </p>
          {plate.length > 0 && <p>{plate.join(' · ')}</p>}
          {site.access && <p>Access: {site.access}</p>}
          {appliance.access && <p>At the machine: {appliance.access}</p>}
          <MachineMark state={summaryOf(standing).state} />
        </>
      }
      actions={
        <>
          <ButtonLink to={`/machines/${encodeURIComponent(appliance.id)}/before`}>Before driving</ButtonLink>
          <ForWriters>
            <ButtonLink to={`/visits?begin&machine=${encodeURIComponent(appliance.id)}`}>
              Begin a visit
            </ButtonLink>
          </ForWriters>
          <ButtonLink to={`/machines/${encodeURIComponent(appliance.id)}/record`}>Record</ButtonLink>
          <ForWriters>
            <Button onClick={() => setChanging(true)}>Put right</Button>
            <WriteMenu machineId={appliance.id} />
          </ForWriters>
        </>
      }
      main={
        <ForWriters>
          <Button weight="main" onClick={() => sheet.openFor({ machine: appliance.id })}>
            Log gas
          </Button>
        </ForWriters>
      }
    >
      <Figures view={view} />
      <PapersOf view={view} />
      {standing.notes.length > 0 && (
        <ul className="mb-6 border-l-4 border-ochre pl-3">
          {standing.notes.map((note) => (
            <li key={note}>{NOTE_WORDS[note]}</li>
          ))}
        </ul>
      )}
      <div className="grid gap-x-10 lg:grid-cols-2">
        <Obligations view={view} />
        <div>
          <CaseList view={view} />
          <LeakList view={view} />
        </div>
      </div>
      <div className="grid gap-x-10 lg:grid-cols-2">
        <FeedsPanel view={view} />
        <Temporary view={view} />
      </div>
      <LeakMap view={view} />
      <Section title="Timeline">
        <Suspense fallback={<div className="h-72 text-soft">Drawing…</div>}>
          <Timeline view={view} />
        </Suspense>
      </Section>
      <WhatIf view={view} />
      <Visits view={view} />
      <Logbook view={view} />
      <HistorySection table="appliances" id={appliance.id} title="History of the machine’s record" />
      {changing && <RowDialog table="appliances" id={appliance.id} onClose={() => setChanging(false)} />}
    </Page>
  );
}
