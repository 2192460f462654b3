import type { FirstPictureAsked, FirstPictureDrawn } from '@banter/contract';
import { setTimeout as pause } from 'node:timers/promises';
import { Piscina } from 'piscina';

/** Memory that the thread may fill, MB. */
const THREAD_MB = 256;
/** Pictures that may wait for it: whoever comes then opens without one, as fast as ever. */
const PLACES = 8;
/** So long a page waits for its picture at most, its turn included, ms. */
const PATIENCE_MS = 1_500;
/** A picture that takes this long to draw is none any more, ms: its thread is ended, and another begun. */
const HANGS_MS = 10_000;

/** What draws a first picture; rejected when it cannot. */
export type DrawsPictures = { draw: (asked: FirstPictureAsked) => Promise<FirstPictureDrawn> };

/** Draws first pictures of pages, in a thread of their own, one after the other. */
export class FirstPictures implements DrawsPictures {
  private pool: Piscina<FirstPictureAsked, FirstPictureDrawn> | null = null;
  /** Until the thread has drawn something it is being made, which no page waits for. */
  private isReady = false;

  /** `file`: the built drawing of pages. */
  constructor(private readonly file: string) {}

  private open(): Piscina<FirstPictureAsked, FirstPictureDrawn> {
    this.pool ??= new Piscina<FirstPictureAsked, FirstPictureDrawn>({
      filename: this.file,
      minThreads: 1,
      maxThreads: 1,
      maxQueue: PLACES,
      concurrentTasksPerWorker: 1,
      execArgv: [],
      resourceLimits: { maxOldGenerationSizeMb: THREAD_MB },
    });
    return this.pool;
  }

  /** Begins the thread; rejected when it cannot draw. */
  async begin(): Promise<void> {
    await this.open().run({ path: '/', answers: { [DOORSTEP]: NOBODY }, device: { widthPx: 1280, remembers: {} } });
    this.isReady = true;
  }

  /** Rejected when it cannot be drawn, when too many wait, or when it takes too long. */
  async draw(asked: FirstPictureAsked): Promise<FirstPictureDrawn> {
    if (!this.isReady) throw new Error('the thread that draws first pictures is not there yet');
    const drawing = this.open().run(asked, { signal: AbortSignal.timeout(HANGS_MS) });
    drawing.catch((error: Error) => {
      if (error.name !== 'AbortError') return;
      this.isReady = false;
      void this.begin().catch(() => {});
    });
    const late = pause(PATIENCE_MS, null, { ref: false }).then(() => Promise.reject(new Error('the first picture took too long')));
    return Promise.race([drawing, late]);
  }

  async end(): Promise<void> {
    await this.pool?.destroy();
    this.pool = null;
  }
}

/** Where it is asked who is there, and what is answered when that is nobody. */
export const DOORSTEP = '/api/doorstep';
const NOBODY = JSON.stringify({ me: null, demo: false, waitingRole: null });
