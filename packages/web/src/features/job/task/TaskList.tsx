import { isSettled, selectOpenLinks, type Station, type Task } from '@sardonyx/core';
import { useState } from 'react';
import { Fold } from '../../../shared/ui/Fold.tsx';
import { useNow } from '../../clocks/index.ts';
import { useJob } from '../JobContext.tsx';
import { TaskLine } from './TaskLine.tsx';

/** The tasks of a station: what can be done first and open, what waits folded with its reason, what is done at the end. */
export function TaskList({ station, heading = 'Do' }: { readonly station: Station; readonly heading?: string }) {
  const { tasks } = useJob();
  const now = useNow();
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set());
  const own = tasks.filter((task) => task.station === station);
  if (own.length === 0) return null;
  const isOpen = (task: Task) => !isSettled(task);
  const current =
    own.find((task) => task.state === 'doing') ??
    own.find((task) => task.state === 'to do' && selectOpenLinks(task, tasks, now).length === 0);
  const toggle = (id: string) =>
    setOpened((before) => {
      const next = new Set(before);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  const line = (task: Task) => (
    <TaskLine
      key={task.id}
      task={task}
      now={now}
      isUnfolded={task.id === current?.id || opened.has(task.id)}
      onToggle={() => toggle(task.id)}
    />
  );
  return (
    <section aria-label={`Tasks: ${heading}`}>
      {own.some(isOpen) && (
        <>
          <h2 className="mb-2">{heading}</h2>
          <ol>{own.filter(isOpen).map(line)}</ol>
        </>
      )}
      {own.some((task) => !isOpen(task)) && (
        <Fold className="mt-2" title={`${count(own.length - own.filter(isOpen).length)} done`}>
          <ol>{own.filter((task) => !isOpen(task)).map(line)}</ol>
        </Fold>
      )}
    </section>
  );
}

const count = (n: number) => (n === 1 ? '1 task' : `${n} tasks`);
