import type { EveningsView } from '@sardonyx/contract';
import {
  listAirOfClocks,
  type DecidingEvening,
  type EveningsInput,
  type EveningsPlan,
  type MoveReason,
  type PlannedStart,
  type Supposition,
} from '@sardonyx/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useGetTimersQuery } from '../../shared/api/api.ts';
import { useGetEveningsQuery, useKeepEveningsMutation } from '../../shared/api/eveningsApi.ts';
import type { EveningsReply, EveningsRequest, FoundEvenings, SupposedEvenings } from './worker/protocol.ts';

export interface Evenings {
  readonly view: EveningsView | null;
  readonly input: EveningsInput | null;
  /** The plan that stands; null until it was looked at. */
  readonly now: FoundEvenings | null;
  /** A better one that was found and not taken yet. */
  readonly better: FoundEvenings | null;
  /** 0 to 1 while it is searched; null else. */
  readonly share: number | null;
  readonly problem: string | null;
  readonly error: unknown;
  /** Why the plan is not kept; it stands here all the same. */
  readonly notKept: unknown;
  readonly search: () => void;
  /** The evenings that the last promised day cannot do without; null until somebody asks. */
  readonly deciding: readonly DecidingEvening[] | null;
  readonly decide: (on: string) => void;
  /** What would be, when somebody wonders; null until it is worked out. */
  readonly supposed: SupposedEvenings | null;
  readonly suppose: (supposed: Supposition) => void;
  readonly end: () => void;
  readonly take: (found: FoundEvenings) => void;
  readonly leave: () => void;
  /** Puts a task somewhere for good. */
  readonly put: (to: PlannedStart) => void;
  /** Why the last one could not be put there; null where it could. */
  readonly refusal: Refusal | null;
  /** Lets one go again that was put somewhere. */
  readonly letGo: (taskId: string) => void;
}

export interface Refusal {
  readonly to: PlannedStart;
  readonly because: readonly MoveReason[];
}

type Wanted =
  | { readonly act: 'search' }
  | { readonly act: 'decide'; readonly on: string }
  | { readonly act: 'suppose'; readonly supposed: Supposition }
  | { readonly act: 'move'; readonly to: PlannedStart };

const createWorker = () => new Worker(new URL('./worker/worker.ts', import.meta.url), { type: 'module' });

/**
 * The plan of all evenings: what stands is looked at beside the page whenever something changed, mended where it can no longer be, and
 * kept. A better one is searched when somebody asks, and taken when they say so: nothing moves by itself that can stay.
 */
