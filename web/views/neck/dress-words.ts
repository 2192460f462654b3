import { collarKind, momentOn, type DressedDog, type DressedItem } from '@banter/contract';
import {
  listWords,
  STACK_REASON_TONES,
  STACK_REASON_WORDS,
  WEAR_MARK_TONES,
  WEAR_MARK_WORDS,
  WEAR_STATES,
  WEAR_STATE_WORDS,
  speakHours,
  wordReason,
  type Speaker,
  type Wear,
  type WearState,
  HOUR_MS,
  capital,
} from '@banter/core';
import type { EventToTell } from '../../stores/tell.ts';
import type { VerdictTone } from '../../parts/verdict.ts';

/** How a dog that wears something may be watched, as answers to choose from. */
export const STATE_ANSWERS = WEAR_STATES.map((value) => ({ value, label: capital(WEAR_STATE_WORDS[value].name) }));

/** The open wear of a thing of the stack, if it is on. */
export const openWearOf = (dressed: Pick<DressedDog, 'wears'>, item: DressedItem): Wear | null =>
  dressed.wears.find(({ wear }) => wear.to === null && wear.collarId === item.fit?.plan.inputs.collar.id)?.wear ?? null;

/** Where the contacts of a thing go when it is put on now; null where it has none, or no place is free. */
export const nextPlaceOf = (dressed: Pick<DressedDog, 'contacts'>, item: DressedItem): number | null =>
  dressed.contacts.find(({ fit }) => fit === item.fit)?.rotation.next ?? null;

/** Whether a thing may go on now: contacts only where a place is free, and never on red skin. */
export const mayGoOn = (dressed: Pick<DressedDog, 'contacts'>, item: DressedItem): boolean =>
  !dressed.contacts.some(({ fit }) => fit === item.fit) || nextPlaceOf(dressed, item) !== null;

/** What puts things on a dog, as events; what has no free place stays off. */
export const putOn = (dogId: string, dressed: DressedDog, items: readonly DressedItem[], state: WearState): EventToTell[] =>
  items.flatMap((item): EventToTell[] =>
    item.fit && mayGoOn(dressed, item) ? [{ event: 'put-on', dogId, collarId: item.fit.plan.inputs.collar.id, clock: nextPlaceOf(dressed, item), state }] : [],
  );

/** Whether it has anything on now: then the door is next. */
export const wearsSomething = ({ wears }: Pick<DressedDog, 'wears'>): boolean => wears.some(({ wear }) => wear.to === null);

/** Since when something is on, and for how long. */
export const sinceWords = (wear: Wear, now: number, zone: string): string =>
  `since ${momentOn(wear.from, now, zone)}, ${speakHours((now - wear.from) / HOUR_MS)}`;

/** What to do about the stack, as one sentence, and how sure it is. */
export function stackSentence(dressed: DressedDog, dogName: string, speak: Speaker): { sentence: string; tone: VerdictTone } {
  const { items, stack } = dressed;
  const alarm = dressed.wears.flatMap(({ wear, marks, collar }) =>
    wear.to === null ? marks.filter(({ to, code }) => to === null && WEAR_MARK_TONES[code] === 'stop').map((mark) => ({ mark, collar })) : [],
  )[0];
  if (alarm) return { sentence: `${alarm.collar?.name ?? 'It'}: ${wordReason(WEAR_MARK_WORDS, alarm.mark, speak).text}`, tone: 'stop' };
  const worst = (['stop', 'mind'] as const).flatMap((tone) => stack.reasons.filter(({ code }) => STACK_REASON_TONES[code] === tone))[0];
  if (items.length === 0) return { sentence: `Nothing is fitted on ${dogName} yet.`, tone: 'open' };
  if (worst) return { sentence: wordReason(STACK_REASON_WORDS, worst, speak).text, tone: stack.tone };
  const off = items.filter((item) => item.fit && !openWearOf(dressed, item));
  /** A collar by its own name alone: its kind stands in the list and in the drawing. */
  const called = ({ fit, name }: DressedItem) => fit?.plan.inputs.collar.name ?? name;
  if (off.length === 0) return { sentence: `${dogName} wears ${listWords(items.map(called))}.`, tone: stack.tone };
  const next = items.filter((item) => off.includes(item) || !item.fit).map(called);
  return { sentence: `Put on ${next.join(', then ')}.`, tone: 'open' };
}

/** The kind's own caution, where it trains. */
export const cautionOf = (item: DressedItem): string | null => (item.fit && item.layer !== 'holding' ? collarKind(item.fit.plan.kind).caution : null);
