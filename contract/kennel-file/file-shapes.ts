import { toldInColumns } from '../happenings/columns.ts';
import { HAPPENING_NAMES, HAPPENING_SOURCES, NewHappening } from '../happenings/happening.ts';
import { Role } from '../people/roles.ts';
import { z } from '../plain-words.ts';
import { Instant, line, namedLine, RecordId } from '../records/common.ts';
import { faultOfParse } from './part-faults.ts';

/** Somebody who stands in the records, without what lets them in. */
export const FilePerson = z.strictObject({
  id: RecordId,
  name: namedLine(80),
  role: Role,
  leftAt: Instant.nullable(),
  fingerThicknessMm: z.number().positive().max(40).nullable(),
  fingerWidthMm: z.number().positive().max(40).nullable(),
  createdAt: Instant,
});

/** A photo, with the picture itself. */
export const FilePhoto = z.strictObject({
  id: RecordId,
  personId: RecordId,
  /** A JPEG, in Base64 (RFC 4648). */
  jpeg: z.base64().max(24_000_000),
  widthPx: z.number().int().positive(),
  heightPx: z.number().int().positive(),
  createdAt: Instant,
});

/** Something that happened, in the columns that it is kept in. */
export const FileHappening = z.strictObject({
  id: RecordId,
  event: z.enum(HAPPENING_NAMES),
  dogId: RecordId.nullable(),
  collarId: RecordId.nullable(),
  sessionId: RecordId.nullable(),
  eventId: RecordId.nullable(),
  data: z.record(z.string(), z.unknown()),
  source: z.enum(HAPPENING_SOURCES),
  phone: line(40),
  personId: RecordId.nullable(),
  bridgeId: RecordId.nullable(),
  saidAt: Instant,
  at: Instant,
  recordedAt: Instant,
});
export type FileHappening = z.infer<typeof FileHappening>;

/** What is wrong with something that happened as it stands in a file: it is read as whoever tells it sends it. */
export function happeningFault(record: Record<string, unknown>): string | null {
  const { id, at, ...columns } = record as FileHappening;
  const { source, personId, bridgeId } = columns;
  if ((source === 'bridge') !== (bridgeId !== null) || (source === 'bridge') === (personId !== null))
    return 'source: It was told either by a person or by a bridge.';
  return faultOfParse(NewHappening.safeParse(toldInColumns(columns, id, at)));
}
