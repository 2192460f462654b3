import { NewHappening, RecordId, type LinesKept } from '@banter/contract';
import type { KennelScope } from '../kennel-scope.ts';
import type { Teller } from './admit-happening.ts';
import { keepApart } from './keep-happenings.ts';

/** Lines that are kept in one transaction. */
const AT_ONCE = 400;
/** With so many faults the rest is not read: who sends them sends no events. */
export const MOST_FAULTS = 100;

type Fault = LinesKept['refused'][number];

/** What a line tells, or what is wrong with it. */
function toldInLine({ line, text }: { line: number; text: string | null }): { line: number; told: NewHappening } | Fault {
  if (text === null) return { line, id: null, message: 'This line is too long for an event.' };
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { line, id: null, message: 'This line is not JSON.' };
  }
  const parsed = NewHappening.safeParse(json);
  if (parsed.success) return { line, told: parsed.data };
  const [issue] = parsed.error.issues;
  const id = RecordId.safeParse((json as { id?: unknown } | null)?.id);
  return { line, id: id.success ? id.data : null, message: `${issue!.path.join('.') || 'line'}: ${issue!.message}` };
}

/**
 * What happened, a line each, as a bridge tells it: what can be kept is, as it comes; the rest is named by its line, from 1. At the hundredth
 * fault the rest is given up, and the answer says at which line.
 */
export async function keepLines(
  scope: KennelScope,
  lines: AsyncIterable<{ line: number; text: string | null }>,
  teller: Teller,
  failed: (error: unknown) => void,
): Promise<LinesKept> {
  const answer: LinesKept = { kept: 0, known: 0, refused: [] };
  let part: { line: number; told: NewHappening }[] = [];
  const keepPart = async () => {
    const read = part;
    part = [];
    const units = read.map(({ told }) => [told]);
    const outcomes = await keepApart(scope, units, { teller, strict: false, phone: '', aheadMs: 0 }, Date.now(), failed);
    for (const [index, { line, told }] of read.entries()) {
      const { status, field, message } = outcomes[index]![0]!;
      if (status === 'kept' || status === 'known') answer[status] += 1;
      else answer.refused.push({ line, id: told.id, message: field ? `${field}: ${message}` : message });
    }
  };
  for await (const one of lines) {
    const read = toldInLine(one);
    if ('told' in read) part.push(read);
    else answer.refused.push(read);
    if (part.length >= AT_ONCE) await keepPart();
    if (answer.refused.length >= MOST_FAULTS) {
      answer.gaveUpAt = one.line;
      break;
    }
  }
  await keepPart();
  answer.refused = answer.refused.sort((a, b) => a.line - b.line).slice(0, MOST_FAULTS);
  return answer;
}
