import type { Decisions, SchoolOption } from '../model/school.ts';
import { expect } from 'chai';
import {
  createPlainModel,
  createTasks,
  makeCoat,
  makeFinding,
  makeJoint,
  makePart,
} from '../../test/support/planWorld.ts';
import type { JointTool } from '../model/catalogue.ts';
import type { PlanPart } from '../facts/specimenFacts.ts';
import { checkWeather } from '../gates/checkWeather.ts';
import { compilePlan } from './compilePlan.ts';
import type { PlanInput } from './planTypes.ts';
import { listNames } from '../words/names.ts';

type WordedDraft = ReturnType<typeof createTasks>[number];
const byKey = (tasks: readonly WordedDraft[], key: string): WordedDraft => {
  const found = tasks.find((task) => task.key === key);
  if (!found) throw new Error(`There is no ${key} among ${tasks.map((task) => task.key).join(', ')}`);
  return found;
};
const withParts = (...parts: PlanInput['parts']) => createPlainModel({ parts });

describe('opening tasks', () => {
  const open = (tool: JointTool, destroys = '') =>
    byKey(
      createTasks(createPlainModel({ opening: [makeJoint('j', 'snap', ['body', 'base'], { tool, destroys })] })),
      'open:j',
    );

  it('bring the hazard of their tool, and spark only where there is one', () => {
    expect(open('hand').hazards).deep.equal([]);
    expect(open('drill').hazards).deep.equal(['drilling']);
    expect(open('rotary')).deep.include({ hazards: ['grinding'] });
    expect(open('rotary').tags).include('spark');
    expect(open('iron').tags).include('spark');
    expect(open('drill').tags).not.include('spark');
  });

  it('say what is gone afterwards, and cannot be undone only then', () => {
    expect(open('drill', 'the rivet head').cannotBeUndone).equal('the rivet head');
    expect(open('drill', 'the rivet head').how).include('Afterwards gone: the rivet head');
    expect(open('hand').cannotBeUndone).equal(undefined);
    expect(open('hand').how).include('Nothing is destroyed');
  });

  it('take out what stripper and heat would ruin, by name', () => {
    const tasks = createTasks(createPlainModel());
    expect(byKey(tasks, 'meltables-out').title).equal('Take out glazing and wheels');
    const allMetal = createTasks({ ...createPlainModel(), parts: [makePart('body'), makePart('base')] });
    expect(allMetal.some((task) => task.key === 'meltables-out')).equal(false);
  });

  it('are none for a model that stays closed', () =>
    expect(createTasks(createPlainModel({ opening: [] })).filter((task) => task.station === 'open')).deep.equal([]));

  it('list names as people do', () => {
    expect([[], ['a'], ['a', 'b'], ['a', 'b', 'c']].map(listNames)).deep.equal(['', 'a', 'a and b', 'a, b and c']);
  });
});

describe('preparation tasks', () => {
  it('capture the colour only where there is paint to lose', () => {
    const keys = (painted: boolean) => createTasks(withParts(makePart('body', { painted }))).map((task) => task.key);
    expect(keys(true)).include('capture-colour');
    expect(keys(false)).not.include('capture-colour');
  });

  it('count the parts and what of them is not metal', () => {
    expect(byKey(createTasks(createPlainModel()), 'know-materials').because).equal('5 parts, 2 of them not metal.');
  });

  it('leave a sound survivor dry: brush and cloth, no water', () => {
    const dust = byKey(createTasks(createPlainModel({ scope: 'clean only' })), 'dust');
    expect(dust.how).include('No water');
    expect(dust.partKeys).length(5);
  });
});

