/** The inspector's view: all that the rules want on record about one machine, as the paper that can be issued of it. */
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { machineRecord } from '../../papers/machineRecord';
import { type MachineView, useMachineView } from '../data/api/machineView';
import { useCompany, useOwners } from '../data/api/queries';
import { useWriter } from '../data/device/writer';
import { CannotJudge } from '../panels/CannotJudge';
import { PaperView } from '../paper/PaperView';
import { ForWriters } from '../data/api/ForWriters';
import { Button, ButtonLink } from '../parts/Button';
import { Loaded, Page } from '../parts/Page';
import { ownerOn } from '../../core/logbook/ownership';

export default function RecordPage() {
  const { id = '' } = useParams();
  const { query, view } = useMachineView(id);
  if (view) return <Record view={view} />;
  return (
    <Page title="Record">
      <Loaded query={query}>{() => null}</Loaded>
    </Page>
  );
}

function Record({ view }: { view: MachineView }) {
  const { machine, standing, system } = view;
  const { people } = useWriter();
  const company = useCompany().data ?? null;
  const owners = useOwners().data;
  const ownerId = ownerOn(view.machine.site, view.today);
  const paper = useMemo(
    () =>
      machineRecord(view, {
        company,
        owner: owners?.find((each) => each.id === ownerId) ?? null,
        people,
        table: null,
      }),
    [view, company, owners, ownerId, people],
  );
  const id = encodeURIComponent(machine.appliance.id);
  return (
    <Page
      title={`Record of ${machine.appliance.name}`}
      subtitle={machine.site.name}
      actions={
        <>
          <Link
            className="flex min-h-11 items-center px-3 font-semibold text-green underline underline-offset-4"
            to={`/machines/${id}`}
          >
            Back to the machine
          </Link>
          <ForWriters of="issuePaper">
            <ButtonLink to={`/papers/issue?document=machineRecord&machine=${id}`}>Issue as PDF</ButtonLink>
          </ForWriters>
          <Button onClick={() => window.print()}>Print</Button>
        </>
      }
    >
      <CannotJudge standing={standing} system={system} />
      <PaperView paper={paper} />
    </Page>
  );
}
