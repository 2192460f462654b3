import type { FieldSession } from '@banter/contract';
import { DIRECTIONS } from '@banter/core';

export const SESSION_HEADINGS = [
  'session',
  'began',
  'ended',
  'handler',
  'purpose',
  'device',
  'setting',
  'level needed',
  'presses that drew a sign',
  'presses',
  'no sign',
  'small sign',
  'did it',
  'too much',
  'latency ms',
  'corrections',
  ...DIRECTIONS.map((direction) => `corrected ${direction}`),
  'tight s',
  'rewards',
  'cues',
  'markers',
  'pushed up',
] as const;

/** A session as lines of a table: one for each device and setting in which a level was needed, else one alone. */
export function sessionRow(session: FieldSession, names: { setting: ReadonlyMap<string, string>; collar: ReadonlyMap<string, string> }): (string | number)[][] {
  const { tally } = session;
  const needed = tally.needed.length > 0 ? tally.needed : [null];
  return needed.map((one) => [
    session.id,
    session.begunAt,
    session.endedAt ?? '',
    session.handlerName,
    session.purpose,
    one ? (names.collar.get(one.collarId) ?? '') : '',
    one ? (names.setting.get(one.setting) ?? one.setting) : session.settings.map((id) => names.setting.get(id) ?? id).join(', '),
    one ? one.level : '',
    one ? one.presses : '',
    tally.presses,
    tally.responses.none ?? 0,
    tally.responses.small ?? 0,
    tally.responses.did ?? 0,
    tally.responses['too-much'] ?? 0,
    tally.latencyMs ?? '',
    tally.corrections,
    ...DIRECTIONS.map((direction) => tally.directions[direction] ?? 0),
    Math.round(tally.heldMs / 100) / 10,
    tally.rewards,
    tally.cues,
    tally.markers,
    tally.pushedUp,
  ]);
}
