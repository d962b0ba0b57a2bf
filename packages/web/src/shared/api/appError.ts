import type { ErrorBody, Reason } from '@sardonyx/contract';

/** Everything that can go wrong with a request, as plain data; one component shows it. */
export interface AppError {
  readonly kind:
    'offline' | 'disk' | 'bad input' | 'missing' | 'stale' | 'counted' | 'not let in' | 'refused' | 'fault';
  /** The server's name for it. */
  readonly code?: string;
  readonly message: string;
  readonly fields?: Readonly<Record<string, string>>;
  /** For a stale save: the row as it stands now. */
  readonly current?: Readonly<Record<string, unknown>>;
  /** From when it may, where waiting is all it takes. */
  readonly from?: string;
  /** The task that stands in the way. */
  readonly taskId?: string;
  /** Every reason by itself, where a gate says no. */
  readonly reasons?: readonly Reason[];
  /** Under this number the bench's log tells what broke. */
  readonly faultId?: string;
}

const KINDS: Readonly<Record<number, AppError['kind']>> = {
  400: 'bad input',
  401: 'not let in',
  403: 'not let in',
  404: 'missing',
  409: 'stale',
  413: 'bad input',
  415: 'bad input',
  422: 'refused',
  507: 'disk',
};

export const OFFLINE: AppError = {
  kind: 'offline',
  message: 'The bench cannot be reached. What you typed is kept here.',
};

/** Nothing is wrong with what was sent: it waits here until the bench can take it. */
export const isHeldUp = ({ kind }: AppError): boolean => kind === 'offline' || kind === 'disk';

/** It was done the first time it was sent; only the answer was lost. */
export const isCounted = ({ kind }: AppError): boolean => kind === 'counted';

/** Turns an answer of the server that is not 2xx into an AppError. */
export function convertToAppError(status: number, body: unknown): AppError {
  const known = (typeof body === 'object' && body !== null ? body : {}) as Partial<ErrorBody>;
  return {
    kind: known.code === 'counted' ? 'counted' : (KINDS[status] ?? 'fault'),
    message: known.message ?? 'Something broke on the way. Nothing was saved; try again.',
    ...(known.code ? { code: known.code } : {}),
    ...(known.fields ? { fields: known.fields } : {}),
    ...(known.current ? { current: known.current } : {}),
    ...(known.from ? { from: known.from } : {}),
    ...(known.taskId ? { taskId: known.taskId } : {}),
    ...(known.reasons ? { reasons: known.reasons } : {}),
    ...(known.faultId ? { faultId: known.faultId } : {}),
  };
}

/** What RTK hands over for an error, whether it came from the server or from the code. */
export function readAppError(error: unknown): AppError {
  if (typeof error === 'object' && error !== null && 'kind' in error) return error as AppError;
  const message = error instanceof Error ? error.message : 'Something broke on this page.';
  return { kind: 'fault', message };
}
