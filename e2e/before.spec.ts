/** Before driving: notes, parts and places, written through the real forms and read on one page. */
import { expect, test } from '@playwright/test';
import { addMachine, logGas, save, sheet, staysInWidth, signIn, writeDown } from './steps';

test('what is written today stands before the next drive @phone', async ({ page }) => {
  await signIn(page, 'tobiah');
  const address = await addMachine(page, {
    site: 'Before the drive',
    name: 'Room before',
    refrigerant: 'R-290',
    charge: '100 lb',
  });
  await page.getByRole('link', { name: 'Before driving' }).click();
  await expect(page.getByText('Nobody left a note. Yours will stand here.')).toBeVisible();
  await expect(page.getByText('No leak with a place is on record.')).toBeVisible();
  await expect(page.getByText('How much is missing by now cannot be told from its additions.')).toBeVisible();
  await expect(page.getByText('R-290 burns: tools rated for it', { exact: false })).toBeVisible();

  await page.getByRole('button', { name: 'Leave notes' }).click();
  await sheet(page).getByRole('button', { name: 'Save' }).click();
  await expect(sheet(page).getByText('Say a few words here.')).toBeVisible();
  await sheet(page).getByLabel('What they should know').fill('Dog in the yard.');
  await sheet(page)
    .getByLabel('Odd settings, and their reason')
    .fill('Fan delay 8 min: shorter, and it ices.');
  await sheet(page).getByLabel('Bring').fill('long ladder');
  await save(page);
  await expect(page.getByText('Dog in the yard.')).toBeVisible();
  await expect(page.getByText('Leave as it is:')).toBeVisible();
  await expect(page.getByText('long ladder (noted last time)')).toBeVisible();
  await expect(page.getByText(/Your certificate 608 universal, valid until 13 Dec 2026/)).toBeVisible();

  await page.goto(address);
  await logGas(page, { amount: '100 lb', on: '2025-09-17', reason: 'Commissioning' });
  await logGas(page, { amount: '10 lb', on: '2026-04-05' });
  await writeDown(page, 'Leak found', '2026-04-05', async (form) => {
    await form.getByLabel('Part').fill('Flare nut');
    await form.getByLabel('Place').fill('roof');
  });
  await writeDown(page, 'Part fitted', '2026-05-01', async (form) => {
    await form.getByLabel('Part').fill('Clamp-on valve');
    await form.getByLabel('Only for a while').check();
    await form.getByLabel('Goes by').fill('2026-06-01');
  });
  await page.goto(`${address}/before`);
  // 10 lb in 200 days, 232 days ago: 11.6 lb
  await expect(page.getByText('about 11 lb 10 oz.', { exact: false })).toBeVisible();
  await expect(page.getByText('Flare nut, roof')).toBeVisible();
  await expect(page.getByText('Ladder: it leaked on the roof before.')).toBeVisible();
  await expect(page.getByText('should have gone by 1 Jun 2026', { exact: false })).toBeVisible();
  await staysInWidth(page);

  await page.goto(address);
  await writeDown(page, 'Part fitted', '2026-11-01', async (form) => {
    await form.getByLabel('Part').fill('Access stub, brazed');
    await form.getByLabel('Takes out').selectOption({ label: 'Clamp-on valve' });
  });
  await page.goto(`${address}/before`);
  await expect(page.getByText('Dog in the yard.')).toBeVisible();
  await expect(page.getByText('Clamp-on valve')).toBeHidden();
});
