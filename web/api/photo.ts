import { Photo, Problem } from '@banter/contract';
import { RequestFailure } from './failure.ts';

/** A photo on its way may take this long, on a slow line. */
const PATIENCE_MS = 60_000;

/** Sends a photo as it is, to be kept under an id. Throws a RequestFailure, and nothing else. */
export async function sendPhoto(id: string, file: Blob): Promise<Photo> {
  let response: Response;
  try {
    response = await fetch(`/api/photos/${id}`, {
      method: 'PUT',
      credentials: 'same-origin',
      signal: AbortSignal.timeout(PATIENCE_MS),
      headers: { 'Content-Type': file.type.startsWith('image/') ? file.type : 'image/jpeg' },
      body: file,
    });
  } catch {
    throw new RequestFailure(null);
  }
  if (!response.ok) {
    const problem = Problem.safeParse(await response.json().catch(() => null));
    throw new RequestFailure(problem.success ? problem.data : null);
  }
  const photo = Photo.safeParse(await response.json().catch(() => null));
  if (!photo.success) throw new RequestFailure(null);
  return photo.data;
}
