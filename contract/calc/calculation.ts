import { z } from '../plain-words.ts';

/** One plain sentence with a stable code, in every answer. */
export const ReasonShape = z.object({ code: z.string(), text: z.string() });

/** A calculation that can be asked for without a screen: what goes in, what comes out, and what does it. */
export type Calculation<Request extends z.ZodType = z.ZodType, Answer extends z.ZodType = z.ZodType> = {
  summary: string;
  request: Request;
  answer: Answer;
  compute: (request: z.output<Request>) => z.output<Answer>;
};

/** Ties the three types of a calculation together. */
export function calculation<Request extends z.ZodType, Answer extends z.ZodType>(parts: Calculation<Request, Answer>): Calculation<Request, Answer> {
  return parts;
}
