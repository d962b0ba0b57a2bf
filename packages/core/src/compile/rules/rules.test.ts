import { expect } from 'chai';
import {
  createPlainModel,
  createTasks,
  makeCoat,
  makeFinding,
  makeJoint,
  makePart,
  makeWant,
} from '../../../test/support/planWorld.ts';
import { compilePlan } from '../compilePlan.ts';
import { listSupplies, type SuppliedTask } from '../../supply/listSupplies.ts';
import type { PlanPart } from '../../facts/specimenFacts.ts';
import type { PlanInput } from '../planTypes.ts';
import { SUPPLIES } from '../../model/supply.ts';
import { beginBits } from '../../model/wantBits.ts';
import { PLAN_RULES } from './planRules.ts';

const COLOUR = [makeCoat('primer'), makeCoat('colour')];

const planFor = (parts: readonly PlanPart[], changes: Partial<PlanInput> = {}) => {
  const plan = compilePlan(createPlainModel({ parts, opening: [], ...changes }));
  if (plan.kind !== 'plan') throw new Error(plan.because);
  const keys = plan.tasks.map((task) => task.key);
  const find = (key: string) => {
    const task = plan.tasks.find((one) => one.key === key);
    if (!task) throw new Error(`There is no ${key} among ${keys.join(', ')}`);
    return task;
  };
  return { keys, find, notices: plan.notices.map((notice) => notice.words), plan };
};

describe('plan rules', () => {
  it('have names of their own, say when, and serve something that is written down', () => {
    expect(new Set(PLAN_RULES.map((rule) => rule.id)).size).equal(PLAN_RULES.length);
    for (const rule of PLAN_RULES) {
      expect(rule.when.length, rule.id).greaterThan(5);
      expect(rule.serves, rule.id).not.empty;
      for (const one of rule.serves)
        expect(one, rule.id).match(/^(O([1-9]|[12]\d|3[0-8])|S([1-9]|1\d|2[0-4])|N([1-9]|[1-5]\d|6[0-3]))$/);
    }
  });

  it('serve all 38 order rules and all 24 schools between them', () => {
    const served = new Set(PLAN_RULES.flatMap((rule) => rule.serves));
    const wanted = [
      ...Array.from({ length: 38 }, (_, i) => `O${i + 1}`),
      ...Array.from({ length: 24 }, (_, i) => `S${i + 1}`),
    ];
    expect(wanted.filter((one) => !served.has(one))).deep.equal([]);
  });

  it('ask for every supply that is known, and for none that is not', () => {
    const asked = new Set(createTasks(createPlainModel()).flatMap((task) => (task.uses ?? []).map((use) => use.what)));
    for (const what of asked) expect(Object.keys(SUPPLIES)).include(what);
  });
});

