/** Links on either side of the centre plate, by the dog's own left and right; the plate counts on neither. */
export type LinkSplit = { left: number; right: number };

/** How many links come out of (negative) or go into (positive) each side. */
export type LinkMove = { left: number; right: number };

/**
 * Links shared evenly either side of the centre plate, the odd one on the left. Common practice.
 *
 * @example evenSplit(9) // { left: 5, right: 4 }
 */
export function evenSplit(links: number): LinkSplit {
  return { left: Math.ceil(links / 2), right: Math.floor(links / 2) };
}

/**
 * Takes links out of, or puts them into, a collar one by one: out of the longer side first, into the shorter first;
 * on even sides out of the right and into the left, so that the odd one ends on the left. Common practice.
 *
 * @example shiftLinks({ left: 5, right: 4 }, -1) // { left: 4, right: 4 }
 */
export function shiftLinks(split: LinkSplit, change: number): LinkSplit {
  let { left, right } = split;
  for (let step = 0; step < Math.abs(change); step += 1) {
    if (change < 0) {
      if (left > right) left -= 1;
      else right -= 1;
    } else if (left > right) right += 1;
    else left += 1;
  }
  return { left, right };
}

/** What has to move to get from one split to another. */
export function linkMove(from: LinkSplit, to: LinkSplit): LinkMove {
  return { left: to.left - from.left, right: to.right - from.right };
}

/** How uneven two sides are: a difference of one is fine, three is not. Common practice. */
export function evenness({ left, right }: LinkSplit): 'even' | 'uneven' | 'lopsided' {
  const difference = Math.abs(left - right);
  return difference <= 1 ? 'even' : difference < 3 ? 'uneven' : 'lopsided';
}
