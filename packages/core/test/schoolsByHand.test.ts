import { expect } from 'chai';
import { isInForce, ORDER_RULES, type OrderRule } from '../src/compile/orderRules.ts';
import type { PlannedTask } from '../src/compile/planTypes.ts';
import type { Decisions } from '../src/model/school.ts';
import { chooseOpening } from '../src/opening/chooseOpening.ts';
import { createOpeningQuestion } from '../src/opening/openingQuestion.ts';
import { createLorry, planOf, select } from './support/lorry.ts';
import { makeFinding, makeWant, makeWay } from './support/planWorld.ts';

/*
 * Every school on the same lorry, as somebody who works that way would check it: what is there, what is not, what it says.
 * Shares nothing with the table of schools.
 */

const lorry = (decisions: Decisions, clean = false) =>
  planOf(createLorry({ decisions, ...(clean ? { scope: 'clean only' as const } : {}) }));
const only = (tasks: readonly PlannedTask[], words: string): PlannedTask => {
  const found = select(tasks, words);
  expect(found, words).length(1);
  return found[0]!;
};
const textOf = ({ title, how, because }: PlannedTask) => `${title} ${how} ${because}`;
const suppliesOf = (task: PlannedTask) => task.uses.map((use) => use.what);
const partsOf = (tasks: readonly PlannedTask[], act: string) => select(tasks, act).map((task) => task.partKeys[0]);

