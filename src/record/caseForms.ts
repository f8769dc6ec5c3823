/** Forms that bear on a case: more time, plans, and leaks that are another matter. */
import { EXTENSION_GROUNDS } from '../core/logbook/entry';
import { choices } from '../words/choice';
import { type FormSpec, packField, why } from './fieldSpec';

export const CASE_FORMS = {
  extension: {
    title: 'Extension',
    about: 'Moves the day of the repair where the rule allows it; it never shortens.',
    fields: [
      {
        key: 'ground',
        type: 'choice',
        label: 'Ground',
        choices: choices(EXTENSION_GROUNDS, {
          parts: 'Parts',
          otherRule: 'Another rule',
          radiological: 'Radiological',
        }),
      },
      {
        key: 'partsDeliveredOn',
        type: 'date',
        label: 'Parts came on',
        optional: true,
        hint: 'Leave empty while they are on order.',
        when: (values) => values['ground'] === 'parts',
      },
      { key: 'until', type: 'date', label: 'Until', when: (values) => values['ground'] !== 'parts' },
      why,
      packField,
    ],
  },
  processShutdown: {
    title: 'Process shutdown',
    about: 'The repair needs an industrial process to be shut down; the window is longer then.',
    fields: [why, packField],
  },
  planFiled: {
    title: 'File a plan',
    about: 'The machine will be converted or retired. It stays in the plan until that is done.',
    fields: [
      {
        key: 'plan',
        type: 'choice',
        label: 'What',
        choices: [
          { value: 'retrofit', words: 'Convert (retrofit)' },
          { value: 'retire', words: 'Retire' },
        ],
      },
      packField,
    ],
  },
  planCompleted: {
    title: 'Plan carried out',
    about: 'The conversion or retirement that the plan named is done.',
    fields: [packField],
  },
  unrelatedLeak: {
    title: 'Unrelated leak',
    about:
      'The addition that exceeded came of a new leak, not of the one that was repaired. The old case closes and a new one opens on that day.',
    fields: [{ ...why, optional: false, label: 'Why it is another leak' }, packField],
  },
} as const satisfies Record<string, FormSpec>;
