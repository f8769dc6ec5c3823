import { expect, test } from '@playwright/test';
import { addMachine, duty, logGas, save, sheet, staysInWidth, signIn } from './steps';

test('from Due to a correction: a machine, gas in, its rate, what is due, and both versions kept', async ({
  page,
}) => {
  await signIn(page, 'marit');
  const address = await addMachine(page, {
    site: 'Cold quay',
    name: 'Quay box',
    refrigerant: 'R-448A',
    charge: '100 lb',
  });
  await logGas(page, { amount: '40 lb', on: '2026-03-01', reason: 'Commissioning' });

  // From the opened app: Log gas, the machine, the amount, Save.
  await page.goto('/due');
  await page.getByRole('button', { name: 'Log gas' }).click();
  await sheet(page)
    .getByRole('button', { name: /^Quay box ·/ })
    .click();
  await sheet(page).getByLabel('Amount').fill('12 lb');
  await sheet(page).getByLabel('Day', { exact: true }).fill('2026-06-01');
  const meaning = sheet(page).getByRole('region', { name: 'What this means' });
  // 12 lb of 100 lb after 92 days: 47.608696 % annualizing, 12 % rolling; 20 % × 100 lb × 92/365 = 5.0411 lb, rounded down
  await expect(meaning.getByText('47.6 % a year, annualizing')).toBeVisible();
  await expect(meaning.getByText('12 % a year, rolling average')).toBeVisible();
  await expect(meaning.getByText('Exceeds 20 % (US HFC rules)')).toBeVisible();
  await expect(meaning.getByText('Room before this entry: 5 lb', { exact: true })).toBeVisible();
  await expect(meaning.getByText(/^Repair by 1 Jul 2026/)).toBeVisible();
  await meaning.getByText('47.6 % a year, annualizing').click();
  await expect(meaning.getByText('12 lb ÷ 100 lb × 365 ÷ 92 days × 100 = 47.608696 %')).toBeVisible();
  await staysInWidth(page);
  await save(page);

  const row = page
    .getByRole('listitem')
    .filter({ hasText: 'Quay box' })
    .filter({ hasText: 'Case opened 1 Jun 2026' });
  await expect(row.first()).toBeVisible();

  await page.goto(address);
  await expect(page.getByText('47.6 % a year, limit 20 %').first()).toBeVisible();
  await expect(duty(page, 'Repair')).toContainText('145 days late');

  await page
    .getByRole('listitem')
    .filter({ hasText: 'Gas added 12 lb' })
    .getByRole('button', { name: 'Correct' })
    .click();
  await sheet(page).getByLabel('Amount').fill('1.2 lb');
  await sheet(page).getByRole('button', { name: 'Save the correction' }).click();
  await expect(sheet(page).getByText('Say why the entry is corrected')).toBeVisible();
  await sheet(page).getByLabel('Reason for the correction').fill('point forgotten');
  await save(page);

  await expect(page.getByText('Nothing is due.')).toBeVisible();
  const logbook = page.getByRole('region', { name: 'Logbook' });
  await expect(logbook.getByText('Corrected by Marit Solane: point forgotten')).toBeVisible();
  await expect(logbook.getByText('12 lb, top-off', { exact: false }).first()).toBeVisible();
  await expect(page.getByText('No case: nothing exceeded')).toBeVisible();
});

test('gas that nobody weighed makes the rate unknown, and a void makes it as if never written', async ({
  page,
}) => {
  await signIn(page, 'ike');
  await addMachine(page, {
    site: 'Ice shed',
    name: 'Maker',
    refrigerant: 'R-404A',
    charge: '22 lb',
  });
  await page.getByRole('button', { name: 'Log gas' }).click();
  await sheet(page).getByLabel('Not weighed').check();
  await sheet(page).getByRole('button', { name: 'Save' }).click();
  await expect(sheet(page).getByText('Say why nobody weighed')).toBeVisible();
  await sheet(page).getByLabel('Why not').fill('no scale on the roof');
  await expect(sheet(page).getByText('Cannot be judged, annualizing')).toBeVisible();
  await save(page);
  await expect(page.getByText('not weighed: no scale on the roof').first()).toBeVisible();
  await expect(page.getByText('Gas was added that nobody weighed')).toBeVisible();

  await page.getByRole('button', { name: 'Void' }).first().click();
  await sheet(page).getByLabel('Reason').fill('was the machine next door');
  await save(page, 'Void it');
  await expect(page.getByText('Voided by Ike Fennimore: was the machine next door')).toBeVisible();
  await expect(page.getByText('Gas was added that nobody weighed')).toBeHidden();
});

