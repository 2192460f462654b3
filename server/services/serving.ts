import { v7 as uuidv7 } from 'uuid';

/** One server of those on a database, and whether it is about to stop. */
export class Serving {
  readonly serverId = uuidv7();
  private draining = false;
  private readonly streams = new Set<() => void>();

  get isDraining(): boolean {
    return this.draining;
  }

  /** From now on load balancers are told to send nothing more; what comes all the same is served. */
  drain(): void {
    this.draining = true;
  }

  /** What `end`s when streams are told to move to another server; answers what takes it off again. */
  streamOpened(end: () => void): () => void {
    this.streams.add(end);
    return () => void this.streams.delete(end);
  }

  /** Ends every stream: whoever listened asks again, and comes to a server that goes on. */
  moveStreams(): void {
    for (const end of this.streams) end();
  }
}
