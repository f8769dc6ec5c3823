/** The calculators of the bench: what people ask, what the trade calls it, and words by which it is found. */
export interface Calculator {
  slug: string;
  question: string;
  title: string;
  also: string;
}

export const GROUPS: readonly { title: string; calculators: readonly Calculator[] }[] = [
  {
    title: 'Reading the machine',
    calculators: [
      {
        slug: 'saturation',
        question: 'What should the gauge read?',
        title: 'Saturation: pressure and temperature, both ways',
        also: 'boil pressure temperature chart bubble dew glide density',
      },
      {
        slug: 'superheat',
        question: 'How much superheat and subcooling?',
        title: 'Superheat, subcooling and the valve',
        also: 'txv expansion valve turn adjust suction line liquid line',
      },
      {
        slug: 'targets',
        question: 'What should it run at today?',
        title: 'Suction and head pressure for this box and this weather',
        also: 'target evaporating condensing td split box ambient',
      },
      {
        slug: 'standing',
        question: 'Is there liquid left?',
        title: 'Standing pressure against saturation',
        also: 'empty charge gone rest air non-condensable',
      },
      {
        slug: 'control',
        question: 'Where do I set the low-pressure control?',
        title: 'Cut-in, cut-out and differential',
        also: 'pressure switch dial setting lpc',
      },
      {
        slug: 'judge',
        question: 'What is wrong with it?',
        title: 'Ranked causes, and what to read next',
        also: 'diagnose fault cause restriction low charge dirty condenser',
      },
    ],
  },
  {
    title: 'Tight and dry',
    calculators: [
      {
        slug: 'hold',
        question: 'Did it hold, and how long must it stand?',
        title: 'Standing pressure test with nitrogen',
        also: 'pressure test drop temperature correction time',
      },
      {
        slug: 'evacuation',
        question: 'Is it tight and dry?',
        title: 'Evacuation: the rise after the pump is shut off',
        also: 'vacuum decay microns moisture leak rise',
      },
      {
        slug: 'pump-down',
        question: 'How long must the pump run?',
        title: 'Pull-down by hoses, cores and pump',
        also: 'vacuum time hose core conductance',
      },
      {
        slug: 'release',
        question: 'How much got out when I opened it?',
        title: 'Estimated release of a section',
        also: 'vent opened part gas let go trace',
      },
    ],
  },
  {
    title: 'Charging and bottles',
    calculators: [
      {
        slug: 'weigh',
        question: 'What stays in my hoses?',
        title: 'The charge to weigh, corrected for hoses',
        also: 'critical charge hose content nameplate',
      },
      {
        slug: 'went-in',
        question: 'How much went in?',
        title: 'Bottles before and after',
        also: 'weight scale cylinder added',
      },
      {
        slug: 'trim',
        question: 'Add more, or stop?',
        title: 'Charging by superheat and subcooling',
        also: 'trim charge stop overcharge sight glass',
      },
      {
        slug: 'winter',
        question: 'How much more for winter?',
        title: 'Flooding charge at low ambient',
        also: 'head pressure control flooded condenser cold',
      },
      {
        slug: 'components',
        question: 'What does this system hold?',
        title: 'Full charge by components',
        also: 'line set receiver condenser evaporator estimate full charge',
      },
      {
        slug: 'cylinder',
        question: 'How full may this bottle be?',
        title: 'Recovery cylinder: limit and room',
        also: 'recovery tank 80 percent tare water capacity',
      },
    ],
  },
  {
    title: 'The leak and its price',
    calculators: [
      {
        slug: 'leak-size',
        question: 'How big is this leak?',
        title: 'One leak in every unit, and who can see it',
        also: 'percent ounces grams year mbar bubbles microns detector',
      },
      {
        slug: 'cost',
        question: 'What will this leak cost?',
        title: 'Twelve months of top-offs against a repair',
        also: 'money price repair top off co2 tonnes',
      },
      {
        slug: 'forecast',
        question: 'When will they run short?',
        title: 'Forecast of every machine from its own additions',
        also: 'fleet monte carlo limit date run out',
      },
    ],
  },
];

const ALL = GROUPS.flatMap((group) => group.calculators);

export function calculatorOf(slug: string): Calculator {
  const found = ALL.find((each) => each.slug === slug);
  if (!found) throw new Error(`No calculator ${slug}: add it to GROUPS.`);
  return found;
}

/** Groups with the calculators that have every word of the search in them. */
export function calculatorsWith(text: string): typeof GROUPS {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  return GROUPS.map((group) => ({
    ...group,
    calculators: group.calculators.filter((each) => {
      const all = `${each.question} ${each.title} ${each.also}`.toLowerCase();
      return words.every((word) => all.includes(word));
    }),
  })).filter((group) => group.calculators.length > 0);
}
