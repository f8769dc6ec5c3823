/** Ranked causes with their reasons, and what to read next. */
import type { Diagnosis } from '../../../core/diagnosis/rank';
import { READINGS, type Reading } from '../../../core/diagnosis/readings';
import { Section } from '../../parts/Page';
import { CAUSE_WORDS, READING_WORDS, SIGN_REASON_WORDS, VALUE_WORDS } from '../../../words/diagnosis';
import { ofCount } from '../../../words/counts';

const SHOWN_CAUSES = 4;

export const valueWords = (reading: Reading, value: string): string =>
  VALUE_WORDS[`${reading} ${value}`] ?? value;
export const percent = (share: number): string => `${String(Math.round(share * 100))} %`;

export function Causes({ judgement }: { judgement: Diagnosis }) {
  return (
    <Section title="Likely causes">
      <ol aria-live="polite">
        {judgement.ranked.slice(0, SHOWN_CAUSES).map(({ cause, share, reasonsFor, reasonsAgainst }) => (
          <li key={cause} className="rule-b py-3">
            <div className="flex items-baseline justify-between gap-4">
              <span className="text-lg font-semibold">{CAUSE_WORDS[cause]}</span>
              <span className="shrink-0 text-xl font-bold whitespace-nowrap">{percent(share)}</span>
            </div>
            <div aria-hidden="true" className="my-1 h-2 bg-line">
              <div className="h-2 bg-green" style={{ width: `${String(share * 100)}%` }} />
            </div>
            <ul>
              {reasonsFor.map((each) => (
                <li key={each.reading}>
                  <span className="font-semibold">For: </span>
                  {READING_WORDS[each.reading].toLowerCase()} {valueWords(each.reading, each.value)},{' '}
                  {SIGN_REASON_WORDS[each.reason]}
                </li>
              ))}
              {reasonsAgainst.map((each) => (
                <li key={each.reading} className="text-soft">
                  <span className="font-semibold">Against: </span>
                  {READING_WORDS[each.reading].toLowerCase()} {valueWords(each.reading, each.value)},{' '}
                  {SIGN_REASON_WORDS[each.reason]}
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ol>
    </Section>
  );
}

/** How sure the leading cause is, and why: one of two where nothing read parts them, and what was left aside. */
export function HowSure({ judgement: { ranked, oneOfTwo, aside } }: { judgement: Diagnosis }) {
  const [first] = ranked;
  return (
    <>
      {oneOfTwo && (
        <p className="mb-3 border-l-4 border-ochre pl-3 font-semibold">
          ◐ One of these two: {CAUSE_WORDS[oneOfTwo.causes[0]].toLowerCase()} or{' '}
          {CAUSE_WORDS[oneOfTwo.causes[1]].toLowerCase()}. What was read cannot part them
          {oneOfTwo.parts ? `; ${READING_WORDS[oneOfTwo.parts].toLowerCase()} would` : ''}.
        </p>
      )}
      {!oneOfTwo && first && first.share >= CLEAR && first.reasonsFor.length > 0 && (
        <p className="mb-3 text-soft">
          Fairly sure: {String(first.reasonsFor.length)}{' '}
          {ofCount(first.reasonsFor.length, 'reading speaks', 'readings speak')} for{' '}
          {CAUSE_WORDS[first.cause].toLowerCase()}
          {first.reasonsAgainst.length > 0 ? `, ${String(first.reasonsAgainst.length)} against` : ''}. One of
          eight readings is taken to be misread.
        </p>
      )}
      {aside.length > 0 && (
        <p className="mb-1 text-soft">
          Left aside, for the machine stands still or has no such part:{' '}
          {aside.map((reading) => READING_WORDS[reading].toLowerCase()).join(', ')}.
        </p>
      )}
    </>
  );
}

const CLEAR = 0.5;

export function Next({ judgement: { next } }: { judgement: Diagnosis }) {
  if (!next) return <p className="mb-4">No further reading would change much.</p>;
  return (
    <Section title="Read this next">
      <p className="text-lg font-semibold">
        {READING_WORDS[next.reading]}{' '}
        <span className="font-normal text-soft">(about {String(READINGS[next.reading].effort)} min)</span>
      </p>
      <p className="mb-2">{worth(next.bits)}</p>
      <ul>
        {next.answers.map((answer) => (
          <li key={answer.value}>
            If {valueWords(next.reading, answer.value)}: {CAUSE_WORDS[answer.leads].toLowerCase()} leads with{' '}
            {percent(answer.share)}.
          </li>
        ))}
      </ul>
    </Section>
  );
}

/** Expected information in words. */
function worth(bits: number): string {
  if (bits > 0.5) return 'It would settle much: it tells the leading causes apart.';
  if (bits > 0.2) return 'It would help: it moves the leading causes clearly.';
  return 'It would help a little; the picture is fairly clear, or hard to tell apart further.';
}
