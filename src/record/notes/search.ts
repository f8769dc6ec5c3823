/** The search: parts that were looked at, stains, evidence, verdicts that were taken back, and photos. */
import type { LayoutName } from '../../core/circuit/layouts';
import type { PartTypeName } from '../../core/circuit/parts';
import { FALSE_WORDS, LAYOUT_WORDS, MARK_WORDS, PART_WORDS } from '../../words/circuit';
import { list } from '../../words/list';
import { GRADE_WORDS, methodWords } from '../../words/leaks';
import { leakWords, partWordsOf } from '../../words/names';
import {
  type Field,
  sayLeak,
  bare,
  long,
  oneOf,
  text,
  named,
  statedChoice,
  statedText,
  unsaid,
  yesOrNo,
} from '../field';
import { noteRecord } from '../record';

const asText = { ask: null, say: String };

export const spot = noteRecord('spot', {
  name: 'Looked at',
  step: 'search',
  correction: 'void',
  drawnAt: 'part',
  fields: {
    part: {
      ask: null,
      say: (id, { entry, names }) => {
        const { words } = entry as { words?: unknown };
        return names.parts.get(id) ?? (typeof words === 'string' ? words : id);
      },
    },
    words: unsaid,
    mark: { ask: null, say: (mark) => MARK_WORDS[mark] },
    grade: { ask: null, say: (grade) => GRADE_WORDS[grade] },
    cause: { ask: null, say: (cause) => FALSE_WORDS[cause] },
    method: {
      ask: null,
      say: (method, { entry }) =>
        'mark' in entry && entry.mark === 'lookedAt' && `with ${methodWords(method)}`,
    },
    leakId: { ask: null, say: sayLeak },
    why: asText,
    reachable: {
      ask: null,
      say: (reachable, { entry }) =>
        'mark' in entry && entry.mark === 'leftOut' && !reachable && 'out of reach',
    },
  },
});

export const map = noteRecord('map', {
  name: 'Circuit map',
  step: 'search',
  correction: 'void',
  fields: {
    layout: {
      ask: null,
      say: (layout) => `drawn as ${LAYOUT_WORDS[layout as LayoutName]?.toLowerCase() ?? layout}`,
    },
    added: {
      ask: null,
      say: (parts) =>
        parts.length > 0 &&
        `added ${list(parts.map(({ name, type }) => name ?? PART_WORDS[type as PartTypeName] ?? type))}`,
    },
    leftOut: {
      ask: null,
      say: (ids, { names }) => ids.length > 0 && `without ${list(ids.map((id) => partWordsOf(names, id)))}`,
    },
    names: { ask: null, say: (own) => list(Object.values(own).map((name) => `named ${name}`)) },
  },
});

export const stain = noteRecord('stain', {
  name: 'Oil stain',
  step: 'search',
  correction: 'form',
  about: 'Place, known cause, cleaned: so that it misleads nobody.',
  fields: {
    place: named('Place'),
    cause: statedText('Known cause'),
    cleaned: yesOrNo('Cleaned today'),
    result: statedChoice('When looked at again', { stayedClean: 'stayed clean', cameBack: 'came back' }),
    stain: { ask: { label: 'Which stain of the register', type: 'stain', optional: true }, say: null },
  },
});

export const evidence = noteRecord('evidence', {
  name: 'Evidence',
  step: 'search',
  correction: 'void',
  title: 'More evidence',
  about: 'The best that there is counts, also when it comes after the repair.',
  fields: {
    leakId: { ask: null, say: sayLeak },
    grade: oneOf('What shows it', GRADE_WORDS),
    words: bare(text('In a few words')),
  },
});

export const withdrawal = noteRecord('withdrawal', {
  name: 'Withdrawn',
  step: 'search',
  correction: 'void',
  title: 'Withdraw the finding',
  about:
    'The leak is no longer counted, and the next paper says so. Repairs that were made stay in the record as preventive work.',
  fields: {
    leakId: { ask: null, say: (id, { names }) => `${leakWords(names, id)} is no longer told as found` },
    place: asText,
    why: bare(long('Why it was no leak')),
    toldOwner: {
      ...yesOrNo('The owner was told of it'),
      say: (answer) => (answer === 'yes' ? 'the owner had been told' : 'the owner had not been told'),
    } satisfies Field,
  },
});

export const picture = noteRecord('picture', {
  name: 'Photo',
  step: 'search',
  paper: 'photos',
  correction: 'void',
  fields: {
    step: unsaid,
    file: unsaid,
    pair: { ask: null, say: String },
    of: unsaid,
    leakId: { ask: null, say: sayLeak },
    stain: unsaid,
    caption: asText,
    marks: unsaid,
    marksOf: unsaid,
  },
});
