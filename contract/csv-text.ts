/**
 * Text in a cell of a table, so that no spreadsheet takes it for a formula and nothing of it is lost on the way back.
 * Source: OWASP, CSV Injection (characters that begin a formula, in each line of a cell).
 */

/** A line that a spreadsheet would reckon out, with the apostrophes that stand before it already. */
const BEGINS_FORMULA = /^'*[=+\-@\t＝＋－＠]/;
/** A quantity is no formula, although it may begin with a minus: «-4 mm». */
const QUANTITY = /^-\d+(?:\.\d+)?(?: [a-z%]+)?$/i;
const ESCAPED = /^'+[=+\-@\t＝＋－＠]/;

const eachLine = (cell: string, change: (line: string) => string) =>
  cell
    .split(/(\r\n|\r|\n)/)
    .map((line, index) => (index % 2 ? line : change(line)))
    .join('');

/**
 * A cell as it is written: an apostrophe more before each line that would begin a formula.
 *
 * @example asCsvText('=1+1') // "'=1+1"
 */
export const asCsvText = (cell: string): string => eachLine(cell, (line) => (BEGINS_FORMULA.test(line) && !QUANTITY.test(line) ? `'${line}` : line));

/**
 * A cell as it was before `asCsvText`.
 *
 * @example fromCsvText("'=1+1") // '=1+1'
 */
export const fromCsvText = (cell: string): string => eachLine(cell, (line) => (ESCAPED.test(line) ? line.slice(1) : line));
