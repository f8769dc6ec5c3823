/** The bench through the real interface; expected figures are the handbook's points or worked by hand. */
import { type Page, expect, test } from '@playwright/test';
import { addMachine, sheet, staysInWidth, signIn } from './steps';

const answer = (page: Page) => page.getByRole('region', { name: 'Answer' });
/** Labels of optional fields say so; the unit beside a field has a label of its own. */
const field = (page: Page, label: string) =>
  page.getByLabel(new RegExp(`^${label}( \\(optional\\))?$`)).and(page.locator('input, select, textarea'));

test.beforeEach(async ({ page }) => signIn(page, 'marit'));

test('found by what people ask, and empty pages say what is wanted', async ({ page }) => {
  await page.goto('/bench');
  await page.getByLabel('Find a calculator').fill('bottle 80');
  await expect(page.getByRole('link')).toContainText(['How full may this bottle be?'], {
    useInnerText: true,
  });
  await page.getByRole('link', { name: /How full may this bottle be/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'How full may this bottle be?' })).toBeVisible();
  await expect(answer(page)).toContainText(
    'as soon as you have typed the water capacity, tare and weight now',
  );
  await expect(answer(page)).toContainText('Recovery cylinders to 80 % only');
  await page.goto('/bench');
  await page.getByLabel('Find a calculator').fill('banana');
  await expect(page.getByText('No calculator has these words')).toBeVisible();
  await page.goto('/bench/banana');
  await expect(page.getByRole('link', { name: 'Due' }).first()).toBeVisible();
});

test('saturation: typed, by slider and by gauge, in both units, with altitude', async ({ page }) => {
  await page.goto('/bench/saturation');
  await field(page, 'Refrigerant').selectOption('R-134a');
  await field(page, 'Temperature').fill('0 °C');
  // 292.8 kPa absolute: 27.8 psig
  await expect(answer(page).getByText('27.8 psig', { exact: true })).toBeVisible();
  await expect(page.getByText('= 32 °F')).toBeVisible();
  // The point on the curve is taken along it: a degree across, a pound up, and ten with shift.
  const point = page.getByRole('slider', { name: 'Saturation: temperature' });
  await point.focus();
  await point.press('ArrowRight');
  await expect(field(page, 'Temperature')).toHaveValue('33');
  await point.press('Shift+ArrowLeft');
  await expect(field(page, 'Temperature')).toHaveValue('23');
  await point.press('ArrowUp');
  // 23 °F is 20.6 psig for R-134a; a pound more
  await expect(field(page, 'Gauge pressure')).toHaveValue(/^21\.\d$/);
  await field(page, 'Gauge pressure').fill('12 inHg');
  await expect(answer(page).getByText('12 inHg vacuum').last()).toBeVisible();
  await field(page, 'Gauge pressure').fill('900 psig');
  await expect(answer(page).getByRole('alert')).toContainText('R-134a has no saturation at 900 psig');
  await field(page, 'Gauge pressure').fill('1,5 bar');
  await expect(page.getByText('A comma can mean two things')).toBeVisible();

  // The same gauge reading higher up is less pressure, so it boils colder: 27.8 psig at 5,200 ft is 276.0 kPa less air.
  await field(page, 'Gauge pressure').fill('27.8');
  await expect(answer(page).getByText('32 °F', { exact: true })).toBeVisible();
  await page.getByText('change', { exact: true }).click();
  await page.getByLabel('Altitude of the site').fill('5200 ft');
  await expect(
    answer(page)
      .getByText(/^2[0-9.]+ °F$/)
      .first(),
  ).toBeVisible();
  await page.getByLabel('Altitude of the site').fill('99000 ft');
  await expect(page.getByText(/Type it as 5200 ft or 1600 m/)).toBeVisible();
  await page.getByRole('radio', { name: 'bar, °C, kg' }).click();
  await expect(field(page, 'Gauge pressure')).toHaveValue('27.8');
  await expect(page.getByLabel('Unit of gauge pressure')).toHaveValue('psig');
  await expect(
    answer(page)
      .getByText(/^−[0-9.]+ °C$/)
      .first(),
  ).toBeVisible();
  await staysInWidth(page);
});

