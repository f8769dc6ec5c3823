/** What a technician does in a visit, in words: each step goes through the real interface. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Locator, type Page, expect } from '@playwright/test';
import { chooseLeak, sheet, staysInWidth } from './steps';

/** Begins a visit to the machine whose page is open. */
export async function beginVisit(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Begin a visit' }).click();
  await sheet(page).getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Before driving' })).toBeVisible();
}

/** Goes to a step as a person would: by the strip on a desk, by the button of steps on a phone. */
export async function goTo(page: Page, step: string): Promise<void> {
  await page.getByRole('navigation', { name: 'Step before and step after' }).waitFor();
  const strip = page.getByRole('navigation', { name: 'Steps', exact: true });
  if (await strip.isVisible()) await strip.getByRole('link', { name: step }).click();
  else {
    await page.getByRole('button', { name: /All steps$/ }).click();
    await sheet(page).getByRole('link', { name: step }).click();
  }
  await expect(page.getByRole('heading', { level: 1, name: step })).toBeVisible();
  await staysInWidth(page);
}

/** The day that entries are written for. */
export async function writtenFor(page: Page, on: string): Promise<void> {
  await page.getByRole('button', { name: /^(◐ )?Written for/ }).click();
  await page.getByLabel('Day of the work').fill(on);
  await page.getByRole('button', { name: /^(◐ )?Written for/ }).click();
}

export const form = (page: Page, title: string): Locator =>
  page.getByRole('form', { name: title, exact: true });

/** A choice in a form, by its question and its answer. */
export const choose = (inside: Locator, question: string, answer: string): Promise<void> =>
  inside
    .getByRole('radiogroup', { name: question, exact: true })
    .getByRole('radio', { name: answer, exact: true })
    .click();

export async function notDone(inside: Locator, question: string, why: string): Promise<void> {
  await inside.getByRole('button', { name: `${question}: not done` }).click();
  await inside.getByLabel(`Why ${question.toLowerCase()} was not done`).fill(why);
}

/** Saves a form and waits until it is empty again, which it is once the logbook has it. */
export async function saveForm(page: Page, title: string, button: string): Promise<void> {
  const answered = page.waitForResponse(
    (response) => response.url().endsWith('/api/entries') && response.request().method() === 'POST',
  );
  await form(page, title).getByRole('button', { name: button, exact: true }).click();
  expect((await answered).status()).toBe(201);
}

/** Touches a part of the circuit map. */
export const touch = (page: Page, part: string): Promise<void> =>
  page
    .getByRole('group', { name: /^Circuit map/ })
    .getByRole('button', { name: new RegExp(`^${part},`) })
    .click();

export async function mark(
  page: Page,
  part: string,
  what: string,
  rest: (inside: Locator) => Promise<void>,
): Promise<void> {
  await touch(page, part);
  await sheet(page).getByRole('radio', { name: what, exact: true }).click();
  await rest(sheet(page));
  await sheet(page)
    .getByRole('button', { name: /^(Mark it|Write the leak down)$/ })
    .click();
  await expect(sheet(page)).toBeHidden();
}

export async function repair(page: Page, how: string, evacuated: boolean): Promise<void> {
  await form(page, 'Leak repaired').getByLabel('How (optional)').fill(how);
  if (evacuated) await form(page, 'Leak repaired').getByLabel('Evacuated for the repair').check();
  await saveForm(page, 'Leak repaired', 'Write the repair down');
}

export async function jointTest(
  page: Page,
  test: { section: string; gas: string; pressure: string; minutes: string; method: string },
): Promise<void> {
  const inside = form(page, 'Test of a section');
  // The calculator above comes a moment later and moves what is below it.
  await page.getByLabel('Start pressure', { exact: true }).waitFor();
  if (!(await inside.isVisible())) await page.getByText('Bubbles, detector or ear on a joint').click();
  await inside.getByLabel('Section under test').fill(test.section);
  await inside.getByLabel('Valves open').fill('all of the section');
  await choose(inside, 'Test gas', test.gas);
  await inside.getByLabel('Pressure at the joint', { exact: true }).fill(test.pressure);
  await inside.getByLabel('It stood', { exact: true }).fill(test.minutes);
  await choose(inside, 'Method', test.method);
  await choose(inside, 'Result', 'passed');
  await saveForm(page, 'Test of a section', 'Save the test');
}

