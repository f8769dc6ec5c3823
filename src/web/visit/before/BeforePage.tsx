/** Before driving: what the history of a machine says, on one page, and what to pack. */
import { Link, useParams } from 'react-router';
import { dayOf } from '../../../core/quantity/day';
import { massText } from '../../../core/quantity/mass';
import { gasSumWords } from '../../../words/weights';
import { isFlammable } from '../../../core/refrigerant/refrigerant';
import { mergedObligations, obligationKey, openObligations, stateOf } from '../../../core/rules/obligation';
import { type BeforeDriving, beforeDriving } from '../../../core/visit/beforeDriving';
import { useWriter } from '../../data/device/writer';
import { ForWriters } from '../../data/api/ForWriters';
import { Button, ButtonLink } from '../../parts/Button';
import { Loaded, Page, Section } from '../../parts/Page';
import { ObligationMark } from '../../parts/StateMark';
import { OBLIGATION_WORDS } from '../../../words/codes';
import { dateWords, dayWords, untilWords } from '../../../words/dates';
import { fullChargeWords } from '../../../words/fullCharge';
import { rodSentence } from '../../../words/rod';
import { headroomSummary } from '../../../core/rules/summary';
import { unjudged } from '../../../core/rules/unjudged';
import { CannotJudge } from '../../panels/CannotJudge';
import { useWriteDialog } from '../../data/addresses/writeDialog';
import { CylinderList } from '../../panels/CylinderList';
import { type MachineView, useMachineView } from '../../data/api/machineView';
import { OilTraces, Unknown, Notes, Leaks, Parts } from './digest';
import { gasName, gasWords } from '../../../words/gas';

export default function BeforePage() {
  const { id = '' } = useParams();
  const { query, view } = useMachineView(id);
  if (view) return <Before view={view} />;
  return (
    <Page title="Before driving">
      <Loaded query={query}>{() => null}</Loaded>
    </Page>
  );
}

function Before({ view }: { view: MachineView }) {
  const { machine } = view;
  const write = useWriteDialog();
  return (
    <Page
      title="Before driving"
      subtitle={
        <Link
          className="inline-flex min-h-11 items-center font-semibold text-green underline underline-offset-4"
          to={`/machines/${encodeURIComponent(machine.appliance.id)}`}
        >
          {machine.appliance.name}, {machine.site.name}
        </Link>
      }
      actions={
        <ForWriters>
          <Button onClick={() => write.open({ kind: 'handover', machineId: machine.appliance.id })}>
            Leave notes
          </Button>
        </ForWriters>
      }
      main={
        <ForWriters>
          <ButtonLink weight="main" to={`/visits?begin&machine=${encodeURIComponent(machine.appliance.id)}`}>
            Begin the visit
          </ButtonLink>
        </ForWriters>
      }
    >
      <BeforeDigest view={view} />
    </Page>
  );
}

/** What the history says, on the page of its own and in the first step of a visit. */
export function BeforeDigest({ view }: { view: MachineView }) {
  const digest = beforeDriving(view.standing);
  return (
    <div className="grid gap-x-10 lg:grid-cols-2">
      <div>
        <Notes digest={digest} />
        <Leaks digest={digest} />
        <Parts digest={digest} view={view} />
        <OilTraces view={view} />
      </div>
      <div>
        <Running view={view} />
        <Gas digest={digest} view={view} />
        <Packing digest={digest} view={view} />
      </div>
    </div>
  );
}

const OBLIGATIONS_SHOWN = 6;

function Running({ view: { standing, today, system } }: { view: MachineView }) {
  const running = mergedObligations(openObligations(standing.obligations));
  return (
    <Section title="What runs by law">
      <CannotJudge standing={standing} system={system} />
      {running.length === 0 && unjudged(standing) === null && (
        <Unknown>Nothing is due on this machine.</Unknown>
      )}
      <ul>
        {running.slice(0, OBLIGATIONS_SHOWN).map(({ first: each }) => (
          <li key={obligationKey(each)} className="rule-b flex flex-wrap gap-x-4 py-1.5">
            <ObligationMark state={stateOf(each, today)} words={OBLIGATION_WORDS[each.kind]} />
            <span>
              {dayWords(each.due)}, {untilWords(each.due, today)}
            </span>
          </li>
        ))}
      </ul>
      {unjudged(standing) === null && (
        <p className="mt-2">{rodSentence(headroomSummary(standing), system)}</p>
      )}
    </Section>
  );
}

function Gas({ digest: { lastGas, missing }, view }: { digest: BeforeDriving; view: MachineView }) {
  const { standing, system } = view;
  return (
    <Section title="Gas">
      <p>
        {gasWords(standing.present.refrigerant)}. Full charge:{' '}
        {fullChargeWords(standing.history, system) ?? 'not known; weigh what comes out and what goes in'}.
      </p>
      <p>
        {lastGas
          ? `Last gas, ${dayWords(lastGas.on)}: ${[
              lastGas.added.times > 0 && `added ${gasSumWords(lastGas.added, system)}`,
              lastGas.recovered.times > 0 && `recovered ${gasSumWords(lastGas.recovered, system)}`,
            ]
              .filter(Boolean)
              .join(', ')}.`
          : 'No gas is on record.'}
      </p>
      <p>
        {missing === null
          ? 'How much is missing by now cannot be told from its additions.'
          : `Likely missing by now, if it leaks on as before: about ${massText(missing * 1000, system)}.`}
      </p>
    </Section>
  );
}

function Packing({ digest, view }: { digest: BeforeDriving; view: MachineView }) {
  const { standing, system, today } = view;
  const { person } = useWriter();
  const gas = standing.present.refrigerant;
  const certificates = (person?.certificates ?? []).flatMap((each) =>
    each.expires == null ? [] : [{ ...each, expires: each.expires }],
  );
  const { missing, handover, roof, temporary } = digest;
  return (
    <Section title="To pack">
      <ul className="list-disc pl-5">
        <li>
          {gasName(gas)}
          {missing !== null &&
            missing > 0 &&
            `, about ${massText(missing * 1000, system)} if it is to be filled`}
          {gas && ': '}
          {gas && <CylinderList refrigerant={gas.name} system={system} />}
        </li>
        <li>
          A recovery bottle {gas ? `of ${gas.name} with room` : 'that holds nothing else'}: it may be filled
          to 80 % only. Nitrogen with its regulator, scale.
        </li>
        {gas === null && (
          <li className="font-semibold">
            Nobody knows what it is charged with: means to tell, and tools rated for what burns.
          </li>
        )}
        {gas && isFlammable(gas.name) && (
          <li className="font-semibold">
            {gas.name} burns: tools rated for it, a detector, a fire extinguisher, and air in the room.
          </li>
        )}
        {handover?.bring && <li>{handover.bring} (noted last time)</li>}
        {roof && <li>Ladder: it leaked on the roof before.</li>}
        {temporary.map((each) => (
          <li key={each.entryId}>What replaces the temporary {each.part.toLowerCase()}.</li>
        ))}
        {certificates.map((each) => (
          <li key={`${each.scheme ?? ''}${each.number ?? ''}`}>
            Your certificate {each.scheme ?? ''}, valid until {dateWords(each.expires)}
            {dayOf(each.expires) < today && <span className="font-semibold text-brick">: run out</span>}
          </li>
        ))}
      </ul>
    </Section>
  );
}
