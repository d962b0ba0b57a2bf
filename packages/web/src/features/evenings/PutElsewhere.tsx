import { findFirstMinute, type RunStep } from '@sardonyx/core';
import { formatEvening, formatHour } from '../../shared/dates/sayDates.ts';
import { Menu } from '../../shared/ui/Menu.tsx';
import { sayReason, type Names } from './sayEvenings.ts';
import type { Evenings } from './useEvenings.ts';

interface PutElsewhereProps {
  readonly step: RunStep;
  readonly evenings: Evenings;
  readonly names: Names;
}

/** Evenings to choose from. */
const MOST = 12;

/** Puts a step into another evening: the plan follows, or says why it cannot be there. */
export function PutElsewhere({ step, evenings: { now, input, refusal, put, letGo }, names }: PutElsewhereProps) {
  const isPinned = input!.pins.some(({ taskId }) => taskId === step.taskId);
  const refused = refusal?.to.taskId === step.taskId ? refusal : null;
  const sessions = (now?.report.runs ?? []).flatMap((run) => run.sessions.map((session) => session)).slice(0, MOST);
  return (
    <span className="inline-flex flex-col items-end pl-3 font-sans whitespace-normal">
      <Menu
        acts={[
          ...(isPinned ? [{ word: 'Let the plan decide', onAct: () => letGo(step.taskId) }] : []),
          ...sessions.map(({ restorerId, from }) => ({
            word: `${formatEvening(from)}, ${formatHour(from)}, ${names.restorers.get(restorerId) ?? ''}`,
            onAct: () =>
              put({
                taskId: step.taskId,
                startsAt: findFirstMinute(from, input!.now),
                restorerId,
              }),
          })),
        ]}
      >
        <button type="button" className="quiet-button text-note">
          {isPinned ? 'Put here by hand' : 'Put it elsewhere'}
          <span className="sr-only">, {names.tasks.get(step.taskId)?.title}</span>
        </button>
      </Menu>
      {refused && (
        <span role="alert" className="max-w-80 text-right text-note">
          Not on {formatEvening(refused.to.startsAt)}:{' '}
          {refused.because.map((reason) => sayReason(reason, names)).join('; ')}.
        </span>
      )}
    </span>
  );
}
