/** Work on a machine that no deadline reads: parts, notes to the next person, and what tools and calculators file. */
import { dateWords } from '../../words/dates';
import { conditionFields } from '../conditions';
import { bare, long, named, text } from '../field';
import { kindRecord } from '../record';
import { calculatedFields } from './calculated';

export const partFitted = kindRecord('partFitted', {
  name: 'Part fitted',
  step: 'repair',
  correction: 'form',
  about:
    'Dated, so that the next person knows its age. What is only there for a while gets a day by which it goes.',
  fields: {
    part: bare(named('Part', { hint: 'Drier, contactor, clamp-on valve …' })),
    place: bare(text('Place')),
    temporary: {
      ask: {
        type: 'check',
        initial: false,
        label: 'Only for a while',
        hint: 'A clamp-on valve, a burn-out drier, a bypass, dye: it stays on the register until it is out.',
      },
      say: (temporary, { entry }) => {
        const { removeBy } = entry as { removeBy?: unknown };
        return (
          temporary === true &&
          (typeof removeBy === 'string' && removeBy !== ''
            ? `only until ${dateWords(removeBy)}`
            : 'only for a while')
        );
      },
    },
    removeBy: {
      ask: { type: 'date', label: 'Goes by', optional: true, when: (values) => values['temporary'] === true },
      say: null,
    },
    removes: {
      ask: { type: 'temporaryPart', label: 'Takes out', optional: true },
      say: () => 'a temporary part came out',
    },
    why: bare(long('Why', { optional: true })),
  },
});

export const handover = kindRecord('handover', {
  name: 'Hand-over',
  step: 'leaveRight',
  paper: 'left',
  correction: 'form',
  title: 'Notes to the next person',
  about: 'Shown to whoever drives there next: what they cannot know, and what they would wrongly correct.',
  fields: {
    nextPerson: bare(long('What they should know')),
    oddSettings: {
      ...long('Odd settings, and their reason', { optional: true, hint: 'So that nobody puts them right.' }),
      say: (settings) => `leave as it is: ${String(settings)}`,
    },
    bring: {
      ...text('Bring', { hint: 'Parts, ladder, key, tools.' }),
      say: (things) => `bring ${String(things)}`,
    },
  },
});

export const readings = kindRecord('readings', {
  name: 'Readings',
  step: 'read',
  correction: 'void',
  fields: calculatedFields,
});

export const pressureHold = kindRecord('pressureHold', {
  name: 'Pressure test',
  step: 'hold',
  paper: 'tested',
  correction: 'void',
  fields: { ...calculatedFields, conditions: { within: conditionFields(false) } },
});

export const evacuation = kindRecord('evacuation', {
  name: 'Evacuation',
  step: 'evacuate',
  paper: 'tested',
  correction: 'void',
  fields: calculatedFields,
});

export const chargeRun = kindRecord('chargeRun', {
  name: 'Charge',
  step: 'charge',
  paper: 'gas',
  correction: 'void',
  fields: calculatedFields,
});

export const search = kindRecord('search', {
  name: 'Search',
  step: 'search',
  correction: 'void',
  fields: calculatedFields,
});

export const photo = kindRecord('photo', {
  name: 'Photo',
  step: 'read',
  paper: 'photos',
  correction: 'void',
  fields: calculatedFields,
});
