/** What mail says, as plain text: what falls due by site, dates that passed, and the link for a new password. */
import type { DueRow } from '../../contract/api';
import { dayOf } from '../../core/quantity/day';
import { OBLIGATION_WORDS } from '../../words/codes';
import { countWords } from '../../words/counts';
import { dateWords, dayWords, untilWords } from '../../words/dates';
import { listAnd } from '../../words/list';
import { whyWords } from '../../words/why';

/** How links in mail are opened; `onlyHere`: nobody said how others reach this server. */
export interface Links {
  base: string;
  onlyHere: boolean;
}

interface Ending {
  name: string;
  scheme: string;
  expires: string;
}

export interface DigestFacts {
  /** whose they are: of the company, that you serve, at your sites */
  of: string;
  days: number;
  rows: readonly DueRow[];
  /** more fall due than the mail holds */
  more: boolean;
  certificates: readonly Ending[];
}

const ONLY_HERE = 'Nobody told the app how others reach it: these links open on its own computer alone.';

const machineLine =
  ({ base }: Links) =>
  (row: DueRow): string =>
    [
      `- ${OBLIGATION_WORDS[row.kind]}: ${row.machineName}, ${dateWords(row.due)}, ${untilWords(dayOf(row.due), dayOf(row.today))}`,
      `  ${whyWords(row.why)}.`,
      `  ${base}/machines/${encodeURIComponent(row.machineId)}`,
    ].join('\n');

/** By site, in the order in which the first of each falls due. */
function bySite(rows: readonly DueRow[], links: Links): string {
  const sites = new Map<string, DueRow[]>();
  for (const row of rows) sites.set(row.siteName, [...(sites.get(row.siteName) ?? []), row]);
  return [...sites].map(([site, own]) => [site, ...own.map(machineLine(links))].join('\n')).join('\n\n');
}

const isLate = (row: DueRow): boolean => row.due < row.today;

const part = (title: string, body: string): string | null => (body === '' ? null : `${title}\n\n${body}`);

const letter = (parts: readonly (string | null)[], links: Links, end: string): string =>
  [...parts, links.onlyHere ? ONLY_HERE : null, end].filter((each) => each !== null).join('\n\n\n') + '\n';

const ending = (links: Links, unsubscribe: string): string =>
  `All of it: ${links.base}/due\nAnother time, another hour, or no such mail: ${unsubscribe}`;

/** null: nothing falls due. */
export function digestLetter(
  { of, days, rows, more, certificates }: DigestFacts,
  links: Links,
  unsubscribe: string,
): { subject: string; text: string } {
  const late = rows.filter(isLate);
  const coming = rows.filter((row) => !isLate(row));
  const counts = [
    late.length > 0 ? `${String(late.length)} late` : null,
    coming.length > 0 ? `${String(coming.length)} within ${String(days)} days` : null,
    certificates.length > 0
      ? countWords(certificates.length, 'certificate ending', 'certificates ending')
      : null,
  ].filter((each) => each !== null);
  const text = letter(
    [
      counts.length === 0
        ? `Of the machines ${of} nothing that the record tells falls due within ${String(days)} days. Machines that cannot be judged are not among it.`
        : `This falls due of the machines ${of}.`,
      part('LATE', bySite(late, links)),
      part('COMING', bySite(coming, links)),
      more ? `There is more than a mail holds: ${links.base}/due` : null,
      part(
        'CERTIFICATES ENDING',
        certificates
          .map(({ name, scheme, expires }) => `- ${name}, ${scheme || 'certificate'}, ${dateWords(expires)}`)
          .join('\n'),
      ),
    ],
    links,
    ending(links, unsubscribe),
  );
  return {
    subject: `Due: ${counts.length === 0 ? 'nothing' : listAnd(counts)}${more ? ', and more' : ''}`,
    text,
  };
}

/** To a manager, once: the date of these passed, and nothing says that they were done. */
export const passedLetter = (rows: readonly DueRow[], links: Links, unsubscribe: string) => ({
  subject: `Passed: ${countWords(rows.length, 'date')} without an entry that says it was kept`,
  text: letter(
    [
      'The date of these passed, and no entry says that it was done. Where it was done, write it down; where not, it is late.',
      bySite(rows, links),
    ],
    links,
    ending(links, unsubscribe),
  ),
});

export const passwordLetter = (name: string, token: string, goodUntil: string, links: Links) => ({
  subject: 'A new password',
  text: letter(
    [
      `${name}, somebody asked for a new password for your account. By this link you set one; it is good once, until ${dayWords(dayOf(goodUntil.slice(0, 10)))}.`,
      `${links.base}/join?token=${token}`,
    ],
    links,
    'If it was not you, do nothing: the old password stays good.',
  ),
});
