import { expect } from 'chai';
import { createPlainModel, makeCoat, makeFinding, makeJoint, makePart } from './support/planWorld.ts';
import { expectOrder, planOf, select } from './support/lorry.ts';
import { chooseOpening } from '../src/opening/chooseOpening.ts';
import { createOpeningQuestion } from '../src/opening/openingQuestion.ts';
import { compilePlan } from '../src/compile/compilePlan.ts';
import { checkCoat } from '../src/film/checkCoat.ts';
import { isBareMetalUnder } from '../src/film/isBareMetalUnder.ts';

const COATS = [makeCoat('primer'), makeCoat('colour')];

describe('old paint and pest, by hand', () => {
  it('has lines dressed after photograph, capture, strip and a look at the bare casting', () => {
    const plan = planOf(createPlainModel({ decisions: { S1: 'dress all' } }));
    for (const first of [
      'identify',
      'photograph',
      'capture-colour',
      'pest-check',
      'strip body',
      'wash body',
      'inspect body',
    ])
      expectOrder(plan, first, 'dress-lines body');
  });

  it('dresses a casting that wears no paint not before it was photographed and looked over for pest', () => {
    const bare = createPlainModel({
      decisions: { S1: 'dress all' },
      parts: [makePart('body', { coats: COATS })],
      opening: [],
    });
    for (const first of ['photograph', 'pest-check']) expectOrder(planOf(bare), first, 'dress-lines body');
  });

  it('drills no pin of a zinc casting before the pest check, whatever the joint is called', () => {
    const pin = createPlainModel({
      opening: [makeJoint('ramp', 'peened pin', ['body', 'base'], { tool: 'drill', destroys: 'the pin' })],
    });
    expectOrder(planOf(pin), 'pest-check', 'open ramp');
  });

  it('files nothing whose old paint stays on: glue with powder becomes gel', () => {
    const crack = { painted: true, findings: [makeFinding('cracked')] };
    const kept = createPlainModel({ decisions: { S22: 'honest wear' }, parts: [makePart('body', crack)], opening: [] });
    expect(select(planOf(kept), 'mend body').map((task) => task.method)).deep.equal(['gel']);
    const stripped = createPlainModel({ parts: [makePart('body', { ...crack, coats: COATS })], opening: [] });
    expect(select(planOf(stripped), 'mend body').map((task) => task.method)).deep.equal(['glue and powder']);
  });

  it('brings no iron to a part with signs of pest, though its joint was found open: it is glued', () => {
    const adrift = (findings: ReturnType<typeof makeFinding>[]) =>
      planOf(
        createPlainModel({
          parts: [
            makePart('body', { material: 'tinplate' }),
            makePart('lamp', { role: 'trim', material: 'tinplate', findings }),
          ],
          opening: [{ ...makeJoint('lamp', 'solder', ['body', 'lamp']), condition: 'open' }],
        }),
      );
    expect(select(adrift([]), 'close lamp')[0]!.method).equal('soldered');
    expect(select(adrift([makeFinding('pest')]), 'close lamp')[0]!.method).equal('glued');
  });

  it('opens a seam between two colours rather than brush gel over it, to save no minutes', () => {
    const colours = ['#9a2020', '#f0e6c8'].map((colourHex) => [makeCoat('primer'), makeCoat('colour', { colourHex })]);
    const { joints, ...facts } = {
      ...createPlainModel({
        parts: ['body', 'base'].map((key, i) => makePart(key, { painted: true, coats: colours[i]! })),
      }),
      // Twenty minutes to open: dearer than a mask.
      joints: [
        {
          ...makeJoint('post', 'screw', ['body', 'base']),
          ways: [{ ...makeJoint('p', 'screw', []).way, minutes: 20 }],
        },
      ],
    };
    expect(chooseOpening(createOpeningQuestion({ joints, ...facts })).opening.map((one) => one.key)).deep.equal([
      'post',
    ]);
  });
});

describe('colour on bare metal', () => {
  it('is told when it is planned as it is refused when it is logged', () => {
    const plan = compilePlan(
      createPlainModel({ parts: [makePart('body', { painted: true, coats: [makeCoat('colour')] })], opening: [] }),
    );
    const words = plan.kind === 'plan' ? plan.notices.map((one) => one.words) : [];
    expect(words).include(
      'Nothing holds on bare zinc alloy: no primer is planned for the body. Plan one at Finish; without it the coat is refused when it is logged.',
    );
  });

  it('is a question of the metal and of what goes on it', () => {
    const bare = { hasGround: false, isPowder: false };
    expect(isBareMetalUnder('colour', 'brass', bare)).equal(true);
    expect(isBareMetalUnder('clear', 'brass', bare)).equal(false);
    expect(isBareMetalUnder('clear', 'zinc alloy', bare)).equal(true);
    expect(isBareMetalUnder('brightwork', 'zinc alloy', bare)).equal(false);
    expect(isBareMetalUnder('colour', 'ABS', bare)).equal(false);
    expect(isBareMetalUnder('colour', 'zinc alloy', { ...bare, hasGround: true })).equal(false);
    expect(isBareMetalUnder('colour', 'zinc alloy', { ...bare, isPowder: true })).equal(false);
  });

  it('lets old paint that stays be the ground, and no longer once it is stripped', () => {
    const attempt = (tasks: Parameters<typeof checkCoat>[0]['tasks']) =>
      checkCoat({
        ...{ partKey: 'body', partName: 'Body', material: 'zinc alloy' as const, tempC: 20, tasks },
        product: { kind: 'colour', binder: 'enamel', name: 'red', minC: 10, maxC: 30 } as Parameters<
          typeof checkCoat
        >[0]['product'],
        appliedAt: new Date('2026-01-02T10:00:00Z'),
        ...{ under: [], taped: [], standing: [], products: [], isMist: false, reliefUm: null, overBecause: '' },
        layers: [{ stage: 'found', kind: 'colour', seq: 0 }] as unknown as Parameters<typeof checkCoat>[0]['layers'],
      }).map(({ code }) => code);
    expect(attempt([])).deep.equal([]);
    const stripped = { act: 'strip', partKeys: ['body'], state: 'done', tags: ['strip'] };
    expect(attempt([stripped] as unknown as Parameters<typeof checkCoat>[0]['tasks'])).deep.equal(['bare-metal']);
  });
});
