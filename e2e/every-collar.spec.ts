import { v7 as uuidv7 } from 'uuid';
import { allowHere, enterDemo, expect, makeKennel, openBench, openDog, putOnBench, test } from './bench-hand.ts';
import type { Page } from '@playwright/test';

const now = () => new Date().toISOString();
async function put(page: Page, path: string, body: object): Promise<void> {
  const response = await page.request.put(path, { data: body });
  if (!response.ok()) throw new Error(`${path} answered ${response.status()}: ${await response.text()}`);
}

type Taped = Partial<Record<'high' | 'mid' | 'head' | 'muzzle' | 'stop' | 'muzzle-length' | 'coat-depth', number>>;
const ITEMS = ['windpipe', 'flat-face', 'toy-throat', 'eye-pressure', 'pregnant', 'heart', 'skin', 'deaf', 'under-six-months', 'collar-fear'];

/** A dog taped and screened by the interface behind the screens, for journeys that begin at the bench. */
async function tapedDog(page: Page, name: string, weightKg: number, tapes: Taped, placeId: string | null = null): Promise<string> {
  const dogId = uuidv7();
  const dog = {
    name,
    breed: '',
    sex: 'unknown',
    bornOn: '2023-04-01',
    bornGuessed: false,
    weightG: weightKg * 1000,
    neckBuild: 'average',
    pull: 'pulls',
    worksOn: 'left',
  };
  await put(page, `/api/dogs/${dogId}`, { ...dog, owner: '', notes: '', placeId, house: null, archivedAt: null });
  await put(page, `/api/screenings/${uuidv7()}`, { dogId, answers: Object.fromEntries(ITEMS.map((id) => [id, 'no'])), note: '', at: now() });
  for (const [site, mm] of Object.entries(tapes)) {
    const taping = {
      dogId,
      site,
      way: 'tape',
      readingsMm: [mm, mm, mm],
      typed: [],
      overCoat: false,
      coatDepthMm: null,
      weightG: weightKg * 1000,
      neckBuild: 'average',
    };
    await put(page, `/api/tapings/${uuidv7()}`, { ...taping, at: now(), correctsId: null });
  }
  return dogId;
}
const WHOLE: Taped = { high: 398, mid: 440, head: 472, muzzle: 240, stop: 290, 'muzzle-length': 96, 'coat-depth': 2 };

/** Answers of a fit that is right, kind by kind, as they stand on the screen. */
const RIGHT: Record<string, Record<string, string>> = {
  Slip: {
    'Does it breathe freely?': 'Freely',
    'Facing the dog: which letter does the loop make?': 'A P',
    'Where does it sit?': 'High, behind the ears',
    'Take it up and let go: does it fall open?': 'At once',
    'Slack taken up: how far apart are the two rings?': 'Half to two and a half inches',
    'On and off: does it pass the head?': 'It passes',
  },
  'Clip-on slip': {
    'Does it breathe freely?': 'Freely',
    'Where does it sit?': 'High, behind the ears',
    'Has the clip shut on the floating ring?': 'Shut',
    'How much slack is left?': 'One to two inches',
    'As a backup: does it tighten while the prong works?': 'It does not',
  },
  Martingale: {
    'Does it breathe freely?': 'Freely',
    'Which part is round the neck?': 'The main strap',
    'Where does it sit?': 'High, behind the ears',
    'Pulled by hand: where are the rings?': 'They just meet, snug',
    'At rest: how many fingers go under?': 'Three',
    'Could it come over the head?': 'It cannot',
    'Does the loop hang where a paw can catch?': 'It does not',
  },
  'Flat buckle': {
    'Does it breathe freely?': 'Freely',
    'Where does it sit?': 'High, behind the ears',
    'How many fingers go under?': 'Two',
    'Could it come over the head?': 'It cannot',
    'Buckle, stitching, ring?': 'All sound',
  },
  'Wide-throat': {
    'Does it breathe freely?': 'Freely',
    'Where does it sit?': 'High, behind the ears',
    'Where is the broad part?': 'On the throat',
    'How many fingers go under?': 'One',
    'Could it come over the head?': 'It cannot',
    'Buckle, stitching, ring?': 'All sound',
  },
  'Head collar': {
    'Does it breathe freely?': 'Freely',
    'Does the mouth open fully?': 'Fully',
    'Slide test: how far down does the nose loop go?': 'To the nose leather, not off',
    'Does the loop ride clear of the eyes?': 'Clear of them',
    'Strap and loop: do they meet at about a right angle?': 'About',
    'Where does it sit?': 'High, behind the ears',
    'Neck strap: how many fingers go under?': 'One',
    'Is the safety strap on the flat collar?': 'It is',
  },
  'Remote electronic': {
    'Does it breathe freely?': 'Freely',
    'Push the receiver: does the skin move with it?': 'The skin moves',
    'How many fingers go under the strap?': 'Two',
    'Do both contacts touch skin?': 'Both',
    'Where is it?': 'On the muscle at the side',
    'Skin under the last place?': 'Clear',
  },
  'Location fence': {
    'Does it breathe freely?': 'Freely',
    'Push the receiver: does the skin move with it?': 'The skin moves',
    'How many fingers go under the strap?': 'Two',
    'Do both contacts touch skin?': 'Both',
    'Where is it?': 'On the muscle at the side',
    'Skin under the last place?': 'Clear',
    'Is the antenna side up?': 'Up',
  },
};
async function answer(page: Page, answers: Record<string, string>): Promise<void> {
  for (const [question, label] of Object.entries(answers))
    await page.getByRole('radiogroup', { name: question, exact: true }).getByRole('radio', { name: label, exact: true }).click();
}

