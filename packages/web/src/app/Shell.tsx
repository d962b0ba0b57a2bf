import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { Outlet } from 'react-router';
import { Sign } from '../shared/ui/Sign.tsx';
import { ClockShelf } from '../features/clocks/index.ts';
import { PhoneSheet } from '../features/phone/index.ts';
import { useGetHealthQuery } from '../shared/api/api.ts';
import { refusalClosed } from '../shared/edits/editsSlice.ts';
import { useAppDispatch, useAppSelector } from '../shared/store.ts';
import { ErrorNote, LoadingNote } from '../shared/ui/Notice.tsx';
import { phoneSheetTurned } from '../shared/ui/phoneSlice.ts';
import { toastClosed } from '../shared/ui/toastsSlice.ts';
import { ClockBehind } from './ClockBehind.tsx';
import { TopLine } from './TopLine.tsx';
import { useShortcuts } from './useShortcuts.ts';
import { useTheme } from '../shared/ui/useTheme.ts';

const loadFind = () => import('../features/find/index.ts').then((module) => ({ default: module.FindAnything }));
const FindAnything = lazy(loadFind);
const ConflictDialog = lazy(() =>
  import('./ConflictDialog.tsx').then((module) => ({ default: module.ConflictDialog })),
);
const ShortcutSheet = lazy(() => import('./ShortcutSheet.tsx').then((module) => ({ default: module.ShortcutSheet })));
const Toasts = lazy(() => import('../shared/ui/Toasts.tsx').then((module) => ({ default: module.Toasts })));
const FIND_AFTER_MS = 800;

/** What stands around every screen: top line, notices, the clock shelf. */
export function Shell() {
  const [theme, switchTheme] = useTheme();
  const [sheet, setSheet] = useState<'find' | 'keys' | null>(null);
  const open = useMemo(() => ({ find: () => setSheet('find'), sheet: () => setSheet('keys') }), []);
  const isConflict = useAppSelector((state) => state.edits.conflict !== null);
  const isPhoneSheet = useAppSelector((state) => state.phone.isSheetOpen);
  const dispatch = useAppDispatch();
  const news = useAppSelector((state) => state.toasts.shown);
  // Once there was news the place for it stays: what is said last must be heard to its end.
  const hasNews = useAppSelector((state) => state.toasts.next > 1);
  useShortcuts(open);
  // Fetched ahead, so that the first letters typed after Ctrl+K are not lost.
  useEffect(() => {
    const waiting = setTimeout(() => void loadFind(), FIND_AFTER_MS);
    return () => clearTimeout(waiting);
  }, []);
  return (
    <div className="flex h-dvh flex-col low:h-auto low:min-h-dvh print:block print:h-auto">
      <a href="#work" className="sr-only focus:not-sr-only focus:p-3">
        Skip to the work
      </a>
      {/* On paper only the work itself. */}
      <div className="contents print:hidden">
        <TopLine theme={theme} onTheme={switchTheme} onFind={open.find} onKeys={open.sheet} />
        <HeldUp />
        <ClockBehind />
        <Refusal />
      </div>
      {/* What is hidden but for screen readers is placed in it, and must not make the page itself longer. */}
      <main
        id="work"
        tabIndex={-1}
        className="relative min-h-0 grow overflow-y-auto outline-none low:overflow-y-visible print:overflow-y-visible"
      >
        <Suspense fallback={<LoadingNote what="this room" />}>
          <Outlet />
        </Suspense>
      </main>
      <div className="contents print:hidden">
        <ClockShelf />
      </div>
      <Suspense>
        {isConflict && <ConflictDialog />}
        {hasNews && <Toasts shown={news} onClose={(id) => void dispatch(toastClosed(id))} />}
        {sheet === 'keys' && <ShortcutSheet isOpen onClose={() => setSheet(null)} />}
        {isPhoneSheet && <PhoneSheet onClose={() => void dispatch(phoneSheetTurned(false))} />}
        {sheet === 'find' && <FindAnything onClose={() => setSheet(null)} />}
      </Suspense>
    </div>
  );
}

const RETRY_MS = 3000;
/** While all is well it is looked after so often. */
const LOOK_MS = 60_000;

/** Says so while the server is away or its disk takes nothing, and keeps knocking. */
function HeldUp() {
  const { isOnline, trouble } = useAppSelector((state) => state.connection);
  const unsent = useAppSelector((state) => state.edits.unsent.length);
  const isHeldUp = !isOnline || trouble !== null;
  useGetHealthQuery(undefined, { pollingInterval: isHeldUp ? RETRY_MS : LOOK_MS });
  if (!isHeldUp) return null;
  const kept = unsent ? ` ${unsent} ${unsent === 1 ? 'edit is' : 'edits are'} kept and will be sent.` : '';
  return (
    <p role="alert" className="border-b border-strong-line bg-sunk px-4 py-2">
      <strong>
        <Sign of="warning" />
        {isOnline ? 'The bench can be read, but nothing is saved.' : 'The bench cannot be reached.'}
      </strong>{' '}
      {isOnline ? trouble : 'You can go on reading and typing; nothing is lost.'}
      {kept} Trying again every few seconds.
    </p>
  );
}

/** An edit that was refused away from a form. */
function Refusal() {
  const dispatch = useAppDispatch();
  const refusal = useAppSelector((state) => state.edits.refusal);
  if (!refusal) return null;
  const { label, error } = refusal;
  return (
    <div className="border-b border-strong-line">
      <ErrorNote
        error={{ ...error, message: `${label}. ${error.message}` }}
        onClose={() => void dispatch(refusalClosed())}
      />
    </div>
  );
}