describe('paint off', () => {
  const body = makePart('body', { painted: true, found: ['primer', 'colour', 'colour'], coats: COLOUR });

  it('still blasts when the wet stripping is logged, and no more when the school is another one', () => {
    const bare = { ...body, done: { ...body.done, stripped: 'gel' as const } };
    expect(planFor([bare], { decisions: { S11: 'blast' } }).keys).include.members([
      'strip:body',
      'wash:body',
      'blast:body',
    ]);
    expect(planFor([bare], { decisions: { S11: 'gel' } }).keys).not.include('blast:body');
  });

  it('blasts only what was stripped wet and washed before (O38)', () => {
    const { keys, find } = planFor([body], { decisions: { S11: 'blast' } });
    expect(find('strip:body').title).equal('Brush gel stripper on the body');
    expect(keys.indexOf('strip:body')).lessThan(keys.indexOf('wash:body'));
    expect(keys.indexOf('wash:body')).lessThan(keys.indexOf('blast:body'));
    expect(keys.indexOf('blast:body')).lessThan(keys.indexOf('inspect:body'));
    expect(find('blast:body').because).include('its paint may hold lead');
  });

  it('says how many passes to expect, and which method a step has', () => {
    const { find } = planFor([body]);
    expect(find('strip:body').how).include('3 layers: about 3 passes');
    expect(find('strip:body').method).equal('gel');
    for (const [option, method] of [
      ['caustic', 'caustic'],
      ['mild slow', 'mild slow'],
      ['dip', 'dip'],
    ] as const)
      expect(planFor([body], { decisions: { S11: option } }).find('strip:body').method).equal(method);
    expect(find('wash:body').method).equal(null);
  });

  it('says why it is not what the school says', () => {
    const lead = makePart('body', { ...body, material: 'lead alloy' });
    expect(planFor([lead], { decisions: { S11: 'caustic' } }).find('strip:body').because).include(
      'Not caustic: lead alloy: caustic dissolves lead and tin',
    );
  });

  it('tries every plastic on a hidden spot first, and keys what nothing may strip', () => {
    const seat = makePart('seat', { role: 'interior', material: 'hard plastic', painted: true, coats: COLOUR });
    const { keys, find } = planFor([seat], { decisions: { S18: 'glycol-ether' } });
    expect(keys.indexOf('test:seat')).lessThan(keys.indexOf('strip:seat'));
    expect(find('strip:seat').process).equal('glycol-ether fluid');
    const hard = planFor([makePart('seat', { ...seat, material: 'polycarbonate' })]);
    expect(hard.keys).include('key:seat').not.include('strip:seat');
    expect(hard.find('key:seat').because).include('Nothing may take its paint off');
  });

  it('leaves plastic its own paint unless something lies over it or goes on', () => {
    const seat = makePart('seat', { role: 'interior', material: 'hard plastic', painted: true });
    expect(planFor([seat]).keys)
      .include('soap:seat')
      .not.include('strip:seat');
    expect(planFor([makePart('seat', { ...seat, findings: [makeFinding('overpaint')] })]).keys).include('strip:seat');
  });

  it('keeps the wear where the school says so: cleaned, not stripped', () => {
    const worn = makePart('roof', { painted: true, role: 'trim' });
    const { keys } = planFor([body, worn], { decisions: { S22: 'honest wear' } });
    expect(keys).include('keep:roof').include('strip:body').not.include('strip:roof');
  });

  it('takes plating off alone, after a drop on a hidden spot, and washes no plating that goes', () => {
    const trim = makePart('trim', {
      role: 'trim',
      material: 'vacuum-plated plastic',
      found: ['plating'],
      coats: COLOUR,
    });
    const { keys, find } = planFor([trim]);
    expect(keys.indexOf('plating-test:trim')).lessThan(keys.indexOf('plating-off:trim'));
    expect(keys.indexOf('plating-off:trim')).lessThan(keys.indexOf('plating-rinse:trim'));
    expect(keys).not.include('soap:trim');
    expect(find('plating-off:trim')).deep.include({ process: 'caustic bath', cannotBeUndone: 'the plating' });
    const joined = planFor([trim, makePart('base', { material: 'hard plastic' })], {
      closed: [{ key: 'c', label: 'c', kind: 'snap', partKeys: ['trim', 'base'] }],
    });
    expect(joined.keys).not.include('plating-off:trim');
  });
});

