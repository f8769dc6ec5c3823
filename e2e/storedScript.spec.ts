/** Markup in whatever can be typed, in names of files too: shown as it was typed, and never run. */
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { type Page, expect, test } from '@playwright/test';
import { STEPS } from '../src/core/visit/steps';
import { signIn } from './steps';

const SCRIPT = '<img src=nowhere onerror="window.ran=1"><script>window.ran=1</script>';
/** ids of what bears it */
const [SITE, MACHINE, VISIT] = ['script-site', 'script-machine', 'script-visit'];
const CHARGE = {
  id: 'script-charge',
  kind: 'fullChargeSet',
  on: '2026-01-01',
  by: 'odalys',
  applianceId: MACHINE,
  method: 'weighed',
  mass: { value: 40, unit: 'lb' },
  note: SCRIPT,
};

interface Markup {
  rows: { table: string; row: { id: string } }[];
  appliance: object;
  entries: object[];
  forms: number;
}
const markup = (): Markup =>
  JSON.parse(
    execFileSync(
      process.execPath,
      ['--import', 'tsx', join(import.meta.dirname, 'markup.ts'), SCRIPT, SITE, MACHINE, VISIT],
      { encoding: 'utf8', maxBuffer: 64_000_000 },
    ),
  ) as Markup;

const isTaken = async (page: Page, path: string, data: unknown): Promise<boolean> =>
  (await page.request.post(`/api${path}`, { data })).ok();

test('markup that was stored anywhere is shown and never run', async ({ page }) => {
  const complaints: string[] = [];
  page.on('console', (message) => {
    if (/Content Security Policy/i.test(message.text())) complaints.push(message.text());
  });
  await signIn(page, 'odalys');
  const { rows, appliance, entries, forms } = markup();
  for (const { table, row } of rows)
    expect([
      table,
      await isTaken(page, '/rows', { changes: [{ table, id: row.id, row }], why: SCRIPT }),
    ]).toEqual([table, true]);
  expect(await isTaken(page, '/machines', { appliance, spaces: [], by: 'odalys', entries: [CHARGE] })).toBe(
    true,
  );
  let taken = 0;
  for (const entry of entries) if (await isTaken(page, '/entries', entry)) taken += 1;
  // Some forms ask more than a random entry has; most are taken.
  expect(taken).toBeGreaterThan(forms / 2);

  let shown = 0;
  const look = async (path: string) => {
    await page.goto(path);
    await page.waitForLoadState('networkidle');
    for (const fold of await page.locator('main details:not([open]) > summary').all())
      await fold.click({ timeout: 1000 }).catch(() => null);
    const state = await page.evaluate(() => ({
      ran: 'ran' in window,
      made: document.querySelectorAll('img[src="nowhere"], script:not([src])').length,
      shown: document.body.innerText.includes('<img src=nowhere'),
    }));
    expect([path, state.ran, state.made]).toEqual([path, false, 0]);
    if (state.shown) shown += 1;
  };
  const paths = [
    `/machines/${MACHINE}`,
    `/machines/${MACHINE}/before`,
    `/machines/${MACHINE}/record`,
    `/sites/${SITE}`,
    '/machines?text=nowhere',
    '/due',
    '/visits',
    '/gas',
    '/company',
    '/changes',
    `/papers/issue?document=serviceRecord&visit=${VISIT}`,
    `/papers/issue?document=machineRecord&machine=${MACHINE}`,
    ...STEPS.map((step) => `/visits/${VISIT}/${MACHINE}/${step}`),
  ];
  for (const path of paths) await look(path);
  expect(shown).toBeGreaterThan(paths.length / 2);

  // The name of a file is typed by whoever made it, too.
  await page.goto('/papers/import');
  await page.getByLabel('Choose a file').setInputFiles({
    name: '<img src=nowhere onerror=window.ran=1>.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      `Date,Site,Machine,Added,Technician\n11/20/2026,${SCRIPT},"=HYPERLINK(1)",12 lb,Odalys Brandt\n`,
    ),
  });
  await expect(page.getByRole('region', { name: 'What this means' })).toBeVisible();
  expect(
    await page.evaluate(() => 'ran' in window || document.querySelector('img[src="nowhere"]') !== null),
  ).toBe(false);
  expect(complaints).toEqual([]);
});
