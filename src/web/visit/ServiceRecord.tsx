/** The service record of a visit on one page: what the rule sets want on it, and nothing that is only suspected told as found. */
import type { ReactNode } from 'react';
import { openObligations } from '../../core/rules/obligation';
import { grams, massText } from '../../core/quantity/mass';
import { weakIn } from '../../core/visit/evidence';
import { type GasSum, gasOfVisit } from '../../core/visit/gasOfVisit';
import { type LeakStory, isFound } from '../../core/visit/leakStory';
import type { Entry } from '../../core/logbook/entry';
import { notesOf, shutValves } from '../../core/visit/visitRecord';
import { useWriter } from '../data/writer';
import { foldedObligations } from '../panels/Duties';
import { METHOD_WORDS, OBLIGATION_WORDS } from '../../words/codes';
import { dateWords, dayWords, untilWords } from '../../words/dates';
import { LEAK_STATE_WORDS, leakLine, weakWords } from '../../words/leaks';
import { fullChargeWords } from '../../words/fullCharge';
import { rateWords } from '../../words/rod';
import { judgedRate } from '../../core/rules/judgedRate';
import { unjudged } from '../../core/rules/unjudged';
import { CannotJudge } from '../panels/CannotJudge';
import { methodOn } from '../../core/rules/inForce';
import { ChangedSince } from './ChangedSince';
import { entryTitle, sentenceOf } from '../../record/sentence';
import type { PaperBlock } from '../../record/paperBlocks';
import { blockOf, isCleanSpot, stepOf } from '../../record/whereItStands';
import { pairsOf, photosOf } from '../photos/photos';
import { Picture } from '../photos/Picture';
import { SIGNATURE_BOX } from './SignaturePad';
import { isTest, useRunning } from './TestsPanel';
import { useVisit } from './visitContext';

const NOT_RECORDED = 'not recorded';

export function ServiceRecord() {
  return (
    <article
      aria-label="Service record"
      className="border border-line bg-card px-4 py-4 sm:px-6 print:border-0"
    >
      <Heading />
      <div className="gap-x-8 sm:columns-2">
        <Block title="Found">
          <Lines of="found" />
        </Block>
        <LeaksTold />
        <Searched />
        <GasBlock />
        <Block title="Decided">
          <Lines of="decided" />
        </Block>
        <Block title="Done">
          <Lines of="done" />
        </Block>
        <TestsTold />
        <Block title="How it runs">
          <Lines of="runs" />
        </Block>
        <WaysOfWorking />
        <LeftBehind />
        <DueNow />
      </div>
      <Photos />
      <Signature />
      <ChangedSince />
    </article>
  );
}

function Block({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="mb-4 break-inside-avoid">
      <h3 className="rule-b mb-1 font-bold">{title}</h3>
      {children}
    </section>
  );
}

function Heading() {
  const { record, view } = useVisit();
  const { people } = useWriter();
  const { machine, standing, system, today } = view;
  const writers = [...new Set(record.entries.map(({ entry }) => entry.by))];
  const { refrigerant } = standing.present;
  const rate = standing.additions.at(-1);
  return (
    <header className="mb-4">
      <h2 className="text-xl!">Service record</h2>
      <p className="font-semibold">
        {machine.site.name} · {machine.appliance.name}
      </p>
      <p>
        {record.from === null
          ? 'nothing recorded yet'
          : record.from === record.to
            ? dayWords(record.from)
            : `${dayWords(record.from)} to ${dayWords(record.to ?? record.from)}`}{' '}
        · {refrigerant.name}, {refrigerant.safetyClass} · full charge{' '}
        {fullChargeWords(standing.history, system) ?? 'not known'}
      </p>
      <p>
        Leak rate:{' '}
        {rate === undefined
          ? `no addition has counted yet; ${METHOD_WORDS[methodOn(machine.site, today)]}`
          : `at the addition of ${dayWords(rate.gasDay.day)}: ${rateWords(judgedRate(rate, standing.ledger))}`}
      </p>
      {writers.map((id) => {
        const person = people.find((each) => each.id === id);
        const certificates = (person?.certificates ?? []).map(
          (each) =>
            `${each.scheme ?? 'certificate'} ${each.number ?? ''}${each.expires ? `, valid until ${dateWords(each.expires)}` : ''}`,
        );
        return (
          <p key={id}>
            {person?.name ?? id}:{' '}
            {certificates.length > 0 ? certificates.join('; ') : `certificate ${NOT_RECORDED}`}
          </p>
        );
      })}
    </header>
  );
}

