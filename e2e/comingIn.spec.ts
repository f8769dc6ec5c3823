/** Ways in besides the password: a PIN on a shared tablet, what a device proves, and a link for who forgot. */
import { type Page, expect, test } from '@playwright/test';
import { sheet, signIn, staysInWidth } from './steps';

const account = (page: Page) => page.getByRole('button', { name: 'Your account' });
const press = async (page: Page, pin: string): Promise<void> => {
  for (const digit of pin) await page.getByRole('button', { name: digit, exact: true }).click();
};
async function sharePin(page: Page, pin: string): Promise<void> {
  await account(page).click();
  await sheet(page).getByText('A device that several people share').click();
  await press(page, pin);
  await sheet(page).getByRole('button', { name: 'Share this device' }).click();
  await expect(sheet(page).getByText('You come in by a PIN on this device')).toBeVisible();
}

test('two people share a tablet, switched by their PINs, and what is written carries the right name', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'marit');
  await page.goto('/due');
  await sharePin(page, '2580');
  await staysInWidth(page);
  await sheet(page).getByRole('button', { name: 'Hand it to somebody else' }).click();
  // Who set no PIN comes in as before, and sets one.
  await page.getByText('Somebody who has no PIN here').click();
  await page.getByRole('button', { name: /Ike Fennimore/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Due' })).toBeVisible();
  await sharePin(page, '9146');
  await sheet(page).getByRole('button', { name: 'Hand it to somebody else' }).click();

  await page.getByRole('button', { name: 'Marit Solane' }).first().click();
  await press(page, '9146');
  await page.getByRole('button', { name: 'Come in' }).click();
  await expect(page.getByRole('alert')).toContainText('After 4 more wrong ones');
  await page.keyboard.type('2580');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Due' })).toBeVisible();
  await expect(account(page)).toContainText('Marit');
  await page.goto('/machines/rack-a');
  await page.getByRole('button', { name: 'Log gas' }).first().click();
  await expect(page.getByText('Written by Marit Solane.')).toBeVisible();
});

test('a device that was put down asks for the next PIN after half an hour', async ({ page }) => {
  await page.clock.install();
  await signIn(page, 'marit');
  await page.goto('/due');
  await sharePin(page, '2580');
  await page.keyboard.press('Escape');
  await page.clock.runFor('20:00');
  await page.keyboard.press('Shift');
  await page.clock.runFor('20:00');
  await expect(account(page)).toContainText('Marit');
  await page.clock.runFor('15:00');
  await expect(page.getByRole('heading', { level: 1, name: 'Sign in' })).toBeVisible();
});

test('a device proves who it is instead of a password, until it is taken out', async ({ page }, info) => {
  // A browser binds it to a name, not to a number of the network.
  const base = new URL(info.project.use.baseURL ?? '');
  base.hostname = 'localhost';
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('WebAuthn.enable');
  await devtools.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
    },
  });
  await page.goto(base.href);
  await page.getByRole('button', { name: /Tobiah Renn/ }).click();
  await account(page).click();
  await sheet(page).getByText('Without a password').click();
  await sheet(page).getByRole('button', { name: 'Come in by this device' }).click();
  await expect(sheet(page).getByRole('button', { name: 'Take it out' })).toBeVisible();
  await sheet(page).getByRole('button', { name: 'Sign out', exact: true }).click();

  await page.getByText('With a password').click();
  await page.getByRole('button', { name: 'By this device' }).click();
  await expect(account(page)).toContainText('Tobiah');
  await account(page).click();
  await sheet(page).getByText('Without a password').click();
  await sheet(page).getByRole('button', { name: 'Take it out' }).click();
  await expect(sheet(page).getByRole('button', { name: 'Take it out' })).toHaveCount(0);
  await sheet(page).getByRole('button', { name: 'Sign out', exact: true }).click();
  await page.getByText('With a password').click();
  await page.getByRole('button', { name: 'By this device' }).click();
  await expect(page.getByRole('alert')).toBeVisible();
});

test('who forgot the password asks for a link; a manager reads it where no mail server is set', async ({
  page,
  browser,
}, info) => {
  await page.goto('/due');
  await page.getByText('With a password').click();
  await page.getByText('Forgotten the password').click();
  const email = page.getByLabel('E-mail of the account');
  await email.fill('nobody@brindle-hook.example');
  await page.getByRole('button', { name: 'Ask for a link' }).click();
  const answer = page.getByRole('status').filter({ hasText: 'a link was made' });
  await expect(answer).toBeVisible();
  const said = await answer.innerText();
  await page.reload();
  await page.getByText('With a password').click();
  await page.getByText('Forgotten the password').click();
  await email.fill('tobiah@brindle-hook.example');
  await page.getByRole('button', { name: 'Ask for a link' }).click();
  // Nobody learns by it who has an account.
  expect(await answer.innerText()).toBe(said);

  const office = await (await browser.newContext({ baseURL: info.project.use.baseURL ?? '' })).newPage();
  await signIn(office, 'odalys');
  await office.goto('/company');
  await office.getByRole('link', { name: 'Mail that was written' }).click();
  await office.getByText('A new password').first().click();
  const text = await office
    .getByText(/\/join\?token=/)
    .first()
    .innerText();
  const link = /\S+\/join\?token=\S+/.exec(text)?.[0] ?? '';
  await page.goto(new URL(link).pathname + new URL(link).search);
  await expect(page.getByRole('heading', { level: 1, name: 'A new password' })).toBeVisible();
  await page.getByLabel('Password', { exact: true }).fill('four plain words here');
  await page.getByRole('button', { name: 'Keep this password' }).click();
  await expect(account(page)).toContainText('Tobiah');
  await office.context().close();
});
