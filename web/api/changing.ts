/** Until when what this device changes may not have arrived, ms since 1970: shared by its tabs, so that a page knows what the one before it did. */
const KEY = 'banter.changing';
let underWay = 0;

function write(until: number): void {
  try {
    localStorage.setItem(KEY, String(Math.round(until)));
  } catch {
    // Without a store no page knows of another.
  }
}

/** Says that something is being changed, for at most so long, ms; call what it answers when that is over. */
export function changing(patienceMs: number): () => void {
  underWay += 1;
  write(Date.now() + patienceMs);
  return () => {
    underWay -= 1;
    if (underWay === 0) write(Date.now());
  };
}

/**
 * Whether what this page was sent with knows of all that was changed here before: a change that was on its way when the page was asked for may have been
 * kept after its answers were made.
 */
export function knowsAllChanges(): boolean {
  try {
    return performance.timeOrigin > Number(localStorage.getItem(KEY) ?? 0);
  } catch {
    return true;
  }
}