describe('mending', () => {
  it('solders a bracket that is adrift in bare metal, before the paint, and masks what is not painted', () => {
    const parts = [
      makePart('trim', { role: 'trim', material: 'tinplate', painted: true, coats: COLOUR }),
      makePart('lamp', { role: 'trim', material: 'brass', findings: [makeFinding('broken')] }),
    ];
    const { keys, find } = planFor(parts, {
      opening: [makeJoint('bracket', 'solder', ['trim', 'lamp'], { tool: 'iron' })],
    });
    expect(find('close:bracket')).deep.include({ station: 'strip', process: 'soldering' });
    expect(keys.indexOf('close:bracket')).lessThan(keys.indexOf('degrease:trim'));
    expect(keys).include('mask:lamp').not.include('mend:lamp');
  });

  it('glues what does not stand the iron, with a glue that fogs nothing where it is clear', () => {
    const lead = [makePart('body', { material: 'lead alloy' }), makePart('lamp', { material: 'brass' })];
    const bracket = planFor(lead, { opening: [makeJoint('b', 'solder', ['body', 'lamp'])] }).find('close:b');
    expect(bracket.title).equal('Glue it in: b');
    expect(bracket.hazards).deep.equal(['cyanoacrylate']);
    const clear = [makePart('body'), makePart('glazing', { role: 'glazing', material: 'clear styrene' })];
    const glued = planFor(clear, { opening: [makeJoint('g', 'glue', ['body', 'glazing'])] }).find('close:g');
    expect(glued.how).include('white glue');
    expect(glued.hazards).deep.equal([]);
  });

  it('fills pits on the primer and primes again (O18), and leaves the factory’s where they are kept', () => {
    const body = makePart('body', { coats: COLOUR, findings: [makeFinding('pitted')] });
    const { keys } = planFor([body]);
    const order = ['prime:body', 'judge:body', 'refill:body', 'reprime:body', 'colour:body:outside'].map((key) =>
      keys.indexOf(key),
    );
    expect(order).deep.equal([...order].sort((a, b) => a - b));
    expect(order[0]).greaterThan(-1);
    expect(planFor([body], { decisions: { S22: 'factory flaws kept' } }).keys).not.include('refill:body');
  });

  it('straightens nothing that keeps its paint, is soldered or joined, and says so', () => {
    const bent = { findings: [makeFinding('bent')] };
    const kept = planFor([makePart('body', { painted: true, ...bent })], { decisions: { S22: 'honest wear' } });
    expect(kept.keys).not.include('straighten:body');
    expect(kept.notices.join()).include('heated paint gives off fumes');
    const lead = planFor([makePart('body', { material: 'lead alloy', ...bent })]);
    expect(lead.find('straighten:body').tags).not.include('heat');
  });

  it('wipes rust with oil where abrasive dust would be poison', () => {
    const rusty = { role: 'axle' as const, findings: [makeFinding('rust')] };
    expect(
      planFor([makePart('axles', { ...rusty, material: 'plated or unknown wire' })]).find('wipe:axles').because,
    ).include('cadmium');
    expect(planFor([makePart('axles', { ...rusty, material: 'steel' })]).find('dress:axles').how).include('180');
  });

  it('renews an earlier repair only where the old paint comes off', () => {
    const repaired = { findings: [makeFinding('earlier repair')] };
    expect(planFor([makePart('body', { painted: true, ...repaired })]).keys).include('mend:body');
    expect(planFor([makePart('body', repaired)]).keys).not.include('mend:body');
  });
});

describe('bakes', () => {
  const body = makePart('body', { coats: COLOUR });

  it('powder: baked empty, powdered, relief cleared, cured, with no primer under it (O19)', () => {
    const { keys, find } = planFor([body], { decisions: { S6: 'powder' } });
    const order = ['degrease:body', 'empty-bake:body', 'powder:body', 'clear-relief:body', 'cure:body'].map((key) =>
      keys.indexOf(key),
    );
    expect(order).deep.equal([...order].sort((a, b) => a - b));
    expect(order[0]).greaterThan(-1);
    expect(keys).not.include('prime:body').not.include('colour:body:outside');
    expect(find('cure:body')).deep.include({ process: 'powder bake', atC: 180, hazards: ['oven'] });
  });

  it('sprays what does not stand the cure, with every reason', () => {
    const { keys, notices } = planFor([makePart('body', { ...body, material: 'tinplate' })], {
      decisions: { S6: 'powder' },
    });
    expect(keys).include('prime:body').not.include('powder:body');
    expect(notices.join()).include(
      'Not baked: the body. Tinplate: the cure is hotter than solder and tin melt. Sprayed instead.',
    );
  });

  it('low: after all coats, at most 60 °C, and on what is mended as its glue stands', () => {
    const { keys, find } = planFor([body], { decisions: { S19: 'low bake' } });
    expect(keys.indexOf('low-bake:body')).greaterThan(keys.indexOf('colour:body:outside'));
    expect(find('low-bake:body').atC).equal(60);
    const mended = planFor([makePart('body', { ...body, findings: [makeFinding('cracked')] })], {
      decisions: { S19: 'low bake' },
    });
    expect(mended.find('low-bake:body').atC).equal(60);
    expect(mended.find('low-bake:body').how).include('The weakest in it is the cyanoacrylate bond');
    const tub = { ...body, material: 'brass' as const, findings: [makeFinding('cracked', { mend: 'solder' })] };
    const soldered = planFor([makePart('body', tub)], {
      decisions: { S19: 'low bake' },
    });
    expect(soldered.keys).not.include('low-bake:body');
    expect(soldered.notices.join()).include('Soft solder');
  });
});

