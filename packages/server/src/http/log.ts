import { randomUUID } from 'node:crypto';
import { renameSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { RequestHandler } from 'express';
import { pino, type Logger } from 'pino';
import { pinoHttp } from 'pino-http';

/** A log larger than this is set aside at start; the one before it goes. */
const MOST_BYTES = 5_000_000;

/** Keeps nothing: for tests and for whoever builds a room without a folder of its own. */
export const createSilentLog = (): Logger => pino({ level: 'silent' });

/**
 * The log of a bench, one JSON line each, in its own folder: requests that changed something, refusals, faults. `level` as
 * pino has it; reading is logged from 'debug' on. A full disk must not end the server for its log's sake.
 */
export function openLog(folder: string, level = 'info'): Logger {
  const file = join(folder, 'server.log');
  try {
    if (statSync(file).size > MOST_BYTES) renameSync(file, join(folder, 'server.before.log'));
  } catch {
    // There is none yet.
  }
  const sink = pino.destination({ dest: file, sync: false });
  sink.on('error', (error) => console.error(`The log cannot be written: ${error.message}`));
  return pino({ level, base: null, timestamp: pino.stdTimeFunctions.isoTime }, sink);
}

/** Gives each request a short number and logs how it ended: never what was sent in it. */
export function logRequests(log: Logger): RequestHandler {
  return pinoHttp({
    logger: log,
    genReqId: () => randomUUID().slice(0, 8),
    customLogLevel: (request, response, error) => {
      if (error || response.statusCode >= 500) return 'error';
      return request.method === 'GET' && response.statusCode < 400 ? 'debug' : 'info';
    },
    serializers: {
      req: ({ id, method, url }: { id: string; method: string; url: string }) => ({ id, method, url }),
      res: ({ statusCode }: { statusCode: number }) => ({ status: statusCode }),
    },
  });
}
