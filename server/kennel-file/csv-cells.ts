import { fromCsvText, z } from '@banter/contract';

/** Headings compared without case, spaces and signs. */
export const plainHeading = (heading: string): string =>
  heading
    .replace(/^\uFEFF/, '')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '');

type JsonSchema = { type?: string | string[]; anyOf?: JsonSchema[]; const?: unknown; enum?: unknown[] };

/** What a field may be, in the words of JSON Schema. */
function kindsOf(schema: z.ZodType): Set<string> {
  const found = new Set<string>();
  const look = ({ type, anyOf, const: only, enum: some }: JsonSchema) => {
    for (const one of [type ?? []].flat()) found.add(one === 'integer' ? 'number' : one);
    for (const value of [...(only === undefined ? [] : [only]), ...(some ?? [])]) found.add(value === null ? 'null' : typeof value);
    for (const one of anyOf ?? []) look(one);
  };
  look(z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any', reused: 'inline' }) as JsonSchema);
  return found;
}

/** How the cells of a record's fields are read back: as text, number, yes or no, or JSON; empty is null where there may be nothing. */
export function cellReader(shape: Record<string, z.ZodType>): (name: string, cell: string) => unknown {
  const kinds = new Map(Object.entries(shape).map(([name, schema]) => [name, kindsOf(schema)]));
  return (name, raw) => {
    const may = kinds.get(name)!;
    const cell = fromCsvText(raw);
    if (cell === '' && (may.has('null') || !may.has('string'))) return null;
    if (may.has('object') || may.has('array') || may.size === 0) {
      try {
        return JSON.parse(cell) as unknown;
      } catch {
        return cell;
      }
    }
    if (may.has('boolean') && /^(true|false)$/i.test(cell)) return cell.toLowerCase() === 'true';
    if (may.has('number') && cell.trim() !== '' && Number.isFinite(Number(cell))) return Number(cell);
    return cell;
  };
}
