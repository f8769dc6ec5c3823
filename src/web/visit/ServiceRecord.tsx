/** The service record as it stands now: what leaves with the owner when the visit is handed over. */
import { useMemo } from 'react';
import { serviceRecord } from '../../papers/serviceRecord';
import { foldedMachine } from '../../record/foldedMachine';
import { useCompany, useOwners } from '../data/api/queries';
import { useTable } from '../data/api/useTable';
import { useWriter } from '../data/device/writer';
import { PaperView } from '../paper/PaperView';
import { useVisit } from './visitContext';
import { ownerOn } from '../../core/logbook/ownership';

export function ServiceRecord() {
  const { view, visitId, record } = useVisit();
  const { people } = useWriter();
  const company = useCompany().data ?? null;
  const owners = useOwners().data;
  const table = useTable(view.standing.present.refrigerant?.name ?? null).data ?? null;
  const paper = useMemo(() => {
    const { machine, packs } = view;
    // Looked at later, it says what was so on its last day.
    const then = record.handedOver && record.to !== null && record.to < view.today ? record.to : view.today;
    const asOf =
      then === view.today ? view : { ...foldedMachine(machine, packs, then, []), names: view.names };
    const ownerId = ownerOn(machine.site, then);
    const owner = owners?.find((each) => each.id === ownerId) ?? null;
    return serviceRecord(asOf, visitId, { company, owner, people, table });
  }, [view, record, visitId, company, owners, people, table]);
  return <PaperView paper={paper} />;
}
