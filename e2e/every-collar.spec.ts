import { v7 as uuidv7 } from 'uuid';
import { allowHere, enterDemo, expect, haveTheUsual, makeKennel, openBench, openDog, putOnBench, test } from './bench-hand.ts';
import { now, put, tapedDog, WHOLE } from './known-dogs.ts';
import type { Page } from '@playwright/test';

/** Answers of a fit that is right, kind by kind, as they stand on the screen. */
const RIGHT: Record<string, Record<string, string>> = {
  Slip: {
    'Does it breathe freely?': 'Freely',
    'Facing the dog: which letter does the loop make?': 'A P',
    'Where does it sit?': 'High, behind the ears',
    'Take it up and let go: does it fall open?': 'At once',
    'Slack taken up: how far apart are the two rings?': '13 to 64 mm',
    'On and off: does it pass the head?': 'It passes',
    'Head down: does it fall off?': 'It stays on',
  },
  'Clip-on slip': {
    'Does it breathe freely?': 'Freely',
    'Where does it sit?': 'High, behind the ears',
    'Has the clip shut on the floating ring?': 'Shut',
    'How much slack is left?': '25 to 51 mm',
    'As a backup: does it tighten while the collar above works?': 'It does not',
  },
  Martingale: {
    'Does it breathe freely?': 'Freely',
    'Which part is round the neck?': 'The main strap',
    'Where does it sit?': 'High, behind the ears',
    'Pulled by hand: where are the rings?': 'They just meet, snug',
    'Let go: does the loop open again by itself?': 'At once',
    'At rest: how many fingers go under?': 'Three',
    'Could it come over the head?': 'It cannot',
    'Does the loop hang where a paw can catch?': 'It does not',
  },
  'Flat buckle': {
    'Does it breathe freely?': 'Freely',
    'Where does it sit?': 'High, behind the ears',
    'Head down, a shake: does it slide?': 'It stays',
    'Up behind the ears: how many fingers go under?': 'Two',
    'Could it come over the head?': 'It cannot',
    'Buckle, stitching, ring?': 'All sound',
  },
  'Wide-throat': {
    'Does it breathe freely?': 'Freely',
    'Where does it sit?': 'High, behind the ears',
    'Where is the broad part?': 'On the throat',
    'Up behind the ears: how many fingers go under?': 'One',
    'Could it come over the head?': 'It cannot',
    'Buckle, stitching, ring?': 'All sound',
  },
  'Head collar': {
    'Does it breathe freely?': 'Freely',
    'Does the mouth open fully?': 'Fully',
    'Slide test: how far down does the nose loop go?': 'To the nose leather, not off',
    'Nose loop: how many fingers go under?': 'One',
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
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^\d+ kinds fit .+ first\.$/);
  for (const name of Object.keys(FITTING)) {
    await page.goto(`/dogs/${dogId}/bench`);
    await putOnBench(page, name);
    await expect(page.getByRole('region', { name: 'Cross-section' }).getByRole('img').first()).toBeVisible();
    const home = page.getByRole('radio', { name: 'Home field' });
    if (await home.isVisible()) await home.click();
    await page.getByRole('button', { name: 'Save fit' }).click();
    await expect(page.getByRole('heading', { name: 'Put it on Bracken and check the fit.' })).toBeVisible();
    await answer(page, RIGHT[name]!);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Good. Leave it as it is.');
    await page.getByRole('button', { name: 'Save check' }).click();
    await expect(page.getByRole('heading', { name: 'Good. Bracken is fitted.' })).toBeVisible();
  }
  await openDog(page, 'Bracken');
  await expect(page.getByRole('region', { name: 'What happened' }).getByText('Check 1: good', { exact: true })).toHaveCount(Object.keys(FITTING).length);
});

