import { PHOTO_EDGE_PX, PROBLEMS } from '@banter/contract';

/** It is made anew by the kennel once more, which costs a little of it again. */
const QUALITY = 0.9;

/** What somebody chose is no photo that can be read here. */
export class NoPhoto extends Error {
  constructor() {
    super(PROBLEMS['not-a-photo'].title);
  }
}

/**
 * A photo as it is kept, made on this device: upright, at most PHOTO_EDGE_PX long, as JPEG, without what the camera wrote into it. A photo of 5 MB
 * goes over a slow line as some 200 kB, and what is none is said at once, also without a connection. Throws NoPhoto.
 */
export async function smallerPhoto(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => null);
  if (!picture) throw new NoPhoto();
  const scale = Math.min(1, PHOTO_EDGE_PX / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.max(1, Math.round(picture.width * scale)), Math.max(1, Math.round(picture.height * scale))];
  const pen = canvas.getContext('2d')!;
  // What is see-through lies on white, as on paper.
  pen.fillStyle = '#ffffff';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  const made = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', QUALITY));
  if (!made) throw new NoPhoto();
  return made;
}