describe('a model that is cleaned only', () => {
  const kept = (changes: Partial<PlanPart>) =>
    createPlainModel({
      scope: 'clean only',
      parts: [
        makePart('body', { painted: true, findings: [makeFinding('smell')], ...changes }),
        makePart('wheels', { role: 'wheel', material: 'hard plastic' }),
      ],
    });
  const plan = (input: PlanInput) => {
    const compiled = compilePlan(input);
    if (compiled.kind !== 'plan') throw new Error(compiled.because);
    return {
      keys: compiled.tasks.map(({ key }) => key),
      water: compiled.notices.find(({ kind }) => kind === 'water')!.words,
    };
  };

  it('is washed once after the dust is off, where it smells and nothing on it forbids water', () => {
    const { keys, water } = plan(kept({}));
    const order = ['brush-ready', 'dust', 'wash-once', 'raking-light'];
    expect(keys.filter((key) => order.includes(key))).deep.equal(order);
    expect(water).include('washed once');
    const odourless = plan(kept({ findings: [] }));
    expect(odourless.keys).not.include('wash-once');
    expect(odourless.water).include('not planned');
  });

  for (const [name, changes, reason] of [
    ['a decal', { found: ['colour', 'decal'] }, 'the body (water-slide decal'],
    ['tinplate', { material: 'tinplate' }, 'the body (tinplate'],
    ['lead', { material: 'lead alloy' }, 'the body (lead'],
    ['bare steel', { material: 'steel', painted: false, found: [] }, 'the body (bare steel'],
    ['celluloid', { material: 'acetate or celluloid', painted: false, found: [] }, 'the body (acetate'],
    ['plastic nobody knows', { material: 'unknown plastic', painted: false, found: [] }, 'the body (unknown plastic'],
    ['card', { material: 'fibre board' }, 'the body (fibre board'],
    ['pest', { findings: [makeFinding('smell'), makeFinding('pest')] }, 'the body (signs of pest'],
  ] as const)
    it(`sees no water with ${name} on it, and the plan says why`, () => {
      const { keys, water } = plan(kept(changes as Partial<PlanPart>));
      expect(keys).not.include('wash-once');
      expect(water).include('No water').and.include(reason);
    });
});

describe('the weather', () => {
  it('is asked of blasting and of nothing else', () => {
    const blasted = createTasks({ ...withParts(makePart('body', { painted: true })), decisions: { S11: 'blast' } });
    const held = blasted.filter((task) => checkWeather(task, false).length > 0).map(({ key }) => key);
    expect(held).deep.equal(['blast:body']);
    expect(blasted.every((task) => checkWeather(task, true).length === 0)).equal(true);
  });
});

describe('stripping tasks', () => {
  it('strip painted metal wet and wash unpainted plastic with soap', () => {
    const keys = createTasks(createPlainModel()).map((task) => task.key);
    expect(keys).include.members(['strip:body', 'wash:body', 'inspect:body', 'soap:glazing', 'soap:wheels']);
    expect(keys).not.include('strip:axles');
    expect(byKey(createTasks(createPlainModel()), 'strip:body').hazards).deep.equal(['gel-stripper', 'old-paint']);
  });

  it('do nothing to a part that is not there', () => {
    expect(
      createTasks(withParts(makePart('body', { painted: true, state: 'missing' }))).filter(
        (task) => task.station === 'strip' && task.partKeys.includes('body') && task.key !== 'tap:front-post',
      ),
    ).deep.equal([]);
  });

  it('never straighten lead or tinplate with heat, nor grind what is not a steel axle', () => {
    const bent = makeFinding('bent');
    const rust = makeFinding('rust');
    for (const material of ['lead alloy', 'tinplate', 'hard plastic', 'pest-suspect zinc'] as const) {
      const tasks = createTasks(withParts(makePart('body', { material, findings: [bent] })));
      expect(
        tasks.some((task) => task.tags.includes('heat')),
        material,
      ).equal(false);
    }
    const plated = createTasks(
      withParts(makePart('axles', { role: 'axle', material: 'plated or unknown wire', findings: [rust] })),
    );
    expect(plated.some((task) => task.tags.includes('dry abrade'))).equal(false);
    const steel = createTasks(withParts(makePart('axles', { role: 'axle', material: 'steel', findings: [rust] })));
    expect(byKey(steel, 'dress:axles').hazards).deep.equal(['grinding']);
  });

  it('warm zinc to at most 150 °C, by a probe, and say that the number is an estimate', () => {
    const tasks = createTasks(withParts(makePart('body', { findings: [makeFinding('bent')] })));
    const { how, cannotBeUndone, watchedMin } = byKey(tasks, 'straighten:body');
    expect(how).include('contact probe').include('100 to 150 °C (planning estimate), never above');
    expect(cannotBeUndone).equal('a casting that cracks');
    expect(watchedMin).greaterThan(0);
  });
});

