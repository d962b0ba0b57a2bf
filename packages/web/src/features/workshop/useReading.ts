import { useEffect, useState } from 'react';

export interface LiveState {
  readonly celsius: number | null;
  readonly setC: number | null;
  readonly isHeating: boolean;
  /** Why there is no reading. */
  readonly fault: string | null;
  /** The last minutes, oldest first. */
  readonly trail: readonly (readonly [at: number, celsius: number])[];
}

const KEPT = 600;
const NOTHING: LiveState = { celsius: null, setC: null, isHeating: false, fault: null, trail: [] };

/** One instrument's readings as they come, as long as somebody looks. */
export function useReading(instrumentId: string | null): LiveState {
  const [state, setState] = useState<LiveState>(NOTHING);
  useEffect(() => {
    if (!instrumentId) return;
    const stream = new EventSource(`/api/instruments/${instrumentId}/stream`);
    stream.addEventListener('reading', (event) => {
      const {
        at,
        celsius,
        setC = null,
        isHeating = false,
      } = JSON.parse((event as MessageEvent<string>).data) as {
        at: string;
        celsius: number;
        setC?: number | null;
        isHeating?: boolean;
      };
      setState(({ trail }) => ({
        ...{ celsius, setC, isHeating, fault: null },
        trail: [...trail, [Date.parse(at), celsius] as const].slice(-KEPT),
      }));
    });
    stream.addEventListener('fault', (event) => {
      const { message } = JSON.parse((event as MessageEvent<string>).data) as { message: string };
      setState((before) => ({ ...before, celsius: null, fault: message }));
    });
    return () => {
      stream.close();
      setState(NOTHING);
    };
  }, [instrumentId]);
  return state;
}
