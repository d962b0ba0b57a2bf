import { createIdentifier, createReport, syncAnswersInPlace, type Answer, type Identifier } from '@sardonyx/core';
import { answerNewest } from '../../../shared/worker/answerNewest.ts';
import type { IdentifyAnswer, IdentifyRequest } from './protocol.ts';

let identifier: Identifier | null = null;
let given: readonly Answer[] = [];
const post = (message: IdentifyAnswer) => self.postMessage(message);

function answer(request: IdentifyRequest): void {
  try {
    if (request.catalogue) {
      identifier = createIdentifier(request.catalogue);
      given = [];
    }
    syncAnswersInPlace(identifier!, given, request.answers, request.statements);
    given = request.answers;
    post({ id: request.id, report: createReport(identifier!, request.threshold, request.question), problem: null });
  } catch (error) {
    identifier = null;
    post({ id: request.id, report: null, problem: error instanceof Error ? error.message : String(error) });
  }
}

// A catalogue that came with a request that is skipped must not get lost.
answerNewest(answer, (skipped, newest) => ({ ...newest, catalogue: newest.catalogue ?? skipped.catalogue }));
