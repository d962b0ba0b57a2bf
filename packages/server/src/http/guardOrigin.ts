import type { NextFunction, Request, Response } from 'express';
import { HttpError } from './errors.ts';

const LOOPBACK = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/;

/** Keeps pages of other sites from writing here: the Host must be ours and a browser's Origin must match it. */
export function guardOrigin(allowedHost: string | null) {
  return (request: Request, _response: Response, next: NextFunction): void => {
    const host = request.headers.host ?? '';
    const isOurs = LOOPBACK.test(host) || (allowedHost !== null && host.replace(/:\d+$/, '') === allowedHost);
    const origin = request.headers.origin;
    const isRead = request.method === 'GET' || request.method === 'HEAD';
    const isSameOrigin = origin === undefined || origin === `http://${host}` || origin === `https://${host}`;
    if (isOurs && (isRead || isSameOrigin)) return next();
    next(new HttpError(403, { code: 'foreign', message: 'This bench only listens to its own page.' }));
  };
}
