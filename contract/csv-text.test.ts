import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asCsvText, fromCsvText } from './csv-text.ts';

describe('text in a cell of a table', () => {
  it('begins no formula in any of its lines', () => {
    for (const [cell, written] of [
      ['=1+1', "'=1+1"],
      ['Shy of men.\n=HYPERLINK("http://x")\r\n@SUM(A1)', 'Shy of men.\n\'=HYPERLINK("http://x")\r\n\'@SUM(A1)'],
      ["-1+cmd|' /C calc'!A0", "'-1+cmd|' /C calc'!A0"],
      ['\tx', "'\tx"],
      ['＝1', "'＝1"],
      ["'=1", "''=1"],
    ] as const)
      expect(asCsvText(cell)).toBe(written);
  });
  it('is left alone where it begins none', () => {
    for (const cell of ['-4 mm', '-4.5', "'tis a dog", "O'Hara", 'a = b', '']) expect(asCsvText(cell)).toBe(cell);
  });
  it('comes back as it was, whatever it was', () => {
    const line = fc.array(fc.constantFrom("'", '=', '+', '-', '@', '\t', 'a', '4', ' ', '\n', '\r'), { maxLength: 12 }).map((all) => all.join(''));
    fc.assert(
      fc.property(line, (cell) => fromCsvText(asCsvText(cell)) === cell),
      { seed: 7, numRuns: 2000 },
    );
    fc.assert(fc.property(line, (cell) => asCsvText(cell).split(/[\r\n]/).every((one) => !/^[=+@\t]/.test(one) && (!one.startsWith('-') || /^-\d+( a+)?$/.test(one)))), { seed: 7, numRuns: 2000 }); // prettier-ignore
  });
});
