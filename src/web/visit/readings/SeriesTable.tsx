/** Readings side by side: as found, before and after charge, at the end, with what each set amounts to. */
import { seriesTable } from '../../../papers/readingsBlock';
import { useTable } from '../../data/api/useTable';
import { CompareTable } from '../../paper/PaperView';
import { useVisit } from '../visitContext';

export function SeriesTable() {
  const { view, readings } = useVisit();
  const table = useTable(view.standing.present.refrigerant?.name ?? null).data ?? null;
  const told = seriesTable(view, readings.series, table);
  if (told === null) return <p className="text-soft">Nothing was read in this visit yet.</p>;
  return <CompareTable caption="Readings" {...told} />;
}
