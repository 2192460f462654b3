import { HOUSE_RULES } from '@banter/core';
import { describe, expect, it } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import { routes } from '../routes.ts';
import { localFinds, type Find } from './local-finds.ts';
import { MORE_SCREENS, OTHER_SCREENS, SCREENS } from './screens.ts';

const tape: Find = { sort: 'This dog', name: 'Tape', more: '', to: '/dogs/d/tape' };

const router = createRouter({ history: createMemoryHistory(), routes });

describe('what a device finds by itself', () => {
  it('is the screens of the dog that is open while nothing is typed', () => {
    expect(localFinds(' ', [tape])).toEqual([tape]);
    expect(localFinds('', [])).toEqual([]);
  });

  it('is screens and house rules by a part of their names, what begins with it first', () => {
    expect(localFinds('lock', []).map(({ name }) => name)).toContain('Locker');
    const names = localFinds('sta', []).map(({ name }) => name.toLowerCase());
    const begins = names.map((name) => name.startsWith('sta'));
    expect(begins).toEqual([...begins].sort((a, b) => Number(b) - Number(a)));
    expect(localFinds('tap', [tape])[0]).toEqual(tape);
    expect(localFinds('no such thing', [tape])).toEqual([]);
  });

  it('leads to addresses that are there, and to rules that are in the house', () => {
    for (const { to } of [...SCREENS, ...MORE_SCREENS, ...OTHER_SCREENS]) expect(router.resolve(to).name).not.toBe('nowhere');
    const [rule] = localFinds(Object.values(HOUSE_RULES)[0]!.title, []).filter(({ sort }) => sort === 'House rule');
    expect(rule!.to).toBe(`/house#rule-${Object.keys(HOUSE_RULES)[0]}`);
  });
});
