import { FIRST_PICTURE_ID } from '@banter/contract';

/** What the screen shows, drawn by the server, until the screen itself is there. */
const picture = (): HTMLElement | null => (import.meta.env.SSR ? null : document.getElementById(FIRST_PICTURE_ID));

/** Whether the page came with one, and still shows it. */
export const hasFirstPicture = (): boolean => picture() !== null;

/** The files of script that draw what the picture shows; with them the screen is drawn at once, and nothing of it comes later. */
export async function scriptsOfPicture(): Promise<void> {
  const files = (picture()?.dataset.scripts ?? '').split(' ').filter(Boolean);
  await Promise.all(files.map((file) => import(/* @vite-ignore */ file)));
}

/** Puts the screen in the place of the picture, in one moment; whoever stood on a link by the keyboard stands there still. */
export function replacePicture(draw: () => void): void {
  const there = picture();
  const held = there?.contains(document.activeElement) ? document.activeElement!.getAttribute('href') : null;
  there?.remove();
  draw();
  if (held === null) return;
  // What came with the page is drawn within this moment, before the next frame.
  requestAnimationFrame(() => {
    if (document.activeElement === document.body) document.querySelector<HTMLElement>(`#app a[href="${CSS.escape(held)}"]`)?.focus({ preventScroll: true });
  });
}
