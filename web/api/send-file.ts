import { Problem, type z } from '@banter/contract';
import { changing } from './changing.ts';
import { RequestFailure } from './failure.ts';

/** A whole kennel may be on its way this long. */
const PATIENCE_MS = 300_000;

/** Sends a file as it is, telling how much of it has gone. Throws a RequestFailure, and nothing else; `stop` breaks it off. */
export function sendFile<Schema extends z.ZodType>(path: string, file: Blob, answer: Schema, progress: (share: number) => void) {
  const request = new XMLHttpRequest();
  const changed = changing(PATIENCE_MS);
  request.onloadend = changed;
  const done = new Promise<z.output<Schema>>((resolve, reject) => {
    request.open('POST', path);
    request.setRequestHeader('Content-Type', 'application/octet-stream');
    request.upload.onprogress = ({ loaded, total }) => progress(total === 0 ? 1 : loaded / total);
    request.onerror = request.onabort = () => reject(new RequestFailure(null));
    request.onload = () => {
      const json = (() => {
        try {
          return JSON.parse(request.responseText) as unknown;
        } catch {
          return null;
        }
      })();
      const parsed = answer.safeParse(json);
      if (request.status < 300 && parsed.success) resolve(parsed.data);
      else reject(new RequestFailure(Problem.safeParse(json).data ?? null));
    };
    request.send(file);
  });
  return { done, stop: () => request.abort() };
}
