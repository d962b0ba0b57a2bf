import { computePaintLab, convertLabToHex, selectOptics, sumLeft, type Geometry } from '@sardonyx/core';
import { Sign } from '../../../shared/ui/Sign.tsx';
import { findProduct, useColourBench } from '../ColourContext.tsx';
import { formatMl } from '../../../shared/colour/formatColour.ts';

/** A pot that is so full is drawn full, ml. */
const FULL_ML = 20;

interface PotRowProps {
  /** What each pot has given, is to give in all, and whether it is its turn. */
  readonly pots: readonly {
    readonly productId: string;
    readonly inMl: number;
    readonly wantedMl: number;
    readonly isNext: boolean;
  }[];
  readonly geometry: Geometry;
}

/** The pots of the mix in a row, each with how full it is, what it has given and what it is still to give. */
export function PotRow({ pots, geometry }: PotRowProps) {
  const { shelf } = useColourBench();
  return (
    <ul aria-label="Pots of this mix" className="flex flex-wrap gap-x-4 gap-y-3">
      {pots.map(({ productId, inMl, wantedMl, isNext }) => {
        const product = findProduct(shelf, productId);
        const optics = product && selectOptics(product);
        const leftMl = sumLeft(shelf.pots, productId);
        return (
          <li key={productId} className="w-30" aria-current={isNext ? 'step' : undefined}>
            <span data-pot className="block">
              <Pot
                fill={optics ? convertLabToHex(computePaintLab(optics, geometry)) : '#777777'}
                level={Math.min(1, leftMl / FULL_ML)}
                isNext={isNext}
              />
            </span>
            <strong className="block">
              {isNext && <Sign of="next" />}
              {product?.name ?? 'gone from the shelf'}
            </strong>
            <span className="block text-note">
              {formatMl(inMl)} in
              {wantedMl > inMl + 0.004 && <span className="block">{formatMl(wantedMl - inMl)} to go</span>}
            </span>
            <span className="block text-note text-soft-ink">{formatMl(leftMl)} left</span>
          </li>
        );
      })}
    </ul>
  );
}

/** A jar in section: lid, glass, and paint up to its level. */
function Pot({ fill, level, isNext }: { readonly fill: string; readonly level: number; readonly isNext: boolean }) {
  const high = 52 * Math.max(0.04, level);
  return (
    <svg data-swatch viewBox="0 0 64 76" className="h-20" aria-hidden>
      <rect x={12} y={2} width={40} height={9} fill="#777777" />
      <rect x={7} y={64 - high + 6} width={50} height={high} fill={fill} />
      <path
        d="M14 11V15C14 18 6 18 6 24V66A5 5 0 0 0 11 71H53A5 5 0 0 0 58 66V24C58 18 50 18 50 15V11"
        fill="none"
        stroke="currentColor"
        strokeWidth={isNext ? 3.5 : 1.5}
      />
    </svg>
  );
}
