import { FIRST_PICTURE_ID } from '@banter/contract';
import { h, Suspense, type Component } from 'vue';

/** What the screen shows, drawn by the server, until the screen itself is there. */
const picture = (): HTMLElement | null => (import.meta.env.SSR ? null : document.getElementById(FIRST_PICTURE_ID));

/** Whether the page came with one, and still shows it. */
export const hasFirstPicture = (): boolean => picture() !== null;

/** The files of script that draw what the picture shows; with them the screen is drawn at once, and nothing of it comes later. */
export async function scriptsOfPicture(): Promise<void> {
  const files = (picture()?.dataset.scripts ?? '').split(' ').filter(Boolean);
  await Promise.all(files.map((file) => import(/* @vite-ignore */ file)));
}

/** Takes the picture away; whoever stood on a link by the keyboard stands on the same of the screen. */
function removePicture(): void {
  const there = picture();
  const held = there?.contains(document.activeElement) ? document.activeElement!.getAttribute('href') : null;
  there?.remove();
  if (held === null) return;
  // The screen came in this moment, and is there by the next frame.
  requestAnimationFrame(() => {
    if (document.activeElement === document.body) document.querySelector<HTMLElement>(`#app a[href="${CSS.escape(held)}"]`)?.focus({ preventScroll: true });
  });
}

/** The screen in the place of its picture: it is made beside the page, its parts that have files of their own included, and takes it in one moment. */
export const inPlaceOfPicture = (screen: Component): Component => ({
  render: () => h(Suspense, { onResolve: removePicture }, { default: () => h(screen) }),
});
