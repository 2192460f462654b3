import fontUrl from '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2?url';

/** A drawing or chart that is on the screen, with what it is called. */
export type ShownDrawing = { name: string; svg: SVGSVGElement };

const FONT = 'Atkinson Hyperlegible Next Variable';
/** What the page's style sheets say of a drawing's parts, which a picture for itself must carry with it. */
const STYLED = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-opacity',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'opacity',
  'font-size',
  'font-weight',
  'text-anchor',
  'dominant-baseline',
  'visibility',
  'transform-origin',
] as const;
/** What is only for hands and readers of the page. */
const OF_THE_PAGE = /^(class|style|tabindex|role|data-.*|on.*)$/;
/** A picture in dots has this many for each of the screen's. */
const DENSITY = 3;
const LONGEST_PX = 6000;

/** The name of a drawing, as readers of the page hear it. */
function nameOf(svg: SVGSVGElement): string {
  const said =
    svg.getAttribute('aria-label') ?? svg.querySelector(':scope > title')?.textContent ?? svg.closest('[aria-label]')?.getAttribute('aria-label') ?? '';
  return said.trim();
}

/** Every drawing and chart on the screen that says what it shows, the largest first. */
export function shownDrawings(within: ParentNode): ShownDrawing[] {
  return [...within.querySelectorAll<SVGSVGElement>('svg')]
    .filter((svg) => svg.getAttribute('aria-hidden') !== 'true' && svg.getBoundingClientRect().width >= 24 && nameOf(svg) !== '')
    .map((svg) => ({ name: nameOf(svg), svg }))
    .sort((a, b) => b.svg.getBoundingClientRect().width - a.svg.getBoundingClientRect().width);
}

function carryStyles(from: Element, to: Element): void {
  const style = getComputedStyle(from);
  // Grips are for hands on the page, not for the picture.
  if (style.display === 'none' || from.hasAttribute('data-grip')) {
    to.remove();
    return;
  }
  for (const name of STYLED) {
    const value = style.getPropertyValue(name);
    if (value !== '' && value !== 'auto') to.setAttribute(name, value);
  }
  for (const { name } of [...to.attributes]) if (OF_THE_PAGE.test(name)) to.removeAttribute(name);
  const parts = [...to.children];
  [...from.children].forEach((child, index) => carryStyles(child, parts[index]!));
}

let font: Promise<string> | null = null;
/** The screen's typeface as a style that a picture carries with it; nothing when it cannot be had. */
const fontStyle = (): Promise<string> =>
  (font ??= fetch(fontUrl)
    .then(async (response) => {
      const bytes = new Uint8Array(await response.arrayBuffer());
      let text = '';
      for (let from = 0; from < bytes.length; from += 8192) text += String.fromCharCode(...bytes.subarray(from, from + 8192));
      return `@font-face{font-family:'${FONT}';font-weight:200 800;src:url(data:font/woff2;base64,${btoa(text)}) format('woff2')}`;
    })
    .catch(() => ''));

/** A drawing as SVG that stands for itself: its colours and typeface with it, at the size it has on the screen. */
export async function standaloneSvg({ svg, name }: ShownDrawing): Promise<string> {
  const { width, height } = svg.getBoundingClientRect();
  const copy = svg.cloneNode(true) as SVGSVGElement;
  carryStyles(svg, copy);
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(Math.round(width)));
  copy.setAttribute('height', String(Math.round(height)));
  copy.setAttribute('font-family', `'${FONT}', system-ui, sans-serif`);
  copy.setAttribute('aria-label', name);
  const style = document.createElementNS('http://www.w3.org/2000/svg', 'style');
  style.textContent = await fontStyle();
  copy.prepend(style);
  return new XMLSerializer().serializeToString(copy);
}

/** A drawing as PNG, three dots for each of the screen's, on the screen's own ground. */
export async function drawingPng(drawing: ShownDrawing): Promise<Blob> {
  const text = await standaloneSvg(drawing);
  const { width, height } = drawing.svg.getBoundingClientRect();
  const density = Math.min(DENSITY, LONGEST_PX / Math.max(width, height));
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(text)}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(width * density);
  canvas.height = Math.round(height * density);
  const pen = canvas.getContext('2d')!;
  pen.fillStyle = getComputedStyle(document.documentElement).getPropertyValue('--felt') || '#ffffff';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(image, 0, 0, canvas.width, canvas.height);
  return await new Promise((resolve, reject) => canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('no picture'))), 'image/png'));
}

/** A name that a file may have. */
export function fileName(name: string, ending: string): string {
  const [first = ''] = name.split(/[:;.](?:\s|$)/);
  return `${
    first
      .replaceAll(/[\\/:*?"<>|]/g, '-')
      .slice(0, 60)
      .trim() || 'drawing'
  }.${ending}`;
}
