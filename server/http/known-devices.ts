import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { parseCookie } from 'cookie';
import type { Request, RequestHandler, Response } from 'express';
import onHeaders from 'on-headers';
import { HOUR_MS } from '@banter/core';

const YEAR_MS = 365 * 24 * HOUR_MS;
const LONGEST = 200;

const sealed = (secret: string, email: string, nonce: string) => createHmac('sha256', secret).update(`device ${email} ${nonce}`).digest('base64url');
/** A cookie an e-mail, so that two people on one device do not put each other out. */
const cookieOf = (email: string) => `banter.device.${createHmac('sha256', 'device').update(email).digest('hex').slice(0, 12)}`;

/**
 * The device of somebody who has signed in from it before, or null. What strangers try for an e-mail is counted apart from what is tried
 * on a device that is known for it, and so keeps nobody out. Source: OWASP Authentication Cheat Sheet, device cookies.
 */
export function knownDevice(request: Request, secret: string, email: string): string | null {
  const value = parseCookie(request.get('cookie') ?? '')[cookieOf(email)];
  if (value === undefined || value.length > LONGEST) return null;
  const [nonce, seal] = value.split('.');
  if (!nonce || !seal) return null;
  const [given, right] = [Buffer.from(seal), Buffer.from(sealed(secret, email, nonce))];
  return given.length === right.length && timingSafeEqual(given, right) ? nonce : null;
}

/** Makes the device known for an e-mail. */
export function knowDevice(request: Request, response: Response, secret: string, email: string): void {
  const nonce = knownDevice(request, secret, email) ?? randomBytes(18).toString('base64url');
  response.cookie(cookieOf(email), `${nonce}.${sealed(secret, email, nonce)}`, {
    httpOnly: true,
    sameSite: 'strict',
    secure: request.secure,
    maxAge: YEAR_MS,
    path: '/api',
  });
}

/** Puts the cookie of the session before all others, whenever it was set: programs that take one cookie take the first. */
export const sessionCookieFirst =
  (name: string): RequestHandler =>
  (_request, response, next) => {
    onHeaders(response, () => {
      const cookies = [response.getHeader('Set-Cookie') ?? []].flat().map(String);
      if (cookies.length < 2) return;
      const isSession = (cookie: string) => cookie.startsWith(`${name}=`);
      response.setHeader('Set-Cookie', [...cookies.filter(isSession), ...cookies.filter((cookie) => !isSession(cookie))]);
    });
    next();
  };
