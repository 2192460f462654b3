import { TYPICAL_PITCH_MM } from '@banter/core/collars/prong';
import { readdirSync, readFileSync, existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { BASE, files } from './repository.ts';
import { HAPPENING_NAMES, LinesKept, KENNEL_PART_NAMES, kennelFileSchema, kennelPart, NewHappening } from '@banter/contract';
import { CORE_VERSION, GRAMS_PER_UNIT, MM_PER_UNIT, WEAR_STATES } from '@banter/core';
import { costOf } from '../e2e/walk.ts';
import { WAYS } from '../e2e/ways.ts';
import { describe, expect, it } from 'vitest';

const text = (path: string) => readFileSync(join(BASE, path), 'utf8');
const documents = [
  'README.md',
  ...readdirSync(join(BASE, 'docs'))
    .filter((name) => name.endsWith('.md'))
    .map((name) => `docs/${name}`),
];

describe('the documents', () => {
  it('name only files that are there', () => {
    for (const document of documents) {
      const named = [...text(document).matchAll(/`((?:core|contract|server|web|e2e|bin|bench|docs)\/[\w./-]+\.\w+)`/g)].map((match) => match[1]!);
      const linked = [...text(document).matchAll(/\]\(((?!https?:)[^)#]+)\)/g)].map((match) => join(document.startsWith('docs/') ? 'docs' : '', match[1]!));
      for (const path of [...named, ...linked].filter((one) => !one.includes('KIND')))
        expect([document, path, existsSync(join(BASE, path))]).toEqual([document, path, true]);
    }
  });

  it('list every variable that is read, and every command', () => {
    const readme = text('README.md');
    const read = new Set(
      files('server', 'bin')
        .filter((path) => !path.includes('test'))
        .flatMap((path) => [...text(path).matchAll(/env\.([A-Z_]+)/g)].map((match) => match[1]!)),
    );
    // Set by the scripts for one another, or the machine's own.
    for (const inner of ['PATH', 'NODE_ENV', 'BANTER_ENDS_WITH_STDIN', 'BANTER_URL', 'BANTER_AGAIN', 'BANTER_CLUSTER_NODES', 'BANTER_ROUNDS'])
      read.delete(inner);
    for (const variable of read) expect(readme).toContain(`\`${variable}\``);
    const { scripts } = JSON.parse(text('package.json')) as { scripts: Record<string, string> };
    for (const [, command] of readme.matchAll(/`npm run ([\w-]+)`/g)) expect(Object.keys(scripts)).toContain(command);
  });

  it('give the values that the code has', () => {
    const sources = text('docs/sources.md');
    expect(sources).toContain(`inch ${MM_PER_UNIT.in} mm, foot ${MM_PER_UNIT.ft} mm`);
    expect(sources.replace(/(?<=\d) (?=\d)/g, '')).toContain(`${GRAMS_PER_UNIT.lb / 1000} kg`);
    for (const { name, pitchMm } of TYPICAL_PITCH_MM) expect(sources).toContain(`${name} ${pitchMm}`);
    const palette = text('web/style.css');
    for (const [colour] of text('docs/design.md').matchAll(/#[0-9a-f]{6}/g)) expect(palette).toContain(colour);
  });

  it('the core’s version is the one that its package bears', () => {
    expect(JSON.parse(text('core/package.json'))).toMatchObject({ version: CORE_VERSION });
  });

  it('give the events as they are taken: every kind in the table, every example to be parsed', () => {
    const page = text('docs/device-events.md');
    for (const name of HAPPENING_NAMES) expect(page).toMatch(new RegExp(`^\\| [^|]*\`${name}\``, 'm'));
    for (const state of WEAR_STATES) expect(page).toContain(`\`${state}\``);
    const lines = [...page.matchAll(/^\{"event".*\}$/gm)].map(([line]) => JSON.parse(line));
    expect(lines.length).toBeGreaterThan(3);
    for (const line of lines) expect(NewHappening.safeParse(line).error).toBeUndefined();
    const answer = JSON.parse(/```json\n(\{ "kept".*\})/.exec(page)![1]!);
    expect(LinesKept.safeParse(answer).error).toBeUndefined();
  });

  it('give the ways that people walk with what they cost, as they are walked', () => {
    for (const way of WAYS) {
      const { presses, fields } = costOf(way);
      expect(text('docs/design.md')).toContain(`| ${way.name} | ${presses} | ${fields} | ${way.goal} |`);
    }
  });

  it('give a kennel’s file as it is written and read: its published schema, and every part of it', () => {
    expect(JSON.parse(text('docs/kennel-file.schema.json'))).toEqual(JSON.parse(JSON.stringify(kennelFileSchema())));
    const page = text('docs/kennel-file.md');
    for (const name of KENNEL_PART_NAMES) expect(page).toContain(`| \`${name}\` | ${kennelPart(name).about} |`);
  });

  it('show pictures that are few and not large', () => {
    const pictures = readdirSync(join(BASE, 'docs', 'screenshots'));
    expect(pictures.length).toBeLessThan(20);
    for (const picture of pictures) expect(statSync(join(BASE, 'docs', 'screenshots', picture)).size).toBeLessThan(500_000);
  });
});

describe('the code', () => {
  it('names a source for every public rule of the core', () => {
    for (const path of files(
      'core/measure',
      'core/collars',
      'core/neck',
      'core/stack',
      'core/rig',
      'core/contacts',
      'core/wear',
      'core/device',
      'core/skin',
      'core/door',
    ).filter((one) => one.endsWith('.ts') && !one.includes('.test.') && !/reasons|words|questions|index\.ts$/.test(one))) {
      const documented = /common practice|from memory|source:|contract\)|geometry/i.test(text(path));
      // Pure bookkeeping, without a value or rule of the trade in it.
      const bookkeeping = /rotation-case\.ts|wear-standing\.ts|device-event\.ts|clock\.ts|median\.ts|scale-bar\.ts|link-instruction\.ts|judge-links\.ts/.test(
        path,
      );
      expect([path, documented || bookkeeping]).toEqual([path, true]);
    }
  });
});