export function useEvenings(): Evenings {
  const { data: view, error } = useGetEveningsQuery();
  const { data: clocks, fulfilledTimeStamp } = useGetTimersQuery();
  const [keep, { error: notKept }] = useKeepEveningsMutation();
  const [now, setNow] = useState<FoundEvenings | null>(null);
  const [better, setBetter] = useState<FoundEvenings | null>(null);
  const [share, setShare] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [deciding, setDeciding] = useState<readonly DecidingEvening[] | null>(null);
  const [supposed, setSupposed] = useState<SupposedEvenings | null>(null);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [input, setInput] = useState<EveningsInput | null>(null);
  const worker = useRef<Worker | null>(null);
  const last = useRef(0);
  /** What somebody asked for and has no answer yet: asked again where the plan changes under it. */
  const wanted = useRef<Wanted | null>(null);
  useEffect(() => () => worker.current?.terminate(), []);

  const ask = useCallback((request: Omit<EveningsRequest, 'id'>, onFound: (found: FoundEvenings) => void) => {
    worker.current?.terminate();
    const own = createWorker();
    worker.current = own;
    const id = ++last.current;
    own.onmessage = ({ data }: MessageEvent<EveningsReply>) => {
      if (data.id !== last.current) return;
      if (data.kind === 'share') return setShare(data.share);
      setShare(null);
      if (data.kind === 'problem') return setProblem(data.message);
      if (data.kind === 'decided') {
        wanted.current = null;
        return setDeciding(data.deciding);
      }
      if (data.kind === 'supposed') {
        wanted.current = null;
        return setSupposed(data.supposed);
      }
      if (data.kind === 'refused') {
        wanted.current = null;
        return setRefusal({ to: request.to!, because: data.because });
      }
      if (request.act === 'move') setRefusal(null);
      setProblem(null);
      onFound(data.found);
    };
    own.postMessage({ ...request, id } satisfies EveningsRequest);
  }, []);
  const keepFound = useCallback(
    ({ report: { plan }, moves }: FoundEvenings, of: EveningsView, pins: readonly PlannedStart[]) => {
      const version = of.kept?.version ?? 0;
      void keep({ version, starts: [...plan.starts], late: [...plan.late], pins: [...pins], moves: [...moves] });
    },
    [keep],
  );
  const answer = useCallback(
    (of: EveningsView, own: EveningsInput, stands: FoundEvenings) => {
      const what = wanted.current;
      if (!what) return;
      const kept = stands.report.plan;
      if (what.act === 'search') {
        setShare(0);
        return ask({ act: 'search', input: own, kept }, (found) => {
          wanted.current = null;
          setBetter(found);
        });
      }
      if (what.act === 'decide') {
        setShare(0);
        return ask({ act: 'decide', input: own, kept, on: what.on }, () => undefined);
      }
      if (what.act === 'suppose') {
        setShare(0);
        return ask({ act: 'suppose', input: own, kept, supposed: what.supposed }, () => undefined);
      }
      ask({ act: 'move', input: own, kept, to: what.to }, (found) => {
        wanted.current = null;
        setNow(found);
        keepFound(found, of, [...own.pins.filter(({ taskId }) => taskId !== what.to.taskId), what.to]);
      });
    },
    [ask, keepFound],
  );

  // The hour at which it was read: a plan is not made anew because a minute went by.
  const isReady = view !== undefined && clocks !== undefined;
  useEffect(() => {
    if (!isReady) return;
    const ahead = Date.parse(clocks.now) - (fulfilledTimeStamp ?? Date.now());
    const at = Date.now() + ahead;
    const { kept, restorers, weather } = view;
    const own: EveningsInput = {
      ...{ ...view.input, restorers, weather, now: at, pins: kept?.pins ?? [] },
      inRoom: listAirOfClocks(clocks.timers, at),
    };
    setInput(own);
    setBetter(null);
    setDeciding(null);
    setSupposed(null);
    ask({ act: 'repair', input: own, kept: readKept(view) }, (found) => {
      setNow(found);
      // Kept, it comes back, and what was asked for is answered then.
      if (found.isChanged) keepFound(found, view, own.pins);
      else answer(view, own, found);
    });
    // Clocks tick: only what is written moves a plan.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [view, isReady]);

  return {
    ...{ view: view ?? null, input, now, better, share, problem, error, notKept },
    search: () => {
      if (!view || !input || !now) return;
      wanted.current = { act: 'search' };
      answer(view, input, now);
    },
    deciding,
    decide: (on) => {
      if (!view || !input || !now) return;
      wanted.current = { act: 'decide', on };
      answer(view, input, now);
    },
    supposed,
    suppose: (what) => {
      if (!view || !input || !now) return;
      setSupposed(null);
      wanted.current = { act: 'suppose', supposed: what };
      answer(view, input, now);
    },
    end: () => {
      wanted.current = null;
      worker.current?.terminate();
      last.current++;
      setShare(null);
    },
    take: (found) => {
      if (!view || !input) return;
      setNow(found);
      setBetter(null);
      // What moves then is what they took; nothing made it move.
      keepFound({ ...found, moves: [] }, view, input.pins);
    },
    leave: () => setBetter(null),
    refusal,
    put: (to) => {
      if (!view || !input || !now) return;
      wanted.current = { act: 'move', to };
      answer(view, input, now);
    },
    letGo: (taskId) => {
      if (!view || !now) return;
      const pins = input!.pins.filter((one) => one.taskId !== taskId);
      keepFound({ ...now, moves: [] }, view, pins);
    },
  };
}

const readKept = ({ kept }: EveningsView): EveningsPlan | null => kept && { starts: kept.starts, late: kept.late };
