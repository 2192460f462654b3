import { wearAndDeviceEvents, type NewHappening } from '@banter/contract';
import { wearsOf, type WearOddity } from '@banter/core';

const ODD: Partial<Record<WearOddity['code'], string>> = {
  'put-on-twice': 'This collar is on this dog already at that time: the two wears would overlap.',
  'end-unknown': 'This collar is on another dog at that time: take it off there first.',
};

/**
 * What told happenings would make of the wears of their collars that hands should look at first, by their place among those told; a second
 * «off» is none of it. `before` is what was told of these collars' wears before.
 */
export function wearClashes(before: readonly NewHappening[], told: readonly NewHappening[]): { index: number; message: string }[] {
  const odd = (events: readonly NewHappening[]) => {
    const { wears, strays } = wearsOf(wearAndDeviceEvents(events).wear);
    return [...wears.flatMap(({ oddities }) => oddities), ...strays];
  };
  const was = new Set(odd(before).map(({ code, eventId }) => `${code} ${eventId}`));
  const fresh = odd([...before, ...told]).filter(({ code, eventId }) => !was.has(`${code} ${eventId}`) && code !== 'taken-off-twice');
  return fresh.map(({ code, eventId }) => {
    // What was kept before clashes through what is told now.
    const index = Math.max(
      0,
      told.findIndex(({ id }) => id === eventId),
    );
    if (code !== 'never-on') return { index, message: ODD[code]! };
    const ends = told[index]!.event === 'taken-off';
    return { index, message: ends ? 'It was not on this dog then: a wear cannot end before it begins.' : 'It was not on this dog then.' };
  });
}
