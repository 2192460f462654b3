import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  chooseProng,
  collarDoubts,
  evenness,
  evenSplit,
  judgeLinks,
  linkInstruction,
  mostLinksOut,
  prongGirths,
  prongPieces,
  shiftLinks,
  sizeProng,
  type GaugeSchool,
  type ProngCollar,
  type ProngQuestion,
  type Pull,
} from './index.ts';
import { houseRules, ringClock } from '../../index.ts';

const rules = houseRules();
const heavy: ProngCollar = { id: 'heavy', gaugeMm: 4, pitchMm: 42, insideGirthMm: 540, links: 12, closingMm: 30 };
const medium: ProngCollar = { id: 'medium', gaugeMm: 3, pitchMm: 31, insideGirthMm: 480, links: 13, closingMm: 28 };
const fine: ProngCollar = { id: 'fine', gaugeMm: 2.25, pitchMm: 24, insideGirthMm: 402, links: 14, closingMm: 26 };
const micro: ProngCollar = { id: 'micro', gaugeMm: 2, pitchMm: 17, insideGirthMm: 262, links: 13, closingMm: 19 };

const anyCollar: fc.Arbitrary<ProngCollar> = fc.record({
  id: fc.constant('any'),
  gaugeMm: fc.constantFrom(2, 2.25, 3, 3.2, 4),
  pitchMm: fc.integer({ min: 10, max: 60 }),
  insideGirthMm: fc.integer({ min: 200, max: 700 }),
  links: fc.integer({ min: 4, max: 24 }),
  closingMm: fc.integer({ min: 0, max: 80 }),
});
const anyGirth = fc.integer({ min: 100, max: 900 });

describe('links and girth', () => {
  it('a link more is a pitch more slack, whatever the collar (common practice)', () => {
    fc.assert(
      fc.property(anyCollar, anyGirth, fc.integer({ min: 1, max: 30 }), (collar, girth, links) => {
        const now = prongGirths(collar, links, girth);
        const more = prongGirths(collar, links + 1, girth);
        expect(more.slackMm - now.slackMm).toBeCloseTo(collar.pitchMm, 9);
        expect(now.biteMm - more.biteMm).toBeCloseTo(collar.pitchMm, 9);
        expect(now.relaxedGirthMm - now.closedGirthMm).toBeCloseTo(collar.closingMm, 9);
      }),
    );
  });

  it('finds the count that trying every count would find', () => {
    fc.assert(
      fc.property(anyCollar, anyGirth, (collar, girth) => {
        const fit = sizeProng(collar, { girthMm: girth }, 0, rules);
        const slackAt = (links: number) => collar.insideGirthMm + (links - collar.links) * collar.pitchMm - girth;
        const counts = Array.from({ length: 120 }, (_none, i) => i + 1);
        const inside = counts.filter(
          (links) => slackAt(links) >= rules.slackMinMm && slackAt(links) <= Math.min(rules.slackMaxMm, collar.closingMm - rules.biteMinMm),
        );
        if (inside.length > 0) {
          const off = (links: number) => Math.abs(slackAt(links) - rules.slackAimMm);
          const best = inside.reduce((a, b) => (off(b) < off(a) ? b : a));
          expect(fit.links).toBe(best);
        } else {
          const tight = counts.filter((links) => slackAt(links) < rules.slackMinMm);
          expect(fit.links).toBe(tight.at(-1) ?? 1);
          expect(fit.verdict).not.toBe('fits');
        }
      }),
    );
  });

  it('never says «fits» outside its window, past its link limits, without bite, or over the head', () => {
    fc.assert(
      fc.property(anyCollar, anyGirth, fc.option(anyGirth, { nil: undefined }), (collar, girth, head) => {
        const fit = sizeProng(collar, { girthMm: girth, headGirthMm: head }, 0, rules);
        if (fit.verdict !== 'fits') return;
        expect(fit.slackMm).toBeGreaterThanOrEqual(0);
        expect(fit.slackMm).toBeLessThanOrEqual(25);
        expect(fit.biteMm).toBeGreaterThanOrEqual(6 - 1e-9);
        expect(fit.marginMm).toBeCloseTo(Math.min(fit.slackMm, 25 - fit.slackMm, collar.closingMm - 6 - fit.slackMm), 9);
        expect(fit.change).toBeLessThanOrEqual(3);
        expect(-fit.change).toBeLessThanOrEqual(collar.gaugeMm >= 3 ? 3 : 6);
        expect(fit.biteMm).toBeGreaterThan(0);
        expect(fit.biteRatio).toBeLessThanOrEqual(0.1 + 1e-9);
        if (head !== undefined) expect(fit.relaxedGirthMm).toBeLessThan(head);
      }),
    );
  });

  it('takes the tighter of two counts equally far from the aim', () => {
    // Window 0..40, aim 20, pitch 20: slack 10 with 10 links, 30 with 11.
    const collar: ProngCollar = { ...fine, pitchMm: 20, insideGirthMm: 410, links: 10, closingMm: 50 };
    expect(sizeProng(collar, { girthMm: 400 }, 0, houseRules({ slackAimMm: 20, slackMaxMm: 40 })).links).toBe(10);
  });

  it('counts both ends of the window in', () => {
    expect(sizeProng({ ...medium, insideGirthMm: 425, closingMm: 31 }, { girthMm: 400 }, 0, rules)).toMatchObject({ verdict: 'fits', slackMm: 25 });
    expect(sizeProng({ ...heavy, insideGirthMm: 400 }, { girthMm: 400 }, 0, rules)).toMatchObject({ verdict: 'fits', slackMm: 0 });
  });

  it('a 24 mm pitch always lands inside the window; 31 mm four times in five, 42 mm three in five (common practice)', () => {
    const share = (pitchMm: number) => {
      let inside = 0;
      for (let tenth = 0; tenth < pitchMm * 10; tenth += 1) {
        const fit = sizeProng({ ...fine, pitchMm, insideGirthMm: 400, closingMm: 31 }, { girthMm: 400 + tenth / 10 }, 0, rules);
        if (fit.slackMm >= 0 && fit.slackMm <= 25) inside += 1;
      }
      return inside / (pitchMm * 10);
    };
    expect(share(24)).toBe(1);
    expect(share(31)).toBeCloseTo(0.8, 1);
    expect(share(42)).toBeCloseTo(0.6, 1);
  });
});

