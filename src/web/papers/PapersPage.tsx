/** Papers: documents that were issued, and the ways in and out: import, export, calendars, labels. */
import { CalendarDays, Download, FileUp, Tag } from 'lucide-react';
import type { LucideIcon } from 'lucide-react';
import { Link } from 'react-router';
import type { EndpointName } from '../../contract/endpoints';
import { ForWriters } from '../data/api/ForWriters';
import { useIssuedPages } from '../data/api/queries';
import { useMay } from '../data/api/session';
import { LoadedPages } from '../parts/Pages';
import { Empty, Page, Section } from '../parts/Page';
import { IssuedList } from './IssuedList';
import { YearlyForm } from './YearlyForm';

const WAYS: readonly { to: string; reads: EndpointName; words: string; about: string; Icon: LucideIcon }[] = [
  {
    to: '/papers/import',
    reads: 'beginImport',
    words: 'Bring in',
    about: 'machines, people, bottles, gas logs and inspections from a spreadsheet; another logbook',
    Icon: FileUp,
  },
  {
    to: '/papers/export',
    reads: 'workbook',
    words: 'Take out',
    about: 'spreadsheets, a workbook, the whole logbook with its photos',
    Icon: Download,
  },
  {
    to: '/papers/calendars',
    reads: 'feeds',
    words: 'Calendars',
    about: 'deadlines in the calendar of a person, a site or an owner',
    Icon: CalendarDays,
  },
  {
    to: '/papers/labels',
    reads: 'labels',
    words: 'Labels',
    about: 'charge, part, bottle, machine with its code, “do not add gas”',
    Icon: Tag,
  },
];

export default function PapersPage() {
  const may = useMay();
  const issued = useIssuedPages(null);
  return (
    <Page title="Papers" subtitle="What leaves the house, and what comes in.">
      <ul className="mb-6 grid gap-3 sm:grid-cols-2">
        {WAYS.filter(({ reads }) => may(reads)).map(({ to, words, about, Icon }) => (
          <li key={to}>
            <Link
              to={to}
              className="flex min-h-16 items-center gap-4 rounded border border-line bg-card px-4 py-3"
            >
              <Icon aria-hidden="true" size={26} className="shrink-0 text-green" />
              <span>
                <span className="font-semibold text-green underline underline-offset-4">{words}</span>
                <span className="block text-[0.93rem] text-soft">{about}</span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
      <ForWriters of="issuePaper">
        <YearlyForm />
      </ForWriters>
      <Section title="Issued">
        <LoadedPages pages={issued} more="Show earlier ones">
          {(rows) =>
            rows.length === 0 ? (
              <Empty title="Nothing was issued yet">
                <p>
                  A document is issued where it belongs: the service record at hand-over, the leak-repair file
                  on its case, the record, full charge and yearly losses on the machine’s page, an inspection
                  or a plan at its entry in the logbook. Each gets a number, and stands here with to whom it
                  went.
                </p>
              </Empty>
            ) : (
              <IssuedList rows={rows} />
            )
          }
        </LoadedPages>
      </Section>
    </Page>
  );
}
