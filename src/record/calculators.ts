/** The calculators of the bench: what people ask, what the trade calls it, and at which steps of a visit each stands. */
import type { Step } from '../core/visit/steps';
import type { PaperBlock } from './paperBlocks';

export interface Calculator {
  group: string;
  question: string;
  title: string;
  /** more words by which it is found */
  also: string;
  /** steps that offer it; none: it is asked of a leak or of the fleet, not in a visit */
  stands: readonly Step[];
  /** the step of what it files, where that is not the step of the kind it files */
  files?: Step;
  /** where that stands on the service record, if not where its kind does */
  paper?: PaperBlock;
}

const TABLE = {
  saturation: {
    group: 'Reading the machine',
    question: 'What should the gauge read?',
    title: 'Saturation: pressure and temperature, both ways',
    also: 'boil pressure temperature chart bubble dew glide density',
    stands: ['raise', 'read'],
  },
  superheat: {
    group: 'Reading the machine',
    question: 'How much superheat and subcooling?',
    title: 'Superheat, subcooling and the valve',
    also: 'txv expansion valve turn adjust suction line liquid line',
    stands: ['read', 'prove', 'charge'],
  },
  targets: {
    group: 'Reading the machine',
    question: 'What should it run at today?',
    title: 'Suction and head pressure for this box and this weather',
    also: 'target evaporating condensing td split box ambient',
    stands: ['read', 'prove'],
  },
  standing: {
    group: 'Reading the machine',
    question: 'Is there liquid left?',
    title: 'Standing pressure against saturation',
    also: 'empty charge gone rest air non-condensable',
    stands: ['raise', 'read'],
  },
  control: {
    group: 'Reading the machine',
    question: 'Where do I set the low-pressure control?',
    title: 'Cut-in, cut-out and differential',
    also: 'pressure switch dial setting lpc',
    stands: ['prove'],
    files: 'prove',
  },
  judge: {
    group: 'Reading the machine',
    question: 'What is wrong with it?',
    title: 'Ranked causes, and what to read next',
    also: 'diagnose fault cause restriction low charge dirty condenser',
    stands: ['judge'],
    files: 'judge',
  },
  hold: {
    group: 'Tight and dry',
    question: 'Did it hold, and how long must it stand?',
    title: 'Standing pressure test with nitrogen',
    also: 'pressure test drop temperature correction time',
    stands: ['hold'],
  },
  evacuation: {
    group: 'Tight and dry',
    question: 'Is it tight and dry?',
    title: 'Evacuation: the rise after the pump is shut off',
    also: 'vacuum decay microns moisture leak rise',
    stands: ['evacuate'],
  },
  'pump-down': {
    group: 'Tight and dry',
    question: 'How long must the pump run?',
    title: 'Pull-down by hoses, cores and pump',
    also: 'vacuum time hose core conductance',
    stands: ['evacuate'],
  },
  release: {
    group: 'Tight and dry',
    question: 'How much got out when I opened it?',
    title: 'Estimated release of a section',
    also: 'vent opened part gas let go trace',
    stands: ['isolate'],
    files: 'isolate',
    paper: 'gas',
  },
  weigh: {
    group: 'Charging and bottles',
    question: 'What stays in my hoses?',
    title: 'The charge to weigh, corrected for hoses',
    also: 'critical charge hose content nameplate',
    stands: ['charge'],
  },
  'went-in': {
    group: 'Charging and bottles',
    question: 'How much went in?',
    title: 'Bottles before and after',
    also: 'weight scale cylinder added',
    stands: [],
  },
  trim: {
    group: 'Charging and bottles',
    question: 'Add more, or stop?',
    title: 'Charging by superheat and subcooling',
    also: 'trim charge stop overcharge sight glass',
    stands: ['charge'],
    files: 'charge',
  },
  winter: {
    group: 'Charging and bottles',
    question: 'How much more for winter?',
    title: 'Flooding charge at low ambient',
    also: 'head pressure control flooded condenser cold',
    stands: ['charge'],
  },
  components: {
    group: 'Charging and bottles',
    question: 'What does this system hold?',
    title: 'Full charge by components',
    also: 'line set receiver condenser evaporator estimate full charge',
    stands: ['charge'],
  },
  cylinder: {
    group: 'Charging and bottles',
    question: 'How full may this bottle be?',
    title: 'Recovery cylinder: limit and room',
    also: 'recovery tank 80 percent tare water capacity',
    stands: ['isolate'],
    files: 'isolate',
  },
  'leak-size': {
    group: 'The leak and its price',
    question: 'How big is this leak?',
    title: 'One leak in every unit, and who can see it',
    also: 'percent ounces grams year mbar bubbles microns detector',
    stands: [],
  },
  cost: {
    group: 'The leak and its price',
    question: 'What will this leak cost?',
    title: 'Twelve months of top-offs against a repair',
    also: 'money price repair top off co2 tonnes',
    stands: ['decide'],
    files: 'decide',
  },
  forecast: {
    group: 'The leak and its price',
    question: 'When will they run short?',
    title: 'Forecast of every machine from its own additions',
    also: 'fleet monte carlo limit date run out',
    stands: [],
  },
} as const satisfies Record<string, Calculator>;

export type CalculatorName = keyof typeof TABLE;
export const CALCULATORS: Readonly<Record<CalculatorName, Calculator>> = TABLE;
export const CALCULATOR_NAMES = Object.keys(TABLE) as CalculatorName[];

export const isCalculator = (name: string | null): name is CalculatorName => name !== null && name in TABLE;

export const calculatorOf = (name: CalculatorName): Calculator => CALCULATORS[name];

/** Those that stand at a step, in the order of the table. */
export const calculatorsAt = (step: Step): CalculatorName[] =>
  CALCULATOR_NAMES.filter((name) => CALCULATORS[name].stands.includes(step));

export interface CalculatorGroup {
  title: string;
  calculators: readonly (Calculator & { name: CalculatorName })[];
}

/** Groups with the calculators that have every word of the search in them; all of them without one. */
export function calculatorsWith(text: string): CalculatorGroup[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const found = CALCULATOR_NAMES.map((name) => ({ name, ...CALCULATORS[name] })).filter((each) => {
    const all = `${each.question} ${each.title} ${each.also}`.toLowerCase();
    return words.every((word) => all.includes(word));
  });
  return [...new Set(found.map((each) => each.group))].map((title) => ({
    title,
    calculators: found.filter((each) => each.group === title),
  }));
}
