import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DOOR_LINES, doorCheck, SORE_WORDS, soreStep, type DoorFacts, type SoreCase } from '../index.ts';

const good = { tone: 'good', says: 'Good.' } as const;
const ready: DoorFacts = {
  stack: good,
  gear: good,
  fit: good,
  ring: { says: 'Live ring.' },
  side: { says: 'On the left.' },
  rig: good,
  contacts: good,
  skin: good,
  routine: good,
  supervision: good,
  electronic: true,
};
const nothing: DoorFacts = {
  stack: null,
  gear: null,
  fit: null,
  ring: null,
  side: null,
  rig: null,
  contacts: null,
  skin: null,
  routine: null,
  supervision: null,
  electronic: false,
};

describe('check before we go', () => {
  it('is good only when every line is', () => {
    expect(doorCheck(ready)).toMatchObject({ go: true, tone: 'good' });
    for (const what of ['stack', 'fit', 'ring', 'side', 'rig', 'contacts', 'skin', 'routine', 'supervision'] as const)
      expect(doorCheck({ ...ready, [what]: null }), what).toMatchObject({ go: false, tone: 'open' });
    // A piece that is to be mended stops it, whatever else is good.
    expect(doorCheck({ ...ready, gear: { tone: 'stop', says: 'Hazel is to be mended.' } })).toMatchObject({
      go: false,
      tone: 'stop',
      sentence: 'Not ready: gear.',
    });
    expect(doorCheck({ ...ready, fit: { tone: 'open', says: 'Prong: check the fit on the dog.' } })).toMatchObject({ go: false, tone: 'open' });
    expect(doorCheck({ ...ready, fit: { tone: 'stop', says: 'Prong: size again.' } })).toMatchObject({ go: false, tone: 'stop' });
  });
  it('is never good by default: knowing nothing, every line is open', () => {
    const verdict = doorCheck(nothing);
    expect(verdict.go).toBe(false);
    expect(verdict.lines.filter(({ tone }) => tone === 'good')).toEqual([]);
  });
  it('asks for contacts and routine only where an electronic collar is on', () => {
    expect(doorCheck({ ...ready, contacts: null, routine: null, electronic: false }).go).toBe(true);
    expect(doorCheck({ ...ready, contacts: null, electronic: true }).go).toBe(false);
  });
  it('says the worst first, always in the same order of lines', () => {
    const tone = fc.constantFrom('good' as const, 'mind' as const, 'stop' as const, 'open' as const);
    const known = fc.option(
      tone.map((one) => ({ tone: one, says: `It is ${one}.` })),
      { nil: null },
    );
    fc.assert(
      fc.property(known, known, known, known, known, known, (stack, rig, contacts, skin, routine, supervision) => {
        const verdict = doorCheck({ ...ready, stack, rig, contacts, skin, routine, supervision });
        expect(verdict.lines.map(({ what }) => what)).toEqual([...DOOR_LINES]);
        expect(verdict.go).toBe([stack, rig, contacts, skin, routine, supervision].every((one) => one?.tone === 'good'));
        if (verdict.lines.some((line) => line.tone === 'stop')) expect(verdict.tone).toBe('stop');
        const first = (['stop', 'mind', 'open'] as const).flatMap((one) => verdict.lines.filter((line) => line.tone === one))[0];
        expect(verdict.sentence).toMatch(first ? new RegExp(`^Not ready: (${first.what}|\\d+ checks left)`) : /^Go/);
      }),
    );
  });
});

describe('loose rub or metal', () => {
  const sore = (more: Partial<SoreCase>) => soreStep({ under: 'prong', fit: 'good', stayed: 'yes', metal: 'same', grade: 1, ...more });
  it('first suspects the fit, and the metal only when it stays with a good fit (common practice)', () => {
    expect(sore({ fit: 'unknown' })).toBe('check-the-fit');
    expect(sore({ fit: 'loose' })).toBe('put-the-fit-right');
    expect(sore({ stayed: 'not-tried' })).toBe('rest-and-look');
    expect(sore({})).toBe('change-the-metal');
    expect(sore({ metal: 'changed' })).toBe('leave-it-off');
    expect(sore({ stayed: 'no' })).toBe('carry-on');
  });
  it('red, hairless or broken goes to a vet, whatever the cause', () => {
    expect(sore({ grade: 2, fit: 'loose' })).toBe('vet');
    expect(SORE_WORDS.vet.does).toContain('vet');
  });
  it('under contacts it is moved first; a strap has no metal to change', () => {
    expect(sore({ under: 'contacts', stayed: 'not-tried' })).toBe('move-it');
    expect(sore({ under: 'strap' })).toBe('leave-it-off');
  });
});
