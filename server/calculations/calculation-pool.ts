import { join } from 'node:path';
import { Piscina } from 'piscina';
import { Failure } from '../services/failure.ts';
import { FITS, type CalculationAnswered, type CalculationAsked } from './answer-calculation.ts';

/** How long an answer may take, waiting for a place included, and how many may wait; ms and requests of all callers together. */
export type CalculationLimits = { limitMs: number; places: number; threads: number };

/** Single calculations take a few ms: one that takes this long is not one of ours any more. */
export const SINGLE_LIMITS: CalculationLimits = { limitMs: 5_000, places: 200, threads: 1 };
/** Many dogs at once: the largest request that is allowed takes about a third of this on two cores. */
export const FITS_LIMITS: CalculationLimits = { limitMs: 20_000, places: 6, threads: 1 };
/** Of these places one caller has no more than this. */
const OF_ONE_CALLER = 0.5;

/** Memory that a thread may fill, MB. */
const THREAD_MB = 512;

/** Threads for one sort of calculation, so that the large ones never stand in the way of the small. */
class Threads {
  private pool: Piscina<CalculationAsked, CalculationAnswered> | null = null;
  /** Done when a thread has answered something: until then it is being made, which is nobody's fault. */
  private ready: Promise<unknown> | null = null;
  /** Requests that are computed or wait for it, in all and by caller. */
  private all = 0;
  private readonly held = new Map<string, number>();

  constructor(private readonly limits: CalculationLimits) {}

  private open(): Piscina<CalculationAsked, CalculationAnswered> {
    this.pool ??= new Piscina<CalculationAsked, CalculationAnswered>({
      filename: join(import.meta.dirname, 'calculation-worker.ts'),
      execArgv: ['--import', 'tsx'],
      minThreads: 1,
      maxThreads: this.limits.threads,
      maxQueue: this.limits.places,
      concurrentTasksPerWorker: 1,
      resourceLimits: { maxOldGenerationSizeMb: THREAD_MB },
    });
    return this.pool;
  }

  /** Begins a thread, so that the first caller does not wait for it. */
  begin(): Promise<unknown> {
    this.ready ??= this.open()
      .run({ name: '', bytes: new Uint8Array() })
      .catch(() => (this.ready = null));
    return this.ready;
  }

  async answer(asked: CalculationAsked, caller: string): Promise<CalculationAnswered> {
    const own = this.held.get(caller) ?? 0;
    const { places, threads } = this.limits;
    if (this.all >= places + threads || own >= Math.ceil(places * OF_ONE_CALLER)) throw new Failure('busy');
    this.held.set(caller, own + 1);
    this.all += 1;
    let late: AbortSignal | null = null;
    try {
      await this.begin();
      late = AbortSignal.timeout(this.limits.limitMs);
      return await this.open().run(asked, { signal: late });
    } catch (error) {
      // The thread that was at it is gone; the next one is waited for.
      this.ready = null;
      if (late?.aborted || (error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY') throw new Failure('took-too-long');
      throw error;
    } finally {
      this.all -= 1;
      const rest = this.held.get(caller)! - 1;
      if (rest > 0) this.held.set(caller, rest);
      else this.held.delete(caller);
    }
  }

  async end(): Promise<void> {
    await this.pool?.destroy();
    this.pool = null;
    this.ready = null;
  }
}

/**
 * Where the open calculations are computed: in threads of their own, each with a limit of time and memory and so many places in a
 * queue, so that no request without a sign-in holds whoever serves.
 */
export class CalculationPool {
  private readonly single: Threads;
  private readonly many: Threads;

  constructor({ single = SINGLE_LIMITS, many = FITS_LIMITS }: { single?: CalculationLimits; many?: CalculationLimits } = {}) {
    this.single = new Threads(single);
    this.many = new Threads(many);
  }

  /** Begins the thread for single calculations, which screens elsewhere wait for; the one for many dogs comes when it is asked for. */
  begin(): void {
    void this.single.begin();
  }

  /**
   * The answer, or a Failure: `busy` when there is no place, `took-too-long` at the limit of time or memory. One that nobody waits for any
   * more is computed to its end: a thread is dearer than what it does.
   */
  async answer(asked: CalculationAsked, caller: string): Promise<CalculationAnswered> {
    return await (asked.name === FITS ? this.many : this.single).answer(asked, caller);
  }

  async end(): Promise<void> {
    await Promise.all([this.single.end(), this.many.end()]);
  }
}
