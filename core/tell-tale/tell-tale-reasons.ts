import type { ReasonWords } from '../reasons/reason.ts';
import type { MutualInformation } from './mutual-information.ts';

export type TellTaleReason =
  | { code: 'nothing-counted' }
  | { code: 'one-side-only'; side: 'rows' | 'columns' }
  | { code: 'tells'; bits: number; columnBits: number; chance: number; limit: number }
  | { code: 'tells-little'; bits: number; columnBits: number; chance: number; limit: number }
  | { code: 'many-counted'; bits: number; columnBits: number; biasBits: number; total: number }
  | { code: 'bias'; biasBits: number; total: number };

const bitWords = (bits: number) => `${(Math.round(bits * 1000) / 1000).toFixed(3)} bits`;

export const TELL_TALE_REASON_WORDS: ReasonWords<TellTaleReason> = {
  'nothing-counted': () => 'Nothing has been counted yet.',
  'one-side-only': (r) =>
    r.side === 'rows'
      ? 'The same was worn every time: nothing can be told by it, and nothing shows that it would not be.'
      : 'The same followed every time: wear it also with the other outcome.',
  tells: (r) =>
    `What is worn tells ${bitWords(r.bits)} of the ${bitWords(r.columnBits)} of what follows, and chance says as much only ${chanceWords(r.chance)} (limit ${chanceWords(r.limit)}): the dog can learn it.`,
  'tells-little': (r) =>
    `What is worn tells ${bitWords(r.bits)} of the ${bitWords(r.columnBits)} of what follows; chance alone says as much ${chanceWords(r.chance)} (limit ${chanceWords(r.limit)}).`,
  'many-counted': (r) =>
    `What is worn tells ${bitWords(r.bits)} of the ${bitWords(r.columnBits)} of what follows, by ${r.total} counts; small counts explain ${bitWords(r.biasBits)} of it.`,
  bias: (r) => `${r.total} counts alone would seem to tell about ${bitWords(r.biasBits)} where nothing is told (Miller–Madow).`,
};
function chanceWords(chance: number): string {
  return `${Math.round(chance * 1000) / 10} % of the time`;
}

/** What a table of counts says, in the order in which it is told; `limit` is the house's chance below which a collar tells too much. */
export function tellTaleReasons(found: MutualInformation, limit: number): TellTaleReason[] {
  const { bits, rowBits, columnBits, total, biasBits, chance } = found;
  if (total === 0) return [{ code: 'nothing-counted' }];
  if (rowBits === 0) return [{ code: 'one-side-only', side: 'rows' }];
  if (columnBits === 0) return [{ code: 'one-side-only', side: 'columns' }];
  if (chance === null) return [{ code: 'many-counted', bits, columnBits, biasBits, total }];
  return [
    { code: chance < limit ? 'tells' : 'tells-little', bits, columnBits, chance, limit },
    { code: 'bias', biasBits, total },
  ];
}
