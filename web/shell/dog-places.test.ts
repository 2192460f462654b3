import { describe, expect, it } from 'vitest';
import { DOG_PLACES, firstOf, placeAt } from './dog-places.ts';
import { createMemoryHistory, createRouter } from 'vue-router';
import { routes } from '../routes.ts';

const DOG = '01a05c32-5e80-760b-b017-c2e160fdcfef';

const router = createRouter({ history: createMemoryHistory(), routes });

describe('the places of a dog', () => {
  it('hold every screen of it, each in one place', () => {
    const screens = router.getRoutes().filter(({ path, name }) => path.startsWith('/dogs/:id') && name !== 'edit-dog');
    expect(screens.length).toBeGreaterThan(10);
    for (const { name } of screens) {
      const own = DOG_PLACES.filter(({ screens: all }) => all.some(({ isAt }) => isAt({ name: name!, params: {} })));
      expect([name, own.length]).toEqual([name, 1]);
    }
  });

  it('lead where they say', () => {
    for (const place of DOG_PLACES)
      for (const screen of place.screens) {
        const there = router.resolve(screen.to(DOG));
        expect(screen.isAt(there)).toBe(true);
        expect(placeAt(there)).toBe(place);
        expect(place.screens.filter(({ isAt }) => isAt(there))).toEqual([screen]);
      }
  });

  it('open with a screen of their own, and no key stands for two screens', () => {
    for (const place of DOG_PLACES) expect(place.screens).toContain(firstOf(place));
    const keys = DOG_PLACES.flatMap(({ screens }) => screens.flatMap(({ key }) => key ?? []));
    expect(new Set(keys).size).toBe(keys.length);
  });

  it('are none for a screen of the kennel', () => {
    expect(placeAt(router.resolve('/today'))).toBeNull();
  });
});
