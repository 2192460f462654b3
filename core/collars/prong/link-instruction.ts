import { countOf, countWord } from '../../units/count-words.ts';
import { linkMove, type LinkSplit } from './link-split.ts';

const sides = (left: number, right: number) => {
  if (left === right) return `${countWord(left)} each side`;
  if (right === 0) return left === 1 ? 'on the dog’s left' : 'all on the dog’s left';
  if (left === 0) return right === 1 ? 'on the dog’s right' : 'all on the dog’s right';
  return `${countWord(left)} on the dog’s left, ${countWord(right)} on its right`;
};

/**
 * One sentence of what to do to get from one split to another: «Take out two links, one each side.»
 * Says nothing about whether it should be done.
 */
export function linkInstruction(from: LinkSplit, to: LinkSplit): string {
  const { left, right } = linkMove(from, to);
  if (left === 0 && right === 0) return `Leave it as it is: ${countOf(from.left + from.right, 'link')}.`;
  if (left <= 0 && right <= 0) return `Take out ${countOf(-left - right, 'link')}, ${sides(-left, -right)}.`;
  if (left >= 0 && right >= 0) return `Put in ${countOf(left + right, 'link')}, ${sides(left, right)}.`;
  const [out, into, outSide, intoSide] = left < 0 ? [-left, right, 'left', 'right'] : [-right, left, 'right', 'left'];
  return `Take out ${countOf(out, 'link')} on the dog’s ${outSide} and put in ${countOf(into, 'link')} on its ${intoSide}.`;
}
