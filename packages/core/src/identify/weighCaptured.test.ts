import { expect } from 'chai';
import fc from 'fast-check';
import { calibrateColour } from '../../test/support/calibrateColour.ts';
import { exactColourDensity } from '../../test/support/exactColourDensity.ts';
import { makeCatalogue, makeFeature, makeVariant } from '../../test/support/identifyWorld.ts';
import type { StateColour } from '../model/catalogue.ts';
import type { LabColour } from '../model/reading.ts';
import { DEFAULT_SETTINGS, type ColourReading, type IdentifyCatalogue, type StateAnswer } from './catalogue.ts';
import { computeColourDensity } from './computeColourDensity.ts';
import { answerAll, identifySpecimen } from './identifySpecimen.ts';
import { selectAnswers } from './selectAnswers.ts';

const PALE: LabColour = [48, -22, 14];
const DARK: LabColour = [40, -20, 12];
const SD: LabColour = [0.5, 0.5, 0.5];
const asNew = (lab: LabColour, changes: Partial<StateColour> = {}): StateColour => ({
  ...{ lab, sd: [0.3, 0.3, 0.3], geometry: 'gloss left out', specimenId: null, place: 'sheltered' },
  ...changes,
});
const reading = (lab: LabColour, place: ColourReading['place'] = 'sheltered'): ColourReading => ({
  lab,
  sd: SD,
  place,
});

/** Two greens that the eye takes for each other, and a red that nobody measured. */
function createGreens(
  pale: StateColour | null = asNew(PALE),
  dark: StateColour | null = asNew(DARK),
): IdentifyCatalogue {
  const states = ['pale', 'dark', 'red'];
  const feature = makeFeature({
    ...{ key: 'colour', states, alikes: { pale: ['dark'], dark: ['pale'] }, group: 'outer coat' },
  });
  const colours = [pale, dark, null];
  return makeCatalogue(
    [{ ...feature, states: feature.states.map((state, i) => ({ ...state, colour: colours[i]! })) }],
    states.map((state) => makeVariant(state, null, { colour: state })),
  );
}

const captured = (readings: readonly ColourReading[], eye: Partial<StateAnswer> = {}): StateAnswer => ({
  ...{ featureId: 'colour', stateId: null, certainty: 'cannot see' },
  captured: { specimenId: 'this', geometry: 'gloss left out', readings },
  ...eye,
});
const chances = (catalogue: IdentifyCatalogue, answer: StateAnswer) =>
  Object.fromEntries(identifySpecimen(catalogue, [answer]).ranked.map((one) => [one.variantId, one.probability]));

describe('the density of captured colours', () => {
  it('is the normal law written out as one matrix, fading in closed form', () => {
    const near = fc.tuple(...[0, 1, 2].map(() => fc.double({ min: -9, max: 9, noNaN: true })));
    const one = fc.record({
      away: near,
      sd: fc.double({ min: 0.3, max: 2, noNaN: true }),
      place: fc.constantFrom('sheltered' as const, 'exposed' as const),
    });
    fc.assert(
      fc.property(fc.array(one, { minLength: 1, maxLength: 3 }), fc.boolean(), one, (drawn, isOfOneModel, known) => {
        const open = { sheltered: 0.1, exposed: 1 };
        const readings = drawn.map(({ away, sd, place }) => ({
          ...{ place, sd: [sd, sd, sd] as const },
          lab: [50 + away[0]!, away[1]!, away[2]!] as const,
        }));
        const state = { lab: [50, 0, 0] as const, sd: [known.sd, known.sd, known.sd] as const };
        const found = computeColourDensity(
          readings,
          { ...state, place: known.place, isOfOneModel },
          DEFAULT_SETTINGS.colour,
        );
        const exact = exactColourDensity(
          readings.map(({ lab, sd, place }) => ({ lab, sd, open: open[place] })),
          { ...state, ofModel: isOfOneModel ? { open: open[known.place] } : null },
          { batch: 0.7, fading: 3, way: [0.8, 0, 0.6] },
        );
        expect(found).closeTo(exact, 0.03 + 0.005 * Math.abs(exact));
      }),
      { numRuns: 150 },
    );
  });
});

