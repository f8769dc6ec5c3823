/** The company's people, owners and instruments, each with the way to put it right. */
import { ForWriters } from '../data/api/ForWriters';
import { type ReactNode } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { HERE } from '../data/device/here';
import { type RowTable } from '../../contract/rows';
import { dayOf } from '../../core/quantity/day';
import { checkState } from '../../core/visit/instrument';
import { useWriter } from '../data/device/writer';
import { useInstruments, useOwners, useToday } from '../data/api/queries';
import { Button } from '../parts/Button';
import { Loaded, Section } from '../parts/Page';
import { DIMENSION_WORDS } from '../../words/codes';
import { dateWords, dayWords } from '../../words/dates';
import { photoAddress } from '../data/addresses/photoAddress';
import { hasLeft } from '../../core/logbook/people';

export interface OpenDialog {
  table: RowTable;
  id: string;
  title: string;
  how: 'change' | 'history' | 'add';
}

export type Open = (opened: OpenDialog) => void;

/** One row with what can be done to it. */
export function Line({
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
        <ForWriters>
          <Button
            weight="quiet"
            className="px-2"
            aria-label={`Change ${title}`}
            onClick={() => open({ table, id, title, how: 'change' })}
          >
            Change
          </Button>
        </ForWriters>
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

const adding = (table: RowTable): OpenDialog => ({ table, id: uuidv7(), title: '', how: 'add' });

export function People({ open }: { open: Open }) {
  const { people } = useWriter();
  const today = useToday(HERE);
  return (
    <Section title="People">
      {people.length === 0 && <p className="mb-3 text-soft">Nobody is on the list yet.</p>}
      <ul>
        {people.map((person) => (
          <Line key={person.id} table="people" id={person.id} title={person.name} open={open}>
            <p className="text-soft">
              {person.role ?? 'no role recorded'}
              {person.leftOn != null &&
                `, ${today !== null && hasLeft(person, today) ? 'left' : 'leaves'} ${dateWords(person.leftOn)}`}
            </p>
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
                  {each['x-photo'] != null && (
                    <a
                      className="ml-3 inline-flex min-h-11 items-center font-semibold text-green underline underline-offset-4"
                      href={photoAddress(each['x-photo'])}
                      target="_blank"
                      rel="noreferrer"
                    >
                      picture
                    </a>
                  )}
                </p>
              );
            })}
          </Line>
        ))}
      </ul>
      <ForWriters>
        <Button className="mt-3" onClick={() => open(adding('people'))}>
          Add a person
        </Button>
      </ForWriters>
    </Section>
  );
}

export function Owners({ open }: { open: Open }) {
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
            <ForWriters>
              <Button className="mt-3" onClick={() => open(adding('owners'))}>
                Add an owner
              </Button>
            </ForWriters>
          </>
        )}
      </Loaded>
    </Section>
  );
}

export function Instruments({ open }: { open: Open }) {
  const instruments = useInstruments();
  const today = useToday(HERE);
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
            <ForWriters>
              <Button className="mt-3" onClick={() => open(adding('instruments'))}>
                Add an instrument
              </Button>
            </ForWriters>
          </>
        )}
      </Loaded>
    </Section>
  );
}