test('superheat and subcooling with the valve, kept in a machine’s logbook, and undone', async ({ page }) => {
  const name = 'Bench box';
  const address = await addMachine(page, {
    site: 'Bench quay',
    name,
    refrigerant: 'R-134a',
    charge: '10 lb',
  });
  await page.goto('/bench/superheat');
  await field(page, 'Refrigerant').selectOption('R-134a');
  await expect(answer(page)).toContainText('as soon as you have typed');
  // R-134a boils at 32 °F at 27.8 psig; 52 °F in the line is 20 °F of superheat.
  await field(page, 'Suction pressure').fill('27.8');
  await field(page, 'Suction line').fill('52');
  await expect(answer(page).getByText('20 °F', { exact: true })).toBeVisible();
  await expect(answer(page).getByText(/Open the valve half a turn/)).toBeVisible();
  await answer(page).getByText('Show the working').first().click();
  await expect(answer(page).getByText('superheat = line temperature − dew temperature')).toBeVisible();
  // A reload loses nothing.
  await page.reload();
  await expect(field(page, 'Suction line')).toHaveValue('52');

  await page.getByRole('button', { name: 'Keep this' }).click();
  await sheet(page).getByLabel('Find a machine').fill(name);
  await sheet(page).getByRole('button', { name }).click();
  await expect(sheet(page).getByText('R-134a: superheat 20 °F')).toBeVisible();
  await sheet(page).getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText(`Kept in the logbook of ${name}.`)).toBeVisible();
  await page.goto(address);
  const logbook = page.getByRole('region', { name: 'Logbook' });
  await expect(logbook.getByText('R-134a: superheat 20 °F')).toBeVisible();

  await page.goto('/bench/superheat');
  await page.getByRole('button', { name: 'Start over' }).click();
  await expect(field(page, 'Suction line')).toHaveValue('');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(field(page, 'Suction line')).toHaveValue('52');
});

test('hold: temperature explains the fall, never above design, and how long it must stand', async ({
  page,
}) => {
  await page.goto('/bench/hold');
  await expect(page.getByText('Nitrogen only through a regulator')).toBeVisible();
  await field(page, 'Start pressure').fill('100 psig');
  await field(page, 'Temperature of the gas at the start').fill('75 °F');
  await field(page, 'End pressure').fill('92.5 psig');
  await field(page, 'Temperature of the gas at the end').fill('40 °F');
  await field(page, 'Time stood').fill('1 h');
  // Temperature explains the fall; but nobody said how small a leak matters.
  await expect(answer(page).getByText(/Cannot tell yet$/)).toBeVisible();
  await expect(answer(page).getByText(/without a size nothing is called holding/)).toBeVisible();
  await expect(answer(page).getByText('92.5 psig', { exact: true })).toBeVisible();
  await field(page, 'Temperature of the gas at the end').fill('75 °F');
  await expect(answer(page).getByText(/^.*Losing 7.5 psi\/h$/)).toBeVisible();
  await page.getByText('Gauge, limits, volume').click();
  await field(page, 'Least marked design pressure of the section').fill('90');
  await expect(answer(page).getByRole('alert')).toContainText('Do not test at 100 psig');
  await field(page, 'Least marked design pressure of the section').fill('150');
  await field(page, 'Pressure it runs at').fill('140');
  await expect(answer(page).getByText(/Weak evidence/)).toBeVisible();
  await field(page, 'Readings in between').fill('20 96');
  await expect(answer(page).getByRole('alert')).toContainText('Line 1');
  await field(page, 'Readings in between').fill('20, 97.5, 75\n40, 95, 75');
  await expect(answer(page).getByRole('alert')).toBeHidden();
  await page.getByRole('radio', { name: 'How long must it stand?' }).click();
  await field(page, 'Volume of the section').fill('20 L');
  await expect(answer(page).getByText(/To show a leak of 8 oz\/yr it must stand/)).toBeVisible();
  await staysInWidth(page);
});

