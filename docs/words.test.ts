import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { describe, expect, it } from 'vitest';
import { allThatIsSaid } from './said-words.ts';

/**
 * What is not said, and what is said instead; one word for each thing, everywhere (docs/design.md, «Words»).
 */
const NOT_SAID: readonly (readonly [RegExp, string])[] = [
  [/\bmade up anew|\bmake it up again|\bmakes? up anew/i, 'set to 11 links, re-link'],
  [/Banter’s (own )?choice/i, 'recommended'],
  [/\bstr(ike|uck) out\b/i, 'delete entry'],
  [/\bt(ake|aken|ook|aking) back\b/i, 'undo, delete entry, withdraw'],
  [/\blikeliest\b|\bas typical\b/i, 'about, just, measured'],
  [/\b[Nn]ot kept\b|\b[Nn]othing (is|was) kept\b|\bKept[.:]|\bKeep it\b|\bKeep the\b|\bKeeping …/, 'save, saved'],
  [/\blooked at whole\b|\bto look at\b/i, 'inspect, due for inspection, check'],
  [/\bput it right\b/i, 'fix'],
  [/\bdissent\b/i, 'school, with its name'],
  [/\bmany at once\b/i, 'size a group'],
  [/\bnobody has said\b/i, 'not logged'],
  [/\bit ends at about\b/i, 'adult weight about 31 kg'],
  [/\bboth touch\b/i, 'contact good'],
  [/(?<!between )\b(two|three|four|five|six|seven|eight|nine|ten|eleven|twelve) (links|stages|pieces|sessions of today)\b/i, 'a figure: 2 links'],
];
/** Where a rule does not hold, and why. */
const ALLOWED: readonly (readonly [file: RegExp, text: RegExp])[] = [
  // What is seen when the rule of the check is asked for: the trade says it so of contacts in the hand.
  [/electronic|fence|remote|owner/, /both (contacts )?touch/i],
  // Plans and schools of others, in their words.
  [/programme-templates|house-schools/, /two links/i],
];

const WEB = join(import.meta.dirname, '../web');
const templates = readdirSync(WEB, { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.vue'))
  .map((name) => ({ name, template: /<template>(.*)<\/template>/s.exec(readFileSync(join(WEB, name), 'utf8'))?.[1] ?? '' }));
const plain = (html: string) =>
  html
    .replaceAll(/\{\{.*?\}\}/gs, '…')
    .replaceAll(/<(?:[^>"]|"[^"]*")*>/g, ' ')
    .replaceAll(/\s+/g, ' ')
    .trim();

describe('the words of the trade', () => {
  const said = allThatIsSaid();

  it('reads what is said out of the files at all', () => {
    expect(said.length).toBeGreaterThan(4000);
    expect(said.map(({ text }) => text)).toContain('Add your first dog.');
    expect(said.map(({ text }) => text)).toContain('Does it breathe freely?');
  });

  it.each(NOT_SAID)('never says %s', (words, instead) => {
    const found = said
      .filter(({ at, text }) => words.test(text) && !ALLOWED.some(([file, but]) => file.test(at) && but.test(text)))
      .map(({ at, text }) => `${at}: «${text}» (say: ${instead})`);
    expect(found).toEqual([]);
  });

  it('cheers nobody on', () => {
    const found = said.filter(({ text }) => /[a-z]{2}!["”»)]?$/.test(text) && !/[a-z]-[a-z]/.test(text)).map(({ at, text }) => `${at}: ${text}`);
    expect(found).toEqual([]);
  });

  it('has headings of at most sixty signs, and a main button of at most three words', () => {
    const headings = templates.flatMap(({ name, template }) =>
      [...template.matchAll(/<h[123](?:[^>"]|"[^"]*")*>(.*?)<\/h[123]>/gs)].map(([, html]) => `${relative(WEB, join(WEB, name))}: ${plain(html!)}`),
    );
    expect(headings.length).toBeGreaterThan(80);
    // Of several that take turns each is a heading of its own.
    const long = headings.filter((heading) =>
      heading
        .split('.vue: ')[1]!
        .split('. ')
        .some((one) => one.length > 60),
    );
    expect(long).toEqual([]);
    const mains = templates.flatMap(({ name, template }) => [...template.matchAll(/<SaveBar[^>]*\slabel="([^"]*)"/gs)].map(([, label]) => `${name}: ${label}`));
    expect(mains.length).toBeGreaterThan(15);
    expect(mains.filter((label) => label.split(': ')[1]!.split(' ').length > 3)).toEqual([]);
  });
});
