/**
 * A thumb on a phone: it scrolls by strokes of one screen, touches what it sees and is large enough, chooses from a list as
 * a phone does, and wants to see something happen. It counts.
 */
import { type Locator, type Page, expect } from '@playwright/test';
import { sheet } from './steps';

const LEAST_TARGET_PX = 44;
const STROKE = 0.8;
const MOST_STROKES = 12;

export interface Counted {
  touches: number;
  strokes: number;
}

/** What the finger lands on: a box to tick is as large as its label. */
const targetOf = (element: HTMLElement): number => {
  const { width, height } = (element.closest('label') ?? element).getBoundingClientRect();
  return Math.min(width, height);
};

export function thumb(page: Page) {
  const counted: Counted = { touches: 0, strokes: 0 };
  const high = page.viewportSize()?.height ?? 0;

  const bring = async (target: Locator): Promise<void> => {
    for (let stroke = 0; stroke < MOST_STROKES; stroke += 1) {
      const box = await target.boundingBox();
      // Drawn anew since it was seen.
      if (box === null) {
        await target.waitFor();
        continue;
      }
      if (box.y >= 0 && box.y + Math.min(box.height, LEAST_TARGET_PX) <= high) return;
      counted.strokes += 1;
      await page.mouse.wheel(0, Math.sign(box.y) * STROKE * high);
      await expect.poll(async () => (await target.boundingBox())?.y).not.toBe(box.y);
    }
    throw new Error(`${String(target)} cannot be scrolled into sight.`);
  };

  const tap = async (target: Locator): Promise<void> => {
    await target.waitFor();
    await bring(target);
    // A key that is drawn anew between two looks has no size in the second one.
    await expect
      .poll(() => target.evaluate(targetOf), { message: String(target) })
      .toBeGreaterThan(LEAST_TARGET_PX - 1);
    counted.touches += 1;
    // What covers it, or a grey button, is waited for in vain.
    await target.tap();
  };
  const button = (name: string | RegExp): Locator =>
    page.getByRole('button', typeof name === 'string' ? { name, exact: true } : { name }).last();

  return {
    counted,
    tap,
    button: (name: string | RegExp) => tap(button(name)),
    /** A save: the button is touched, and a refusal, if there is one, stands in sight. Its words; none: it was taken. */
    save: async (name: string | RegExp, taken: Locator): Promise<string[]> => {
      await tap(button(name));
      const refused = page.getByRole('alert').filter({ visible: true });
      await taken.or(refused).first().waitFor();
      if (await taken.isVisible()) return [];
      await expect(refused.first()).toBeInViewport();
      return refused.allInnerTexts();
    },
    /** By the phone's own keys: each is a touch. */
    type: async (field: Locator, text: string) => {
      await tap(field);
      await page.keyboard.type(text);
      counted.touches += text.length;
    },
    /** A list is opened and chosen from; what it shows already fires no change. */
    pick: async (list: Locator, label: string) => {
      await tap(list);
      counted.touches += 1;
      const shown = await list.evaluate((each: HTMLSelectElement) => each.selectedOptions[0]?.label);
      if (shown !== label) await list.selectOption({ label });
    },
    /** Keys of the keypad, one after the other, then the confirmation. */
    keys: async (figures: string, confirm: string) => {
      const pad = sheet(page);
      for (const key of figures)
        await tap(
          key === '-'
            ? pad.getByRole('button', { name: 'Below zero, or above' })
            : pad.getByRole('button', { name: key, exact: true }),
        );
      await tap(pad.getByRole('button', { name: confirm, exact: true }));
    },
  };
}
