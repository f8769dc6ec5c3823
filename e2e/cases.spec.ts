import { expect, test } from '@playwright/test';
import { addMachine, duty, logGas, save, sheet, signIn, writeDown } from './steps';

test.beforeEach(async ({ page }) => {
  await signIn(page, 'marit');
});

const passed =
  (stage: 'First' | 'Second', result: 'Passed' | 'Failed', leak?: string) =>
  async (form: ReturnType<typeof sheet>) => {
    await form.getByRole('radio', { name: stage }).click();
    await form.getByRole('radio', { name: result }).click();
    if (leak) await form.getByLabel(new RegExp(`^${leak},`)).check();
  };

test('exceedance, leak, repair, failed first test, second try, follow-up, inspections, closed', async ({
  page,
}) => {
  const address = await addMachine(page, {
    site: 'North shed',
    name: 'Rack N',
    refrigerant: 'R-507A',
    charge: '600 lb',
  });
  await logGas(page, { amount: '10 lb', on: '2026-01-10', reason: 'Commissioning' });
  await logGas(page, { amount: '90 lb', on: '2026-03-01' });
  await expect(duty(page, 'Repair')).toContainText('31 Mar 2026');

  await writeDown(page, 'Leak found', '2026-03-02', (form) =>
    form.getByLabel('Part', { exact: false }).first().fill('header joint'),
  );
  await writeDown(page, 'Leak repaired', '2026-03-05', (form) => form.getByLabel('How').fill('brazed again'));
  await writeDown(page, 'Test after repair', '2026-03-05', passed('First', 'Failed', 'k1'));
  await page.getByRole('link', { name: /US HFC rules, opened 1 Mar 2026/ }).click();
  await expect(page.getByText('first test FAILED').first()).toBeVisible();
  await expect(page.getByText('○ not repaired')).toBeVisible();

  await page.getByRole('button', { name: 'Leak k1 repaired' }).click();
  await sheet(page).getByLabel('How').fill('joint renewed');
  await sheet(page).getByLabel('Evacuated for the repair').check();
  await sheet(page).getByLabel('Day', { exact: true }).fill('2026-03-08');
  await save(page);
  await page.getByRole('button', { name: 'First test' }).click();
  await sheet(page).getByRole('radio', { name: 'Passed' }).click();
  await sheet(page).getByLabel('Day', { exact: true }).fill('2026-03-08');
  await save(page);
  await page.getByRole('button', { name: 'Normal operation reached' }).click();
  await sheet(page).getByLabel('Day', { exact: true }).fill('2026-03-10');
  await save(page);
  // 10 days from normal operation
  await expect(page.getByText('10 days from normal operation on 10 Mar 2026').first()).toBeVisible();
  await page.getByRole('button', { name: 'Second test' }).click();
  await sheet(page).getByRole('radio', { name: 'Passed' }).click();
  await sheet(page).getByLabel('Day', { exact: true }).fill('2026-03-15');
  await save(page);
  await expect(page.getByText('○ verified')).toBeVisible();
  // every three months from 15 March; two are late by 23 November
  await expect(page.getByText('Number 4 after the repair verified 15 Mar 2026').first()).toBeVisible();
  await page.getByRole('button', { name: 'Inspect' }).click();
  await sheet(page).getByRole('radio', { name: 'Yes, all of them' }).click();
  await sheet(page).getByLabel('Day', { exact: true }).fill('2026-06-10');
  await save(page);
  await expect(page.getByText('done 10 Jun 2026')).toBeVisible();

  await page.goto(address);
  await logGas(page, { amount: '1 lb', on: '2026-10-01' });
  await expect(page.getByText('closed 1 Oct 2026: the next addition stayed within the limit')).toBeVisible();
});

test('parts late: the extension moves the day, and its delivery moves it again', async ({ page }) => {
  await addMachine(page, { site: 'South shed', name: 'Rack S', refrigerant: 'R-448A', charge: '100 lb' });
  await logGas(page, { amount: '5 lb', on: '2026-07-01', reason: 'Commissioning' });
  await logGas(page, { amount: '12 lb', on: '2026-09-01' });
  await expect(duty(page, 'Repair')).toContainText('1 Oct 2026');
  await writeDown(page, 'Extension', '2026-09-10');
  // at most 180 days from the opening
  await expect(duty(page, 'Repair')).toContainText('28 Feb 2027');
  await writeDown(page, 'Extension', '2026-11-01', (form) =>
    form.getByLabel('Parts came on').fill('2026-11-01'),
  );
  // 30 days after the parts came
  await expect(duty(page, 'Repair')).toContainText('1 Dec 2026');
});

