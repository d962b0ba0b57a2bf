import { Slider as Radix } from 'radix-ui';
import type { CSSProperties } from 'react';

interface SliderProps {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step?: number;
  readonly onChange: (value: number) => void;
  /** What the value is called, with its unit; read out, and shown beside the rail. */
  readonly say?: (value: number) => string;
  /** What lies along the rail, for a slider of colour. */
  readonly rail?: CSSProperties;
}

/** A value along a rail: arrow keys a step, Page keys ten, Home and End the ends. */
export function Slider({ label, value, min, max, step = 1, onChange, say, rail }: SliderProps) {
  return (
    <span className="flex min-h-11 items-center gap-3">
      <Radix.Root
        className="relative flex h-11 grow touch-none items-center select-none"
        value={[value]}
        min={min}
        max={max}
        step={step}
        onValueChange={([next]) => onChange(next!)}
      >
        <Radix.Track className="relative h-2 grow border border-strong-line bg-sunk" style={rail}>
          <Radix.Range className={`absolute h-full ${rail ? '' : 'bg-soft-ink'}`} />
        </Radix.Track>
        <Radix.Thumb
          aria-label={label}
          {...(say ? { 'aria-valuetext': say(value) } : {})}
          className="block h-9 w-6 border-2 border-ink bg-sheet"
        />
      </Radix.Root>
      {say && <span className="figure min-w-16 text-right text-note">{say(value)}</span>}
    </span>
  );
}
