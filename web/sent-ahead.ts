import type { SentAheadFile } from '@banter/contract';
import type { Plugin, Rolldown } from 'vite';
import { createRouterMatcher } from 'vue-router';
import { ADDRESSES, ASKED_EVERYWHERE, pageTitle } from './addresses.ts';

/** What text is set in, but for what few languages need. */
const FONTS = /-latin-wght-normal-[\w-]+\.woff2$/;

/** Where it lies among the built pages. */
const FILE_NAME = 'sent-ahead.json';

/**
 * Writes beside the built pages which files and answers each address needs, so that the server names them with the page: on a first visit
 * they come beside the first script, and not after it has run. From the same list of addresses as the router's.
 */
export const sentAhead = (): Plugin => ({
  name: 'sent-ahead',
  generateBundle(_options, bundle) {
    const chunks = Object.values(bundle).filter((file): file is Rolldown.OutputChunk => file.type === 'chunk');
    const named = (name: string) => chunks.find(({ fileName }) => fileName === name);
    /** A file and what it imports. */
    const withImports = (file: string, into = new Set<string>()): Set<string> => {
      const chunk = named(file);
      if (into.has(file) || !chunk) return into;
      into.add(file);
      for (const next of chunk.imports) withImports(next, into);
      return into;
    };
    const first = withImports(chunks.find(({ isEntry }) => isEntry)!.fileName);
    const shared = new Set(chunks.filter(({ name }) => name.startsWith('shared') || name === 'shell').flatMap(({ fileName }) => [...withImports(fileName)]));
    const beside = (files: Iterable<string>, known: readonly ReadonlySet<string>[]) => [...files].filter((file) => known.every((set) => !set.has(file)));
    const { getRoutes } = createRouterMatcher(
      ADDRESSES.map(({ path, name }) => ({ path, name, redirect: '/' })),
      {},
    );
    const screens = getRoutes().map(({ record, re, keys }) => {
      const { view, title, asks = [] } = ADDRESSES.find((address) => address.name === record.name)!;
      const drawn = chunks.find(({ moduleIds }) => moduleIds.some((id) => id.endsWith(`/views/${view}.vue`)));
      if (!drawn) return this.error(`No file of script draws ${view}.`);
      return {
        matches: re.source,
        names: keys.map((key) => key.name),
        files: beside(withImports(drawn.fileName), [first, shared]),
        asks: [...asks],
        title: pageTitle(title),
      };
    });
    // In the order in which they are needed: what is named first comes first.
    const fonts = Object.keys(bundle).filter((name) => FONTS.test(name));
    const file: SentAheadFile = { fonts, everywhere: { files: [...first, ...beside(shared, [first])], asks: Object.values(ASKED_EVERYWHERE) }, screens };
    this.emitFile({ type: 'asset', fileName: FILE_NAME, source: JSON.stringify(file) });
  },
});
