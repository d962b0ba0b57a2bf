import { nanoid } from '@reduxjs/toolkit';
import { convertToAppError, OFFLINE, type AppError } from '../shared/api/appError.ts';

export type Asked<T> =
  { readonly data: T; readonly error?: undefined } | { readonly data?: undefined; readonly error: AppError };

const PAUSE_MS = 1200;
/** A tick that no answer comes for is said to have failed after so long. */
const PATIENCE_MS = 5 * PAUSE_MS;

/** One question to the bench; what fails on the way is an AppError, as on the bench's own page. */
export async function askBench<T>(method: string, path: string, body?: unknown, key?: string): Promise<Asked<T>> {
  const isBytes = body instanceof Blob;
  const type = isBytes ? 'application/octet-stream' : 'application/json';
  try {
    const answer = await fetch(`/phone/${path}`, {
      method,
      headers: { ...(body === undefined ? {} : { 'content-type': type }), ...(key ? { 'idempotency-key': key } : {}) },
      body: body === undefined ? null : isBytes ? body : JSON.stringify(body),
    });
    const text = await answer.text();
    const read = text ? (JSON.parse(text) as unknown) : null;
    return answer.ok ? { data: read as T } : { error: convertToAppError(answer.status, read) };
  } catch {
    return { error: { ...OFFLINE, message: 'The bench cannot be reached, or its door was shut: look at its screen.' } };
  }
}

/** How long an act waits for a connection that is lost, and who is told that it waits. */
export interface Patience {
  readonly ms?: number;
  readonly onWait?: () => void;
}

/** An act: sent again while no answer comes, under one key, so that it counts once. */
export async function sendAct<T>(
  method: string,
  path: string,
  body?: unknown,
  { ms = PATIENCE_MS, onWait }: Patience = {},
): Promise<Asked<T>> {
  const key = nanoid();
  for (const until = Date.now() + ms; ;) {
    const asked = await askBench<T>(method, path, body, key);
    if (asked.error?.kind !== 'offline' || Date.now() > until) return asked;
    onWait?.();
    await new Promise((done) => setTimeout(done, PAUSE_MS));
  }
}
