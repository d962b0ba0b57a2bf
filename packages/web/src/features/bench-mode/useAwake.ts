import { useEffect, useState } from 'react';

/** Keeps the screen lit while the page is seen; false where the browser does not let it. */
export function useAwake(): boolean {
  const [isAwake, setAwake] = useState(true);
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let isOver = false;
    const ask = async () => {
      if (document.visibilityState !== 'visible') return;
      try {
        const got = await navigator.wakeLock.request('screen');
        if (isOver) void got.release();
        else lock = got;
        setAwake(true);
      } catch {
        setAwake(false);
      }
    };
    const onSeen = () => void ask();
    void ask();
    // The browser lets go of it whenever the page is out of sight.
    document.addEventListener('visibilitychange', onSeen);
    return () => {
      isOver = true;
      document.removeEventListener('visibilitychange', onSeen);
      void lock?.release();
    };
  }, []);
  return isAwake;
}