describe('verdicts of one collar', () => {
  it('sits between two sizes: 12 links leave 40, 11 leave −2 (worked example of the calculation contract)', () => {
    const fit = sizeProng(heavy, { girthMm: 500 }, 0, rules);
    expect(fit).toMatchObject({ verdict: 'between', links: 11, change: -1, left: 6, right: 5, slackMm: -2 });
    expect(fit.reasons.map((reason) => reason.code)).not.toContain('presses-at-rest');
  });

  it('never ends so loose that it bites by less than 6 mm: 15 links leave 24, more than 28 − 6, 14 leave −7 (worked example of the calculation contract)', () => {
    const fit = sizeProng({ ...medium, insideGirthMm: 564, links: 15, closingMm: 28 }, { girthMm: 540 }, 0, rules);
    expect(fit).toMatchObject({ verdict: 'between', links: 14, slackMm: -7, marginMm: -7 });
    expect(fit.reasons.map((reason) => reason.code)).toContain('presses-at-rest');
    expect(fit.reasons).toContainEqual(expect.objectContaining({ code: 'between-links', highMm: 22, biteMinMm: 6 }));
  });

  it('says when it presses by more than the snug school accepts', () => {
    const fit = sizeProng(heavy, { girthMm: 508 }, 0, rules);
    expect(fit).toMatchObject({ verdict: 'between', slackMm: -10 });
    expect(fit.reasons).toContainEqual({ code: 'presses-at-rest', pressMm: 10, limitMm: 6 });
  });

  it('takes two links out of a 2.25 mm of 16 in for a neck of 13¾ in (common practice)', () => {
    const stocked: ProngCollar = { id: '16 in', gaugeMm: 2.25, pitchMm: 24, insideGirthMm: 16 * 25.4, links: 14, closingMm: 25.4 };
    expect(sizeProng(stocked, { girthMm: 13.75 * 25.4 }, 0, rules)).toMatchObject({ verdict: 'fits', change: -2, left: 6, right: 6 });
  });

  it('is the wrong gauge past three links out of 3.0 mm, past six of finer wire, past three in', () => {
    expect(sizeProng(medium, { girthMm: 480 - 93 - 8 }, 0, rules)).toMatchObject({ verdict: 'fits', change: -3 });
    expect(sizeProng(medium, { girthMm: 480 - 124 - 8 }, 0, rules)).toMatchObject({ verdict: 'wrong-gauge', change: -4 });
    expect(sizeProng(fine, { girthMm: 402 - 144 - 8 }, 0, rules)).toMatchObject({ verdict: 'fits', change: -6 });
    expect(sizeProng(fine, { girthMm: 402 - 168 - 8 }, 0, rules)).toMatchObject({ verdict: 'wrong-gauge', change: -7 });
    expect(sizeProng(fine, { girthMm: 402 + 72 - 8 }, 0, rules)).toMatchObject({ verdict: 'fits', change: 3 });
    expect(sizeProng(fine, { girthMm: 402 + 96 - 8 }, 0, rules)).toMatchObject({ verdict: 'wrong-gauge', change: 4 });
    expect(sizeProng(medium, { girthMm: 480 - 93 - 8 }, 0, houseRules({ maxRemove: 2 })).verdict).toBe('wrong-gauge');
    expect([mostLinksOut(3, null), mostLinksOut(2.25, null), mostLinksOut(3.2, 5)]).toEqual([3, 6, 5]);
  });

  it('is the wrong gauge without bite, or with more than a tenth of the girth', () => {
    // By hand at 13 links, 8 mm of slack: closing 8 does not bite at all.
    const asStocked = { left: 7, right: 6 };
    expect(judgeLinks({ ...medium, closingMm: 8 }, asStocked, { girthMm: 472 }, rules)).toMatchObject({ verdict: 'wrong-gauge', biteMm: 0 });
    // Closing 13 would bite by 5 mm, under the 6 at least: it hangs, and a link less presses by 23 mm; closing 14 bites by 6 and fits.
    expect(judgeLinks({ ...medium, closingMm: 13 }, asStocked, { girthMm: 472 }, rules).verdict).toBe('hangs');
    expect(sizeProng({ ...medium, closingMm: 13 }, { girthMm: 472 }, 0, rules)).toMatchObject({ verdict: 'between', links: 12 });
    expect(sizeProng({ ...medium, closingMm: 14 }, { girthMm: 472 }, 0, rules)).toMatchObject({ verdict: 'fits', biteMm: 6, marginMm: 0 });
    // 200 mm neck, slack 8: closing 28 bites 20 mm, exactly a tenth; 29 is more.
    const toy: ProngCollar = { ...micro, insideGirthMm: 208, closingMm: 28 };
    expect(sizeProng(toy, { girthMm: 200 }, 0, rules).verdict).toBe('fits');
    expect(sizeProng({ ...toy, closingMm: 29 }, { girthMm: 200 }, 0, rules).verdict).toBe('wrong-gauge');
  });

  it('would pass the head when it is as long at rest as the head is round; that comes before all else', () => {
    expect(sizeProng(medium, { girthMm: 472, headGirthMm: 480 }, 0, rules).verdict).toBe('overhead');
    expect(sizeProng(medium, { girthMm: 472, headGirthMm: 480.5 }, 0, rules).verdict).toBe('fits');
    // Four links more than stocked as well, which alone would be the wrong gauge.
    expect(sizeProng({ ...medium, insideGirthMm: 356, links: 9 }, { girthMm: 472, headGirthMm: 480 }, 0, rules).verdict).toBe('overhead');
  });

  it('starts loose by one or two links, less what would pass the head', () => {
    expect(sizeProng(fine, { girthMm: 394, headGirthMm: 470 }, 2, rules).startLinks).toBe(16);
    expect(sizeProng(fine, { girthMm: 394, headGirthMm: 450 }, 2, rules).startLinks).toBe(15);
    expect(sizeProng(fine, { girthMm: 394, headGirthMm: 426 }, 2, rules).startLinks).toBe(14);
  });

  it('cannot be made short enough when one link still hangs', () => {
    const fit = sizeProng({ ...medium, insideGirthMm: 480, links: 3, pitchMm: 31 }, { girthMm: 200 }, 0, rules);
    expect(fit).toMatchObject({ links: 1, verdict: 'wrong-gauge' });
    expect(fit.reasons.map((reason) => reason.code)).toContain('too-long-at-one-link');
  });
});

