/** Where the code on a machine leads: into the visit that is going on, or to the machine. */
import { Link, Navigate, useParams } from 'react-router';
import { useMachines, useVisitPages, useVisitsOf } from '../data/api/queries';
import { visitAddress } from '../data/addresses/visitAddress';
import { useWriter } from '../data/device/writer';
import { ButtonLink } from '../parts/Button';
import { NotFound } from '../parts/NotFound';
import { Loaded, Page } from '../parts/Page';
import { rowsOf } from '../parts/Pages';

export default function ScannedPage() {
  const { id = '' } = useParams();
  const { person } = useWriter();
  const visits = useVisitsOf(id);
  const recent = useVisitPages('');
  const named = useMachines({ ids: id });
  const machine = `/machines/${encodeURIComponent(id)}`;
  if (!visits.data || !recent.data || !named.data)
    return (
      <Page title="Machine">
        {named.isError ? (
          <Loaded query={named}>{() => null}</Loaded>
        ) : (
          <Loaded query={visits}>{() => null}</Loaded>
        )}
      </Page>
    );
  const [row] = named.data.rows;
  if (!row) return <NotFound />;
  const here = visits.data.rows.find((each) => !each.handedOver && each.to === each.today);
  if (here) return <Navigate replace to={visitAddress(here.visitId, id, 'read')} />;
  const other = rowsOf(recent).find(
    (each) =>
      !each.handedOver &&
      each.to === each.today &&
      each.siteId === row.siteId &&
      each.applianceId !== id &&
      (person === null || each.by === person.id),
  );
  if (!other) return <Navigate replace to={machine} />;
  return (
    <Page title={row.appliance.name} subtitle={row.siteName}>
      <p className="mb-4">A visit is going on here, at {other.machineName}. Is this machine part of it?</p>
      <p className="flex flex-wrap gap-2">
        <ButtonLink weight="main" to={visitAddress(other.visitId, id, 'before')}>
          Yes, go on with this machine
        </ButtonLink>
        <Link
          className="flex min-h-12 items-center px-3 font-semibold text-green underline underline-offset-4"
          to={machine}
        >
          No, open its page
        </Link>
      </p>
    </Page>
  );
}
