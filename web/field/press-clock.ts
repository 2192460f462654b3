/** A response later than this was not timed. */
const LONGEST_MS = 60_000;

/** Times responses from their press by a clock that nobody sets: latencies stay right when the phone's clock is put right meanwhile. */
export function usePressClock() {
  const begun = new Map<string, number>();
  return {
    begin: (pressId: string) => void begun.set(pressId, performance.now()),
    /** From the press to now, whole ms; null when it was not seen here, or long ago. */
    latency(pressId: string): number | null {
      const at = begun.get(pressId);
      if (at === undefined) return null;
      const ms = Math.round(performance.now() - at);
      return ms <= LONGEST_MS ? ms : null;
    },
  };
}
