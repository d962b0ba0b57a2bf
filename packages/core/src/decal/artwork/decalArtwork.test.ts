import { expect } from 'chai';
import fc from 'fast-check';
import { isInside } from '../../drawing/planeGeometry.ts';
import { computeGrownArea } from '../sheet/growRuns.ts';
import { InvalidInputError } from '../../model/errors.ts';
import { boundPath } from './boundPath.ts';
import { computeCutLine } from './computeCutLine.ts';
import { computeDistances } from './distanceField.ts';
import { listInks } from './listInks.ts';
import { readDecalSvg } from './readDecalSvg.ts';
import { writeDecalSvg } from './writeDecalSvg.ts';

const svg = (inner: string, head = 'width="40mm" height="20mm" viewBox="0 0 40 20"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inner}</svg>`;

function codeOf(text: string): string {
  try {
    readDecalSvg(text);
  } catch (error) {
    if (error instanceof InvalidInputError) return error.code;
    throw error;
  }
  return 'taken';
}

describe('artwork from SVG', () => {
  it('has the size that mm, cm, px and viewBox give it', () => {
    const size = (head: string, inner = '<rect width="10" height="5"/>') => {
      const { artwork, isSizeSure } = readDecalSvg(svg(inner, head));
      return [+artwork.widthMm.toFixed(3), +artwork.heightMm.toFixed(3), isSizeSure];
    };
    expect(size('width="40mm" height="20mm" viewBox="0 0 40 20"')).deep.equal([10, 5, true]);
    expect(size('width="4cm" height="2cm" viewBox="0 0 400 200"')).deep.equal([1, 0.5, true]);
    expect(size('width="1in" viewBox="5 5 10 5"')).deep.equal([25.4, 12.7, true]);
    // Neither unit nor viewBox: px of 1/96 inch, and somebody should look.
    expect(size('')).deep.equal([2.646, 1.323, false]);
    expect(size('width="96" height="96" viewBox="0 0 48 48"')).deep.equal([5.292, 2.646, false]);
    expect(size('width="100%" viewBox="0 0 48 48"')).deep.equal([2.646, 1.323, false]);
    // Both scales differ: the smaller, as SVG does it.
    expect(size('width="40mm" height="10mm" viewBox="0 0 40 20"')).deep.equal([5, 2.5, true]);
  });

  it('takes groups as they are moved and turned, lines with their width, and begins at its corner', () => {
    const { artwork } = readDecalSvg(
      svg('<g transform="translate(10 5) rotate(90)"><rect width="6" height="2" fill="red"/></g>'),
    );
    expect([artwork.widthMm, artwork.heightMm].map((one) => +one.toFixed(3))).deep.equal([2, 6]);
    const line = readDecalSvg(svg('<path d="M5 5H15" stroke="#1d1d1b" stroke-width="0.8" fill="none"/>')).artwork;
    expect([line.widthMm, line.heightMm].map((one) => +one.toFixed(3))).deep.equal([10.8, 0.8]);
    const scaled = readDecalSvg(svg('<g transform="scale(2)"><path d="M1 1H4" stroke="black" fill="none"/></g>'));
    expect(scaled.artwork.shapes[0]!.strokeMm).closeTo(2, 1e-6);
  });

  it('takes colours from attributes, styles, classes, names and what is above', () => {
    const inks = (inner: string) => readDecalSvg(svg(inner)).artwork.shapes.map(({ fill }) => fill);
    expect(inks('<rect width="2" height="2"/>')).deep.equal(['#000000']);
    expect(inks('<g fill="Crimson"><rect width="2" height="2"/></g>')).deep.equal(['#dc143c']);
    expect(inks('<rect width="2" height="2" fill="#abc" style="fill: rgb(1, 2, 3)"/>')).deep.equal(['#010203']);
    expect(inks('<style>/* x */.a,.b{fill:#f3e6c0}</style><rect class="b" width="2" height="2"/>')).deep.equal([
      '#f3e6c0',
    ]);
    expect(inks('<defs><rect id="k" width="1" height="1"/></defs><use href="#k" x="3" fill="navy"/>')).deep.equal([
      '#000080',
    ]);
    expect(inks('<rect width="2" height="2"/><rect width="9" height="9" display="none"/>')).length(1);
  });

  it('refuses what is hostile or would not be printed as it is seen, with the reason', () => {
    const ok = '<rect width="2" height="2"/>';
    const deep = `${'<g>'.repeat(60)}${ok}${'</g>'.repeat(60)}`;
    const cases: Readonly<Record<string, string>> = {
      'not-svg': '<html><svg/></html>',
      runs: svg(`${ok}<script>alert(1)</script>`),
      events: svg('<rect width="2" height="2" onclick="x()"/>'),
      outside: svg(`${ok}<use href="http://example.invalid/a.svg#b"/>`),
      entities: `<!DOCTYPE svg [<!ENTITY a "aa">]>${svg(ok)}`,
      'too-deep': svg(deep),
      'too-many': svg(ok.repeat(6000)),
      'too-large': svg(`<path d="${'M0 0L1 1'.repeat(300_000)}"/>`),
      'long-path': svg(`<path d="M0 0${'L1 1'.repeat(60_000)}"/>`),
      text: svg(`${ok}<text>BOROUGH</text>`),
      picture: svg(`${ok}<image href="#x"/>`),
      'no-ink': svg('<rect width="2" height="2" fill="url(#fade)"/>'),
      transparent: svg('<rect width="2" height="2" fill-opacity="0.4"/>'),
      effect: svg('<g clip-path="url(#c)"><rect width="2" height="2"/></g>'),
      empty: svg('<g/>'),
      size: svg('<rect width="2" height="2"/>', 'width="9000mm" viewBox="0 0 3 3"'),
      clones: svg('<g id="a"><use href="#a"/></g>'),
      'bad-path': svg('<path d="M0 0 L four 5"/>'),
    };
    for (const [code, text] of Object.entries(cases)) expect(codeOf(text), code).equal(code);
    expect(codeOf(svg(`${ok}<style>@import url(http://example.invalid/x.css)</style>`))).equal('outside');
    expect(codeOf(svg(`<rect width="2" height="2" style="fill:url(http://example.invalid)"/>`))).equal('outside');
    expect(codeOf(svg(`${ok}<image xlink:href="data:image/png;base64,AA"/>`))).equal('outside');
    expect(codeOf(`<svg width="3mm"><rect width="2"`)).equal('not-svg');
  });

  it('never breaks on what is no SVG (fuzz)', () => {
    const pieces = [
      '<svg ',
      'viewBox="0 0 4 4"',
      '>',
      '</svg>',
      '<rect width="2" height="2"',
      '/>',
      '<g>',
      '</g>',
      '&amp;',
    ];
    pieces.push(
      '<path d="M0 0L3 3Z"',
      'fill="',
      '#abc"',
      '<!--',
      '-->',
      '<![CDATA[',
      ']]>',
      'NaN',
      '1e999',
      '<use href="#a"',
    );
    fc.assert(
      fc.property(
        fc.array(fc.oneof(fc.constantFrom(...pieces), fc.string({ maxLength: 6 })), { maxLength: 30 }),
        (parts) => {
          expect(codeOf(parts.join(''))).a('string');
          expect(codeOf(svg(parts.join('')))).a('string');
        },
      ),
      { numRuns: 400, seed: 20 },
    );
  });

  it('comes out as SVG and in again the same, within a hundredth of a millimetre', () => {
    const inner =
      '<g transform="rotate(17) scale(1.3)" fill="#123456" stroke="gold" stroke-width="0.3"><path d="M3 1c4 0 6 3 2 5s-3-2-2-5zm5 1a2 1 30 1 1 3 2"/><ellipse cx="12" cy="3" rx="4" ry="2"/><polygon points="1,9 5,6 9,9"/></g>';
    const first = readDecalSvg(svg(inner)).artwork;
    const again = readDecalSvg(writeDecalSvg(first)).artwork;
    expect(again.widthMm).closeTo(first.widthMm, 0.01);
    expect(again.heightMm).closeTo(first.heightMm, 0.01);
    expect(again.shapes).length(3);
    again.shapes.forEach((shape, i) => {
      const [one, two] = [boundPath(first.shapes[i]!.d), boundPath(shape.d)];
      one.forEach((edge, k) => expect(two[k]).closeTo(edge, 0.01));
      expect([shape.fill, shape.stroke]).deep.equal(['#123456', '#ffd700']);
      expect(shape.strokeMm).closeTo(0.39, 1e-3);
    });
  });
});

describe('what is seen of an artwork', () => {
  it('counts inks by what is not covered, and what stays bare between them', () => {
    const solid = readDecalSvg(
      svg('<rect width="20" height="10" fill="#000"/><rect x="5" width="10" height="10" fill="#f3e6c0"/>'),
    ).artwork;
    const { inks, bareShare } = listInks(solid);
    expect(inks.map(({ hex }) => hex)).members(['#000000', '#f3e6c0']);
    for (const { share } of inks) expect(share).closeTo(0.5, 0.01);
    expect(bareShare).equal(0);
    const ring = readDecalSvg(
      svg('<path fill-rule="evenodd" d="M0 0H12V12H0ZM3 3V9H9V3Z"/>', 'width="12mm" viewBox="0 0 12 12"'),
    ).artwork;
    expect(listInks(ring).inks).length(1);
    // A hole that no bridge spans is bare film, but within the ink's outline only what a rim would bridge counts.
    expect(listInks(ring).bareShare).within(0, 0.26);
  });

  it('is cut in one piece, round all ink, at the rim', () => {
    const words = readDecalSvg(
      svg('<rect width="3" height="5"/><rect x="4" width="3" height="5"/><rect x="30" y="2" width="4" height="3"/>'),
    ).artwork;
    const line = computeCutLine(words, 0.6);
    for (const [x, y] of [
      [0.1, 0.1],
      [3.4, 4.9],
      [33.9, 4.9],
      [30.1, 2.1],
    ])
      expect(isInside({ x: x!, y: y! }, [line]), `${x} ${y}`).equal(true);
    const panel = readDecalSvg(svg('<rect width="22" height="9"/>')).artwork;
    expect(computeGrownArea(computeCutLine(panel, 0.6), 0)).closeTo(22 * 9 + 62 * 0.6 + Math.PI * 0.36, 3);
    // A bay that a knife can follow stays.
    const angle = readDecalSvg(svg('<path d="M0 0H4V14H24V18H0Z"/>')).artwork;
    const own = computeCutLine(angle, 0.6);
    expect(isInside({ x: 15, y: 5 }, [own])).equal(false);
    expect(isInside({ x: 20, y: 15 }, [own])).equal(true);
  });

  it('has distances as they are, by the slow way', () => {
    const [columns, rows] = [23, 17];
    const set = Uint8Array.from({ length: columns * rows }, (_, i) => ((i * 7919) % 61 === 0 ? 1 : 0));
    const fast = computeDistances(set, columns, rows);
    for (let i = 0; i < set.length; i++) {
      let best = Infinity;
      for (let j = 0; j < set.length; j++)
        if (set[j])
          best = Math.min(
            best,
            Math.hypot((i % columns) - (j % columns), Math.floor(i / columns) - Math.floor(j / columns)),
          );
      expect(fast[i]).closeTo(best, 1e-9);
    }
    expect([...computeDistances(new Uint8Array(6), 3, 2)]).deep.equal(Array(6).fill(Infinity));
  });
});