describe('sides', () => {
  it('differ by at most one, the odd link on the left, however links go out and in', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: -39, max: 20 }), (links, change) => {
        fc.pre(links + change >= 1);
        const split = shiftLinks(evenSplit(links), change);
        expect(split).toEqual(evenSplit(links + change));
        expect(split.left - split.right).toBeGreaterThanOrEqual(0);
        expect(split.left - split.right).toBeLessThanOrEqual(1);
      }),
    );
  });

  it('out of the longer side first; one apart is fine, three is not (common practice)', () => {
    expect(shiftLinks({ left: 4, right: 7 }, -2)).toEqual({ left: 4, right: 5 });
    expect(shiftLinks({ left: 4, right: 7 }, 2)).toEqual({ left: 6, right: 7 });
    expect([evenness({ left: 5, right: 4 }), evenness({ left: 6, right: 4 }), evenness({ left: 4, right: 7 })]).toEqual(['even', 'uneven', 'lopsided']);
  });

  it('says what to do in a sentence', () => {
    expect(linkInstruction({ left: 7, right: 6 }, { left: 6, right: 5 })).toBe('Take out 2 links, one each side.');
    expect(linkInstruction({ left: 7, right: 7 }, { left: 7, right: 6 })).toBe('Take out one link, on the dog’s right.');
    expect(linkInstruction({ left: 6, right: 6 }, { left: 5, right: 4 })).toBe('Take out 3 links, one on the dog’s left, 2 on its right.');
    expect(linkInstruction({ left: 7, right: 7 }, { left: 8, right: 7 })).toBe('Put in one link, on the dog’s left.');
    expect(linkInstruction({ left: 5, right: 5 }, { left: 5, right: 5 })).toBe('Leave it as it is: 10 links.');
    expect(linkInstruction({ left: 7, right: 4 }, { left: 6, right: 5 })).toBe('Take out one link on the dog’s left and put in one link on its right.');
  });
});

