/** A case from exceedance or detection to closure: a lane of what was done and what comes next. */
import { Link, useParams } from 'react-router';
import { dayText, parseDay } from '../../core/quantity/day';
import type { CaseStanding } from '../../core/rules/caseDeadlines';
import { useMachineView, type MachineView } from '../data/api/machineView';
import { issueAddress } from '../data/addresses/paperAddress';
import { ButtonLink } from '../parts/Button';
import { Empty, Loaded, Page, Section } from '../parts/Page';
import { WorkingDisclosure } from '../parts/Working';
import { CASE_STATE_WORDS, CLOSED_WORDS, PACK_WORDS } from '../../words/codes';
import { dayWords } from '../../words/dates';
import { annualizingWorking, rollingWorking } from '../../words/working';
import { rateFigure } from '../../words/rod';
import { labelOf } from '../../core/logbook/leakLabels';
import { judgedRate } from '../../core/rules/judgedRate';
import { CaseActions } from './CaseActions';
import { CaseObligations } from './CaseDuties';
import { Lane } from './Lane';

export default function CasePage() {
  const { id = '', pack = '', openedOn = '' } = useParams();
  const { query, view } = useMachineView(id);
  if (!view) {
    return (
      <Page title="Case">
        <Loaded query={query}>{() => null}</Loaded>
      </Page>
    );
  }
  const day = parseDay(openedOn);
  const found = view.standing.cases.findLast(
    (each) => each.case.pack.id === pack && each.case.openedOn === day,
  );
  if (!found) {
    return (
      <Page title="Case">
        <Empty title="There is no such case any more">
          <p>
            An entry was corrected or voided, and with it the case. The logbook of the machine has both
            versions.
          </p>
          <ButtonLink to={`/machines/${encodeURIComponent(id)}`} weight="main" className="mt-4">
            Open the machine
          </ButtonLink>
        </Empty>
      </Page>
    );
  }
  return <Shown view={view} found={found} />;
}

function Shown({ view, found }: { view: MachineView; found: CaseStanding }) {
  const { machine, standing } = view;
  const { pack, openedOn, closedOn, closedBecause, leaks } = found.case;
  const good = found.state === 'closed' || found.state === 'verified';
  return (
    <Page
      title={`Case of ${dayWords(openedOn)}`}
      subtitle={
        <>
          <p>
            <Link
              className="underline decoration-line underline-offset-4"
              to={`/machines/${encodeURIComponent(machine.appliance.id)}`}
            >
              {machine.appliance.name}
            </Link>{' '}
            · {machine.site.name} · {PACK_WORDS[pack.id]}
          </p>
          <p className={`font-semibold ${good ? 'text-green' : 'text-brick'}`}>
            {good ? '○' : '◆'} {CASE_STATE_WORDS[found.state]}
            {closedOn !== null && closedBecause && ` ${dayWords(closedOn)}: ${CLOSED_WORDS[closedBecause]}`}
          </p>
        </>
      }
    >
      <div className="grid gap-x-10 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
        <div>
          <Section title="What was done, and what comes next">
            <Lane view={view} found={found} />
          </Section>
        </div>
        <div>
          <p className="no-print mb-4">
            <ButtonLink
              to={issueAddress({
                document: 'leakRepairFile',
                machine: machine.appliance.id,
                pack: pack.id,
                opened: dayText(openedOn),
              })}
            >
              Leak-repair file
            </ButtonLink>
          </p>
          <CaseActions view={view} found={found} />
          <Section title="Why it opened">
            <Opening view={view} found={found} />
          </Section>
          <Section title="Leaks of the case">
            {leaks.length === 0 && (
              <p className="text-soft">
                None is recorded. Until one is, tests of the whole machine stand for it.
              </p>
            )}
            <ul>
              {leaks.map((leak) => (
                <li key={leak.id} className="rule-b py-2">
                  <p className="font-semibold">Leak {labelOf(view.names.leaks, leak.id)}</p>
                  <ol className="flex flex-wrap gap-x-4 text-[0.93rem]">
                    <li>● found {dayWords(leak.openedOn)}</li>
                    <li>
                      {leak.repairedOn === null
                        ? '○ not repaired'
                        : `● repaired ${dayWords(leak.repairedOn)}${leak.evacuated ? ', evacuated' : ''}`}
                    </li>
                    <li>
                      {leak.firstPassOn === null
                        ? '○ first test'
                        : `● first test ${dayWords(leak.firstPassOn)}`}
                    </li>
                    <li>
                      {leak.verifiedOn === null
                        ? '○ second test'
                        : `● second test ${dayWords(leak.verifiedOn)}`}
                    </li>
                  </ol>
                </li>
              ))}
            </ul>
          </Section>
          <CaseObligations standing={standing} found={found} today={view.today} />
        </div>
      </div>
    </Page>
  );
}

function Opening({ view: { standing, system }, found }: { view: MachineView; found: CaseStanding }) {
  const { openedBy, pack } = found.case;
  if (!openedBy)
    return (
      <p>
        A leak became open on this day, and {PACK_WORDS[pack.id]} asks for the repair of any leak (
        {pack.source.cite}).
      </p>
    );
  const figure = pack.threshold[openedBy.periodInForce.category];
  const working =
    openedBy.method === 'annualizing'
      ? annualizingWorking(openedBy, standing.ledger, system)
      : rollingWorking(openedBy, standing.ledger, system);
  return (
    <>
      <p>
        An addition brought the leak rate to {rateFigure(judgedRate(openedBy, standing.ledger))} a year, above
        the limit ({figure?.source.cite}).
      </p>
      <WorkingDisclosure label="How that rate comes about" working={working} />
    </>
  );
}
