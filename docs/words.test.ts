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
  [/\banew\b/i, 'again'],
  [/\blook(ed|s|ing)? (it )?(up|through)\b/i, 'check'],
  [/\bfetch/i, 'load'],
  [/\bspeaks? against\b/i, 'anything against'],
  [/^Leave it$|\bafresh\b/, 'cancel, start over'],
  [/\bstands? otherwise\b|\bis everybody’s\b/i, 'differs, is shared'],
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
const sources = ['core', 'contract', 'web'].flatMap((part) =>
  readdirSync(join(WEB, '..', part), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.(vue|ts)$/.test(name) && !name.endsWith('.test.ts'))
    .map((name) => ({ name: `${part}/${name}`, text: readFileSync(join(WEB, '..', part, name), 'utf8') })),
);
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

  it('has hints of at most twelve words, and sentences of at most twenty', () => {
    const words = (text: string) => text.split(/\s+/).filter((word) => /\w/.test(word)).length;
    const hints = sources.flatMap(({ name, text }) => [...text.matchAll(/(?<!:)\bhint(?:=|:\s*)(["'])(.*?)\1/g)].map(([, , hint]) => `${name}: ${hint}`));
    expect(hints.length).toBeGreaterThan(40);
    expect(hints.filter((one) => words(one.slice(one.indexOf(': ') + 2)) > 12)).toEqual([]);
    // A list of what a file or an address is, for who reads it at a desk, may go on.
    const long = said
      .filter(({ at }) => /^(core|contract|web)/.test(at) && !/breed-table|endpoints\/|\/calc\//.test(at))
      .flatMap(({ at, text }) => text.split(/(?<=[.:;?!])\s+/).map((one) => ({ at, one })))
      .filter(({ one }) => words(one) > 20 && /^[^-[\]/]*$/.test(one.replaceAll(/\w-\w/g, '')));
    expect(long.map(({ at, one }) => `${at}: ${one}`)).toEqual([]);
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
