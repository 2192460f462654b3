/** Names that XML knows by their capitals, which rendering to text writes small. */
const CAPITALS = ['viewBox', 'preserveAspectRatio', 'patternUnits', 'patternTransform', 'textLength', 'gradientUnits', 'clipPathUnits'];

/** The colours of the light screen, by their names in its style sheet. */
export function lightColours(styleSheet: string): ReadonlyMap<string, string> {
  const [root = ''] = /:root\s*\{[^}]*\}/.exec(styleSheet) ?? [];
  return new Map([...root.matchAll(/--([a-z-]+):\s*(#[0-9a-f]{6});/g)].map(([, name, value]) => [name!, value!]));
}

/**
 * A drawing as it was rendered, made a picture that stands for itself: SVG 1.1 with its colours written out, without what only a page
 * knows. Null when nothing is drawn. Throws for a colour that the screen does not have.
 */
export function plainSvg(rendered: string, colours: ReadonlyMap<string, string>, font: string): string | null {
  const [svg] = /<svg[\s\S]*<\/svg>/.exec(rendered) ?? [];
  if (!svg) return null;
  const named = svg
    .replaceAll(/<!--[\s\S]*?-->/g, '')
    .replaceAll(/ (class|tabindex|role|data-[a-z-]+|aria-labelledby)="[^"]*"/g, '')
    .replaceAll(/var\(--([a-z-]+)\)/g, (_all, name: string) => {
      const colour = colours.get(name);
      if (colour === undefined) throw new Error(`no colour is called ${name}`);
      return colour;
    });
  const capitals = CAPITALS.reduce((so, name) => so.replaceAll(` ${name.toLowerCase()}="`, ` ${name}="`), named);
  return capitals.replace('<svg', `<svg xmlns="http://www.w3.org/2000/svg" font-family="${font}"`);
}
