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

/** so wide a window has the strip of steps, px */
const HAS_STRIP = 1024;

/** Goes to a step as a person would: by the strip on a desk, by the button of steps on a phone. */
export async function goTo(page: Page, step: string): Promise<void> {
  await page.getByRole('navigation', { name: 'Step before and step after' }).waitFor();
  // By the window, not by what is seen: a machine that is still loading shows neither.
  if ((page.viewportSize()?.width ?? 0) >= HAS_STRIP)
    await page
      .getByRole('navigation', { name: 'Steps', exact: true })
      .getByRole('link', { name: step })
      .click();
  else {
    await page.getByRole('button', { name: /All steps$/ }).click();
    await sheet(page).getByRole('link', { name: step }).click();
  }
  await expect(page.getByRole('heading', { level: 1, name: step })).toBeVisible();
  await staysInWidth(page);
}

/** The day that entries are written for. */
export async function writtenFor(page: Page, on: string): Promise<void> {
  const day = page.getByRole('button', { name: /^(today|◐ Written for)/ });
  await day.click();
  await page.getByLabel('Day of the work').fill(on);
  await day.click();
}

/** Opens what is folded behind its name, once. */
export async function unfold(within: Page | Locator, title: string): Promise<void> {
  const page = 'goto' in within ? within : within.page();
  const summary = page.locator('summary').filter({ hasText: new RegExp(`^${title}( ·|$)`) });
  const fold = within.locator('details').filter({ has: summary }).last();
  await fold.waitFor();
  if ((await fold.getAttribute('open')) === null) await fold.locator('summary').first().click();
}

/** Whether the first of the two is what came. */
async function shown(first: Locator, second: Locator): Promise<boolean> {
  await first.or(second).first().waitFor();
  return first.isVisible();
}

/** Reads places by the keypad, each with what is typed; where a figure stands, its place is touched again. */
export async function read(page: Page, readings: Record<string, string>): Promise<void> {
  for (const [place, value] of Object.entries(readings)) {
    const onDrawing = page
      .getByRole('button', { name: new RegExp(`^${place}(, not read yet| [−\\d])`) })
      .filter({ visible: true });
    if ((await onDrawing.count()) > 0) await onDrawing.first().click();
    else {
      await unfold(page, 'Every place');
      await page.getByRole('button', { name: place, exact: true }).click();
    }
    const pad = sheet(page);
    await pad.waitFor();
    const figure = pad.getByRole('textbox', { name: place, exact: true });
    const word = pad.getByRole('button', { name: value, exact: true });
    const answered = page.waitForResponse(
      (response) => response.url().endsWith('/api/entries') && response.request().method() === 'POST',
    );
    if (value.startsWith('not done: ')) {
      await pad.getByRole('button', { name: 'not done' }).click();
      await pad.getByLabel('Another reason').fill(value.slice('not done: '.length));
      await pad.getByRole('button', { name: 'Write it so' }).click();
    } else if (await shown(figure, word)) {
      await figure.fill(value);
      await pad
        .getByRole('button', { name: /^(Next|Done)/ })
        .last()
        .click();
    } else await word.click();
    // Saved: now the next place of the round stands there, or the keypad is gone.
    await answered;
    await expect(page.getByRole('dialog', { name: place, exact: true })).toBeHidden();
    if (await pad.isVisible()) await pad.getByRole('button', { name: 'Close' }).click();
    await expect(pad).toBeHidden();
  }
}

export const form = (page: Page, title: string): Locator =>
  page.getByRole('form', { name: title, exact: true });

/** A choice in a form, by its question and its answer. */
export async function choose(inside: Locator, question: string, answer: string): Promise<void> {
  // More answers than there is room for stand in a list that opens over the form.
  const list = inside.locator(`button[aria-haspopup="dialog"][aria-label^="${question}: "]`);
  const select = inside.getByRole('combobox', { name: question });
  const radio = inside
    .getByRole('radiogroup', { name: question, exact: true })
    .getByRole('radio', { name: answer, exact: true });
  await list.or(select).or(radio).first().waitFor();
  if (await list.isVisible()) {
    await list.click();
    await inside
      .page()
      .getByRole('dialog', { name: question })
      .getByRole('button', { name: answer, exact: true })
      .click();
  } else if (await select.isVisible()) await select.selectOption({ label: answer });
  else await radio.click();
}

export async function notDone(inside: Locator, question: string, why: string): Promise<void> {
  await inside.getByRole('button', { name: `${question}: not done` }).click();
  await inside.getByLabel(`Why ${question.toLowerCase()} was not done`).fill(why);
}

