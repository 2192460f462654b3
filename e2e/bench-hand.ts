import { test as base, expect, type BrowserContext, type Page } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';
import { newcomer, newKennel } from './newcomer.ts';

export { newKennel };

/** Whoever works on a screen waits until it is there: what the page shows before is its picture. */
function waitsForScreens(page: Page): Page {
  const there = () => page.waitForFunction(() => document.getElementById('first-picture') === null);
  const [goto, reload] = [page.goto.bind(page), page.reload.bind(page)];
  page.goto = async (...where) => {
    const answer = await goto(...where);
    await there();
    return answer;
  };
  page.reload = async (...how) => {
    const answer = await reload(...how);
    await there();
    return answer;
  };
  return page;
}

const contextThatWaits = (context: BrowserContext): BrowserContext => {
  const newPage = context.newPage.bind(context);
  context.newPage = async () => waitsForScreens(await newPage());
  return context;
};

/** The page comes as it is, as where no picture of it can be had. */
export const withoutPicture = (page: Page) =>
  page.route('**/*', (route) =>
    route.request().resourceType() === 'document' ? route.continue({ headers: { ...route.request().headers(), accept: '*/*' } }) : route.fallback(),
  );

/** A page that fails its test on any fault in the console; `expectFaults` lets through the ones a test brings about itself. */
export const test = base.extend<{ expectFaults: (pattern: RegExp) => void }>({
  context: ({ context }, use) => use(contextThatWaits(context)),
  browser: [
    async ({ browser }, use) => {
      const newContext = browser.newContext.bind(browser);
      // Without scripts a page stays its picture.
      browser.newContext = async (how) => {
        const context = await newContext(how);
        return how?.javaScriptEnabled === false ? context : contextThatWaits(context);
      };
      await use(browser);
      browser.newContext = newContext;
    },
    { scope: 'worker' },
  ],
  expectFaults: [
    async ({ page }, use) => {
      // Playwright’s own word that pages are not laid on the device here.
      const allowed: RegExp[] = [/Service Worker registration blocked/];
      const faults: string[] = [];
      page.on('pageerror', (error) => faults.push(error.message));
      page.on('console', (message) => {
        if (message.type() === 'error' || message.type() === 'warning') faults.push(message.text());
      });
      await use((pattern) => allowed.push(pattern));
      expect(faults.filter((fault) => !allowed.some((pattern) => pattern.test(fault)))).toEqual([]);
    },
    { auto: true },
  ],
});
export { expect };

/** Makes a kennel through the page, as a new person would. */
export async function signUp(page: Page, name = 'Gorse End'): Promise<{ email: string; password: string }> {
  const { email, password } = newcomer();
  await page.goto('/sign-up');
  await page.getByLabel('Kennel').fill(name);
  await page.getByLabel('Your name').fill('Robin');
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Make the kennel' }).click();
  await expect(page.getByRole('heading', { name: 'Add your first dog.' })).toBeVisible();
  return { email, password };
}

/** The same, and its empty list of dogs on the screen. */
export async function makeKennel(page: Page, kennelName = 'Gorse End'): Promise<{ email: string; password: string }> {
  const who = await newKennel(page, kennelName);
  await page.goto('/dogs');
  await expect(page.getByRole('heading', { name: 'Add your first dog.' })).toBeVisible();
  return who;
}

export async function enterDemo(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Look round the demo kennel' }).click();
  await expect(page.getByRole('heading', { name: 'Dogs', exact: true })).toBeVisible();
}

/** A screen of the dog that is open, in whichever of its places it is. */
export async function dogScreen(page: Page, place: 'Fit' | 'Wear' | 'Train' | 'Keep', screen: string): Promise<void> {
  const ways = page.getByRole('navigation', { name: 'This dog’s screens' });
  const there = ways.getByRole('link', { name: screen, exact: true });
  await ways.getByRole('link').first().waitFor();
  if (!(await there.isVisible())) await ways.getByRole('link', { name: place, exact: true }).click();
  await there.click();
}

/** Opens what has to be seen to. */
export async function openAlerts(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^\d+ alerts?/ }).click();
}

export async function openDog(page: Page, name: string, screen?: 'Screen' | 'Tape' | 'Bench' | 'Check' | 'Stack'): Promise<void> {
  await page.goto('/dogs');
  await page.getByRole('link', { name, exact: true }).click();
  await expect(page.getByRole('region', { name: 'What happened' })).toBeVisible();
  if (screen) await dogScreen(page, screen === 'Stack' ? 'Wear' : 'Fit', screen);
}

/** Opens the bench of a dog with one kind of collar on it. */
export async function openBench(page: Page, name: string, kind = 'Prong'): Promise<void> {
  await openDog(page, name, 'Bench');
  await putOnBench(page, kind);
}