/** A collar that fits the whole dog of 398 mm, by the numbers of its kind. */
const FITTING: Record<string, { kind: string; numbers: object }> = {
  // 398 + 2π·2 = 410.6 mm on the hair.
  Slip: { kind: 'slip', numbers: { lengthMm: 508, ringMm: 22, material: 'chain', thickMm: 3, longLink: false } },
  'Clip-on slip': { kind: 'clip-on-slip', numbers: { lengthMm: 411, material: 'cord', thickMm: 9 } },
  Martingale: { kind: 'martingale', numbers: { strapMinMm: 300, strapMaxMm: 450, loopMm: 160, widthMm: 38, loop: 'cloth', hardware: 'metal', buckled: false } },
  'Flat buckle': { kind: 'flat', numbers: { minMm: 330, maxMm: 470, widthMm: 25, buckle: 'metal tongue', holePitchMm: null } },
  'Wide-throat': { kind: 'wide-throat', numbers: { minMm: 330, maxMm: 470, widthMm: 60, buckle: 'metal tongue', holePitchMm: null } },
  'Head collar': { kind: 'head-collar', numbers: { neckMinMm: 330, neckMaxMm: 470, noseMinMm: 200, noseMaxMm: 300, widthMm: 16 } },
  'Remote electronic': {
    kind: 'remote',
    numbers: {
      scaleMin: 0,
      scaleMax: 100,
      scaleStep: 1,
      modes: ['tone'],
      massG: 90,
      footprintMm: 60,
      spacingMm: 35,
      postsMm: [12, 16],
      strapMinMm: 200,
      strapMaxMm: 700,
    },
  },
  'Location fence': {
    kind: 'fence',
    numbers: {
      scaleMin: 0,
      scaleMax: 10,
      scaleStep: 1,
      modes: ['tone'],
      massG: 180,
      footprintMm: 75,
      spacingMm: 40,
      postsMm: [15, 20],
      strapMinMm: 200,
      strapMaxMm: 700,
    },
  },
};

