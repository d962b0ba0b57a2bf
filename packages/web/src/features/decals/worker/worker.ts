import { createSeededRandom, nestSheets, USUAL_ROUNDS } from '@sardonyx/core';
import type { NestReply, NestRequest } from './protocol.ts';

/** The same decals are laid the same way again. */
const SEED = 20;
/** Rounds between two reports. */
const REPORT = 10;

const post = (reply: NestReply) => self.postMessage(reply);

self.onmessage = ({ data: { id, question } }: MessageEvent<NestRequest>) => {
  try {
    const search = nestSheets(question, createSeededRandom(SEED), USUAL_ROUNDS);
    for (;;) {
      const { done, value } = search.next();
      if (done) return post({ id, kind: 'nest', nest: value, share: 1, isEnd: true });
      if (value.round % REPORT === 1)
        post({ id, kind: 'nest', nest: value.best, share: value.round / value.rounds, isEnd: false });
    }
  } catch (error) {
    post({ id, kind: 'problem', message: error instanceof Error ? error.message : String(error) });
  }
};
