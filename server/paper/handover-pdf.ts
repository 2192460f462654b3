import { labelled } from '@banter/core';
import type { HandoverSheet, PaperDrawings } from '@banter/contract';
import pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { lettered, PAPER_FONTS, runsOf } from './paper-fonts.ts';

/** What of a handover goes on paper besides the sheet itself; `day` as the owner reads it. */
export type HandoverPaper = { sheet: HandoverSheet; toWhom: string; callWhom: string; note: string; day: string };

const INK = '#182723';
const SOFT = '#475852';
const LINE = '#b9c5bd';
const DEEP = '#1f4a45';
const PAGES = { in: { size: 'LETTER', width: 612 }, cm: { size: 'A4', width: 595.28 } } as const;
const MARGIN = 38;
const GAP = 16;
/** Two pages at most: the type gets smaller by these steps until it is so; smaller than the last nobody reads in a kennel. */
const SCALES = [1, 0.95, 0.9, 0.85, 0.8, 0.76];
const MOST_PAGES = 2;
const CHECK_DAYS = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'];

pdfmake.setFonts(PAPER_FONTS);
pdfmake.setLocalAccessPolicy((path: string) => Object.values(PAPER_FONTS).some((faces) => (Object.values(faces) as string[]).includes(path)));
pdfmake.setUrlAccessPolicy(() => false);

const runs = (text: string, more: object = {}) => runsOf(text).map((run) => ({ ...run, ...more }));
const title = (text: string, scale: number): Content => ({
  text: runsOf(text, 'Title'),
  fontSize: 11.5 * scale,
  color: DEEP,
  margin: [0, 7 * scale, 0, 2.5 * scale],
  headlineLevel: 1,
});

function linesOf(lines: HandoverSheet['sections'][number]['lines'], scale: number): Content[] {
  return lines.map(({ label, text }) => ({
    text: [...(label ? runs(`${labelled(label)} `, { bold: true }) : runs('• ')), ...runs(text)],
    margin: [0, 0, 0, 2.4 * scale],
  }));
}

/** The daily check as a grid: a box for each day of a week. */
function dailyGrid({ daily }: HandoverSheet, scale: number): Content {
  const box = (): Content => ({ canvas: [{ type: 'rect', x: 0, y: 1, w: 8.5 * scale, h: 8.5 * scale, lineColor: SOFT, lineWidth: 0.7 }], alignment: 'center' });
  return {
    table: {
      widths: ['*', ...CHECK_DAYS.map(() => 15 * scale)],
      dontBreakRows: true,
      body: [
        [{ text: '' }, ...CHECK_DAYS.map((text) => ({ text, alignment: 'center' as const, color: SOFT, fontSize: 7.4 * scale }))],
        ...daily.map(({ text }) => [{ text: runs(text) }, ...CHECK_DAYS.map(box)]),
      ],
    },
    layout: {
      hLineWidth: (row: number) => (row === 0 ? 0 : 0.5),
      vLineWidth: () => 0,
      hLineColor: () => LINE,
      paddingLeft: () => 0,
      paddingRight: () => 0,
      paddingTop: () => 1.6 * scale,
      paddingBottom: () => 1.6 * scale,
    },
  };
}