test('every kind is sized from the locker, kept, checked on the dog until good, and stands in the record', async ({ page }) => {
  test.setTimeout(180_000);
  await makeKennel(page);
  const dogId = await tapedDog(page, 'Bracken', 29, WHOLE);
  const placeId = uuidv7();
  const allowed = { remote: 'allowed', fence: 'allowed', prong: 'allowed' };
  await put(page, `/api/places/${placeId}`, {
    name: 'Home field',
    collars: allowed,
    checkedBy: 'Robin',
    checkedOn: now().slice(0, 10),
    source: '',
    retiredAt: null,
  });
  for (const [name, collar] of Object.entries(FITTING)) {
    const facts = { ...collar, name: `My ${name}`, metal: null, condition: 'sound', measuredOn: '2026-03-01', note: '', retiredAt: null };
    await put(page, `/api/collars/${uuidv7()}`, facts);
  }
  await page.goto(`/dogs/${dogId}/bench`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('more that fit');
  for (const name of Object.keys(FITTING)) {
    await page.goto(`/dogs/${dogId}/bench`);
    await putOnBench(page, name);
    await expect(page.getByRole('region', { name: 'Cross-section' }).getByRole('img').first()).toBeVisible();
    const home = page.getByRole('radio', { name: 'Home field' });
    if (await home.isVisible()) await home.click();
    await page.getByRole('button', { name: 'Keep, and check it on the dog' }).click();
    await expect(page.getByRole('heading', { name: 'Put it on Bracken, and answer with hands and eyes.' })).toBeVisible();
    await answer(page, RIGHT[name]!);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Good. Leave it as it is.');
    await page.getByRole('button', { name: 'Keep check 1' }).click();
    await expect(page.getByRole('heading', { name: 'Good. Bracken is fitted.' })).toBeVisible();
  }
  await openDog(page, 'Bracken');
  await expect(page.getByRole('region', { name: 'What happened' }).getByText('Check 1: good')).toHaveCount(Object.keys(FITTING).length);
});

test('a check finds the kind’s own faults: a slip the wrong way round, a head through the control loop, contacts that do not touch', async ({ page }) => {
  await makeKennel(page);
  const dogId = await tapedDog(page, 'Sedge', 29, WHOLE);
  for (const name of ['Slip', 'Martingale'] as const) {
    const facts = { ...FITTING[name]!, name: `My ${name}`, metal: null, condition: 'sound', measuredOn: '2026-03-01', note: '', retiredAt: null };
    await put(page, `/api/collars/${uuidv7()}`, facts);
    await page.goto(`/dogs/${dogId}/bench`);
    await putOnBench(page, name);
    await page.getByRole('button', { name: 'Keep, and check it on the dog' }).click();
    await expect(page.getByRole('heading', { name: /Put it on Sedge/ })).toBeVisible();
    if (name === 'Slip') {
      await answer(page, { ...RIGHT.Slip!, 'Facing the dog: which letter does the loop make?': 'A mirrored P' });
      await expect(page.getByRole('heading', { level: 1 })).toHaveText('Take it off, turn it round, and put it on again.');
    } else {
      await answer(page, { ...RIGHT.Martingale!, 'Which part is round the neck?': 'The control loop' });
      await expect(page.getByRole('heading', { level: 1 })).toHaveText('Take it off now, and put the head through the main strap.');
      await expect(page.getByText('Stop', { exact: true })).toBeVisible();
    }
  }
});

test('a slider sets a strap: sentence, drawing and measures follow at once, without the server', async ({ page, context, expectFaults }) => {
  await enterDemo(page);
  await openBench(page, 'Bramble', 'Martingale');
  expectFaults(/ERR_INTERNET_DISCONNECTED/);
  await context.setOffline(true);
  const slider = page.getByRole('slider', { name: 'Strap, walking' });
  await slider.fill('410');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('set it to 41.0 cm');
  await expect(page.getByRole('img', { name: /a martingale set to 41.0 cm. Pulled, its rings stay 38 mm apart/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Rings apart when pulled 38 mm/ })).toBeVisible();
  await page.getByRole('button', { name: 'Back to Banter’s choice' }).click();
  await expect(page.getByRole('row', { name: /Rings apart when pulled 0 mm/ })).toBeVisible();
  await context.setOffline(false);
});

test('the collars stand side by side, filtered by purpose; what is lacking goes on the shopping list', async ({ page }) => {
  await enterDemo(page);
  await openDog(page, 'Bramble', 'Bench');
  const rows = page.getByRole('main').getByRole('listitem');
  await expect(rows.filter({ has: page.getByRole('link', { name: 'Head collar', exact: true }) })).toBeVisible();
  await page.getByRole('radio', { name: 'backup' }).click();
  await expect(page.getByRole('link', { name: 'Clip-on slip', exact: true })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Head collar', exact: true })).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Decided by geometry' }).getByText(/^Slip or clip-on: the shortest slip/)).toBeVisible();
  await rows
    .filter({ has: page.getByRole('link', { name: 'Clip-on slip', exact: true }) })
    .getByRole('button', { name: 'Put it on the shopping list' })
    .click();
  await page.getByRole('link', { name: '✓ On the shopping list' }).click();
  await expect(page.getByRole('region', { name: 'To buy' }).getByText(/^For Bramble: a clip-on slip of/)).toBeVisible();
});

