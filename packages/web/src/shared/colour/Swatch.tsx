import { convertLabToRgb, convertLabToHex, type Lab } from '@sardonyx/core';
import { Sign } from '../ui/Sign.tsx';

interface SwatchProps {
  readonly lab: Lab;
  readonly label: string;
  readonly className?: string;
}

/** A field of colour. What the screen cannot show is marked by a shape and said in words. */
export function Swatch({ lab, label, className = '' }: SwatchProps) {
  const { isShown } = convertLabToRgb(lab);
  return (
    <span
      role="img"
      aria-label={isShown ? label : `${label}; more colourful than this screen can show`}
      data-swatch
      className={`relative block ${className}`}
      style={{ background: convertLabToHex(lab) }}
    >
      {!isShown && (
        <span aria-hidden className="absolute right-1 bottom-1 bg-[#000000] px-1 text-note text-[#ffffff]">
          <Sign of="warning" />
          beyond the screen
        </span>
      )}
    </span>
  );
}
