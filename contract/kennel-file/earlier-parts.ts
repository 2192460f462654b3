import { broughtUpHappening } from '../happenings/happening.ts';
import type { KennelPartName } from './kennel-parts.ts';
import type { KeptRecord } from '../records/record-step.ts';

const object = (value: unknown): KeptRecord => (typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as KeptRecord) : {});

/** A press that a device told lay in its session as told by this. */
const BY_DEVICE = 'device';

/** Parts that files of version 1 have, with the part to which their records belong now and what is made of each. */
const EARLIER_PARTS: Readonly<Record<string, { part: KennelPartName; bring: (record: KeptRecord) => KeptRecord }>> = {
  events: { part: 'happenings', bring: (record) => ({ ...record, sessionId: null, phone: '', saidAt: record.at }) },
  fieldEvents: {
    part: 'happenings',
    bring: (record) => {
      const { collarId = null, eventId = null, dogId: _dog, ...data } = object(record.data);
      const phone = record.phone === BY_DEVICE ? '' : record.phone;
      return broughtUpHappening({ ...record, collarId, eventId, data, phone, source: 'hand', bridgeId: null });
    },
  },
};

/** A record of a part that files of an earlier version have, in today's part; null where the part is none of those. */
export function fromEarlierPart(name: string, record: unknown): { part: KennelPartName; record: unknown } | null {
  if (!Object.hasOwn(EARLIER_PARTS, name)) return null;
  const { part, bring } = EARLIER_PARTS[name]!;
  return { part, record: record === Object(record) ? bring(object(record)) : record };
}
export const isEarlierPart = (name: string): boolean => Object.hasOwn(EARLIER_PARTS, name);

/** One thing that happened and that a file of version 1 tells in two parts: of the one its session, of the other who told it. */
export function oneHappening<Row extends KeptRecord>(one: Row, other: Row): Row {
  const teller = one.source === 'hand' ? other : one;
  return {
    ...one,
    ...Object.fromEntries(['sessionId', 'dogId', 'collarId'].map((name) => [name, one[name] ?? other[name] ?? null])),
    phone: one.phone || other.phone,
    ...Object.fromEntries(['source', 'personId', 'bridgeId'].map((name) => [name, teller[name]])),
  };
}
