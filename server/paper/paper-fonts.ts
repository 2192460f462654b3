import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { openSync, type Font } from 'fontkit';

const require = createRequire(import.meta.url);
const folder = (name: string) => dirname(require.resolve(`${name}/package.json`));
const hyperlegible = (weight: number, style: 'normal' | 'italic') =>
  join(folder('@fontsource/atkinson-hyperlegible-next'), 'files', `atkinson-hyperlegible-next-latin-${weight}-${style}.woff`);
const dejavu = (name: string) => join(folder('dejavu-fonts-ttf'), 'ttf', `${name}.ttf`);
const grotesque = join(folder('@fontsource/bricolage-grotesque'), 'files', 'bricolage-grotesque-latin-700-normal.woff');

/** The typefaces of paper: the screen's two, and one that has the letters of the rest of Europe and the marks they lack. */
export const PAPER_FONTS = {
  Text: {
    normal: hyperlegible(400, 'normal'),
    bold: hyperlegible(700, 'normal'),
    italics: hyperlegible(400, 'italic'),
    bolditalics: hyperlegible(700, 'italic'),
  },
  Title: { normal: grotesque, bold: grotesque, italics: grotesque, bolditalics: grotesque },
  Rest: { normal: dejavu('DejaVuSans'), bold: dejavu('DejaVuSans-Bold'), italics: dejavu('DejaVuSans-Oblique'), bolditalics: dejavu('DejaVuSans-BoldOblique') },
} as const;

const opened = new Map<string, Font>();
function faceOf(file: string): Font {
  const known = opened.get(file);
  if (known) return known;
  const face = openSync(file) as Font;
  opened.set(file, face);
  return face;
}

export type Run = { text: string; font: 'Text' | 'Title' | 'Rest' };

/** A text in runs of the typeface that has its letters: a name must not lose one on paper. */
export function runsOf(text: string, font: 'Text' | 'Title' = 'Text'): Run[] {
  const face = faceOf(PAPER_FONTS[font].normal);
  const runs: Run[] = [];
  for (const letter of text) {
    const has = letter === '\n' || letter === ' ' || face.hasGlyphForCodePoint(letter.codePointAt(0)!);
    const last = runs.at(-1);
    const own = has ? font : 'Rest';
    // A blank goes with what stands before it.
    if (last && (last.font === own || letter === ' ')) last.text += letter;
    else runs.push({ text: letter, font: own });
  }
  return runs;
}
