import { isGraveStep, isSettled, readLastMeasures, type Task, type TaskMeasure } from '@sardonyx/core';
import { useState } from 'react';
import { HeldButton } from '../../../shared/ui/HeldButton.tsx';
import { AxleAtClose } from './AxleAtClose.tsx';
import { CutBlank } from './CutBlank.tsx';
import { AxleInHand } from './AxleInHand.tsx';
import { isSame } from '../../../shared/api/keepNoNumber.ts';
import { useJob } from '../JobContext.tsx';
import { GoOnAllTheSame } from './GoOnAllTheSame.tsx';
import { HeldBack, type SendMore } from './HeldBack.tsx';
import { PostInHand } from './PostInHand.tsx';
import { useAct } from './useAct.ts';
import { WheelsInHand } from './WheelsInHand.tsx';

type Act = 'start' | 'done' | 'take back';

/** Acts that cannot be undone and acts with a hazard are held; the others are pressed. */
export function TaskActs({ task, isReady }: { readonly task: Task; readonly isReady: boolean }) {
  const { act, error, isLoading, clear } = useAct(task.id);
  const { view } = useJob();
  const kept = readLastMeasures(view.log.filter(({ taskId }) => taskId === task.id));
  const [measures, setMeasures] = useState<readonly TaskMeasure[]>(kept);
  const [note, setNote] = useState('');
  const [lastAct, setLastAct] = useState<Act>('start');
  const [said, setSaid] = useState<SendMore>({});
  const isGrave = isGraveStep(task);
  const isStopped = error?.code === 'stop-before-strip';
  const isOpen = !isSettled(task);
  const send = (what: Act, more: SendMore = {}) => {
    setLastAct(what);
    // Answers to one reason stand when another one is asked about.
    setSaid(more);
    const own = what === 'done' && measures.length ? { measures: [...measures] } : {};
    void act({ act: what, note, ...own, ...more }).then((isDone) => isDone && setNote(''));
  };
  if (task.state === 'set aside') return null;
  return (
    <div className="space-y-2">
      {isOpen && isReady && task.act === 'axle-in-hand' && (
        <AxleInHand task={task} measures={measures} onMeasure={setMeasures} />
      )}
      {isOpen && isReady && (task.act === 'tap' || task.act === 'recover-post') && (
        <PostInHand task={task} measures={measures} onMeasure={setMeasures} />
      )}
      {isOpen && isReady && task.act === 'check' && (
        <WheelsInHand task={task} measures={measures} onMeasure={setMeasures} />
      )}
      {isOpen && measures.length > 0 && !isSame(measures, kept) && (
        <button
          type="button"
          className="quiet-button"
          disabled={isLoading}
          onClick={() => void act({ act: 'note', note: '', measures: [...measures] })}
        >
          Write the measures down, the step stays open
        </button>
      )}
      {isOpen && isReady && (task.act === 'mend' || (task.act === 'get' && task.method === 'make')) && <CutBlank />}
      {isOpen && isReady && task.act === 'close' && <AxleAtClose task={task} />}
      {task.state === 'doing' && (
        <label className="block">
          <span className="text-note">Note for the record</span>
          <input value={note} maxLength={500} onChange={(event) => setNote(event.target.value)} />
        </label>
      )}
      <div className="flex flex-wrap gap-3">
        {task.state === 'to do' && isReady && isGrave && !isStopped && (
          <HeldButton disabled={isLoading} onHeld={() => send('start')}>
            Start: {task.title}
            {task.irreversible && <span className="block text-note">Cannot be undone: {task.cannotBeUndone}</span>}
          </HeldButton>
        )}
        {task.state === 'to do' && isReady && !isGrave && (
          <button type="button" className="main-button" disabled={isLoading} onClick={() => send('done')}>
            Done
          </button>
        )}
        {task.state === 'to do' && !isGrave && (
          <button type="button" className="plain-button" disabled={isLoading} onClick={() => send('start')}>
            Start
          </button>
        )}
        {task.state === 'doing' && (
          <button type="button" className="main-button" disabled={isLoading} onClick={() => send('done')}>
            Done
          </button>
        )}
        {task.state !== 'to do' && (
          <button type="button" className="quiet-button" disabled={isLoading} onClick={() => send('take back')}>
            Take back
          </button>
        )}
      </div>
      {isStopped && (
        <GoOnAllTheSame
          task={task}
          message={error.message}
          isLoading={isLoading}
          onAgain={(more) => send('start', more)}
        />
      )}
      {error && !isStopped && (
        <HeldBack task={task} error={error} onClose={clear} onAgain={(more) => send(lastAct, { ...said, ...more })} />
      )}
    </div>
  );
}
