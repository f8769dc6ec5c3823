/** The service record of a visit on one page: what the rule sets want on it, and nothing that is only suspected told as found. */
import { openObligations } from '../../../core/rules/obligation';
import { shutValves } from '../../../core/visit/visitRecord';
import { foldedObligations } from '../../panels/Duties';
import { OBLIGATION_WORDS } from '../../../words/codes';
import { dayWords, untilWords } from '../../../words/dates';
import { unjudged } from '../../../core/rules/unjudged';
import { CannotJudge } from '../../panels/CannotJudge';
import { ChangedSince } from './ChangedSince';
import { blockOf } from '../../../record/whereItStands';
import { pairsOf, photosOf } from '../../photos/photos';
import { Picture } from '../../photos/Picture';
import { useVisit } from '../visitContext';
import { Block, Lines } from './blocks';
import { Heading } from './Heading';
import { Searched, LeaksTold } from './found';
import { GasBlock } from './gas';
import { ReadingsTold } from './readings';
import { Signature } from './Signature';
import { NOT_RECORDED } from './notRecorded';

export function ServiceRecord() {
  return (
    <article
      aria-label="Service record"
      className="border border-line bg-card px-4 py-4 sm:px-6 print:border-0"
    >
      <Heading />
      <div className="gap-x-8 sm:columns-2">
        <Block title="Found">
          <Lines of="found" but="reading" />
        </Block>
        <Searched />
        <LeaksTold />
        <Block title="Decided">
          <Lines of="decided" />
        </Block>
        <Block title="Done">
          <Lines of="done" />
        </Block>
        <TestsTold />
        <GasBlock />
        <Block title="How it runs">
          <Lines of="runs" />
        </Block>
        <WaysOfWorking />
        <LeftBehind />
        <DueNow />
      </div>
      <ReadingsTold />
      <Photos />
      <Signature />
      <ChangedSince />
    </article>
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
