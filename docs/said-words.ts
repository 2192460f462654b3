import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';

const ROOT = join(import.meta.dirname, '..');
/** Where sentences that people read are written. */
const SPOKEN = ['core', 'contract', 'server', 'web', 'bin'];
/** Migrations speak to a database, entities and tests to whoever works on them. */
const SILENT = /node_modules|\.test\.ts$|\/migrations\/|\/entities\//;

/** Something that people read: where it is written, and what it says. */
export type Said = { at: string; text: string };

/** Words with a space between them, or one word with a capital: what has neither is a name of the code. */
const isSpoken = (text: string) =>
  /[A-Za-z’]\s+\S|^[A-Z][a-z]+/.test(text.trim()) && !/\b(SELECT|INSERT INTO|UPDATE|DELETE FROM|ALTER TABLE|CREATE|JOIN|WHERE)\b/.test(text);

/** The literal texts of a script, with what stands between parts of a template left open. */
function ofScript(source: string): string[] {
  const found: string[] = [];
  const look = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isLiteralTypeNode(node)) return;
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) found.push(node.text);
    else if (ts.isTemplateExpression(node)) {
      found.push([node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join(' … '));
      node.templateSpans.forEach(({ expression }) => look(expression));
      return;
    }
    ts.forEachChild(node, look);
  };
  look(ts.createSourceFile('said.ts', source, ts.ScriptTarget.Latest, true));
  return found;
}

/** What a component says: its text, the attributes that are read out, and the literals of its script and of what is bound. */
function ofComponent(source: string): string[] {
  const template = /<template>(.*)<\/template>/s.exec(source)?.[1] ?? '';
  const scripts = [...source.matchAll(/<script[^>]*>(.*?)<\/script>/gs)].map(([, script]) => script!);
  const attributes = [...template.matchAll(/\s(?:label|hint|title|aria-label|placeholder|word)="([^"]*)"/g)].map(([, text]) => text!);
  const bound = [...template.matchAll(/\{\{(.*?)\}\}/gs), ...template.matchAll(/\s[:@][\w-]+="([^"]*)"/g)].map(([, text]) => text!);
  const text = template
    .replaceAll(/<!--.*?-->/gs, '')
    .replaceAll(/\{\{.*?\}\}/gs, '…')
    .replaceAll(/<(?:[^<>"']|"[^"]*"|'[^']*')*>/g, '\n');
  return [...text.split('\n\n'), ...attributes, ...[...scripts, ...bound.map((one) => `(${one})`)].flatMap(ofScript)];
}

/** Everything that Banter says to people, as it is written in its files. */
export function allThatIsSaid(): Said[] {
  return SPOKEN.flatMap((part) =>
    readdirSync(join(ROOT, part), { recursive: true, encoding: 'utf8' })
      .map((name) => join(ROOT, part, name))
      .filter((path) => /\.(ts|vue|mjs)$/.test(path) && !SILENT.test(path))
      .flatMap((path) => {
        const source = readFileSync(path, 'utf8');
        return (path.endsWith('.vue') ? ofComponent(source) : ofScript(source))
          .filter(isSpoken)
          .map((text) => ({ at: relative(ROOT, path), text: text.replaceAll(/\s+/g, ' ').trim() }));
      }),
  );
}