test('a check finds the kind’s own faults: a slip the wrong way round, a head through the control loop, contacts that do not touch', async ({ page }) => {
  await makeKennel(page);
  const dogId = await tapedDog(page, 'Sedge', 29, WHOLE);
  for (const name of ['Slip', 'Martingale'] as const) {
    const facts = { ...FITTING[name]!, name: `My ${name}`, metal: null, condition: 'sound', measuredOn: '2026-03-01', note: '', retiredAt: null };
    await put(page, `/api/collars/${uuidv7()}`, facts);
    await page.goto(`/dogs/${dogId}/bench`);
    await putOnBench(page, name);
    await page.getByRole('button', { name: 'Save fit' }).click();
    await expect(page.getByRole('heading', { name: /Put it on Sedge/ })).toBeVisible();
    if (name === 'Slip') {
      await answer(page, { ...RIGHT.Slip!, 'Facing the dog: which letter does the loop make?': 'A mirrored P' });
      await expect(page.getByRole('heading', { level: 1 })).toHaveText('Take it off, turn it round, and put it on again.');
    } else {
      await answer(page, { ...RIGHT.Martingale!, 'Which part is round the neck?': 'The control loop' });
      await expect(page.getByRole('heading', { level: 1 })).toHaveText('Take it off now, and put the head through the main strap, then check again.');
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
  await page.getByRole('button', { name: 'Back to recommended' }).click();
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
  await page.getByRole('button', { name: 'Save screening' }).click();
  // Kept, it can be lifted.
  await expect(page.getByRole('region', { name: 'Lifting' })).toBeVisible();
  await page.goto(`/dogs/${dogId}/bench/prong`);
  await haveTheUsual(page);
  await expect(page.getByText(/^stop: Windpipe or neck disease\?/i)).toBeVisible();
  await allowHere(page);
  await expect(page.getByRole('button', { name: 'Save fit' })).toBeDisabled();
  await page.getByRole('link', { name: 'Lift it with a note' }).click();
  const lifting = page.getByRole('region', { name: 'Lifting' });
  await expect(lifting.getByRole('button', { name: 'Lift it' })).toBeDisabled();
  await lifting.getByLabel('Why it may be lifted').fill('X-rayed, the vet says it is clear.');
  await lifting.getByRole('button', { name: 'Lift it' }).click();
  await expect(lifting.getByText(/Lifted by Robin/)).toBeVisible();
  await page.goto(`/dogs/${dogId}/bench/prong`);
  await expect(page.getByText(/^Lifted: Windpipe or neck disease\?/)).toBeVisible();
  // The kennel’s only place is not asked, and what was looked up once is not asked again.
  await page.getByRole('tab', { name: /^Place, note/ }).click();
  await expect(page.getByText(/^Allowed at Home field, as/)).toBeVisible();
  await expect(page.getByRole('radio', { name: 'Home field' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Save fit' })).toBeEnabled();
});

test('the law of a place: what is not allowed there cannot be planned, and an old look asks again', async ({ page }) => {
  await enterDemo(page);
  await openBench(page, 'Hale', 'Remote electronic');
  await page.getByRole('button', { name: 'Change the place' }).click();
  await expect(page.getByText('Not allowed at Hill huts, over the border: it cannot be planned there.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save fit' })).toBeDisabled();
  await page.getByRole('radio', { name: 'Market town' }).click();
  await expect(page.getByText('Local law at Market town not checked for a remote electronic collar.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save fit' })).toBeEnabled();
  await page.getByRole('radio', { name: 'Cranberry bogs' }).click();
  await expect(page.getByText(/^Allowed at Cranberry bogs, as Wenna Sedge found on/)).toBeVisible();
  await openBench(page, 'Hale', 'Prong');
  await expect(page.getByText('Local law: check again.')).toBeVisible();
  await page.getByRole('button', { name: 'Say where it will be worn' }).click();
  await expect(page.getByText(/Allowed when .* checked on .*: check again\./)).toBeVisible();
  await page.goto('/house?show=law');
  await expect(page.getByRole('listitem').filter({ hasText: 'Market town' }).getByText('not checked').first()).toBeVisible();
});
