import pino, { type DestinationStream, type Logger } from 'pino';

/** Frames of a stack that are logged. */
const FRAMES = 12;
const LONGEST_STATEMENT = 300;

/** A statement without any value that stands in it: strings and numbers become «?», lists of them one. */
export function statementShape(sql: string): string {
  return sql
    .replaceAll(/'(?:[^'\\]|\\.|'')*'|"(?:[^"\\]|\\.)*"/g, '?')
    .replaceAll(/\b\d+(?:\.\d+)?\b/g, '?')
    .replaceAll(/\?(?:\s*,\s*\?)+/g, '?…')
    .replaceAll(/\(\?…\)(?:\s*,\s*\(\?…\))+/g, '(?…)…')
    .replaceAll(/\s+/g, ' ')
    .trim()
    .slice(0, LONGEST_STATEMENT);
}

/** An address without the ids and keys that stand in it. */
export const pathShape = (path: string): string =>
  path
    .split('/')
    .map((part) => (/^(?:[a-z]{1,24}(?:-[a-z]{1,24}){0,3}(?:\.[a-z]{2,11}){0,2})?$/.test(part) ? part : ':id'))
    .join('/');

const word = (value: unknown) => (typeof value === 'string' && /^[\w:.-]{1,60}$/.test(value) ? value : undefined);

/**
 * A failure as it is logged: what sort it is, by code, where it arose, and the shape of the statement, if it was one. Its message is
 * left out: drivers write into it what was to be kept («Duplicate entry 'somebody@…'»).
 */
export function failureShape(failure: unknown): object {
  if (typeof failure !== 'object' || failure === null) return { type: typeof failure };
  const { name, code, errno, sqlState, query, stack, cause, type } = failure as Record<string, unknown>;
  return {
    type: word(name) ?? 'Error',
    code: word(code) ?? word(type),
    errno: typeof errno === 'number' ? errno : undefined,
    sqlState: word(sqlState),
    statement: typeof query === 'string' ? statementShape(query) : undefined,
    at:
      typeof stack === 'string'
        ? stack
            .split('\n')
            .filter((line) => /^\s+at /.test(line))
            .slice(0, FRAMES)
            .map((line) => line.trim().slice(3))
        : undefined,
    cause: cause === undefined ? undefined : failureShape(cause),
  };
}

/** Where Banter says what happens: a JSON object a line, without any value of a record. A reader that has gone ends nothing. */
export function makeLog(level: string, to: DestinationStream = pino.destination({ fd: 1, sync: true })): Logger {
  (to as DestinationStream & { on?: (event: 'error', listener: () => void) => void }).on?.('error', () => {});
  return pino({ level, serializers: { error: failureShape, err: failureShape } }, to);
}