/** From all kinds side by side to one of them. */
export async function putOnBench(page: Page, kind = 'Prong'): Promise<void> {
  // On a phone the best stand first, the others a press away.
  const wanted = page.getByRole('main').getByRole('link', { name: kind, exact: true });
  const all = page.getByRole('button', { name: /^All \d+ kinds$/ });
  await expect(wanted.or(all).first()).toBeVisible();
  if (!(await wanted.isVisible())) await all.click();
  await wanted.click();
  await expect(page.getByRole('navigation', { name: 'Kinds of collar' }).getByRole('link', { name: kind, exact: true })).toHaveAttribute(
    'aria-current',
    'page',
  );
}

/** Says at the bench where the collar will be worn, in a kennel that has no place yet. */
export async function allowHere(page: Page): Promise<void> {
  await page.getByRole('tab', { name: /^Place, note/ }).click();
  await page.getByRole('button', { name: 'Add a place' }).click();
  await page.getByLabel('Place', { exact: true }).fill('Home field');
  await page.getByRole('button', { name: 'Allowed there: add it' }).click();
  await expect(page.getByText(/^Allowed at Home field, as/)).toBeVisible();
}

/** Sizes with the usual collars of a kind where none is owned, and has the one that fits. */
export async function haveTheUsual(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Size with/ }).click();
  await page.getByRole('button', { name: 'It is here' }).click();
  await expect(page.getByText('To buy: not in the locker yet.')).toHaveCount(0);
}

/** Adds a dog, screens it with nothing found, and stops at its tape. */
export async function addDog(page: Page, name: string, weight = '29'): Promise<void> {
  await page.goto('/dogs/new');
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Weight', { exact: true }).fill(weight);
  await page.getByRole('radio', { name: 'Drags its handler' }).click();
  await page.getByRole('button', { name: 'Save and screen' }).click();
  await page.getByRole('button', { name: 'None of these' }).click();
  await page.getByRole('button', { name: 'Save screening' }).click();
  await expect(page.getByRole('heading', { name: `Tape ${name}’s neck, high girth first.` })).toBeVisible();
}

/** Types readings of one site. */
export async function read(page: Page, site: string, readings: string[]): Promise<void> {
  const group = page.getByRole('group', { name: site });
  const folded = page.getByRole('button', { name: `Tape the ${site.toLowerCase()}`, exact: true });
  await group.or(folded).first().waitFor();
  if ((await group.count()) === 0) await folded.click();
  for (const [index, text] of readings.entries()) await group.getByLabel(`Reading ${index + 1}`).fill(text);
}

const faultsOf = async (axe: AxeBuilder) => {
  // Without frames of others there is nothing to be gathered in a page of its own, which takes longer than looking.
  const { violations } = await axe.setLegacyMode().analyze();
  return violations.map(({ id, nodes }) => ({ id, where: nodes.map((node) => node.target.join(' ')).slice(0, 4) }));
};
/** Until what moves or fades has come to rest: half faded in, nothing has the contrast it ends with. */
const atRest = (page: Page) =>
  page.evaluate(async () => {
    const ending = document.getAnimations().filter(({ effect }) => effect?.getComputedTiming().iterations !== Infinity);
    await Promise.allSettled(ending.map(({ finished }) => finished));
  });
/** Nothing is found once all has come to rest: what arrives late and fades in while somebody looks is looked at again. A fault that is one stays. */
const findsNothing = (page: Page, look: () => AxeBuilder) =>
  expect(async () => {
    await atRest(page);
    expect(await faultsOf(look())).toEqual([]);
  }).toPass({ timeout: 20_000 });
export const expectAccessible = (page: Page): Promise<void> =>
  findsNothing(page, () => new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']));
/** The same in light, and the contrasts, which alone differ, in dark. */
/** The longest a heading is, characters, and no marks about a name in it. */
const HEADING_MOST = 60;

export async function expectAccessibleInBoth(page: Page): Promise<void> {
  await expectAccessible(page);
  const headings = await page.getByRole('heading', { level: 1 }).allTextContents();
  expect(headings.map((text) => text.trim()).filter((text) => text.length > HEADING_MOST || /[«»]/.test(text))).toEqual([]);
  await page.emulateMedia({ colorScheme: 'dark' });
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await findsNothing(page, () => new AxeBuilder({ page }).withRules(['color-contrast']));
  await page.emulateMedia({ colorScheme: 'light' });
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'light');
}

/** Answers the fit check; what is left out is as it should be. */
export async function answerCheck(page: Page, answers: Partial<Record<string, string>> = {}): Promise<void> {
  const right: Record<string, string> = {
    'Does it breathe freely?': 'Freely',
    'Are both ears free?': 'Both free',
    'Where does it sit?': 'High, behind the ears',
    'What goes under it?': 'Some fingers',
    'Does it turn?': 'A little',
    'Head down: does it stay up?': 'Stays up',
    'Could it pass the head?': 'It cannot',
  };
  for (const [question, answer] of Object.entries({ ...right, ...answers })) {
    await page.getByRole('radiogroup', { name: question }).getByRole('radio', { name: answer!, exact: true }).click();
  }
}
