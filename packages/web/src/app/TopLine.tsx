import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { DayIcon, FindIcon, KeysIcon, LampIcon } from '../shared/ui/icons.ts';
import { PhoneButton } from '../features/phone/index.ts';
import { useGetHealthQuery } from '../shared/api/api.ts';
import { EditState } from './EditState.tsx';
import { Tray } from './Tray.tsx';
import type { Theme } from '../shared/ui/useTheme.ts';

// What opens on a press comes after the first view.
const RoomPlan = lazy(() => import('./RoomPlan.tsx').then((module) => ({ default: module.RoomPlan })));
const Who = lazy(() => import('./Who.tsx').then((module) => ({ default: module.Who })));

interface TopLineProps {
  readonly theme: Theme;
  readonly onTheme: () => void;
  readonly onFind: () => void;
  readonly onKeys: () => void;
}

export function TopLine({ theme, onTheme, onFind, onKeys }: TopLineProps) {
  const { data: health } = useGetHealthQuery();
  const name = health?.benchName ?? 'Sardonyx';
  return (
    <header
      data-frame
      className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-strong-line bg-sheet px-4 py-1"
    >
      <Link to="/" aria-label="To the bench">
        <img src="/mark.svg" alt="" width={30} height={30} />
      </Link>
      <Suspense fallback={<span className="min-h-11 py-2 text-lead font-semibold">{name}</span>}>
        <RoomPlan name={name} isDemo={health?.isDemo ?? false} />
      </Suspense>
      <Tray />
      <div className="ml-auto flex items-center gap-3">
        <EditState />
        <PhoneButton />
        <Suspense>
          <Who />
        </Suspense>
        <button type="button" className="plain-button" onClick={onFind} aria-keyshortcuts="Control+K Meta+K">
          <FindIcon aria-hidden size={18} />
          Find
        </button>
        <button
          type="button"
          className="plain-button"
          onClick={onTheme}
          aria-label={theme === 'day' ? 'Switch to the lamp bench' : 'Switch to the day bench'}
        >
          {theme === 'day' ? <LampIcon aria-hidden size={18} /> : <DayIcon aria-hidden size={18} />}
          {theme === 'day' ? 'Lamp' : 'Day'}
        </button>
        <button type="button" className="plain-button" onClick={onKeys} aria-keyshortcuts="?">
          <KeysIcon aria-hidden size={18} />
          Keys
        </button>
      </div>
    </header>
  );
}
