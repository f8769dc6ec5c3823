/** What a visit keeps: what is typed, photos with their marks, verdicts withdrawn, instruments, and what feeds what. */
import { type Page, expect, test } from '@playwright/test';
import { kindOf, pick, addMachine, save, sheet, staysInWidth, signIn } from './steps';
import { beginVisit, choose, form, goTo, mark, unfold } from './visitSteps';

test.beforeEach(async ({ page }) => signIn(page, 'tobiah'));

const machine = (page: Page, name: string, rest: object = {}) =>
  addMachine(page, {
    site: `${name} shop`,
    name: `${name} machine`,
    refrigerant: 'R-448A',
    charge: '30 lb',
    ...rest,
  });

/** A field of each step, as a person would find it, and what it is folded behind. */
const TYPED: readonly [
  step: string,
  fold: string | null,
  field: (page: Page) => ReturnType<Page['getByLabel']>,
][] = [
  ['Arrive', null, (page) => form(page, 'What you meet').getByLabel('Complaint')],
  ['Read', 'Gauge against gauge', (page) => form(page, 'Gauge against gauge').getByLabel('Place')],
  ['Diagnosis', 'In your own words', (page) => form(page, 'Diagnosis').getByLabel('What is wrong with it')],
  [
    'Standing or test pressure',
    'More',
    (page) => form(page, 'Pressure raised').getByLabel('Pressure before', { exact: true }),
  ],
  ['Search', 'Oil stains', (page) => form(page, 'Oil stain').getByLabel('Place')],
  ['Decide', null, (page) => form(page, 'Decision').getByLabel('Reason')],
  ['Isolate or recover', 'Gas recovered', (page) => page.getByLabel('Amount', { exact: true })],
  ['Repair', 'Settings of controls', (page) => form(page, 'Setting of a control').getByLabel('Control')],
  ['Pressure test', null, (page) => page.getByLabel('Section under test')],
  ['Evacuate', null, (page) => form(page, 'Vacuum').getByLabel('Lowest reading', { exact: true })],
  ['Charge', null, (page) => page.getByLabel('Amount', { exact: true })],
  [
    'Running check',
    'Control, defrost, second search',
    (page) => form(page, 'How it runs now').getByLabel('Control cuts in at', { exact: true }),
  ],
  [
    'Leave it right',
    'Notes to the next person',
    (page) => form(page, 'Notes to the next person').getByLabel('What they should know'),
  ],
  ['Hand over', null, (page) => page.getByLabel('Name of who takes it over')],
];

test('a reload or a second tab at any step loses nothing that was typed @phone', async ({ page }) => {
  await machine(page, 'Keeps');
  await beginVisit(page);
  for (const [index, [step, fold, field]] of TYPED.entries()) {
    await goTo(page, step);
    if (fold !== null) await unfold(page, fold);
    await field(page).fill('12');
    if (index % 4 === 0) {
      await page.reload();
      if (fold !== null) await unfold(page, fold);
      await expect(field(page)).toHaveValue('12');
    }
  }
  // A figure on the keypad is kept like any other.
  await goTo(page, 'Read');
  await page.getByRole('button', { name: 'Read on: suction pressure' }).click();
  await sheet(page).getByRole('textbox', { name: 'Suction pressure' }).fill('12');
  const second = await page.context().newPage();
  await second.goto(page.url());
  await second.getByRole('button', { name: 'Read on: suction pressure' }).click();
  await expect(sheet(second).getByRole('textbox', { name: 'Suction pressure' })).toHaveValue('12');
  await sheet(second).getByRole('button', { name: 'Close' }).click();
  for (const [step, fold, field] of TYPED) {
    await goTo(second, step);
    if (fold !== null) await unfold(second, fold);
    await expect(field(second)).toHaveValue('12');
    await staysInWidth(second);
  }
  // Typed in one tab, it stands in the other.
  await sheet(page).getByRole('button', { name: 'Close' }).click();
  await goTo(page, 'Arrive');
  await goTo(second, 'Arrive');
  await form(page, 'What you meet').getByLabel('Complaint').fill('warm since noon');
  await expect(form(second, 'What you meet').getByLabel('Complaint')).toHaveValue('warm since noon');
});

