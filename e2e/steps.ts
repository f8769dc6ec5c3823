/** What a person does, in words: each step goes through the real interface. */
import { type Locator, type Page, expect } from '@playwright/test';

/** Begins as somebody of the demo story who is signed in on this device. */
export async function signIn(page: Page, person: string): Promise<void> {
  const answer = await page.request.post('/api/demo/sign-in', { data: { person } });
  expect(answer.ok(), await answer.text()).toBe(true);
}

export const sheet = (page: Page) => page.getByRole('dialog');

export async function save(page: Page, words: string | RegExp = /^Save/): Promise<void> {
  await sheet(page).getByRole('button', { name: words }).click();
  await expect(sheet(page)).toBeHidden();
}

/** One of many: its list opens over the form, and is searched. */
export async function pick(page: Page, label: string, choice: string): Promise<void> {
  await sheet(page)
    .getByRole('button', { name: `${label}: ` })
    .click();
  const list = page.getByRole('dialog', { name: label });
  await list.getByRole('searchbox').fill(choice);
  await list.getByRole('button', { name: choice, exact: true }).click();
  await expect(list).toBeHidden();
}

/** Kind and category of a new machine: nothing is chosen before somebody does. */
export async function kindOf(
  page: Page,
  kind = 'walk-in',
  category = 'commercial refrigeration',
): Promise<void> {
  await pick(page, 'Kind', kind);
  await sheet(page)
    .getByRole('radiogroup', { name: 'Category' })
    .getByRole('radio', { name: category })
    .click();
}

/** The full charge of a new machine, by its maker's figure. */
export async function fullCharge(page: Page, charge: string): Promise<void> {
  await sheet(page)
    .getByLabel(/^Full charge/)
    .fill(charge);
  await sheet(page).getByRole('radio', { name: 'maker' }).click();
}

/** Opens what is folded in a sheet. */
export const more = (page: Page): Promise<void> => sheet(page).locator('summary').click();

/** Adds a site and a machine of its own, so that tests never meet in one logbook. Gives the machine's address. */
export async function addMachine(
  page: Page,
  machine: {
    site: string;
    name: string;
    refrigerant: string;
    charge: string;
    installed?: string;
    method?: string;
    kind?: string;
    category?: string;
    spaces?: string;
    country?: string;
    zone?: string;
  },
): Promise<string> {
  await page.goto('/machines');
  await page.getByRole('button', { name: 'Add a site' }).click();
  await sheet(page).getByLabel('Name').fill(machine.site);
  await pick(page, 'Country', machine.country ?? 'United States');
  await pick(page, 'Time zone', machine.zone ?? 'America/Chicago');
  if (machine.method) {
    await more(page);
    await sheet(page).getByRole('radio', { name: machine.method }).click();
  }
  await save(page);
  await page.getByRole('button', { name: 'Add a machine' }).click();
  await sheet(page).getByLabel('Name').fill(machine.name);
  await sheet(page).getByLabel('Site', { exact: true }).selectOption({ label: machine.site });
  await kindOf(page, machine.kind, machine.category);
  await pick(page, 'Refrigerant', machine.refrigerant);
  if (machine.charge !== '') await fullCharge(page, machine.charge);
  await more(page);
  if (machine.spaces) await sheet(page).getByLabel('Cooled spaces it serves').fill(machine.spaces);
  await sheet(page)
    .getByLabel('Installed on')
    .fill(machine.installed ?? '2020-03-01');
  await sheet(page).getByRole('button', { name: 'Save the machine' }).click();
  await expect(page.getByRole('heading', { level: 1, name: machine.name })).toBeVisible();
  return new URL(page.url()).pathname;
}

/** Chooses a leak by what it is called. */
export async function chooseLeak(select: Locator, label: string): Promise<void> {
  const value = await select
    .locator('option')
    .filter({ hasText: new RegExp(`^${label}\\b`) })
    .getAttribute('value');
  await select.selectOption(value);
}

export async function logGas(
  page: Page,
  gas: { amount: string; on: string; reason?: string; leak?: string },
): Promise<void> {
  await page.getByRole('button', { name: 'Log gas' }).click();
  await sheet(page).getByLabel('Amount').fill(gas.amount);
  if (gas.reason) await sheet(page).getByRole('radio', { name: gas.reason }).click();
  await sheet(page).getByLabel('Day', { exact: true }).fill(gas.on);
  if (gas.leak) await chooseLeak(sheet(page).getByLabel('For which leak'), gas.leak);
  await save(page);
}

/** Opens a form from the machine's menu and fills it by label. */
export async function writeDown(
  page: Page,
  title: string,
  on: string,
  fill: (form: ReturnType<typeof sheet>) => Promise<void> = () => Promise.resolve(),
): Promise<void> {
  await page.getByRole('button', { name: 'Write down…' }).click();
  await page.getByRole('menuitem', { name: title, exact: true }).click();
  await fill(sheet(page));
  await sheet(page).getByLabel('Day', { exact: true }).fill(on);
  await save(page);
}

export const duty = (page: Page, words: string) =>
  page
    .getByRole('region', { name: 'Due on this machine' })
    .getByRole('listitem')
    .filter({ has: page.getByText(words, { exact: true }) });

/** No page may scroll sideways. */
export async function staysInWidth(page: Page): Promise<void> {
  const spill = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(spill).toBeLessThanOrEqual(0);
}
