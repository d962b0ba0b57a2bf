import type { RequestHandler } from 'express';
import multer, { MulterError } from 'multer';
import { badInput } from '../../http/errors.ts';

const MAX_BYTES = 25 * 1024 * 1024;

/** One picture of a form, in memory; a form that is broken is its sender's fault. */
export function receivePicture(): RequestHandler {
  const receive = multer({ storage: multer.memoryStorage(), limits: { fileSize: MAX_BYTES, files: 1 } }).single(
    'picture',
  );
  return (request, response, next) =>
    receive(request, response, (error: unknown) =>
      next(
        error && !(error instanceof MulterError)
          ? badInput('The upload broke off or was not understood. Nothing was saved.', undefined, 'bad-upload')
          : error,
      ),
    );
}