describe('closing and decals', () => {
  const axles = [makePart('base', { role: 'base' }), makePart('axles', { role: 'axle', material: 'steel' })];

  it('anneals bare steel off the model before it is crimped, and never plated wire (O10, O28)', () => {
    const opening = [makeJoint('ends', 'formed axle', ['base', 'axles'], { tool: 'rotary', destroys: 'heads' })];
    const { keys } = planFor(axles, { opening, decisions: { S5: 'crimp flat' } });
    const order = ['open:ends', 'anneal:ends', 'close:ends'].map((key) => keys.indexOf(key));
    expect(order).deep.equal([...order].sort((a, b) => a - b));
    const plated = [axles[0]!, makePart('axles', { role: 'axle', material: 'plated or unknown wire' })];
    expect(planFor(plated, { opening, decisions: { S5: 'crimp flat' } }).keys).not.include('anneal:ends');
  });

  it('sets axles back that were only lifted out: nothing is formed, nothing cannot be undone', () => {
    const { find, keys } = planFor(axles, { opening: [makeJoint('slots', 'formed axle', ['base', 'axles'])] });
    expect(find('close:slots').title).equal('Set the axles back: slots');
    expect(find('close:slots').cannotBeUndone).equal('');
    expect(keys).not.include('check:slots').not.include('axle-in-hand:slots').not.include('touch-in');
  });

  it('clears under a decal, dry-fits it, seals it after a test, as the school says (O32, O33)', () => {
    const body = makePart('body', { coats: [...COLOUR, makeCoat('decal', { areaName: 'crest', name: 'Crest' })] });
    const { keys } = planFor([body]);
    const order = ['colour:body:outside', 'gloss:body', 'decal-fit:body:crest', 'decal:body:crest', 'seal:body'].map(
      (key) => keys.indexOf(key),
    );
    expect(order).deep.equal([...order].sort((a, b) => a - b));
    expect(order[0]).greaterThan(-1);
    expect(planFor([body], { decisions: { S13: 'none' } }).keys)
      .not.include('gloss:body')
      .not.include('seal:body');
    expect(planFor([body], { decisions: { S13: 'seal decals' } }).keys)
      .include('seal:body')
      .not.include('gloss:body');
  });

  it('orders a decal that nobody wants yet, and nothing that is on order', () => {
    const body = makePart('body', { coats: [...COLOUR, makeCoat('decal', { name: 'Crest' })] });
    expect(planFor([body]).find('list-wants').how).include('Crest');
    const ordered = planFor([makePart('door', { state: 'missing', wants: [makeWant('door', { state: 'ordered' })] })]);
    expect(ordered.keys).include('get:door').not.include('order-wants');
  });

  it('lets the post run while paint comes off, and holds up only the fitting (O2)', () => {
    const parts = [
      makePart('body', { painted: true, coats: COLOUR }),
      makePart('glazing', {
        role: 'glazing',
        material: 'clear styrene',
        state: 'damaged',
        wants: [makeWant('glazing', { state: 'ordered' })],
      }),
    ];
    const { find } = planFor(parts, { opening: [makeJoint('seat', 'push fit', ['body', 'glazing'])] });
    const waitsFor = (key: string) => find(key).after.map((link) => link.key);
    expect(waitsFor('strip:body')).not.include('get:glazing');
    expect(waitsFor('trial-fit:glazing')).include('get:glazing');
  });
});