test('plan: overdue repair asks for one, filing it voids the repair, carrying it out closes the case', async ({
  page,
}) => {
  await addMachine(page, { site: 'West shed', name: 'Rack W', refrigerant: 'R-448A', charge: '100 lb' });
  await logGas(page, { amount: '5 lb', on: '2026-06-01', reason: 'Commissioning' });
  await logGas(page, { amount: '12 lb', on: '2026-08-01' });
  await expect(duty(page, 'Retrofit or retirement plan')).toContainText('30 Sep 2026');
  await duty(page, 'Retrofit or retirement plan').getByRole('button', { name: 'File plan' }).click();
  await sheet(page).getByLabel('Day', { exact: true }).fill('2026-09-20');
  await save(page);
  await expect(duty(page, 'Carry out the plan')).toContainText('20 Sep 2027');
  await expect(duty(page, 'Retrofit or retirement plan')).toHaveCount(0);
  await duty(page, 'Carry out the plan').getByRole('button', { name: 'Plan done' }).click();
  await save(page);
  await expect(page.getByText('the plan was carried out')).toBeVisible();
});

test('what if: a size and a day, what would follow, and nothing is saved', async ({ page }) => {
  await page.goto('/machines/flower-3');
  const section = page.getByRole('region', { name: 'What if gas went in' });
  await section.getByLabel('Amount').fill('12 lb');
  await section.getByLabel('On', { exact: true }).fill('2026-12-01');
  await expect(section.getByText('Exceeds 20 % (US HFC rules)')).toBeVisible();
  await expect(section.getByText(/^Repair by 31 Dec 2026/)).toBeVisible();
  await page.reload();
  await expect(page.getByRole('region', { name: 'Logbook' }).getByText('12 lb')).toHaveCount(0);
});

test('rules: a figure of our own holds from its day, and the method of a site changes from its day', async ({
  page,
}) => {
  await signIn(page, 'odalys');
  await page.goto('/rules?pack=house');
  await page.getByRole('button', { name: 'Change: Limit, commercial refrigeration' }).click();
  await sheet(page).getByLabel('Value in percent').fill('12');
  await sheet(page).getByLabel('From').fill('2026-11-01');
  await sheet(page).getByRole('button', { name: 'Save your figure' }).click();
  await expect(sheet(page).getByText('Say why the figure is changed.')).toBeVisible();
  await sheet(page).getByLabel('Reason').fill('owner wants less');
  await save(page);
  await expect(page.getByText('12 % from 1 Nov 2026')).toBeVisible();
  await expect(page.getByText('own figure: owner wants less')).toBeVisible();

  await page
    .getByRole('region', { name: 'Leak-rate method by site' })
    .getByRole('listitem')
    .filter({ hasText: 'Northlight' })
    .getByRole('button', { name: 'Change' })
    .click();
  await sheet(page).getByRole('button', { name: 'Another method from a day on' }).click();
  await sheet(page).getByLabel('From', { exact: true }).last().fill('2026-11-15');
  await sheet(page)
    .getByRole('radiogroup', { name: 'Method' })
    .last()
    .getByRole('radio', { name: 'annualizing' })
    .click();
  await sheet(page).getByRole('button', { name: 'Save' }).click();
  await expect(sheet(page).getByText('Say why.')).toBeVisible();
  await sheet(page).getByLabel('Why it changes').fill('as all other sites do');
  await save(page);
  await expect(page.getByText('rolling average from 1 Jan 2020; annualizing from 15 Nov 2026')).toBeVisible();
});

test('the record of a machine names its gaps', async ({ page }) => {
  await page.goto('/machines/container-freezer/record');
  await expect(page.getByText('Gas was not weighed: no scale on the trailer.')).toBeVisible();
  await expect(
    page
      .getByRole('region', { name: 'Gas added and recovered' })
      .getByText('not weighed: no scale on the trailer')
      .first(),
  ).toBeVisible();
});