describe('each school, as who works so would check it', () => {
  it('parting lines: left, dressed where they show, or everywhere', () => {
    expect(partsOf(lorry({}), 'dress-lines')).deep.equal([]);
    expect(partsOf(lorry({ S1: 'dress what shows' }), 'dress-lines')).deep.equal(['body']);
    expect(partsOf(lorry({ S1: 'dress all' }), 'dress-lines')).have.members(['body', 'base']);
  });

  it('closing the posts: tapped, or a false head glued on and no thread', () => {
    expect(suppliesOf(only(lorry({}), 'tap post'))).include('closing screw');
    expect(only(lorry({}), 'close post').how).include('Screw in by hand');
    const glued = lorry({ S2: 'glued false rivet' });
    expect(select(glued, 'tap')).empty;
    expect(suppliesOf(only(glued, 'close post'))).include('gel adhesive');
  });

  it('closing the posts: one screw, and false heads on the others', () => {
    const two = createLorry({ decisions: { S2: 'one screw and false heads' } });
    const rear = { ...two.opening[0]!, key: 'rear', label: 'rear' };
    const tasks = planOf({ ...two, opening: [...two.opening, rear] });
    expect(select(tasks, 'tap')).length(1);
    expect(['post', 'rear'].filter((key) => only(tasks, `close ${key}`).title.includes('false rivet'))).length(1);
  });

  it('opening a rivet: a pilot, a bit as wide as the head, or a cutter', () => {
    expect(select(lorry({}), 'pilot')).length(1);
    for (const [S3, words] of [
      ['big bit first', 'bit as wide as'],
      ['deburring cutter', 'cutter'],
    ] as const) {
      expect(select(lorry({ S3 }), 'pilot')).empty;
      expect(only(lorry({ S3 }), 'open post').how).include(words);
    }
  });

  it('axles: ground, pulled, cut or lifted where the joint offers that, or left in', () => {
    const ways = (['grind one head', 'pull', 'cut through', 'lift out'] as const).map((option) =>
      makeWay({ key: option, label: option, tool: 'hand', school: { key: 'S4', option } }),
    );
    const wayFor = (S4: Decisions['S4']) => {
      const facts = createLorry({ decisions: S4 ? { S4 } : {} });
      const joint = { key: 'ends', label: 'ends', kind: 'formed axle' as const, partKeys: ['base', 'axles', 'wheels'] };
      const { opening } = chooseOpening(createOpeningQuestion({ ...facts, joints: [{ ...joint, ways }] }));
      return opening.map((one) => one.way.key);
    };
    expect(wayFor(undefined)).deep.equal(['grind one head']);
    for (const option of ['pull', 'cut through', 'lift out'] as const) expect(wayFor(option)).deep.equal([option]);
    expect(wayFor('leave and mask')).deep.equal([]);
  });

  it('axle ends: each in its own way, with its own tool; crimped flat they are annealed', () => {
    const tools = new Map(
      (
        [
          'cupped punch in a press',
          'ground screw in a hand drill',
          'hammer on a dimple',
          'crimp flat',
          'hub hammered on',
        ] as const
      ).map((S5) => [S5, only(lorry({ S5 }), 'close ends')]),
    );
    expect(suppliesOf(tools.get('cupped punch in a press')!)).deep.equal(['press with a cupped punch']);
    expect(suppliesOf(tools.get('ground screw in a hand drill')!)).include('bench drill');
    expect(tools.get('hammer on a dimple')!.how).include('dimple');
    expect(suppliesOf(tools.get('crimp flat')!)).deep.equal(['smooth-jawed locking pliers']);
    expect(tools.get('hub hammered on')!.how).include('hub');
    expect(select(lorry({ S5: 'crimp flat' }), 'anneal')).length(1);
  });

  it('putting paint on: gun or can; a can leaves no gun to clean', () => {
    expect(suppliesOf(only(lorry({}), 'gun-ready'))).include('airbrush');
    expect(select(lorry({}), 'clean-gun')).length(1);
    const cans = lorry({ S6: 'spray can' });
    expect(suppliesOf(only(cans, 'gun-ready'))).not.include('airbrush');
    expect(select(cans, 'clean-gun')).empty;
    for (const task of cans) expect(task.needs.tools, task.title).not.include('airbrush');
  });

  it('putting paint on: powder, baked empty first and cured, without primer', () => {
    const { parts } = createLorry();
    const whole = parts.map((part) => (part.key === 'body' ? { ...part, findings: [] } : part));
    const tasks = planOf(createLorry({ decisions: { S6: 'powder' }, parts: whole }));
    for (const act of ['powder', 'clear-relief', 'look-cured'])
      expect(partsOf(tasks, act)).have.members(['body', 'base']);
    // The oven is shared; two colours are cured one after the other.
    expect(select(tasks, 'empty-bake')[0]!.partKeys).deep.equal(['body', 'base']);
    expect(partsOf(tasks, 'cure')).have.members(['body', 'base']);
    expect(partsOf(tasks, 'prime')).deep.equal([]);
    for (const task of select(tasks, 'cure')) expect(task.needs.tools).include('oven');
  });

  it('brightwork: silver with the other trim, chrome ink last of all', () => {
    const { parts } = createLorry();
    const plain = parts.map((part) => ({
      ...part,
      coats: part.coats.map((coat) => (coat.kind === 'brightwork' ? { ...coat, dries: null } : coat)),
    }));
    const acts = (S7: Decisions['S7']) => {
      const tasks = planOf(createLorry({ decisions: S7 ? { S7 } : {}, parts: plain }));
      return [select(tasks, 'bright').length, select(tasks, 'chrome').length];
    };
    expect(acts(undefined)).deep.equal([1, 0]);
    expect(acts('silver by brush')).deep.equal([1, 0]);
    expect(acts('chrome ink')).deep.equal([0, 1]);
  });

  it('two colours: only “light to dark” lets the cream roof go before the black line', () => {
    const waits = (S8: Decisions['S8']) =>
      only(lorry(S8 ? { S8 } : {}), 'colour body line').because.includes('dark covers light') ||
      only(lorry(S8 ? { S8 } : {}), 'colour body line').after.some((link) =>
        link.because.startsWith('dark covers light'),
      );
    expect(waits(undefined)).equal(true);
    expect(waits('by masking effort')).equal(false);
    expect(waits('by covering power')).equal(false);
  });

  it('mixing, what to match, and getting a part: told where it is done', () => {
    for (const [S9, words] of [
      ['from the light end', 'light end'],
      ['from the nearest shelf colour', 'nearest shelf colour'],
      ['correcting with a third hue', 'third hue'],
    ] as const)
      expect(textOf(only(lorry({ S9 }), 'mix maroon'))).include(words);
    for (const S10 of ['the issue', 'the real vehicle', 'nearest stock', 'taste'] as const)
      expect(textOf(only(lorry({ S10 }), 'mix maroon'))).include(S10);
    for (const S15 of ['donor', 'buy', 'print', 'make', 'glue'] as const)
      expect(textOf(only(lorry({ S15 }), 'order-wants'))).include(S15);
  });

  it('stripping: on the body as chosen, in a bath of its own kind or by hand, and blasting after gel', () => {
    for (const [S11, bath] of [
      ['gel', null],
      ['dip', 'dip stripper'],
      ['caustic', 'caustic'],
      ['mild slow', 'glycol-ether fluid'],
    ] as const) {
      const strip = only(lorry({ S11 }), 'strip body');
      expect(strip.method).equal(S11);
      expect(strip.needs.bath).equal(bath);
    }
    const blasted = lorry({ S11: 'blast' });
    expect(only(blasted, 'strip body').method).equal('gel');
    expect(only(blasted, 'blast body').method).equal('blast');
  });

  it('primer: thin, white, grey or thick enough to smooth', () => {
    for (const [S12, words] of [
      ['thin light grey', 'One thin coat'],
      ['thin white', 'thin white'],
      ['grey', 'of grey'],
      ['thicker to smooth', 'Two coats'],
    ] as const)
      expect(only(lorry({ S12 }), 'prime body').how).include(words);
  });

  it('clear coat: gloss under the decal and sealed over it, only sealed, or none', () => {
    const acts = (S13: Decisions['S13']) =>
      (['gloss', 'seal'] as const).map((act) => select(lorry(S13 ? { S13 } : {}), act).length);
    expect(acts(undefined)).deep.equal([1, 1]);
    expect(acts('matt')).deep.equal([1, 1]);
    expect(acts('seal decals')).deep.equal([0, 1]);
    expect(acts('none')).deep.equal([0, 0]);
    expect(textOf(only(lorry({ S13: 'semi-gloss' }), 'gloss'))).include('semi-gloss');
  });

  it('wheels: painted, stained or dipped; patina leaves them', () => {
    for (const S14 of ['repaint', 'stain', 'polish dip'] as const)
      expect(only(lorry({ S14 }), 'wheels').method).equal(S14);
    expect(select(lorry({ S14: 'patina' }), 'wheels')).empty;
  });

  it('cracks: as chosen; pits on the primer only where that is the way', () => {
    for (const [S16, method] of [
      ['gel', 'gel'],
      ['resin', 'resin'],
      ['glue and powder', 'glue and powder'],
    ] as const) {
      expect(only(lorry({ S16 }), 'mend body').method).equal(method);
      expect(select(lorry({ S16 }), 'refill')).empty;
    }
    expect(select(lorry({ S16: 'filler on primer' }), 'refill')).length(1);
    // Zinc is not soldered, whoever likes to.
    expect(only(lorry({ S16: 'solder' }), 'mend body').method).not.equal('solder');
  });

  it('straightening: warm with a probe, or cold and no flame', () => {
    expect(only(lorry({}), 'straighten body').hazards).include('hot-air');
    const cold = only(lorry({ S17: 'cold squeeze' }), 'straighten body');
    expect(cold.method).equal('cold');
    expect(cold.hazards).not.include('hot-air');
    expect(cold.needs.air).equal(null);
  });

  it('plastics: soap, glycol-ether or thinner on the seat', () => {
    expect(only(lorry({ S18: 'glycol-ether' }), 'strip seat').method).equal('glycol-ether');
    expect(only(lorry({ S18: 'thinner wipe' }), 'strip seat').method).equal('thinner wipe');
    expect(suppliesOf(only(lorry({ S18: 'thinner wipe' }), 'strip seat'))).include('thinner');
  });

  it('drying: in the air, or baked low as far as the glue in it stands', () => {
    expect(select(lorry({}), 'low-bake')).empty;
    expect(partsOf(lorry({ S19: 'low bake' }), 'low-bake')).have.members(['body', 'base']);
    expect(only(lorry({ S19: 'low bake' }), 'low-bake body').how).include('cyanoacrylate bond');
    expect(only(lorry({ S19: 'low bake' }), 'low-bake base').how).not.include('weakest');
  });

  it('decals: setting fluid is asked for only by who uses it', () => {
    expect(suppliesOf(only(lorry({}), 'decal'))).deep.equal(['decal set']);
    expect(suppliesOf(only(lorry({ S20: 'setting fluid' }), 'decal'))).include('setting fluid');
    expect(only(lorry({ S20: 'one set' }), 'decal').uses[0]!.amount).equal(1);
    expect(only(lorry({}), 'decal').uses[0]!.amount).equal(2);
  });

  it('holding: by a hidden spot, or on a pick', () => {
    expect(only(lorry({}), 'degrease body').how).include('a place nobody sees');
    expect(only(lorry({ S21: 'pick through the axle hole' }), 'degrease body').how).include('pick through');
  });

  it('end state: pits of the factory stay where its flaws are kept; honest wear keeps old paint that nobody paints over', () => {
    expect(select(lorry({ S22: 'factory flaws kept' }), 'refill')).empty;
    const { parts } = createLorry();
    const worn = parts.map((part) => (part.key === 'base' ? { ...part, coats: [] } : part));
    expect(partsOf(planOf(createLorry({ parts: worn })), 'strip')).include('base');
    const kept = planOf(createLorry({ parts: worn, decisions: { S22: 'honest wear' } }));
    expect(partsOf(kept, 'strip')).deep.equal(['body', 'seat']);
  });

  it('cleaning finished models: gloves or bare hands, brush or cloth on clear parts', () => {
    const dust = (S23: Decisions['S23']) => only(lorry(S23 ? { S23 } : {}, true), 'dust');
    expect(dust(undefined).how).match(/glove/i);
    expect(dust('bare hands').how).match(/bare/i);
    expect(dust('cloth on clear parts').how).match(/cloth/i);
    expect(
      new Set([undefined, 'bare hands', 'cloth on clear parts'].map((one) => dust(one as Decisions['S23']).how)).size,
    ).equal(3);
  });
});

