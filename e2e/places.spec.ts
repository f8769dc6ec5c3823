import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { staysInWidth, signIn } from './steps';

const PAGES = [
  '/due',
  '/machines',
  '/machines/rack-b',
  '/gas',
  '/company',
  '/changes',
  '/machines/rack-b/cases/us-hfc/2026-10-30',
  '/machines/rack-b/record',
  '/papers',
  '/papers/issue?document=leakRepairFile&machine=rack-b&pack=us-hfc&opened=2026-10-30',
  '/papers/import',
  '/papers/export',
  '/papers/calendars',
  '/papers/labels?machine=rack-b',
  '/rules',
  '/bench',
  '/bench/saturation',
  '/bench/judge',
  '/visits',
  '/visits/visit-flower-2/flower-2/read',
  '/visits/visit-flower-2/flower-2/search',
  '/visits/visit-flower-2/flower-2/charge',
  '/visits/visit-flower-2/flower-2/handOver',
];

/** Where every colour of a look is met: the other looks change colours, not what stands where. */
const COLOURS = [
  '/due',
  '/machines/rack-b',
  '/machines/rack-b/cases/us-hfc/2026-10-30',
  '/papers/import',
  '/bench/saturation',
  '/bench/judge',
  '/visits/visit-flower-2/flower-2/search',
  '/visits/visit-flower-2/flower-2/charge',
];

for (const look of ['paper', 'cold-room', 'roof']) {
  // Cold room is as wide as paper.
  const where = look === 'cold-room' ? '' : ' @both';
  test(`every place stays in its width and is accessible: ${look}${where}`, async ({ page }, info) => {
    test.setTimeout(400_000);
    await signIn(page, 'marit');
    await page.addInitScript((value) => localStorage.setItem('abacus.look', value), look);
    for (const path of look === 'paper' ? PAGES : COLOURS) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await page.waitForLoadState('networkidle');
      await staysInWidth(page);
      // The same document on both sizes; on a phone its full length takes the checker a minute.
      if (info.project.name === 'phone') continue;
      const checker =
        look === 'paper'
          ? new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa'])
          : new AxeBuilder({ page }).withRules(['color-contrast']);
      const { violations } = await checker.analyze();
      expect(
        violations.map((each) => `${path}: ${each.id} ${each.nodes[0]?.target.join(' ') ?? ''}`),
      ).toEqual([]);
    }
  });
}

test('finds one of a hundred machines by search, site, kind and state, with keys alone', async ({ page }) => {
  await signIn(page, 'marit');
  await page.goto('/due');
  await expect(page.getByRole('heading', { level: 1, name: 'Due' })).toBeVisible();
  await page.keyboard.press('/');
  await expect(page.getByLabel('Search machines')).toBeFocused();
  await page.keyboard.type('walk-in freezer');
  await page.getByLabel('Site').selectOption({ label: 'Fennel Row' });
  const rows = page
    .getByRole('list', { name: 'Machines' })
    .getByRole('listitem')
    .filter({ hasText: 'Fennel Row' });
  await expect(rows.first()).toContainText('walk-in freezer');
  await page.getByLabel('Show only').selectOption('rack');
  await expect(page.getByText('No machine fits')).toBeVisible();
  await page.getByRole('button', { name: 'Clear search and filters' }).click();
  // What another test retired is counted behind it.
  await expect(page.getByText(/^\d+ machines(;|$)/)).toBeVisible();
});

test('says who is signed in, holds the chosen look, and that the seals are intact', async ({ page }) => {
  await page.goto('/company');
  await page.getByRole('button', { name: /^Marit Solane/ }).click();
  // The way in stood over the place that was asked for.
  await expect(page.getByText('every seal intact', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: /^Your account/ }).click();
  await page.getByRole('radio', { name: /Cold room/ }).click();
  await page.reload();
  await expect(page.getByRole('button', { name: /^Your account/ })).toContainText('Marit');
  await expect(page.locator('html')).toHaveAttribute('data-look', 'cold-room');
});

test('an address that leads nowhere says so and shows the way back', async ({ page }) => {
  await signIn(page, 'marit');
  await page.goto('/machines/nobody');
  await expect(page.getByRole('alert')).toContainText('There is no such machine.');
  await page.goto('/nowhere');
  await page.getByRole('link', { name: 'See what is due' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Due' })).toBeVisible();
});
