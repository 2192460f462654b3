import type { Page } from '@playwright/test';
import { v7 as uuidv7 } from 'uuid';
import { newKennel } from './bench-hand.ts';

/** This moment, as the interface takes it. */
export const now = () => new Date().toISOString();

/** Puts a record behind the screens, for journeys that begin later. */
export async function put(page: Page, path: string, body: object): Promise<void> {
  const response = await page.request.put(path, { data: body });
  if (!response.ok()) throw new Error(`${path} answered ${response.status()}: ${await response.text()}`);
}

/** A picture of 2000 by 1000 pixels as PNG, drawn by the page itself. */
export async function drawnPhoto(page: Page): Promise<Buffer> {
  const png = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [2000, 1000];
    canvas.getContext('2d')!.fillRect(0, 0, 900, 500);
    return canvas.toDataURL('image/png').split(',')[1]!;
  });
  return Buffer.from(png, 'base64');
}

export type Taped = Partial<Record<'high' | 'mid' | 'head' | 'muzzle' | 'stop' | 'muzzle-length' | 'coat-depth', number>>;
const ITEMS = ['windpipe', 'flat-face', 'toy-throat', 'eye-pressure', 'pregnant', 'heart', 'skin', 'deaf', 'under-six-months', 'collar-fear'];

/** A dog taped and screened by the interface behind the screens, for journeys that begin at the bench. */
export async function tapedDog(page: Page, name: string, weightKg: number, tapes: Taped, placeId: string | null = null): Promise<string> {
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

/** A grown dog measured all over, mm. */
export const WHOLE: Taped = { high: 398, mid: 440, head: 472, muzzle: 240, stop: 290, 'muzzle-length': 96, 'coat-depth': 2 };

export const PRONG_NUMBERS = { gaugeMm: 3, pitchMm: 31, insideGirthMm: 480, links: 13, closingMm: 28 };
export const REMOTE_NUMBERS = {
  scaleMin: 1,
  scaleMax: 100,
  scaleStep: 1,
  modes: ['momentary'],
  massG: 92,
  footprintMm: 62,
  spacingMm: 37,
  postsMm: [12, 16],
  strapMinMm: 200,
  strapMaxMm: 700,
};

/** A dog in a kennel of its own with a prong and a remote collar decided and found good on it. */
export async function dressedDog(page: Page, name = 'Yarrow', neckLength = 168): Promise<string> {
  await newKennel(page);
  const placeId = uuidv7();
  await put(page, `/api/places/${placeId}`, {
    name: 'Home field',
    collars: { prong: 'allowed', remote: 'allowed' },
    checkedBy: 'Robin',
    checkedOn: now().slice(0, 10),
    source: '',
    retiredAt: null,
  });
  const dogId = await tapedDog(page, name, 29, { ...WHOLE, 'neck-length': neckLength } as never, placeId);
  const collar = { metal: null, condition: 'sound', measuredOn: '2026-03-01', note: '', retiredAt: null };
  const [prong, remote] = [uuidv7(), uuidv7()];
  await put(page, `/api/collars/${prong}`, { ...collar, kind: 'prong', name: 'Hazel', metal: 'stainless', numbers: PRONG_NUMBERS });
  await put(page, `/api/collars/${remote}`, { ...collar, kind: 'remote', name: 'Curlew', numbers: REMOTE_NUMBERS });
  const split = { left: 6, right: 5 };
  const choices = { gaugeSchool: 'pull-first', betweenSchool: 'finer', split, start: null, ring: 'live', ringPlace: 'nape' };
  const planned = { dogId, placeId, note: '', at: now() };
  const [prongPlan, remotePlan] = [uuidv7(), uuidv7()];
  await put(page, `/api/plans/${prongPlan}`, { ...planned, collarId: prong, kind: 'prong', choices });
  const on = { strapMm: 437, postMm: 12, clock: 3 };
  await put(page, `/api/plans/${remotePlan}`, { ...planned, collarId: remote, kind: 'remote', choices: { options: { placement: 'upper-half' }, on } });
  const answers = { breathing: 'free', ears: 'free', sits: 'high', under: 'some', turns: 'a-little', headDrop: 'stays', overHead: 'no', gathered: null };
  await put(page, `/api/fit-checks/${uuidv7()}`, { dogId, planId: prongPlan, kind: 'prong', on: split, answers, note: '', at: now() });
  const felt = { breathing: 'free', skinMoves: 'yes', under: '2', touch: 'both', place: 'side', skin: 'clear' };
  await put(page, `/api/fit-checks/${uuidv7()}`, { dogId, planId: remotePlan, kind: 'remote', on, answers: felt, note: '', at: now() });
  return dogId;
}
