import { z } from './plain-words.ts';

const SentAheadSchema = z.object({
  /** Files of script and style, under the built pages. */
  files: z.array(z.string()),
  /** Where what is shown is asked for; `:name` stands for that part of the page's own address. */
  asks: z.array(z.string()),
});
/** What a page needs beside its first script. */
export type SentAhead = z.infer<typeof SentAheadSchema>;

/**
 * What the build tells the server of the pages: what every screen of somebody who is signed in needs, and what each screen needs beside that.
 * `title` is what its page is called; `matches` is a regular expression over the path of its address, whose groups are the parts `names`; the first that matches is the one.
 */
export const SentAheadFile = z.object({
  /** What all text is set in. */
  fonts: z.array(z.string()),
  everywhere: SentAheadSchema,
  screens: z.array(SentAheadSchema.extend({ matches: z.string(), names: z.array(z.string()), title: z.string().default('Banter') })),
});
export type SentAheadFile = z.infer<typeof SentAheadFile>;

/** Where what a screen shows is asked for, at an address with these parts. */
export const asksAt = (asks: readonly string[], parts: Readonly<Record<string, unknown>>): string[] =>
  asks.map((path) => path.replace(/:(\w+)/g, (_, name: string) => String(parts[name])));

/** A part of an address that may stand in another: an id or a word. */
const PLAIN_PART = /^[\w-]+$/;

/** What a page at this path is called, and needs beside its first script; of a path whose parts are no ids or words, only what every screen needs. */
export function sentAheadAt({ everywhere, screens }: SentAheadFile, path: string): SentAhead & { title: string } {
  for (const { matches, names, files, asks, title } of screens) {
    const found = new RegExp(matches).exec(path);
    if (!found) continue;
    const parts = names.map((name, at) => [name, found[at + 1]] as const);
    const asked = parts.every(([, part]) => part === undefined || PLAIN_PART.test(part)) ? asksAt(asks, Object.fromEntries(parts)) : [];
    return { files: [...everywhere.files, ...files], asks: [...everywhere.asks, ...asked], title };
  }
  return { ...everywhere, title: 'Banter' };
}
