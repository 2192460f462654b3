/**
 * Zod as Banter uses it: every text and every number of every schema is one that the database can hold and give back as it was.
 * All schemas take `z` from plain-words.ts, which is this.
 */
import * as zod from 'zod';

export * from 'zod';

/** The smallest number but nothing that a double holds in full (IEEE 754 binary64); below it the database keeps nothing. */
const SMALLEST = 2.2250738585072014e-308;

/** Whether no surrogate stands alone: half a character, which no UTF-8 can hold (Unicode Standard, D75; ECMA-262 String.prototype.isWellFormed). */
const isWhole = (text: string) => text.isWellFormed();
const canBeHeld = (value: number) => value === 0 || Math.abs(value) >= SMALLEST;

const HALF = 'This has half a character, which cannot be saved.';
const TOO_SMALL = 'This number is too close to nothing to be saved.';

/** Refuses text with half a character in it. */
export const wholeText = zod.check<string>(({ value, issues }) => {
  if (!isWhole(value)) issues.push({ code: 'custom', input: value, message: HALF, continue: false });
});
/** Refuses a number that no double holds in full. */
export const heldNumber = zod.check<number>(({ value, issues }) => {
  if (!canBeHeld(value)) issues.push({ code: 'custom', input: value, message: TOO_SMALL, continue: false });
});

/** Nothing that is kept lies deeper than this. */
const DEEPEST = 12;
/** The first thing in a piece of JSON that cannot be kept, or null. */
function faultIn(value: unknown, depth = 0): string | null {
  if (typeof value === 'string') return isWhole(value) ? null : HALF;
  if (typeof value === 'number') return canBeHeld(value) ? null : TOO_SMALL;
  if (typeof value !== 'object' || value === null) return null;
  if (depth >= DEEPEST) return 'This lies too deep.';
  for (const [name, one] of Object.entries(value)) {
    const fault = isWhole(name) ? faultIn(one, depth + 1) : HALF;
    if (fault) return fault;
  }
  return null;
}
/** Refuses JSON with anything in it that cannot be kept. */
export const heldJson = zod.check<unknown>(({ value, issues }) => {
  const fault = faultIn(value);
  if (fault) issues.push({ code: 'custom', input: value, message: fault, continue: false });
});

// A schema never changes, each of its methods makes another: one of each serves everybody who asks for nothing more. A phone makes all of
// them before it shows anything, so that those that are not made count.
const TEXT = zod.string().check(wholeText);
const NUMBER = zod.number().check(heldNumber);
const JSON_HELD = zod.unknown().check(heldJson);
const BOOLEAN = zod.boolean();
const NEVER = zod.never();

export function string(...params: Parameters<typeof zod.string>): zod.ZodString {
  return params.length === 0 ? TEXT : zod.string(...params).check(wholeText);
}
export function number(...params: Parameters<typeof zod.number>): zod.ZodNumber {
  return params.length === 0 ? NUMBER : zod.number(...params).check(heldNumber);
}
export function boolean(...params: Parameters<typeof zod.boolean>): zod.ZodBoolean {
  return params.length === 0 ? BOOLEAN : zod.boolean(...params);
}
/** Some JSON that another schema looks at, or nobody does. */
export function unknown(): zod.ZodUnknown {
  return JSON_HELD;
}

/** An object of which some fields are known, and the others are some JSON that can be kept. */
export function looseObject<Shape extends zod.core.$ZodLooseShape>(shape: Shape): zod.ZodObject<Shape, zod.core.$catchall<zod.ZodUnknown>> {
  return new zod.ZodObject({ type: 'object', shape, catchall: JSON_HELD }) as never;
}
/** An object that has these fields and no other. */
export function strictObject<Shape extends zod.core.$ZodLooseShape>(shape: Shape): zod.ZodObject<Shape, zod.core.$strict> {
  return new zod.ZodObject({ type: 'object', shape, catchall: NEVER }) as never;
}

/** Years that the database keeps and that can be meant: nobody's dog was born before, nobody's session is planned after. */
const inKeptYears = zod.check<string>(({ value, issues }) => {
  const year = Number(value.slice(0, 4));
  if (year < 1900 || year > 2199) issues.push({ code: 'custom', input: value, message: 'This is not within the years 1900 to 2199.', continue: false });
});

/** Days and instants (ISO 8601) as they are kept. */
export const iso = {
  ...zod.iso,
  date: (...params: Parameters<typeof zod.iso.date>) => zod.iso.date(...params).check(inKeptYears),
  datetime: (...params: Parameters<typeof zod.iso.datetime>) => zod.iso.datetime(...params).check(inKeptYears),
};
