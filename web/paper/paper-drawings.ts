import type { HandoverSheet, PaperDrawings } from '@banter/contract';
import { createPinia } from 'pinia';
import { createSSRApp } from 'vue';
import { renderToString } from 'vue/server-renderer';
import styleSheet from '../style.css?raw';
import { PAPER_DRAWINGS } from './paper-drawing-names.ts';
import { lightColours, plainSvg } from './plain-svg.ts';
import SheetDrawing from './SheetDrawing.vue';

const colours = lightColours(styleSheet);

/** The drawings of a handover as pictures that stand for themselves; null for what this dog does not need. */
export const drawHandover: PaperDrawings = async (sheet: HandoverSheet) => {
  const drawn = await Promise.all(
    PAPER_DRAWINGS.map(async (which) => {
      const rendered = await renderToString(createSSRApp(SheetDrawing, { sheet, which }).use(createPinia()));
      return [which, plainSvg(rendered, colours, 'Text')] as const;
    }),
  );
  return Object.fromEntries(drawn) as Awaited<ReturnType<PaperDrawings>>;
};
