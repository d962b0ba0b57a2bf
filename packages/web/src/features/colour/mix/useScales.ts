import { useEffect, useState } from 'react';

export interface ScalesReading {
  readonly grams: number | null;
  /** Nothing changed for a while: what lies there can be logged. */
  readonly isSteady: boolean;
  readonly fault: string | null;
}

const NOTHING: ScalesReading = { grams: null, isSteady: false, fault: null };
/** So many readings in a row within a hundredth, the last of them equal. */
const STEADY_READINGS = 6;
const EQUAL_READINGS = 3;
/** The last figure may flicker by one without the press being taken away from under the finger. */
const FLICKER_G = 0.0101;

/** What the scales show, as long as somebody pours. */
export function useScales(instrumentId: string | null): ScalesReading {
  const [reading, setReading] = useState<ScalesReading>(NOTHING);
  useEffect(() => {
    if (!instrumentId) return;
    const stream = new EventSource(`/api/instruments/${instrumentId}/stream`);
    let last: number[] = [];
    let held: number | null = null;
    stream.addEventListener('reading', (event) => {
      const { grams } = JSON.parse((event as MessageEvent<string>).data) as { grams: number };
      last = [...last, grams].slice(-STEADY_READINGS);
      const isStill = last.slice(-EQUAL_READINGS).every((one) => one === grams);
      const isQuiet = last.length === STEADY_READINGS && Math.max(...last) - Math.min(...last) < FLICKER_G;
      if (isStill && isQuiet) held = grams;
      else if (held !== null && Math.abs(grams - held) > FLICKER_G) held = null;
      setReading({ grams, isSteady: held !== null, fault: null });
    });
    stream.addEventListener('fault', (event) => {
      const { message } = JSON.parse((event as MessageEvent<string>).data) as { message: string };
      setReading({ ...NOTHING, fault: message });
    });
    return () => {
      stream.close();
      setReading(NOTHING);
    };
  }, [instrumentId]);
  return reading;
}
