import { describe, expect, it } from 'vitest';
import { QueryFailedError } from 'typeorm';
import { failureShape, pathShape, statementShape } from './log.ts';

describe('what is logged', () => {
  it('of a statement is its shape: no text, no number, one for many', () => {
    expect(statementShape("INSERT INTO `dogs`(`id`, `name`) VALUES ('a''b', \"c\"), ('d', 5)")).toBe('INSERT INTO `dogs`(`id`, `name`) VALUES (?…)…');
    expect(statementShape("SELECT * FROM people WHERE email = 'somebody@example.test' AND level > 12.5")).toBe(
      'SELECT * FROM people WHERE email = ? AND level > ?',
    );
    expect(statementShape(`SELECT '${'x'.repeat(2000)}'`)).toBe('SELECT ?');
  });
  it('of an address is its shape: no id, no key, no name', () => {
    expect(pathShape('/api/dogs/0198a000-0000-7000-8000-000000000001/page')).toBe('/api/dogs/:id/page');
    expect(pathShape('/api/feeds/9f86d081884c7d659a2feaa0c55ad015a3bf4f1b2b0b822cd15d6c15b0f00a08.ics')).toBe('/api/feeds/:id');
    expect(pathShape('/api/csv/Mr Smith.csv')).toBe('/api/csv/:id');
    expect(pathShape('/api/kennel.json')).toBe('/api/kennel.json');
  });
  it('of a failure is what sort it is and where, and not its message', () => {
    const driver = Object.assign(new Error("Duplicate entry 'somebody@example.test' for key 'email'"), {
      code: 'ER_DUP_ENTRY',
      errno: 1062,
      sqlState: '23000',
    });
    const shape = failureShape(new QueryFailedError("INSERT INTO people VALUES ('somebody@example.test')", ['a hash'], driver));
    expect(shape).toMatchObject({ type: 'QueryFailedError', code: 'ER_DUP_ENTRY', errno: 1062, statement: 'INSERT INTO people VALUES (?)' });
    expect((shape as { at: string[] }).at.length).toBeGreaterThan(0);
    for (const failure of [
      shape,
      failureShape(new RangeError('Invalid time zone specified: somebody@example.test')),
      failureShape('somebody@example.test'),
      failureShape({ code: 'a b\nsomebody@example.test' }),
    ])
      // prettier-ignore
      expect(JSON.stringify(failure)).not.toMatch(/somebody|a hash/);
  });
});