describe('supplies', () => {
  const parts = [
    makePart('body', { painted: true, coats: COLOUR }),
    makePart('door', {
      state: 'missing',
      wants: [makeWant('door', { what: 'a door', bits: beginBits('two hinges'), dueOn: '2026-01-09' })],
    }),
  ];
  const now = new Date('2026-01-01T10:00:00Z');
  const lines = (isDone: (key: string) => boolean = () => false) =>
    listSupplies(
      [
        {
          open: planFor(parts)
            .plan.tasks.filter((task) => !isDone(task.key))
            .map((task) => ({ ...task, id: task.key, irreversible: task.cannotBeUndone !== '' })),
          parts,
        },
      ],
      now,
      120,
    );

  it('sum what the tasks take, what is needed first before the rest, wants with their day, their small bits as lines', () => {
    const [bit, door] = lines().filter(({ kind }) => kind === 'part');
    expect(door).deep.include({ what: 'a door', bit: null, leadDays: 9, isNeededFirst: true });
    expect(bit).deep.include({ what: 'two hinges', wantId: door!.wantId, amount: 1, unit: 'pieces', want: null });
    expect(bit!.bit).deep.equal({ id: 'bit-1', by: 'drawer', thingId: null });
    expect(lines().find((line) => line.what === 'gel stripper')).deep.include({
      amount: 15,
      unit: 'ml',
      isNeededFirst: true,
    });
    expect(lines().find((line) => line.what === 'primer')!.isNeededFirst).equal(false);
    expect(lines().find((line) => line.what === 'airbrush')!.amount).equal(null);
  });

  it('take of paint what the film says of its coats, else as much as is usual', () => {
    const amountOf = (what: string, pour: number | null) => {
      const coats = [makeCoat('primer', { pour }), makeCoat('colour', { pour, coats: 2 }), makeCoat('clear', { pour })];
      const all = [makePart('body', { coats })];
      const open = planFor(all).plan.tasks.map((task) => ({ ...task, id: task.key, irreversible: false }));
      return listSupplies([{ open, parts: all }], now, 120).find((line) => line.what === what)!.amount;
    };
    expect(['primer', 'body colour', 'clear coat'].map((what) => amountOf(what, 1.25))).deep.equal([1.25, 2.5, 1.25]);
    expect(['primer', 'body colour', 'clear coat'].map((what) => amountOf(what, null))).deep.equal([2, 4, 1.5]);
  });

  it('are one line for all who take them: two parts, twice the gel, both steps named', () => {
    const two = ['body', 'base'].map((key) => makePart(key, { painted: true, coats: COLOUR }));
    const open = planFor(two).plan.tasks.map((task) => ({
      ...{ ...task, id: task.key },
      irreversible: task.cannotBeUndone !== '',
    }));
    const all = listSupplies([{ open, parts: two }], now, 120);
    const gel = all.filter((line) => line.what === 'gel stripper');
    expect(gel).length(1);
    expect(gel[0]!.amount).equal(30);
    expect(gel[0]!.tasks.map((task) => task.id)).deep.equal(['strip:body', 'strip:base']);
  });

  it('count gloves by the evenings on which they are worn, not by the step', () => {
    const step = (
      handsOnMin: number,
      passiveMin = 0,
      uses: SuppliedTask['uses'] = [{ what: 'gloves', amount: 1 }],
    ) => ({
      ...{ id: `${handsOnMin}`, act: 'strip' as const, of: {}, title: 'step', irreversible: false, watchedMin: 0 },
      ...{ handsOnMin, passiveMin, uses, colours: [], method: null, partKeys: [] },
    });
    const gloves = (open: readonly SuppliedTask[]) =>
      listSupplies([{ open, parts: [] }], now, 120).find((line) => line.what === 'gloves')!.amount;
    expect(gloves([step(50), step(40), step(30)]), 'one evening').equal(1);
    expect(gloves([step(50), step(40), step(40)]), 'one step more than fits').equal(2);
    expect(gloves([step(10, 720), step(10)]), 'left overnight').equal(2);
    expect(gloves([step(10), step(10, 720, []), step(10, 0, [])]), 'the second evening needs none').equal(1);
  });

  it('leave out what is done', () => {
    expect(lines((key) => key === 'strip:body').some((line) => line.what === 'gel stripper')).equal(false);
    const afterGetting = lines((key) => key === 'get:door').filter((line) => line.kind === 'part');
    expect(
      afterGetting.map(({ what }) => what),
      'bits are wanted until it is tried on',
    ).deep.equal(['two hinges']);
    const fitted = lines((key) => key === 'get:door' || key.startsWith('trial-fit'));
    expect(fitted.some((line) => line.kind === 'part')).equal(false);
  });
});
