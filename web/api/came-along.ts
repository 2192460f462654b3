import { CAME_ALONG_ID } from '@banter/contract';
import { knowsAllChanges } from './changing.ts';

/** For so long an answer that came with the page is what a screen would be told now, ms since the page was asked for. */
const FRESH_MS = 15_000;

type Answers = Readonly<Record<string, unknown>>;
let answers: Map<string, unknown> | null = null;
/** Where the first picture is drawn: what was asked for and is not there. */
let missing = new Set<string>();

function read(): Map<string, unknown> {
  if (import.meta.env.SSR) return new Map();
  try {
    const there = document.getElementById(CAME_ALONG_ID);
    there?.remove();
    if (!knowsAllChanges()) return new Map();
    return new Map(Object.entries(JSON.parse(there?.textContent ?? '{}') as Answers));
  } catch {
    return new Map();
  }
}

/** Whether the page came with an answer to this; where the first picture is drawn, it is remembered when it did not. */
export function hasComeAlong(path: string): boolean {
  answers ??= read();
  const has = answers.has(path) && (import.meta.env.SSR || performance.now() < FRESH_MS);
  if (import.meta.env.SSR && !has) missing.add(path);
  return has;
}

/** The answer that came with the page: once, since whoever asks again wants to hear what is new. Undefined where there is none. */
export function cameAlong(path: string): unknown {
  if (!hasComeAlong(path)) return undefined;
  const answer = answers!.get(path);
  // One picture is drawn in one moment: there it is the same for all that ask.
  if (!import.meta.env.SSR) answers!.delete(path);
  return answer;
}

/** None of it is what a screen would be told now. */
export const forgetCameAlong = (): void => void (answers = new Map());

/** Gives the next picture its answers; where it is drawn, one at a time. */
export function drawWith(known: Answers): { missing: () => readonly string[] } {
  answers = new Map(Object.entries(known));
  missing = new Set();
  return { missing: () => [...missing] };
}
