import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { describe, expect, it } from 'vitest';

const WEB = join(import.meta.dirname, '..');
const screens = readdirSync(WEB, { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.vue'))
  .map((name) => join(WEB, name));

/** What a template says by itself: its text, and the attributes that are read out. */
function saidBy(file: string): string[] {
  const template = /<template>(.*)<\/template>/s.exec(readFileSync(file, 'utf8'))?.[1] ?? '';
  const attributes = [...template.matchAll(/\s(?:label|hint|title|aria-label|placeholder|word)="([^"]*)"/g)].map(([, text]) => text!);
  const text = template.replaceAll(/\{\{.*?\}\}/gs, '').replaceAll(/<(?:[^<>"']|"[^"]*"|'[^']*')*>/g, '\n');
  return [text, ...attributes];
}

/** Written so by those who made them. */
const NAMES = new Set(['iCalendar', 'collarId']);

describe('what screens say', () => {
  it('is words: no name of the code has slipped into them', () => {
    const slipped = screens.flatMap((file) =>
      saidBy(file)
        .flatMap((text) => text.match(/\b[a-z]+[A-Z]\w*\b/g) ?? [])
        .filter((word) => !NAMES.has(word))
        .map((word) => `${relative(WEB, file)}: ${word}`),
    );
    expect(slipped).toEqual([]);
    expect(screens.length).toBeGreaterThan(100);
  });
});
