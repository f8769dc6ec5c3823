/** Taking out: the whole logbook or a part of it, as tables for a spreadsheet or whole, to be read again. */
import { Fragment, useState } from 'react';
import { OUT_TABLES, type ExportScope, type OutTable } from '../../contract/exports';
import { parseDay } from '../../core/quantity/day';
import { staysOutWords } from '../../words/staysOut';
import { exportAddress } from '../data/addresses/exportAddress';
import { useOwners } from '../data/api/queries';
import { useSignedIn } from '../data/api/session';
import { SiteChoice } from '../forms/SiteChoice';
import { SelectField, TextField } from '../parts/Field';
import { Page, Section } from '../parts/Page';
import { PapersLink } from './PapersLink';

const TABLE_WORDS: Record<OutTable, string> = {
  machines: 'Machines',
  gas: 'Gas log',
  leaks: 'Leaks, repairs, tests',
  inspections: 'Leak inspections',
  entries: 'Every entry, in words',
  sites: 'Sites',
  people: 'People',
  bottles: 'Bottles',
};

const EMPTY = { site: '', owner: '', from: '', to: '' };

export default function ExportPage() {
  // A representative takes out what is her owner's.
  const own = useSignedIn()?.ownerId ?? '';
  const [asked, setAsked] = useState({ ...EMPTY, owner: own });
  const owners = useOwners().data ?? [];
  const set = (part: Partial<typeof EMPTY>) => setAsked({ ...asked, ...part });
  const wrong = (day: string): string | null =>
    day !== '' && parseDay(day) === null ? 'Write the day as 2026-01-01.' : null;
  const turned = asked.from !== '' && asked.to !== '' && asked.from > asked.to;
  const bad = wrong(asked.from) !== null || wrong(asked.to) !== null || turned;
  const scope = Object.fromEntries(Object.entries(asked).filter(([, value]) => value !== '')) as ExportScope;
  const whole = Object.keys(scope).length === 0;
  const link = (path: string, words: string, about: string) => (
    <Download to={bad ? null : exportAddress(path, scope)} words={words} about={about} />
  );
  return (
    <Page title="Take out" subtitle={<PapersLink />}>
      <Section title="Which part">
        <div className="grid max-w-4xl gap-x-4 sm:grid-cols-2 lg:grid-cols-4">
          <SiteChoice
            label="Site"
            labelled
            none="all sites"
            value={asked.site}
            onChange={(site) => set({ site })}
          />
          <SelectField
            label="Owner"
            value={asked.owner}
            choices={[
              ...(own === '' ? [{ value: '', words: 'all owners' }] : []),
              ...owners.map(({ id, name }) => ({ value: id, words: name })),
            ]}
            onChange={(event) => set({ owner: event.target.value })}
          />
          <TextField
            label="From"
            optional
            placeholder="YYYY-MM-DD"
            value={asked.from}
            error={wrong(asked.from)}
            onChange={(event) => set({ from: event.target.value.trim() })}
          />
          <TextField
            label="To"
            optional
            placeholder="YYYY-MM-DD"
            value={asked.to}
            error={wrong(asked.to) ?? (turned ? 'Lies before the day it begins with.' : null)}
            onChange={(event) => set({ to: event.target.value.trim() })}
          />
        </div>
        <p className="text-soft">
          {whole
            ? 'Everything in the logbook.'
            : 'Only this part. Rates of a part of the time say nothing of the rest: leave the days open where rates are wanted.'}
        </p>
      </Section>
      <Section title="For a spreadsheet">
        <ul>
          {link('/workbook', 'Workbook (XLSX)', 'every table below as a sheet of one file')}
          {OUT_TABLES.map((table) => (
            <Fragment key={table}>{link(`/tables/${table}`, `${TABLE_WORDS[table]} (CSV)`, '')}</Fragment>
          ))}
        </ul>
      </Section>
      <Section title="To be read again">
        <ul>
          {link(
            '/logbook',
            'Logbook (JSON)',
            'the open format: rows, entries and their seals; photos and documents by their names alone',
          )}
          {link(
            '/logbook.zip',
            'Logbook with photos and documents (zip)',
            'the same, with everything that is attached',
          )}
        </ul>
      </Section>
      <Section title="What stays here">
        <ul className="list-disc pl-5">
          {staysOutWords(scope).map((words) => (
            <li key={words}>{words}.</li>
          ))}
        </ul>
      </Section>
    </Page>
  );
}

/** `to`: null while what is asked for cannot be read. */
const Download = ({ to, words, about }: { to: string | null; words: string; about: string }) => (
  <li className="rule-b flex flex-wrap items-center gap-x-4 py-1">
    {to === null ? (
      <span className="flex min-h-11 items-center font-semibold text-soft">{words}</span>
    ) : (
      <a
        className="flex min-h-11 items-center font-semibold text-green underline underline-offset-4"
        href={to}
        download
      >
        {words}
      </a>
    )}
    <span className="text-soft">{about}</span>
  </li>
);