describe('what a survey says, in the opening', () => {
  const openedFor = (changes: Parameters<typeof makeFinding>[1] | null, want?: 'open' | 'waived') => {
    const facts = createLorry();
    const parts = facts.parts
      .filter((part) => ['body', 'glazing'].includes(part.key))
      .map((part) => ({
        ...part,
        painted: false,
        coats: [],
        findings: part.key === 'glazing' && changes ? [makeFinding('scuffed', changes)] : [],
        state: want && part.key === 'glazing' ? ('damaged' as const) : ('sound' as const),
        newPart: want === 'open' && part.key === 'glazing' ? { isHere: false, origin: null } : null,
        wants: want && part.key === 'glazing' ? [makeWant('w', { state: want })] : [],
      }));
    const joints = facts.opening
      .filter((joint) => joint.key === 'window')
      .map(({ way, ...joint }) => ({ ...joint, ways: [{ ...way, behindJoints: [] }] }));
    return chooseOpening(createOpeningQuestion({ ...facts, parts, joints })).opening.length;
  };

  it('takes a window out to polish it when it is badly scuffed, not for a trace', () => {
    expect(openedFor({ severity: 1 })).equal(0);
    expect(openedFor({ severity: 2 })).equal(1);
  });

  it('takes a broken window out when a new one is wanted, not when that is waived', () => {
    expect(openedFor(null, 'open')).equal(1);
    expect(openedFor(null, 'waived')).equal(0);
  });
});

describe('what is said for safety', () => {
  it('hangs on no school', () => {
    for (const rule of ORDER_RULES.filter(({ safety }) => safety)) {
      expect(rule, rule.id).not.have.property('onlyWith');
      expect(rule, rule.id).not.have.property('notWith');
    }
    const [rule] = ORDER_RULES.filter(({ safety }) => safety);
    const { safety, ...tied } = { ...rule!, onlyWith: { key: 'S6', option: 'powder' } } as OrderRule;
    expect(isInForce({ ...tied, safety: safety! }, {}), 'even where somebody ties it to one').equal(true);
    expect(isInForce(tied, {})).equal(false);
  });
});