/** Saves a form and waits until it is empty again, which it is once the logbook has it. */
export async function saveForm(page: Page, title: string, button: string): Promise<void> {
  await form(page, title).waitFor();
  const answered = page.waitForResponse(
    (response) => response.url().endsWith('/api/entries') && response.request().method() === 'POST',
  );
  // The button of the step's own form stands in the bar at the thumb.
  await page.getByRole('button', { name: button, exact: true }).last().click();
  expect((await answered).status()).toBe(201);
}

/** Touches a part of the drawing, by its name and where it stands. */
export const touch = (page: Page, part: string): Promise<void> =>
  page
    .getByRole('group', { name: /^(Circuit map|The machine)/ })
    .getByRole('button', { name: new RegExp(`^${part},`) })
    .first()
    .click();

/** Marks a part: one touch for what was found, one for what showed it. */
export async function mark(
  page: Page,
  part: string,
  what: string,
  showed?: string,
  note?: string,
): Promise<void> {
  await touch(page, part);
  await sheet(page).getByRole('button', { name: what, exact: true }).click();
  if (note) {
    await unfold(sheet(page), 'Method, note');
    await sheet(page).getByLabel('Note').fill(note);
  }
  if (showed) await sheet(page).getByRole('button', { name: showed, exact: true }).click();
  await expect(sheet(page)).toBeHidden();
}

/** Shuts or opens a valve by touching it. */
export async function turn(page: Page, part: string, how: 'Shut' | 'Open again'): Promise<void> {
  await touch(page, part);
  await sheet(page).getByRole('button', { name: how, exact: true }).click();
  await expect(sheet(page)).toBeHidden();
}

export async function repair(
  page: Page,
  how: string,
  evacuated: boolean,
  more: (inside: Locator) => Promise<void> = () => Promise.resolve(),
): Promise<void> {
  await page.getByRole('button', { name: /^(Repair k|A leak repaired)/ }).click();
  const leak = form(page, 'Leak repaired');
  await leak.getByLabel('How (optional)').fill(how);
  if (evacuated) await leak.getByLabel('Evacuated for the repair').check();
  await more(leak);
  await saveForm(page, 'Leak repaired', 'Write the repair down');
  await expect(sheet(page)).toBeHidden();
}

export async function jointTest(
  page: Page,
  test: { section: string; gas: string; pressure: string; minutes: string; method: string },
): Promise<void> {
  const inside = form(page, 'Test of a section');
  await unfold(page, 'Bubbles, detector or ear on a joint');
  await inside.getByLabel('Section under test').fill(test.section);
  await inside.getByLabel('Valves open').fill('all of the section');
  await choose(inside, 'Test gas', test.gas);
  await inside.getByLabel('Pressure at the joint', { exact: true }).fill(test.pressure);
  await inside.getByLabel('It stood', { exact: true }).fill(test.minutes);
  await choose(inside, 'Method', test.method);
  await choose(inside, 'Result', 'passed');
  await saveForm(page, 'Test of a section', 'Save the test');
}

/** The legal test: the first at the pressure test, with the conditions of the last test; the second as it runs. */
export async function legalTest(page: Page, stage: 'First' | 'Second', result = 'Passed'): Promise<void> {
  if (stage === 'First') await unfold(page, 'First test, by hand');
  await choose(form(page, 'Test after repair'), 'Result', result);
  if (stage === 'Second') await form(page, 'Test after repair').getByLabel('Method').fill('electronic');
  await saveForm(page, 'Test after repair', `Write the ${stage.toLowerCase()} test down`);
}

/** `odd`: the reason for what looks odd, where the form asks for one. */
export async function gas(
  page: Page,
  amount: string,
  rest: { reason?: string; leak?: string; odd?: string; out?: true } = {},
): Promise<void> {
  if (rest.out) await unfold(page, 'Gas recovered');
  await page.getByLabel('Amount', { exact: true }).fill(amount);
  if (rest.reason) await page.getByRole('radio', { name: rest.reason, exact: true }).click();
  if (rest.leak) {
    await unfold(page.locator('form').filter({ has: page.getByLabel('Amount') }), 'More');
    await chooseLeak(page.getByLabel('For which leak'), rest.leak);
  }
  if (rest.odd) await page.getByLabel('If it is so, why').fill(rest.odd);
  await page
    .getByRole('button', {
      name: rest.out ? 'Write the gas down as recovered' : 'Write it down',
      exact: true,
    })
    .click();
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