function Lines({ of, empty = NOT_RECORDED }: { of: PaperBlock; empty?: string | null }) {
  const { record } = useVisit();
  const entries = record.entries.map(({ entry }) => entry).filter((entry) => blockOf(entry) === of);
  if (entries.length === 0) return empty === null ? null : <p className="text-soft">{empty}</p>;
  return (
    <ul>
      {entries.map((entry) => (
        <Line key={entry.id} entry={entry} />
      ))}
    </ul>
  );
}

/** What was done and how, with its note, and what weakens it where it is a test. */
function Line({ entry }: { entry: Entry }) {
  const { view } = useVisit();
  const running = useRunning();
  const weak = isTest({ entry }) ? weakWords(weakIn(entry, running)) : null;
  const words = sentenceOf(entry, view.system, view.names);
  return (
    <li className="break-words">
      {words === '' ? (
        entryTitle(entry)
      ) : (
        <>
          <span className="text-soft">{entryTitle(entry)}:</span> {words}
        </>
      )}
      {entry.note && ` “${entry.note}”`}
      {weak && <span className="font-semibold"> {weak.words}</span>}
    </li>
  );
}

/** What was looked at: inspections, stains, hits and what was left out; parts where nothing was are a number. */
function Searched() {
  const { record } = useVisit();
  const searched = record.entries.map(({ entry }) => entry).filter((entry) => blockOf(entry) === 'searched');
  if (searched.length === 0) return null;
  const clean = searched.filter(isCleanSpot);
  return (
    <Block title="Searched">
      {clean.length > 0 && (
        <p>
          {clean.length} {clean.length === 1 ? 'part' : 'parts'} looked at, nothing found there
        </p>
      )}
      <ul>
        {searched
          .filter((entry) => !isCleanSpot(entry))
          .map((entry) => (
            <Line key={entry.id} entry={entry} />
          ))}
      </ul>
    </Block>
  );
}

function LeaksTold() {
  const { leaks, visitId, record } = useVisit();
  const ofVisit = (leak: LeakStory) =>
    leak.visitId === visitId ||
    record.entries.some(({ entry }) => 'leakId' in entry && entry.leakId === leak.id);
  const found = leaks.filter((leak) => isFound(leak) && ofVisit(leak));
  const suspected = leaks.filter(
    (leak) =>
      ofVisit(leak) && (leak.state === 'suspected' || (leak.onSuspicion && leak.state !== 'withdrawn')),
  );
  // A verdict withdrawn since the last paper stands on this one, whoever withdrew it.
  const withdrawn = leaks.filter((leak) => leak.state === 'withdrawn' && ofVisit(leak));
  const searched = record.entries.some(({ entry }) => stepOf(entry) === 'search');
  return (
    <Block title="Leaks">
      {found.length === 0 && suspected.length === 0 && withdrawn.length === 0 && (
        <p className={searched ? '' : 'text-soft'}>{searched ? 'none found' : NOT_RECORDED}</p>
      )}
      <ul>
        {found.map((leak) => (
          <li key={leak.id}>
            <span className="font-semibold">{leak.label}</span> {leak.place}: {LEAK_STATE_WORDS[leak.state]}
            {leakLine(leak) && ` · ${leakLine(leak)}`}
          </li>
        ))}
        {suspected.map((leak) => (
          <li key={leak.id}>
            Suspected, not found: {leak.place}
            {leakLine(leak) && ` · ${leakLine(leak)}`}
          </li>
        ))}
        {withdrawn.map((leak) => (
          <li key={leak.id} className="font-semibold">
            Withdrawn: leak {leak.label}, {leak.place}, told before as found, was none: {leak.because}
          </li>
        ))}
      </ul>
    </Block>
  );
}

function GasBlock() {
  const { record, view } = useVisit();
  const { added, recovered, released } = gasOfVisit(record.entries);
  return (
    <Block title="Gas">
      <GasLine words="Added" sum={added} />
      <GasLine words="Recovered" sum={recovered} />
      <p>Estimated release: {released === null ? NOT_RECORDED : massText(released, view.system)}</p>
      <Lines of="gas" empty={null} />
    </Block>
  );
}