function documentOf(paper: HandoverPaper, drawn: Awaited<ReturnType<PaperDrawings>>, scale: number): TDocumentDefinitions {
  const { sheet } = paper;
  const page = PAGES[sheet.lengthUnit];
  const inner = page.width - 2 * MARGIN;
  const picture = (svg: string | null, width: number, height: number, caption: string): Content[] =>
    svg === null
      ? []
      : [
          { svg: lettered(svg), fit: [width, height], alignment: 'center', margin: [0, 4 * scale, 0, 1] },
          { text: runs(caption, { color: SOFT }), fontSize: 7.6 * scale, alignment: 'center' },
        ];
  const of = (...keys: string[]): Content[] =>
    sheet.sections.filter(({ key }) => keys.includes(key)).flatMap(({ title: name, lines }) => [title(name, scale), ...linesOf(lines, scale)]);
  const side = inner * 0.3;
  const call: Content = {
    table: {
      widths: ['*'],
      body: [
        [
          {
            stack: [
              { text: runs(`Call ${paper.callWhom}`, { bold: true }) },
              ...(paper.note ? [{ text: runs(paper.note), margin: [0, 2, 0, 0] as [number, number, number, number] }] : []),
            ],
          },
        ],
      ],
    },
    layout: {
      hLineWidth: () => 1.2,
      vLineWidth: () => 1.2,
      hLineColor: () => DEEP,
      vLineColor: () => DEEP,
      paddingLeft: () => 7,
      paddingRight: () => 7,
      paddingTop: () => 5,
      paddingBottom: () => 5,
    },
    margin: [0, 6 * scale, 0, 2 * scale],
  };
  return {
    pageSize: page.size,
    pageMargins: [MARGIN, 34, MARGIN, 40],
    info: { title: `${sheet.dogName}: handover`, author: sheet.kennelName, creator: 'Banter', producer: 'Banter' },
    language: 'en',
    tagged: true,
    displayTitle: true,
    defaultStyle: { font: 'Text', fontSize: 9.4 * scale, lineHeight: 1.12, color: INK },
    footer: (current, count) => ({
      text: [...runs(`${sheet.dogName} · ${sheet.kennelName} · ${paper.day}`), { text: `   ${current} / ${count}` }],
      alignment: 'center',
      fontSize: 7.6,
      color: SOFT,
      margin: [MARGIN, 12, MARGIN, 0],
    }),
    content: [
      {
        columns: [
          { text: runsOf(sheet.dogName, 'Title'), fontSize: 25 * scale, width: 'auto' },
          {
            text: runs(`for ${paper.toWhom}\n${sheet.kennelName}, ${paper.day}`),
            alignment: 'right',
            color: SOFT,
            fontSize: 8.6 * scale,
            margin: [0, 6, 0, 0],
          },
        ],
        columnGap: GAP,
      },
      { text: runs(sheet.facts, { color: SOFT }), fontSize: 8.8 * scale },
      { text: runs(sheet.lead, { bold: true }), fontSize: 11 * scale, margin: [0, 5 * scale, 0, 0] },
      ...picture(drawn.neck, inner, 190 * scale, 'The neck unrolled, to scale: ears at the top, nape in the middle, left and right the dog’s.'),
      {
        columns: [
          { width: '*', stack: of('wears', 'ring', 'where') },
          {
            width: side,
            stack: [
              ...picture(drawn.side, side, 150 * scale, `From above: ${sheet.dogName} works on your ${sheet.worksOn}.`),
              ...picture(drawn.letter, side, 100 * scale, 'The loop as you hold it, facing the dog.'),
              ...picture(drawn.clock, side, 150 * scale, 'From behind the dog: 1 first, then the next.'),
            ],
          },
        ],
        columnGap: GAP,
      },
      ...of('contacts', 'levels', 'on-off', 'training'),
      { unbreakable: true, stack: [title('Every day', scale), dailyGrid(sheet, scale)] },
      ...of('if', 'call'),
      call,
      ...sheet.cautions.map((text): Content => ({ text: runs(text, { color: SOFT }), fontSize: 7.8 * scale, margin: [0, 1.5, 0, 0] })),
    ],
  };
}

/** How many pages a PDF has, by its page objects. */
const pagesIn = (pdf: Buffer) => pdf.toString('latin1').match(/\/Type \/Page\b(?!s)/g)?.length ?? 0;

/** A handover on one or two pages, its drawings as vectors. A4, or Letter for those who think in inches. */
export async function handoverPdf(paper: HandoverPaper, drawHandover: PaperDrawings): Promise<Buffer> {
  const drawn = await drawHandover(paper.sheet);
  let pdf: Buffer = Buffer.alloc(0);
  for (const scale of SCALES) {
    pdf = await pdfmake.createPdf(documentOf(paper, drawn, scale)).getBuffer();
    if (pagesIn(pdf) <= MOST_PAGES) break;
  }
  return pdf;
}
