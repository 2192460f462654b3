import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  contractSpeaker,
  houseRules,
  leaveOff,
  rightOrder,
  STACK_LAYERS,
  STACK_REASON_WORDS,
  stackHeight,
  stackOnNeck,
  wordReason,
  type StackItem,
} from '../index.ts';

const rules = houseRules();
const item = (name: string, layer: StackItem['layer'], widthMm: number, anchor = false): StackItem => ({ id: name, name, layer, widthMm, anchor });
const prong = item('The prong', 'training', 26);
const remote = item('The remote', 'electronic', 34);
const flat = item('The flat collar', 'holding', 25, true);
const band = item('The parasite band', 'other', 12);
const codes = (items: StackItem[], lengthMm: number | null = 400) => stackOnNeck(items, lengthMm, rules).reasons.map(({ code }) => code);

describe('a stack from the ears down', () => {
  it('takes its widths and 6 mm between each two (common practice)', () => {
    const { neededMm, places, tone } = stackOnNeck([prong, remote, flat, band], 120, rules);
    expect(neededMm).toBe(26 + 34 + 25 + 12 + 3 * 6);
    expect(places.map(({ topMm }) => topMm)).toEqual([0, 32, 72, 103]);
    expect(tone).toBe('good');
  });
  it('too much for a short neck says what to leave off first: what does no work, then what is no anchor, then the receiver, the training collar never', () => {
    expect(stackOnNeck([prong, remote, flat, band], 114, rules).leaveOff).toEqual(['The parasite band']);
    expect(stackOnNeck([prong, remote, flat, band], 70, rules).leaveOff).toEqual(['The parasite band', 'The remote']);
    // Without the receiver alone there is room for the band: it is not left off in vain.
    expect(stackOnNeck([prong, remote, flat, band], 90, rules).leaveOff).toEqual(['The remote']);
    expect(stackOnNeck([prong, remote, { ...flat, anchor: false }, band], 80, rules).leaveOff).toEqual(['The parasite band', 'The flat collar']);
    expect(codes([prong], 20)).toContain('cannot-fit');
  });
  it('names wrong orders: electronic above prong, flat above training collar', () => {
    expect(codes([remote, prong])).toContain('electronic-above-training');
    expect(codes([flat, prong])).toContain('holding-above-training');
    expect(codes([prong, flat, remote])).toContain('holding-above-electronic');
    expect(codes([band, prong])).toContain('other-above');
    expect(codes([prong, remote, flat, band])).toContain('right-order');
  });
  it('is open, not good, while the neck’s length is not taped or nothing is on', () => {
    expect(stackOnNeck([prong, flat], null, rules).tone).toBe('open');
    // Its length is asked for only where it could decide (common practice: ask only what can change the answer).
    const needed = stackOnNeck([prong, flat], null, rules).neededMm;
    expect(stackOnNeck([prong, flat], null, rules, needed).reasons[0]).toMatchObject({ code: 'room-by-guess', neededMm: needed });
    expect(stackOnNeck([prong, flat], null, rules, needed - 1).reasons[0]).toMatchObject({ code: 'length-unknown' });
    expect(stackOnNeck([prong], null, rules).reasons).toEqual([{ code: 'lies-alone' }]);
    expect(stackOnNeck([], 150, rules).tone).toBe('open');
  });

  const anyStack = fc
    .array(fc.record({ layer: fc.constantFrom(...STACK_LAYERS), widthMm: fc.integer({ min: 5, max: 60 }), anchor: fc.boolean() }), {
      minLength: 1,
      maxLength: 7,
    })
    .map((list) => list.map((one, index) => item(`n${index}`, one.layer, one.widthMm, one.anchor)));

  it('what it says to leave off is enough, and nothing of it is left off in vain', () => {
    fc.assert(
      fc.property(anyStack, fc.integer({ min: 30, max: 250 }), (items, lengthMm) => {
        const off = leaveOff(items, lengthMm, 6);
        if (off === null) {
          // Only then: what may not be left off is too much by itself, or nothing at all would be left.
          const training = items.filter(({ layer }) => layer === 'training');
          const one = training.length > 0 ? stackHeight(training, 6) : Math.min(...items.map(({ widthMm }) => widthMm));
          expect(one).toBeGreaterThan(lengthMm);
          return;
        }
        expect(off.some(({ layer }) => layer === 'training')).toBe(false);
        const left = items.filter((one) => !off.includes(one));
        expect(stackHeight(left, 6)).toBeLessThanOrEqual(lengthMm);
        for (const one of off) expect(stackHeight([...left, one], 6)).toBeGreaterThan(lengthMm);
      }),
    );
  });
  it('put in the right order has no wrong order, and keeps everything', () => {
    fc.assert(
      fc.property(anyStack, (items) => {
        const ordered = rightOrder(items);
        expect([...ordered].sort((a, b) => a.id.localeCompare(b.id))).toEqual([...items].sort((a, b) => a.id.localeCompare(b.id)));
        const { reasons } = stackOnNeck(ordered, 4000, rules);
        expect(reasons.filter(({ code }) => code.includes('above'))).toEqual([]);
        for (const reason of reasons) expect(wordReason(STACK_REASON_WORDS, reason, contractSpeaker).text).toMatch(/\.$/);
      }),
    );
  });
});
