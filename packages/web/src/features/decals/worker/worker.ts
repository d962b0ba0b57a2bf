import { createSeededRandom, nestSheets, runToEnd, USUAL_ROUNDS } from '@sardonyx/core';
import type { NestReply, NestRequest } from './protocol.ts';

/** The same decals are laid the same way again. */
const SEED = 20;
/** Rounds between two reports. */
const REPORT = 10;

const post = (reply: NestReply) => self.postMessage(reply);

self.onmessage = ({ data: { id, question } }: MessageEvent<NestRequest>) => {
  try {
    const nest = runToEnd(
      nestSheets(question, createSeededRandom(SEED), USUAL_ROUNDS),
      ({ round, rounds, best }) =>
        round % REPORT === 1 && post({ id, kind: 'nest', nest: best, share: round / rounds, isEnd: false }),
    );
    post({ id, kind: 'nest', nest, share: 1, isEnd: true });
  } catch (error) {
    post({ id, kind: 'problem', message: error instanceof Error ? error.message : String(error) });
  }
};
