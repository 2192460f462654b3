import { gaugeName } from '@banter/core/collars/prong';
import { countOf, type KitUp, capital } from '@banter/core';

/** The one sentence of a class kitted up: what to buy, and how much to move. */
export function kitUpSentence({ given, bought, linksBought, linksMoved }: KitUp): string {
  const without = given.filter(({ given: one }) => one.from === 'nowhere').length;
  const buying = [...(bought > 0 ? [countOf(bought, 'collar')] : []), ...(linksBought > 0 ? [countOf(linksBought, 'link')] : [])];
  const buy = buying.length === 0 ? 'nothing to buy' : `buy ${buying.join(' and ')}`;
  const move = linksMoved === 0 ? 'no link to move' : `${countOf(linksMoved, 'link')} to move`;
  return `${capital(countOf(given.length - without, 'dog'))} kitted up: ${buy}, ${move}${without > 0 ? `; ${countOf(without, 'dog')} without` : ''}.`;
}

/** Links to buy, by gauge. */
export const linksToBuy = ({ buyLinks }: KitUp): string[] => buyLinks.map(({ gaugeMm, links }) => `${countOf(links, 'link')} of ${gaugeName(gaugeMm)}`);
