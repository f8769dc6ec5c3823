/**
 * The hands of a visit, on a phone: how far each step scrolls, how often it is touched, whether it can be done without a
 * finger at all, and what a screen reader meets on the drawing and the keypad. The budget is the handbook's.
 */
import AxeBuilder from '@axe-core/playwright';
import { type Page, expect, test } from '@playwright/test';
import { STEPS } from '../src/core/visit/steps';
import { addMachine, logGas, sheet, signIn } from './steps';
import { thumb } from './thumb';
import { beginVisit } from './visitSteps';

test.beforeEach(async ({ page }) => {
  await signIn(page, 'marit');
});

const VISIT = '/visits/visit-flower-2/flower-2';
/** screens of a phone */
const LONGEST = 2;
const SHORT = 1.5;

test('no step opens longer than two screens, half of them no longer than one and a half @phone', async ({
  page,
}) => {
  const lengths: number[] = [];
  for (const step of STEPS) {
    await page.goto(`${VISIT}/${step}`);
    await page.getByRole('navigation', { name: 'Step before and step after' }).waitFor();
    await expect(page.locator('main')).toHaveAttribute('aria-busy', 'false');
    const screens = (await page.evaluate(() => document.documentElement.scrollHeight)) / 844;
    expect(screens, step).toBeLessThanOrEqual(LONGEST);
    lengths.push(screens);
    info(`${step}: ${screens.toFixed(2)} screens`);
  }
  expect(lengths.filter((each) => each <= SHORT).length).toBeGreaterThanOrEqual(STEPS.length / 2);
});

test('six readings in a run of the thumb, and a whole visit with one leak: touches as the handbook allows @phone', async ({
  page,
}) => {
  const address = await addMachine(page, {
    site: 'By hand',
    name: 'Cooler by hand',
    refrigerant: 'R-134a',
    charge: '22 lb',
  });
  await logGas(page, { amount: '22 lb', on: '2025-11-23', reason: 'Commissioning' });
  await beginVisit(page);
  const hand = thumb(page);
  const next = async (step: string) => {
    const heading = page.getByRole('heading', { level: 1, name: step });
    // A browser that stands still between touch and release takes it for a long press: it is touched again, and counted.
    await expect(async () => {
      if (await heading.isVisible()) return;
      await hand.tap(
        page.getByRole('navigation', { name: 'Step before and step after' }).getByRole('link').last(),
      );
      await expect(heading).toBeVisible({ timeout: 5000 });
    }).toPass();
    expect(await page.evaluate(() => window.scrollY)).toBe(0);
  };
  await next('Arrive');
  await next('Read');
  const before = hand.counted.touches;
  await hand.button('Read on: suction pressure');
  const round = [
    ['4', 'Next: head pressure'],
    ['96', 'Next: suction line'],
    ['58', 'Next: liquid line'],
    ['74', 'Next: box'],
    ['46', 'Next: air at the condenser'],
    ['71', 'Done'],
  ] as const;
  for (const [figures, confirm] of round) await hand.keys(figures, confirm);
  await expect(sheet(page)).toBeHidden();
  expect(hand.counted.touches - before).toBeLessThanOrEqual(32);
  info(`${String(hand.counted.touches - before)} touches for six readings`);
  await expect(sheet(page)).toBeHidden();
  // What they amount to is computed: 63 °F above −5 °F, 11 °F below 85 °F.
  const drawn = page.getByRole('group', { name: /^The machine/ });
  await expect(drawn.getByRole('button', { name: /^Suction line 58 °F, superheat 63 °F/ })).toBeVisible();
  await expect(drawn.getByRole('button', { name: /^Liquid line 74 °F, subcooling 11 °F/ })).toBeVisible();

  await next('Diagnosis');
  await hand.tap(page.getByRole('region', { name: 'Leading causes' }).getByRole('button').first());
  await hand.button('This is my diagnosis');
  await next('Standing or test pressure');
  await next('Search');
  await hand.tap(
    page.getByRole('group', { name: /^Circuit map/ }).getByRole('button', { name: /^Flare nut,/ }),
  );
  await hand.button('leak confirmed');
  await hand.button('bubbles');
  await expect(page.getByRole('region', { name: 'Leaks', exact: true })).toContainText('k1');
  await next('Decide');
  await next('Isolate or recover');
  const machine = page.getByRole('group', { name: /^The machine/ });
  await hand.tap(machine.getByRole('button', { name: /^Receiver valve,/ }));
  await hand.button('Shut');
  await expect(sheet(page)).toBeHidden();
  await hand.tap(page.getByRole('radio', { name: 'Pumped down', exact: true }));
  await hand.button('Save how it was isolated');
  await next('Repair');
  await hand.button('Repair k1');
  await hand.tap(sheet(page).getByRole('radio', { name: 'flare made again' }));
  await hand.button('Write the repair down');
  await expect(sheet(page)).toBeHidden();
  await next('Pressure test');
  await hand.tap(machine.getByRole('button', { name: /^Evaporator coil,/ }));
  await hand.button('The gauge sits here');
  await hand.tap(page.getByRole('radio', { name: 'nitrogen with a trace of refrigerant' }));
  await hand.button('Start pressure');
  await hand.keys('120', 'Start the test');
  await expect(sheet(page)).toBeHidden();
  await hand.button('Next reading');
  await hand.keys('120', 'Keep this reading');
  await expect(page.getByRole('list', { name: 'Readings of this test' }).getByRole('listitem')).toHaveCount(
    2,
  );
  await hand.tap(page.getByRole('radio', { name: 'passed', exact: true }));
  await hand.button(/^First test after repair of k1/);
  await expect(page.getByRole('region', { name: 'Tested in this visit' })).toContainText('first test passed');
  await hand.tap(machine.getByRole('button', { name: /^Receiver valve,/ }));
  await hand.button('Open again');
  await expect(sheet(page)).toBeHidden();
  await next('Evacuate');
  const vacuum = page.getByRole('form', { name: 'Vacuum' });
  await hand.type(vacuum.getByLabel('Lowest reading', { exact: true }), '340');
  await hand.tap(page.getByRole('radio', { name: 'held after the pump was shut off', exact: true }));
  await hand.button('Keep the vacuum');
  await next('Charge');
  const amount = page.getByLabel('Amount', { exact: true });
  await hand.type(amount, '8 lb');
  await hand.button('Write it down');
  await expect(amount).toHaveValue('');
  await next('Running check');
  await next('Leave it right');
  const open = page
    .getByRole('region', { name: 'What you touched' })
    .getByRole('button', { name: /: done$/ });
  for (let left = await open.count(); left > 0; left -= 1) {
    await hand.tap(page.getByRole('navigation', { name: 'Step before and step after' }).getByRole('button'));
    await expect(open).toHaveCount(left - 1);
  }
  await next('Hand over');
  await page.getByLabel('Name of who takes it over').fill('Prue Castellan');
  await page.getByLabel('Nobody could sign, because').fill('the shop had closed');
  await hand.button('Hand over');
  await expect(page.getByText('Handed over to', { exact: false })).toBeVisible();
  expect(hand.counted.touches).toBeLessThanOrEqual(110);
  info(`${String(hand.counted.touches)} touches from arriving to handing over`);

  // Nothing was typed twice, and the paper says it in the order of time.
  const paper = page.getByRole('article', { name: 'Service record' });
  await expect(paper).toContainText('first test passed');
  await page.goto(address);
  await expect(page.getByRole('region', { name: 'Where it leaked' })).toContainText('Flare nut');
});

