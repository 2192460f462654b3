/** Words on the terminal: what is happening, and the one sentence when it cannot go on. */

/** A reason to stop that a person can act on: printed as one sentence, never as a stack. */
export class Refusal extends Error {}

// A reader that has gone, as «npm start | head» leaves, ends nothing.
for (const stream of [process.stdout, process.stderr]) stream.on('error', () => {});

/** @param {string} line */
export function say(line) {
  process.stdout.write(`${line}\n`);
}

/**
 * Runs a command's main function; a Refusal becomes one sentence and exit code 1.
 * @param {() => Promise<number | void>} main
 * @param {string} cannot how its one sentence begins
 */
export async function run(main, cannot = 'Banter cannot start') {
  try {
    const code = await main();
    process.exit(code ?? 0);
  } catch (error) {
    if (error instanceof Refusal) {
      process.stderr.write(`${cannot}: ${error.message}\n`);
    } else {
      process.stderr.write(`Banter stopped on an unexpected fault: ${error?.stack ?? error}\n`);
    }
    process.exit(1);
  }
}
