/** What a reading amounts to, in the words beside it. Chart of R-134a: 96 psig near 85 °F, 4 psig near −5 °F. */
import { describe, expect, test } from 'vitest';
import { figuresOf } from '../core/visit/readings/figures';
import { loadSaturation } from '../core/refrigerant/tables';
import { ATMOSPHERE, celsius, fahrenheit, psig } from '../core/testkit/bench';
import { amountsTo, degreesApart } from './amounts';
import { shownIn } from './measures';

const table = await loadSaturation('R-134a');
const machine = { table, atmosphere: ATMOSPHERE, difference: 10 / 1.8, split: 30 / 1.8, recovered: null };
const measured = (si: number) => ({ typed: 'x', si, unit: 'x' });
const numbers = {
  suction: measured(psig(4)),
  head: measured(psig(96)),
  suctionLine: measured(fahrenheit(58)),
  liquidLine: measured(fahrenheit(74)),
  box: measured(fahrenheit(46)),
  ambient: measured(fahrenheit(71)),
};
const figures = figuresOf({ numbers, signs: {} }, machine);
const us = shownIn('us', ATMOSPHERE);

describe('in psig and °F', () => {
  test.each([
    ['suction', /^sat −5 °F · near (29|30)$/, 'low'],
    ['head', /^sat 85 °F · near 126$/, 'low'],
    ['suctionLine', /^superheat 63 °F · 6–12$/, 'high'],
    ['liquidLine', /^subcooling 11 °F · 8–12$/, 'right'],
    ['ambient', /^split 14 °F$/, 'low'],
    ['box', /^51 °F above the coil$/, null],
  ] as const)('%s', (place, words, mark) => {
    const found = amountsTo(place, figures, us, 'us');
    expect(found?.words).toMatch(words);
    expect(found?.mark).toBe(mark);
  });
});

test('in bar and °C a tenth counts', () => {
  const metric = amountsTo('suctionLine', figures, shownIn('metric', ATMOSPHERE), 'metric');
  expect(metric?.words).toMatch(/^superheat 35(\.\d)? K · 3\.3–6\.7$/);
  expect(degreesApart(celsius(10) - celsius(7.5), 'metric')).toBe('2.5 K');
});

test('a reading that amounts to nothing yet says nothing', () => {
  const alone = figuresOf(
    { numbers: { suctionLine: numbers.suctionLine, box: numbers.box }, signs: {} },
    machine,
  );
  expect(amountsTo('suctionLine', alone, us, 'us')).toBeNull();
  expect(amountsTo('box', alone, us, 'us')).toBeNull();
  expect(amountsTo('frost', alone, us, 'us')).toBeNull();
});
