import { expect, newKennel, test } from './bench-hand.ts';

/**
 * A first week without a tour: whoever presses the one thing that each screen offers comes from an empty kennel to a dog that is
 * fitted, dressed, ready at the door, worked and planned.
 */
test('each step leads to the next, from an empty kennel to a planned programme', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await newKennel(page);
  const heading = page.getByRole('heading', { level: 1 });
  const main = page.getByRole('main').locator('.press-main').filter({ visible: true }).first();
  const go = async (name: RegExp | string) => {
    await expect(main).toHaveText(name);
    await main.click();
  };

  await page.goto('/');
  await expect(heading).toHaveText('Add your first dog.');
  await page.getByRole('link', { name: 'Prong', exact: true }).click();
  await page.getByRole('textbox', { name: 'Dog', exact: true }).fill('Rushlight, Labrador Retriever, 2 years, 29 kg, drags');
  await page.getByRole('textbox', { name: 'Reading 1' }).fill('39.8');
  await go('None: save fit');
  await expect(heading).toHaveText('Put it on Rushlight and check the fit.');
  for (const answer of ['Freely', 'Both free', 'High, behind the ears', 'Some fingers', 'A little', 'Stays up', 'It cannot'])
    await page.getByRole('radio', { name: answer, exact: true }).first().click();
  await go('Save check');
  await expect(heading).toHaveText('Good. Rushlight is fitted.');

  await go('Put it on');
  await go('Put all on');
  await expect(heading).toHaveText('Rushlight wears 2.25 mm prong.');
  await go('To the door');
  await expect(heading).toHaveText('Not ready: rig and skin.');
  await go('Fix rig');
  await page.getByRole('button', { name: 'Take usual rig' }).click();
  await go('Mend it');
  await expect(heading).toHaveText('Sound: whichever part fails, the dog is still held.');
  await go('To the door');
  await go('Fix skin');
  await go('Log neck clear');
  await go('To the door');
  await expect(heading).toHaveText('Go: every line is good.');
  await go('Begin session');

  await page.getByRole('button', { name: 'Reward' }).click();
  await page.getByRole('button', { name: 'End', exact: true }).click();
  await page.getByRole('link', { name: 'Begin one' }).click();
  await expect(heading).toHaveText('Begin a programme with Rushlight.');
  await main.click();
  await expect(heading).not.toHaveText('Begin a programme with Rushlight.');
  await page.getByText('Planned', { exact: true }).click();
  await page.getByRole('link', { name: 'Plan its sessions on the kennel’s calendar' }).click();
  await go('Plan sessions');
  await page.getByRole('button', { name: 'Try it' }).click();
  await page.getByRole('button', { name: /^Save these \d+$/ }).click();
  await expect(page.getByRole('button', { name: /^Undo: \d+ sessions/ })).toBeVisible();
});
