/** Tells whoever listens on this server that something of a kennel has changed. */
export class KennelBus {
  private readonly listeners = new Map<string, Set<() => void>>();
  private readonly servers = new Set<(kennelId: string) => void>();

  /** Something has changed by a request to this server: here it is heard at once, and passed on to the other servers. */
  changed(kennelId: string): void {
    this.heard(kennelId);
    for (const passOn of this.servers) passOn(kennelId);
  }

  /** Something has changed by a request to another server. */
  heard(kennelId: string): void {
    for (const listener of this.listeners.get(kennelId) ?? []) listener();
  }

  /** Is told of each change that other servers have to hear of. */
  passesOn(passOn: (kennelId: string) => void): void {
    this.servers.add(passOn);
  }

  /** Whether anybody of a kennel listens; of any kennel. */
  isHeard(kennelId: string): boolean {
    return this.listeners.has(kennelId);
  }
  isAnybodyListening(): boolean {
    return this.listeners.size > 0;
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
