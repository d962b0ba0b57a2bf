import { InvalidInputError, type Refusal } from '@sardonyx/core';
import type { ErrorBody } from '@sardonyx/contract';
import type { NextFunction, Request, Response } from 'express';
import { MulterError } from 'multer';

/** A failure with its HTTP status and what the page shows. */
export class HttpError extends Error {
  constructor(
    readonly status: number,
    readonly body: ErrorBody,
  ) {
    super(body.message);
  }
}

export const badInput = (message: string, fields?: Record<string, string>, code = 'bad-input') =>
  new HttpError(400, { code, message, ...(fields ? { fields } : {}) });

/** What the core refuses of an input is said at its field. */
export function sayAtField<T>(work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof InvalidInputError) throw badInput(error.message, { [error.path]: error.message }, error.code);
    throw error;
  }
}

export const notFound = (what: string) =>
  new HttpError(404, { code: 'not-found', message: `${what} is not here any more, or never was.` });

/** Somebody else saved the row first; `current` is what stands now. */
export const stale = (current: Record<string, unknown>) =>
  new HttpError(409, { code: 'stale', message: 'This was changed in the meantime. Nothing was overwritten.', current });

/** A rule of the craft says no. */
export const refused = (code: string, message: string, fields?: Record<string, string>) =>
  new HttpError(422, { code, message, ...(fields ? { fields } : {}) });

/** Gates of the core say no: all their reasons, and what the first of them would need. */
export function refuseAll(refusals: readonly Refusal[]): void {
  const [first] = refusals;
  if (!first) return;
  const fields = Object.fromEntries(refusals.flatMap(({ field, message }) => (field ? [[field, message]] : [])));
  throw new HttpError(422, {
    code: first.code,
    message: refusals.map(({ message }) => message).join(' '),
    ...(Object.keys(fields).length ? { fields } : {}),
    ...(first.from ? { from: first.from } : {}),
    ...(first.taskId ? { taskId: first.taskId } : {}),
    ...(refusals.length > 1 ? { reasons: refusals.map(({ field: _, ...reason }) => reason) } : {}),
  });
}

/** Last in the chain: turns whatever was thrown into one shape. No database text leaves the house. */
export function sendError(error: unknown, request: Request, response: Response, _next: NextFunction): void {
  const { status, body } = describeError(error);
  if (status < 500) return void response.status(status).json(body);
  const faultId = String(request.id);
  request.log.error({ err: error, faultId }, 'fault');
  response.status(status).json({ ...body, faultId });
}

function describeError(error: unknown): { status: number; body: ErrorBody } {
  if (error instanceof HttpError) return error;
  if (error instanceof InvalidInputError)
    return { status: 400, body: { code: error.code, message: error.message, path: error.path } };
  if (error instanceof MulterError) {
    const tooBig = error.code === 'LIMIT_FILE_SIZE';
    return {
      status: tooBig ? 413 : 400,
      body: {
        code: tooBig ? 'too-big' : 'bad-upload',
        message: tooBig
          ? 'The file is larger than 25 MB. Nothing was saved; make it smaller and try again.'
          : 'The upload was not understood. Nothing was saved.',
      },
    };
  }
  const asked = describeRequestError(error);
  if (asked) return asked;
  if (isConstraint(error))
    return {
      status: 422,
      body: {
        code: 'does-not-fit',
        message:
          'This does not fit what is already there: it names something that is gone, or doubles something. Nothing was saved.',
      },
    };
  return {
    status: 500,
    body: { code: 'fault', message: 'Something broke on our side. Nothing was saved; try again.' },
  };
}

const REQUEST_WORDS: Readonly<Record<number, readonly [code: string, message: string]>> = {
  400: ['bad-request', 'What was sent cannot be read. Nothing was saved.'],
  413: ['too-big', 'What was sent is too large. Nothing was saved.'],
  415: ['bad-type', 'What was sent is in a form that is not read here; plain JSON in UTF-8 is. Nothing was saved.'],
};

/** What went wrong before a request reached us: its address, its form, its size. null for anything else. */
function describeRequestError(error: unknown): { status: number; body: ErrorBody } | null {
  if (!(error instanceof Error)) return null;
  const { type, status, code } = error as { type?: unknown; status?: unknown; code?: unknown };
  if (type === 'entity.parse.failed')
    return {
      status: 400,
      body: { code: 'bad-json', message: 'What was sent is not readable JSON. Nothing was saved.' },
    };
  const isUnreadable = error instanceof URIError || (typeof code === 'string' && code.startsWith('Z_'));
  const given = isUnreadable ? 400 : status;
  if (typeof given !== 'number' || given < 400 || given > 499) return null;
  const known = REQUEST_WORDS[given] ? given : 400;
  const [name, message] = REQUEST_WORDS[known]!;
  return { status: known, body: { code: name, message } };
}

function isConstraint(error: unknown): boolean {
  const cause = error instanceof Error && 'driverError' in error ? (error.driverError as { code?: string }) : undefined;
  return cause?.code?.startsWith('SQLITE_CONSTRAINT') ?? false;
}
