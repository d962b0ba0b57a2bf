import { expect } from 'chai';
import { BANDS, FIRST_NM, STEP_NM } from '../cieTables.ts';
import { mixOptics, predictMix } from '../kubelkaMunk.ts';
import { surfaceOf } from '../paintOptics.ts';
import type { PaintProduct } from '../../model/work.ts';
import { readCgats, writeCgats, type SpectralSample } from './cgats.ts';
import { createOpticsFromSamples } from './createOpticsFromSamples.ts';
import { readShelfCsv, writeShelfCsv } from './shelfCsv.ts';

const ramp = Array.from({ length: BANDS }, (_, i) => 0.1 + 0.02 * i);
const sample = (name: string, share = 1): SpectralSample => ({ name, share, spectrum: ramp, lab: [50.5, 10.25, -3] });

describe('spectra as CGATS text', () => {
  it('come back as they went out, names with blanks and quotes too', () => {
    const out = [sample('Marlstone Slate blue'), sample('The "old" red', 0.25)];
    const { samples, problems } = readCgats(writeCgats(out, 'test'));
    expect(problems).deep.equal([]);
    expect(samples.map(({ name, share, lab }) => ({ name, share, lab }))).deep.equal(
      out.map(({ name, share, lab }) => ({ name, share, lab })),
    );
    samples.forEach(({ spectrum }) => spectrum.forEach((one, i) => expect(one).closeTo(ramp[i]!, 1e-5)));
  });

  it('are understood in per cent, in other steps, with other line ends and field names', () => {
    const bands = Array.from({ length: 18 }, (_, i) => 380 + 20 * i);
    const text = [
      'CGATS.17',
      'BEGIN_DATA_FORMAT',
      `SAMPLE_ID ${bands.map((nm) => `NM_${nm}`).join(' ')}`,
      'END_DATA_FORMAT',
      'BEGIN_DATA',
      `1 ${bands.map((nm) => (nm - 380) / 4).join(' ')}`,
      'END_DATA',
    ].join('\r\n');
    const { samples, problems } = readCgats(text);
    expect(problems).deep.equal([]);
    samples[0]!.spectrum.forEach((one, i) => expect(one).closeTo((FIRST_NM + i * STEP_NM - 380) / 400, 1e-9));
  });

  it('tell by line what is wrong, and keep what is right', () => {
    const good = writeCgats([sample('good'), sample('short'), sample('bright')], 'test').split('\n');
    const at = good.findIndex((line) => line.includes('"short"'));
    good[at] = good[at]!.split('\t').slice(0, -1).join('\t');
    good[at + 1] = good[at + 1]!.replace('0.10000', '-3');
    const { samples, problems } = readCgats(good.join('\n'));
    expect(samples.map((one) => one.name)).deep.equal(['good']);
    expect(problems.map((one) => one.line)).deep.equal([at + 1, at + 2]);
    expect(problems[1]!.message).include('400 nm');
  });

  it('are refused when they are something else, or stop before 700 nm', () => {
    expect(readCgats('a;b;c').problems[0]!.message).include('no CGATS text');
    const short = writeCgats([sample('x')], 'test').replaceAll('SPECTRAL_NM700', 'SPECTRAL_NM690');
    expect(readCgats(short).samples).deep.equal([]);
  });
});

describe('K and S from measured samples', () => {
  const white = { k: ramp.map(() => 0.5), s: ramp.map(() => 120) };
  const paint = { k: ramp.map((one) => 80 * (1 - one)), s: ramp.map(() => 45) };
  const surface = surfaceOf('gloss left out');
  const measured = (share: number): SpectralSample => ({
    ...{ name: 'x', share, lab: null },
    spectrum: [...predictMix([mixOptics([paint, white], [share, 1 - share])], [1], surface)],
  });

  it('are fitted where tints are among them', () => {
    const optics = createOpticsFromSamples([measured(1), measured(0.3), measured(0.1)], white, surface)!;
    expect(optics.basis).equal('drawdowns');
    optics.s.forEach((one) => expect(one).closeTo(45, 0.5));
  });

  it('have only their ratio from the masstone alone, and none from tints alone', () => {
    const optics = createOpticsFromSamples([measured(1)], white, surface)!;
    expect(optics.basis).equal('masstone');
    optics.k.forEach((one, i) => expect(one / optics.s[i]!).closeTo(paint.k[i]! / paint.s[i]!, 1e-6));
    expect(createOpticsFromSamples([measured(0.3)], null, surface)).equal(null);
  });
});

describe('the shelf as CSV', () => {
  const product: PaintProduct = {
    ...{ id: 'p', version: 1, line: 'Test', name: 'Red, deep', kind: 'colour', binder: 'enamel', gloss: 'gloss' },
    ...{ colourHex: '#b0302a', dryFilmUm: 20, flashMin: 5, recoatMin: 60, cureMin: 600, minC: 10, maxC: 30 },
    ...{ optics: null, densityGPerMl: 1.1, dropMl: 0.025, pricePerMl: 0.3, drying: null, recipe: null },
  };
  const pot = { id: 'q', version: 1, productId: 'p', leftMl: 7.25, openedOn: '2026-03-01', place: 'Shelf 1' };

  it('comes back as it went out', () => {
    const { lines, problems } = readShelfCsv(writeShelfCsv([product], [pot]));
    expect(problems).deep.equal([]);
    expect(lines).deep.equal([
      {
        lineNumber: 2,
        product: {
          ...{ line: 'Test', name: 'Red, deep', kind: 'colour', binder: 'enamel', gloss: 'gloss' },
          ...{ colourHex: '#b0302a', pricePerMl: 0.3, densityGPerMl: 1.1, dropMl: 0.025 },
        },
        pot: { leftMl: 7.25, place: 'Shelf 1', openedOn: '2026-03-01' },
      },
    ]);
  });

  it('takes semicolons, other orders and empty cells that have a usual value', () => {
    const { lines, problems } = readShelfCsv(
      'name;line;gloss;kind;binder;colour;left_ml\nRed;Test;matt;colour;acrylic;#AA2200;5\n',
    );
    expect(problems).deep.equal([]);
    expect(lines[0]!.product).deep.include({ colourHex: '#aa2200', densityGPerMl: 1.15 });
    expect(lines[0]!.pot).deep.equal({ leftMl: 5, openedOn: null, place: '' });
  });

  it('tells every wrong cell by line and column, and keeps the lines that are right', () => {
    const head = 'line,name,kind,binder,gloss,colour,left_ml,opened_on';
    const { lines, problems } = readShelfCsv(
      [
        head,
        'Test,Good,colour,enamel,gloss,#112233,4,',
        'Test,Bad,paint,enamel,shiny,blue,-1,2026-02-30',
        'Test,good,colour,enamel,gloss,#112233,4,2026-13-45',
      ].join('\n'),
    );
    expect(lines.map((one) => one.product.name)).deep.equal(['Good']);
    expect(problems.map(({ line, column }) => `${line} ${column}`)).have.members([
      ...['3 kind', '3 gloss', '3 colour', '3 left_ml', '3 opened_on', '4 name', '4 opened_on'],
    ]);
  });

  it('names the columns that are missing', () => {
    expect(readShelfCsv('line,name\nTest,Red').problems[0]!.message).include('kind, binder, gloss, colour, left_ml');
  });
});