test('photos: an arrow and a circle as data, before and after, and what is no picture is refused', async ({
  page,
}) => {
  await machine(page, 'Photos');
  await beginVisit(page);
  await goTo(page, 'Repair');
  await page.getByRole('button', { name: /^Photo/ }).click();
  const file = sheet(page).getByLabel('Take or choose a photo');
  await file.setInputFiles({
    name: 'note.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('no picture at all'),
  });
  await expect(sheet(page).getByText('is no picture that can be read here', { exact: false })).toBeVisible();
  const picture = await page.screenshot({ clip: { x: 0, y: 0, width: 300, height: 200 } });
  await file.setInputFiles({ name: 'joint.png', mimeType: 'image/png', buffer: picture });
  const drawn = sheet(page).getByRole('img', { name: /^Photo\. Draw/ });
  await expect(drawn).toBeVisible();
  await expect
    .poll(() => drawn.locator('img').evaluate((img: HTMLImageElement) => img.naturalWidth))
    .toBe(300);
  const draw = async (from: [number, number], to: [number, number]) => {
    const box = await drawn.boundingBox();
    if (!box) throw new Error('The photo is not on the screen.');
    const at = ([x, y]: [number, number]) => [box.x + x * box.width, box.y + y * box.height] as const;
    await page.mouse.move(...at(from));
    await page.mouse.down();
    await page.mouse.move(...at(to), { steps: 4 });
    await page.mouse.up();
  };
  await draw([0.1, 0.1], [0.5, 0.5]);
  await sheet(page).getByRole('radio', { name: 'circle' }).click();
  await draw([0.5, 0.5], [0.7, 0.7]);
  await sheet(page).getByLabel('Caption').fill('old joint');
  await sheet(page).getByRole('radio', { name: 'before' }).click();
  await sheet(page).getByRole('button', { name: 'Keep the photo' }).click();
  await expect(sheet(page).getByText('before · old joint')).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: /^Photo ?1/ }).click();
  await expect(sheet(page).locator('ellipse')).toHaveCount(2);
  const logbook = (await (await page.request.get('/api/logbook')).json()) as {
    entries: {
      tool?: string;
      caption?: string;
      attachments?: string[];
      marks?: { shape: string; from: number[] }[];
    }[];
  };
  const kept = logbook.entries.find((each) => each.caption === 'old joint');
  expect(kept?.marks?.map((each) => each.shape)).toEqual(['arrow', 'circle']);
  expect(kept?.marks?.[0]?.from[0]).toBeCloseTo(0.1, 1);
  expect(kept?.attachments?.[0]).toMatch(/^[0-9a-f]{64}\.jpg$/);
  await sheet(page).getByRole('button', { name: 'Close' }).click();
  await goTo(page, 'Hand over');
  await expect(
    page.getByRole('article', { name: 'Service record' }).getByRole('img', { name: 'old joint' }),
  ).toBeVisible();
  await page.screenshot(); // laid out without error
});

test('a verdict is withdrawn, says so on the paper, and can be taken back', async ({ page }) => {
  await machine(page, 'Withdraws');
  await beginVisit(page);
  await goTo(page, 'Search');
  await mark(page, 'Drier', 'leak confirmed', 'bubbles');
  const leaks = page.getByRole('region', { name: 'Leaks', exact: true });
  await expect(leaks).toContainText('confirmed');
  await leaks.getByRole('button', { name: 'Withdraw the verdict' }).click();
  await sheet(page).getByLabel('Why it was no leak').fill('the bubbles were soap left by somebody');
  await choose(sheet(page), 'The owner was told of it', 'yes');
  await sheet(page).getByRole('button', { name: 'Withdraw it' }).click();
  await expect(leaks).toContainText('withdrawn');
  await expect(page.getByRole('button', { name: /^Drier, unit, false hit/ })).toBeVisible();
  await goTo(page, 'Hand over');
  const paper = page.getByRole('article', { name: 'Service record' });
  await expect(paper).toContainText('Withdrawn: leak k1');
  const said = page.getByLabel('Message').filter({ hasText: 'Withdraw the finding' });
  await said.getByRole('button', { name: 'Undo' }).click();
  await expect(paper).not.toContainText('Withdrawn');
  await expect(paper).toContainText('k1 Drier');

  // Withdrawn again, and found again: another leak with a name of its own; the first stays withdrawn.
  await goTo(page, 'Search');
  await leaks.getByRole('button', { name: 'Withdraw the verdict' }).click();
  await sheet(page).getByLabel('Why it was no leak').fill('soap again');
  await sheet(page).getByRole('button', { name: 'Withdraw it' }).click();
  await expect(leaks).toContainText('withdrawn · k1');
  await mark(page, 'Drier', 'leak confirmed', 'bubbles');
  await expect(leaks).toContainText('k2, Drier');
  await expect(leaks).toContainText('withdrawn · k1');
});

