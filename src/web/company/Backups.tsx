/** Whether a backup is made each day, of which days there is one, and what went wrong with the newest. */
import { useQuery } from '@tanstack/react-query';
import { dateWords, instantWords } from '../../words/dates';
import { countWords } from '../../words/counts';
import { ask } from '../data/api/api';
import { Loaded, Section } from '../parts/Page';

export function Backups() {
  const backups = useQuery({ queryKey: ['backups'], queryFn: ({ signal }) => ask('backups', {}, signal) });
  return (
    <Section title="Backups">
      <Loaded query={backups}>
        {({ keepDays, kept, last, copy }) => {
          if (keepDays === null)
            return (
              <>
                <p className="text-ochre">
                  ◐ None are made by this server. Started with “--backups FOLDER” it makes one a day.
                </p>
                {copy && <CopyWords copy={copy} />}
              </>
            );
          const newest = kept.at(-1);
          return (
            <>
              {last?.fault != null && (
                <p className="font-semibold text-brick">
                  ▲ The one of {instantWords(last.at)} failed: {last.fault}. It is tried again each hour.
                </p>
              )}
              <p>
                {newest === undefined
                  ? 'None yet; the first is made within some minutes.'
                  : `${countWords(kept.length, 'day')} kept, the newest of ${dateWords(newest)}.`}
                {last?.entries != null &&
                  ` It was restored to see that it is whole: ${countWords(last.entries, 'entry', 'entries')}.`}
              </p>
              {copy && <CopyWords copy={copy} />}
              <p className="text-soft">One a day, each kept for {countWords(keepDays, 'day')}.</p>
            </>
          );
        }}
      </Loaded>
    </Section>
  );
}

const CopyWords = ({
  copy: { to, runs, fault },
}: {
  copy: { to: string; runs: boolean; fault: string | null };
}) =>
  runs && fault === null ? (
    <p>What is written is copied to {to} within a second or two.</p>
  ) : (
    <p className="font-semibold text-brick">
      ▲ The continuous copy to {to} {runs ? 'meets an error' : 'does not run'}
      {fault !== null && `: ${fault}`}.
    </p>
  );
