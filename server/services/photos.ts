import { PHOTO_EDGE_PX, type Photo } from '@banter/contract';
import sharp from 'sharp';
import { PhotoEntity, type PhotoRow } from '../data/entities/photo.ts';
import { writeDeed } from '../records/deeds.ts';
import { Failure } from './failure.ts';
import type { KennelScope } from './kennel-scope.ts';

/** A photo that is sent is no larger than this. */
export const PHOTO_LIMIT = 15 * 1024 * 1024;
/** Pictures of more pixels are not opened: what unpacks to more than a large camera makes is no photo. */
const MOST_PIXELS = 60_000_000;
const QUALITY = 82;
const PATIENCE_SECONDS = 15;

sharp.cache(false);
sharp.concurrency(1);

/** Formats that cameras write, by their first bytes; nothing else reaches the decoder, least of all text with script in it. */
const isPhoto = (bytes: Buffer) =>
  (bytes.length > 3 && bytes.readUIntBE(0, 3) === 0xff_d8_ff) ||
  (bytes.length > 8 && bytes.readUInt32BE(0) === 0x89_50_4e_47 && bytes.readUInt32BE(4) === 0x0d_0a_1a_0a) ||
  (bytes.length > 12 && bytes.toString('latin1', 0, 4) === 'RIFF' && bytes.toString('latin1', 8, 12) === 'WEBP');

/** Makes a photo anew: turned upright, made smaller, as JPEG, without what the camera wrote into it. */
export async function madeAnew(bytes: Buffer): Promise<{ jpeg: Buffer; widthPx: number; heightPx: number }> {
  if (!isPhoto(bytes)) throw new Failure('not-a-photo');
  try {
    const { data, info } = await sharp(bytes, { failOn: 'error', limitInputPixels: MOST_PIXELS, pages: 1 })
      .timeout({ seconds: PATIENCE_SECONDS })
      .autoOrient()
      .flatten({ background: '#ffffff' })
      .resize({ width: PHOTO_EDGE_PX, height: PHOTO_EDGE_PX, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: QUALITY })
      .toBuffer({ resolveWithObject: true });
    return { jpeg: data, widthPx: info.width, heightPx: info.height };
  } catch {
    throw new Failure('not-a-photo', { detail: 'It is damaged, too large when unpacked, or not what it says it is.' });
  }
}

/** The size of a JPEG that can be opened whole, or null. */
export async function sizeOfJpeg(bytes: Buffer): Promise<{ widthPx: number; heightPx: number } | null> {
  if (!isPhoto(bytes)) return null;
  try {
    const { format, width, height } = await sharp(bytes, { failOn: 'error', limitInputPixels: MOST_PIXELS, pages: 1 }).metadata();
    return format === 'jpeg' && (await madeAnew(bytes)) ? { widthPx: width, heightPx: height } : null;
  } catch {
    return null;
  }
}

const answer = ({ id, widthPx, heightPx, jpeg }: PhotoRow): Photo => ({ id, widthPx, heightPx, bytes: jpeg.length });

/** Keeps a photo under the id its maker gave it; the same id again answers what was kept. */
export async function keepPhoto(scope: KennelScope, id: string, bytes: Buffer): Promise<{ created: boolean; record: Photo }> {
  const existing = await scope.find(PhotoEntity, id);
  if (existing) return { created: false, record: answer(existing) };
  const made = await madeAnew(bytes);
  try {
    await scope.inOne(async (within) => {
      await within.insert(PhotoEntity, { id, personId: scope.personId, ...made, createdAt: new Date() });
      await writeDeed(within, { act: 'made', kind: 'photo', recordId: id });
    });
  } catch (error) {
    if ((error as { code?: string }).code !== 'ER_DUP_ENTRY') throw error;
    return { created: false, record: answer(await scope.get(PhotoEntity, id)) };
  }
  return { created: true, record: answer(await scope.get(PhotoEntity, id)) };
}