test('an instrument puts its offset in, and says when its check is overdue', async ({ page }) => {
  await machine(page, 'Instruments');
  await beginVisit(page);
  await goTo(page, 'Read');
  await page.getByText('Instruments', { exact: true }).click();
  await page.getByRole('button', { name: 'Add an instrument' }).click();
  const name = 'Gauge seven';
  await sheet(page).getByLabel('Name').fill(name);
  await sheet(page).getByLabel('Add to its reading').fill('-2 psi');
  await sheet(page).getByLabel('Last checked on').fill('2025-11-22');
  await save(page);
  await expect(page.getByText('check was due 22 Nov 2026').first()).toBeVisible();
  await page.getByRole('button', { name: 'Read on: suction pressure' }).click();
  await sheet(page).getByLabel('Instrument for suction pressure').selectOption(name);
  await sheet(page).getByRole('textbox', { name: 'Suction pressure' }).fill('20');
  await expect(sheet(page).getByText('corrected to 18 psig', { exact: false })).toBeVisible();
  await sheet(page).getByRole('button', { name: 'Next: head pressure' }).click();
  await expect(sheet(page).getByRole('textbox', { name: 'Head pressure' })).toBeVisible();
  await sheet(page).getByRole('button', { name: 'Close' }).click();
  await expect(
    page
      .getByRole('group', { name: /^The machine/ })
      .getByRole('button', { name: new RegExp(`^Suction pressure 20 psig on ${name}, offset put in`) }),
  ).toBeVisible();
});

test('several machines in one visit; one box with two systems, and the tag on the roof', async ({ page }) => {
  const site = 'Feeds shop';
  const first = await machine(page, 'Feeds', { spaces: 'meat, dairy' });
  await page.goto('/machines');
  await page.getByRole('button', { name: 'Add a machine' }).click();
  await sheet(page).getByLabel('Name').fill(`Second of ${site}`);
  await sheet(page).getByLabel('Site', { exact: true }).selectOption({ label: site });
  await kindOf(page);
  await pick(page, 'Refrigerant', 'R-448A');
  await sheet(page).getByRole('button', { name: 'Save the machine' }).click();
  await expect(page.getByRole('heading', { level: 1, name: `Second of ${site}` })).toBeVisible();
  const fed = page.getByRole('region', { name: 'What feeds what' });
  await fed.getByRole('button', { name: 'Change' }).click();
  await sheet(page).getByLabel('Tag at the unit').fill('CU-7');
  await sheet(page).getByLabel('meat').check();
  await save(page);
  await expect(fed).toContainText('CU-7');
  await expect(fed).toContainText('also cooled by');

  await page.goto(first);
  await beginVisit(page);
  await page.getByRole('button', { name: 'Another machine of this site' }).click();
  await sheet(page)
    .getByRole('button', { name: new RegExp(`Second of ${site}`) })
    .click();
  await expect(page.getByRole('group', { name: 'Machines of this visit' }).getByRole('link')).toHaveCount(2);
  await expect(page.getByRole('link', { name: `Second of ${site}` }).first()).toBeVisible();
  await page.goto('/visits');
  const row = page.getByRole('listitem').filter({ hasText: site }).first();
  await expect(row.getByRole('link')).toHaveCount(2);
});
