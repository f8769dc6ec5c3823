/** Calendars: deadlines in somebody's own calendar, by a secret address that can be withdrawn. */
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { copyText } from '../data/device/copyText';
import type { FeedRow, FeedScope } from '../../contract/feeds';
import { instantWords } from '../../words/dates';
import { useFeeds, useMakeFeed, useOwners, useWithdrawFeed } from '../data/api/queries';
import { OnlyHere } from '../data/api/OnlyHere';
import { useAddress } from '../data/api/session';
import { useWriter } from '../data/device/writer';
import { ApiError } from '../forms/ApiError';
import { SiteChoice } from '../forms/SiteChoice';
import { WriterField } from '../forms/WriterField';
import { Button } from '../parts/Button';
import { SelectField } from '../parts/Field';
import { Loaded, Page, Section } from '../parts/Page';
import { PapersLink } from './PapersLink';

const SCOPE_WORDS: Record<FeedScope, string> = {
  company: 'all machines',
  site: 'a site',
  owner: 'an owner',
  person: 'a person: the machines that they serve, and their certificates',
};

export default function CalendarsPage() {
  const feeds = useFeeds();
  return (
    <Page title="Calendars" subtitle={<PapersLink />}>
      <NewCalendar />
      <Section title="Made so far">
        <Loaded query={feeds}>
          {(rows) =>
            rows.length === 0 ? (
              <p className="text-soft">
                None yet. A calendar program that is given the address shows each deadline as a whole day,
                moves it when it moves, and takes it out when it is done.
              </p>
            ) : (
              <ol>
                {rows.map((row) => (
                  <Calendar key={row.id} row={row} />
                ))}
              </ol>
            )
          }
        </Loaded>
      </Section>
    </Page>
  );
}

function NewCalendar() {
  const { person, people } = useWriter();
  const owners = useOwners().data ?? [];
  const make = useMakeFeed();
  const [scope, setScope] = useState<FeedScope>('company');
  const [of, setOf] = useState('');
  const lacking = scope !== 'company' && of === '';
  return (
    <Section title="New calendar">
      <div className="grid max-w-3xl gap-x-4 sm:grid-cols-2">
        <SelectField
          label="Deadlines of"
          value={scope}
          choices={Object.entries(SCOPE_WORDS).map(([value, words]) => ({ value, words }))}
          onChange={(event) => {
            setScope(event.target.value as FeedScope);
            setOf('');
          }}
        />
        {scope === 'site' && <SiteChoice label="Site" labelled none="choose" value={of} onChange={setOf} />}
        {(scope === 'owner' || scope === 'person') && (
          <SelectField
            label={scope === 'owner' ? 'Owner' : 'Person'}
            value={of}
            choices={[
              { value: '', words: 'choose' },
              ...(scope === 'owner' ? owners : people).map(({ id, name }) => ({ value: id, words: name })),
            ]}
            onChange={(event) => setOf(event.target.value)}
          />
        )}
      </div>
      <WriterField />
      <ApiError error={make.error} />
      <Button
        weight="main"
        className="mt-2"
        disabled={lacking || !person || make.isPending}
        onClick={() => make.mutate({ id: uuidv7(), scope, of: of || null, by: person?.id ?? '' })}
      >
        Make the calendar
      </Button>
    </Section>
  );
}

function Calendar({ row }: { row: FeedRow }) {
  const withdraw = useWithdrawFeed(row.id);
  const { base } = useAddress();
  const address = `${base}/api/calendars/${row.token}.ics`;
  const gone = row.withdrawnAt !== null;
  const copy = () =>
    copyText(address, 'The address', 'The address is copied. Whoever has it can read these deadlines.');
  return (
    <li className="rule-b flex flex-wrap items-center gap-x-3 gap-y-1 py-2">
      <div className="min-w-0 flex-1 basis-72">
        <p className="font-semibold">{row.name}</p>
        {gone ? (
          <p className="text-soft">
            ○ withdrawn {instantWords(row.withdrawnAt ?? '')}: the address answers nothing
          </p>
        ) : (
          <>
            <p className="break-all text-[0.93rem]">{address}</p>
            <OnlyHere what="This address" />
          </>
        )}
        <ApiError error={withdraw.error} />
      </div>
      {!gone && (
        <>
          <Button onClick={copy}>Copy the address</Button>
          <Button disabled={withdraw.isPending} onClick={() => withdraw.mutate(undefined)}>
            Withdraw
          </Button>
        </>
      )}
    </li>
  );
}
