import { expect } from 'chai';
import { makeCoat, makeFinding, makeJoint, makePart, makeWant } from './support/planWorld.ts';
import { createLorry, expectFree, expectOrder, planOf, select } from './support/lorry.ts';
import { compilePlan } from '../src/compile/compilePlan.ts';
import { chooseOpening } from '../src/opening/chooseOpening.ts';

const titles = (input: Parameters<typeof planOf>[0]) => planOf(input).map((task) => task.title);
const lorry = createLorry();
const withPart = (key: string, changes: Partial<ReturnType<typeof makePart>>) =>
  createLorry({
    parts: lorry.parts.map((part) => {
      const { newPart, ...others } = part;
      return part.key === key ? makePart(key, { ...others, ...changes }) : { ...others, newPart };
    }),
  });

describe('a model as it was found', () => {
  it('has nothing drilled or eased that holds nothing, and is closed all the same', () => {
    const found = createLorry({
      opening: lorry.opening.map((joint) =>
        joint.key === 'post' || joint.key === 'ends'
          ? { ...joint, condition: 'lost' as const, way: { ...joint.way, destroys: '', minutes: 0 } }
          : joint,
      ),
    });
    const tasks = planOf(found);
    for (const act of ['pilot post', 'open post', 'open ends', 'axle-in-hand ends'])
      expect(select(tasks, act), act).empty;
    expect(select(tasks, 'open tabs')).length(1);
    // The ends of an axle that was lost are formed on the new one, from wire that the plan asks for.
    const [ends] = select(tasks, 'close ends');
    expect(ends!.title).match(/^Form the axle ends/);
    expect(ends!.because).match(/It was found open, its fastener lost: a new one goes in/);
    expect(ends!.uses.map((use) => use.what)).include('axle wire');
    // Plastic lies in there until somebody takes it out, whoever opened it.
    expectOrder(tasks, 'meltables-out', 'strip body');
  });

  it('keeps in what another joint still holds: it is neither taken out nor fitted', () => {
    const held = createLorry({
      closed: [{ key: 'screwed', label: 'screw', kind: 'screw', partKeys: ['body', 'glazing'] }],
    });
    const tasks = planOf(held);
    expect(select(tasks, 'fit glazing')).empty;
    expect(select(tasks, 'meltables-out')[0]!.partKeys).not.include('glazing');
  });

  it('has its parts taken out after the joints that hold them', () => {
    const tasks = planOf(createLorry());
    expectOrder(tasks, 'open window', 'meltables-out');
    expectOrder(tasks, 'open bench', 'meltables-out');
  });
});

describe('a part that takes the place of another', () => {
  const coats = [makeCoat('primer'), makeCoat('colour')];
  const bought = withPart('base', {
    state: 'damaged',
    painted: false,
    findings: [makeFinding('bent', { degrees: 3 }), makeFinding('rust'), makeFinding('cracked')],
    wants: [makeWant('w', { state: 'ordered', dueOn: '2027-01-09' })],
    coats,
  });

  it('is neither stripped, mended nor freed, only tried, prepared and painted', () => {
    const tasks = planOf(bought);
    for (const act of ['strip', 'wash', 'inspect', 'straighten', 'mend', 'dress', 'wipe', 'dress-lines'])
      expect(select(tasks, `${act} base`), act).empty;
    expectOrder(tasks, 'get w', 'trial-fit base');
    expectOrder(tasks, 'trial-fit base', 'degrease base');
    expectOrder(tasks, 'degrease base', 'prime base');
    expect(select(tasks, 'fit base')[0]!.because).equal('It takes the place of the old one.');
  });

  it('is painted also where the old one is missing', () => {
    const gone = planOf(withPart('crane', { state: 'missing', wants: [makeWant('crane')], coats }));
    expectOrder(gone, 'get crane', 'prime crane');
    expectOrder(gone, 'trial-fit crane', 'colour crane');
    expect(select(gone, 'strip crane')).empty;
  });

  it('is not painted where nobody wants a new one, or only a tool for it', () => {
    for (const wants of [[], [makeWant('w', { state: 'waived' })]])
      expect(select(planOf(withPart('crane', { state: 'missing', wants, coats })), 'prime crane')).empty;
    const tool = withPart('base', { state: 'damaged', coats, wants: [makeWant('w', { kind: 'other' })] });
    expect(select(planOf(tool), 'strip base')).length(1);
  });

  it('holds up what it is tried on and nothing else while it is on its way', () => {
    // The crane sits on nothing that is opened: it holds up nobody but itself.
    const tasks = planOf(
      withPart('crane', { state: 'missing', wants: [makeWant('crane', { state: 'ordered' })], coats }),
    );
    expectFree(tasks, 'get crane', 'prime body');
    expectFree(tasks, 'get crane', 'dry-fit');
    // The base is screwed to the body: that is filed to fit before its paint.
    const base = planOf(bought);
    expectOrder(base, 'get w', 'prime body');
    expectFree(base, 'get w', 'colour seat');
  });

  it('is tried before the dry fit when it is here', () => {
    const here = withPart('crane', { state: 'missing', wants: [makeWant('crane', { state: 'solved' })], coats });
    expectOrder(planOf(here), 'trial-fit crane', 'dry-fit');
  });

  it('says while it is on its way what waits for it', () => {
    const plan = compilePlan(bought);
    const words = plan.kind === 'plan' ? plan.notices.map((one) => one.words) : [];
    expect(words).include(
      'Ordered: new base, due 9 January 2027. To be tried, prepared and painted when here. No paint goes on the body before that; all else goes on.',
    );
  });

  it('wears old paint only when it comes from a donor', () => {
    const donor = { state: 'damaged' as const, wants: [makeWant('w', { state: 'solved' })], coats };
    const stripped = planOf(withPart('base', { ...donor, painted: true, newPart: { isHere: true, origin: 'donor' } }));
    expect(select(stripped, 'strip base')).length(1);
  });

  it('may share a joint with another one that is missing too', () => {
    const both = createLorry({
      parts: [
        ...lorry.parts.filter((part) => part.key !== 'axles' && part.key !== 'wheels'),
        makePart('wheels', { role: 'wheel', material: 'hard plastic', state: 'missing', wants: [makeWant('wheels')] }),
        makePart('axles', { role: 'axle', material: 'steel', state: 'missing', wants: [makeWant('axles')] }),
      ],
    });
    expect(titles(both).filter((title) => /wheels|axle/.test(title))).include('Form the axle ends: ends');
    const pair = createLorry({
      parts: both.parts.filter((part) => part.key !== 'base'),
      opening: [makeJoint('ends', 'formed axle', ['axles', 'wheels'], { tool: 'rotary', destroys: 'one head' })],
    });
    expect(select(planOf(pair), 'open ends')).empty;
    expect(select(planOf(pair), 'close ends')).length(1);
  });
});

