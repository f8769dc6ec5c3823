/**
 * The order of the work, guarded: what a step would spoil or what it lacks, from what this visit has recorded. Guards advise;
 * only handing over with a valve still shut asks for a word first.
 */
import type { DatedEntry } from '../logbook/order';
import type { Standing } from '../rules/standing';
import { fahrenheitDegrees } from '../calculators/calculated';
import { gasOfVisit } from './gasOfVisit';
import type { LeakStory } from './leaks/leakStory';
import { fittedParts, replacedAgain, temporaryParts } from './partsFitted';
import { isRecorded } from './notes/stated';
import type { Step } from './steps';
import { isTested, testedPlaces } from './touched';
import { type Disconnected, type VisitRecord, notesOf, readNumber, stillDisconnected } from './visitRecord';
import { latestReadings } from './readings/series';
import type { CircuitMap } from '../circuit/map';
import { stillFed } from '../circuit/flow';
import { type ValveState, doNotStart, shutParts, shutValves } from './valves';

export type Guard =
  | { code: 'doNotStart'; valves: readonly ValveState[] }
  /** readings that nitrogen or a top-off spoils and that nobody took */
  | { code: 'readFirst'; missing: readonly ('amps' | 'frost' | 'standing')[] }
  | { code: 'openSolenoidFirst' }
  /** a section was opened to air, and nothing is said of what got out */
  | { code: 'releaseNotSaid' }
  | { code: 'searchBeforeCharge' }
  | { code: 'firstTestBeforeGas'; leakIds: readonly string[] }
  | { code: 'drierLast' }
  | { code: 'holdBeforeVacuum' }
  | { code: 'vacuumBeforeCharge' }
  | { code: 'valveShut'; valves: readonly ValveState[] }
  /** shut, and gas comes through it: what stands behind it proves little */
  | { code: 'valveLeaksBy'; valves: readonly ValveState[] }
  | { code: 'heatedUntested'; parts: readonly string[] }
  | { code: 'thermometersDiffer'; by: number }
  | { code: 'otherBoxWarm' }
  /** one coil is pumped down while another on the unit still gets liquid */
  | { code: 'stillFed'; places: readonly string[] }
  | { code: 'nothingTested' }
  | { code: 'disconnected'; what: readonly Disconnected['what'][] }
  | { code: 'temporaryLate'; parts: readonly string[] }
  | { code: 'replacedAgain'; parts: readonly string[] }
  | { code: 'undecidedLeak'; leaks: readonly LeakStory[] }
  | { code: 'suspectedLeak'; leaks: readonly LeakStory[] };

/** Two thermometers in one box that differ by this and more: one of them lies. */
const THERMOMETERS_DIFFER_K = fahrenheitDegrees(10);
const SPOILED_BY_GAS = ['amps', 'frost', 'standing'] as const;
const SPOILING_STEPS: readonly Step[] = ['raise', 'charge'];
const VALVE_STEPS: readonly Step[] = ['hold', 'evacuate', 'prove', 'leaveRight', 'handOver'];

const SECTION_STEPS: readonly Step[] = ['isolate', 'repair', 'hold', 'evacuate', 'prove'];

export interface GuardFacts {
  step: Step;
  standing: Standing;
  visit: VisitRecord;
  leaks: readonly LeakStory[];
  map: CircuitMap;
}