/** The legal test; the first takes its conditions from the last joint test. */
export async function legalTest(page: Page, stage: 'First' | 'Second', result = 'Passed'): Promise<void> {
  const region = page.getByRole('region', { name: `${stage} test`, exact: true });
  await expect(region).toBeVisible();
  await choose(form(page, 'Test after repair'), 'Result', result);
  if (stage === 'Second') await form(page, 'Test after repair').getByLabel('Method').fill('electronic');
  await saveForm(page, 'Test after repair', 'Write the test down');
}

/** `odd`: the reason for what looks odd, where the form asks for one. */
export async function gas(
  page: Page,
  amount: string,
  rest: { reason?: string; leak?: string; odd?: string; button: string },
): Promise<void> {
  await page.getByLabel('Amount', { exact: true }).fill(amount);
  if (rest.reason) await page.getByRole('radio', { name: rest.reason, exact: true }).click();
  if (rest.leak) await chooseLeak(page.getByLabel('For which leak'), rest.leak);
  if (rest.odd) await page.getByLabel('If it is so, why').fill(rest.odd);
  await page.getByRole('button', { name: rest.button }).click();
  await expect(page.getByLabel('Amount', { exact: true })).toHaveValue('');
}

/** Answers whatever the checklist asks, then hands over. */
export async function leaveAndHandOver(page: Page, why = 'the shop had closed'): Promise<void> {
  await goTo(page, 'Leave it right');
  const done = page
    .getByRole('region', { name: 'What you touched' })
    .getByRole('button', { name: /: done$/ });
  for (let left = await done.count(); left > 0; left = await done.count()) {
    await done.first().click();
    await expect(done).toHaveCount(left - 1);
  }
  await goTo(page, 'Hand over');
  await page.getByLabel('Name of who takes it over').fill('Prue Castellan');
  await page.getByLabel('Nobody could sign, because').fill(why);
  await page.getByRole('button', { name: 'Hand over', exact: true }).click();
  await expect(page.getByText('Handed over to', { exact: false })).toBeVisible();
}

interface Computed {
  cases: {
    openedOn: string;
    state: string;
    repairDue: string;
    initialPassedOn: string | null;
    followUpDue: string | null;
    followUpPassedOn: string | null;
  }[];
  obligations: { kind: string; due: string; doneOn: string | null; state: string }[];
  additions: { on: string; netGrams: number | null; percent: number | null }[];
  fullChargeGrams: number | null;
}

/** Exports the logbook through the app and computes it with the command line, as an auditor would. */
export async function computed(page: Page, machineId: string, asOf = '2026-11-23'): Promise<Computed> {
  const response = await page.request.get('/api/logbook');
  expect(response.ok()).toBe(true);
  const file = join(mkdtempSync(join(tmpdir(), 'abacus-visit-')), 'logbook.json');
  writeFileSync(file, await response.body());
  const out = execFileSync('npx', ['tsx', 'src/cli/compute.ts', file, '--as-of', asOf], {
    encoding: 'utf8',
    maxBuffer: 1 << 28,
  });
  const { appliances } = JSON.parse(out) as { appliances: (Computed & { id: string })[] };
  const found = appliances.find((each) => each.id === machineId);
  if (!found) throw new Error(`No machine ${machineId} in the export.`);
  return found;
}

export const machineIdOf = (address: string): string => address.split('/').pop() ?? '';

/** Kind, due day, day done of each obligation: the table that is worked out by hand. */
export const duties = ({ obligations }: Computed): [string, string, string | null][] =>
  obligations.map(({ kind, due, doneOn }) => [kind, due, doneOn]);
