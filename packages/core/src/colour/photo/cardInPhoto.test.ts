import { expect } from 'chai';
import { drawCardPhoto } from '../../../test/support/drawnCardPhoto.ts';
import { computeDe00 } from '../difference.ts';
import { convertHexToLab, convertLabToHex } from '../display.ts';
import { writeCgats, type SpectralSample } from '../exchange/cgats.ts';
import { reconstructFromLab } from '../smoothReflectance.ts';
import { DESIGNED_CARD, readCardValues } from './cardValues.ts';
import { BORDER_PLACES, CARD_PATCHES, CARD_WHITE, drawColourCardFace } from './colourCard.ts';
import { fitCamera, type CameraFit } from './fitCamera.ts';
import { findCard } from '../../photo/findCard.ts';
import { sampleColour } from './sampleColour.ts';

describe('the colour card', () => {
  it('has seven greys and twenty-one colours that a screen can show, none twice', () => {
    expect(CARD_PATCHES.filter((one) => one.isGrey)).lengthOf(7);
    expect(new Set(CARD_PATCHES.map((one) => one.hex)).size).equal(28);
    for (const { lab, isGrey } of CARD_PATCHES) expect(Math.hypot(lab[1], lab[2]) < 1).equal(isGrey);
  });

  it('keeps its border clear of the dots, all round', () => {
    expect(BORDER_PLACES.length).greaterThan(60);
    expect(drawColourCardFace().match(/<circle/g)).lengthOf(12);
    expect(drawColourCardFace().match(/<rect/g)).lengthOf(29);
  });
});

