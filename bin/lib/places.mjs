/** Where things live on disk. Everything Banter makes is below one data folder. */
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const projectDir = resolve(dirname(fileURLToPath(import.meta.url)), '..', '..');

/**
 * The data folder: BANTER_DATA, else `.banter` in the project.
 * @param {NodeJS.ProcessEnv} env
 */
export function dataDir(env) {
  return resolve(env.BANTER_DATA || join(projectDir, '.banter'));
}
