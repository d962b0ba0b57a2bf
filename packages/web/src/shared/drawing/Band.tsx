import { computeBand, type CoatingLayer } from '@sardonyx/core';

interface BandProps {
  readonly layers: readonly Pick<CoatingLayer, 'kind' | 'colourHex' | 'name' | 'thicknessUm' | 'seq'>[];
  readonly material: string;
  readonly width: number;
  readonly height: number;
  /** What the band stands for: "as found". */
  readonly label: string;
}

/** The signature drawing: a cut through a part's layers, outermost on top, the metal cut off by a break line. */
export function Band({ layers, material, width, height, label }: BandProps) {
  const slices = computeBand(layers, height, { colourHex: '#a6a6a6', name: material });
  const words = [...slices]
    .reverse()
    .map((slice) => (slice.thicknessUm === null ? slice.name : `${slice.name} ${slice.thicknessUm} µm`));
  const metal = slices[slices.length - 1]!;
  const zig = width / 6;
  const breakY = metal.topPx + metal.heightPx * 0.55;
  return (
    <svg
      role="img"
      aria-label={`${label}, from the metal outwards: ${words.join(', ')}`}
      width={width}
      height={height}
      className="block shrink-0"
    >
      <title>{words.join(' · ')}</title>
      {slices.map((slice, i) => (
        <rect
          key={i}
          x={0}
          y={slice.topPx}
          width={width}
          height={slice.heightPx}
          fill={slice.colourHex}
          stroke="#000"
          strokeOpacity={0.25}
          strokeWidth={0.5}
        />
      ))}
      <path
        d={`M0 ${breakY}l${zig * 2} 0l${zig * 0.6} -3l${zig * 0.8} 6l${zig * 0.6} -3l${zig * 2} 0`}
        fill="none"
        stroke="#4a4a4a"
        strokeWidth={1.2}
      />
      <rect x={0.5} y={0.5} width={width - 1} height={height - 1} fill="none" stroke="var(--strong-line)" />
    </svg>
  );
}
