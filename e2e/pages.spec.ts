/** Lists that come page by page: right in order, each thing once, found by words and filters, and as one left them. */
import { type Page, expect, test } from '@playwright/test';
import { signIn } from './steps';

const MACHINES = 120;

/** A long hall of its own; the machines come by the API, for a hundred forms would show nothing more. */
async function longHall(page: Page, name: string): Promise<string[]> {
  const id = name.replaceAll(' ', '-').toLowerCase();
  const made = await page.request.post('/api/rows', {
    data: {
      changes: [
        {
          table: 'sites',
          id,
          row: { id, name, timezone: 'America/Chicago', packs: ['us-hfc'] },
        },
      ],
    },
  });
  expect(made.status()).toBe(201);
  const names = Array.from({ length: MACHINES }, (_, index) => `Case ${String(index + 1)}`);
  // From the last to the first: the order of the list is its own.
  for (const [index, called] of [...names.entries()].reverse()) {
    const machine = `${id}-${String(index)}`;
    const added = await page.request.post('/api/machines', {
      data: {
        appliance: {
          id: machine,
          siteId: id,
          name: called,
          kind: index % 3 === 0 ? 'reachIn' : 'walkIn',
          category: 'commercialRefrigeration',
          refrigerant: 'R-448A',
        },
        entries: [
          {
            id: `${machine}-charge`,
            kind: 'fullChargeSet',
            on: '2025-01-01',
            by: 'marit',
            applianceId: machine,
            method: 'weighed',
            mass: { value: 100, unit: 'lb' },
          },
          // 30 lb of 100 lb exceed: each machine asks for a repair.
          {
            id: `${machine}-gas`,
            kind: 'refrigerantAdded',
            on: '2026-11-10',
            by: 'marit',
            applianceId: machine,
            mass: { value: 30, unit: 'lb' },
            reason: 'topOff',
          },
        ],
      },
    });
    expect(added.status()).toBe(201);
  }
  return names;
}

/** Scrolls on until the last row was in view, and tells every row by its place in the list. */
async function rowsByPlace(page: Page, count: number): Promise<Map<number, string>> {
  const seen = new Map<number, string>();
  const rows = page.getByRole('list', { name: 'Machines' }).getByRole('listitem');
  await expect(async () => {
    for (const [place, name] of await rows.evaluateAll((all) =>
      all.map((row): [number, string] => [
        Number(row.getAttribute('aria-posinset')),
        row.querySelector('p')?.textContent ?? '',
      ]),
    )) {
      // A row that was seen before is the same one now.
      expect(seen.get(place) ?? name).toBe(name);
      seen.set(place, name);
    }
    await page.mouse.wheel(0, 900);
    expect(seen.size).toBe(count);
  }).toPass({ timeout: 60_000, intervals: [60] });
  return seen;
}

test('machines: all pages in one order, each once; searched, filtered, sorted; and as one left them', async ({
  page,
}) => {
  await signIn(page, 'marit');
  const hall = 'Long Hall';
  const names = await longHall(page, hall);
  const rows = page.getByRole('list', { name: 'Machines' }).getByRole('listitem');

  await page.goto(`/machines?q=${encodeURIComponent(hall)}`);
  await expect(page.getByText(`${String(MACHINES)} machines fit`)).toBeVisible();
  const found = await rowsByPlace(page, MACHINES);
  // As people count: Case 2 before Case 10.
  expect([...found].sort(([a], [b]) => a - b).map(([, name]) => name)).toEqual(names);

  // A machine of the third page, and back: the list is where it was left.
  await page
    .getByRole('link', { name: /^Case 111/ })
    .or(page.locator('a', { hasText: 'Case 111' }))
    .first()
    .click();
  await expect(page.getByRole('heading', { level: 1, name: 'Case 111' })).toBeVisible();
  await page.goBack();
  await expect(page.locator('a', { hasText: 'Case 111' }).first()).toBeInViewport();
  await page.evaluate(() => window.scrollTo(0, 0));
  await expect(rows.first()).toContainText('Case 1');

  await page.getByLabel('Search machines').fill(`${hall} case 7`);
  // Case 7 and Case 70 to 79.
  await expect(page.getByText('11 machines fit')).toBeVisible();
  await page.getByLabel('Show only').selectOption('reachIn');
  // Of these every third: 7, 70, 73, 76 and 79.
  await expect(page.getByText('5 machines fit')).toBeVisible();
  await expect(rows).toHaveCount(5);
  await page.getByRole('button', { name: /^Machine/ }).click();
  await page.getByRole('button', { name: /^Machine ↑/ }).click();
  await expect(rows.first()).toContainText('Case 79');
  await expect(page).toHaveURL(/sort=name&down=1/);
  await page.reload();
  await expect(rows.first()).toContainText('Case 79');
  await page.getByLabel('State').selectOption('healthy');
  await expect(page.getByText('No machine fits')).toBeVisible();
  await page.getByRole('button', { name: 'Clear search and filters' }).click();
  await expect(page.getByLabel('Search machines')).toHaveValue('');

  // Due at this hall: a repair and a first test for each, all by one day, counted before all are read.
  await page.goto('/due');
  await page.getByRole('button', { name: new RegExp(`^${hall}`) }).click();
  const month = page.getByRole('region', { name: 'This month' });
  await expect(month).toContainText(String(2 * MACHINES));
  const duties = month.getByRole('listitem');
  await expect(async () => {
    await page.mouse.wheel(0, 4000);
    // The next page comes by itself where there is room beside the list, else when it is asked for; either way it may
    // have come before the click.
    const more = page.getByRole('button', { name: 'Show what is due later' });
    if (await more.isVisible()) await more.click({ timeout: 1500 }).catch(() => undefined);
    expect(await duties.count()).toBe(2 * MACHINES);
  }).toPass({ timeout: 60_000, intervals: [100] });
  const told = await duties.evaluateAll((all) =>
    all.map((row) =>
      [...row.querySelectorAll('p')]
        .slice(0, 2)
        .map((each) => each.textContent)
        .join(' '),
    ),
  );
  expect(new Set(told).size).toBe(2 * MACHINES);
});
