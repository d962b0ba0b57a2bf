import { Popover } from 'radix-ui';
import { Link } from 'react-router';
import { useGetBenchQuery, useGetHealthQuery } from '../shared/api/api.ts';
import { useWho } from '../shared/ui/useWho.ts';
import { EditState } from './EditState.tsx';
import { RoomPlan } from './RoomPlan.tsx';
import { Tray } from './Tray.tsx';
import type { Theme } from './useTheme.ts';

interface TopLineProps {
  readonly theme: Theme;
  readonly onTheme: () => void;
  readonly onFind: () => void;
  readonly onKeys: () => void;
}

export function TopLine({ theme, onTheme, onFind, onKeys }: TopLineProps) {
  const { data: health } = useGetHealthQuery();
  return (
    <header className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-strong-line bg-sheet px-4 py-1">
      <Link to="/" aria-label="To the bench">
        <img src="/mark.svg" alt="" width={30} height={30} />
      </Link>
      <RoomPlan name={health?.benchName ?? 'Sardonyx'} isDemo={health?.isDemo ?? false} />
      <Tray />
      <div className="ml-auto flex items-center gap-3">
        <EditState />
        <Who />
        <button type="button" className="plain-button" onClick={onFind} aria-keyshortcuts="Control+K Meta+K">
          Find
        </button>
        <button
          type="button"
          className="plain-button"
          onClick={onTheme}
          aria-label={theme === 'day' ? 'Switch to the lamp bench' : 'Switch to the day bench'}
        >
          {theme === 'day' ? '☾ Lamp' : '☼ Day'}
        </button>
        <button type="button" className="plain-button" onClick={onKeys} aria-label="Keys" aria-keyshortcuts="?">
          ?
        </button>
      </div>
    </header>
  );
}

/** Who stands at the bench: goes into every log entry of this window. */
function Who() {
  const { data: bench } = useGetBenchQuery();
  const [who, setWho] = useWho();
  return (
    <Popover.Root>
      <Popover.Trigger className="quiet-button">{who || 'Who is here?'}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content sideOffset={6} className="z-40 w-72 space-y-2 border border-strong-line bg-sheet p-4">
          <p className="font-semibold">Who is at the bench?</p>
          {(bench?.restorers ?? []).map((restorer) => (
            <Popover.Close
              key={restorer.id}
              className="plain-button w-full"
              aria-pressed={who === restorer.name}
              onClick={() => setWho(restorer.name)}
            >
              {restorer.name}
            </Popover.Close>
          ))}
          <label className="block">
            Somebody else
            <input value={who} onChange={(event) => setWho(event.target.value)} maxLength={80} />
          </label>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
