/** Rows put right from their screens, with their history; and a company that begins with nothing. */
import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { EMPTY_COMPANY, EMPTY_PRINTED } from '../playwright.config';
import { fullCharge, kindOf, pick, addMachine, logGas, save, sheet, staysInWidth, signIn } from './steps';
import { beginVisit, form, goTo, mark, saveForm, touch } from './visitSteps';

/** As whoever started the server finds it there. */
const firstManagersLink = (): string =>
  /First manager: (\S+)/.exec(readFileSync(EMPTY_PRINTED, 'utf8'))?.[1] ?? 'no link was printed';

test('a machine is put right, says why, keeps its history, and can be undone', async ({ page }) => {
  await signIn(page, 'marit');
  await addMachine(page, {
    site: 'Put right',
    name: 'Cooler right',
    refrigerant: 'R-448A',
    charge: '30 lb',
  });
  await page.getByRole('button', { name: 'Put right' }).click();
  await pick(page, 'Refrigerant, at first', 'R-449A');
  await sheet(page).getByRole('button', { name: 'Save' }).click();
  await expect(sheet(page).getByText('Say why.')).toBeVisible();
  await sheet(page).getByLabel('Why it changes').fill('nameplate misread');
  await save(page);
  await expect(page.getByText('R-449A', { exact: false }).first()).toBeVisible();
  const history = page.getByRole('region', { name: 'History of the machine’s record' });
  await history.getByRole('button').first().click();
  await expect(history).toContainText('R-448A → R-449A');
  await expect(history).toContainText('Why: nameplate misread');
  await expect(history).toContainText('by Marit Solane');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(history).toContainText('R-449A → R-448A');
  await page.goto('/changes');
  await expect(page.getByText('Why: nameplate misread').first()).toBeVisible();
});

test('an exchange on suspicion that is corrected stays a suspicion', async ({ page }) => {
  await signIn(page, 'ike');
  const address = await addMachine(page, {
    site: 'Suspicion',
    name: 'Cooler suspicion',
    refrigerant: 'R-448A',
    charge: '30 lb',
  });
  await beginVisit(page);
  await goTo(page, 'Search');
  await mark(page, 'Drier', 'hit', 'detector hit');
  await goTo(page, 'Repair');
  await touch(page, 'Drier');
  await sheet(page).getByRole('button', { name: 'Exchanged on suspicion' }).click();
  await form(page, 'Exchanged on suspicion').getByLabel('What was exchanged').fill('drier');
  await saveForm(page, 'Exchanged on suspicion', 'Write the exchange down');
  await page.goto(address);
  await page
    .getByRole('region', { name: 'Logbook' })
    .getByRole('listitem')
    .filter({ hasText: 'on suspicion' })
    .getByRole('button', { name: 'Correct' })
    .first()
    .click();
  await sheet(page).getByLabel('How (optional)').fill('drier and its two flares');
  await sheet(page).getByLabel('Reason for the correction').fill('flares forgotten');
  await save(page);
  const line = page
    .getByRole('region', { name: 'Logbook' })
    .getByRole('listitem')
    .filter({ hasText: 'drier and its two flares' });
  await expect(line.first()).toContainText('on suspicion');
});

test('a company with nothing begins: its first manager, a site, a machine, and its first gas', async ({
  page,
}) => {
  await page.goto(`${EMPTY_COMPANY}/due`);
  // Nobody has an account: the door says where the way in is.
  await expect(page.getByRole('heading', { name: 'Nobody has an account yet' })).toBeVisible();
  await page.goto(firstManagersLink());
  await page.getByLabel('Your name').fill('Ana Brook');
  await page.getByLabel('E-mail').fill('ana@first-shop.example');
  await page.getByLabel('Password').fill('four plain words here');
  await page.getByRole('button', { name: 'Come in' }).click();
  const begin = page.getByRole('region', { name: 'Begin here' });
  await begin.getByRole('button', { name: 'Add a site' }).click();
  await sheet(page).getByLabel('Name').fill('First shop');
  await pick(page, 'Country', 'United States');
  await pick(page, 'Time zone', 'America/Chicago');
  await save(page);
  await begin.getByRole('button', { name: 'Add a machine' }).click();
  await sheet(page).getByLabel('Name').fill('First cooler');
  // It stands at the site that was just added.
  await expect(sheet(page).getByLabel('Site', { exact: true }).locator('option:checked')).toHaveText(
    'First shop',
  );
  await sheet(page).getByRole('button', { name: 'Save the machine' }).click();
  await expect(sheet(page).getByText('Choose one.').first()).toBeInViewport();
  await kindOf(page);
  await pick(page, 'Refrigerant', 'R-448A');
  await fullCharge(page, '60 lb');
  await sheet(page).getByRole('button', { name: 'Save the machine' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'First cooler' })).toBeVisible();
  await logGas(page, { amount: '60 lb', on: '2026-06-01', reason: 'Commissioning' });
  await expect(page.getByRole('region', { name: 'Logbook' })).toContainText('60 lb');
  await staysInWidth(page);
  await page.goto(`${EMPTY_COMPANY}/due`);
  await expect(page.getByRole('region', { name: 'Begin here' })).toBeHidden();

  // It grows: of many sites one is found by its name, in a filter and in a form.
  const changes = Array.from({ length: 60 }, (_, index) => {
    const id = `many-${String(index)}`;
    const row = { id, name: `Depot ${String(index)}`, timezone: 'Europe/Berlin', packs: ['eu'] };
    return { table: 'sites', id, row };
  });
  expect((await page.request.post(`${EMPTY_COMPANY}/api/rows`, { data: { changes } })).status()).toBe(201);
  await page.goto(`${EMPTY_COMPANY}/machines`);
  // Before the page knows that there are many it offers a short list.
  const site = page.getByLabel('Site', { exact: true }).and(page.locator('button'));
  await site.click();
  await page.getByLabel('Find a site by its name').fill('depot 47');
  await sheet(page).getByRole('button', { name: 'Depot 47' }).click();
  await expect(page).toHaveURL(/site=many-47/);
  await expect(site).toHaveText('Depot 47');
  await page.getByRole('button', { name: 'Add a machine' }).click();
  await expect(sheet(page).getByRole('button', { name: 'Site', exact: true })).toHaveText('Depot 47');
});
