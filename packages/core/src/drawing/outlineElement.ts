/** Path data of an SVG element that has an outline or is a line; null of any other. */
export function outlineElement(tag: string, attributes: Readonly<Record<string, string>>): string | null {
  const n = (name: string) => Number.parseFloat(attributes[name] ?? '0') || 0;
  switch (tag) {
    case 'path':
      return attributes.d ?? null;
    case 'rect': {
      const [x, y, w, h] = [n('x'), n('y'), n('width'), n('height')];
      if (!(w > 0 && h > 0)) return null;
      const rx = Math.min(n('rx') || n('ry'), w / 2);
      const ry = Math.min(n('ry') || n('rx'), h / 2);
      if (!(rx > 0)) return `M${x} ${y}H${x + w}V${y + h}H${x}Z`;
      const arc = (dx: number, dy: number) => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
      return `M${x + rx} ${y}H${x + w - rx}${arc(rx, ry)}V${y + h - ry}${arc(-rx, ry)}H${x + rx}${arc(-rx, -ry)}V${y + ry}${arc(rx, -ry)}Z`;
    }
    case 'circle':
    case 'ellipse': {
      const [rx, ry] = tag === 'circle' ? [n('r'), n('r')] : [n('rx'), n('ry')];
      const [x, y] = [n('cx'), n('cy')];
      return rx > 0 && ry > 0
        ? `M${x - rx} ${y}A${rx} ${ry} 0 1 1 ${x + rx} ${y}A${rx} ${ry} 0 1 1 ${x - rx} ${y}Z`
        : null;
    }
    case 'polygon':
      return attributes.points ? `M${attributes.points.trim()}Z` : null;
    case 'polyline':
      return attributes.points ? `M${attributes.points.trim()}` : null;
    case 'line':
      return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`;
    default:
      return null;
  }
}
