/** What bears on a case: more time, plans, and leaks that are another matter. */
import { dateWords } from '../../words/dates';
import { PACK_WORDS } from '../../words/codes';
import type { PackId } from '../../core/logbook/packNames';
import { type Field, bare, long, oneOf } from '../field';
import { kindRecord } from '../record';

const pack: Field<PackId> = {
  ask: {
    type: 'pack',
    label: 'For which rule',
    optional: true,
    hint: 'Leave it open and it counts for every case that runs.',
  },
  say: (id) => PACK_WORDS[id],
};
const why = bare(long('Why', { optional: true }));

export const extension = kindRecord('extension', {
  name: 'Extension',
  step: 'decide',
  correction: 'form',
  about: 'Moves the day of the repair where the rule allows it; it never shortens.',
  fields: {
    ground: {
      ...oneOf('Ground', { parts: 'Parts', otherRule: 'Another rule', radiological: 'Radiological' }),
      say: (ground, { entry }) => {
        if (entry.kind !== 'extension') return null;
        if (ground === 'parts')
          return entry.partsDeliveredOn
            ? `parts came ${dateWords(entry.partsDeliveredOn)}`
            : 'parts on order';
        return `${ground === 'radiological' ? 'radiological ground' : 'another rule'}, until ${dateWords(entry.until ?? entry.on)}`;
      },
    },
    partsDeliveredOn: {
      ask: {
        type: 'date',
        label: 'Parts came on',
        optional: true,
        hint: 'Leave empty while they are on order.',
        when: (values) => values['ground'] === 'parts',
      },
      say: null,
    },
    until: {
      ask: { type: 'date', label: 'Until', when: (values) => values['ground'] !== 'parts' },
      say: null,
    },
    why,
    pack,
  },
});

export const processShutdown = kindRecord('processShutdown', {
  name: 'Process shutdown',
  step: 'decide',
  correction: 'form',
  about: 'The repair needs an industrial process to be shut down; the window is longer then.',
  fields: { why, pack },
});

export const planFiled = kindRecord('planFiled', {
  name: 'Plan filed',
  step: 'decide',
  correction: 'form',
  title: 'File a plan',
  about: 'The machine will be converted or retired. It stays in the plan until that is done.',
  fields: {
    plan: {
      ...oneOf('What', { retrofit: 'Convert (retrofit)', retire: 'Retire' }),
      say: (plan) => (plan === 'retrofit' ? 'to convert' : 'to retire'),
    },
    pack,
  },
});

export const planCompleted = kindRecord('planCompleted', {
  name: 'Plan carried out',
  step: 'decide',
  correction: 'form',
  about: 'The conversion or retirement that the plan named is done.',
  fields: { pack },
});

export const unrelatedLeak = kindRecord('unrelatedLeak', {
  name: 'Unrelated leak',
  step: 'decide',
  correction: 'form',
  about:
    'The addition that exceeded came of a new leak, not of the one that was repaired. The old case closes and a new one opens on that day.',
  fields: { why: bare(long('Why it is another leak')), pack },
});
