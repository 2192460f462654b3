import { describe, expect, it } from 'vitest';
import { ENDPOINTS, KENNEL_PART_NAMES, kennelPart, NewHappening, z } from './index.ts';
import { heldJson, heldNumber, wholeText } from './zod.ts';

type Checked = { checks?: readonly unknown[]; format?: string };
/** Formats whose texts are ASCII, or not kept as they came. */
const FORMATS = new Set(['uuid', 'email', 'datetime', 'date', 'base64', 'safeint', 'int32']);

/** Everything in a schema that takes a text, a number or anything at all without the check that it can be kept, by its path. */
function unchecked(schema: z.ZodType, path: string, seen: Set<unknown>): string[] {
  if (seen.has(schema)) return [];
  seen.add(schema);
  const def = schema._zod.def as Checked & { type: string } & Record<string, unknown>;
  const has = (check: unknown) => def.checks?.includes(check) ?? false;
  const own =
    (def.type === 'string' && !has(wholeText) && !FORMATS.has(def.format ?? '')) ||
    (def.type === 'number' && !has(heldNumber) && !FORMATS.has(def.format ?? '') && !(def as { coerce?: boolean }).coerce) ||
    (def.type === 'unknown' && !has(heldJson)) ||
    def.type === 'any';
  const inner = (value: unknown, name: string): string[] =>
    value instanceof z.ZodType
      ? unchecked(value, `${path}.${name}`, seen)
      : Array.isArray(value)
        ? value.flatMap((one, index) => inner(one, `${name}[${index}]`))
        : typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype
          ? Object.entries(value).flatMap(([key, one]) => inner(one, `${name}.${key}`))
          : [];
  return [...(own ? [`${path} (${def.type})`] : []), ...Object.entries(def).flatMap(([name, value]) => (name === 'checks' ? [] : inner(value, name)))];
}

/** Read piece by piece by schemas of its own, which are looked at here as well. */
const A_FILE = '/api/imports';

describe('every schema of a request', () => {
  it('takes only texts and numbers that can be kept', () => {
    const all = [
      ...ENDPOINTS.flatMap(({ method, path, request, asks }) => [...(request && path !== A_FILE ? [[`${method} ${path}`, request] as const] : []), ...(asks ? [[`${method} ${path}?`, asks] as const] : [])]), // prettier-ignore
      ...KENNEL_PART_NAMES.map((name) => [`file ${name}`, kennelPart(name).record] as const),
      ['event', NewHappening] as const,
    ];
    expect(all.length).toBeGreaterThan(80);
    expect(all.flatMap(([name, schema]) => unchecked(schema, name, new Set()))).toEqual([]);
  });

  it('finds one that takes more', async () => {
    const zod = await import('zod');
    expect(unchecked(z.object({ a: z.array(zod.string()) }), 'x', new Set())).toEqual(['x.shape.a.element (string)']);
    expect(unchecked(z.object({ b: zod.number().nullable() }), 'x', new Set())).toEqual(['x.shape.b.innerType (number)']);
    expect(unchecked(z.record(z.string(), zod.unknown()), 'x', new Set())).toEqual(['x.valueType (unknown)']);
  });
});

describe('what can be kept', () => {
  it('is whole text, and numbers that a double holds in full', () => {
    expect(z.string().safeParse('a dog 𝕏').success).toBe(true);
    for (const half of ['\ud83d', 'a\udc00b', '\ud83d\ud83d']) expect(z.string().safeParse(half).success, JSON.stringify(half)).toBe(false);
    for (const value of [0, -0, 1e-300, -1e308, 2.2250738585072014e-308]) expect(z.number().safeParse(value).success).toBe(true);
    for (const value of [1e-320, -5e-324, Infinity, NaN]) expect(z.number().safeParse(value).success).toBe(false);
    expect(z.unknown().safeParse({ a: [{ b: 1e-320 }] }).success).toBe(false);
    expect(z.unknown().safeParse({ '\ud83d': 1 }).success).toBe(false);
    expect(z.unknown().safeParse(JSON.parse('['.repeat(40) + ']'.repeat(40))).success).toBe(false);
  });
  it('lies in the years from 1900 to 2199', () => {
    for (const day of ['1899-12-31', '2200-01-01', '0000-01-01']) expect(z.iso.date().safeParse(day).success).toBe(false);
    expect(z.iso.datetime().safeParse('2026-03-01T08:00:00Z').success).toBe(true);
  });
});