function GasLine({ words, sum }: { words: string; sum: GasSum }) {
  const { view } = useVisit();
  const weighedTimes = sum.times - sum.notWeighed.length;
  return (
    <p>
      {words}:{' '}
      {sum.times === 0
        ? 'none recorded'
        : [
            weighedTimes > 0 && massText(grams(sum.weighed), view.system),
            ...sum.notWeighed.map((why) => `not weighed: ${why}`),
          ]
            .filter(Boolean)
            .join('; ')}
    </p>
  );
}

const TestsTold = () => (
  <Block title="Tested">
    <Lines of="tested" />
  </Block>
);

/** Where this visit did it otherwise than we do, and why. */
function WaysOfWorking() {
  const { record } = useVisit();
  if (!record.entries.some(({ entry }) => blockOf(entry) === 'ways')) return null;
  return (
    <Block title="Ways of working">
      <Lines of="ways" />
    </Block>
  );
}

function LeftBehind() {
  const { record, view } = useVisit();
  const shut = shutValves(view.standing.history.entries);
  const any = record.entries.some(({ entry }) => blockOf(entry) === 'left');
  return (
    <Block title="Left as">
      {!any && shut.length === 0 && <p className="text-soft">{NOT_RECORDED}</p>}
      {shut.map((valve) => (
        <p key={valve.valve} className="font-semibold">
          {valve.valve} stands shut{valve.leftShut ? `: ${valve.leftShut}` : ''}
          {valve.ofCompressor && '. Do not start'}
        </p>
      ))}
      <Lines of="left" empty={null} />
    </Block>
  );
}

const DUE_SHOWN = 6;

function DueNow() {
  const { view } = useVisit();
  const { standing, today, system } = view;
  const open = foldedObligations(openObligations(standing.obligations, today));
  return (
    <Block title="Due now">
      <CannotJudge standing={standing} system={system} />
      {open.length === 0 && unjudged(standing) === null && <p>Nothing is due on this machine.</p>}
      <ul>
        {open.slice(0, DUE_SHOWN).map(({ first, packs }) => (
          <li key={`${first.kind}${String(first.due)}${first.pack.id}`}>
            {OBLIGATION_WORDS[first.kind]}: {dayWords(first.due)}, {untilWords(first.due, today)} (
            {packs.join(', ')})
          </li>
        ))}
      </ul>
    </Block>
  );
}

function Photos() {
  const { record } = useVisit();
  const groups = pairsOf(photosOf(record.entries));
  if (groups.length === 0) return null;
  return (
    <div>
      <Block title="Photos">
        <ul className="grid gap-3 sm:grid-cols-2">
          {groups.map((group) => (
            <li key={group[0]?.entry.id} className="grid grid-cols-2 gap-2">
              {group.map(({ entry, note }) => (
                <span key={entry.id} className={group.length === 1 ? 'col-span-2' : ''}>
                  <Picture file={note.file} marks={note.marks ?? []} words={note.caption ?? 'photo'} />
                  {[note.pair, note.caption].filter(Boolean).join(' · ')}
                </span>
              ))}
            </li>
          ))}
        </ul>
      </Block>
    </div>
  );
}

function Signature() {
  const { record } = useVisit();
  const signed = notesOf(record.entries, 'signed').at(-1);
  if (!signed) return <p className="font-semibold text-ochre">◐ Not handed over yet.</p>;
  const { name, role, path, notSigned } = signed.note;
  return (
    <footer className="rule-t pt-2">
      {path && (
        <svg
          viewBox={`0 0 ${String(SIGNATURE_BOX.width)} ${String(SIGNATURE_BOX.height)}`}
          className="h-20"
          role="img"
          aria-label={`Signature of ${name}`}
        >
          <path d={path} fill="none" strokeWidth={2.2} strokeLinecap="round" className="stroke-ink" />
        </svg>
      )}
      <p>
        {notSigned ? `Not signed: ${notSigned}. Handed over to ` : 'Handed over to '}
        <span className="font-semibold">{name}</span>
        {role && `, ${role}`}, {dayWords(signed.day)}
      </p>
    </footer>
  );
}
