import { addDog, allowHere, answerCheck, expect, makeKennel, putOnBench, read, test, signUp } from './bench-hand.ts';

test('a new kennel: a dog is taped, sized, checked until good, and all of it is there after signing out and in', async ({ page }) => {
  const { email, password } = await signUp(page, 'Heather Moor');
  await addDog(page, 'Bracken');

  // Readings as people say them; the odd one is named, another reading settles it.
  await read(page, 'High girth', ['39.8', '15 5/8 in', '41.0']);
  await expect(page.getByRole('heading', { name: 'Another reading of the high girth.' })).toBeVisible();
  await expect(page.getByRole('group', { name: 'High girth' }).getByText('The odd one.', { exact: true })).toBeVisible();
  await expect(page.getByText('41.0 cm is the odd one.')).toBeVisible();
  await read(page, 'High girth', ['39.8', '15 5/8 in', '39.9']);
  await read(page, 'Head girth', ['47.2', '47.1', '47.3']);
  // What decides nothing for these collars is asked for only by whoever wants it.
  await expect(page.getByRole('group', { name: 'Base girth' })).toHaveCount(0);
  await page.getByRole('tab', { name: 'Other sites' }).click();
  await page.getByRole('button', { name: 'Base girth' }).click();
  await read(page, 'Base girth', ['49.9', '50', '50.1']);
  await expect(page.getByRole('group', { name: 'High girth' }).getByText('39.8 cm').first()).toBeVisible();
  await page.getByRole('button', { name: 'Save and size' }).click();

  // Nothing is owned yet: what to look for is said, and the bench of a prong offers the usual ones at typical numbers.
  await expect(page.getByText(/None owned. Look for a 2.25 mm prong that makes up to about 40.5 cm inside/)).toBeVisible();
  await putOnBench(page);
  await expect(page.getByRole('heading', { name: 'No prong in the locker yet.' })).toBeVisible();
  await page.getByRole('button', { name: 'Size with these three' }).click();

  // 3.0 mm at 22 in is far too long for 398 mm; 2.25 mm at 16 in with 14 links leaves 8 mm, or by 25 mm more or less: nobody has measured it.
  await expect(page.getByRole('heading', { name: 'Measure the collar: about 13 to 15 links, stocked with 14.' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Measure the collar: decides how many links, 13 to 15.' })).toBeVisible();
  // What could be bought is none of the locker's: nothing is kept with it before it is here.
  await page.getByRole('tab', { name: 'Other collars' }).click();
  await expect(page.getByRole('button', { name: /buy/ })).toHaveCount(3);
  await expect(page.getByText('Once it is here.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save fit' })).toBeDisabled();
  await page.getByRole('button', { name: 'It is here' }).click();
  await expect(page.getByText('Typical numbers: nobody has measured this collar.')).toBeVisible();
  await expect(page.getByRole('button', { name: /buy/ })).toHaveCount(2);
  // That nobody has looked up the law is a caution and no lock.
  await expect(page.getByText('Local law not checked.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save fit' })).toBeEnabled();
  await allowHere(page);
  await page.getByRole('button', { name: 'Save fit' }).click();

  // On the dog it hangs: the answers lead to a link less, then to good.
  await expect(page.getByRole('heading', { name: /Put it on Bracken/ })).toBeVisible();
  await answerCheck(page, { 'What goes under it?': 'The flat hand', 'Does it turn?': 'Spins freely' });
  await expect(page.getByRole('heading', { name: 'Take out one link, on the dog’s right, then check again.' })).toBeVisible();
  await page.getByRole('button', { name: 'Save check' }).click();
  await expect(page.getByText('0 of 7 answered')).toBeVisible();
  await expect(page.getByRole('heading', { name: /then check again/ })).toBeVisible();
  await answerCheck(page);
  await page.getByRole('button', { name: 'Save check' }).click();
  await expect(page.getByRole('heading', { name: 'Good. Bracken is fitted.' })).toBeVisible();

  // What is still to be bought hangs nowhere and is not looked after; it can be taken off the list.
  await page.goto('/upkeep');
  await expect(page.getByText('2.25 mm prong').first()).toBeVisible();
  await expect(page.getByText('3.0 mm prong')).toHaveCount(0);
  await page.goto('/locker');
  await page.getByRole('link', { name: 'on the list' }).click();
  const shopping = page.getByRole('region', { name: 'To buy' });
  await shopping.getByRole('button', { name: /^Take it off.*3\.0 mm prong/ }).click();
  await expect(shopping.getByText('3.0 mm prong', { exact: true })).toHaveCount(0);

  await page.getByRole('button', { name: /Robin, Heather Moor/ }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  await expect(page.getByRole('heading', { name: 'A collar that fits, and the reasons why.' })).toBeVisible();
  await page.goto('/dogs');
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();

  await page.getByRole('link', { name: 'Bracken', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Bracken is fitted: 2.25 mm prong.' })).toBeVisible();
  const record = page.getByRole('region', { name: 'What happened' });
  for (const entry of ['Check 2: good', 'Check 1: adjust', 'Decided: fits']) await expect(record.getByText(entry, { exact: true })).toBeVisible();
  await expect(record.getByRole('listitem').getByText('Taped')).toHaveCount(3);
  await expect(record.getByText('Read: 39.8 cm · 15 5/8 in · 39.9 cm')).toBeVisible();
});

test('a fit that could pass the head cannot be kept', async ({ page }) => {
  await makeKennel(page);
  await addDog(page, 'Teasel', '13');
  await read(page, 'High girth', ['29.5', '29.5', '29.6']);
  await read(page, 'Head girth', ['30.1', '30.2', '30.3']);
  await page.getByRole('button', { name: 'Save and size' }).click();
  await putOnBench(page);
  await page.getByRole('button', { name: 'Size with these three' }).click();
  await expect(page.getByRole('heading', { name: 'Do not use it: it would pass over Teasel’s head.' })).toBeVisible();
  await expect(page.getByText('Stop: it must not be worn like this.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save fit' })).toHaveCount(0);
});

test('a collar is measured with a ruler, asked about where it looks odd, and the bench uses its numbers', async ({ page }) => {
  await makeKennel(page);
  await page.goto('/locker');
  await page.getByRole('button', { name: 'Add a collar' }).click();
  await page.getByRole('button', { name: 'Prong', exact: true }).click();
  await page.getByLabel('Name', { exact: true }).fill('Blackthorn');
  await page.getByRole('radio', { name: '3.0 mm' }).click();
  await page.getByLabel('Removable links in it').fill('13');
  await page.getByLabel('Inside, at rest').fill('48');
  await page.getByLabel('5 links in a row').fill('12');
  await page.getByLabel('Inside, pulled home').fill('45.2');
  await expect(page.getByText(/One link adding 24 mm is unusual for 3.0 mm/)).toBeVisible();
  await page.getByLabel('5 links in a row').fill('15.6');
  await expect(page.getByText(/is unusual for/)).toHaveCount(0);
  await expect(page.getByText('One link: 31.2 mm')).toBeVisible();
  await expect(page.getByText('It closes by 28 mm')).toBeVisible();
  await page.getByRole('radio', { name: 'Measured today' }).click();
  await page.getByRole('radio', { name: 'Sound' }).click();
  await page.getByRole('button', { name: 'Save numbers' }).click();
  await expect(page.getByRole('link', { name: 'Blackthorn' })).toBeVisible();
  await expect(page.getByText('3.0 mm prong, 13 links, 48.0 cm inside, a link is 31 mm, closes by 28 mm')).toBeVisible();

  await addDog(page, 'Sedge');
  await read(page, 'High girth', ['39.8', '39.8', '39.8']);
  await page.getByRole('button', { name: 'Save and size' }).click();
  await putOnBench(page);
  await expect(page.getByRole('heading', { name: 'Take out 2 links, one each side.' })).toBeVisible();
});