test('nonsense gets a clear answer', async ({ page }) => {
  await signIn(page, 'marit');
  await page.goto('/machines/flower-1?log=gas&machine=flower-1');
  const form = sheet(page);
  const answers: [typed: string, answer: string][] = [
    ['-3 lb', 'cannot be negative'],
    ['lots', 'reads as no weight'],
    ['3 stone', 'no unit of weight here'],
    ['1,5 lb', 'A comma can mean two things'],
    ['300000 lb', 'More than any machine holds'],
  ];
  for (const [typed, answer] of answers) {
    await form.getByLabel('Amount').fill(typed);
    await expect(form.getByText(answer)).toBeVisible();
  }
  await form.getByLabel('Amount').fill('1 lb');
  await form.getByLabel('Day', { exact: true }).fill('2026-11-24');
  await expect(form.getByText('That day has not come yet')).toBeVisible();
  await form.getByLabel('Day', { exact: true }).fill('2026-11-23');
  await form.getByLabel('Amount').fill('40 lb');
  await form.getByLabel('Bottle').selectOption({ label: 'B-01, holds R-448A' });
  await expect(form.getByText('more than the full charge of this machine')).toBeVisible();
  await expect(form.getByText('The bottle holds another refrigerant')).toBeVisible();
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(
    form.getByText(/^▲ Not saved yet: “That is more than the full charge.* and 1 more/),
  ).toBeVisible();
});

test('a sheet closed by mistake keeps what was typed, and a saved entry can be undone', async ({ page }) => {
  await signIn(page, 'marit');
  await page.goto('/machines/flower-3');
  await page.getByRole('button', { name: 'Log gas' }).click();
  await sheet(page).getByLabel('Amount').fill('7 oz');
  await page.keyboard.press('Escape');
  await expect(sheet(page)).toBeHidden();
  await page.getByRole('button', { name: 'Log gas' }).click();
  await expect(sheet(page).getByLabel('Amount')).toHaveValue('7 oz');
  await save(page);
  await expect(page.getByRole('listitem').filter({ hasText: 'Gas added 7 oz' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Voided by Marit Solane: undone at once by its writer')).toBeVisible();
});

test('a small machine without a known full charge keeps the gas and says why there is no rate', async ({
  page,
}) => {
  await signIn(page, 'marit');
  await addMachine(page, {
    site: 'Trailer',
    name: 'Trailer container',
    refrigerant: 'R-452A',
    charge: '',
  });
  await logGas(page, { amount: '1.5 lb', on: '2026-10-01' });
  await expect(page.getByText('The full charge is not known').first()).toBeVisible();
  // What nobody can judge is neither nothing nor fine, here and among what is due.
  await expect(page.getByText('Nothing is due')).toHaveCount(0);
  await expect(page.getByText('cannot be judged', { exact: false }).first()).toBeVisible();
  const address = new URL(page.url()).pathname;
  await page.goto('/due');
  const unjudged = page.getByRole('region', { name: 'Cannot be judged' });
  await expect(unjudged.getByText('Trailer container').first()).toBeVisible();
  await page.goto(address);
  await page.getByRole('button', { name: 'Write down…' }).click();
  await page.getByRole('menuitem', { name: 'Set the full charge' }).click();
  await sheet(page).getByRole('radio', { name: 'an estimate, as a range' }).click();
  await sheet(page).getByLabel('Low end').fill('10 lb');
  await sheet(page).getByLabel('High end').fill('20 lb');
  await sheet(page).getByLabel('Day', { exact: true }).fill('2026-10-02');
  await save(page);
  await expect(
    page.getByText('full charge estimated at 10 lb to 20 lb (15 lb counts) 2 Oct 2026'),
  ).toBeVisible();
});
