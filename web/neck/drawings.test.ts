import { COLLAR_KIND_NAMES, collarKind, type CollarKindName, type DrawnCollar, neckTapeOf, type Taping, USUAL_HEAD_COLLAR_CHART } from '@banter/contract';
import { houseRules, houseSchools, type FittingDog, type House } from '@banter/core';
import { createPinia } from 'pinia';
import { describe, expect, it } from 'vitest';
import { createSSRApp, type Component } from 'vue';
import { renderToString } from 'vue/server-renderer';
import { crossSection } from './shared/cross-sections.ts';
import UnrolledNeck from './UnrolledNeck.vue';

const house: House = { rules: houseRules(), schools: houseSchools(), headCollarChart: USUAL_HEAD_COLLAR_CHART };
const dog: FittingDog = {
  weightKg: 28,
  pull: 'drags',
  worksOn: 'left',
  neckBuild: 'average',
  ageDays: 900,
  skinGirthMm: 390,
  tapedGirthMm: 390,
  hairGirthMm: 408,
  midGirthMm: 440,
  headGirthMm: 470,
  muzzleGirthMm: 230,
  stopGirthMm: 280,
  muzzleLengthMm: 95,
  neckLengthMm: 170,
  coatDepthMm: 3,
  finger: { thicknessMm: 16, widthMm: 19 },
};
const tape = { highMm: 390, midMm: 430, baseMm: 490 };

/** The kind as it would be made up for this dog, out of what it is commonly sold as. */
function drawn(name: CollarKindName, ringAt = 12): DrawnCollar {
  const kind = collarKind(name);
  const stock = kind.usual.map((one, index) => ({ id: `c${index}`, name: one.name, numbers: one.numbers }));
  const { choice, all } = kind.suggest(dog, stock, house);
  const taken = choice ?? all[0]!;
  const collar = stock.find(({ id }) => id === taken.collarId)! as DrawnCollar['collar'];
  return { kind: name, collar, setting: kind.firstSetting(taken.choices), ringAt };
}
const render = (component: Component, props: object) => renderToString(createSSRApp(component, props as Record<string, unknown>).use(createPinia()));
const numbersIn = (svg: string) => [...svg.matchAll(/(?:^|[\s,="MLHVCAQZ(])(-?\d+(?:\.\d+)?)/g)].map(([, number]) => Number(number));
const attribute = (tag: string, name: string) => new RegExp(` ${name}="([^"]*)"`).exec(tag)?.[1] ?? null;

describe.each(COLLAR_KIND_NAMES)('the drawing of a %s', (name) => {
  it('lies on the unrolled neck without a number missing, and says in words what is drawn', async () => {
    const svg = await render(UnrolledNeck, { tape, name: 'Bracken', collar: drawn(name), size: 'large' });
    expect(svg).not.toMatch(/NaN|undefined|Infinity/);
    const title = /<title[^>]*>([^<]*)<\/title>/.exec(svg)![1]!;
    expect(title).toContain('Bracken’s neck unrolled, to scale');
    expect(title).toContain('high girth 39.0 cm');
    expect(title).toContain(collarKind(name).name.toLowerCase());
  });

  it('stays inside the picture', async () => {
    const svg = await render(UnrolledNeck, { tape, name: 'Bracken', collar: drawn(name), size: 'small' });
    const [left, top, width, height] = attribute(svg, 'viewbox')!.split(' ').map(Number) as [number, number, number, number];
    for (const [tag] of svg.matchAll(/<circle[^>]*>/g)) {
      const at = { x: Number(attribute(tag, 'cx')), y: Number(attribute(tag, 'cy')), r: Number(attribute(tag, 'r')) };
      expect([tag, at.x - at.r >= left && at.x + at.r <= left + width]).toEqual([tag, true]);
      expect([tag, at.y - at.r >= top && at.y + at.r <= top + height]).toEqual([tag, true]);
    }
  });

  it('is cut across at the neck, the right way round, for every place of the ring', async () => {
    if (name === 'prong') return; // It has a cross-section of its own, link by link, with a test of its own.
    for (const ringAt of [12, 1, 11]) {
      const svg = await render(crossSection(name), { drawn: drawn(name, ringAt), dog });
      expect(svg).not.toMatch(/NaN|undefined|Infinity/);
      expect(svg).toMatch(/<svg[^>]*role="img"/);
      expect(numbersIn(svg).length).toBeGreaterThan(20);
    }
  });
});

describe('to scale', () => {
  it.each(['flat', 'martingale'] as const)('the band of a %s is as broad as the collar, in millimetres of the drawing', async (name) => {
    const one = drawn(name);
    const svg = await render(UnrolledNeck, { tape, name: 'Bracken', collar: one, size: 'large' });
    const widths = [...svg.matchAll(/<(?:path|line|polygon|rect)[^>]*>/g)].map(([tag]) => Number(attribute(tag, 'stroke-width') ?? 0));
    expect(widths).toContain((one.collar.numbers as { widthMm: number }).widthMm);
  });

  it('the neck is drawn as wide as it was taped, and the bar under it is as long as it says', async () => {
    const svg = await render(UnrolledNeck, { tape, name: 'Bracken', collar: null, size: 'large' });
    const points = [...svg.matchAll(/<polygon[^>]*points="([^"]*)"/g)][0]![1]!.split(' ').map((pair) => pair.split(',').map(Number) as [number, number]);
    const atTop = points.filter(([, y]) => y === 0).map(([x]) => x);
    expect(Math.max(...atTop) - Math.min(...atTop)).toBeCloseTo(tape.highMm, 6);
    const all = points.map(([x]) => x);
    expect(Math.max(...all) - Math.min(...all)).toBeCloseTo(tape.baseMm, 6);
    expect(svg).toContain('10 cm');
  });

  it('another dog’s neck of half the girth is half as wide', async () => {
    const widthOf = async (mm: number) => {
      const svg = await render(UnrolledNeck, { tape: { highMm: mm }, name: 'Bracken', collar: null, size: 'small' });
      const xs = [...svg.matchAll(/<polygon[^>]*points="([^"]*)"/g)][0]![1]!.split(' ').map((pair) => Number(pair.split(',')[0]));
      return Math.max(...xs) - Math.min(...xs);
    };
    expect((await widthOf(600)) / (await widthOf(300))).toBeCloseTo(2, 6);
  });
});

describe('the neck to draw', () => {
  const tapedAt = (girthMm: number) => ({ result: { girthMm } }) as unknown as Taping;
  it('has its taped length too, so that nothing of it is dashed once all of it is taped', async () => {
    const all = { high: tapedAt(398), mid: tapedAt(442), base: tapedAt(500), 'neck-length': tapedAt(168) };
    expect(neckTapeOf(all)).toEqual({ highMm: 398, midMm: 442, baseMm: 500, lengthMm: 168 });
    const dashed = async (girths: object) =>
      [...(await render(UnrolledNeck, { tape: neckTapeOf(girths), name: 'Bracken', collar: null, size: 'large' })).matchAll(/stroke-dasharray/g)].length;
    expect(await dashed(all)).toBe(0);
    expect(await dashed({ ...all, 'neck-length': undefined })).toBeGreaterThan(0);
    expect(await dashed({ ...all, base: undefined })).toBeGreaterThan(0);
  });
  it('is none before the high girth is taped', () => {
    expect(neckTapeOf({ base: tapedAt(500) })).toBeNull();
  });
});
