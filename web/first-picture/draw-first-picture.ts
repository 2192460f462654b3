import type { FirstPictureAsked, FirstPictureDrawn } from '@banter/contract';
import { provideSSRWidth } from '@vueuse/core';
import { disposePinia } from 'pinia';
import { createMemoryHistory } from 'vue-router';
import { renderToString, type SSRContext } from 'vue/server-renderer';
import { drawWith } from '../api/came-along.ts';
import { makeApp } from '../make-app.ts';
import { drawFor } from './device.ts';

/** What answers nothing before the screen itself is there: it is seen, and not pressed or typed into. Text has no such signs: it is escaped. */
const PRESSED = /<(button|select|summary)\b/g;
const TYPED_INTO = /<(input|textarea)\b/g;

/**
 * Draws what the screen at an address shows, with the answers to what it asks for, from the same components as in the browser. It asks
 * nobody: what it lacks is named in `missing`. One picture is drawn at a time, since they share what the page knows.
 */
export default async function drawFirstPicture({ path, answers, device }: FirstPictureAsked): Promise<FirstPictureDrawn> {
  const { missing } = drawWith(Object.fromEntries(Object.entries(answers).map(([asked, text]) => [asked, JSON.parse(text) as unknown])));
  drawFor(device);
  const { app, router, pinia } = makeApp(createMemoryHistory());
  provideSSRWidth(device.widthPx, app);
  await router.push(path);
  await router.isReady();
  const context: SSRContext = {};
  const html = await renderToString(app, context);
  const shown = router.currentRoute.value;
  disposePinia(pinia);
  return {
    html: html.replaceAll(PRESSED, '<$1 inert').replaceAll(TYPED_INTO, '<$1 inert readonly'),
    isOpen: shown.meta.open === true && shown.fullPath === path,
    modules: [...((context.modules ?? new Set()) as Set<string>)],
    missing: [...missing()],
  };
}