describe('a collar made up by hand', () => {
  it('gets the sizing’s verdict at the sizing’s count, and presses or hangs elsewhere', () => {
    const neck = { girthMm: 398, headGirthMm: 472 };
    const at = (links: number) => judgeLinks(medium, evenSplit(links), neck, rules);
    expect(at(11)).toMatchObject({ verdict: 'fits', slackMm: 20 });
    expect(at(10)).toMatchObject({ verdict: 'presses', slackMm: -11 });
    expect(at(12).verdict).toBe('wrong-gauge'); // it would not bite any more
    expect(at(13).verdict).toBe('overhead');
    expect(judgeLinks({ ...medium, closingMm: 60 }, evenSplit(12), neck, rules).verdict).toBe('hangs');
  });

  it('does not pass a lopsided one as a fit', () => {
    expect(judgeLinks(medium, { left: 8, right: 3 }, { girthMm: 398 }, rules).verdict).toBe('lopsided');
    expect(judgeLinks(medium, { left: 6, right: 4 }, { girthMm: 398 - 31 }, rules)).toMatchObject({ verdict: 'fits' });
  });

  it('agrees with the sizing for every collar and count', () => {
    fc.assert(
      fc.property(anyCollar, anyGirth, fc.integer({ min: 1, max: 30 }), (collar, girth, links) => {
        const judged = judgeLinks(collar, evenSplit(links), { girthMm: girth }, rules);
        const sized = sizeProng(collar, { girthMm: girth }, 0, rules);
        if (links === sized.links) expect(judged.verdict).toBe(sized.verdict);
        else if (judged.verdict === 'fits') expect(judged.slackMm).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});

describe('gauge schools', () => {
  const ask = (weightKg: number, pull: Pull, gaugeSchool: GaugeSchool, stock: ProngCollar[], more: Partial<ProngQuestion> = {}) =>
    chooseProng({ girthMm: 400, weightKg, pull, gaugeSchool, betweenSchool: 'finer', stock, ...more }, rules);
  const at = (gaugeMm: number, pitchMm: number, id = String(gaugeMm)): ProngCollar => ({ id, gaugeMm, pitchMm, insideGirthMm: 408, links: 13, closingMm: 26 });
  const every = [at(2, 17), at(2.25, 24), at(3, 31), at(3.2, 33), at(4, 42)];

  it.each([
    // 50 lb is 22.68 kg, 40 lb 18 kg, 10 lb 4.5 kg, 100 lb 45 kg in the house rules (common practice; limits from memory).
    ['weight-line', 22.68, 'pulls', '2.25'],
    ['weight-line', 22.7, 'pulls', '3'],
    ['weight-line', 4.5, 'pulls', '2.25'],
    // Micro by weight under every school.
    ['weight-line', 4.4, 'pulls', '2'],
    ['pull-first', 4.4, 'drags', '2'],
    ['pull-first', 4.5, 'settled', '2.25'],
    ['pull-first', 18, 'drags', '3'],
    ['pull-first', 17.9, 'drags', '2.25'],
    ['pull-first', 40, 'pulls', '2.25'],
    ['pull-first', 40, 'settled', '2.25'],
    ['pull-first', 70, 'drags', '3'],
    ['scale-with-power', 4.4, 'pulls', '2'],
    ['scale-with-power', 4.5, 'pulls', '2.25'],
    ['scale-with-power', 22.68, 'drags', '2.25'],
    ['scale-with-power', 30, 'settled', '3'],
    ['scale-with-power', 45, 'drags', '3'],
    ['scale-with-power', 46, 'settled', '3'],
    ['scale-with-power', 46, 'pulls', '3.2'],
    ['most-links', 60, 'drags', '2.25'],
    ['most-links', 4, 'pulls', '2'],
  ] as const)('%s at %d kg, %s, takes %s mm', (school, weight, pull, gauge) => {
    expect(ask(weight, pull, school, every).choice?.stockId).toBe(gauge);
  });

  it('most links goes up a gauge when the finest would need a fourth extra link', () => {
    const short = { ...at(2.25, 24), insideGirthMm: 408 - 96 };
    expect(ask(30, 'pulls', 'most-links', [short, at(3, 31)]).choice?.stockId).toBe('3');
    expect(ask(30, 'pulls', 'most-links', [{ ...short, insideGirthMm: 408 - 72 }, at(3, 31)]).choice?.stockId).toBe('2.25');
  });

  it('takes the collar of the gauge with the fewest link changes', () => {
    const far = { ...at(2.25, 24, 'far'), insideGirthMm: 408 + 48 };
    const near = { ...at(2.25, 24, 'near'), insideGirthMm: 408 - 24 };
    expect(ask(20, 'pulls', 'weight-line', [far, near]).choice).toMatchObject({ stockId: 'near', change: 1 });
  });

  it('takes the next finer, then the next heavier, when the gauge is not in stock, and says so', () => {
    expect(ask(30, 'pulls', 'weight-line', [at(2.25, 24), at(3.2, 33)]).choice?.stockId).toBe('2.25');
    const heavier = ask(30, 'pulls', 'weight-line', [at(3.2, 33), at(4, 42)]);
    expect(heavier.choice?.stockId).toBe('3.2');
    expect(heavier.reasons.map((reason) => reason.code)).toEqual(['gauge-not-in-stock']);
  });

  it('takes the next finer, then the next heavier, when the gauge cannot be made to fit', () => {
    const unworkable = { ...at(3, 31), insideGirthMm: 408 + 31 * 5 };
    expect(ask(30, 'pulls', 'weight-line', [unworkable, at(2.25, 24), at(4, 42)]).choice?.stockId).toBe('2.25');
    expect(ask(30, 'pulls', 'weight-line', [unworkable, at(4, 42)]).choice?.stockId).toBe('4');
    expect(ask(30, 'pulls', 'weight-line', [unworkable])).toMatchObject({
      choice: null,
      schools: expect.arrayContaining([{ school: 'weight-line', stockId: null, links: null }]),
    });
  });

  it('says when only something heavier than the school ever uses is left', () => {
    expect(ask(30, 'drags', 'pull-first', [at(4, 42)]).reasons.map((reason) => reason.code)).toContain('heavier-than-school-goes');
    expect(ask(30, 'drags', 'weight-line', [at(4, 42)]).reasons.map((reason) => reason.code)).not.toContain('heavier-than-school-goes');
  });

  it('between two sizes: snug keeps the gauge, finer takes a finer one that fits', () => {
    const between = { ...at(3, 31), insideGirthMm: 398 };
    expect(ask(30, 'pulls', 'weight-line', [between, at(2.25, 24)]).choice?.stockId).toBe('2.25');
    expect(ask(30, 'pulls', 'weight-line', [between, at(2.25, 24)], { betweenSchool: 'snug' }).choice).toMatchObject({ stockId: '3', verdict: 'between' });
    expect(ask(30, 'pulls', 'weight-line', [between]).choice).toMatchObject({ stockId: '3', verdict: 'between' });
  });

  it('shows what every school would take, each with the same between-school', () => {
    const { schools } = ask(30, 'drags', 'pull-first', every);
    expect(schools.map(({ school, stockId }) => [school, stockId])).toEqual([
      ['weight-line', '3'],
      ['pull-first', '3'],
      ['scale-with-power', '3'],
      ['most-links', '2.25'],
    ]);
  });

  it('never chooses a collar that would pass the head or has the wrong gauge', () => {
    fc.assert(
      fc.property(
        fc.array(anyCollar, { minLength: 1, maxLength: 6 }),
        anyGirth,
        anyGirth,
        fc.double({ min: 1, max: 80, noNaN: true }),
        fc.constantFrom<Pull>('settled', 'pulls', 'drags'),
        fc.constantFrom<GaugeSchool>('weight-line', 'pull-first', 'scale-with-power', 'most-links'),
        fc.constantFrom('snug' as const, 'finer' as const),
        (collars, girthMm, headGirthMm, weightKg, pull, gaugeSchool, betweenSchool) => {
          const stock = collars.map((collar, index) => ({ ...collar, id: String(index) }));
          const { choice, all, schools } = chooseProng({ girthMm, headGirthMm, weightKg, pull, gaugeSchool, betweenSchool, stock }, rules);
          if (choice) expect(['fits', 'between']).toContain(choice.verdict);
          else expect(all.every((fit) => fit.verdict === 'wrong-gauge' || fit.verdict === 'overhead')).toBe(true);
          expect(schools.find((one) => one.school === gaugeSchool)?.stockId ?? null).toBe(choice?.stockId ?? null);
        },
      ),
    );
  });
});

describe('hardware round the neck', () => {
  it('adds up to the inside girth, links, plate and chain in their order', () => {
    fc.assert(
      fc.property(anyCollar, fc.integer({ min: 0, max: 12 }), fc.integer({ min: 1, max: 12 }), (collar, left, right) => {
        fc.pre(prongGirths(collar, left + right, 0).relaxedGirthMm > 0);
        const pieces = prongPieces(collar, { left, right });
        expect(pieces.reduce((sum, piece) => sum + piece.lengthMm, 0)).toBeCloseTo(prongGirths(collar, left + right, 0).relaxedGirthMm, 6);
        expect(pieces.filter((piece) => piece.kind === 'link' && piece.side === 'left')).toHaveLength(left);
        expect(pieces.filter((piece) => piece.kind === 'link' && piece.side === 'right')).toHaveLength(right);
        for (let i = 1; i < pieces.length; i += 1) expect(pieces[i]!.startMm).toBeCloseTo(pieces[i - 1]!.startMm + pieces[i - 1]!.lengthMm, 6);
      }),
    );
  });

  it('puts the ring at the nape, or behind the ear nearest the handler (common practice)', () => {
    expect(ringClock('nape', 'left')).toBe(12);
    expect(ringClock('near-side', 'left')).toBe(1.5);
    expect(ringClock('near-side', 'right')).toBe(10.5);
  });
});

describe('measuring your collar', () => {
  it('asks about a pitch of another gauge, links longer than the collar, and an unusual closing', () => {
    expect(collarDoubts(fine)).toEqual([]);
    expect(collarDoubts({ ...medium, pitchMm: 24 }).map((doubt) => doubt.code)).toEqual(['pitch-of-another-gauge']);
    expect(collarDoubts({ ...fine, links: 18 }).map((doubt) => doubt.code)).toEqual(['links-longer-than-collar']);
    expect(collarDoubts({ ...fine, closingMm: 4 }).map((doubt) => doubt.code)).toEqual(['closing-unusual']);
  });
});
