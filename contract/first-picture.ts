import { z } from './plain-words.ts';

/** The part of a page that holds its first picture, and the part that holds the answers it was drawn with, by what was asked. */
export const FIRST_PICTURE_ID = 'first-picture';
export const CAME_ALONG_ID = 'came-along';

/** What of a device its pages are drawn by, and the server cannot know: it goes with whatever it asks for, as a cookie of this name. */
export const DEVICE_COOKIE = 'banter.device';
/** What it remembers of this, by the names under which it does. */
export const DRAWN_BY = ['banter.theme', 'banter.units'] as const;
const LONGEST = 200;
export const DeviceLook = z.object({
  /** How wide its window is, px. */
  widthPx: z.number().int().min(200).max(20_000),
  remembers: z.partialRecord(z.enum(DRAWN_BY), z.string().max(LONGEST)),
});
export type DeviceLook = z.infer<typeof DeviceLook>;

/** A picture of a screen to be drawn: its address, the answers to what it asks for as they were sent, and the device it is for. */
export type FirstPictureAsked = { path: string; answers: Readonly<Record<string, string>>; device: DeviceLook };

/**
 * A screen as text of a page, and whether it is the one that was asked for and open to all; the files of the source that drew it, and what it asked
 * for and was not given.
 */
export type FirstPictureDrawn = {
  html: string;
  isOpen: boolean;
  modules: readonly string[];
  missing: readonly string[];
};

/** Whether a device has chosen light or dark; null where it goes by its system, or says something else. */
export function themeOf({ remembers }: DeviceLook): 'light' | 'dark' | null {
  const chosen = remembers['banter.theme'];
  return chosen === '"light"' ? 'light' : chosen === '"dark"' ? 'dark' : null;
}
