/** Testing, evacuating, charging by the scale, and leaving it right. */
import type { WayOfWorking, WayQuestion } from '../../core/visit/waysOfWorking';
import { checkItemWords } from '../../words/leaks';
import { QUESTION_WORDS, WAY_WORDS } from '../../words/waysOfWorking';
import { RISE_EXPLANATIONS } from '../../core/visit/notes/notes';
import { choices } from '../../words/choice';
import { RISE_WORDS, TEST_GAS_WORDS, VACUUM_END_WORDS } from '../../words/leaks';
import { measuredWords, quantityWords } from '../../words/stated';
import { conditionFields } from '../conditions';
import { bare, chosen, long, measure, statedChoice, text, unsaid, yesOrNo } from '../field';
import { leaksWords } from '../../words/names';
import { noteRecord } from '../record';

export const jointTest = noteRecord('jointTest', {
  name: 'Test of a section',
  step: 'hold',
  paper: 'tested',
  correction: 'form',
  about: 'A pass is only as good as its conditions.',
  fixed: { conditions: {} },
  fields: {
    conditions: { within: conditionFields(true) },
    result: chosen('Result', { pass: 'passed', fail: 'failed' }),
    leakIds: {
      ask: { label: 'Leaks under test', type: 'leaks', optional: true },
      say: (ids, { names }) => `leaks under test ${ids.length === 0 ? 'none' : leaksWords(names, ids)}`,
    },
  },
});

export const holdReading = noteRecord('holdReading', {
  name: 'Reading of a pressure test',
  step: 'hold',
  paper: 'tested',
  correction: 'void',
  fields: {
    test: unsaid,
    section: { ask: null, say: String },
    testGas: { ask: null, say: (gas) => TEST_GAS_WORDS[gas] },
    pressure: { ask: null, say: measuredWords },
    temperature: measure('Coldest part', 'temperature'),
    design: measure('Least marked design pressure', 'pressure'),
  },
});

export const holdSkipped = noteRecord('holdSkipped', {
  name: 'No pressure test',
  step: 'hold',
  paper: 'tested',
  correction: 'form',
  about: 'Where no pressure test is possible: say why, for the paper says so too.',
  fields: { section: text('Section'), why: bare(long('Reason')) },
});

export const vacuum = noteRecord('vacuum', {
  name: 'Vacuum',
  step: 'evacuate',
  paper: 'tested',
  correction: 'form',
  about: 'Kept however it went: the lowest reading, how it ended, and why.',
  fields: {
    section: text('Section'),
    lowest: measure('Lowest reading', 'vacuum'),
    ended: {
      ...chosen('How it ended', VACUUM_END_WORDS),
      say: (ended) => VACUUM_END_WORDS[ended],
    },
    last: measure('Where it stood then', 'vacuum', { when: (values) => values['ended'] !== 'quick' }),
    watched: measure('For', 'duration', {
      when: (values) => ['held', 'fixedTime', 'rising'].includes(String(values['ended'])),
    }),
    explanation: {
      ask: {
        label: 'Taken for',
        type: 'choice',
        optional: true,
        choices: [{ value: '', words: 'not said' }, ...choices(RISE_EXPLANATIONS, RISE_WORDS)],
        when: (values) => values['ended'] === 'rising',
      },
      say: (explanation) => `taken for ${RISE_WORDS[explanation]}`,
    },
    why: bare(long('Why it was left at that', { optional: true })),
    pumpOil: statedChoice('Pump oil', { changed: 'changed', fresh: 'fresh already' }),
  },
});

export const vacuumSkipped = noteRecord('vacuumSkipped', {
  name: 'No vacuum',
  step: 'evacuate',
  paper: 'tested',
  correction: 'form',
  about: 'Not needed where a section stayed above atmosphere.',
  fields: {
    section: text('Section'),
    stayedAboveAtmosphere: yesOrNo('It stayed above atmospheric pressure'),
    why: bare(long('Reason')),
  },
});

export const weighed = noteRecord('weighed', {
  name: 'Weighed',
  step: 'charge',
  paper: 'gas',
  correction: 'void',
  fields: {
    bottles: {
      ask: null,
      say: (bottles) =>
        bottles.length > 0 &&
        bottles.map((each) => `${each.bottle} ${each.before.typed} to ${each.after.typed}`).join(', '),
    },
    counted: { ask: null, say: (counted) => `the zeroed scale counted ${quantityWords(counted)}` },
    keptInHoses: { ask: null, say: (kept) => `${quantityWords(kept)} stays in the hoses` },
  },
});

export const school = noteRecord('school', {
  name: 'Way of working',
  step: 'read',
  paper: 'ways',
  correction: 'void',
  fields: {
    question: {
      ask: null,
      say: (question, { entry }) => {
        const { school: used } = entry as { school?: unknown };
        return `${QUESTION_WORDS[question as WayQuestion].title}: ${WAY_WORDS[used as WayOfWorking]}`;
      },
    },
    school: unsaid,
    why: bare(long('Why', { optional: true })),
  },
});

export const checklist = noteRecord('checklist', {
  name: 'Checked',
  step: 'leaveRight',
  paper: 'left',
  correction: 'void',
  fields: { item: { ask: null, say: checkItemWords }, answer: { ask: null, say: () => 'done' } },
});

export const signed = noteRecord('signed', {
  name: 'Handed over',
  step: 'handOver',
  paper: 'signature',
  correction: 'void',
  fields: {
    name: {
      ask: null,
      say: (name, { entry }) => {
        const { notSigned } = entry as { notSigned?: unknown };
        return typeof notSigned === 'string' ? `taken over by ${name}` : `signed by ${name}`;
      },
    },
    role: { ask: null, say: String },
    path: unsaid,
    notSigned: { ask: null, say: (why) => `not signed: ${why}` },
  },
});
