/** Words of the steps of a visit, of the guards of their order, and of the cautions that belong to them. */
import { DISCONNECTED_WORDS } from './leaks';
import { listAnd } from './list';
import type { CautionCode } from '../core/visit/cautions';
import type { Guard } from '../core/visit/guards';
import { type LeakLabels, labelOf } from '../core/logbook/leakLabels';
import type { Step } from '../core/visit/steps';
import type { UnitSystem } from './measures';
import { figureText } from '../core/quantity/measure';
import { ofCount } from './counts';

/** In the strip, and what the step is for. */
export const STEP_WORDS: Record<Step, { title: string; about: string }> = {
  before: { title: 'Before driving', about: 'What the history says, and what to pack.' },
  arrive: { title: 'Arrive', about: 'Complaint, box temperature, product at risk, what feeds what.' },
  read: { title: 'Read', about: 'Everything that can be read before anything is changed.' },
  judge: { title: 'Diagnosis', about: 'Low charge, or something that looks like it?' },
  raise: { title: 'Standing or test pressure', about: 'A side at rest shows what a side pumped down hides.' },
  search: { title: 'Search', about: 'Where it leaked before, then oil, then every joint in turn.' },
  decide: { title: 'Decide', about: 'Money, age, product, law and the next heat wave.' },
  isolate: { title: 'Isolate or recover', about: 'Pump down, valve off, or recover by weight.' },
  repair: { title: 'Repair', about: 'And what will be the next leak: do it too.' },
  hold: { title: 'Pressure test', about: 'Pressure, temperature and time, section by section.' },
  evacuate: { title: 'Evacuate', about: 'Then isolate and watch the shape of the rise.' },
  charge: { title: 'Charge', about: 'By weight where a weight is known.' },
  prove: { title: 'Running check', about: 'It runs as it should, and the two legal tests.' },
  leaveRight: { title: 'Leave it right', about: 'What was touched is as it was, or better.' },
  handOver: { title: 'Hand over', about: 'The record on one page, signed, and what is due now.' },
};

const SPOILED_WORDS = { amps: 'amps', frost: 'frost', standing: 'standing pressure' } as const;
export function guardWords(guard: Guard, system: UnitSystem, labels: LeakLabels): string {
  switch (guard.code) {
    case 'doNotStart':
      return `Do not start the compressor: ${listAnd(guard.valves.map((each) => each.valve))} ${ofCount(guard.valves.length, 'is', 'are')} shut. Hang the tag.`;
    case 'readFirst':
      return `Read ${listAnd(guard.missing.map((each) => SPOILED_WORDS[each]))} first, or say why not: nitrogen and top-offs spoil them.`;
    case 'openSolenoidFirst':
      return 'The solenoid is shut: the low side will not rise. Open it, with the compressor stopped, before any pump-down.';
    case 'releaseNotSaid':
      return 'It was opened to air and no release is recorded: work it out at “Isolate or recover”, for a few ounces are never hidden.';
    case 'searchBeforeCharge':
      return 'Nothing was searched in this visit. A full charge into a leak must be recovered again: find the leak first.';
    case 'firstTestBeforeGas':
      return `The first test comes before gas goes back in: leak ${listAnd(guard.leakIds.map((id) => labelOf(labels, id)))} is repaired and not tested.`;
    case 'drierLast':
      return 'The system was opened and nothing is said of the drier. Change it last before the vacuum, or say why not.';
    case 'holdBeforeVacuum':
      return 'It was opened and has not stood under pressure. A vacuum alone proves little: test it under pressure first.';
    case 'vacuumBeforeCharge':
      return 'It was opened and neither evacuated nor said to need none.';
    case 'valveShut':
      return `Still shut: ${listAnd(guard.valves.map((each) => each.valve))}. A test behind a shut valve tests nothing, and the machine must not be left so unsaid.`;
    case 'valveLeaksBy':
      return `Shut and does not hold: ${listAnd(guard.valves.map((each) => each.valve))}. Gas comes through: a vacuum or a pass behind it proves little.`;
    case 'heatedUntested':
      return `Heated or bent and not tested since: ${listAnd(guard.parts)}. Repairs make leaks.`;
    case 'thermometersDiffer':
      return `Two thermometers in one box differ by ${system === 'us' ? `${figureText((guard.by * 9) / 5, 0)} °F` : `${figureText(guard.by, 1)} K`}: one of them lies. Find out which before you judge.`;
    case 'stillFed':
      return `Not pumped down: ${listAnd(guard.places)} still gets liquid. The solenoid of one box cannot pump down two.`;
    case 'nothingTested':
      return 'It was opened and nothing was tested: neither a pressure test nor a joint under soap is recorded.';
    case 'disconnected':
      return `Still off or bypassed: ${listAnd(guard.what.map((each) => DISCONNECTED_WORDS[each]))}.`;
    case 'otherBoxWarm':
      return 'Two warm boxes on one unit point to the unit, not to a coil.';
    case 'temporaryLate':
      return `Should have gone by now: ${listAnd(guard.parts)}.`;
    case 'replacedAgain':
      return `Fitted again within a year: ${listAnd(guard.parts)}. Find the cause.`;
    case 'undecidedLeak':
      return `Leak ${listAnd(guard.leaks.map((each) => each.label))} is open, and nothing is decided: repair it, or record who runs on with it, why and until when.`;
    case 'suspectedLeak':
      return `Only suspected, never told as found: ${listAnd(guard.leaks.map((each) => each.place))}.`;
  }
}

