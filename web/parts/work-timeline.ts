import { dayOf, dayStartOf, type DogRecord, type FieldSession } from '@banter/contract';
import { levelWords, MINUTE_MS } from '@banter/core';
import { group, sum } from 'd3-array';
import type { TimelineEntry } from './timeline.ts';

const happened = { rules: null, coreVersion: '', taping: null, corrected: false, note: '' };
const many = (count: number, one: string, more = `${one}s`) => `${count} ${count === 1 ? one : more}`;
const minutes = (sessions: readonly FieldSession[]) => Math.round(sum(sessions, ({ tally }) => tally.lastedMs) / MINUTE_MS);

/** The sessions of a dog, an entry for each day: how many and how long, and what they came to. The kennel's zone makes the day. */
export function workedDays({ worked }: Pick<DogRecord, 'worked'>, timeZone: string): TimelineEntry[] {
  return [...group(worked, ({ begunAt }) => dayOf(Date.parse(begunAt), timeZone)).values()].map((sessions): TimelineEntry => {
    const tooMuch = sessions.flatMap(({ tally }) => tally.tooMuch.map(({ level }) => level));
    const counted = [
      [sum(sessions, ({ tally }) => tally.rewards), 'reward'],
      [sum(sessions, ({ tally }) => tally.corrections), 'correction'],
      [sum(sessions, ({ tally }) => tally.presses), 'press', 'presses'],
      [sum(sessions, ({ tally }) => tally.pushedUp), 'time pushed back up', 'times pushed back up'],
    ] as const;
    const counts = counted.flatMap(([count, one, more]) => (count > 0 ? [many(count, one, more)] : []));
    return {
      ...happened,
      id: `worked ${sessions[0]!.id}`,
      at: sessions.at(-1)!.begunAt,
      by: [...new Set(sessions.map(({ handlerName }) => handlerName))].join(', '),
      title: `${many(sessions.length, 'session')}, ${minutes(sessions)} min${counts.length > 0 ? `: ${counts.join(', ')}` : ''}.`,
      tone: tooMuch.length > 0 ? 'stop' : 'open',
      word: sessions.some(({ purpose }) => purpose === 'finding') ? 'Worked, level finding' : 'Worked',
      reasons: tooMuch.length > 0 ? [{ code: 'too-much', text: `${levelWords(Math.min(...tooMuch))} was too much: a ceiling.` }] : [],
    };
  });
}

/** Programmes begun and stages moved, each with what the marks said. */
export function stageEntries({ programmes, begun: begunIds, moves }: Pick<DogRecord, 'programmes' | 'begun' | 'moves'>, timeZone: string): TimelineEntry[] {
  const begun = programmes
    .filter(({ id }) => begunIds.includes(id))
    .map((programme): TimelineEntry => ({
      ...happened,
      id: programme.id,
      at: new Date(dayStartOf(programme.startsOn, timeZone)).toISOString(),
      by: '',
      title: `${programme.name} begins. First stage: ${programme.stages[0]!.name}.`,
      tone: 'open',
      word: 'Programme',
      reasons: [],
      note: programme.note,
    }));
  const moved = moves.map((move): TimelineEntry => {
    const stages = programmes.find(({ id }) => id === move.programmeId)?.stages ?? [];
    const [from, to] = [move.fromStage, move.toStage].map((id) => stages.findIndex((stage) => stage.id === id));
    return {
      ...happened,
      id: move.id,
      at: move.at,
      by: move.personName,
      title: `${stages[from!]?.name ?? move.fromStage} → ${stages[to!]?.name ?? move.toStage}${move.overruled ? ', decided otherwise than by the marks' : ''}.`,
      tone: to! < from! ? 'mind' : 'good',
      word: to! < from! ? 'Back a stage' : 'On a stage',
      reasons: move.reasons,
      note: move.note,
    };
  });
  return [...begun, ...moved];
}
