/** Several companies on one server: a person finds the address of hers, by its name and by no other. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { serve } from '../src/server/served.testkit';
import { staysInWidth } from './steps';

test('the name of a company leads from the server’s address to its own', async ({ page }) => {
  const root = mkdtempSync(join(tmpdir(), 'companies-'));
  const folder = join(root, 'companies');
  execFileSync('npm', ['run', '--silent', 'company', '--', 'add', 'pier-cooling', '--in', folder]);
  const server = await serve('', { ABACUS_COMPANIES: folder, ABACUS_DATABASE: '' });
  const { port } = new URL(server.base);
  try {
    await page.goto(`http://localhost:${port}/`);
    await expect(page.getByRole('heading', { name: 'Which company?' })).toBeVisible();
    await staysInWidth(page);
    const name = page.getByLabel('First part of the address');
    await name.fill('Pier Cooling');
    await expect(page.getByText('single hyphens')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Go there' })).toBeDisabled();

    await name.fill('quay-cooling');
    await page.getByRole('button', { name: 'Go there' }).click();
    await expect(page.getByRole('heading', { name: 'No company at this address' })).toBeVisible();

    await page.getByLabel('First part of the address').fill('pier-cooling');
    await page.getByRole('button', { name: 'Go there' }).click();
    await expect(page).toHaveURL(new RegExp(`//pier-cooling\\.localhost:${port}/`));
    await expect(page.getByRole('heading', { name: 'Nobody has an account yet' })).toBeVisible();
  } finally {
    await server.kill('SIGTERM');
    rmSync(root, { recursive: true });
  }
});
