import { CAME_ALONG_ID, DEVICE_COOKIE, DeviceLook, FIRST_PICTURE_ID, sentAheadAt, type FirstPictureDrawn, type SentAheadFile } from '@banter/contract';
import { parseCookie } from 'cookie';
import type { Request } from 'express';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { askItself } from './ask-itself.ts';
import { DOORSTEP, type DrawsPictures } from './first-pictures.ts';

/** What the build tells of the pages that a picture needs: the page itself, and which files draw which part of the source. */
export type BuiltPage = { page: string; filesOf: Readonly<Record<string, readonly string[]>> };
export function readBuiltPage(dir: string): BuiltPage | null {
  const [page, manifest] = [join(dir, 'index.html'), join(dir, '.vite', 'ssr-manifest.json')];
  return existsSync(page) && existsSync(manifest)
    ? { page: readFileSync(page, 'utf8'), filesOf: JSON.parse(readFileSync(manifest, 'utf8')) as BuiltPage['filesOf'] }
    : null;
}

/** `styles`: what its picture is painted by. */
export type PageWithPicture = { html: string; cookies: readonly string[]; styles: string[] };

/** How wide a window is thought to be, px: of a phone, and of any other. */
const WIDTHS = { phone: 390, desk: 1280 } as const;
/** (Client Hints, https://wicg.github.io/ua-client-hints; where a browser sends none, its own name says so.) */
const isPhone = ({ headers }: Request): boolean => headers['sec-ch-ua-mobile'] === '?1' || /\b(Mobile|iPhone|Android)\b/.test(headers['user-agent'] ?? '');

/** What a device says of itself; of one that says nothing, or nothing that can be read, what it most likely is. */
function deviceOf(request: Request): DeviceLook {
  try {
    const told = DeviceLook.safeParse(JSON.parse(parseCookie(request.headers.cookie ?? '')[DEVICE_COOKIE] ?? 'null'));
    if (told.success) return told.data;
  } catch {
    // As if it had said nothing.
  }
  return { widthPx: isPhone(request) ? WIDTHS.phone : WIDTHS.desk, remembers: {} };
}

/** What runs beside a page is none of its scripts. */
const IS_WORKER = /\.worker-/;

/** So long an answer is waited for, ms; a page without a picture is better than a late one. */
const ANSWER_MS = 1_500;
/** What a screen asks for may follow from what it was answered: so often it is drawn at most. */
const MOST_ROUNDS = 3;
/** Where what a screen asks for lies, and nothing else. */
const IS_ASKED = /^\/api\/[\w/-]+(\?[\w=&%.,:+-]*)?$/;

/** The script that a page begins with, and what begins it once the picture has been painted. */
const BEGINS = /<script type="module" crossorigin src="([^"]+)"><\/script>/;
const AFTER_PICTURE = '/after-picture.js';

/** A text that stands in a page as data: no script can end there, or begin. */
const asData = (text: string): string => text.replaceAll('<', '\\u003c');
const asAttribute = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('"', '&quot;').replaceAll('<', '&lt;');

/** The page as it was built, with a picture on it, the answers that it was drawn with, and the scripts that come once it is painted. */
function withPicture(
  { page, filesOf }: BuiltPage,
  drawn: FirstPictureDrawn,
  { answers, files: ahead }: { answers: Readonly<Record<string, string>>; files: readonly string[] },
): Pick<PageWithPicture, 'html' | 'styles'> {
  const files = [...new Set([...ahead.map((file) => `/${file}`), ...drawn.modules.flatMap((id) => filesOf[id] ?? [])])];
  const scripts = files.filter((file) => file.endsWith('.js') && !IS_WORKER.test(file));
  const styles = files.filter((file) => file.endsWith('.css'));
  const more = styles.filter((file) => !page.includes(file)).map((file) => `<link rel="stylesheet" crossorigin href="${file}">`);
  const came = Object.entries(answers).map(([path, text]) => `${JSON.stringify(path)}:${text}`);
  const html = page
    .replace('<html lang="en"', (begins) => (drawn.theme ? `${begins} data-theme="${drawn.theme}"` : begins))
    .replace(/<title>[^<]*<\/title>/, () => `<title>${asAttribute(drawn.title)}</title>`)
    .replace(BEGINS, (_, file: string) => `<script type="module" crossorigin src="${AFTER_PICTURE}" data-begins="${file}"></script>`)
    .replace('</head>', () => `${more.join('')}</head>`)
    .replace(
      '<div id="app"></div>',
      () =>
        `<div id="${FIRST_PICTURE_ID}" aria-busy="true" data-scripts="${scripts.join(' ')}">${drawn.html}</div><div id="app"></div>` +
        `<script type="application/json" id="${CAME_ALONG_ID}">{${asData(came.join(','))}}</script>`,
    );
  return { html, styles: styles.map((file) => file.slice(1)) };
}

/**
 * A page with what its screen shows already drawn on it, and the answers it was drawn with, for whoever asks for it; null when that cannot be had:
 * then the page comes as it is, and draws and asks by itself.
 */
export async function pageWithPicture(
  request: Request,
  { built, ahead, pictures, mayBeIn }: { built: BuiltPage; ahead: SentAheadFile; pictures: DrawsPictures; mayBeIn: boolean },
): Promise<PageWithPicture | null> {
  const device = deviceOf(request);
  const answers: Record<string, string> = {};
  const cookies: string[] = [];
  /** Whether all of it was answered. */
  async function ask(paths: readonly string[]): Promise<boolean> {
    const told = await Promise.all(paths.map(async (path) => ({ path, ...(await askItself(request, path, ANSWER_MS)) })));
    for (const { path, text, cookies: set } of told) {
      answers[path] = text;
      cookies.push(...set);
    }
    return told.every(({ status }) => status === 200);
  }

  const { asks, files } = sentAheadAt(ahead, request.path);
  if (!(await ask(mayBeIn ? asks : [DOORSTEP]))) return null;
  const isIn = (JSON.parse(answers[DOORSTEP]!) as { me: unknown }).me !== null;
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const drawn = await pictures.draw({ path: request.originalUrl, answers, device });
    // Whoever came by a link on another site is sent without their sign-in (RFC 6265bis, SameSite): the page itself finds out who is there.
    // The open pages do without what only screens of whoever is signed in share.
    if (!isIn) return drawn.isOpen ? { ...withPicture(built, drawn, { answers: {}, files: [] }), cookies } : null;
    const missing = drawn.missing.filter((path) => IS_ASKED.test(path) && answers[path] === undefined);
    if (missing.length === 0) return { ...withPicture(built, drawn, { answers, files }), cookies };
    if (!(await ask(missing))) return null;
  }
  return null;
}
