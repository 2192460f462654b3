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

/** A drawing's texts in the typefaces that have their signs, as `runsOf` does for the page. */
export function lettered(svg: string): string {
  return svg.replaceAll(/>([^<]+)</g, (whole, text: string) => {
    // A sign written as an entity is one of XML's own, which every face has.
    const runs = runsOf(text);
    return runs.every(({ font }) => font === 'Text')
      ? whole
      : `>${runs.map((run) => (run.font === 'Text' ? run.text : `<tspan font-family="${run.font}">${run.text}</tspan>`)).join('')}<`;
  });
}

/** Signs that no typeface of paper has: they would be boxes. */
export const signsWithoutGlyph = (text: string): string[] =>
  [...new Set(text)].filter(
    (sign) => sign !== '\n' && runsOf(sign).some(({ font }) => !faceOf(PAPER_FONTS[font].normal).hasGlyphForCodePoint(sign.codePointAt(0)!)),
  );
