import { expect } from 'chai';
import fc from 'fast-check';
import { BANDS } from '../cieTables.ts';
import { FINISHES, type PaintPot, type PaintProduct } from '../../model/work.ts';
import { readCgats, writeCgats } from './cgats.ts';
import { readShelfCsv, writeShelfCsv } from './shelfCsv.ts';

const names = fc.string({ minLength: 1, maxLength: 30 }).map((text) => text.replace(/[\r\n\t]/g, ' ').trim() || 'x');

describe('spectra as text, whatever they are called', () => {
  it('come back as they went out', () => {
    const samples = fc.array(
      fc.record({
        name: names,
        share: fc.constantFrom(1, 0.5, 0.1),
        spectrum: fc.array(fc.double({ min: 0, max: 1.1, noNaN: true }), { minLength: BANDS, maxLength: BANDS }),
        lab: fc.constant(null),
      }),
      { minLength: 1, maxLength: 5 },
    );
    fc.assert(
      fc.property(samples, (out) => {
        const { samples: back, problems } = readCgats(writeCgats(out, 'fuzz'));
        expect(problems).deep.equal([]);
        expect(back.map(({ name, share }) => [name, share])).deep.equal(out.map(({ name, share }) => [name, share]));
        back.forEach(({ spectrum }, i) =>
          spectrum.forEach((one, band) => expect(one).closeTo(out[i]!.spectrum[band]!, 6e-6)),
        );
      }),
      { seed: 41, numRuns: 150 },
    );
  });

  it('never break the reader: any text gives samples, problems, or both', () => {
    const words = fc.constantFrom(
      'BEGIN_DATA',
      'END_DATA',
      'BEGIN_DATA_FORMAT',
      'END_DATA_FORMAT',
      'SAMPLE_ID',
      'NM400',
      'NM700',
      '0.5',
      '"',
      'x',
      '-1',
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(words, fc.constantFrom(' ', '\n', '\t')), { maxLength: 60 }), (pieces) => {
        const { samples, problems } = readCgats(pieces.flat().join(''));
        for (const { spectrum, name } of samples) {
          expect(spectrum).lengthOf(BANDS);
          expect(spectrum.every((one) => one >= 0 && one <= 1.2)).equal(true);
          expect(name).not.equal('');
        }
        for (const { line } of problems) expect(line).at.least(1);
      }),
      { seed: 42, numRuns: 500 },
    );
  });
});

describe('pots as CSV, whatever they are called', () => {
  const products = fc
    .uniqueArray(names, { minLength: 1, maxLength: 6, selector: (name) => name.toLowerCase() })
    .chain((list) =>
      fc.tuple(
        ...list.map((name) =>
          fc.record({
            name: fc.constant(name),
            gloss: fc.constantFrom(...FINISHES),
            leftMl: fc.integer({ min: 0, max: 400 }),
          }),
        ),
      ),
    );

  it('come back as they went out', () => {
    fc.assert(
      fc.property(products, (drafts) => {
        const own = drafts.map(({ name, gloss }, i): PaintProduct => ({
          ...{ id: String(i), version: 1, line: 'Fuzz', name, kind: 'colour', binder: 'enamel', gloss },
          ...{ colourHex: '#4d6378', dryFilmUm: 20, flashMin: 5, recoatMin: 60, cureMin: 600, minC: 10, maxC: 30 },
          ...{ optics: null, densityGPerMl: 1.1, dropMl: 0.03, pricePerMl: 0.2, drying: null, recipe: null },
        }));
        const pots = drafts.map(({ leftMl }, i): PaintPot => ({
          ...{ id: `p${i}`, version: 1, productId: String(i), leftMl: leftMl / 4, openedOn: null, place: 'Shelf, 2' },
        }));
        const { lines, problems } = readShelfCsv(writeShelfCsv(own, pots));
        expect(problems).deep.equal([]);
        const back = new Map(lines.map(({ product, pot }) => [product.name, [product.gloss, pot.leftMl]]));
        for (const { name, gloss, leftMl } of drafts) expect(back.get(name)).deep.equal([gloss, leftMl / 4]);
      }),
      { seed: 43, numRuns: 150 },
    );
  });
});
