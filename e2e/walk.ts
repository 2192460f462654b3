import type { Locator, Page } from '@playwright/test';
import type { Step, Way } from './ways.ts';

/** Takes one step of a way on the page. */
export async function take(page: Page, step: Step): Promise<void> {
  if ('see' in step) await page.getByRole(step.see[0], { name: step.see[1] }).first().waitFor();
  else if ('key' in step) await page.keyboard.press(step.key);
  else if ('press' in step)
    await page
      .getByRole(step.press[0], { name: step.press[1], exact: typeof step.press[1] === 'string' })
      .first()
      .click();
  else if (step.into === undefined) await page.keyboard.type(step.type, { delay: 60 });
  else await page.getByRole('textbox', { name: step.into, exact: true }).fill(step.type);
}

/** What a way costs: what is pressed, keys that are no text among them, and what is typed. */
export const costOf = ({ steps }: Pick<Way, 'steps'>): { presses: number; fields: number } => ({
  presses: steps.filter((step) => 'press' in step || 'key' in step).length,
  fields: steps.filter((step) => 'type' in step).length,
});

/** Where the decision, the drawing and the one thing to press stand on a screen. */
export function partsOf(page: Page): { decision: Locator; drawing: Locator; action: Locator } {
  const main = page.getByRole('main');
  return {
    decision: main.getByRole('heading', { level: 1 }).first(),
    drawing: main.locator('.work-drawing svg, svg[role="img"]').filter({ visible: true }).first(),
    action: main.locator('.press-main').filter({ visible: true }).first(),
  };
}