export function guardsOf({ step, standing, visit, leaks, map }: GuardFacts): Guard[] {
  const { entries: all, asOf } = standing.history;
  const guards: Guard[] = [];
  const mustNotStart = doNotStart(all, map);
  if (mustNotStart.length > 0) guards.push({ code: 'doNotStart', valves: mustNotStart });
  if (SPOILING_STEPS.includes(step)) {
    const missing = notReadYet(visit.entries);
    if (missing.length > 0) guards.push({ code: 'readFirst', missing });
  }
  if (VALVE_STEPS.includes(step)) {
    const open = unspokenValves(all);
    if (open.length > 0) guards.push({ code: 'valveShut', valves: open });
  }
  if (SECTION_STEPS.includes(step)) {
    const leaky = shutValves(all).filter((each) => each.leaksBy);
    if (leaky.length > 0) guards.push({ code: 'valveLeaksBy', valves: leaky });
  }
  const parts = fittedParts(all);
  switch (step) {
    case 'before': {
      const late = temporaryParts(parts).filter((each) => each.removeBy !== null && each.removeBy < asOf);
      if (late.length > 0) guards.push({ code: 'temporaryLate', parts: late.map((each) => each.part) });
      break;
    }
    case 'arrive':
    case 'read':
      guards.push(...arrivalGuards(visit.entries));
      break;
    case 'raise':
      if (notesOf(visit.entries, 'raised').at(-1)?.note.solenoidOpen === 'no')
        guards.push({ code: 'openSolenoidFirst' });
      break;
    case 'isolate': {
      const places = pumpedDown(visit.entries) ? stillFed(map, shutParts(all, map)) : [];
      if (places.length > 0) guards.push({ code: 'stillFed', places });
      if (openedUnsaid(visit.entries)) guards.push({ code: 'releaseNotSaid' });
      break;
    }
    case 'repair': {
      const again = replacedAgain(parts, asOf);
      if (again.length > 0) guards.push({ code: 'replacedAgain', parts: again.map((each) => each.part) });
      break;
    }
    case 'evacuate':
      if (opened(visit.entries) && !drierSpokenOf(visit.entries)) guards.push({ code: 'drierLast' });
      if (opened(visit.entries) && !held(visit.entries)) guards.push({ code: 'holdBeforeVacuum' });
      break;
    case 'charge':
      guards.push(...chargeGuards(visit, leaks));
      break;
    case 'prove':
    case 'leaveRight': {
      const tested = testedPlaces(visit.entries);
      const heated = notesOf(visit.entries, 'heated')
        .map(({ note }) => note.part)
        .filter((part) => !isTested(tested, part));
      if (heated.length > 0) guards.push({ code: 'heatedUntested', parts: [...new Set(heated)] });
      break;
    }
    case 'handOver': {
      if (openedUnsaid(visit.entries)) guards.push({ code: 'releaseNotSaid' });
      if (opened(visit.entries) && !held(visit.entries)) guards.push({ code: 'nothingTested' });
      const off = stillDisconnected(visit.entries);
      if (off.length > 0) guards.push({ code: 'disconnected', what: off.map((each) => each.what) });
      const undecided = leaks.filter((each) => each.state === 'confirmed');
      const suspected = leaks.filter((each) => each.state === 'suspected');
      if (undecided.length > 0) guards.push({ code: 'undecidedLeak', leaks: undecided });
      if (suspected.length > 0) guards.push({ code: 'suspectedLeak', leaks: suspected });
      break;
    }
    default:
  }
  return guards;
}

/** Said to be not done counts as said: it is a decision with a reason. */
function notReadYet(entries: readonly DatedEntry[]): (typeof SPOILED_BY_GAS)[number][] {
  const { numbers, signs } = latestReadings(entries);
  return SPOILED_BY_GAS.filter((name) => !isRecorded(numbers[name]) && !isRecorded(signs[name]));
}

function arrivalGuards(entries: readonly DatedEntry[]): Guard[] {
  const arrival = notesOf(entries, 'arrival').at(-1)?.note;
  const so = latestReadings(entries);
  const first = readNumber(so, 'box');
  const second = readNumber(so, 'secondBox');
  const by = first !== null && second !== null ? Math.abs(first - second) : 0;
  return [
    // 38 °F and 48 °F differ by ten degrees, whatever a float makes of it.
    ...(by >= THERMOMETERS_DIFFER_K - 1e-9 ? [{ code: 'thermometersDiffer' as const, by }] : []),
    ...(arrival?.otherBoxWarm === 'yes' ? [{ code: 'otherBoxWarm' as const }] : []),
  ];
}

function chargeGuards(visit: VisitRecord, leaks: readonly LeakStory[]): Guard[] {
  const { entries } = visit;
  const searched = entries.some(({ entry }) => entry.kind === 'search' || entry.kind === 'leakInspection');
  const untested = leaks.filter((each) => each.state === 'repaired').map((each) => each.id);
  const evacuated =
    entries.some(({ entry }) => entry.kind === 'evacuation') || notesOf(entries, 'vacuumSkipped').length > 0;
  return [
    ...(searched ? [] : [{ code: 'searchBeforeCharge' as const }]),
    ...(untested.length > 0 ? [{ code: 'firstTestBeforeGas' as const, leakIds: untested }] : []),
    ...(opened(entries) && !evacuated ? [{ code: 'vacuumBeforeCharge' as const }] : []),
  ];
}

/** Something was opened in this visit: a repair, a drier, or a section said to have stood open. */
export const opened = (entries: readonly DatedEntry[]): boolean =>
  entries.some(({ entry }) => entry.kind === 'leakRepaired') ||
  notesOf(entries, 'drier').some(({ note }) => note.changed === 'yes') ||
  notesOf(entries, 'isolation').some(({ note }) => note.openedToAir === 'yes');

const pumpedDown = (entries: readonly DatedEntry[]): boolean =>
  notesOf(entries, 'isolation').at(-1)?.note.way === 'pumpDown';

const openedUnsaid = (entries: readonly DatedEntry[]): boolean =>
  notesOf(entries, 'isolation').some(({ note }) => note.openedToAir === 'yes') &&
  gasOfVisit(entries).released === null;

const drierSpokenOf = (entries: readonly DatedEntry[]): boolean => notesOf(entries, 'drier').length > 0;
const held = (entries: readonly DatedEntry[]): boolean =>
  entries.some(({ entry }) => entry.kind === 'pressureHold');

/** Valves that stand shut and about which nobody has said why: with one of these a visit is not handed over. */
export const unspokenValves = (entries: readonly DatedEntry[]): ValveState[] =>
  shutValves(entries).filter((each) => each.leftShut === null);
