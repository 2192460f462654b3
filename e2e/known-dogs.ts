import type { Page } from '@playwright/test';
import { v7 as uuidv7 } from 'uuid';

/** This moment, as the interface takes it. */
export const now = () => new Date().toISOString();

/** Puts a record behind the screens, for journeys that begin later. */
export async function put(page: Page, path: string, body: object): Promise<void> {
  const response = await page.request.put(path, { data: body });
  if (!response.ok()) throw new Error(`${path} answered ${response.status()}: ${await response.text()}`);
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
