/** The inspector's view: all that the rules want on record about one machine, printable, with its gaps named. */
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { ENTRY_KINDS, type EntryKind } from '../../core/logbook/entry';
import { grams, massText } from '../../core/quantity/mass';
import { PERCENT_SCALE } from '../../core/rules/leakRate';
import { judgedRate } from '../../core/rules/judgedRate';
import { recordGaps } from '../../core/rules/recordGaps';
import { useWriter } from '../data/writer';
import { CannotJudge } from '../panels/CannotJudge';
import { Button } from '../parts/Button';
import { Loaded, Page, Section } from '../parts/Page';
import {
  CASE_STATE_WORDS,
  CATEGORY_WORDS,
  CLOSED_WORDS,
  DETECTION_WORDS,
  KIND_WORDS,
  METHOD_WORDS,
  OBLIGATION_STATE_WORDS,
  OBLIGATION_WORDS,
  PACK_WORDS,
} from '../../words/codes';
import { dateWords, dayWords } from '../../words/dates';
import { fullChargeWords } from '../../words/fullCharge';
import { exceedsWords, limitWords, percentText } from '../../words/rod';
import { entryTitle, sentenceOf } from '../../record/sentence';
import { gapWords } from '../../words/gaps';
import { stateOf } from '../../core/rules/obligation';
import { unjudged } from '../../core/rules/unjudged';
import { type MachineView, useMachineView } from '../data/machineView';

export default function RecordPage() {
  const { id = '' } = useParams();
  const { query, view } = useMachineView(id);
  if (view) return <Record view={view} />;
  return (
    <Page title="Record">
      <Loaded query={query}>{() => null}</Loaded>
    </Page>
  );
}

