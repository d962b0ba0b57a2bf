import { createSeededRandom, fillShape, type DrawingView, type PaintOfParts, type SpecimenPart } from '@sardonyx/core';

const SCALE = 9;
const MARGIN_MM = 14;

/**
 * A stand-in for a bench photograph, drawn from the casting: neutral backdrop, shadow, worn edges, a millimetre rule.
 * Mirrored for the other side. The same seed gives the same picture.
 */
export function drawPhoto(
  view: DrawingView,
  paint: PaintOfParts,
  parts: readonly Pick<SpecimenPart, 'key' | 'material' | 'state'>[],
  mirrored: boolean,
  seed: number,
  chipCount = 26,
): string {
  const random = createSeededRandom(seed);
  const width = view.widthMm + 2 * MARGIN_MM;
  const height = view.heightMm + 2 * MARGIN_MM;
  const present = view.shapes.filter(
    (shape) => !shape.hidden && parts.find((part) => part.key === shape.partKey)?.state !== 'missing',
  );
  const shapes = present.map((shape) => {
    const { fill, opacity } = fillShape(shape, paint, parts.find((part) => part.key === shape.partKey)?.material);
    return `<path d="${shape.d}" fill="${fill}" fill-opacity="${opacity}" stroke="#000" stroke-opacity=".25" stroke-width=".2"/>`;
  });
  const coats = present.filter((shape) => shape.surface === 'coat');
  const chips = Array.from({ length: chipCount }, () => {
    const [left, top, right, bottom] = coats[Math.floor(random() * coats.length)]?.box ?? [0, 0, 1, 1];
    const onEdge = random() < 0.5;
    const x = onEdge ? left + random() * (right - left) : random() < 0.5 ? left + 0.8 : right - 0.8;
    const y = onEdge ? (random() < 0.5 ? top + 0.8 : bottom - 0.8) : top + random() * (bottom - top);
    return `<circle cx="${x.toFixed(1)}" cy="${y.toFixed(1)}" r="${(0.15 + random() * 0.4).toFixed(2)}" fill="#a5a6a6"/>`;
  });
  const flip = mirrored ? `translate(${view.widthMm} 0) scale(-1 1)` : '';
  const ticks = Array.from(
    { length: 61 },
    (_, i) =>
      `<path d="M${4 + i} ${height - 3}v${i % 10 === 0 ? -3 : i % 5 === 0 ? -2 : -1.2}" stroke="#222" stroke-width=".15"/>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width * SCALE}" height="${height * SCALE}" viewBox="0 0 ${width} ${height}">
<defs><radialGradient id="g" cx="38%" cy="20%" r="95%"><stop offset="0" stop-color="#c9c9c9"/><stop offset="1" stop-color="#8b8b8b"/></radialGradient></defs>
<rect width="${width}" height="${height}" fill="url(#g)"/>
<ellipse cx="${width / 2}" cy="${MARGIN_MM + view.heightMm}" rx="${view.widthMm * 0.52}" ry="2.2" fill="#000" fill-opacity=".35"/>
<g transform="translate(${MARGIN_MM} ${MARGIN_MM}) ${flip}">${shapes.join('')}${chips.join('')}</g>
<rect x="3" y="${height - 7}" width="63" height="4.4" fill="#e6e3d8"/>${ticks.join('')}
</svg>`;
}
