/** One entry in one line, in the words of the service record. */
import type { Entry } from '../../core/logbook/entry';
import { type MassSystem, exactGrams, grams, massText, type Mass } from '../../core/quantity/mass';
import {
  ADDED_WORDS,
  CATEGORY_WORDS,
  DETECTION_WORDS,
  FULL_CHARGE_WORDS,
  PACK_WORDS,
  RECOVERED_WORDS,
} from './codes';
import { dateWords } from './dates';
import { TEST_GAS_WORDS } from './leaks';

export const massWords = (mass: Mass, system: MassSystem): string => {
  const typed = (mass as Mass & { 'x-typed'?: string })['x-typed'];
  const shown = massText(grams(exactGrams(mass)), system);
  return typed !== undefined && /[a-z]/i.test(typed) && typed !== shown ? `${typed} (${shown})` : shown;
};

const list = (parts: (string | null | undefined | false)[]): string => parts.filter(Boolean).join(', ');

/** A weight that was not taken is never a figure. */
const weight = (
  entry: { mass: Mass | null; massUnknown?: string | null | undefined },
  system: MassSystem,
): string => (entry.mass ? massWords(entry.mass, system) : `not weighed: ${entry.massUnknown ?? ''}`);

export function entryWords(entry: Entry, system: MassSystem): string {
  switch (entry.kind) {
    case 'fullChargeSet': {
      const mass =
        entry.method === 'range' && entry.low && entry.high
          ? `${massWords(entry.low, system)} to ${massWords(entry.high, system)}, midpoint counts`
          : entry.mass && massWords(entry.mass, system);
      return list([mass, FULL_CHARGE_WORDS[entry.method]]);
    }
    case 'refrigerantAdded':
      return list([
        weight(entry, system),
        ADDED_WORDS[entry.reason].toLowerCase(),
        entry.leakId && `for leak ${entry.leakId}`,
      ]);
    case 'refrigerantRecovered':
      return list([weight(entry, system), RECOVERED_WORDS[entry.reason].toLowerCase()]);
    case 'leakFound':
      return list([
        `leak ${entry.leakId}`,
        entry.component,
        entry.location,
        entry.methods?.join(' and '),
        entry.sizeGuess,
      ]);
    case 'leakRepaired':
      return list([`leak ${entry.leakId}`, entry.how, entry.evacuated && 'evacuated for it']);
    case 'verificationTest':
      return list([
        `${entry.stage === 'initial' ? 'first' : 'second'} test ${entry.result === 'pass' ? 'passed' : 'FAILED'}`,
        entry.leakIds?.length ? `leak ${entry.leakIds.join(', ')}` : 'whole machine',
        entry.section,
        entry.testGas && TEST_GAS_WORDS[entry.testGas],
        entry.atJoint && `${String(entry.atJoint.value)} ${entry.atJoint.unit} at the joint`,
        entry.method,
      ]);
    case 'leakInspection':
      return list([
        entry.allAccessibleInspected === false
          ? 'not all accessible parts: does not count'
          : 'all accessible parts',
        entry.methods?.join(' and '),
        entry.leaksFound?.length ? `found ${entry.leaksFound.join(', ')}` : null,
        ...(entry.partsLeftOut ?? []).map((each) => `left out ${each.part} (${each.reason})`),
      ]);
    case 'extension':
      return list([
        entry.ground === 'parts'
          ? entry.partsDeliveredOn
            ? `parts came ${dateWords(entry.partsDeliveredOn)}`
            : 'parts on order'
          : `until ${dateWords(entry.until ?? entry.on)}`,
        entry.why,
        entry.pack && PACK_WORDS[entry.pack],
      ]);
    case 'processShutdown':
    case 'unrelatedLeak':
      return list([entry.why, entry.pack && PACK_WORDS[entry.pack]]);
    case 'planFiled':
      return list([
        entry.plan === 'retrofit' ? 'to convert' : 'to retire',
        entry.pack && PACK_WORDS[entry.pack],
      ]);
    case 'planCompleted':
      return list([entry.pack && PACK_WORDS[entry.pack]]);
    case 'retrofitted':
      return `to ${entry.toRefrigerant}`;
    case 'applianceChanged':
      return list([
        entry.category && CATEGORY_WORDS[entry.category],
        entry.automaticDetection && `leak detection ${DETECTION_WORDS[entry.automaticDetection]}`,
        entry.hermetic != null && (entry.hermetic ? 'hermetic' : 'not hermetic'),
        entry.lightCommercialAirConditioning != null &&
          (entry.lightCommercialAirConditioning
            ? 'light commercial air conditioning'
            : 'not light commercial air conditioning'),
      ]);
    case 'reportFiled':
      return `for ${String(entry.year)}`;
    case 'partFitted':
      return partWords(entry);
    case 'handover':
      return list([textOf(entry, 'nextPerson'), textOf(entry, 'oddSettings'), bringWords(entry)]);
    default:
      return textOf(entry, 'summary') ?? '';
  }
}

/** What a tool filed under a name, where it is a text: entries of tools may lack any of it. */
function textOf(entry: Entry, key: string): string | null {
  const value = (entry as Record<string, unknown>)[key];
  return typeof value === 'string' && value.trim() !== '' ? value : null;
}

function partWords(entry: Entry): string {
  const removeBy = textOf(entry, 'removeBy');
  const temporary = (entry as { temporary?: unknown }).temporary === true;
  return list([
    textOf(entry, 'part'),
    textOf(entry, 'place'),
    temporary && (removeBy ? `only until ${dateWords(removeBy)}` : 'only for a while'),
    textOf(entry, 'removes') && 'a temporary part came out',
    textOf(entry, 'why'),
  ]);
}

const bringWords = (entry: Entry): string | null => {
  const bring = textOf(entry, 'bring');
  return bring && `bring ${bring}`;
};
