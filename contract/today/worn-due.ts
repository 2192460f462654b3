import { clockWords, HOUR_MS } from '@banter/core';
import { momentOn } from '../neck/kennel-days.ts';
import { type TodayFacts, type TodayFound } from './today-facts.ts';

/** A place to be moved within so long is due today. From memory. */
const MOVE_AHEAD_MS = 2 * HOUR_MS;

const dogOf = ({ dogId, dogName }: { dogId: string; dogName: string }) => ({ dogId, dogName });

/** What is wrong with what is worn, what is to be moved soon, and what may have come off and was not told. */
export function wornDue({ wearing, field, now, kennel }: TodayFacts): TodayFound[] {
  const alarms = wearing.flatMap((one) =>
    one.alarms.map(({ code, text, tone, from }): TodayFound => ({
      ...dogOf(one),
      code: code === 'place-over' ? 'move-place' : code === 'skin-says-off' ? 'skin-off' : 'worn-wrong',
      tone,
      title: code === 'place-over' ? `Move «${one.collarName}» on ${one.dogName}.` : `${one.dogName}, «${one.collarName}»: ${text}`,
      why: code === 'place-over' ? text : `Since ${momentOn(Date.parse(from), now, kennel.timeZone)}.`,
      to: `/dogs/${one.dogId}/neck/${code === 'place-over' ? 'contacts' : 'wear'}`,
      does: code === 'place-over' ? 'Move it' : 'Put it right',
      at: Date.parse(from),
      key: `${one.collarId} ${code}`,
    })),
  );
  const soon = field.flatMap((dog) =>
    dog.devices.flatMap(({ worn: on, collarId, name }): TodayFound[] => {
      if (!on || on.clock === null) return [];
      const due = Date.parse(on.placeSince) + dog.moveByHours * HOUR_MS;
      if (due <= now || due - now > MOVE_AHEAD_MS) return [];
      return [
        {
          dogId: dog.id,
          dogName: dog.name,
          code: 'move-place',
          tone: 'open',
          title: `Move «${name}» on ${dog.name} by ${momentOn(due, now, kennel.timeZone)}.`,
          why: `At ${clockWords(on.clock)} since ${momentOn(Date.parse(on.placeSince), now, kennel.timeZone)}; a place is moved after ${dog.moveByHours} h.`,
          to: `/dogs/${dog.id}/neck/contacts`,
          does: 'Move it',
          at: due,
          key: `${collarId} soon`,
        },
      ];
    }),
  );
  const asked = wearing
    .filter(({ ask }) => ask)
    .map((one): TodayFound => ({
      ...dogOf(one),
      code: 'still-on',
      tone: 'mind',
      title: `Is «${one.collarName}» still on ${one.dogName}?`,
      why: `On since ${momentOn(Date.parse(one.from), now, kennel.timeZone)}, and nobody said that it came off.`,
      to: `/dogs/${one.dogId}/neck/wear`,
      does: 'Say so',
      at: Date.parse(one.from),
      key: `${one.collarId} ask`,
    }));
  return [...alarms, ...soon, ...asked];
}