export const CAUTION_WORDS: Record<CautionCode, string> = {
  toxicGas:
    'Poisonous gas: breathing protection at hand, a second person outside, windows open, know the way out.',
  flammableAir: 'It burns: air the room, no spark or flame near, detector on and tools rated for it.',
  flammableHotWork:
    'It burns: no flame until the circuit is purged with nitrogen and the air tested; cut rather than unbraze. Fire watch.',
  hotWork: 'Hot work: fire watch, extinguisher, ventilate. Refrigerant in a flame makes toxic gas.',
  carbonDioxide:
    'CO2 fills a closed room unseen and stands at high pressure: air the room, measure it, never alone.',
  lockedRoom:
    'Nobody alone in a locked walk-in: check the inside release, tell somebody. Leaked gas displaces air.',
  roof: 'Ladder tied, roof edge known, nothing carried in the hands.',
  lockOut: 'Lock out the electrical supply before hands go in.',
  nitrogen: 'Nitrogen only through a regulator, slowly; never oxygen or compressed air.',
  designPressure: 'Never above the least marked design pressure of the section.',
  fanAndSoap: 'Stop the fan before soap or a hand goes near it.',
  cylinder80: 'Recovery bottles to 80 % only, one gas in each, test date valid.',
  neverLetOut: 'Refrigerant is never let out on purpose.',
  liquidFreezes: 'Liquid refrigerant freezes skin and eyes: gloves and goggles.',
  criticalCharge: 'Critical charge: hoses hold as much as the machine. Short hoses, fine scale.',
  blendsAsLiquid: 'A blend leaves the bottle as liquid; throttle it into the suction side.',
  gaugeAboveAtmosphere: 'Take the vacuum gauge off only when the system is above atmosphere.',
  openBeforeFlame:
    'Before a cut or a torch: pressure off, openings free, cores out. Oil in a pipe burns. A smoke alarm that is switched off goes on the list of step 13.',
  liveMeasuring:
    'Live measuring only with the means and the training for it; contactor and door switch tried. After a compressor change, earth and residual current are tested.',
  inverterAmps: 'On an inverter compressor amps mislead.',
  liquidInSips: 'Liquid into a running compressor in sips.',
  hydrocarbonOutdoors:
    'A hydrocarbon is let out only where the law says so: outdoors, away from drains and flames.',
  certified: 'A certified person does this; local code, the maker’s manual and the licence holder decide.',
};
