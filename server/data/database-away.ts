/**
 * Failures of the database that may pass: nobody did anything wrong, and the same again, later, may well be kept.
 * Sources: MariaDB Server error codes 1000 to 4000 (reference documentation); Node.js errors of sockets; mysql2's own.
 */
const MAY_PASS = new Set([
  // It is not there, or has gone in the middle of something.
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'EHOSTUNREACH',
  'ENETUNREACH',
  'ENOTFOUND',
  'EAI_AGAIN',
  'PROTOCOL_CONNECTION_LOST',
  'PROTOCOL_SEQUENCE_TIMEOUT',
  'PROTOCOL_ENQUEUE_AFTER_FATAL_ERROR',
  'ER_SERVER_SHUTDOWN',
  'ER_NORMAL_SHUTDOWN',
  'ER_NEW_ABORTING_CONNECTION',
  'ER_CONNECTION_KILLED',
  'ER_QUERY_INTERRUPTED',
  // A node of a cluster that has lost the others, or is not one of them yet, takes nothing.
  'ER_UNKNOWN_COM_ERROR',
  'ER_ERROR_DURING_COMMIT',
  // It is busy with others.
  'ER_CON_COUNT_ERROR',
  'ER_TOO_MANY_USER_CONNECTIONS',
  'ER_USER_LIMIT_REACHED',
  'ER_LOCK_WAIT_TIMEOUT',
  'ER_LOCK_DEADLOCK',
  'ER_CHECKREAD',
  'ER_STATEMENT_TIMEOUT',
  'ER_TOO_MANY_CONCURRENT_TRXS',
  // It takes nothing just now: read-only, or full.
  'ER_OPTION_PREVENTS_STATEMENT',
  'ER_READ_ONLY_MODE',
  'ER_CANT_EXECUTE_IN_READ_ONLY_TRANSACTION',
  'ER_OPEN_AS_READONLY',
  'ER_RECORD_FILE_FULL',
  'ER_DISK_FULL',
  'ER_ERROR_ON_WRITE',
  'ER_OUTOFMEMORY',
  'ER_OUT_OF_RESOURCES',
]);
/** The same by number, for codes that mysql2 has no name of. */
const MAY_PASS_NUMBERS = new Set([1020, 1021, 1026, 1037, 1041, 1047, 1053, 1114, 1180, 1205, 1213, 1290, 1317, 1792, 1836, 1927, 1969]);

/** Whether a failure is the database's own and may pass. */
export function isDatabaseAway(error: unknown): boolean {
  const { code, errno, message, fatal } = (error ?? {}) as { code?: string; errno?: number; message?: string; fatal?: boolean };
  return (
    (code !== undefined && MAY_PASS.has(code)) ||
    (errno !== undefined && MAY_PASS_NUMBERS.has(errno)) ||
    (fatal === true && code !== undefined) ||
    /closed state|Pool is closed|Driver not Connected|Connection lost|server has gone away/i.test(message ?? '')
  );
}

/** Whether the database undid a whole transaction for another's sake: done again at once it goes through. */
export function isUndoneForAnother(error: unknown): boolean {
  const { code, errno } = (error ?? {}) as { code?: string; errno?: number };
  return code === 'ER_LOCK_DEADLOCK' || code === 'ER_CHECKREAD' || errno === 1213 || errno === 1020;
}
