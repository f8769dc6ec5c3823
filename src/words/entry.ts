/** One entry in one line, in the words of the service record: whatever was typed is in it. */
import { z } from 'zod';
import type { Entry } from '../core/logbook/entry';
import { type MassSystem, exactGrams, grams, massText, type Mass } from '../core/quantity/mass';
import { isNotDone, isUnknown } from '../core/visit/stated';
import {
  ADDED_WORDS,
  CATEGORY_WORDS,
  DETECTION_WORDS,
  FULL_CHARGE_WORDS,
  PACK_WORDS,
  RECOVERED_WORDS,
} from './codes';
import { dateWords } from './dates';
import { METAL_WORDS, TEST_GAS_WORDS, methodWords } from './leaks';
import { type Names, NO_NAMES, bottleWords, leakWords, leaksWords, partWordsOf } from './names';

export const massWords = (mass: Mass, system: MassSystem): string => {
  const typed = (mass as Mass & { 'x-typed'?: string })['x-typed'];
  const shown = massText(grams(exactGrams(mass)), system);
  if (typed === undefined) return shown;
  // A bare number was meant in the unit of its field, which stands beside it.
  const said = /[a-z]/i.test(typed) ? typed : `${typed} ${mass.unit}`;
  return said === shown ? shown : `${said} (${shown})`;
};

/** A full stop at the end of what a person wrote does not stand before a comma. */
export const list = (parts: readonly (string | null | undefined | false)[]): string =>
  parts
    .filter((part): part is string => Boolean(part))
    .map((part, index, all) => (index < all.length - 1 ? part.replace(/[.,;]+$/, '') : part))
    .join(', ');

/** A weight that was not taken is never a figure. */
const weight = (
  entry: { mass: Mass | null; massUnknown?: string | null | undefined },
  system: MassSystem,
): string => (entry.mass ? massWords(entry.mass, system) : `not weighed: ${entry.massUnknown ?? ''}`);

/** What any entry may carry beside its kind's own fields. */
function besideWords(entry: Entry): string[] {
  return [
    entry.caseNote ? `for the case: ${entry.caseNote}` : '',
    entry.attachments?.length ? `attached ${entry.attachments.join(', ')}` : '',
  ].filter(Boolean);
}

export const entryWords = (entry: Entry, system: MassSystem, names: Names = NO_NAMES): string =>
  list([kindWords(entry, system, names), ...besideWords(entry)]);