describe('what closing chipped', () => {
  it('is touched in where something wears paint, and nowhere else', () => {
    expect(select(planOf(lorry), 'touch-in')).length(1);
    const bare = lorry.parts.map((part) => ({ ...part, coats: [], painted: false, found: [] }));
    expect(select(planOf(createLorry({ parts: bare })), 'touch-in')).empty;
    const kept = createLorry({
      parts: lorry.parts.map((part) => ({ ...part, coats: [] })),
      decisions: { S22: 'honest wear' },
    });
    expect(select(planOf(kept), 'touch-in')).length(1);
  });
});

describe('what is brittle', () => {
  const brittle = { findings: [makeFinding('brittle')] };
  const clip = (changes = {}) =>
    createLorry({
      parts: lorry.parts.map((part) =>
        part.key === 'seat' ? { ...part, painted: false, coats: [], ...brittle } : part,
      ),
      opening: lorry.opening.map((joint) => (joint.key === 'bench' ? { ...joint, kind: 'snap' as const } : joint)),
      ...changes,
    });

  it('is brushed dry, not washed; not eased, not snapped in again', () => {
    const tasks = planOf(clip());
    expect(select(tasks, 'soap seat')).empty;
    expect(select(tasks, 'brush seat')[0]!.because).match(/brittle/);
    expect(select(tasks, 'open bench')[0]!.how).match(/seat is brittle: warm it/);
    const [closing] = select(tasks, 'close bench');
    expect(closing!.title).match(/^Glue it in/);
    expect(closing!.because).match(/Glued, not snapped in/);
  });

  it('stays in where a sound part would be taken out, and comes last where it must', () => {
    const question = (findings: ReturnType<typeof makeFinding>[], wish?: 'open') => ({
      scope: 'full' as const,
      decisions: {},
      parts: [
        makePart('body', { coats: [makeCoat('colour')] }),
        makePart('grille', { role: 'trim', material: 'hard plastic', findings }),
        makePart('lamp', { role: 'trim', material: 'hard plastic' }),
      ],
      joints: ['grille', 'lamp'].map((key) => ({
        ...makeJoint(key, 'snap', ['body', key]),
        ways: [{ ...makeJoint(key, 'snap', []).way, minutes: 4, risk: 0.1 }],
        ...(wish ? { wish } : {}),
      })),
    });
    const opened = (findings: ReturnType<typeof makeFinding>[], wish?: 'open') =>
      chooseOpening(question(findings, wish)).opening.map((joint) => joint.key);
    expect(opened([])).deep.equal(['grille', 'lamp']);
    expect(opened([makeFinding('brittle')])).deep.equal(['lamp']);
    expect(opened([makeFinding('brittle')], 'open')).deep.equal(['lamp', 'grille']);
  });
});

describe('a part that is kept as it is', () => {
  const kept = withPart('base', { isKept: true, coats: [], leftOff: ['black'], findings: [makeFinding('cracked')] });

  it('is dusted and covered, and nothing else is done to it', () => {
    const tasks = planOf(kept).filter((task) => task.partKeys[0] === 'base' && task.station !== 'open');
    expect(tasks.map((task) => task.act).filter((act) => !['trial-fit', 'check', 'close'].includes(act))).deep.equal([
      'keep',
      'clean',
      'fit',
    ]);
    expect(select(planOf(kept), 'keep base')[0]!.title).equal('Dust the base and leave it as it is');
  });

  it('is told where coats were planned for it', () => {
    const plan = compilePlan(kept);
    expect(plan.kind === 'plan' && plan.notices.map((one) => one.words)).include(
      'The base is kept as it is: black planned for it is left off.',
    );
  });

  it('keeps stripper away from what stays joined to it', () => {
    const joined = planOf({
      ...kept,
      opening: [],
      closed: [{ key: 'post', label: 'post', kind: 'rivet post', partKeys: ['body', 'base'] }],
    });
    expect(select(joined, 'strip body')).empty;
    expect(select(joined, 'key body')).length(1);
    expect(select(joined, 'mask base')).length(1);
  });
});
