import { hostname } from 'node:os';
import { v5 as uuidv5, v7 as uuidv7 } from 'uuid';

/** Ids of servers are made from where they are, within this. */
const PLACES = '5f0c52a3-7f0e-4d0c-9a53-2f6c1f0f8a10';

/** One server of those on a database, and whether it is about to stop. */
export class Serving {
  /** Another at each start. */
  readonly serverId = uuidv7();
  /** The same whenever it starts again at this address. */
  readonly placeId: string;
  private draining = false;
  private readonly streams = new Set<() => void>();

  constructor(address = '') {
    this.placeId = uuidv5(`${hostname()} ${address}`, PLACES);
  }

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