test('pumped down, three portions, one of them not weighed, a vacuum held: each saved at the first try, each refusal in sight @phone', async ({
  page,
}) => {
  await addMachine(page, {
    site: 'By thumb',
    name: 'Cooler by thumb',
    refrigerant: 'R-134a',
    charge: '22 lb',
  });
  await beginVisit(page);
  const hand = thumb(page);
  const at = (step: string) => page.goto(page.url().replace(/[a-z]+$/, step));
  const written = page.getByRole('group', { name: 'Written in this visit' });

  await at('isolate');
  await hand.tap(page.getByRole('radio', { name: 'Pumped down', exact: true }));
  const isolated = page.getByRole('list', { name: 'Written: How it was isolated' });
  expect(await hand.save('Save how it was isolated', isolated)).toEqual([]);

  await at('charge');
  const amount = page.getByLabel('Amount', { exact: true });
  await hand.type(amount, '2 lb');
  expect(await hand.save('Write it down', written.getByText('2 lb, top-off'))).toEqual([]);
  await hand.type(amount, '1 lb 4 oz');
  expect(await hand.save('Write it down', written.getByText('2 portions, 3 lb 4 oz in all'))).toEqual([]);
  await hand.tap(page.getByLabel('Not weighed'));
  const third = written.getByText('3 portions, 3 lb 4 oz in all, and 1 not weighed');
  expect((await hand.save('Write it down', third)).join()).toContain('Say why nobody weighed');
  await hand.type(page.getByLabel('Why not'), 'scale flat');
  expect(await hand.save('Write it down', third)).toEqual([]);

  await at('evacuate');
  const vacuum = page.getByRole('form', { name: 'Vacuum' });
  await hand.type(vacuum.getByLabel('Lowest reading', { exact: true }), '480');
  await hand.tap(page.getByRole('radio', { name: 'held after the pump was shut off', exact: true }));
  await hand.type(vacuum.getByLabel('Where it stood then', { exact: true }), '520');
  expect(await hand.save('Keep the vacuum', page.getByRole('list', { name: 'Written: Vacuum' }))).toEqual([]);
  info(`${String(hand.counted.touches)} touches for an isolation, three portions and a vacuum`);
});

const info = (description: string) => test.info().annotations.push({ type: 'measured', description });

