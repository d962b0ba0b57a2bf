import type { Health } from '@sardonyx/contract';
import { fetchBaseQuery, type BaseQueryFn, type FetchArgs } from '@reduxjs/toolkit/query/react';
import { keyOfAct, noteAnswered, noteUnanswered } from './actKeys.ts';
import { convertToAppError, OFFLINE, type AppError } from './appError.ts';
import { keepNoNumber } from './keepNoNumber.ts';
import { cameOnline, diskFailed, diskRecovered, wentOffline, type connectionSlice } from './connectionSlice.ts';

const ask = fetchBaseQuery({ baseUrl: '/api/', jsonReplacer: keepNoNumber });

/** Every request: failures become AppErrors, and the page learns whether the server can be reached. */
export const baseQuery: BaseQueryFn<string | FetchArgs, unknown, AppError> = async (args, context, extra) => {
  const act = nameAct(args);
  const key = act && keyOfAct(act);
  const { data, error, meta } = await ask(key ? withKey(args as FetchArgs, key) : args, context, extra);
  const { isOnline, trouble } = (
    context.getState() as { connection: ReturnType<typeof connectionSlice.getInitialState> }
  ).connection;
  if (error && typeof error.status !== 'number' && !meta?.response) {
    if (act) noteUnanswered(act);
    if (isOnline) context.dispatch(wentOffline());
    return { error: OFFLINE };
  }
  if (act) noteAnswered(act);
  if (!isOnline) context.dispatch(cameOnline());
  if (error) {
    const failure = convertToAppError(meta?.response?.status ?? 500, error.data);
    if (failure.kind === 'disk') context.dispatch(diskFailed(failure.message));
    return { error: failure };
  }
  if (args === 'health') noteDisk(data as Health);
  return { data };

  function noteDisk({ trouble: now }: Health): void {
    if (now && now.message !== trouble) context.dispatch(diskFailed(now.message));
    if (!now && trouble !== null) context.dispatch(diskRecovered());
  }
};

/** What an act asks, so that it is known again; null for reading, and for pictures and archives. */
function nameAct(args: string | FetchArgs): string | null {
  if (typeof args === 'string' || !args.method) return null;
  const isPlain = args.body === undefined || Object.getPrototypeOf(args.body) === Object.prototype;
  return isPlain ? JSON.stringify([args.method, args.url, args.params, args.body], keepNoNumber) : null;
}

const withKey = (args: FetchArgs, key: string): FetchArgs => ({
  ...args,
  headers: { ...(args.headers as Record<string, string>), 'idempotency-key': key },
});
