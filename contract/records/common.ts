import { z } from '../plain-words.ts';

/** Id of a record: a UUID of version 7, made by whoever creates the record. */
export const RecordId = z.uuid({ version: 'v7' }).toLowerCase();
export type RecordId = z.infer<typeof RecordId>;

/** Where a dog is worked, by the word its kennel keeps for it. */
export const SettingId = z.string().regex(/^[a-z0-9]([a-z0-9-]{0,38}[a-z0-9])?$/, 'A setting is named by small letters, digits and dashes.');

/** As this Banter writes an instant itself: nearly all that are read are, and a file holds half a million of them. */
const AS_WRITTEN = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/;

/** An instant in UTC, ISO 8601; taken to the millisecond, so that the same instant is the same text however it was written. */
export const Instant = z.iso.datetime().overwrite((text) => (AS_WRITTEN.test(text) || Number.isNaN(Date.parse(text)) ? text : new Date(text).toISOString()));

/** A line of text: trimmed ends are refused only when nothing is left. Control characters are refused. */
export const line = (longest: number) =>
  z
    .string()
    .max(longest)
    .refine((text) => !/[\u0000-\u001f\u007f]/.test(text), 'This has characters that cannot be shown.');

/** A line of text that must say something. */
export const namedLine = (longest: number) => line(longest).refine((text) => text.trim() !== '', 'This is empty.');

/** Text of several lines. */
export const passage = (longest: number) =>
  z
    .string()
    .max(longest)
    .refine((text) => !/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/.test(text), 'This has characters that cannot be shown.');

/** What the server adds to every kept verdict: by whom, when, and with what it was computed. */
export const Kept = z.object({
  recordedAt: Instant,
  personId: RecordId,
  personName: z.string(),
  coreVersion: z.string(),
  rules: z.record(z.string(), z.number().nullable()),
});
export type Kept = z.infer<typeof Kept>;
