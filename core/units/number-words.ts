/** Why a written amount could not be read. */
export type AmountProblem = 'empty' | 'not-a-number' | 'zero-denominator' | 'unknown-unit' | 'negative';

/** One written number with the unit behind it, if any; `unit` is the word as typed, lower case. */
export type WrittenAmount = { value: number; unit: string };

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

const AMOUNT =
  /^(?:(?<whole>\d+)(?:\s+|\s*-\s*|\s*\+\s*)(?<topMixed>\d+)\s*\/\s*(?<bottomMixed>\d+)|(?<top>\d+)\s*\/\s*(?<bottom>\d+)|(?<decimal>\d+(?:[.,]\d+)?|[.,]\d+))\s*(?<unit>[a-z"″”'′]*\.?)\s*/;

/**
 * Reads one or more amounts as people write them: `15 3/8`, `15-3/8 in`, `39,1cm`, `1 ft 3 in`, `15⅜"`.
 *
 * Numbers are unsigned. Answers a problem, never a guess: a comma is a decimal mark (`39,1`), and
 * `1,234` is read as 1.234, as a ruler never shows a thousand separator.
 */
export function readWrittenAmounts(text: string): { amounts: WrittenAmount[] } | { problem: AmountProblem } {
  let rest = text
    .trim()
    .toLowerCase()
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (sign) => ` ${VULGAR[sign]}`)
    .trim();
  if (rest === '') return { problem: 'empty' };
  if (/^[-−–]\s*[\d.,]/.test(rest)) return { problem: 'negative' };
  const amounts: WrittenAmount[] = [];
  while (rest !== '') {
    const groups = AMOUNT.exec(rest)?.groups;
    if (!groups) return { problem: 'not-a-number' };
    const bottom = Number(groups.bottomMixed ?? groups.bottom ?? 1);
    if (bottom === 0) return { problem: 'zero-denominator' };
    const value =
      groups.decimal !== undefined ? Number(groups.decimal.replace(',', '.')) : Number(groups.whole ?? 0) + Number(groups.topMixed ?? groups.top) / bottom;
    amounts.push({ value, unit: (groups.unit ?? '').replace(/\.$/, '') });
    rest = rest.slice(AMOUNT.exec(rest)![0].length);
  }
  return { amounts };
}
