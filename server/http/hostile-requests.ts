import fc from 'fast-check';

/** What a JSON Schema says of a value, as far as requests go. */
export type JsonSchema = {
  type?: string | string[];
  enum?: unknown[];
  const?: unknown;
  anyOf?: JsonSchema[];
  oneOf?: JsonSchema[];
  allOf?: JsonSchema[];
  properties?: Record<string, JsonSchema>;
  required?: string[];
  additionalProperties?: JsonSchema | boolean;
  items?: JsonSchema | boolean;
  prefixItems?: JsonSchema[];
  minItems?: number;
  maxItems?: number;
  minimum?: number;
  maximum?: number;
  exclusiveMinimum?: number;
  exclusiveMaximum?: number;
  minLength?: number;
  maxLength?: number;
  pattern?: string;
  format?: string;
};

/** Values that somebody sends who wishes a server ill, or whose program is broken. */
export const HOSTILE: readonly unknown[] = [
  null,
  true,
  '',
  0,
  -0,
  -1,
  0.5,
  1e-320,
  5e-324,
  1e308,
  -1e308,
  2 ** 53,
  2 ** 31,
  -(2 ** 63),
  [],
  {},
  [[]],
  [null],
  '\u0000',
  'half \ud83d of it',
  '\udc00',
  '\ufeff',
  '​',
  "'; DROP TABLE dogs; --",
  '../../../etc/passwd',
  '{"$gt":""}',
  '<script>alert(1)</script>',
  '=1+1',
  'x'.repeat(5000),
  'é'.repeat(300),
  '𝕏'.repeat(100),
  { toString: 1 },
  { valueOf: null, toString: null },
  { length: 1e9 },
  JSON.parse('{"__proto__":{"role":"lead"}}'),
  { constructor: { prototype: {} } },
  { toJSON: 1 },
  '0000-00-00',
  '9999-12-31',
  '0001-01-01T00:00:00Z',
  '2026-02-30',
  '2026-03-01T24:00:00Z',
  '275760-09-13T00:00:00Z',
  'NaN',
  'Infinity',
  '1e999',
  '٣',
  Array.from({ length: 300 }, () => 0),
  Array.from({ length: 3 }, () => ({ a: { b: { c: [1] } } })),
];

const UUID = /uuid/;

/** Values that a schema takes, with ids out of those there are. */
export function valuesOf(schema: JsonSchema, ids: readonly string[], depth = 0): fc.Arbitrary<unknown> {
  const inner = (one: JsonSchema) => valuesOf(one, ids, depth + 1);
  if (schema.const !== undefined) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  const some = schema.anyOf ?? schema.oneOf;
  if (some) return fc.oneof(...some.map(inner));
  const type = Array.isArray(schema.type) ? schema.type[0] : schema.type;
  switch (type) {
    case 'object': {
      const named = Object.entries(schema.properties ?? {});
      const required = new Set(schema.required ?? []);
      const own = fc.record(Object.fromEntries(named.map(([name, one]) => [name, inner(one)])), {
        requiredKeys: named.flatMap(([name]) => (required.has(name) ? [name] : [])),
      });
      return own;
    }
    case 'array': {
      if (schema.prefixItems) return fc.tuple(...schema.prefixItems.map(inner));
      const items = typeof schema.items === 'object' ? inner(schema.items) : fc.constant(null);
      const least = schema.minItems ?? 0;
      return fc.array(items, { minLength: least, maxLength: Math.max(least, Math.min(schema.maxItems ?? 3, 3)) });
    }
    case 'integer':
    case 'number': {
      const low = Math.max(schema.minimum ?? schema.exclusiveMinimum ?? -1e6, -1e9);
      const high = Math.min(schema.maximum ?? schema.exclusiveMaximum ?? 1e6, 1e9);
      const whole = fc.integer({ min: Math.ceil(low), max: Math.max(Math.ceil(low), Math.floor(high)) });
      return type === 'integer' ? whole : fc.oneof(whole, fc.double({ min: low, max: high, noNaN: true }), fc.constantFrom(low, high));
    }
    case 'boolean':
      return fc.boolean();
    case 'null':
      return fc.constant(null);
    case 'string':
      if (UUID.test(schema.format ?? '') || UUID.test(schema.pattern ?? '')) return fc.constantFrom(...ids);
      if (schema.format === 'date') return fc.constantFrom('2026-03-01', '1900-01-01', '2199-12-31');
      if (schema.format === 'date-time') return fc.constantFrom('2026-03-02T09:00:00.000Z', '1900-01-01T00:00:00Z', '2199-12-31T23:59:59.999Z');
      if (schema.format === 'email') return fc.constantFrom('somebody@example.test', 'other@example.test');
      if (schema.pattern && !/\(\?/.test(schema.pattern)) return fc.stringMatching(new RegExp(schema.pattern));
      return fc.string({ minLength: schema.minLength ?? 0, maxLength: Math.min(schema.maxLength ?? 20, 20), unit: 'grapheme' });
    default:
      return depth > 4 ? fc.constant({}) : fc.constantFrom<unknown>({}, [], 'x', 1);
  }
}

/** Every place in a value, as a path. */
function placesIn(value: unknown, path: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [path];
  return [path, ...Object.entries(value).flatMap(([name, one]) => placesIn(one, [...path, Array.isArray(value) ? Number(name) : name]))];
}

function putAt(value: unknown, path: readonly (string | number)[], put: unknown): unknown {
  const [first, ...rest] = path;
  if (first === undefined) return put;
  if (Array.isArray(value)) return value.map((one, index) => (index === first ? putAt(one, rest, put) : one));
  return { ...(value as object), [first]: putAt((value as Record<string, unknown>)[first], rest, put) };
}

/** The same values with something hostile in up to three places; some are left as they are. */
export const spoiled = (values: fc.Arbitrary<unknown>): fc.Arbitrary<unknown> =>
  fc.tuple(values, fc.array(fc.tuple(fc.nat(), fc.constantFrom(...HOSTILE)), { maxLength: 3 })).map(([value, spots]) =>
    spots.reduce<unknown>((now, [at, put]) => {
      const places = placesIn(now);
      return putAt(now, places[at % places.length]!, put);
    }, value),
  );
