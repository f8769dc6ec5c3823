/** Ranked causes with their reasons, and what to read next. */
import type { Judgement } from '../../../core/judge/rank';
import { READINGS, type Reading } from '../../../core/judge/readings';
import { Section } from '../../parts/Page';
import { CAUSE_WORDS, READING_WORDS, SIGN_REASON_WORDS, VALUE_WORDS } from '../../../words/judge';

const SHOWN_CAUSES = 4;

export const valueWords = (reading: Reading, value: string): string =>
  VALUE_WORDS[`${reading} ${value}`] ?? value;
export const percent = (share: number): string => `${String(Math.round(share * 100))} %`;

export function Causes({ judgement }: { judgement: Judgement }) {
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

export function Next({ judgement: { next } }: { judgement: Judgement }) {
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
