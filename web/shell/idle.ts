import { ref, watch, type Ref } from 'vue';

/** So long at most what stands round a screen waits for its turn, ms. */
const PATIENCE_MS = 2000;
// Not in every browser (W3C requestIdleCallback).
const whenIdle = (run: () => void) =>
  'requestIdleCallback' in globalThis ? void requestIdleCallback(run, { timeout: PATIENCE_MS }) : void setTimeout(run, PATIENCE_MS / 4);

const waiting: Ref<boolean>[] = [];
function next(): void {
  const turn = waiting.shift();
  if (!turn) return;
  turn.value = true;
  if (waiting.length > 0) whenIdle(next);
}

/**
 * True once the processor has had nothing else to do: what stands round a screen lets the screen come first, and one part of it comes at a time, so
 * that what is pressed meanwhile is answered between two.
 */
export function useIdleTurn(): Readonly<Ref<boolean>> {
  const turn = ref(false);
  // The first picture is of the screen alone.
  if (import.meta.env.SSR) return turn;
  waiting.push(turn);
  if (waiting.length === 1) whenIdle(next);
  return turn;
}

/** True from the first time on that something is: what is seldom wanted is made when it first is, and stays. */
export function useOnceTrue(is: () => boolean): Readonly<Ref<boolean>> {
  const was = ref(is());
  watch(is, (now) => (was.value ||= now));
  return was;
}