test('evacuation: a moist curve levels off, a straight one is a leak, three readings are not firm', async ({
  page,
}) => {
  await page.goto('/bench/evacuation');
  await page.getByRole('button', { name: 'Fill in an example' }).click();
  await expect(answer(page).getByText(/Pass: levelling, from moisture/)).toBeVisible();
  await expect(answer(page).getByText(/^Firm\. Of the evidence: moisture/)).toBeVisible();
  await expect(answer(page).getByText(/At the last reading water boils off/)).toBeVisible();
  const readings = page.getByLabel('Readings after the pump was shut off');
  const straight = Array.from(
    { length: 41 },
    (_, i) => `${String(i)} ${String(400 + 25 * i + ((i * 3) % 4))}`,
  );
  await readings.fill(straight.join('\n'));
  await expect(answer(page).getByText('Fail: a leak')).toBeVisible();
  await expect(
    answer(page).getByText('Because it ended above the limit of this way of working and a leak is sure'),
  ).toBeVisible();
  await expect(answer(page).getByText(/^2[45](\.\d+)? micron\/min to 25(\.\d+)? micron\/min$/)).toBeVisible();
  await readings.fill('0 400\n1 401\n2 399');
  await expect(answer(page).getByText(/^Not firm/)).toBeVisible();
  await readings.fill('0 400\nsoon 500');
  await expect(answer(page).getByRole('alert')).toContainText('Line 2');
  // By the clock, a reading at a time.
  await readings.fill('');
  await page.getByRole('button', { name: 'Pump is shut off: start the clock' }).click();
  await page.getByLabel('Reading now, in microns').fill('410');
  await page.getByRole('button', { name: 'Add this reading' }).click();
  await expect(readings).toHaveValue(/^0:0\d 410$/);
  await page.reload();
  await expect(page.getByRole('timer')).toHaveText(/^0:\d\d$/);
  await staysInWidth(page);
});

test('hoses: 5 ft of 0.19 in holds 27.9 cm³, more than a small machine', async ({ page }) => {
  await page.goto('/bench/weigh');
  await field(page, 'Refrigerant').selectOption('R-290');
  await expect(page.getByText('It burns.', { exact: false }).first()).toBeVisible();
  await field(page, 'Charge that must be inside').fill('10 g');
  await expect(answer(page).getByText('27.9 cm³ of volume')).toBeVisible();
  await expect(
    answer(page).getByText('Your hose holds more than the machine.', { exact: false }),
  ).toBeVisible();
  await expect(answer(page).getByText('no flame or spark near', { exact: false })).toBeVisible();
  await field(page, 'Charge that must be inside').fill('500 g');
  await expect(
    answer(page).getByText('Your hose holds more than the machine.', { exact: false }),
  ).toBeHidden();
});

test('one leak in every unit, and who can see it', async ({ page }) => {
  await page.goto('/bench/leak-size');
  await field(page, 'Percent of the full charge a year').fill('10');
  // 10 % of 10 lb
  for (const words of ['1 lb/yr', '16 oz/yr', '0.454 kg/yr', '453.6 g/yr'])
    await expect(answer(page).getByText(words, { exact: true })).toBeVisible();
  await expect(answer(page).getByRole('row', { name: /Bubbles under soap from/ })).toContainText('sees it');
  await expect(answer(page).getByRole('row', { name: /This pressure test on this gauge/ })).toContainText(
    'does not',
  );
  await page.getByRole('radio', { name: 'weight a year' }).click();
  await field(page, 'Refrigerant a year').fill('3 g/yr');
  await expect(answer(page).getByRole('row', { name: /Heated-diode/ })).toContainText('does not');
});

test('the judge ranks what the gauges and the eye say, and asks for the next reading', async ({ page }) => {
  await page.goto('/bench/judge');
  await page.getByRole('radiogroup', { name: 'Suction' }).getByRole('radio', { name: 'in vacuum' }).click();
  await page.getByRole('radiogroup', { name: 'Head' }).getByRole('radio', { name: 'near ambient' }).click();
  await page.getByRole('radiogroup', { name: 'Sight glass' }).getByRole('radio', { name: 'empty' }).click();
  const causes = page.getByRole('region', { name: 'Likely causes' }).getByRole('listitem');
  await expect(causes.first()).toContainText('Low charge');
  await expect(causes.first()).toContainText('For: suction in vacuum');
  await expect(page.getByRole('region', { name: 'Read this next' })).toContainText(/If .* leads with/);
  await staysInWidth(page);
});

test('the forecast of all machines runs beside the screen, can be stopped, and repeats by its seed', async ({
  page,
}) => {
  await page.goto('/bench/forecast');
  await page.getByRole('radio', { name: '200,000' }).click();
  const start = page.getByRole('button', { name: /^Forecast \d+ machines$/ });
  await expect(start).toBeEnabled();
  await start.click();
  await expect(page.getByRole('progressbar', { name: 'Running' })).toBeVisible();
  // The screen answers meanwhile.
  await page.getByRole('radio', { name: '2,000', exact: true }).click();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('Stopped. Nothing of it was kept.')).toBeVisible();
  await page.getByRole('button', { name: 'Start again' }).click();
  const list = answer(page).getByRole('listitem');
  await expect(list.first()).toContainText(/Short:/);
  const first = await answer(page).innerText();
  await start.click();
  await expect(list.first()).toContainText(/Short:/);
  expect(await answer(page).innerText()).toBe(first);
});
