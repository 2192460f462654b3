import { z } from '../plain-words.ts';
import { Instant, namedLine, RecordId } from './common.ts';
import { Role } from '../people/roles.ts';
import { Kennel } from './kennel.ts';

export const Email = z
  .email()
  .max(200)
  .transform((email) => email.toLowerCase());

export const SignUp = z.strictObject({
  kennelName: namedLine(80),
  name: namedLine(80),
  email: Email,
  password: z.string().min(10, 'Use at least 10 characters.').max(200),
  lengthUnit: z.enum(['in', 'cm']),
  massUnit: z.enum(['lb', 'kg']),
  timeZone: z.string().max(60),
});
export type SignUp = z.infer<typeof SignUp>;

export const SignIn = z.strictObject({ email: Email, password: z.string().min(1).max(200) });
export type SignIn = z.infer<typeof SignIn>;

/** A new password, with the old one; all other sign-ins of the person end with it. */
export const NewPassword = z.strictObject({ old: z.string().min(1).max(200), password: z.string().min(10, 'Use at least 10 characters.').max(200) });
export type NewPassword = z.infer<typeof NewPassword>;

/** A sign-in of somebody: since when, from which kind of device, and whether it is the one that asks. `id` is no key to it. */
export const MySession = z.object({ id: z.string(), enteredAt: Instant.nullable(), usedAt: Instant, device: z.string(), here: z.boolean() });
export const MySessionsPage = z.object({ sessions: z.array(MySession), email: z.string(), hasPassword: z.boolean() });
export type MySessionsPage = z.infer<typeof MySessionsPage>;
/** Which sign-ins end: one of the list, or all but this one. */
export const EndSessions = z.strictObject({ id: z.string().max(64).nullable() });
export type EndSessions = z.infer<typeof EndSessions>;

/** Somebody's own finger, measured once; mm. */
export const MeasuredFinger = z
  .strictObject({
    thicknessMm: z.number().min(5, 'A finger is not thinner than 5 mm.').max(40),
    widthMm: z.number().max(40, 'A finger is not wider than 40 mm.'),
  })
  .refine(({ thicknessMm, widthMm }) => widthMm >= thicknessMm, { path: ['widthMm'], message: 'A finger is not narrower than it is thick.' });

/** What a person says of themselves. */
export const PersonFacts = z.strictObject({ finger: MeasuredFinger.nullable() });
export type PersonFacts = z.infer<typeof PersonFacts>;

/** How well somebody's readings agree, month by month (`2026-03`). */
export const PersonTape = z.object({ month: z.string(), sets: z.number().int(), temMm: z.number(), temPercent: z.number() });

/** What lets somebody or something in by a key, and who is answerable for it: who made it, or was handed it since. */
export const KEY_KINDS = ['bridge', 'ownerLink', 'calendarFeed', 'invite'] as const;
export const HeldKey = z.object({ kind: z.enum(KEY_KINDS), id: RecordId, name: z.string() });
export type HeldKey = z.infer<typeof HeldKey>;

/** The people of a kennel, their fingers, and whose tape can be trusted. */
export const PeoplePage = z.object({
  people: z.array(
    z.object({
      id: RecordId,
      name: z.string(),
      role: Role,
      /** Since when they are no longer of the kennel. */
      leftAt: Instant.nullable(),
      /** Whether they sign in themselves; without, they only stand in the records. */
      signsIn: z.boolean(),
      finger: MeasuredFinger.nullable(),
      tape: z.array(PersonTape),
      /** Keys that are open and theirs to answer for; told to leads alone. */
      keys: z.array(HeldKey),
    }),
  ),
});
export type PeoplePage = z.infer<typeof PeoplePage>;

/**
 * What a lead decides of somebody: their role, and whether they are still of the kennel. Leaving takes all access away at once; the keys
 * that they made are taken back with it, or handed to another lead, `keysTo`.
 */
export const PersonStanding = z.strictObject({ role: Role, left: z.boolean(), keysTo: RecordId.nullable().optional() });
export type PersonStanding = z.infer<typeof PersonStanding>;

/** Who is signed in, and where. */
export const Me = z.object({
  person: z.object({ id: RecordId, name: z.string(), email: z.string(), role: Role, finger: MeasuredFinger.nullable() }),
  kennel: Kennel,
});
export type Me = z.infer<typeof Me>;

/** What the page before sign-in needs to know. `waitingRole` is a higher role that somebody was given since they signed in, and has from the next time on. */
export const Doorstep = z.object({ demo: z.boolean(), me: Me.nullable(), waitingRole: Role.nullable() });
export type Doorstep = z.infer<typeof Doorstep>;
