import type { Place, PlaceFacts } from '@banter/contract';
import { DateTime } from 'luxon';
import { PlaceEntity, type PlaceRow } from '../data/entities/place.ts';
import { badField } from './failure.ts';
import { kennelOf } from './kennels.ts';
import type { VersionedKind } from '../records/record-base.ts';

export function placeAnswer({ kennelId: _kennel, retiredAt, ...row }: PlaceRow): Place {
  return { ...row, retiredAt: retiredAt && retiredAt.toISOString() };
}

export const placeKind: VersionedKind<PlaceRow, PlaceFacts, Place> = {
  entity: PlaceEntity,
  toColumns: ({ retiredAt, ...facts }) => ({ ...facts, retiredAt: retiredAt === null ? null : new Date(retiredAt) }),
  toAnswer: placeAnswer,
  admit: async ({ checkedOn }, scope) => {
    const { timeZone } = await kennelOf(scope);
    if (checkedOn !== null && checkedOn > DateTime.now().setZone(timeZone).toISODate()!) throw badField('checkedOn', 'This day lies in the future.');
  },
};
