import type { Locator, Page } from '@playwright/test';
import { newKennel } from './newcomer.ts';
import type { Seen, Step, Way } from './ways.ts';

/** Goes to where a way begins, with things as they stand then. */
export async function beginWay(page: Page, way: Way): Promise<void> {
  if (way.empty) await newKennel(page);
  const idOf = async (name: string) => {
    const { rows } = (await (await page.request.get(`/api/dogs?search=${name}`)).json()) as { rows: { id: string }[] };
    return rows[0]!.id;
  };
  const path = way.from.includes('DOG')
    ? way.from.replace('DOG', await idOf('bramble'))
    : way.from.includes('OTHER')
      ? way.from.replace('OTHER', await idOf('nutmeg'))
      : way.from;
  await page.goto(path);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  for (const step of way.before ?? []) await take(page, step);
}

/** What is to stand on the screen. */
export const seen = (page: Page, [role, name]: Seen): Locator => (role === 'text' ? page.getByText(name) : page.getByRole(role, { name })).first();

/** Takes one step of a way on the page. */
export async function take(page: Page, step: Step): Promise<void> {
  if ('see' in step) await seen(page, step.see).waitFor();
  else if ('follow' in step) await page.goto(step.follow.exec(await page.getByText(step.follow).first().innerText())![0]);
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
