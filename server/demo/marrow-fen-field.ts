import type { NewHappening } from '@banter/contract';
import type { Direction, DogResponse } from '@banter/core';

/** A day so many days ago, an id of that time, and chance, all the same for the same day. */
type Make = { id: (at: Date) => string; ago: (days: number, minutes?: number) => Date; chance: () => number; normal: () => number };
type Untimed<Event> = Event extends NewHappening ? Omit<Event, 'id' | 'at' | 'sessionId'> : never;
type Told = (seconds: number, event: Untimed<NewHappening>) => string;

/** Where Marrow Fen works besides the usual. */
export const MARROW_FEN_SETTINGS = [{ id: 'bog', name: 'cranberry bog' }];

/** The day since which Bramble's contacts have not touched well in the yard: the strap was set a hole too loose, and nobody felt. */
export const CONTACT_FAILS_DAYS_AGO = 8;
/** The day since which Bramble works at a lower level on the bog: the one genuine change. */
const LEARNT_DAYS_AGO = 18;
const CURLEW_DAYS = 40;

/**
 * Ninety days of sessions, every name and number invented: Bramble with the remote in yard and bog, in which one level climbs
 * because contact was poor and one truly changed; four others on the leash, who need less correction as the weeks go by.
 */
export function toldSessions(
  ids: { dogs: { bramble: string; moss: string; nutmeg: string; wick: string; hale: string }; curlew: string; staff: readonly string[] },
  make: Make,
): { dogId: string; by: 0 | 1 | 2; events: NewHappening[] }[] {
  const sessions: { dogId: string; by: 0 | 1 | 2; events: NewHappening[] }[] = [];
  const session = (
    {
      dogId,
      by,
      days,
      minutes,
      setting,
      purpose = 'work',
    }: { dogId: string; by: 0 | 1 | 2; days: number; minutes: number; setting: string; purpose?: 'work' | 'finding' },
    tell: (told: Told) => number,
  ) => {
    const from = make.ago(days, minutes);
    const sessionId = make.id(from);
    const events: NewHappening[] = [];
    const told: Told = (seconds, event) => {
      const at = new Date(from.getTime() + Math.round(seconds * 1000));
      const id = make.id(at);
      events.push({ ...event, id, sessionId, at: at.toISOString() } as NewHappening);
      return id;
    };
    told(0, { event: 'begin', dogId, setting, handlerId: ids.staff[by]!, purpose });
    told(tell(told), { event: 'end' });
    sessions.push({ dogId, by, events });
  };
  const between = (low: number, high: number) => low + make.chance() * (high - low);
  const whole = (value: number) => Math.max(1, Math.round(value));

  /** A press that the dog answers by a chance that grows with the level. */
  const press = (told: Told, seconds: number, level: number, answer: DogResponse) => {
    const pressId = told(seconds, { event: 'press', collarId: ids.curlew, level, mode: 'momentary' });
    const latencyMs = Math.round(between(500, 1700));
    told(seconds + latencyMs / 1000, { event: 'response', pressId, response: answer, latencyMs: answer === 'none' ? null : latencyMs });
  };
  const DIRECTION_SHARES: [Direction, number][] = [
    ['back', 0.55],
    ['in', 0.25],
    ['forward', 0.12],
    ['down', 0.08],
  ];
  const direction = (): Direction => {
    let left = make.chance();
    for (const [one, share] of DIRECTION_SHARES) if ((left -= share) < 0) return one;
    return 'back';
  };
  /** Work on the leash for a while: corrections grow fewer and rewards more with the weeks. */
  const leashWork = (told: Told, lasts: number, week: number, start: number): number => {
    const corrections = Math.max(0, Math.round((9 - week * 0.6) * (lasts / 900) + make.normal() * 1.2));
    for (let one = 0; one < corrections; one += 1) {
      const at = start + between(20, lasts - 20);
      const held = between(0.4, Math.max(0.8, 3.5 - week * 0.2));
      told(at, { event: 'hold' });
      told(at + 0.3, { event: 'correction', direction: direction() });
      told(at + held, { event: 'let-go' });
    }
    const rewards = Math.max(1, Math.round((5 + week * 0.5) * (lasts / 900) + make.normal()));
    for (let one = 0; one < rewards; one += 1) {
      const at = start + between(15, lasts - 15);
      told(at, { event: 'marker' });
      told(at + 0.8, { event: 'reward' });
    }
    if (make.chance() < 0.3) told(start + lasts / 2, { event: 'pushed-up' });
    return start + lasts;
  };

  const { bramble, moss, nutmeg, wick, hale } = ids.dogs;
  const worked = (days: number) => days % 7 !== 0 && days % 7 !== 3;
  // Runs to find the level, before and in the first weeks.
  for (const [days, setting, half] of [
    [CURLEW_DAYS, 'home', 7],
    [37, 'yard', 9],
    [36, 'yard', 9],
    [34, 'home', 7],
    [29, 'bog', 14],
    [27, 'bog', 14],
    [22, 'yard', 9],
  ] as const) {
    session({ dogId: bramble, by: 0, days, minutes: 12, setting, purpose: 'finding' }, (told) => {
      told(20, { event: 'contact', collarId: ids.curlew, made: true });
      let level = Math.max(1, half - 5);
      for (let trial = 0; trial < 16; trial += 1) {
        const noticed = make.chance() < 1 / (1 + Math.exp(-0.9 * (level - half)));
        press(told, 40 + trial * 20, level, noticed ? 'small' : 'none');
        level = Math.max(1, level + (noticed ? -1 : 1));
      }
      return 400;
    });
  }
  for (let days = CURLEW_DAYS - 2; days >= 1; days -= 1) {
    if (!worked(days)) continue;
    const yard = 11 + (days <= CONTACT_FAILS_DAYS_AGO ? 6 : 0);
    const bog = days <= LEARNT_DAYS_AGO ? 13 : 16.5;
    session({ dogId: bramble, by: days % 4 === 0 ? 2 : 0, days, minutes: 25, setting: 'yard' }, (told) => {
      for (let one = 0; one < 9; one += 1) {
        const level = whole(yard + make.normal() * 0.9);
        press(told, 30 + one * 25, level, make.chance() < 0.8 ? 'did' : 'small');
        if (make.chance() < 0.25) press(told, 42 + one * 25, whole(yard - 3), 'none');
        if (make.chance() < 0.6) told(38 + one * 25, { event: 'reward' });
      }
      return leashWork(told, 420, 6 - days / 7, 280);
    });
    session({ dogId: bramble, by: 0, days, minutes: 55, setting: 'bog' }, (told) => {
      for (let one = 0; one < 7; one += 1) {
        // A goose took off under her nose: once it was too much.
        const much = days === 26 && one === 4;
        press(told, 40 + one * 40, much ? 34 : whole(bog + make.normal()), much ? 'too-much' : make.chance() < 0.85 ? 'did' : 'small');
        if (make.chance() < 0.7) told(46 + one * 40, { event: 'reward' });
      }
      return 420;
    });
  }
  // On the leash, three times a week for ninety days.
  for (const [dogId, by, minutes, on] of [
    [moss, 2, 150, 1],
    [nutmeg, 1, 180, 2],
    [wick, 1, 240, 4],
    [hale, 2, 270, 5],
  ] as const) {
    for (let days = 89; days >= 1; days -= 1) {
      if ((days + on) % 7 > 2) continue;
      const setting = days > 60 ? 'home' : days % 2 === 0 ? 'yard' : 'street';
      session({ dogId, by, days, minutes, setting }, (told) => {
        told(10, { event: 'cue' });
        return leashWork(told, between(480, 900), (90 - days) / 7, 20);
      });
    }
  }
  return sessions;
}
