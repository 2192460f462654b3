import type { FieldError, Problem, z } from '@banter/contract';
import { tryOnScopeDispose, useEventListener } from '@vueuse/core';
import { reactive, toRefs } from 'vue';
import { failureSentence, RequestFailure } from '../api/failure.ts';
import { send } from '../api/request.ts';
import { useConnection } from './connection.ts';
import { useSession } from './session.ts';

const FIRST_WAIT_MS = 1500;
const LONGEST_WAIT_MS = 15_000;

/**
 * Saves, and goes on trying while there is no connection. The request is the same each time, id and all, so that
 * however often it is sent it is kept once.
 *
 * `state`: still, `sending`, `waiting` for the connection, or `refused` with `errors` at their fields; `conflict` is the
 * newer record when somebody else has changed it.
 */
export function useKeep() {
  const connection = useConnection();
  const session = useSession();
  const state = reactive({
    state: 'still' as 'still' | 'sending' | 'waiting' | 'refused',
    sentence: '',
    errors: [] as FieldError[],
    conflict: null as Problem | null,
    signedOut: false,
  });
  let wake: (() => void) | null = null;
  let gone = false;
  useEventListener('online', () => wake?.());
  tryOnScopeDispose(() => {
    gone = true;
    wake?.();
  });
  const pause = (ms: number) =>
    new Promise<void>((resolve) => {
      const timer = setTimeout(resolve, ms);
      wake = () => {
        clearTimeout(timer);
        resolve();
      };
    });

  /** Answers the record once it is kept; null when it was refused or the page was left. */
  async function keep<Schema extends z.ZodType>(
    path: string,
    answer: Schema | null,
    body: unknown,
    version?: number | null,
    method: 'PUT' | 'POST' = 'PUT',
  ): Promise<z.output<Schema> | null> {
    if (state.state === 'sending' || state.state === 'waiting') return null;
    Object.assign(state, { state: 'sending', sentence: '', errors: [], conflict: null, signedOut: false });
    for (let wait = FIRST_WAIT_MS; !gone; wait = Math.min(wait * 2, LONGEST_WAIT_MS)) {
      try {
        const record = await send(method, path, answer, body, version);
        connection.reached();
        state.state = 'still';
        return record;
      } catch (failure) {
        const mayPass = failure instanceof RequestFailure && failure.mayPass;
        if (!mayPass) {
          state.state = 'refused';
          state.sentence = failureSentence(failure);
          if (failure instanceof RequestFailure) {
            state.errors = failure.errors;
            state.conflict = failure.problem?.status === 409 ? failure.problem : null;
            state.signedOut = failure.problem?.status === 401;
            if (state.signedOut) session.lost();
          }
          return null;
        }
        connection.missed();
        state.state = 'waiting';
        state.sentence = failureSentence(failure);
        await pause(wait);
      }
    }
    return null;
  }

  return { ...toRefs(state), keep, tryNow: () => wake?.(), errorAt: (path: string) => state.errors.find((error) => error.path === path)?.message ?? '' };
}

export type Keeping = ReturnType<typeof useKeep>;
