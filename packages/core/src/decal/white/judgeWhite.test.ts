import { expect } from 'chai';
import { BODY_PAINTS, printSample, USUAL_PAPER } from '../../../test/support/simulatedPrinter.ts';
import { computeDe00 } from '../../colour/difference.ts';
import { convertHexToLab } from '../../colour/display.ts';
import { createSeededRandom } from '../../numeric/seededRandom.ts';
import { judgeFilms } from './judgeFilms.ts';
import { judgeInk, USUAL_TOLERANCE } from './judgeWhite.ts';
import { computeInkPass, predictOnBody } from './printedInk.ts';

const on = (paint: string) => BODY_PAINTS[paint]!;
const ink = (hex: string) => convertHexToLab(hex);

describe('white under a decal', () => {
  it('is needed by cream and yellow on slate blue, and by nothing on white', () => {
    expect(judgeInk(ink('#f3e6c0'), on('slate blue')).answer).equal('white');
    expect(judgeInk(ink('#e8b923'), on('slate blue')).answer).equal('white');
    for (const hex of ['#f3e6c0', '#e8b923', '#9c1f22', '#1d1d1b'])
      expect(judgeInk(ink(hex), on('white')).answer, hex).equal('no white');
  });

  it('is not needed by black on yellow, though yellow is: light alone does not tell', () => {
    expect(judgeInk(ink('#101010'), on('red')).answer).equal('no white');
    expect(judgeInk(ink('#9c1f22'), on('red')).answer).equal('white');
    expect(judgeInk(ink('#101010'), on('yellow')).answer).equal('no white');
  });

  it('tells what would be seen: bare film shows the paint, and ink never makes it lighter', () => {
    const bare = predictOnBody(computeInkPass(ink('#ffffff')), on('maroon'));
    const seen = predictOnBody(new Float64Array(31).fill(1), on('maroon'));
    expect(computeDe00(bare, seen)).below(0.01);
    for (const hex of ['#ffff00', '#00aaff', '#ff2200', '#808080'])
      expect(judgeInk(ink(hex), on('grey')).without[0]).below(seenLightness('grey') + 0.01);
  });

  const seenLightness = (paint: string) => predictOnBody(new Float64Array(31).fill(1), on(paint))[0];

  it('asks for a strip near what is let pass, by one side and the other', () => {
    const { de } = judgeInk(ink('#d8d0c0'), on('cream'));
    const at = (tolerance: number) => judgeInk(ink('#d8d0c0'), on('cream'), { tolerance, paper: [100, 0, 0] }).answer;
    expect([at(de + 1), at(de + 0.5), at(de - 0.5), at(de - 1)]).deep.equal([
      ...['no white', 'test strip', 'test strip', 'white'],
    ]);
  });

  it('of an artwork follows from its worst ink, and each film is judged for itself', () => {
    const inks = [
      { hex: '#101010', share: 0.7 },
      { hex: '#e8b923', share: 0.3 },
    ];
    const answers = (bare: number, paint: string) =>
      Object.fromEntries(judgeFilms(inks, bare, on(paint)).films.map(({ film, answer }) => [film, answer]));
    expect(judgeFilms(inks, 0.4, on('slate blue')).white).equal('white');
    expect(answers(0.4, 'slate blue')).deep.equal({
      'clear, office printer': 'does not',
      'white, office printer': 'does not',
      'clear with white under it, supplier': 'does',
    });
    // Solid to its edge, white film shows no white; on a white body it never does.
    expect(answers(0.001, 'slate blue')['white, office printer']).equal('does');
    expect(answers(0.4, 'white')).deep.include({ 'clear, office printer': 'does', 'white, office printer': 'does' });
    expect(judgeFilms([], 0, on('black')).white).equal('no white');
  });

  it('is seldom wrong on printers, papers and films that differ (sample; the whole in bench)', () => {
    const random = createSeededRandom(2001);
    let [called, wrong] = [0, 0];
    for (let i = 0; i < 25; i++) {
      const sample = printSample(random);
      for (const paint of Object.values(BODY_PAINTS)) {
        const { answer } = judgeInk(sample.onPaper, paint, { tolerance: USUAL_TOLERANCE, paper: USUAL_PAPER });
        if (answer === 'test strip') continue;
        called++;
        const isNeeded = computeDe00(sample.seen, sample.seenOver(paint)) > USUAL_TOLERANCE;
        if ((answer === 'white') !== isNeeded) wrong++;
      }
    }
    expect(called).above(0.9 * 25 * 12);
    expect(wrong / called).below(0.01);
  });
});
