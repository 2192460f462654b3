import type { Page } from '@playwright/test';

let people = 0;

/** Somebody of whom Banter has not heard. */
export const newcomer = () => {
  people += 1;
  return { email: `person${process.pid}-${people}-${Math.floor(performance.now())}@example.test`, password: 'heather and gorse' };
};

/** A kennel made behind the screens, signed in, for journeys that begin later. */
export async function newKennel(page: Page, kennelName = 'Gorse End'): Promise<{ email: string; password: string }> {
  const { email, password } = newcomer();
  const units = { lengthUnit: 'cm', massUnit: 'kg', timeZone: 'Europe/London' };
  const response = await page.request.post('/api/sign-up', { data: { kennelName, name: 'Robin', email, password, ...units } });
  if (!response.ok()) throw new Error(`sign-up answered ${response.status()}: ${await response.text()}`);
  return { email, password };
}