test('screening stops a collar with its reason, and lifting it takes a note', async ({ page }) => {
  await makeKennel(page);
  const dogId = await tapedDog(page, 'Clover', 29, WHOLE);
  await page.goto(`/dogs/${dogId}/screen`);
  await page.getByRole('radiogroup', { name: 'Windpipe or neck disease?' }).getByRole('radio', { name: 'Yes' }).click();
  await expect(page.getByRole('region', { name: 'What it means' }).getByRole('listitem').filter({ hasText: 'Prong' })).toContainText('stop');
  await page.getByRole('button', { name: 'Keep the screening' }).click();
  await expect(page.getByText(/^Last screened/)).toBeVisible();
  await page.goto(`/dogs/${dogId}/bench/prong`);
  await page.getByRole('button', { name: 'Put these three in the locker' }).click();
  await expect(page.getByText(/^stop: Windpipe or neck disease\?/i)).toBeVisible();
  await allowHere(page);
  await expect(page.getByRole('button', { name: 'Keep, and check it on the dog' })).toBeDisabled();
  await page.getByRole('link', { name: 'Lift it with a note' }).click();
  const lifting = page.getByRole('region', { name: 'Lifting' });
  await expect(lifting.getByRole('button', { name: 'Lift it' })).toBeDisabled();
  await lifting.getByLabel('Why it may be lifted').fill('X-rayed, the vet says it is clear.');
  await lifting.getByRole('button', { name: 'Lift it' }).click();
  await expect(lifting.getByText(/Lifted by Robin/)).toBeVisible();
  await page.goto(`/dogs/${dogId}/bench/prong`);
  await expect(page.getByText(/^Lifted: Windpipe or neck disease\?/)).toBeVisible();
  await page.getByRole('radio', { name: 'Home field' }).click();
  await expect(page.getByRole('button', { name: 'Keep, and check it on the dog' })).toBeEnabled();
});

test('the law of a place: what is not allowed there cannot be planned, and an old look asks again', async ({ page }) => {
  await enterDemo(page);
  await openBench(page, 'Hale', 'Remote electronic');
  await expect(page.getByText('Not allowed at Hill huts, over the border: it cannot be planned there.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep, and check it on the dog' })).toBeDisabled();
  await page.getByRole('radio', { name: 'Market town' }).click();
  await expect(page.getByText('Nobody has looked up whether a remote electronic collar is allowed at Market town.')).toBeVisible();
  await page.getByRole('radio', { name: 'Cranberry bogs' }).click();
  await expect(page.getByText(/^Allowed at Cranberry bogs, as Wenna Sedge found on/)).toBeVisible();
  await openBench(page, 'Hale', 'Prong');
  await expect(page.getByText(/that is over a year ago/)).toBeVisible();
  await page.goto('/house?show=law');
  await expect(page.getByRole('listitem').filter({ hasText: 'Market town' }).getByText('not looked up').first()).toBeVisible();
});

test('the last spare link goes to one of two browsers; the other is told, and the count still adds up', async ({ page, browser }) => {
  const { email, password } = await makeKennel(page);
  await put(page, `/api/collars/${uuidv7()}`, {
    kind: 'prong',
    name: 'Alder',
    metal: null,
    condition: 'sound',
    measuredOn: '2026-03-01',
    note: '',
    retiredAt: null,
    numbers: { gaugeMm: 3, pitchMm: 31, insideGirthMm: 480, links: 13, closingMm: 28 },
  });
  await page.goto('/locker?show=links');
  const bag = (one: Page) =>
    one
      .getByRole('row', { name: /^3.0 mm/ })
      .getByRole('cell')
      .nth(1);
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(bag(page)).toHaveText('1');

  const context = await browser.newContext();
  const other = await context.newPage();
  await other.goto('/sign-in');
  await other.getByLabel('E-mail').fill(email);
  await other.getByLabel('Password').fill(password);
  await other.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(other.getByRole('heading', { name: 'Add your first dog.' })).toBeVisible();
  await other.goto('/locker?show=links');
  for (const one of [page, other]) await one.getByRole('radio', { name: 'Scrapped' }).click();
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(bag(page)).toHaveText('0');
  await other.getByRole('button', { name: 'Write it down' }).click();
  await expect(other.getByText('There are only 0 of 3.0 mm in the bag.').first()).toBeVisible();
  await page.reload();
  await expect(
    page
      .getByRole('row', { name: /^3.0 mm/ })
      .getByRole('cell')
      .last(),
  ).toHaveText('= 14');
  await context.close();
});

