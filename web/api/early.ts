import { forgetCameAlong, hasComeAlong } from './came-along.ts';

/** For so long what was asked early is what a screen would be told now; ms. */
const FRESH_MS = 5_000;
const PATIENCE_MS = 15_000;
const asked = new Map<string, { at: number; answer: Promise<Response> }>();

/** Asks for what a screen will show while its script is still on the way. */
export function askEarly(path: string): void {
  if (hasComeAlong(path)) return;
  const answer = fetch(path, { credentials: 'same-origin', signal: AbortSignal.timeout(PATIENCE_MS) });
  // Whoever takes it hears of a failure; if nobody does, it is nobody's.
  answer.catch(() => {});
  asked.set(path, { at: performance.now(), answer });
}

/** What was asked for before something changed, or as somebody else, is not what a screen would be told now; nor is what came with the page. */
export function forgetEarly(): void {
  asked.clear();
  forgetCameAlong();
}

/** The answer that was asked for early, once and while it is fresh; null: it has to be asked for. */
export function askedEarly(path: string): Promise<Response> | null {
  const early = asked.get(path);
  asked.delete(path);
  return early && performance.now() - early.at < FRESH_MS ? early.answer : null;
}
