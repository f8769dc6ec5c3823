/** The bench's own small logic: readings a line each, finding a calculator, words for every code. */
import { describe, expect, it } from 'vitest';
import { CAUSE_NAMES, SIGN_REASONS } from '../../core/diagnosis/causes';
import { READINGS, READING_NAMES } from '../../core/diagnosis/readings';
import type { CalculatorRefusal } from '../../core/calculators/calculated';
import { calculatorRefusalWords, measureRefusalWords } from '../../words/calculators';
import { CAUSE_WORDS, READING_WORDS, SIGN_REASON_WORDS, VALUE_WORDS } from '../../words/diagnosis';
import { durationWords, echoOf, shownIn } from '../../words/measures';
import { CALCULATOR_NAMES, calculatorOf, calculatorsWith, isCalculator } from '../../record/calculators';
import { calculatorPage } from './CalculatorPage';
import { figure, needed } from './form';
import { holdLines, vacuumLines } from './readingLines';

const SOURCES = import.meta.glob<string>('./pages/*.tsx', { query: '?raw', import: 'default', eager: true });

describe('readings a line each', () => {
  const units = { timeUnit: 'min', vacuumUnit: 'micron' } as const;
  const MICRON = 0.1333223684;

  it.each([
    ['bare minutes and microns', '0 400\n1.5 450', 90],
    ['minutes and seconds', '0:00 400\n1:30 450', 90],
    ['commas, as a gauge’s file has them', '0,400\n1:30,450', 90],
    ['units written out', '0 s, 400 micron\n90 s, 60 Pa', 90],
    ['decimal commas, as a gauge’s file has them elsewhere', '0;400\n1,5;450', 90],
    ['decimal commas between tabs', '0\t400\n1,5\t450,5', 90],
    ['decimal commas between blanks', '0 400\n1,5 450', 90],
    ['empty lines between', '\n0 400\n\n1:30 450\n', 90],
  ])('reads %s', (_, text, second) => {
    const read = vacuumLines(text, units);
    expect(read.ok && read.value.map((each) => each.at)).toEqual([0, second]);
    expect(read.ok && read.value[0]?.pressure).toBeCloseTo(400 * MICRON, 9);
  });

  it('a comma that can mean two things is refused, not guessed', () => {
    for (const line of ['0;1,500', '0 1,500', '1,500 400', '0, 1,500'])
      expect(vacuumLines(line, units), line).toMatchObject({ ok: false });
    const read = vacuumLines('0;0,500', units);
    expect(read.ok && read.value[0]?.pressure).toBeCloseTo(0.5 * MICRON, 9);
  });

  it('names the line that does not read', () => {
    const read = vacuumLines('0 400\n\nlater 500', units);
    expect(read).toMatchObject({ ok: false, refusal: expect.stringContaining('Line 3') as string });
    expect(vacuumLines('0 400 7', units).ok).toBe(false);
    expect(vacuumLines('0', units).ok).toBe(false);
  });

  it('reads a hold in the units of its fields', () => {
    const read = holdLines('20 98 75\n40, 97 psig, 24 °C', {
      pressureUnit: 'psig',
      temperatureUnit: '°F',
      atmosphere: 101_325,
    });
    expect(read.ok && read.value[0]?.pressure).toBeCloseTo(101_325 + 98 * 6894.757293168, 3);
    expect(read.ok && read.value[1]?.temperature).toBeCloseTo(297.15, 9);
    const metric = holdLines('20;8,72;21,5', {
      pressureUnit: 'bar',
      temperatureUnit: '°C',
      atmosphere: 101_325,
    });
    expect(metric.ok && metric.value[0]?.pressure).toBeCloseTo(101_325 + 8.72e5, 3);
    expect(metric.ok && metric.value[0]?.temperature).toBeCloseTo(294.65, 9);
    expect(
      holdLines('20 98', { pressureUnit: 'psig', temperatureUnit: '°F', atmosphere: 101_325 }),
    ).toMatchObject({ ok: false });
  });
});

