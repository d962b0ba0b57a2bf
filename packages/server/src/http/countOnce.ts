import { AsyncLocalStorage } from 'node:async_hooks';
import { createHash } from 'node:crypto';
import type { NextFunction, Request, Response } from 'express';
import { badInput } from './errors.ts';

/** The act that a request is about, for whoever writes down that it counted. */
export interface Act {
  readonly key: string;
  isCounted: boolean;
}

export const acts = new AsyncLocalStorage<Act>();

interface Answer {
  readonly status: number;
  readonly body: unknown;
}

interface Sent {
  /** What was asked; the same key for something else is a mistake. */
  readonly digest: string;
  readonly answer: Promise<Answer>;
}

/** Answers that are kept for whoever did not get theirs. */
const KEPT = 500;
const KEY = /^[\w-]{8,64}$/;
const READING = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * The same act sent more than once counts once: pressed twice, or sent again because the connection was lost before the answer.
 * An act is known by its Idempotency-Key: two people who do the same at the same time do two things. Who comes second gets the
 * first's answer, for as long as that is kept; after that the database knows that it counted (countAct).
 */
export function countOnce() {
  const byKey = new Map<string, Sent>();
  return (request: Request, response: Response, next: NextFunction): void => {
    const key = request.get('idempotency-key') ?? null;
    if (key === null || READING.has(request.method)) return next();
    if (!KEY.test(key)) return next(badInput('This key cannot be used. Nothing was saved.'));
    const digest = digestOf(request);
    const before = byKey.get(key);
    if (before && before.digest !== digest)
      return next(badInput('This key was used for something else. Nothing was saved.', undefined, 'key-used'));
    if (before) {
      request.resume();
      void before.answer.then((answer) => repeat(response, answer));
      return;
    }
    const answer = listen(response);
    byKey.set(key, { digest, answer });
    void answer.then(({ status }) => {
      // What was refused did not count: it may come again.
      if (status >= 300) byKey.delete(key);
      else if (byKey.size > KEPT) byKey.delete(byKey.keys().next().value!);
    });
    acts.run({ key, isCounted: false }, next);
  };
}

/** What is asked, as far as it is read before its route: pictures and archives are known by their address. */
const digestOf = ({ method, originalUrl, body }: Request): string =>
  createHash('sha256')
    .update(JSON.stringify([method, originalUrl, body ?? null]))
    .digest('base64');

/** How a request ends, whether somebody is still there to hear it or not. */
function listen(response: Response): Promise<Answer> {
  return new Promise((done) => {
    let body: unknown;
    const { json, end } = response;
    response.json = (sent: unknown) => {
      body = sent;
      return json.call(response, sent);
    };
    response.end = ((...given: Parameters<typeof end>) => {
      done({ status: response.statusCode, body });
      return end.apply(response, given);
    }) as typeof end;
  });
}

function repeat(response: Response, { status, body }: Answer): void {
  response.status(status);
  if (body === undefined) response.end();
  else response.json(body);
}
