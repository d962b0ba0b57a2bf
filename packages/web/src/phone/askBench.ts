import { nanoid } from '@reduxjs/toolkit';
import { convertToAppError, OFFLINE, type AppError } from '../shared/api/appError.ts';

export type Asked<T> =
  { readonly data: T; readonly error?: undefined } | { readonly data?: undefined; readonly error: AppError };

const TRIES = 4;
const PAUSE_MS = 1200;

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
    return { error: OFFLINE };
  }
}

/** An act: sent again while no answer comes, under one key, so that it counts once. */
export async function sendAct<T>(method: string, path: string, body?: unknown): Promise<Asked<T>> {
  const key = nanoid();
  for (let left = TRIES; ; left--) {
    const asked = await askBench<T>(method, path, body, key);
    if (asked.error?.kind !== 'offline' || left === 0) return asked;
    await new Promise((done) => setTimeout(done, PAUSE_MS));
  }
}