describe('finding a calculator', () => {
  it.each([
    ['how long must it stand', 'hold'],
    ['liquid left', 'standing'],
    ['gauge read', 'saturation'],
    ['how big leak', 'leak-size'],
    ['how full bottle', 'cylinder'],
    ['hoses stays', 'weigh'],
    ['txv', 'superheat'],
    ['microns moisture', 'evacuation'],
  ])('“%s” finds %s', (text, slug) => {
    const found = calculatorsWith(text).flatMap((group) => group.calculators.map((each) => each.name));
    expect(found).toContain(slug);
  });

  it.each(CALCULATOR_NAMES)('%s has a page, words, an example, and is found by its own question', (name) => {
    expect(calculatorPage(name)).toBeTruthy();
    const { question, title, also } = calculatorOf(name);
    for (const words of [question, title, also]) expect(words).toMatch(/\w/);
    expect(calculatorsWith(question.replace(/[?,]/g, '')).length).toBeGreaterThan(0);
    const source =
      SOURCES[`./pages/${name.replace(/(^|-)(\w)/g, (_, __, letter: string) => letter.toUpperCase())}.tsx`];
    // The forecast reads the fleet: nothing is typed.
    if (name !== 'forecast') expect(source).toMatch(/example/i);
  });

  it('there are as many pages as calculators, and each stands in a step or is asked outside a visit', () => {
    expect(CALCULATOR_NAMES.length).toBeGreaterThanOrEqual(19);
    expect(Object.keys(SOURCES)).toHaveLength(CALCULATOR_NAMES.length);
    expect(isCalculator('nothing')).toBe(false);
    expect(CALCULATOR_NAMES.filter((name) => calculatorOf(name).stands.length === 0)).toEqual([
      'went-in',
      'leak-size',
      'forecast',
    ]);
  });
});

describe('words', () => {
  it('stand for every cause, reading, value and reason of the judge', () => {
    for (const cause of CAUSE_NAMES) expect(CAUSE_WORDS[cause]).toBeTruthy();
    for (const reason of SIGN_REASONS) expect(SIGN_REASON_WORDS[reason]).toBeTruthy();
    for (const reading of READING_NAMES) {
      expect(READING_WORDS[reading]).toBeTruthy();
      for (const value of Object.keys(READINGS[reading].usual))
        expect(VALUE_WORDS[`${reading} ${value}`], `${reading} ${value}`).toBeTruthy();
    }
  });

  it('say what is wrong and where the range ends, in the units of the screen', () => {
    const show = shownIn('us', 101_325);
    const outside: CalculatorRefusal = {
      reason: 'outsideTable',
      refrigerant: 'R-744',
      quantity: 'temperature',
      given: 305.372222,
      from: 217.15,
      to: 301.15,
    };
    expect(calculatorRefusalWords(outside, show)).toBe(
      'R-744 has no saturation at 90 °F: its table reaches from −68.8 °F to 82.4 °F. Check the temperature, its unit and the refrigerant.',
    );
    expect(calculatorRefusalWords({ reason: 'mixedGases', held: 'R-22', given: 'R-134a' }, show)).toContain(
      'Never put R-134a',
    );
    expect(measureRefusalWords({ reason: 'unknownUnit', dimension: 'flow', unit: 'x' })).toContain(
      'cfm, L/s',
    );
    expect(measureRefusalWords({ reason: 'belowZero', dimension: 'pressure' })).toContain('absolute zero');
  });

  it.each([
    [90, '90 s'],
    [150, '2.5 min'],
    [5400, '90 min'],
    [9000, '2.5 h'],
    [200_000, '2.3 days'],
    [400 * 86_400, '400 days'],
    [1095 * 86_400, '3 years'],
  ])('%d s is %s', (seconds, words) => {
    expect(durationWords(seconds)).toBe(words);
  });

  it('a compound gauge shows inches of mercury below zero, a metric one a minus', () => {
    expect(shownIn('us', 101_325)('pressure', 101_325 - 12 * 3386.389)).toBe('12 inHg vacuum');
    expect(shownIn('metric', 101_325)('pressure', 61_325)).toBe('−0.4 bar');
    // A cabinet weighed in grams at a site of psig.
    const cabinet = shownIn('us', 101_325, 'metric');
    expect([cabinet('mass', 0.053), cabinet('pressure', 101_325)]).toEqual(['53 g', '0 psig']);
    // The air at the site is the zero, not the air at the sea.
    expect(shownIn('us', 83_400)('pressure', 83_400)).toBe('0 psig');
  });

  it('echo in the other system, small amounts with their decimals', () => {
    expect(echoOf('pressure', 790_800.7293168, 'psig', 101_325)).toBe('6.89 bar');
    expect(echoOf('temperature', 273.15, '°C', 101_325)).toBe('32 °F');
    expect(shownIn('us', 101_325)('mass', 0.0004)).toBe('0.0141 oz');
    expect(shownIn('metric', 101_325)('length', 1.524)).toBe('1.52 m');
  });
});

describe('what is still wanted', () => {
  it('is named by its label, and nothing is reckoned before', () => {
    const spec = (label: string) => ({ field: { ...figure(label, 'mass'), key: label } });
    const form = {
      inputs: { tare: spec('Tare'), gross: spec('Weight now') },
      si: { tare: 11, gross: null },
    };
    expect(needed(form, ['tare', 'gross'])).toEqual({ ready: false, wanted: ['Weight now'] });
    expect(needed(form, ['tare'])).toMatchObject({ ready: true });
  });
});
