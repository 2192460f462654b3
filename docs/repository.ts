import { readdirSync } from 'node:fs';
import { join } from 'node:path';

/** The project's folder. */
export const BASE = join(import.meta.dirname, '..');

/** The files below some folders of the project, as paths from it. */
export function files(...folders: string[]): string[] {
  return folders.flatMap((folder) =>
    readdirSync(join(BASE, folder), { withFileTypes: true, recursive: true })
      .filter((entry) => entry.isFile())
      .map((entry) => join(entry.parentPath, entry.name).slice(BASE.length + 1)),
  );
}
