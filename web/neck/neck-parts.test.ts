import { RIG_CATALOGUE, collarKind } from '@banter/contract';
import { rigOfTemplate, rigPart, rotateContacts, houseRules, type ContactWear, rigTemplates } from '@banter/core';
import type { DressedContacts } from '@banter/contract';
import fc from 'fast-check';
import { createPinia } from 'pinia';
import { describe, expect, it } from 'vitest';
import { createSSRApp, type Component } from 'vue';
import { renderToString } from 'vue/server-renderer';
import ContactClock from './ContactClock.vue';
import HealingStrip from './HealingStrip.vue';
import { layRig } from './rig-layout.ts';
import RigDiagram from './RigDiagram.vue';
import SideDrawing from './SideDrawing.vue';

const render = (component: Component, props: object) => renderToString(createSSRApp(component, props as Record<string, unknown>).use(createPinia()));
const NOW = Date.UTC(2026, 5, 10, 9);
const HOUR = 3_600_000;

describe('the clock of the contacts', () => {
  const contacts = (girthMm: number, footprintMm: number, worn: ContactWear[] = []): DressedContacts =>
    ({
      girthMm,
      footprintMm,
      wornPlaces: worn,
      at: worn.find(({ to }) => to === null)?.clock ?? null,
      rotation: rotateContacts({ girthMm, footprintMm, school: 'upper-half', now: NOW, worn, skin: [] }, houseRules()),
    }) as unknown as DressedContacts;
  const draw = (one: DressedContacts, flags: object[] = []) => render(ContactClock, { contacts: one, flags, now: NOW, days: 3, verb: 'Moved now to' });
  const here: ContactWear[] = [{ clock: 3, from: NOW - 2 * HOUR, to: null }];

  it('draws the footprint as an arc as long as the footprint, on a circle of the neck’s girth', async () => {
    for (const [girth, footprint] of [
      [400, 60],
      [250, 78],
    ] as const) {
      const svg = await draw(contacts(girth, footprint, here));
      const radius = girth / (2 * Math.PI);
      // The arc at the skin: from one edge of the footprint to the other.
      const arcs = [...svg.matchAll(/d="M(-?[\d.]+),(-?[\d.]+) A(-?[\d.]+),(-?[\d.]+) 0 \d 1 (-?[\d.]+),(-?[\d.]+)"/g)].map((match) =>
        match.slice(1).map(Number),
      );
      const [x1, y1, r, , x2, y2] = arcs.find(([, , one]) => Math.abs(one! - radius * 0.995) < 0.01)! as [number, number, number, number, number, number];
      const angle = 2 * Math.asin(Math.hypot(x2 - x1, y2 - y1) / (2 * r));
      expect((angle * girth) / (2 * Math.PI)).toBeCloseTo(footprint, 3);
      // 3 is on the right of the picture, the dog's right as seen from behind it.
      expect((x1 + x2) / 2).toBeGreaterThan(radius * 0.5);
    }
  });
  it('offers only allowed places to be tapped, never one from 5 to 7, and not the one where it sits', async () => {
    const svg = await draw(contacts(480, 60, here));
    const offered = [...svg.matchAll(/aria-label="Moved now to (\d+),/g)].map(([, clock]) => Number(clock));
    expect(offered.sort((a, b) => a - b)).toEqual([1, 2, 9, 10, 11, 12]);
    expect(svg).toContain('It sits at 3.');
    expect(svg).not.toMatch(/NaN|undefined/);
  });
  it('says where it has been as warmth, and flags the skin with its grade', async () => {
    const svg = await draw(contacts(480, 60, here), [{ clock: 9, grade: 2, at: NOW, untilMs: null }]);
    expect(svg).toContain('var(--warm)');
    expect(svg).toMatch(/>2<\/text>/);
    expect(await draw(contacts(480, 60))).not.toContain('fill="var(--warm)"');
  });
});

describe('the rig as a drawing', () => {
  it('has the hand at the top, the dog at the bottom, and every part a line of its own between its joints', () => {
    for (const template of rigTemplates(RIG_CATALOGUE)) {
      const parts = rigOfTemplate(template, RIG_CATALOGUE);
      const laid = layRig(parts);
      const at = (joint: string) => laid.joints.find((one) => one.joint === joint)!;
      expect(laid.parts).toHaveLength(parts.length);
      for (const joint of laid.joints) {
        expect(at('hand').y).toBeLessThanOrEqual(joint.y);
        expect(at('dog').y).toBeGreaterThanOrEqual(joint.y);
        expect(joint.x - joint.width / 2).toBeGreaterThanOrEqual(0);
        expect(joint.x + joint.width / 2).toBeLessThanOrEqual(laid.width + 1);
      }
      const spots = laid.parts.map(({ label }) => `${Math.round(label.x)} ${Math.round(label.y)}`);
      expect(new Set(spots).size).toBe(parts.length);
    }
  });
  it('is drawn whatever the parts are: loops, loose ends, and two parts side by side', async () => {
    const joint = fc.constantFrom('hand' as const, 'dog' as const, 'leash end' as const, 'live ring' as const, 'flat ring' as const);
    await fc.assert(
      fc.asyncProperty(fc.array(fc.record({ from: joint, to: joint }), { minLength: 1, maxLength: 8 }), async (ends) => {
        const parts = ends.map(({ from, to }, index) => rigPart(`p${index}`, 'snap', from, to));
        expect(await render(RigDiagram, { parts, chosen: null })).not.toMatch(/NaN|undefined/);
      }),
      { numRuns: 30 },
    );
  });
  it('marks single points by shape and word as well as colour', async () => {
    const svg = await render(RigDiagram, { parts: rigOfTemplate(rigTemplates(RIG_CATALOGUE)[0]!, RIG_CATALOGUE), chosen: null });
    expect(svg.match(/, a single point"/g)).toHaveLength(5);
    expect(svg).toContain('Single points: leash, snap, swivel, chain, prong links.');
  });
});

describe('from above', () => {
  it('the handler stands on the leash’s side: the dog’s right for one worked on the left, mirrored', async () => {
    const handX = async (worksOn: 'left' | 'right') => {
      const ring = collarKind('prong').traits.ring!({ ring: 'live', ringPlace: 'near-side', worksOn, rules: houseRules() });
      const svg = await render(SideDrawing, { ring, name: 'Bracken', worksOn });
      const circles = [...svg.matchAll(/<circle cx="([\d.]+)"/g)].map(([, x]) => Number(x));
      return { ring: circles[0]!, hand: circles.at(-1)! };
    };
    const [left, right] = [await handX('left'), await handX('right')];
    expect(left.hand).toBeGreaterThan(100);
    expect(left.ring).toBeGreaterThan(100);
    expect(right.hand).toBeCloseTo(200 - left.hand, 6);
    expect(right.ring).toBeCloseTo(200 - left.ring, 6);
  });
});

it('healing: a row for each place that was sore, a mark for each look, in time from left to right', async () => {
  const look = (id: string, clock: number, grade: number, daysAgo: number) => ({
    id,
    clock,
    grade,
    at: new Date(NOW - daysAgo * 24 * HOUR).toISOString(),
  });
  const looks = [look('a', 3, 1, 20), look('b', 3, 0, 18), look('c', 9, 2, 10), look('d', 9, 1, 5), look('e', 12, 0, 3)];
  const svg = await render(HealingStrip, { looks, now: NOW, restHours: 48, zone: 'Europe/London' });
  expect(svg).toContain('3 o’clock: pink on');
  expect(svg).toContain('9 o’clock: red or hairless on');
  expect(svg).not.toContain('12 o’clock');
  const marks = [...svg.matchAll(/translate\(([\d.]+) ([\d.]+)\)/g)].map(([, x, y]) => ({ x: Number(x), y: Number(y) }));
  expect(marks).toHaveLength(4);
  const rows = [...new Set(marks.map(({ y }) => y))];
  expect(rows).toHaveLength(2);
  for (const y of rows) {
    const row = marks.filter((mark) => mark.y === y).map(({ x }) => x);
    expect([...row].sort((a, b) => a - b)).toEqual(row);
  }
});
