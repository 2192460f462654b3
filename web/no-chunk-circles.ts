import type { Plugin } from 'vite';

/** Files of script that import each other in a circle run before what they need is there: such a build fails, and says which. */
export const noChunkCircles = (): Plugin => ({
  name: 'no-chunk-circles',
  generateBundle(_options, bundle) {
    const imports = new Map(Object.values(bundle).flatMap((file) => (file.type === 'chunk' ? [[file.fileName, file.imports] as const] : [])));
    const done = new Set<string>();
    const visit = (file: string, path: readonly string[]): void => {
      if (path.includes(file)) this.error(`These files import each other: ${[...path.slice(path.indexOf(file)), file].join(' → ')}.`);
      if (done.has(file)) return;
      for (const next of imports.get(file) ?? []) visit(next, [...path, file]);
      done.add(file);
    };
    for (const file of imports.keys()) visit(file, []);
  },
});
