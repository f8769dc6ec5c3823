/** What somebody waits for in the browser: the first rows, a search, a filter, a machine. */
import { chromium } from '@playwright/test';
import { median } from './measure';

const RUNS = 5;

export async function browse(origin: string): Promise<Map<string, number>> {
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const times = new Map<string, number[]>();
  try {
    for (let run = 0; run < RUNS; run += 1) {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
      const timed = async (name: string, act: () => Promise<unknown>) => {
        const start = performance.now();
        await act();
        times.set(name, [...(times.get(name) ?? []), performance.now() - start]);
      };
      const rows = page.getByRole('list', { name: 'Machines' }).getByRole('listitem');
      const count = page.getByRole('status');
      await timed('Due opened, first rows', async () => {
        await page.goto(`${origin}/due`);
        await page
          .getByRole('region', { name: /Overdue|This week|This month|Later|Cannot be judged/ })
          .first()
          .getByRole('listitem')
          .first()
          .waitFor();
      });
      await timed('Machines opened, first rows', async () => {
        await page.goto(`${origin}/machines`);
        await rows.first().waitFor();
      });
      await timed('searched', async () => {
        await page.getByLabel('Search machines').fill('harbour market 0');
        await count.getByText(/ fit/).waitFor();
        await rows.filter({ hasText: 'Harbour Market 0' }).first().waitFor();
      });
      await timed('filtered', async () => {
        await page.getByLabel('Kind').selectOption({ label: 'rack' });
        await rows.filter({ hasNotText: 'rack' }).first().waitFor({ state: 'detached' });
      });
      await timed('a machine opened', async () => {
        await rows.first().getByRole('link').click();
        await page.getByRole('heading', { level: 1, name: /^Machine / }).waitFor();
        await page.getByRole('region', { name: 'Figures' }).waitFor();
      });
      await timed('a machine of 5,000 entries opened', async () => {
        await page.goto(`${origin}/machines/machine-0`);
        await page.getByRole('region', { name: 'Figures' }).waitFor();
      });
      await page.close();
    }
  } finally {
    await browser.close();
  }
  return new Map([...times].map(([name, each]) => [name, median(each)]));
}