describe('a colour from a photograph with the card in it (drawn, seeds 1 to 4)', () => {
  const paints = ['#4d6378', '#8c3a34', '#b9a25a', '#d8d4c8'];

  it('is what was painted, whatever the light and the camera, within what is stated', () => {
    let inside = 0;
    paints.forEach((paintHex, i) => {
      const { picture, painted } = drawCardPhoto({ paintHex }, i + 1);
      const fit = fitCamera(picture, findCard(picture));
      expect(fit.heldOut.median).lessThan(1);
      const { lab, sd } = sampleColour(picture, fit, painted, 12);
      const truth = convertHexToLab(paintHex);
      expect(computeDe00(truth, lab)).lessThan(1.5);
      inside += truth.filter((one, c) => Math.abs(one - lab[c]!) <= 2 * sd[c]!).length;
    });
    expect(inside).at.least(11);
  });

  it('is the same when the card lies upside down', () => {
    const { picture, painted } = drawCardPhoto({ paintHex: paints[0]!, isTurned: true }, 5);
    const fit = fitCamera(picture, findCard(picture));
    expect(computeDe00(convertHexToLab(paints[0]!), sampleColour(picture, fit, painted, 12).lab)).lessThan(1.5);
  });

  it('leaves a glint and a chip under the loupe out of it', () => {
    for (const speckHex of ['#ffffff', '#3a3a3a']) {
      const { picture, painted } = drawCardPhoto({ paintHex: paints[0]!, speckHex }, 6);
      const fit = fitCamera(picture, findCard(picture));
      const { lab, kept, seen } = sampleColour(picture, fit, painted, 16);
      expect(kept).lessThan(seen - 50);
      expect(computeDe00(convertHexToLab(paints[0]!), lab)).lessThan(1.5);
    }
  });

  it('needs the values of the card that lies there: one printed otherwise is off until it was measured', () => {
    const paintHex = paints[0]!;
    const fieldHexes = CARD_PATCHES.map(({ lab: [l, a, b] }) => convertLabToHex([0.9 * l + 4, 0.8 * a, 0.8 * b + 2]));
    const measured = [...fieldHexes, CARD_WHITE].map(convertHexToLab);
    const { picture, painted } = drawCardPhoto({ paintHex, fieldHexes }, 10);
    const control = findCard(picture);
    const off = (fit: CameraFit) => computeDe00(convertHexToLab(paintHex), sampleColour(picture, fit, painted, 12).lab);
    expect(off(fitCamera(picture, control, measured))).lessThan(1.5);
    expect(off(fitCamera(picture, control))).greaterThan(2.5);
  });

  it('is refused on a highlight, with what to do', () => {
    const { picture, painted } = drawCardPhoto({ paintHex: '#4d6378', speckHex: '#ffffff' }, 7);
    const fit = fitCamera(picture, findCard(picture));
    const burnt = { ...picture, data: picture.data.map(() => 255) as Uint8ClampedArray };
    expect(() => sampleColour(burnt, fit, painted, 5)).throw('no even paint under the loupe');
  });

  it('is refused where a hard shadow or a glint lies on the card, and where it lies is told', () => {
    const shaded = drawCardPhoto(
      { paintHex: paints[0]!, lightAt: ({ x }) => ({ share: x > 60 ? 0.6 : 1, veil: 0 }) },
      11,
    ).picture;
    expect(() => fitCamera(shaded, findCard(shaded)))
      .throw('Glare or a hard shadow lies on the card')
      .property('message')
      .match(/right/);
    const glint = ({ x, y }: { x: number; y: number }) => 0.4 * Math.exp(-((x - 25) ** 2 + (y - 18) ** 2) / 50);
    const shining = drawCardPhoto(
      { paintHex: paints[0]!, lightAt: (mm) => ({ share: 1, veil: glint(mm) }) },
      12,
    ).picture;
    expect(() => fitCamera(shining, findCard(shining)))
      .throw('no colour was read')
      .property('message')
      .match(/at its upper left\)/);
  });

  it('takes light that falls off softly over the card for what it is', () => {
    const soft = drawCardPhoto(
      { paintHex: paints[0]!, lightAt: ({ x, y }) => ({ share: 1 - 0.003 * x + 0.002 * y, veil: 0 }) },
      13,
    );
    const fit = fitCamera(soft.picture, findCard(soft.picture));
    expect(computeDe00(convertHexToLab(paints[0]!), sampleColour(soft.picture, fit, soft.painted, 12).lab)).lessThan(
      1.5,
    );
  });

  it('says so when there is no card, and when what lies there is another card', () => {
    const { picture } = drawCardPhoto({ paintHex: '#4d6378', hasCard: false }, 8);
    expect(() => findCard(picture)).throw('Point at its four corner dots');
    const { picture: right } = drawCardPhoto({ paintHex: '#4d6378' }, 9);
    const control = findCard(right);
    const grey = { ...right, data: right.data.map((one, i) => (i % 4 === 3 ? one : 120)) as Uint8ClampedArray };
    expect(() => fitCamera(grey, control)).throw('do not look like the colour card');
  });
});

describe('the values of a card that somebody measured', () => {
  const samples = DESIGNED_CARD.map((lab, i): SpectralSample => ({
    ...{ name: i < 28 ? String(i + 1) : 'White', share: 1, lab: null },
    spectrum: [...reconstructFromLab(lab)],
  }));

  it('come out of its spectra, in the order of the fields, whatever the order of the file', () => {
    const { values, problems } = readCardValues(writeCgats([...samples].reverse(), 'card'));
    expect(problems).deep.equal([]);
    values!.forEach((lab, i) => expect(computeDe00(lab, DESIGNED_CARD[i]!), `field ${i + 1}`).lessThan(0.05));
  });

  it('are not taken where one is missing, and which it is gets told', () => {
    const { values, problems } = readCardValues(
      writeCgats(
        samples.filter((one) => one.name !== '17'),
        'card',
      ),
    );
    expect(values).equal(null);
    expect(problems.map((one) => one.message)).deep.equal(['Missing samples: 17.']);
    expect(readCardValues('no such thing').problems[0]!.message).include('no CGATS text');
  });
});