function Record({ view }: { view: MachineView }) {
  const { machine, standing, today, system } = view;
  const { people } = useWriter();
  const gaps = recordGaps(standing, people);
  const { present } = standing;
  const facts: [string, string][] = [
    ['Site', machine.site.name],
    [
      'Machine',
      `${machine.appliance.name}, ${KIND_WORDS[machine.appliance.kind]}${machine.appliance.assembly ? `, circuit of ${machine.appliance.assembly}` : ''}`,
    ],
    ['Category', CATEGORY_WORDS[present.category]],
    ['Refrigerant', `${present.refrigerant.name}, GWP ${String(Math.round(present.refrigerant.gwp))}`],
    ['Full charge', fullChargeWords(standing.history, system) ?? 'not determined'],
    ['Installed', dateOr(machine.appliance.installedOn)],
    ['Record begins', dateOr(machine.appliance.recordFrom)],
    ['Automatic leak detection', DETECTION_WORDS[present.detection]],
    [
      'Rules that cover',
      present.covering.map((pack) => `${PACK_WORDS[pack.id]} (${pack.source.cite})`).join('; ') || 'none',
    ],
    ['Retired', standing.history.retiredOn === null ? 'no' : dayWords(standing.history.retiredOn)],
  ];
  return (
    <Page
      title={`Record of ${machine.appliance.name}`}
      subtitle={`${machine.site.name} · as of ${dayWords(today)}`}
      actions={
        <>
          <Link
            className="flex min-h-11 items-center px-3 font-semibold text-green underline underline-offset-4"
            to={`/machines/${encodeURIComponent(machine.appliance.id)}`}
          >
            Back to the machine
          </Link>
          <Button onClick={() => window.print()}>Print</Button>
        </>
      }
    >
      <dl className="mb-6 grid gap-x-8 gap-y-2 sm:grid-cols-2 lg:grid-cols-3">
        {facts.map(([term, value]) => (
          <div key={term}>
            <dt className="text-soft">{term}</dt>
            <dd className="font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      <CannotJudge standing={standing} system={system} />
      <Section title="Gaps">
        {gaps.length === 0 ? (
          <p>None: everything that the rules want to know is on record.</p>
        ) : (
          <ul>
            {gaps.map((gap, index) => (
              <li key={index} className="rule-b grid grid-cols-[8rem_1fr] gap-3 py-1">
                <span className="text-soft">{gap.day === null ? '' : dayWords(gap.day)}</span>
                <span>{gapWords(gap, view.names)}</span>
              </li>
            ))}
          </ul>
        )}
      </Section>
      <Additions view={view} />
      <Section title="Cases and duties">
        {standing.cases.length === 0 && (
          <p className="text-soft">
            {unjudged(standing) === null ? 'No case.' : 'Whether a case should run cannot be judged.'}
          </p>
        )}
        <Table
          head={['Rule', 'Opened', 'State', 'Repair due', 'First test', 'Second test']}
          rows={standing.cases.map((each) => [
            PACK_WORDS[each.case.pack.id],
            dayWords(each.case.openedOn),
            each.case.closedOn !== null && each.case.closedBecause
              ? `closed ${dayWords(each.case.closedOn)}: ${CLOSED_WORDS[each.case.closedBecause]}`
              : CASE_STATE_WORDS[each.state],
            dayWords(each.repairDue),
            each.initialPassedOn === null ? '–' : dayWords(each.initialPassedOn),
            each.followUpPassedOn === null ? '–' : dayWords(each.followUpPassedOn),
          ])}
        />
        <Table
          head={['Duty', 'Rule', 'Due', 'State']}
          rows={standing.obligations.map((each) => [
            OBLIGATION_WORDS[each.kind],
            `${PACK_WORDS[each.pack.id]}, ${each.source.cite}`,
            dayWords(each.due),
            each.doneOn === null
              ? OBLIGATION_STATE_WORDS[stateOf(each, today)]
              : `done ${dayWords(each.doneOn)}${each.doneOn > each.due ? ', late' : ''}`,
          ])}
        />
      </Section>
      {SECTIONS.map(([title, kinds]) => (
        <EntryTable key={title} title={title} kinds={kinds} view={view} />
      ))}
      <EntryTable title="Work and readings" kinds={OTHER_KINDS} view={view} />
    </Page>
  );
}

const SECTIONS: [string, EntryKind[]][] = [
  ['Full charge determinations', ['fullChargeSet']],
  ['Gas added and recovered', ['refrigerantAdded', 'refrigerantRecovered']],
  ['Leaks and repairs', ['leakFound', 'leakRepaired']],
  ['Tests after repair', ['verificationTest', 'normalOperation']],
  ['Leak inspections', ['leakInspection']],
  ['Extensions and shutdowns', ['extension', 'processShutdown', 'mothballed', 'unrelatedLeak']],
  ['Plans and reports', ['planFiled', 'planCompleted', 'reportFiled']],
  ['Changes of the machine', ['applianceChanged', 'retrofitted', 'retired']],
  ['Leak detection', ['detectionCheck', 'detectionAlarm']],
];

/** Whatever was written stands somewhere in the record. */
const OTHER_KINDS: readonly EntryKind[] = ENTRY_KINDS.filter(
  (kind) => kind !== 'void' && !SECTIONS.some(([, kinds]) => kinds.includes(kind)),
);

function EntryTable({
  title,
  kinds,
  view,
}: {
  title: string;
  kinds: readonly EntryKind[];
  view: MachineView;
}) {
  const { people } = useWriter();
  const entries = view.standing.history.entries.filter(({ entry }) => kinds.includes(entry.kind));
  if (entries.length === 0) return null;
  const writer = (id: string) => {
    const person = people.find((each) => each.id === id);
    const certificate = person?.certificates?.[0];
    return `${person?.name ?? id}${certificate ? `, ${certificate.scheme ?? ''} ${certificate.number ?? ''}` : ''}`;
  };
  return (
    <Section title={title}>
      <Table
        head={['Day', 'What', 'By, certificate', 'Note']}
        rows={entries.map(({ entry }) => [
          dateWords(entry.on),
          `${entryTitle(entry)} ${sentenceOf(entry, view.system, view.names)}`,
          writer(entry.by),
          [entry.note, entry.supersedes && `corrected: ${entry.correctionReason ?? ''}`]
            .filter(Boolean)
            .join('; '),
        ])}
      />
    </Section>
  );
}

function Additions({ view: { standing, system } }: { view: MachineView }) {
  const percent = (millionths: number | null) =>
    millionths === null ? 'not known' : percentText(millionths / PERCENT_SCALE);
  if (standing.additions.length === 0) return null;
  return (
    <Section title="Leak rate at each addition">
      <Table
        head={[
          'Day',
          'Counts',
          'Full charge',
          'Annualizing',
          'Rolling average',
          'Method',
          'Limit',
          'Exceeds',
        ]}
        rows={standing.additions.map((each) => {
          const judged = judgedRate(each, standing.ledger);
          return [
            dayWords(each.gasDay.day),
            each.gasDay.unknown ? 'not weighed' : massText(grams(each.gasDay.net), system),
            each.spell.fullCharge === null ? 'not known' : massText(grams(each.spell.fullCharge), system),
            percent(each.annualizing.millionths),
            percent(each.rolling.millionths),
            METHOD_WORDS[each.method],
            each.spell.fullCharge === null ? 'not known' : limitWords(judged),
            exceedsWords(judged),
          ];
        })}
      />
    </Section>
  );
}

const dateOr = (date: string | null | undefined): string => (date == null ? 'not recorded' : dateWords(date));

/** A plain table; on a phone each row becomes a block with its headings. */
function Table({ head, rows }: { head: string[]; rows: ReactNode[][] }) {
  if (rows.length === 0) return null;
  return (
    <table className="mb-3 block w-full text-left text-[0.93rem] sm:table">
      <thead className="hidden sm:table-header-group">
        <tr className="rule-b">
          {head.map((each) => (
            <th key={each} scope="col" className="py-1 pr-3">
              {each}
            </th>
          ))}
        </tr>
      </thead>
      <tbody className="block sm:table-row-group">
        {rows.map((row, index) => (
          <tr key={index} className="rule-b block py-1 sm:table-row">
            {row.map((cell, at) => (
              <td key={at} className="block break-words align-top sm:table-cell sm:py-1 sm:pr-3">
                <span className="mr-2 text-soft sm:hidden">{head[at]}:</span>
                {cell}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
