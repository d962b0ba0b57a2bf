import { InvalidInputError, type Opening, type OpeningQuestion } from '@sardonyx/core';
import { parentPort } from 'node:worker_threads';
import { planExplained } from './planExplained.ts';

export interface ThreadQuestion {
  readonly id: number;
  readonly question: OpeningQuestion;
}

export type ThreadAnswer =
  | { readonly id: number; readonly opening: Opening }
  | { readonly id: number; readonly invalid: Pick<InvalidInputError, 'code' | 'message' | 'path'> }
  | { readonly id: number; readonly fault: string };

parentPort?.on('message', ({ id, question }: ThreadQuestion) => parentPort!.postMessage(answer(id, question)));

function answer(id: number, question: OpeningQuestion): ThreadAnswer {
  try {
    return { id, opening: planExplained(question) };
  } catch (error) {
    if (error instanceof InvalidInputError)
      return { id, invalid: { code: error.code, message: error.message, path: error.path } };
    return { id, fault: error instanceof Error ? error.message : String(error) };
  }
}
