import { chooseOpening, compareAlternatives, explainJoints } from '@sardonyx/core';
import type { OpeningReply, OpeningRequest } from './protocol.ts';

let waiting: OpeningRequest | null = null;

/** Of several questions that pile up only the last is worked on: the others are out of date already. */
self.onmessage = ({ data }: MessageEvent<OpeningRequest>) => {
  const isIdle = waiting === null;
  waiting = data;
  if (isIdle) setTimeout(answer);
};

function answer(): void {
  const { id, question } = waiting!;
  waiting = null;
  try {
    const chosen = chooseOpening(question);
    const reasons = explainJoints(question, chosen);
    const alternatives = compareAlternatives(question, chosen);
    post({ id, answer: { question, chosen, reasons, alternatives }, problem: null });
  } catch (error) {
    post({ id, answer: null, problem: error instanceof Error ? error.message : String(error) });
  }
}

const post = (message: OpeningReply) => self.postMessage(message);
