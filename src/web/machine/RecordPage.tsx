/** The inspector's view: all that the rules want on record about one machine, printable, with its gaps named. */
import { Link, useParams } from 'react-router';
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
  OBLIGATION_STATE_WORDS,
  OBLIGATION_WORDS,
  PACK_WORDS,
} from '../../words/codes';
import { dayWords } from '../../words/dates';
import { fullChargeWords } from '../../words/fullCharge';
import { gapWords } from '../../words/gaps';
import { stateOf } from '../../core/rules/obligation';
import { unjudged } from '../../core/rules/unjudged';
import { type MachineView, useMachineView } from '../data/machineView';
import { SECTIONS, OTHER_KINDS, EntryTable, Additions, dateOr, Table } from './recordTables';

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
