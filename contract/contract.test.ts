import { HOUSE_RULES, houseRules } from '@banter/core';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { COLLAR_KIND_NAMES, COLLAR_KINDS, ENDPOINTS, fieldErrors, PROBLEMS, RuleOverrides, z } from './index.ts';

describe('the catalogue of problems', () => {
  it('gives each a failing status and one plain sentence', () => {
    for (const [code, { status, title }] of Object.entries(PROBLEMS)) {
      expect(code).toMatch(/^[a-z]+(-[a-z]+)*$/);
      expect(status).toBeGreaterThanOrEqual(400);
      expect(title).toMatch(/^[A-Z].*\.$/);
    }
  });
});

describe('house rules in a request', () => {
  it('know every name of the core’s catalogue, and no other', () => {
    expect(Object.keys(RuleOverrides.shape).sort()).toEqual(Object.keys(HOUSE_RULES).sort());
    expect(RuleOverrides.safeParse({ slackMinimum: 3 }).success).toBe(false);
  });
  it('are those of the calculation contract', () => {
    expect(houseRules()).toMatchObject({
      slackMinMm: 0,
      slackAimMm: 8,
      slackMaxMm: 25,
      pressMaxMm: 6,
      biteMaxRatio: 0.1,
      maxAdd: 3,
      maxRemove: null,
      weightLineKg: 22.68,
      bigDogKg: 18,
      microKg: 4.5,
      heavyKg: 45,
      slipAimMm: 38,
      slipMinMm: 12.7,
      slipMaxMm: 63.5,
      squeezeMaxRatio: 0.1,
      ringGapMm: 38,
      backOutMin: 1.02,
      backOutNarrow: 1.1,
      flatFaceMm: 35,
      postClearanceMm: 3,
      moveByHours: 6,
      dayHours: 12,
      restHours: 48,
      tapeSpreadMm: 6,
      tapeSpreadRatio: 0.015,
      tapeHighRatio: 1.15,
      ewmaLambda: 0.3,
      ewmaLimit: 3,
    });
  });
  it('take an aim outside the window, as the window decides', () => {
    expect(RuleOverrides.safeParse({ slackMaxMm: 5 }).success).toBe(true);
    expect(RuleOverrides.safeParse({ slackMinMm: 26 }).success).toBe(false);
  });
});

describe('field errors', () => {
  it('say where, as people write it, and what, in a sentence', () => {
    const parsed = z
      .strictObject({ stock: z.array(z.strictObject({ pitchMm: z.number().positive() })).min(1) })
      .safeParse({ stock: [{ pitchMm: 0 }, { pitchMm: 'x', pith: 1 }] });
    expect(fieldErrors(parsed.error!)).toEqual([
      { path: 'stock[0].pitchMm', message: 'This must be more than 0.' },
      { path: 'stock[1].pitchMm', message: 'This must be a finite number.' },
      { path: 'stock[1].pith', message: 'This name is not known here.' },
    ]);
  });
});

describe('a collar kind', () => {
  it.each(COLLAR_KIND_NAMES)('%s has its folder in core and its drawings in web', (name) => {
    const project = join(import.meta.dirname, '..');
    // Kinds that differ only in what they are for share their arithmetic.
    const shared: Partial<Record<typeof name, string>> = { flat: 'strap', 'wide-throat': 'strap', remote: 'electronic', fence: 'electronic' };
    expect(existsSync(join(project, 'core', 'collars', shared[name] ?? name))).toBe(true);
    expect(existsSync(join(project, 'web', 'neck', name, 'OnNeck.vue'))).toBe(true);
    // Either its own section at the bench and drawing at the check, or a cross-section for those that all kinds share.
    const own = ['BenchSection.vue', 'CheckDrawing.vue'].every((drawing) => existsSync(join(project, 'web', 'neck', name, drawing)));
    expect(own || existsSync(join(project, 'web', 'neck', name, 'CrossSection.vue'))).toBe(true);
    expect(COLLAR_KINDS[name].questions.length).toBeGreaterThan(0);
    for (const question of COLLAR_KINDS[name].questions) {
      expect(question.ask).toMatch(/\?$/);
      expect(question.answers.length).toBeGreaterThanOrEqual(2);
    }
  });
});

describe('the table of addresses', () => {
  it('names each once, with a sentence', () => {
    const named = ENDPOINTS.map(({ method, path }) => `${method} ${path}`);
    expect(new Set(named).size).toBe(named.length);
    for (const { summary } of ENDPOINTS) expect(summary).toMatch(/\.$/);
  });
});

describe('what is said of a house rule', () => {
  it('never says its number: a kennel may hold another, in other units', () => {
    for (const [name, { title, why }] of Object.entries(HOUSE_RULES)) {
      // A gauge is a name, and no limit.
      const said = `${title} ${why}`.replace(/\d\.\d+ mm/g, '');
      if (name !== 'maxRemove')
        expect([name, said]).toEqual([
          name,
          expect.not.stringMatching(/\d+ ?(mm|cm|in|lb|kg|h|hours|days)\b|\b(two|three|four|six) (days|hours|months|standard)|half an inch|an inch|a tenth/i),
        ]);
    }
  });
});
