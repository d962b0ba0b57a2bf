import { createIdentifier, createReport, syncAnswersInPlace, type Answer, type Identifier } from '@sardonyx/core';
import type { IdentifyAnswer, IdentifyRequest } from './protocol.ts';

let identifier: Identifier | null = null;
let given: readonly Answer[] = [];
let waiting: IdentifyRequest | null = null;

/** Of several requests that pile up only the last is worked on: the others are out of date already. */
self.onmessage = ({ data }: MessageEvent<IdentifyRequest>) => {
  const isIdle = waiting === null;
  // A catalogue that came with a request that is skipped must not get lost.
  waiting = { ...data, catalogue: data.catalogue ?? waiting?.catalogue ?? null };
  if (isIdle) setTimeout(answer);
};

function answer(): void {
  const request = waiting!;
  waiting = null;
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

const post = (message: IdentifyAnswer) => self.postMessage(message);
