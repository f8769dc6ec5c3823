/** People come in, are held to what they may, and lose nothing when a session ends. */
import { type Page, expect, test } from '@playwright/test';
import { sheet, signIn, staysInWidth } from './steps';

const PASSWORD = 'four plain words here';

/** Somebody on the list of people without an account yet. */
async function addPerson(page: Page, id: string, name: string): Promise<void> {
  const answer = await page.request.post('/api/rows', {
    data: { changes: [{ table: 'people', id, row: { id, name } }] },
  });
  expect(answer.status()).toBe(201);
}

test('a manager lets somebody in by a link, whose ended session keeps what was typed', async ({
  page,
  browser,
}, info) => {
  await signIn(page, 'odalys');
  await addPerson(page, 'nessa', 'Nessa Quill');
  await page.goto('/company');
  await page.getByRole('button', { name: 'Let somebody in' }).click();
  await expect(sheet(page).getByRole('button', { name: 'Make the link' })).toBeDisabled();
  await sheet(page).getByLabel('Who').selectOption({ label: 'Nessa Quill' });
  await sheet(page).getByRole('button', { name: 'Make the link' }).click();
  const link = sheet(page).getByText(/\/join\?token=/);
  await expect(link).toBeVisible();
  // Nobody said how others reach this server.
  await expect(sheet(page).getByText('on this computer alone')).toBeVisible();
  const address = (await link.innerText()).trim();

  const phone = await browser.newContext({
    viewport: { width: 390, height: 844 },
    baseURL: info.project.use.baseURL ?? '',
  });
  const nessa = await phone.newPage();
  await nessa.goto(address);
  await expect(nessa.getByText('Nessa Quill, technician.')).toBeVisible();
  await nessa.getByLabel('E-mail').fill('nessa@brindle-hook.example');
  await nessa.getByLabel('Password').fill('short');
  await expect(nessa.getByRole('button', { name: 'Come in' })).toBeDisabled();
  await nessa.getByLabel('Password').fill(PASSWORD);
  await staysInWidth(nessa);
  await nessa.getByRole('button', { name: 'Come in' }).click();
  await expect(nessa.getByRole('heading', { level: 1, name: 'Due' })).toBeVisible();
  // The link is good once.
  const again = await phone.newPage();
  await again.goto(address);
  await expect(again.getByRole('alert')).toContainText('Ask for a new one');
  await again.close();

  // A technician finds no accounts, and changes no figure of the company.
  await nessa.goto('/company');
  await expect(nessa.getByRole('region', { name: 'People' })).toBeVisible();
  await expect(nessa.getByRole('region', { name: 'Accounts' })).toHaveCount(0);

  // The office ends the session while something is typed.
  await nessa.getByRole('button', { name: 'Add an owner' }).click();
  await sheet(nessa).getByLabel('Name').fill('Gull Street Bakers');
  await page.reload();
  await page.getByRole('button', { name: 'Account of Nessa Quill' }).click();
  await sheet(page).getByRole('button', { name: 'Sign out everywhere' }).click();
  await expect(page.getByText('Nessa Quill is signed out everywhere.')).toBeVisible();
  await sheet(nessa).getByRole('button', { name: 'Save' }).click();
  await expect(nessa.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await nessa.getByText('With a password').click();
  await nessa.getByLabel('E-mail').fill('nessa@brindle-hook.example');
  await nessa.getByLabel('Password').fill(PASSWORD);
  await nessa.getByRole('button', { name: 'Sign in' }).click();
  await expect(sheet(nessa).getByLabel('Name')).toHaveValue('Gull Street Bakers');
  await sheet(nessa).getByRole('button', { name: 'Save' }).click();
  await expect(nessa.getByRole('region', { name: 'Owners' })).toContainText('Gull Street Bakers');
  await phone.close();
});

test('an owner’s representative sees her sites and no others, also by address, and nothing that writes', async ({
  page,
}) => {
  await signIn(page, 'prue');
  await page.goto('/machines');
  const rows = page.getByRole('list', { name: 'Machines' }).getByRole('listitem');
  await expect(rows.first()).toContainText('Almery Fish Hall');
  await expect(rows.filter({ hasNotText: 'Almery Fish Hall' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Add a machine' })).toHaveCount(0);
  await page.goto('/machines/rack-b');
  await expect(page.getByRole('heading', { level: 1, name: 'Rack B' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^(Correct|Void|Log gas)$/ })).toHaveCount(0);
  await page.goto('/machines/flower-1');
  await expect(page.getByRole('alert')).toContainText('no');
  await expect(page.getByText('Saffron')).toHaveCount(0);
  // What is hers she takes out by herself.
  await page.goto('/papers/export');
  await expect(page.getByLabel('Owner').locator('option:checked')).toHaveText('Almery Fish Guild');
});