function kindWords(entry: Entry, system: MassSystem, names: Names): string {
  switch (entry.kind) {
    case 'fullChargeSet': {
      const mass =
        entry.method === 'range' && entry.low && entry.high
          ? `${massWords(entry.low, system)} to ${massWords(entry.high, system)}, the midpoint counts`
          : entry.mass && massWords(entry.mass, system);
      return list([mass, FULL_CHARGE_WORDS[entry.method]]);
    }
    case 'refrigerantAdded':
      return list([
        weight(entry, system),
        ADDED_WORDS[entry.reason].toLowerCase(),
        entry.leakId && `for ${leakWords(names, entry.leakId)}`,
        entry.cylinderId && bottleWords(names, entry.cylinderId),
      ]);
    case 'refrigerantRecovered':
      return list([
        weight(entry, system),
        RECOVERED_WORDS[entry.reason].toLowerCase(),
        entry.into === 'outdoors' && 'let out outdoors, where the law allows it',
        entry.cylinderId && bottleWords(names, entry.cylinderId),
      ]);
    case 'leakFound':
      return list([
        leakWords(names, entry.leakId),
        entry.component,
        entry.location,
        partOf(entry, names, entry.component),
        entry.methods?.map(methodWords).join(' and '),
        entry.confirmedBy && `confirmed by ${entry.confirmedBy}`,
        entry.sizeGuess && `size guessed: ${entry.sizeGuess}`,
      ]);
    case 'leakRepaired':
      return list([
        leakWords(names, entry.leakId),
        textOf(entry, 'x-place'),
        partOf(entry, names, textOf(entry, 'x-place')),
        entry.how,
        entry.parts?.length ? `parts: ${entry.parts.join(', ')}` : null,
        entry.evacuated && 'evacuated for it',
        (entry.onSuspicion ?? (entry as { 'x-suspected'?: unknown })['x-suspected'] === true) &&
          'exchanged on suspicion, never shown to leak',
        ...jointWordsOf(entry),
        renewedWords(entry.renewed ?? (entry as Record<string, unknown>)['x-renewed']),
      ]);
    case 'verificationTest':
      return list([
        `${entry.stage === 'initial' ? 'first' : 'second'} test ${entry.result === 'pass' ? 'passed' : 'FAILED'}`,
        entry.leakIds?.length ? leaksWords(names, entry.leakIds) : 'whole machine',
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
        entry.methods?.map(methodWords).join(' and '),
        entry.leaksFound?.length ? `found ${leaksWords(names, entry.leaksFound)}` : null,
        ...(entry.partsLeftOut ?? []).map((each) =>
          each.reason.trim() === ''
            ? `left out ${each.part}, reason not recorded`
            : `left out ${each.part} (${each.reason})`,
        ),
      ]);
    case 'extension':
      return list([
        entry.ground === 'parts'
          ? entry.partsDeliveredOn
            ? `parts came ${dateWords(entry.partsDeliveredOn)}`
            : 'parts on order'
          : `${entry.ground === 'radiological' ? 'radiological ground' : 'another rule'}, until ${dateWords(entry.until ?? entry.on)}`,
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
    case 'retired':
      return list([textOf(entry, 'x-gas') && `its gas: ${textOf(entry, 'x-gas') ?? ''}`]);
    case 'reportFiled':
      return `for ${String(entry.year)}`;
    case 'partFitted':
      return partFittedWords(entry);
    case 'handover':
      return list([
        textOf(entry, 'nextPerson'),
        textOf(entry, 'oddSettings') && `leave as it is: ${textOf(entry, 'oddSettings') ?? ''}`,
        textOf(entry, 'bring') && `bring ${textOf(entry, 'bring') ?? ''}`,
      ]);
    case 'cylinderWeighed':
    case 'cylinderReceived':
    case 'cylinderSent':
    case 'cylinderTransferred':
      return list([
        bottleWords(names, entry.cylinderId),
        entry.gross && `${massWords(entry.gross, system)} gross`,
        entry.mass && massWords(entry.mass, system),
        entry.counterparty,
      ]);
    case 'readings':
    case 'pressureHold':
    case 'evacuation':
    case 'chargeRun':
    case 'search':
    case 'photo':
    case 'detectionAlarm':
      return list([textOf(entry, 'summary'), inputWords(entry)]);
    default:
      return '';
  }
}

/** What a tool filed under a name, where it is a text: entries of tools may lack any of it. */
function textOf(entry: Entry, key: string): string | null {
  const value = (entry as Record<string, unknown>)[key];
  return typeof value === 'string' && value.trim() !== '' ? value : null;
}

/** The part of the circuit map, unless its name was said already. */
function partOf(entry: Entry, names: Names, said: string | null | undefined): string | null {
  const id = textOf(entry, 'part') ?? textOf(entry, 'x-part');
  if (id === null) return null;
  const words = partWordsOf(names, id);
  const known = said?.toLowerCase() ?? '';
  return known !== '' && words.toLowerCase().startsWith(known) ? null : words === said ? null : words;
}

const inputs = z.record(z.string(), z.object({ typed: z.string() }));

/** What was typed into a calculator: its result stands in the summary, its readings behind it. */
function inputWords(entry: Entry): string | null {
  const { inputs: given, tool } = entry as { inputs?: unknown; tool?: unknown };
  const read = inputs.safeParse(given);
  if (!read.success || typeof tool !== 'string') return null;
  const typed = Object.values(read.data)
    .map((each) => each.typed.trim())
    .filter((each) => each !== '');
  return typed.length > 0 ? `from ${typed.join(', ')}` : null;
}

function partFittedWords(entry: Entry): string {
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

const metalOf = (value: unknown): string | null =>
  typeof value !== 'string'
    ? null
    : value in METAL_WORDS
      ? METAL_WORDS[value as keyof typeof METAL_WORDS]
      : value;

/** Both metals, alloy, flux, nitrogen: as a text of the format, or as the form's facts. */
function jointWordsOf(entry: Entry): string[] {
  const joint = (entry as { joint?: unknown }).joint ?? (entry as Record<string, unknown>)['x-joint'];
  if (typeof joint === 'string') return joint.trim() === '' ? [] : [`joint ${joint}`];
  if (joint === null || typeof joint !== 'object') return [];
  const { one, other, nitrogen, ...rest } = joint as Record<string, unknown>;
  const metals = [one, other].map((each) => metalOf(each) ?? statedText(each)).filter(Boolean);
  return [
    metals.length > 0 ? `joint ${metals.join(' to ')}` : '',
    nitrogen === undefined
      ? ''
      : nitrogen === 'yes'
        ? 'nitrogen flowing'
        : `nitrogen flowing: ${statedText(nitrogen) ?? ''}`,
    ...Object.entries(rest).map(([key, value]) => `${key} ${statedText(value) ?? ''}`),
  ].filter(Boolean);
}

function renewedWords(value: unknown): string | null {
  if (Array.isArray(value)) return value.length > 0 ? `renewed ${value.join(', ')}` : null;
  const said = statedText(value);
  if (said === null) return null;
  return isNotDone(value as never) || isUnknown(value as never)
    ? `seals and cores renewed: ${said}`
    : `renewed ${said}`;
}

/** A fact as text, whichever of the four ways it was stated in; null where it was not. */
function statedText(value: unknown): string | null {
  if (value === null || value === undefined || value === '') return null;
  if (isNotDone(value as never)) return `not done: ${(value as { notDone: string }).notDone}`;
  if (isUnknown(value as never)) return 'unknown';
  return typeof value === 'string' ? value : JSON.stringify(value);
}
