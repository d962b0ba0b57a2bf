import type { ColourAnswer, ColourQuestion, ColourRequest } from './protocol.ts';

interface Waiting {
  readonly kind: ColourQuestion['kind'];
  readonly done: (answer: ColourAnswer) => void;
  readonly fail: (error: Error) => void;
}

/** What the page shows of the solver. */
export interface SolverState {
  /** Share of the shelf's table that is built; null while none is being built. */
  readonly progress: number | null;
}

export const STALE = 'Asked anew.';
const ENDED = 'Ended.';
const IDLE: SolverState = { progress: null };

/**
 * The one solver of this window. It lives on while pages come and go: the table of the shelf's mixes is built once and stands
 * until the shelf changes.
 */
let worker: Worker | null = null;
let state: SolverState = IDLE;
let last = 0;
const waiting = new Map<number, Waiting>();
const listeners = new Set<() => void>();

function setState(next: SolverState): void {
  state = next;
  for (const listener of listeners) listener();
}

export const readSolver = (): SolverState => state;

export function watchSolver(listener: () => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

/** Asks the solver; a later question of the same kind makes an earlier one fail with STALE. */
export function askSolver<Kind extends ColourAnswer['kind']>(
  question: ColourQuestion,
  wanted: Kind,
): Promise<Extract<ColourAnswer, { kind: Kind }>> {
  return new Promise((done, fail) => {
    for (const [id, one] of waiting)
      if (one.kind === question.kind) {
        waiting.delete(id);
        one.fail(new Error(STALE));
      }
    const id = ++last;
    waiting.set(id, {
      kind: question.kind,
      done: (answer) => (answer.kind === wanted ? done(answer as never) : fail(new Error('Another answer came.'))),
      fail,
    });
    (worker ??= startWorker()).postMessage({ ...question, id } as ColourRequest);
  });
}

/** Ends what runs; its promises fail, and the table is built anew when it is needed again. */
export function endSolver(why = ENDED): void {
  worker?.terminate();
  worker = null;
  for (const one of waiting.values()) one.fail(new Error(why));
  waiting.clear();
  setState(IDLE);
}

function startWorker(): Worker {
  const own = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });
  own.onmessage = ({ data }: MessageEvent<ColourAnswer>) => {
    if (data.kind === 'progress') return setState({ progress: data.share });
    const one = waiting.get(data.id);
    waiting.delete(data.id);
    if (state.progress !== null) setState(IDLE);
    if (data.kind === 'problem') one?.fail(new Error(data.message));
    else one?.done(data);
  };
  own.onerror = () => endSolver('The solver broke off. Ask again.');
  return own;
}
