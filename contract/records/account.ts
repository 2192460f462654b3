import { z } from '../plain-words.ts';
import { namedLine, RecordId } from './common.ts';
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

/** Who is signed in, and where. */
export const Me = z.object({ person: z.object({ id: RecordId, name: z.string(), email: z.string() }), kennel: Kennel });
export type Me = z.infer<typeof Me>;

/** What the page before sign-in needs to know. */
export const Doorstep = z.object({ demo: z.boolean(), me: Me.nullable() });
export type Doorstep = z.infer<typeof Doorstep>;
