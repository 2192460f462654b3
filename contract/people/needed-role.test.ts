import { expect, it } from 'vitest';
import { ENDPOINTS } from '../endpoints/endpoints.ts';
import { neededRole } from './needed-role.ts';

it('what is open to everybody is not closed to a reader who is signed in', () => {
  // Calculations are answered before anybody asks who it is.
  const open = ENDPOINTS.filter(({ signIn, path }) => !signIn && !/^\/api\/(calc\/|fits$)/.test(path));
  expect(open.length).toBeGreaterThan(5);
  for (const { method, path } of open) expect([path, neededRole(method.toUpperCase(), path.replace(/^\/api/, ''))]).toEqual([path, 'reader']);
});