test('a whole visit by keyboard alone; the drawing and the keypad to a screen reader @phone', async ({
  page,
}) => {
  await addMachine(page, { site: 'By key', name: 'Cooler by key', refrigerant: 'R-134a', charge: '22 lb' });
  await beginVisit(page);
  await page.goto(page.url().replace(/before$/, 'read'));
  const press = (key: string) => page.keyboard.press(key);
  // From the drawing: the box of a place takes the focus, Enter opens it, figures are typed, Enter goes on.
  await page
    .getByRole('group', { name: /^The machine/ })
    .getByRole('button', { name: /^Suction pressure, not read/ })
    .focus();
  await press('Enter');
  const figure = sheet(page).getByRole('textbox');
  await expect(figure).toBeFocused();
  const found = await new AxeBuilder({ page }).include('[role=dialog]').analyze();
  expect(found.violations).toEqual([]);
  await page.keyboard.type('4');
  await press('Enter');
  await expect(sheet(page).getByRole('textbox', { name: 'Head pressure' })).toBeFocused();
  await page.keyboard.type('9x');
  await press('Enter');
  // What is no figure is said, and not saved.
  await expect(sheet(page).getByRole('alert')).toBeVisible();
  await press('Escape');
  await expect(sheet(page)).toBeHidden();
  for (const look of ['paper', 'cold-room', 'roof']) {
    await page.evaluate((name) => (document.documentElement.dataset['look'] = name), look);
    const seen = await new AxeBuilder({ page }).include('main').analyze();
    expect(seen.violations, look).toEqual([]);
  }
  // The same places as a list.
  await page.getByText('The drawing as a list').focus();
  await press('Enter');
  const list = page.getByRole('list', { name: /as a list$/ });
  await list.getByRole('button', { name: /^Sight glass, unit/ }).focus();
  await press('Enter');
  await expect(sheet(page)).toBeVisible();
  await sheet(page).getByRole('button', { name: 'Sight glass', exact: true }).focus();
  await press('Enter');
  await sheet(page).getByRole('button', { name: 'bubbles' }).focus();
  await press('Enter');
  await expect(
    page.getByRole('group', { name: /^The machine/ }).getByRole('button', { name: /^Sight glass bubbles/ }),
  ).toBeVisible();
  // On to the search, a leak by key, and shut by key.
  await page.goto(page.url().replace(/read$/, 'search'));
  await page
    .getByRole('group', { name: /^Circuit map/ })
    .getByRole('button', { name: /^Drier,/ })
    .focus();
  await press(' ');
  await sheet(page).getByRole('button', { name: 'leak confirmed' }).focus();
  await press('Enter');
  await sheet(page).getByRole('button', { name: 'seen' }).focus();
  await press('Enter');
  await expect(page.getByRole('region', { name: 'Leaks', exact: true })).toContainText('k1, Drier');

  // The rest of the visit by keys: a valve, the repair, a pressure test, gas, and handing over.
  const enter = async (target: ReturnType<Page['locator']>) => {
    await target.focus();
    await press('Enter');
  };
  const button = (name: string | RegExp) => page.getByRole('button', { name }).last();
  const onward = async (step: string) => {
    await enter(
      page.getByRole('navigation', { name: 'Step before and step after' }).getByRole('link', { name: step }),
    );
    await expect(page.getByRole('heading', { level: 1, name: step })).toBeVisible();
  };
  await onward('Decide');
  await onward('Isolate or recover');
  const machine = page.getByRole('group', { name: /^The machine/ });
  await enter(machine.getByRole('button', { name: /^Receiver valve,/ }));
  await enter(button('Shut'));
  await expect(sheet(page)).toBeHidden();
  await onward('Repair');
  await enter(button('Repair k1'));
  await sheet(page).getByRole('radio', { name: 'tightened' }).focus();
  await press(' ');
  await enter(button('Write the repair down'));
  await expect(sheet(page)).toBeHidden();
  await onward('Pressure test');
  await enter(machine.getByRole('button', { name: /^Evaporator coil,/ }));
  await enter(button('The gauge sits here'));
  await enter(button('Start pressure'));
  await page.keyboard.type('120');
  await press('Enter');
  await expect(sheet(page)).toBeHidden();
  await page.getByRole('radio', { name: 'passed', exact: true }).focus();
  await press(' ');
  await enter(button(/^First test after repair of k1/));
  await expect(page.getByRole('region', { name: 'Tested in this visit' })).toContainText('first test passed');
  await enter(button('Receiver valve, unit: open again'));
  await onward('Evacuate');
  await onward('Charge');
  await page.getByLabel('Amount', { exact: true }).focus();
  await page.keyboard.type('3 lb');
  await press('Enter');
  await expect(page.getByLabel('Amount', { exact: true })).toHaveValue('');
  await onward('Running check');
  await onward('Leave it right');
  await onward('Hand over');
  await page.getByLabel('Name of who takes it over').focus();
  await page.keyboard.type('Prue Castellan');
  await page.getByLabel('Nobody could sign, because').focus();
  await page.keyboard.type('by key');
  await enter(button('Hand over'));
  await expect(page.getByText('Handed over to', { exact: false })).toBeVisible();
});
