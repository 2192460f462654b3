/** Tells whoever listens that something of a kennel has changed. One process; another one’s changes are seen at the next look by the clock. */
export class KennelBus {
  private readonly listeners = new Map<string, Set<() => void>>();

  changed(kennelId: string): void {
    for (const listener of this.listeners.get(kennelId) ?? []) listener();
  }

  /** Whether anybody of a kennel listens. */
  isHeard(kennelId: string): boolean {
    return this.listeners.has(kennelId);
  }

  /** Answers what ends the listening. */
  listen(kennelId: string, listener: () => void): () => void {
    const all = this.listeners.get(kennelId) ?? new Set();
    this.listeners.set(kennelId, all.add(listener));
    return () => {
      all.delete(listener);
      if (all.size === 0) this.listeners.delete(kennelId);
    };
  }
}