test('house rules show what a change would mean for which dogs before it is kept', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/house');
  const change = page.getByRole('region', { name: 'What would change' });
  await expect(change.getByText(/stand here before you keep it/)).toBeVisible();
  await page.getByRole('radiogroup', { name: 'Prong between two sizes' }).getByRole('radio', { name: 'snug' }).click();
  const fern = change.getByRole('listitem').filter({ hasText: 'Fern, prong' });
  await expect(fern).toContainText('2.25 mm prong, 15 links');
  await expect(fern).toContainText('→ Between two sizes: «Alder», 3.0 mm prong, 11 links');
  await page.getByLabel('Most slack of a prong at rest').fill('a lot');
  await expect(page.getByText('This cannot be read as a number yet.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep the rules' })).toBeDisabled();
  await page.getByLabel('Most slack of a prong at rest').fill('15');
  await expect(change.getByRole('listitem').filter({ hasText: 'Bramble, prong, worn now' })).toBeVisible();
});

test('a collar of another kind is added with its own numbers; a range reversed gets a sentence and nothing is lost', async ({ page }) => {
  await makeKennel(page);
  await page.goto('/locker');
  await page.getByRole('button', { name: 'Add a collar' }).click();
  await page.getByRole('button', { name: 'Martingale', exact: true }).click();
  await page.getByLabel('Name', { exact: true }).fill('Willow');
  await page.getByLabel('Main strap, shortest').fill('43');
  await page.getByLabel('Main strap, longest').fill('28');
  await page.getByLabel('Control loop, round its inside').fill('16 cm');
  await page.getByLabel('Width').fill('1 1/2 in');
  await page.getByRole('button', { name: 'Keep the numbers' }).click();
  await expect(page.getByText('This must not be below «Main strap, shortest».')).toBeVisible();
  await expect(page.getByLabel('Control loop, round its inside')).toHaveValue('16 cm');
  await page.getByLabel('Main strap, shortest').fill('28');
  await page.getByLabel('Main strap, longest').fill('43');
  await page.getByRole('button', { name: 'Keep the numbers' }).click();
  await expect(page.getByText('martingale 28.0 cm to 43.0 cm, 38 mm wide, cloth loop')).toBeVisible();
});

test('many dogs at once: a table with a byte order mark, semicolons, quotes and 200 columns; rows that cannot be read say so', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/many');
  const extra = Array.from({ length: 190 }, (_none, n) => `spare ${n}`).join(';');
  const table = [
    `\uFEFF"Dog name";"High girth (cm)";Head;Weight;Coat depth;${extra}`,
    `"Bracken; the first";39,8;47,2;29;2 mm;${';'.repeat(189)}`,
    `Sedge;abc;47;28;;`,
    ``,
    `Fern;16 1/2 in;19 in;62 lb;;`,
    `Tiny;3;47;28;;`,
  ].join('\r\n');
  await page.getByLabel('CSV file').setInputFiles({ name: 'dogs.csv', mimeType: 'text/csv', buffer: Buffer.from(table, 'utf8') });
  await page.getByRole('button', { name: 'Size them' }).click();
  await expect(page.getByText('2 dogs sized, 2 rows left out.')).toBeVisible();
  const left = page.getByRole('region', { name: 'Rows left out' });
  await expect(left.getByText('Row 3: The high girth «abc» cannot be read as a length.')).toBeVisible();
  await expect(left.getByText(/Row 6: The high girth «3» cannot be/)).toBeVisible();
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Take the fits as CSV' }).click()]);
  const stream = await download.createReadStream();
  let csv = '';
  for await (const chunk of stream) csv += String(chunk);
  expect(csv.split('\r\n').filter((line) => line.includes('Bracken; the first'))).toHaveLength(9);
  expect(csv).toMatch(/Bracken; the first,Prong,Fits,/);
});

test('a large table shows its progress, leaves the page free, and can be stopped', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/many');
  const rows = Array.from({ length: 120_000 }, (_none, n) => `Dog ${n},${38 + (n % 10)},${46 + (n % 10)},${20 + (n % 20)}`).join('\n');
  await page.getByLabel('CSV file').setInputFiles({ name: 'many.csv', mimeType: 'text/csv', buffer: Buffer.from(`name,high,head,weight\n${rows}`) });
  await page.getByRole('button', { name: 'Size them' }).click();
  await expect(page.getByText(/[1-9]\d* dogs so far/)).toBeVisible({ timeout: 30_000 });
  // The page still answers while the worker works.
  await page.getByRole('button', { name: /^Units: cm and kg/ }).click();
  await expect(page.getByRole('button', { name: /^Units: in and lb/ })).toBeVisible();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByRole('progressbar')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Size them' })).toBeEnabled();
});