describe('a captured colour', () => {
  it('tells two greens apart that the eye confuses', () => {
    expect(chances(createGreens(), captured([reading(PALE)])).pale).greaterThan(0.9);
    expect(chances(createGreens(), captured([reading(DARK)])).dark).greaterThan(0.9);
  });

  it('knows that an open face has faded: lighter and yellower than the dark green is no pale one', () => {
    const faded: LabColour = [DARK[0] + 4.8, DARK[1], DARK[2] + 3.6];
    const open = chances(createGreens(), captured([reading(faded, 'exposed')]));
    const sheltered = chances(createGreens(), captured([reading(faded, 'sheltered')]));
    expect(open.dark!).greaterThan(3 * sheltered.dark!);
  });

  it('takes it for the batch where both places are off alike, for fading where only the open one is', () => {
    const off = (by: number): LabColour => [DARK[0] + by, DARK[1], DARK[2] + 0.75 * by];
    const both = chances(createGreens(), captured([reading(off(4)), reading(off(4), 'exposed')]));
    const one = chances(createGreens(), captured([reading(off(0.4)), reading(off(4), 'exposed')]));
    expect(one.dark!).greaterThan(both.dark!);
  });

  it('decides among measured states alone; the eye decides between them and the rest', () => {
    const eye = (key: string) => ({ stateId: `colour.${key}`, certainty: 'sure' as const });
    const wrong = chances(createGreens(), captured([reading(PALE)], eye('dark')));
    const right = chances(createGreens(), captured([reading(PALE)], eye('pale')));
    expect(wrong.pale).closeTo(right.pale!, 1e-9);
    expect(wrong.pale!).greaterThan(0.85);
    const red = chances(createGreens(), captured([reading([62, -2, 20])], eye('red')));
    expect(red.red!).greaterThan(0.85);
  });

  it('says nothing by a state’s colour that was read off the model itself, and less by one off another', () => {
    const own = createGreens(asNew(PALE, { specimenId: 'this' }), asNew(DARK, { specimenId: 'this' }));
    const itself = chances(own, captured([reading(PALE)]));
    expect(itself.pale).closeTo(itself.dark!, 1e-9);
    const other = createGreens(asNew(PALE, { specimenId: 'other' }), asNew(DARK, { specimenId: 'other' }));
    const odds = (catalogue: IdentifyCatalogue) => {
      const { pale, dark } = chances(catalogue, captured([reading(PALE)]));
      return pale! / dark!;
    };
    expect(odds(other)).within(3, 0.8 * odds(createGreens()));
  });

  it('counts for nothing where it was replaced or is missing, and against untouched where it is nobody’s colour', () => {
    const replaced = (answer: StateAnswer) => identifySpecimen(createGreens(), [answer]).ranked;
    const said = { stateId: null, certainty: 'replaced' as const };
    expect(replaced(captured([reading(PALE)], said))).deep.equal(replaced({ featureId: 'colour', ...said }));
    const missing = identifySpecimen(createGreens(), [captured([reading(PALE)], { certainty: 'missing' })]);
    expect(missing.evidence[0]!.bits).equal(0);
    const strange = identifySpecimen(createGreens(), [captured([reading([50, 45, -40])])]);
    const usual = identifySpecimen(createGreens(), [captured([reading(PALE)])]);
    expect(strange.untouchedProbability).lessThan(0.7 * usual.untouchedProbability);
  });

  it('is refused without its numbers', () => {
    const broken = captured([reading([NaN, 0, 0])]);
    expect(() => answerAll(createGreens(), [broken])).throw(/L\*, a\* and b\*/);
  });

  it('says which state an issue would be written down with, where it is clear enough', () => {
    const issueOf = (answer: StateAnswer) => identifySpecimen(createGreens(), [answer]).issue;
    expect(issueOf(captured([reading(PALE)])).states).deep.equal([{ featureId: 'colour', stateId: 'colour.pale' }]);
    expect(issueOf(captured([reading([44, -21, 13])])).leftOut).deep.equal(['colour']);
  });

  it('is chosen from what was captured: of its own model, in the geometry that most states were measured in', () => {
    const catalogue = createGreens();
    const capture = (id: string, geometry: 'gloss left out' | 'gloss included') => ({
      ...{ id, geometry, lab: PALE, sd: SD, place: 'sheltered' as const },
    });
    const observations = [
      {
        ...{ specimenId: 'this', featureId: 'colour', stateId: null, certainty: 'cannot see' as const },
        ...{ captureIds: ['a', 'b'], size: null },
      },
    ];
    const captures = [capture('a', 'gloss included'), capture('b', 'gloss left out'), capture('c', 'gloss left out')];
    const [answer] = selectAnswers(catalogue, { observations, captures }) as StateAnswer[];
    expect(answer!.captured!.geometry).equal('gloss left out');
    expect(answer!.captured!.readings).length(1);
    const [under] = selectAnswers(catalogue, { observations, captures, isOverpainted: true }) as StateAnswer[];
    expect(under!.captured).equal(undefined);
  });

  it('is worth less where the house says that batches differ more', () => {
    const of = (batchSd: number) =>
      chances({ ...createGreens(), colourSpread: { batchSd, fadingSd: 3 } }, captured([reading([47, -22, 14])])).pale!;
    expect(of(0.7)).equal(chances(createGreens(), captured([reading([47, -22, 14])])).pale);
    expect(of(4)).lessThan(of(0.7) - 0.1);
  });

  it('is right nearly as often as a classifier that knows the world (all cases: npm run bench)', () => {
    const plan = { states: 3, gap: 4, capture: 1, ofOneModel: 0.5, specimens: 400, seed: 5 };
    const { right, bestRight } = calibrateColour({ ...plan, assumedFading: 3 });
    expect(right).within(0.95 * bestRight, bestRight + 0.02);
    expect(calibrateColour({ ...plan, assumedFading: 6 }).ece).lessThan(0.05);
  });
});
