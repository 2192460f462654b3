import { collarKind, type DogGrowth, type Outgrowth, type When } from '@banter/contract';
import type { Speaker } from '@banter/core';
import { DAY_MS } from '@banter/core';

type Told = Extract<DogGrowth, { missing: null }>;

/** The day on which a dog born then is so many days old. */
export const dayAtAge = (bornOn: string, ageDays: number): Date => new Date(Date.parse(bornOn) + ageDays * DAY_MS);

/** A day as it is said beside others: without its year where that is this one. */
export function dayWordsNear(day: Date, now: number): string {
  const near = day.getUTCFullYear() === new Date(now).getUTCFullYear();
  return new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', ...(near ? {} : { year: 'numeric' }), timeZone: 'UTC' }).format(day);
}

/**
 * When something comes, in words: the likely day, with the earliest and the latest of its interval where they differ.
 *
 * @example whenWords({ earliest: 100, likely: 100, latest: 100 }, '2026-01-01', 0) // 'about 11 Apr 2026'
 */
export function whenWords({ earliest, likely, latest }: When, bornOn: string, now: number): string {
  const say = (age: number) => dayWordsNear(dayAtAge(bornOn, age), now);
  if (likely === null) return earliest === null ? 'not to be expected' : `perhaps, from ${say(earliest)} on`;
  const soon = dayAtAge(bornOn, likely).getTime() <= now + DAY_MS;
  const from = earliest === null || soon ? null : say(earliest);
  const to = latest === null ? null : say(latest);
  const span = from !== null && to !== null && from !== to ? ` (${from} to ${to})` : to === null ? `${from === null ? '' : ` (from ${from})`}` : '';
  return soon ? 'now' : `about ${say(likely)}${span}`;
}

const first = (all: readonly Outgrowth[]) => all.find(({ change, outgrown }) => (change?.when.likely ?? outgrown?.when.likely ?? null) !== null) ?? null;

/** The one sentence at the top: what its growth asks for next. */
export function growthSentence(growth: DogGrowth, name: string, bornOn: string | null, now: number): string {
  if (growth.missing === 'born') return `When was ${name} born?`;
  if (growth.missing !== null) return `Weigh ${name}.`;
  if (growth.factor === null && !growth.grown) return `Tape ${name}’s high girth: then its growth says which link and strap comes next.`;
  if (growth.grown) return `${name} is grown.`;
  const next = first(growth.outgrows);
  if (!next) return `What ${name} wears will fit to the end of its growth.`;
  const kind = collarKind(next.kind).name;
  const when = whenWords((next.change ?? next.outgrown)!.when, bornOn!, now);
  if (next.change) return `Let out ${next.collarName} ${when}: ${next.change.says}.`;
  return `${kind} ${next.collarName} is outgrown ${when}.`;
}

/** What an outgrowing collar asks for, line by line. */
export function outgrowthLines({ change, outgrown }: Outgrowth, bornOn: string, now: number, speak: Speaker): { what: string; when: string; says: string }[] {
  return [
    ...(change ? [{ what: `At ${speak.girth(change.girthMm)}`, when: whenWords(change.when, bornOn, now), says: `then ${change.says}` }] : []),
    ...(outgrown
      ? [{ what: `Outgrown at ${speak.girth(outgrown.girthMm)}`, when: whenWords(outgrown.when, bornOn, now), says: `then ${outgrown.wanted}` }]
      : []),
  ];
}

/** What the weighings tell of the end. */
export const endWords = ({ fit, adultKg }: Told, say: (kg: number) => string): string =>
  fit.by === 'weighings'
    ? `Adult weight about ${say(fit.asymptoteKg)}.`
    : adultKg === null
      ? `Perhaps ${say(fit.asymptoteKg)} grown.`
      : `About ${say(fit.asymptoteKg)} grown, as its breed.`;

/** The length of a bed, likely and at most, in whole centimetres or inches. */
export function bedWords({ likely, longest }: Told['bedMm'], unit: 'in' | 'cm'): string {
  const [from, to] = [likely, longest].map((mm) => Math.ceil(mm / (unit === 'in' ? 25.4 : 10)));
  return from === to ? `${from} ${unit}` : `${from} to ${to} ${unit}`;
}
