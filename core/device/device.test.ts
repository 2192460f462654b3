import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  contactQuality,
  deviceAt,
  houseRules,
  LOCK_OUT_SECONDS,
  morningRoutine,
  ROUTINE_STEPS,
  STAND_IN_COMMANDS,
  standIn,
  type DeviceEvent,
  type StandInCommand,
  type StandInProfile,
} from '../index.ts';

const rules = houseRules();
const HOUR = 3_600_000;
const T0 = Date.UTC(2026, 5, 1, 7);
const profile: StandInProfile = { scaleMin: 0, scaleMax: 100, scaleStep: 1, postMm: 16, coatDepthMm: 8, strapSlackMm: 14, twoFingersMm: 15 };

/** Plays commands in a row, a minute apart, and gives what came of the last. */
function play(commands: StandInCommand[], minutesApart = 1, own = profile) {
  const events: DeviceEvent[] = [];
  const answers = commands.map((command, index) => {
    const at = T0 + index * minutesApart * 60_000;
    const answer = standIn(deviceAt(events, at), command, at, own, rules);
    if ('events' in answer)
      answer.events.forEach((event, part) =>
        events.push({ ...event, id: `e${String(index).padStart(3, '0')}-${part}`, at, collarId: 'curlew' } as DeviceEvent),
      );
    return answer;
  });
  return { answers, last: answers.at(-1)!, events };
}
const morning: StandInCommand[] = [{ do: 'open-covers' }, { do: 'charge' }, { do: 'shut-covers' }, { do: 'switch-on' }, { do: 'pair' }, { do: 'try-lowest' }];

describe('the stand-in device', () => {
  it('goes through a morning, and is tried at the lowest of its own scale', () => {
    expect(play(morning).last).toEqual({ events: [{ event: 'tried', level: 0 }] });
    expect(play(morning, 1, { ...profile, scaleMin: 1 }).last).toEqual({ events: [{ event: 'tried', level: 1 }] });
  });
  it('refuses what a real one could not do', () => {
    expect(play([{ do: 'switch-on' }]).last).toEqual({ refused: 'flat' });
    expect(play([...morning.slice(0, 3), { do: 'pair' }]).last).toEqual({ refused: 'off' });
    expect(play([...morning.slice(0, 4), { do: 'try-lowest' }]).last).toEqual({ refused: 'not-paired' });
    expect(play([...morning.slice(0, 3), { do: 'charge' }]).last).toEqual({ refused: 'covers-shut' });
    expect(play([...morning, { do: 'press', level: 101, seconds: 1 }]).last).toEqual({ refused: 'off-scale' });
    expect(play([{ do: 'feel-contact' }], 1, { ...profile, strapSlackMm: null }).last).toEqual({ refused: 'not-worn' });
  });
  it('drains while it is on, and goes off when it is flat', () => {
    const { events } = play(morning);
    const on = deviceAt(events, T0 + 10 * 60_000).percent!;
    const later = deviceAt(events, T0 + 18 * HOUR).percent!;
    expect(later).toBeLessThan(on);
    expect(later).toBeGreaterThan(0);
    expect(deviceAt(events, T0 + 100 * HOUR)).toMatchObject({ percent: 0, on: false });
  });
  it('locks itself after a long press, and lets go by itself', () => {
    const { events } = play([...morning, { do: 'press', level: 5, seconds: 8 }]);
    const pressed = T0 + 6 * 60_000;
    expect(standIn(deviceAt(events, pressed + 1000), { do: 'try-lowest' }, pressed + 1000, profile, rules)).toEqual({ refused: 'locked-out' });
    const after = pressed + LOCK_OUT_SECONDS * 1000;
    expect(standIn(deviceAt(events, after), { do: 'try-lowest' }, after, profile, rules)).toHaveProperty('events');
  });
  it('is as its events leave it, whatever order they arrive in and however often', () => {
    const { events } = play(morning);
    fc.assert(
      fc.property(fc.shuffledSubarray(events, { minLength: events.length }), (shuffled) => {
        expect(deviceAt([...shuffled, ...shuffled], T0 + 2 * HOUR)).toEqual(deviceAt(events, T0 + 2 * HOUR));
      }),
    );
  });
  it('never raises anything of itself: no command changes what it is told to press', () => {
    for (const command of STAND_IN_COMMANDS.filter((name) => name !== 'press')) {
      const { events } = play([...morning, { do: command } as StandInCommand]);
      for (const event of events) if (event.event === 'tried') expect(event.level).toBe(profile.scaleMin);
    }
  });
});

describe('contact, as the stand-in feels it', () => {
  const of = (more: Partial<StandInProfile>) => contactQuality({ ...profile, ...more }, rules).quality;
  it('posts through the coat and 3 mm beyond, strap at two fingers: made', () => {
    expect(of({})).toBe('made');
    expect(of({ postMm: 11 })).toBe('made');
  });
  it('posts shorter than the coat: none; between: now and then', () => {
    expect(of({ postMm: 8 })).toBe('none');
    expect(of({ postMm: 10 })).toBe('poor');
  });
  it('a loose strap is poor, then none: the commonest fault', () => {
    expect(of({ strapSlackMm: 20 })).toBe('poor');
    expect(of({ strapSlackMm: 40 })).toBe('none');
  });
  it('is never made while the coat is not known', () => {
    expect(of({ coatDepthMm: null })).toBe('poor');
  });
});

describe('the morning routine', () => {
  const told = () => play(morning).events;
  const states = (events: DeviceEvent[], wear: Parameters<typeof morningRoutine>[1]) =>
    Object.fromEntries(morningRoutine(events, wear, rules).map(({ id, state }) => [id, state]));
  const contact = (minutes: number, made = true): DeviceEvent => ({ id: `c${minutes}`, at: T0 + minutes * 60_000, collarId: 'curlew', event: 'contact', made });

  it('all done before it goes on, contact after', () => {
    const wear = { from: T0 + 20 * 60_000, to: null };
    expect(states(told(), wear)).toEqual({ charged: 'done', covers: 'done', on: 'done', paired: 'done', tried: 'done', contact: 'open' });
    expect(states([...told(), contact(25)], wear).contact).toBe('done');
    expect(states([...told(), contact(25, false)], wear).contact).toBe('failed');
  });
  it('nothing is done while nobody has done it; on the dog without it, it is skipped', () => {
    expect(new Set(Object.values(states([], null)))).toEqual(new Set(['open']));
    expect(states([], { from: T0, to: null })).toMatchObject({ charged: 'skipped', tried: 'skipped', contact: 'open' });
    expect(states([], { from: T0, to: T0 + HOUR }).contact).toBe('skipped');
  });
  it('tried only after it was on the dog is late; a battery below the house’s 40 % is a failure', () => {
    expect(states(told(), { from: T0 + 4.5 * 60_000, to: null })).toMatchObject({ paired: 'done', tried: 'late' });
    const low: DeviceEvent[] = [{ id: 'l', at: T0, collarId: 'curlew', event: 'charged', percent: 39 }];
    expect(states(low, null).charged).toBe('failed');
    expect(states([{ ...low[0]!, percent: 40 } as DeviceEvent], null).charged).toBe('done');
  });
  it('keeps the order in which the hands go', () => {
    expect(ROUTINE_STEPS.map(({ id }) => id)).toEqual(['charged', 'covers', 'on', 'paired', 'tried', 'contact']);
  });
});
