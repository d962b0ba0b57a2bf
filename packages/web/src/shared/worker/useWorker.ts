import { useEffect, useRef, type RefObject } from 'react';

/** A worker of this component, ended with it. `create` stands outside the component, so that it is made once. */
export function useWorker(create: () => Worker): RefObject<Worker | null> {
  const worker = useRef<Worker | null>(null);
  useEffect(() => {
    const own = create();
    worker.current = own;
    return () => {
      own.terminate();
      worker.current = null;
    };
  }, [create]);
  return worker;
}
