import { CAME_ALONG_ID, DEVICE_COOKIE, DeviceLook, FIRST_PICTURE_ID, sentAheadAt, themeOf, type FirstPictureDrawn, type SentAheadFile } from '@banter/contract';
import { parseCookie } from 'cookie';
import type { Request } from 'express';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Logger } from 'pino';
import { newPage } from '../http/one-page.ts';
import { askItself, type OwnAnswer } from './ask-itself.ts';
import { DOORSTEP, type DrawsPictures } from './first-pictures.ts';

/** The page as it was built, in parts: up to what it shows, the script it begins with, what follows; and which files draw which part of the source. */
export type BuiltPage = { head: string; begins: string; foot: string; filesOf: Readonly<Record<string, readonly string[]>> };

/** The script that a page begins with. */
const BEGINS = /<script type="module" crossorigin src="([^"]+)"><\/script>/;
const SHOWN = '<div id="app"></div>';

export function readBuiltPage(dir: string): BuiltPage | null {
  const [page, manifest] = [join(dir, 'index.html'), join(dir, '.vite', 'ssr-manifest.json')];
  if (!existsSync(page) || !existsSync(manifest)) return null;
  const [before, foot] = readFileSync(page, 'utf8').split(SHOWN);
  const begins = BEGINS.exec(before!)?.[1];
  if (foot === undefined || begins === undefined) return null;
  return { head: before!.replace(BEGINS, ''), begins, foot, filesOf: JSON.parse(readFileSync(manifest, 'utf8')) as BuiltPage['filesOf'] };
}

/** `head`: what is sent at once, while the rest is put together; `cookies`: of the answer that tells who is there. */
export type OpenedPage = { head: string; cookies: readonly string[]; rest: () => Promise<string> };

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

/** What begins a page once its picture has been painted. */
const AFTER_PICTURE = '/after-picture.js';

/** A text that stands in a page as data: no script can end there, or begin. */
const asData = (text: string): string => text.replaceAll('<', '\\u003c');
const asAttribute = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('"', '&quot;').replaceAll('<', '&lt;');

const headOf = ({ head }: BuiltPage, { title, theme }: { title: string; theme: string | null }): string =>
  head
    .replace('<html lang="en"', (begins) => (theme ? `${begins} data-theme="${theme}"` : begins))
    .replace(/<title>[^<]*<\/title>/, () => `<title>${asAttribute(title)}</title>`);

/** A page without a picture draws and asks by itself. */
const withoutPicture = ({ begins, foot }: BuiltPage): string => `${SHOWN}<script type="module" crossorigin src="${begins}"></script>${foot}`;

/** What a page shows: its picture, the answers that it was drawn with, and the scripts that come once it is painted. */
function withPicture({ begins, foot, filesOf }: BuiltPage, { drawn, answers, files: ahead }: Pictured): string {
  const files = [...new Set([...ahead.map((file) => `/${file}`), ...drawn.modules.flatMap((id) => filesOf[id] ?? [])])];
  const scripts = files.filter((file) => file.endsWith('.js') && !IS_WORKER.test(file));
  const came = Object.entries(answers).map(([path, text]) => `${JSON.stringify(path)}:${text}`);
  return (
    `<div id="${FIRST_PICTURE_ID}" aria-busy="true" data-scripts="${scripts.join(' ')}">${drawn.html}</div>${SHOWN}` +
    `<script type="application/json" id="${CAME_ALONG_ID}">{${asData(came.join(','))}}</script>` +
    `<script type="module" crossorigin src="${AFTER_PICTURE}" data-begins="${begins}"></script>${foot}`
  );
}

/** A picture, what it was drawn with, and the files that every screen of whoever is signed in and this one need. */
type Pictured = { drawn: FirstPictureDrawn; answers: Readonly<Record<string, string>>; files: readonly string[] };

/** `mayBeIn`: whether whoever asks brings a sign-in. */
export type PagesAsked = { built: BuiltPage; ahead: SentAheadFile; pictures: DrawsPictures; log: Logger; mayBeIn: boolean };

type Told = OwnAnswer & { path: string };
type AskAll = (paths: readonly string[]) => Promise<Told[]>;

/** The picture of a screen for whoever asks for it, told what it asks for first; null when that cannot be had. */
async function pictureOf(
  request: Request,
  { ahead, pictures }: PagesAsked,
  { who, first, askAll }: { who: string; first: Promise<readonly Told[]>; askAll: AskAll },
): Promise<Pictured | null> {
  const device = deviceOf(request);
  const answers: Record<string, string> = { [DOORSTEP]: who };
  const isIn = (JSON.parse(who) as { me: unknown }).me !== null;
  /** Whether all of it was answered. */
  function hear(told: readonly Told[]): boolean {
    for (const { path, text } of told) answers[path] = text;
    return told.every(({ status }) => status === 200);
  }
  const { files } = sentAheadAt(ahead, request.path);
  if (isIn && !hear(await first)) return null;
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const drawn = await pictures.draw({ path: request.originalUrl, answers, device });
    // Whoever came by a link on another site is sent without their sign-in (RFC 6265bis, SameSite): the page itself finds out who is there. The open
    // pages do without what only screens of whoever is signed in share.
    if (!isIn) return drawn.isOpen ? { drawn, answers: {}, files: [] } : null;
    const missing = drawn.missing.filter((path) => IS_ASKED.test(path) && answers[path] === undefined);
    if (missing.length === 0) return { drawn, answers, files };
    if (!hear(await askAll(missing))) return null;
  }
  return null;
}

/**
 * A page for whoever opens it in a window, begun with what does not depend on what it shows, so that a browser has made itself ready for it by the
 * time that the rest comes: what its screen shows, already drawn, and the answers it was drawn with; where that cannot be had, the page that draws and
 * asks by itself. Null when it cannot even be told who is there.
 */
export async function openPage(request: Request, asked: PagesAsked): Promise<OpenedPage | null> {
  const { built, ahead, log, mayBeIn } = asked;
  const page = newPage();
  const ask = (path: string) => askItself(request, path, { page, patienceMs: ANSWER_MS });
  const askAll: AskAll = (paths) => Promise.all(paths.map(async (path) => ({ path, ...(await ask(path)) })));
  // What its screen asks for is asked for beside who is there, and not after it.
  const first = askAll(mayBeIn ? sentAheadAt(ahead, request.path).asks.filter((path) => path !== DOORSTEP) : []);
  first.catch(() => {});
  const who = await ask(DOORSTEP);
  if (who.status !== 200) return null;
  return {
    head: headOf(built, { title: sentAheadAt(ahead, request.path).title, theme: themeOf(deviceOf(request)) }),
    cookies: who.cookies,
    rest: async () => {
      const pictured = await pictureOf(request, asked, { who: who.text, first, askAll }).catch(
        (error: unknown) => void log.warn({ error, path: request.path }, 'a page came without its picture'),
      );
      return pictured ? withPicture(built, pictured) : withoutPicture(built);
    },
  };
}