describe('finishing and closing tasks', () => {
  const bright = (cureMin: number) =>
    withParts(
      makePart('body', {
        coats: [
          makeCoat('primer'),
          makeCoat('colour'),
          makeCoat('brightwork', {
            ...{ areaKind: 'mask', areaName: 'grille' },
            dries: { flashMin: 1, recoatMin: 30, betweenMin: 30, cureMin },
          }),
        ],
      }),
    );

  it('silver at the finish, chrome last of all at the close', () => {
    expect(createTasks(bright(30)).map((task) => task.key)).include('bright:body:grille');
    expect(createTasks(bright(4320)).map((task) => task.key)).not.include('bright:body:grille');
    expect(byKey(createTasks(bright(4320)), 'chrome:body:grille').passiveMin).equal(4320);
  });

  it('name the colours of an area in one task, and clear in its own', () => {
    const coats = [
      makeCoat('primer'),
      makeCoat('colour', { name: 'Deep green' }),
      makeCoat('clear', { name: 'Clear gloss' }),
    ];
    const tasks = createTasks(withParts(makePart('body', { coats })));
    const task = byKey(tasks, 'colour:body:outside');
    expect(task.title).equal('Paint the body, outside: Deep green');
    expect(task.hazards).deep.equal(['spraying']);
    expect(byKey(tasks, 'clear:body:outside').title).equal('Clear coat on the body: Clear gloss');
  });

  it('plan no paint for a pest-suspect part', () => {
    expect(
      createTasks(withParts(makePart('body', { material: 'pest-suspect zinc', coats: [makeCoat('primer')] }))).filter(
        (task) => task.station === 'finish',
      ),
    ).deep.equal([]);
  });

  it('check the axles before they are formed, since that cannot be done twice', () => {
    const close = byKey(createTasks(createPlainModel()), 'close:axle-ends');
    expect(byKey(createTasks(createPlainModel()), 'check:axle-ends').how).match(/^Every wheel the right way round/);
    expect(close.cannotBeUndone).include('cannot be formed again');
  });

  it('close the last opened joint first, and try all motion at the end', () => {
    const keys = createTasks(createPlainModel()).map((task) => task.key);
    expect(keys.filter((key) => key.startsWith('close:'))).deep.equal([
      'close:glazing',
      'close:axle-ends',
      'close:front-post',
    ]);
    expect(keys.indexOf('check-motion')).greaterThan(keys.indexOf('close:front-post'));
  });

  it('close the posts as the school says: screws, one screw and false heads, or glue', () => {
    const opening = [
      makeJoint('front', 'rivet post', ['body', 'base']),
      makeJoint('rear', 'rivet post', ['body', 'base']),
    ];
    const planFor = (S2: SchoolOption<'S2'>) => createPlainModel({ opening, decisions: { S2 } });
    const tapsOf = (S2: SchoolOption<'S2'>) =>
      createTasks(planFor(S2)).flatMap((task) => (task.key.startsWith('tap:') ? [task.key] : []));
    expect(tapsOf('tapped screw')).deep.equal(['tap:front', 'tap:rear']);
    expect(tapsOf('one screw and false heads')).deep.equal(['tap:front']);
    expect(tapsOf('glued false rivet')).deep.equal([]);
    const glued = byKey(createTasks(planFor('one screw and false heads')), 'close:rear');
    expect(glued.title).include('Glue the false rivet on');
    expect(glued.hazards).deep.equal(['cyanoacrylate']);
    expect(byKey(createTasks(planFor('one screw and false heads')), 'close:front').title).include('Run the screw home');
  });

  it('place a decal as the school says', () => {
    const model = (decisions: Decisions) => ({
      ...withParts(makePart('body', { coats: [makeCoat('decal')] })),
      decisions,
    });
    const decal = (decisions: Decisions) => byKey(createTasks(model(decisions)), 'decal:body:outside');
    expect(decal({}).because).include('wet pad and two sets');
    expect(decal({ S20: 'setting fluid' }).how).include('Test both on the paint first');
    expect(decal({ S20: 'one set' }).how).include('Panel wetted');
  });

  it('touch nothing in when no axle was formed', () => {
    const keys = createTasks(createPlainModel({ opening: [makeJoint('s', 'screw', ['body', 'base'])] })).map(
      (task) => task.key,
    );
    expect(keys).include('check-motion').not.include('touch-in');
  });
});
