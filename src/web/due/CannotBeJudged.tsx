/** Machines that cannot be judged stand in sight: unknown never reads as fine. */
import { Link } from 'react-router';
import { useMachinePages } from '../data/api/queries';
import { useWriteDialog } from '../data/addresses/writeDialog';
import { ForWriters } from '../data/api/ForWriters';
import { Button } from '../parts/Button';
import { Section } from '../parts/Page';
import { MoreRows, rowsOf } from '../parts/Pages';
import { unjudgedSentence } from '../../words/rod';

const UNJUDGED_SHOWN = 4;

const UNJUDGED_MORE = 50;

export const useUnjudged = (site: string | null) =>
  useMachinePages(
    { unjudged: '1', sort: 'name', limit: UNJUDGED_SHOWN, ...(site === null ? {} : { site }) },
    { limit: UNJUDGED_MORE },
  );

/** Machines of which nobody can say what is due: never counted among those where nothing is. */
export function CannotBeJudged({ pages }: { pages: ReturnType<typeof useUnjudged> }) {
  const write = useWriteDialog();
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
              <ForWriters>
                <Button onClick={() => write.open({ kind: 'fullChargeSet', machineId: appliance.id })}>
                  Set the full charge
                </Button>
              </ForWriters>
            )}
          </li>
        ))}
      </ul>
      <MoreRows pages={pages} words={`Show more of ${count.toLocaleString('en-US')}`} />
    </Section>
  );
}
