/** The company: its own row, people with their certificates, owners, instruments; each with its history. */
import { type ReactNode, useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { COMPANY_ID, type RowTable } from '../../contract/rows';
import { dayOf } from '../../core/quantity/day';
import { checkState } from '../../core/visit/instrument';
import { useWriter } from '../data/writer';
import { useCompany, useInstruments, useOwners, useToday, useVerify } from '../data/queries';
import { Button, ButtonLink } from '../parts/Button';
import { Loaded, Page, Section } from '../parts/Page';
import { HistorySheet } from '../forms/rows/RowHistory';
import { RowSheet } from '../forms/rows/RowSheet';
import { DIMENSION_WORDS } from '../../words/codes';
import { dateWords, dayWords } from '../../words/dates';

interface Opened {
  table: RowTable;
  id: string;
  title: string;
  how: 'change' | 'history' | 'add';
}

type Open = (opened: Opened) => void;

export default function CompanyPage() {
  const [opened, setOpened] = useState<Opened | null>(null);
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
        </div>
        <div>
          <Owners open={setOpened} />
          <Instruments open={setOpened} />
          <Chain />
        </div>
      </div>
      {opened?.how === 'history' && (
        <HistorySheet table={opened.table} id={opened.id} title={opened.title} onClose={close} />
      )}
      {opened?.how === 'change' && <RowSheet table={opened.table} id={opened.id} onClose={close} />}
      {opened?.how === 'add' && (
        <RowSheet
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

/** One row with what can be done to it. */
function Line({
  table,
  id,
  title,
  open,
  children,
}: {
  table: RowTable;
  id: string;
  title: string;
  open: Open;
  children: ReactNode;
}) {
  return (
    <li className="rule-b flex flex-wrap items-center justify-between gap-x-4 py-1.5">
      <div className="min-w-0 flex-1 basis-56">
        <p className="font-semibold">{title}</p>
        {children}
      </div>
      <div className="no-print flex">
        <Button
          weight="quiet"
          className="px-2"
          aria-label={`Change ${title}`}
          onClick={() => open({ table, id, title, how: 'change' })}
        >
          Change
        </Button>
        <Button
          weight="quiet"
          className="px-2"
          aria-label={`History of ${title}`}
          onClick={() => open({ table, id, title, how: 'history' })}
        >
          History
        </Button>
      </div>
    </li>
  );
}

const adding = (table: RowTable): Opened => ({ table, id: uuidv7(), title: '', how: 'add' });

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

function People({ open }: { open: Open }) {
  const { people } = useWriter();
  const today = useToday(Intl.DateTimeFormat().resolvedOptions().timeZone);
  return (
    <Section title="People">
      {people.length === 0 && <p className="mb-3 text-soft">Nobody is on the list yet.</p>}
      <ul>
        {people.map((person) => (
          <Line key={person.id} table="people" id={person.id} title={person.name} open={open}>
            <p className="text-soft">{person.role ?? 'no role recorded'}</p>
            {(person.certificates ?? []).map((each) => {
              const ended = each.expires != null && today !== null && dayOf(each.expires) < today;
              return (
                <p
                  key={`${each.scheme ?? ''}${each.number ?? ''}`}
                  className={ended ? 'font-semibold text-brick' : 'text-soft'}
                >
                  {ended && '▲ '}
                  {[each.scheme, each.number].filter(Boolean).join(' ')}
                  {each.expires != null && `, ${ended ? 'ended' : 'until'} ${dateWords(each.expires)}`}
                </p>
              );
            })}
          </Line>
        ))}
      </ul>
      <Button className="mt-3" onClick={() => open(adding('people'))}>
        Add a person
      </Button>
    </Section>
  );
}

function Owners({ open }: { open: Open }) {
  const owners = useOwners();
  return (
    <Section title="Owners">
      <Loaded query={owners}>
        {(rows) => (
          <>
            {rows.length === 0 && (
              <p className="mb-3 text-soft">
                None yet. The owner has the duty in law, and recovered gas goes back only to its owner.
              </p>
            )}
            <ul>
              {rows.map((owner) => (
                <Line key={owner.id} table="owners" id={owner.id} title={owner.name} open={open}>
                  <p className="whitespace-pre-line text-soft">
                    {[owner.address, owner.contact].filter(Boolean).join('\n') || 'no address yet'}
                  </p>
                </Line>
              ))}
            </ul>
            <Button className="mt-3" onClick={() => open(adding('owners'))}>
              Add an owner
            </Button>
          </>
        )}
      </Loaded>
    </Section>
  );
}

function Instruments({ open }: { open: Open }) {
  const instruments = useInstruments();
  const today = useToday(Intl.DateTimeFormat().resolvedOptions().timeZone);
  return (
    <Section title="Instruments">
      <Loaded query={instruments}>
        {(rows) => (
          <>
            {rows.length === 0 && (
              <p className="mb-3 text-soft">
                None yet. Gauges lie: each has an offset and a day of its last check.
              </p>
            )}
            <ul>
              {rows.map((each) => {
                const check = today === null ? null : checkState(each, today);
                return (
                  <Line key={each.id} table="instruments" id={each.id} title={each.name} open={open}>
                    <p className="text-soft">{DIMENSION_WORDS[each.dimension]}</p>
                    {check && (
                      <p className={check.state === 'inDate' ? 'text-soft' : 'font-semibold text-ochre'}>
                        {check.state === 'neverChecked'
                          ? '◐ never checked'
                          : `${check.state === 'overdue' ? '◐ check was due' : 'next check'} ${dayWords(check.due)}`}
                      </p>
                    )}
                  </Line>
                );
              })}
            </ul>
            <Button className="mt-3" onClick={() => open(adding('instruments'))}>
              Add an instrument
            </Button>
          </>
        )}
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
                ? `${String(entries)} entries and ${String(revisions)} changes of rows, every seal intact: nothing was altered or removed.`
                : brokenAt
                  ? `▲ The chain of seals breaks at number ${String(brokenAt.sequence)}: something was altered outside the app.`
                  : `▲ Altered outside the app: ${alteredRows.map((each) => `${each.table} ${each.id}`).join(', ')}.`}
            </p>
            <p className="mt-2">
              <a
                className="font-semibold text-green underline underline-offset-4"
                href="/api/logbook"
                download
              >
                Save the whole logbook as a file
              </a>
            </p>
          </>
        )}
      </Loaded>
    </Section>
  );
}
