import { houseRules } from '@banter/core';
import { prongGirths, type ProngCollar } from '@banter/core/collars/prong';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ringSector } from '../ring-shapes.ts';
import { prongSection } from './cross-section.ts';
import { linkStops } from './link-stops.ts';

const collar: ProngCollar = { id: 'a', gaugeMm: 3, pitchMm: 31, insideGirthMm: 480, links: 13, closingMm: 28 };

describe('the cross-section', () => {
  it('is to scale: circles of the neck, the collar at rest and closed, from their girths', () => {
    fc.assert(
      fc.property(fc.integer({ min: 250, max: 600 }), fc.integer({ min: 3, max: 8 }), fc.integer({ min: 3, max: 8 }), (girth, left, right) => {
        const section = prongSection(collar, { left, right }, girth, 12);
        const { relaxedGirthMm, closedGirthMm, slackMm } = prongGirths(collar, left + right, girth);
        expect(2 * Math.PI * section.neckRadius).toBeCloseTo(girth, 6);
        expect(2 * Math.PI * section.restRadius).toBeCloseTo(relaxedGirthMm, 6);
        expect(2 * Math.PI * section.closedRadius).toBeCloseTo(Math.max(closedGirthMm, 2 * Math.PI), 6);
        // The collar hangs from the nape: it touches there, and all its room, slack ÷ π, is at the throat.
        const gapAtNape = section.restRadius - section.centre.y - section.neckRadius;
        const gapAtThroat = section.restRadius + section.centre.y - section.neckRadius;
        expect(gapAtNape).toBeCloseTo(Math.min(0, slackMm / (2 * Math.PI)), 6);
        expect(gapAtThroat).toBeCloseTo(slackMm > 0 ? slackMm / Math.PI : slackMm / (2 * Math.PI), 6);
      }),
    );
  });

  it('draws every link on its side, as seen from behind: the dog’s right on the right', () => {
    const { pieces } = prongSection(collar, { left: 6, right: 5 }, 398, 12);
    const links = pieces.filter((piece) => piece.kind === 'link');
    expect(links).toHaveLength(11);
    for (const link of links.slice(0, 4)) expect(link.middle.x).toBeGreaterThan(0);
    for (const link of links.slice(-4)) expect(link.middle.x).toBeLessThan(0);
    const total = pieces.reduce((sum, piece) => sum + piece.to - piece.from, 0);
    expect(total).toBeCloseTo(2 * Math.PI, 6);
  });

  it('turns the whole collar to the ring’s place', () => {
    const chain = (clock: number) => prongSection(collar, { left: 5, right: 5 }, 380, clock).pieces[0]!.middle;
    expect(chain(12).x).toBeCloseTo(0, 6);
    expect(chain(1.5).x).toBeGreaterThan(10);
    expect(chain(10.5).x).toBeLessThan(-10);
  });

  it('draws a ring sector as a closed path between two radii', () => {
    expect(ringSector({ x: 0, y: 0 }, 10, 20, 0, Math.PI / 2)).toMatch(/^M0,-10 A10,10 0 0 1 10,.* L20,.* A20,20 0 0 0 0,-20 Z$/);
  });
});

describe('the rule of link stops', () => {
  it('has the counts around the one made up, a pitch apart, and says what each comes to', () => {
    const stops = linkStops(collar, { left: 6, right: 5 }, { girthMm: 398, headGirthMm: 472 }, houseRules(), 2);
    expect(stops.map(({ links, slackMm, verdict }) => [links, slackMm, verdict])).toEqual([
      [9, -42, 'wrong-gauge'],
      [10, -11, 'presses'],
      [11, 20, 'fits'],
      [12, 51, 'wrong-gauge'],
      [13, 82, 'overhead'],
    ]);
    expect(stops[1]!.split).toEqual({ left: 5, right: 5 });
  });

  it('never goes below one link', () => {
    expect(linkStops(collar, { left: 1, right: 0 }, { girthMm: 398 }, houseRules(), 2).map((stop) => stop.links)).toEqual([1, 2, 3]);
  });
});
