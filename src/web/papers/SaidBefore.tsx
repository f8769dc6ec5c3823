/** Answers that count for this list, given now or kept from one with the same headings; each can be asked again. */
import type { Mapping } from '../../sheets/mapping';
import { ADDED_WORDS, CATEGORY_WORDS, KIND_WORDS, RECOVERED_WORDS } from '../../words/codes';
import { Button } from '../parts/Button';
import { Fold } from '../parts/Fold';
import { headingWords } from './answers';
import { countWords } from '../../words/counts';

/** A code in the app's words, anything else as it was said. */
function meaningWords(value: string, meaning: string): string {
  const reasons = value.endsWith('(gas recovered)') ? RECOVERED_WORDS : ADDED_WORDS;
  const words: Readonly<Record<string, string>> = { ...KIND_WORDS, ...CATEGORY_WORDS, ...reasons };
  return words[meaning] ?? meaning;
}

interface AnsweredQuestion {
  key: string;
  words: string;
  without: Mapping;
}

function saidIn(mapping: Mapping): AnsweredQuestion[] {
  const values = Object.entries(mapping.values ?? {}).flatMap(([heading, own]) =>
    Object.entries(own).map(([value, meaning]): AnsweredQuestion => {
      const { [value]: _, ...rest } = own;
      return {
        key: `${heading} ${value}`,
        words: `${headingWords(heading)}: ${value === '' ? 'where it is empty' : `“${value}”`} means ${meaning ? meaningWords(value, meaning) : 'nothing'}`,
        without: { ...mapping, values: { ...mapping.values, [heading]: rest } },
      };
    }),
  );
  const whole: (AnsweredQuestion | false)[] = [
    mapping.dates != null && {
      key: 'dates',
      words: mapping.dates === 'dmy' ? 'Days are written day first' : 'Days are written month first',
      without: { ...mapping, dates: null },
    },
    mapping.decimal != null && {
      key: 'decimal',
      words: 'What a comma and a dot in numbers are',
      without: { ...mapping, decimal: null },
    },
    mapping.doubles != null && {
      key: 'doubles',
      words:
        mapping.doubles === 'each'
          ? 'Rows that say the same are each a fact of their own'
          : 'Rows that say the same are one, written down twice',
      without: { ...mapping, doubles: null },
    },
  ];
  return [...values, ...whole.filter((each) => each !== false)];
}

export function SaidBefore({ draft, onDraft }: { draft: Mapping; onDraft: (draft: Mapping) => void }) {
  const all = saidIn(draft);
  if (all.length === 0) return null;
  return (
    <Fold title="What was said" about={`${countWords(all.length, 'answer')}, kept for the next such list`}>
      <ul className="mb-4">
        {all.map(({ key, words, without }) => (
          <li key={key} className="rule-b flex flex-wrap items-center gap-x-4 py-1">
            <span className="min-w-0 flex-1 basis-64 break-words">{words}</span>
            <Button weight="quiet" aria-label={`Ask again: ${words}`} onClick={() => onDraft(without)}>
              Ask again
            </Button>
          </li>
        ))}
      </ul>
    </Fold>
  );
}
