/** The company: its own row, people with their certificates, owners, instruments; each with its history. */
import { useState } from 'react';
import { Link } from 'react-router';
import { COMPANY_ID, type RowTable } from '../../contract/rows';
import { useCompany, useVerify } from '../data/api/queries';
import { Button, ButtonLink } from '../parts/Button';
import { Loaded, Page, Section } from '../parts/Page';
import { Accounts } from './Accounts';
import { Backups } from './Backups';
import { useMay } from '../data/api/session';
import { HistoryDialog } from '../forms/rows/RowHistory';
import { RowDialog } from '../forms/rows/RowDialog';
import { type OpenDialog, type Open, Line, People, Owners, Instruments } from './Tables';
import { countWords } from '../../words/counts';

export default function CompanyPage() {
  const [opened, setOpened] = useState<OpenDialog | null>(null);
  const may = useMay();
  const close = () => setOpened(null);
  return (
    <Page
      title="Company"
      subtitle="Who writes this logbook, who owns the machines, and with what was measured."
      actions={<ButtonLink to="/changes">Who changed what</ButtonLink>}
    >
      <div className="grid gap-x-10 lg:grid-cols-2">
        <div>
          <Own open={setOpened} />
          <People open={setOpened} />
          {may('accounts') && <Accounts />}
        </div>
        <div>
          <Owners open={setOpened} />
          <Instruments open={setOpened} />
          <Chain />
          {may('backups') && <Backups />}
        </div>
      </div>
      {opened?.how === 'history' && (
        <HistoryDialog table={opened.table} id={opened.id} title={opened.title} onClose={close} />
      )}
      {opened?.how === 'change' && <RowDialog table={opened.table} id={opened.id} onClose={close} />}
      {opened?.how === 'add' && (
        <RowDialog
          table={opened.table}
          id={opened.id}
          fresh={opened.table === 'company' ? {} : { id: opened.id, ...FRESH[opened.table] }}
          onClose={close}
        />
      )}
    </Page>
  );
}

const FRESH: Partial<Record<RowTable, Record<string, unknown>>> = {
  instruments: { dimension: 'pressure', offset: 0, checkEveryMonths: 12 },
};

function Own({ open }: { open: Open }) {
  const company = useCompany();
  return (
    <Section title="The company itself">
      <Loaded query={company}>
        {(row) =>
          row === null ? (
            <>
              <p className="mb-3 text-soft">
                Not written down yet. Its name, address and numbers stand on every paper.
              </p>
              <Button
                onClick={() => open({ table: 'company', id: COMPANY_ID, title: 'the company', how: 'add' })}
              >
                Write it down
              </Button>
            </>
          ) : (
            <ul>
              <Line table="company" id={COMPANY_ID} title={row.name ?? 'without a name'} open={open}>
                <p className="whitespace-pre-line text-soft">
                  {[row.address, row.contact].filter(Boolean).join('\n') || 'no address yet'}
                </p>
              </Line>
            </ul>
          )
        }
      </Loaded>
    </Section>
  );
}

/** Whether anything was altered outside the app. */
function Chain() {
  const chain = useVerify();
  return (
    <Section title="Seals">
      <Loaded query={chain}>
        {({ entries, revisions, intact, brokenAt, alteredRows }) => (
          <>
            <p className={intact ? '' : 'font-semibold text-brick'}>
              {intact
                ? `${countWords(entries, 'entry', 'entries')} and ${countWords(revisions, 'change of a row', 'changes of rows')}, every seal intact: nothing was altered or removed.`
                : brokenAt
                  ? `▲ The chain of seals breaks at number ${String(brokenAt.sequence)}: something was altered outside the app.`
                  : `▲ Altered outside the app: ${alteredRows.map((each) => `${each.table} ${each.id}`).join(', ')}.`}
            </p>
            <p className="mt-2">
              <Link className="font-semibold text-green underline underline-offset-4" to="/papers/export">
                Take the logbook out as a file
              </Link>
            </p>
          </>
        )}
      </Loaded>
    </Section>
  );
}
