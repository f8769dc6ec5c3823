/** Papers through the real interface: a list that comes in and goes back, a file that is issued again, a label that opens its machine. */
import { expect, test } from '@playwright/test';
import { addMachine, logGas, save, sheet, signIn } from './steps';

const csv = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

test('a faulty list is put right, brought in, seen, and taken back', async ({ page }) => {
  await signIn(page, 'marit');
  await addMachine(page, { site: 'Paper in', name: 'Cooler paper', refrigerant: 'R-448A', charge: '40 lb' });
  const machine = page.url();
  await page.goto('/papers');
  await page.getByRole('link', { name: 'Bring in' }).click();
  const choose = page.getByLabel('Choose a file');
  const LOG = 'Date,Site,Machine,Added,Technician\n';
  await choose.setInputFiles(
    csv(
      'log.csv',
      `${LOG}11/20/2026,Paper in,Coolr paper,12 lb,Marit Solane\n11/21/2026,Paper in,Cooler paper,3,Marit Solane\n`,
    ),
  );
  const asked = page.getByRole('region', { name: 'What this means' });
  await expect(asked).toContainText('Did you mean “Cooler paper”?');
  await expect(asked).toContainText('“3” has no unit');
  await expect(page.getByRole('button', { name: /Nothing new|Bring in/ })).toBeDisabled();
  // Each is said once, and counts when the list is read again.
  await page.getByRole('button', { name: 'It is “Cooler paper”' }).click();
  await page.getByLabel('“Added” is in').selectOption('lb');
  await expect(asked).toContainText('All are said.');
  await page.getByRole('button', { name: 'Read it again with this' }).click();
  await expect(page.getByText('2 new')).toBeVisible();
  await expect(page.getByRole('region', { name: 'What would follow' })).toContainText(
    '1 of 1 machine has exceeded a limit',
  );
  await page.getByRole('button', { name: 'Bring in 2 rows' }).click();
  const done = page.getByRole('region', { name: 'Brought in', exact: true });
  await expect(done).toContainText('2 entries');
  await page.goto(machine);
  await expect(page.getByRole('region', { name: 'Logbook' })).toContainText('12 lb');
  await expect(page.getByText(/30 % a year|limit 20 %/).first()).toBeVisible();
  await page.goto('/papers/import');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(sheet(page)).toContainText('2 entries are taken back');
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText('undone').first()).toBeVisible();
  await page.goto(machine);
  await expect(page.getByRole('region', { name: 'Logbook' })).toContainText('Voided by Marit Solane');
});

test('the file of a case is issued, corrected, and issued again with what changed', async ({ page }) => {
  await signIn(page, 'marit');
  await addMachine(page, { site: 'Paper out', name: 'Rack paper', refrigerant: 'R-448A', charge: '100 lb' });
  const machine = page.url();
  await logGas(page, { amount: '30 lb', on: '2026-11-20' });
  await page.goto(machine);
  await page
    .getByRole('link', { name: /US HFC rules, opened/ })
    .first()
    .click();
  await page.getByRole('link', { name: 'Leak-repair file' }).click();
  const paper = page.getByRole('article', { name: 'Leak-repair file' });
  await expect(paper).toContainText('30 lb ÷ 100 lb');
  const issue = async (to: string) => {
    await page.getByLabel('To whom it goes').fill(to);
    await page.getByRole('button', { name: 'Issue as PDF' }).click();
    await expect(page.getByRole('region', { name: 'Issued', exact: true })).toBeVisible();
  };
  await issue('the owner');
  const issued = page.getByRole('region', { name: 'Issued', exact: true });
  await expect(issued).toContainText(/LR-[0-9A-Z]{6}-1/);
  const pdf = await page.request.get(
    (await issued.getByRole('link', { name: 'Open the PDF' }).getAttribute('href')) ?? '',
  );
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await page.goto(machine);
  await page
    .getByRole('region', { name: 'Logbook' })
    .getByRole('button', { name: 'Correct' })
    .first()
    .click();
  await sheet(page).getByLabel('Amount').fill('35 lb');
  await sheet(page).getByLabel('Reason for the correction').fill('the scale shows 35');
  await save(page);
  await page.goto('/papers');
  const row = page.getByRole('listitem').filter({ hasText: 'Rack paper' }).first();
  await expect(row).toContainText('to the owner');
  await row.getByRole('link', { name: 'Issue again' }).click();
  await expect(page.getByText('the scale shows 35').first()).toBeVisible();
  await issue('the authority');
  await expect(issued).toContainText(/LR-[0-9A-Z]{6}-2/);
  await expect(issued).toContainText('before: gas added 30 lb');
});

test('a label opens its machine, also in the middle of a visit', async ({ page }) => {
  await signIn(page, 'ike');
  const address = await addMachine(page, {
    site: 'Paper label',
    name: 'Cooler label',
    refrigerant: 'R-448A',
    charge: '40 lb',
  });
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  expect(address).toBeDefined();
  await page.getByText('Papers', { exact: true }).last().click();
  await page.getByRole('link', { name: 'Labels' }).last().click();
  const link = page.getByRole('link', { name: 'Make the PDF' });
  await expect(page.getByRole('button', { name: /Cooler label/ })).toBeVisible();
  const pdf = await page.request.get((await link.getAttribute('href')) ?? '');
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await page.goto(`/m/${id}`);
  await expect(page).toHaveURL(new RegExp(`/machines/${id}$`));
  // Something is written in a visit of today: the code leads back into it.
  await page.request.post('/api/entries', {
    data: {
      id: `scan-${id}`,
      kind: 'readings',
      on: '2026-11-23',
      by: 'ike',
      applianceId: id,
      visitId: `visit-${id}`,
      tool: 'cleared',
      note: 'door opened',
    },
  });
  await page.goto(`/m/${id}`);
  await expect(page).toHaveURL(new RegExp(`/visits/visit-${id}/${id}/read$`));
});
