import { chooseOpening, compareAlternatives, explainJoints } from '@sardonyx/core';
import { answerNewest } from '../../../../../shared/worker/answerNewest.ts';
import type { OpeningReply, OpeningRequest } from './protocol.ts';

const post = (message: OpeningReply) => self.postMessage(message);

answerNewest(({ id, question }: OpeningRequest) => {
  try {
    const chosen = chooseOpening(question);
    const reasons = explainJoints(question, chosen);
    const alternatives = compareAlternatives(question, chosen);
    post({ id, answer: { question, chosen, reasons, alternatives }, problem: null });
  } catch (error) {
    post({ id, answer: null, problem: error instanceof Error ? error.message : String(error) });
  }
});
