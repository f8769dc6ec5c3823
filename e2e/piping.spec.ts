/** A machine drawn as it is piped: valves put on its lines part it, a second coil stands in its section, what went is gone. */
import { type Page, expect, test } from '@playwright/test';
import { addMachine, sheet, signIn, staysInWidth } from './steps';
import { beginVisit, goTo, touch, turn, unfold } from './visitSteps';

const drawing = (page: Page) => page.getByRole('group', { name: /^The machine/ });
const piped = (page: Page) => page.getByRole('region', { name: 'How it is piped' });

/** Touches a part of the drawing that is being changed. */
const change = (page: Page, part: string) =>
  piped(page)
    .getByRole('button', { name: new RegExp(`^${part},`) })
    .click();

async function putOn(page: Page, beside: string, line: string, what: string): Promise<void> {
  await change(page, beside);
  await sheet(page).getByRole('button', { name: line }).click();
  await sheet(page).getByRole('button', { name: what, exact: true }).click();
  await expect(sheet(page)).toBeHidden();
}

test('two valves and a second coil are drawn; shut, the valves part it; one that leaks by is told; one is taken out @phone', async ({
  page,
}) => {
  await signIn(page, 'marit');
  await addMachine(page, { site: 'Piped', name: 'Lobster cooler', refrigerant: 'R-448A', charge: '12 lb' });
  await beginVisit(page);
  await goTo(page, 'Pressure test');
  await page.getByRole('button', { name: 'Not how it is piped?' }).click();
  await putOn(page, 'Liquid line', 'Liquid line to solenoid', 'Ball valve');
  await expect(page.getByText('Ball valve: on the liquid line.')).toBeVisible();
  await putOn(page, 'Suction line', 'Suction line to access port', 'Ball valve');
  await change(page, 'Evaporator coil');
  await sheet(page).getByRole('button', { name: 'A second one beside it' }).click();
  await expect(sheet(page)).toBeHidden();
  await staysInWidth(page);
  // One change too many, and back.
  await change(page, 'Compressor');
  await sheet(page).getByRole('button', { name: 'A second one beside it' }).click();
  await expect(piped(page).getByRole('button', { name: /^Compressor 2,/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(piped(page).getByRole('button', { name: /^Compressor 2,/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'It is drawn as it stands' }).click();

  await turn(page, 'Ball valve', 'Shut');
  await turn(page, 'Ball valve 2', 'Shut');
  await touch(page, 'Evaporator coil 2');
  await sheet(page).getByRole('button', { name: 'The gauge sits here' }).click();
  const tested = drawing(page).getByRole('button', { name: /in the section under test/ });
  await expect(tested.filter({ hasText: 'Evaporator coil' })).toHaveCount(2);
  await expect(tested.filter({ hasText: /Compressor|Receiver|Sight glass|Drain pan/ })).toHaveCount(0);

  await touch(page, 'Ball valve 2');
  await sheet(page).getByRole('button', { name: 'It does not hold' }).click();
  await expect(page.getByText('Ball valve 2, lines does not hold: open to')).toBeVisible();
  await goTo(page, 'Evacuate');
  await expect(page.getByText('Shut and does not hold: Ball valve 2, lines')).toBeVisible();

  // It goes from the drawing once it is open; the other of its name stays shut.
  await goTo(page, 'Isolate or recover');
  await page.getByRole('button', { name: 'Not how it is piped?' }).click();
  await change(page, 'Ball valve 2');
  await unfold(sheet(page), 'Its name, or that it is gone');
  await expect(sheet(page).getByRole('button', { name: 'Taken out today' })).toBeDisabled();
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'It is drawn as it stands' }).click();
  await turn(page, 'Ball valve 2', 'Open again');
  await expect(drawing(page).getByRole('button', { name: /^Ball valve,.*shut/ })).toBeVisible();
  await page.getByRole('button', { name: 'Not how it is piped?' }).click();
  await change(page, 'Ball valve 2');
  await unfold(sheet(page), 'Its name, or that it is gone');
  await sheet(page).getByRole('button', { name: 'Taken out today' }).click();
  await expect(piped(page).getByRole('button', { name: /^Ball valve 2,/ })).toHaveCount(0);
});
