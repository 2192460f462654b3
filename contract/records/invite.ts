import { z } from '../plain-words.ts';
import { Role } from '../people/roles.ts';
import { Instant, namedLine, RecordId } from './common.ts';
import { Email } from './account.ts';
import { KeyHash } from './private-key.ts';

/** So long an invitation holds at most, days. From memory: a week is what people manage. */
export const INVITE_DAYS = 7;

/** An invitation by a link that runs out and holds once. Its key is made where it is shown; only the key’s SHA-256 comes here. */
export const InviteFacts = z.strictObject({
  name: namedLine(80),
  role: Role,
  /** Somebody who is in the records already and shall sign in as themselves; null: somebody new. */
  personId: RecordId.nullable(),
  keyHash: KeyHash,
  expiresAt: Instant,
  revokedAt: Instant.nullable(),
});
export type InviteFacts = z.infer<typeof InviteFacts>;
export const Invite = z.object({ ...InviteFacts.shape, id: RecordId, version: z.number().int(), usedAt: Instant.nullable() });
export type Invite = z.infer<typeof Invite>;

export const InvitesPage = z.object({ invites: z.array(Invite) });
export type InvitesPage = z.infer<typeof InvitesPage>;

/** A key as it stands in a link. */
const Key = z.string().regex(/^[0-9a-f]{64}$/, 'This link is not whole.');
export const InvitationAsked = z.strictObject({ key: Key });
/** What somebody who was invited sees before they join. */
export const Invitation = z.object({ kennelName: z.string(), name: z.string(), role: Role, expiresAt: Instant });
export type Invitation = z.infer<typeof Invitation>;

export const Join = z.strictObject({
  key: Key,
  name: namedLine(80),
  email: Email,
  password: z.string().min(10, 'Use at least 10 characters.').max(200),
});
export type Join = z.infer<typeof Join>;
