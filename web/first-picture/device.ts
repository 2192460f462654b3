import { DEVICE_COOKIE, DRAWN_BY, type DeviceLook } from '@banter/contract';

const YEAR_S = 365 * 24 * 60 * 60;

/** Tells the server, with whatever is asked from now on, by what this device's pages are drawn. */
export function tellsDevice(): void {
  let told = '';
  function tell() {
    const look: DeviceLook = { widthPx: innerWidth, remembers: {} };
    try {
      for (const key of DRAWN_BY) {
        const text = localStorage.getItem(key);
        if (text !== null) look.remembers[key] = text;
      }
    } catch {
      // A store that is forbidden remembers nothing.
    }
    const now = encodeURIComponent(JSON.stringify(look));
    if (now !== told) document.cookie = `${DEVICE_COOKIE}=${now}; path=/; max-age=${YEAR_S}; samesite=strict`;
    told = now;
  }
  tell();
  // What is chosen here says so by the second, what is chosen in another tab by the first.
  for (const event of ['storage', 'vueuse-storage', 'resize']) addEventListener(event, tell);
}

let drawnFor: DeviceLook['remembers'] = {};
/** Where the first picture is drawn: for which device the next one is. */
export const drawFor = ({ remembers }: DeviceLook): void => void (drawnFor = remembers);
/** What that device remembers under a key. */
export const itRemembers = (key: string): string | null => drawnFor[key as keyof typeof drawnFor] ?? null;
