import { z } from './plain-words.ts';

/** The catalogue of errors: every way in which a request can fail, its status, and what is said. */
export const PROBLEMS = {
  'not-json': { status: 400, title: 'The request is not JSON.' },
  'bad-address': { status: 400, title: 'The address cannot be read.' },
  'not-signed-in': { status: 401, title: 'You are not signed in.' },
  'wrong-sign-in': { status: 401, title: 'Wrong e-mail or password.' },
  'from-elsewhere': { status: 403, title: 'The request came from another site.' },
  'not-allowed': { status: 403, title: 'Your role does not allow that.' },
  'no-invitation': { status: 404, title: 'This invitation is not known here: it has run out, was used, or was withdrawn. Ask for a new one.' },
  'no-owner-link': { status: 404, title: 'This link is not known here: it has run out or was withdrawn. Ask your trainer for a new one.' },
  'not-in-the-demo': { status: 403, title: 'Not in the demo, which is shared. Make a kennel of your own.' },
  'last-lead': { status: 409, title: 'The kennel needs a lead: make somebody else one first.' },
  'not-found': { status: 404, title: 'There is nothing here.' },
  'wrong-method': { status: 405, title: 'This address does not do that.' },
  'newer-version': { status: 409, title: 'Somebody has changed this since.' },
  'already-recorded': { status: 409, title: 'Something else is already recorded under this id.' },
  'not-enough-links': { status: 409, title: 'There are not that many links where they should come from.' },
  'clock-off': { status: 409, title: 'This device’s clock and ours do not agree.' },
  'cannot-be-read': { status: 410, title: 'This record is saved, but cannot be read any more.' },
  'not-as-asked': { status: 412, title: 'Something has changed: it is not as the request says.' },
  'no-such-range': { status: 416, title: 'There is no such part of it.' },
  'not-here': { status: 421, title: 'Banter does not answer to this name.' },
  'too-large': { status: 413, title: 'The request is too large.' },
  'wrong-type': { status: 415, title: 'The request must be application/json.' },
  'not-a-photo': { status: 415, title: 'That is no photo that can be read here: JPEG, PNG or WebP.' },
  'wrong-key': { status: 401, title: 'That key is not known here, or has been withdrawn.' },
  'bad-input': { status: 422, title: 'Something in the request is not right.' },
  'too-many': { status: 429, title: 'Too many requests; wait a little.' },
  busy: { status: 503, title: 'Busy just now. Try again in a moment.' },
  'took-too-long': { status: 503, title: 'This took too long and was stopped. Ask for less at once.' },
  unexpected: { status: 500, title: 'Something went wrong here. It has been noted.' },
  stopping: { status: 503, title: 'This server is about to stop. Try again in a moment.' },
  'database-away': { status: 503, title: 'The records are away just now. Try again in a moment; nothing is saved twice.' },
} as const satisfies Record<string, { status: number; title: string }>;

export type ProblemCode = keyof typeof PROBLEMS;

export const FieldError = z.object({ path: z.string(), message: z.string() });
export type FieldError = z.infer<typeof FieldError>;

/** What every failing request answers, as application/problem+json (RFC 9457). `current` is the newer record of a conflict. */
export const Problem = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number().int(),
  code: z.enum(Object.keys(PROBLEMS) as [ProblemCode, ...ProblemCode[]]),
  detail: z.string().optional(),
  errors: z.array(FieldError).optional(),
  current: z.unknown().optional(),
});
export type Problem = z.infer<typeof Problem>;

/** The path of an issue as people write it: `stock[1].pitchMm`. */
export function pathWords(path: readonly PropertyKey[]): string {
  return path.reduce<string>((so, part) => (typeof part === 'number' ? `${so}[${part}]` : so ? `${so}.${String(part)}` : String(part)), '');
}

/** So many errors of one request are told, and no more: who sends a thousand learns nothing from the last. */
const MOST_ERRORS = 100;

/** The field errors of a failed parse, a hundred at most; an unknown name is put at the name itself. */
export function fieldErrors(error: z.ZodError): FieldError[] {
  return error.issues
    .slice(0, MOST_ERRORS)
    .flatMap((issue) =>
      issue.code === 'unrecognized_keys'
        ? issue.keys.slice(0, MOST_ERRORS).map((key) => ({ path: pathWords([...issue.path, key]), message: 'This name is not known here.' }))
        : [{ path: pathWords(issue.path), message: issue.message }],
    )
    .slice(0, MOST_ERRORS);
}
