/**
 * For a worker: of several questions that pile up only the last is answered, the others are out of date already. `merge`
 * carries over what a skipped question brought along.
 */
export function answerNewest<Question>(
  answer: (question: Question) => void,
  merge: (skipped: Question, newest: Question) => Question = (_skipped, newest) => newest,
): void {
  let waiting: Question | null = null;
  self.onmessage = ({ data }: MessageEvent<Question>) => {
    if (waiting !== null) {
      waiting = merge(waiting, data);
      return;
    }
    waiting = data;
    setTimeout(() => {
      const question = waiting!;
      waiting = null;
      answer(question);
    });
  };
}
