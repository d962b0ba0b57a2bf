import { HazardCard } from '../../shared/hazard/HazardCard.tsx';
import { formatMinutes } from '../../shared/format.ts';
import type { Press, Task } from '@sardonyx/core';
import { ActInHand, GoOnAllTheSame, HeldBack } from '../job/index.ts';
import type { SendPictures } from '../photos/index.ts';
import { OnePhoto } from './OnePhoto.tsx';
import { OnePress } from './OnePress.tsx';
import type { BenchPress } from './useBenchPress.ts';

interface InHandProps {
  readonly jobId: string;
  readonly taskId: string;
  readonly nowMs: number;
  readonly bench: BenchPress;
  readonly pictures: SendPictures;
  /** Passes it over for this sitting. */
  readonly onLater: (task: Task) => void;
}

/** The step in hand with its hazards, its one press, and what is one press beside it: a picture, a mark, the last step back. */
export function InHand({ jobId, taskId, nowMs, bench, pictures, onLater }: InHandProps) {
  return (
    <ActInHand
      jobId={jobId}
      taskId={taskId}
      now={nowMs}
      before={(task) => {
        const press = bench.pressOf(task);
        return press.does === 'read' ? <HazardCard hazard={press.hazard} /> : null;
      }}
      press={(task) => {
        const what = bench.pressOf(task);
        return (
          <>
            <Held task={task} bench={bench} />
            <div className="flex items-stretch">
              <OnePress
                key={what.does === 'read' ? what.hazard : what.does}
                isHeld={what.isHeld}
                disabled={bench.isBusy}
                onPress={() => void bench.press(task)}
              >
                {sayPress(what)}
                {what.does === 'start' && task.irreversible && (
                  <span className="block text-body">Cannot be undone: {task.cannotBeUndone}</span>
                )}
              </OnePress>
              <button
                type="button"
                className="plain-button min-h-16"
                disabled={bench.isBusy}
                onClick={() => onLater(task)}
              >
                Later<span className="sr-only">: go on with the next step</span>
              </button>
              <OnePhoto task={task} pictures={pictures} />
              <button
                type="button"
                className="plain-button min-h-16"
                disabled={bench.isBusy}
                onClick={() => void bench.note(task, MARK)}
              >
                Mark it
                <span className="sr-only">: {MARK}</span>
              </button>
            </div>
          </>
        );
      }}
    />
  );
}

/** The note that one press writes into the log. */
const MARK = 'Marked at the bench: look at this step again.';

function sayPress(press: Press): string {
  switch (press.does) {
    case 'read':
      return 'I have read it';
    case 'start':
      return press.clock ? `Start it, with a clock of ${formatMinutes(press.clock.minutes)}` : 'Start it';
    case 'start clock':
      return `Start its clock: ${formatMinutes(press.clock.minutes)}`;
    case 'done':
      return press.clock ? `Done: a clock of ${formatMinutes(press.clock.minutes)} starts` : 'Done';
  }
}

/** Why the bench did not let it begin or end, with what puts it right. */
function Held({ task, bench }: { readonly task: Task; readonly bench: BenchPress }) {
  if (bench.error?.taskId !== task.id) return null;
  const { error } = bench.error;
  return (
    <div className="max-h-[50vh] shrink-0 overflow-y-auto px-4 pb-2">
      {error.code === 'stop-before-strip' ? (
        <GoOnAllTheSame
          task={task}
          message={error.message}
          isLoading={bench.isBusy}
          onAgain={(more) => void bench.press(task, more)}
        />
      ) : (
        <HeldBack task={task} error={error} onClose={bench.clear} onAgain={(more) => void bench.press(task, more)} />
      )}
    </div>
  );
}
