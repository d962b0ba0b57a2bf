import { expect } from 'chai';
import type { PlanInput } from '../src/compile/planTypes.ts';
import { createLorry, expectFree, expectOrder, planOf, select } from './support/lorry.ts';
import type { makePart } from './support/planWorld.ts';

/*
 * Every order rule as a restorer would say it, on a written model, by what is done to which part. Shares nothing with the
 * table of rules: no tags, no scopes, no codes are asked.
 */

type Case = readonly [why: string, ...chain: string[]];

/** Each chain holds between neighbours. */
const CASES: readonly Case[] = [
  ['the evidence goes with opening and stripping', 'identify', 'open'],
  ['the evidence goes with stripping', 'photograph', 'strip'],
  ['one parcel, and the post runs while paint comes off', 'list-wants', 'order-wants', 'strip'],
  ['ordered, received, tried', 'order-wants', 'get crane', 'trial-fit crane'],
  ['the old colour is gone once stripped', 'capture-colour', 'strip'],
  ['what one material shrugs off destroys another', 'know-materials', 'strip'],
  ['plastic is tried in a hidden spot', 'test seat', 'strip seat'],
  ['the centre is found while the head is whole', 'pilot post', 'open post'],
  ['the tool for tabs is made before they are forced', 'tool', 'open tabs'],
  ['halves do not part at a closed joint', 'open post', 'separate'],
  ['wheels are off before stripper and paint', 'open ends', 'strip body'],
  ['wheels are off before paint', 'open ends', 'prime body'],
  ['plastics are out before stripper', 'meltables-out', 'strip base'],
  ['the new axle lies here before the old one is ground', 'axle-in-hand ends', 'open ends'],
  ['seized, it is oiled before it is forced', 'free axles', 'open ends'],
  ['zinc with pest breaks under drill, in bath and wash', 'pest-check', 'pilot'],
  ['zinc with pest breaks in stripper', 'pest-check', 'strip'],
  ['zinc with pest breaks in heat and clamps', 'pest-check', 'straighten body'],
  ['heated paint gives off fumes; filler does not stand heat', 'strip body', 'straighten body', 'mend body'],
  ['cracks show on clean bare metal', 'strip body', 'wash body', 'inspect body'],
  ['neutral, clean, then a coat', 'wash body', 'degrease body', 'prime body'],
  ['cutting oil and swarf spoil the coat', 'tap post', 'degrease body'],
  ['what was oiled is degreased', 'tap post', 'prime body'],
  ['filed after painting means painting again', 'dry-fit', 'mist'],
  ['bent and unthreaded, nothing can be tried', 'straighten body', 'dry-fit'],
  ['unthreaded, nothing can be tried', 'tap post', 'dry-fit', 'prime'],
  ['a repair is judged under primer', 'mend body', 'prime body', 'judge body', 'colour body outside'],
  ['pits are filled on primer, primed again, then coloured', 'judge body', 'refill body', 'reprime body', 'mist body'],
  ['of two trims the light one first', 'colour body roof', 'colour body line'],
  ['the wet coat holds on the mist', 'mist body outside', 'colour body outside'],
  ['overspray of the inside lands outside', 'colour body inside', 'mist body outside'],
  ['trim over the dry body colour', 'colour body outside', 'colour body roof'],
  ['dust behind fitted glazing stays there', 'clean glazing', 'close window'],
  ['an axle end is formed once', 'check ends', 'close ends'],
  ['forming chips paint', 'close ends', 'touch-in'],
  ['opening the seam tears the decal', 'close', 'decal body doors'],
  ['in the order of the construction', 'close window', 'close bench', 'fit base'],
  ['what catches is put right while it can be reached', 'fit spring', 'try-motion', 'fit base'],
  [
    'a decal lies flat on gloss and is sealed when it lies',
    'colour body outside',
    'gloss body',
    'decal body doors',
    'seal body',
  ],
  ['gloss goes over the trim too', 'colour body roof', 'gloss body'],
  ['wet, it cannot be measured', 'decal-fit body doors', 'decal body doors'],
  ['slow ink takes every finger mark', 'decal body doors', 'chrome body grille'],
  ['slow ink comes after the last handling', 'touch-in', 'chrome body grille'],
  ['glued or pushed in before the base shuts it in', 'close window', 'fit base'],
  ['pushed in before the base shuts it in', 'close bench', 'fit base'],
  ['a gun is tried with water', 'gun-ready', 'mix'],
  ['mixed before the part is in the hand', 'mix maroon', 'mist body outside'],
  ['paint dries in the nozzle', 'colour', 'clean-gun'],
  ['everything, then the photographs for the record', 'chrome body grille', 'sign-off-photos'],
];

describe('the order of a lorry, step by step', () => {
  const tasks = planOf(createLorry());
  for (const [why, ...chain] of CASES)
    it(`${chain.join(', then ')}: ${why}`, () => {
      for (let i = 1; i < chain.length; i++) expectOrder(tasks, chain[i - 1]!, chain[i]!);
    });

  it('mixes a paint when its turn comes, and rinses the gun between two', () => {
    const seqOf = (words: string) => select(tasks, words).map((task) => task.seq);
    const first = (words: string) => Math.min(...seqOf(words));
    expect(select(tasks, 'rinse-gun').map((task) => task.of.colour)).deep.equal([
      'grey primer',
      'maroon',
      'black',
      'cream',
      'black',
    ]);
    // Black is on the base and on a line of the body; the clear coat goes in last.
    expect(first('rinse-gun maroon')).greaterThan(Math.max(...seqOf('colour body inside'), ...seqOf('colour seat')));
    expect(first('mix cream')).greaterThan(first('mist body outside'));
    for (const colour of ['maroon', 'black', 'cream'])
      expect(
        seqOf(`mix ${colour}`).every(
          (seq) =>
            seq <
            Math.min(
              ...tasks.filter((task) => task.act === 'colour' && task.colours.includes(colour)).map((task) => task.seq),
            ),
        ),
      ).equal(true);
  });

  it('forces nothing that only stands side by side: two halves are primed in any order', () => {
    expectFree(tasks, 'prime body', 'prime base');
    expectFree(tasks, 'prime base', 'prime body');
  });
});

describe('the order where somebody works otherwise', () => {
  const lorryWith = (decisions: PlanInput['decisions'], changes: Partial<PlanInput> = {}) =>
    planOf(createLorry({ decisions, ...changes }));
  const changePart = (key: string, changes: Parameters<typeof makePart>[1]): Partial<PlanInput> => {
    const { parts } = createLorry();
    return { parts: parts.map((part) => (part.key === key ? { ...part, ...changes } : part)) };
  };

  it('needs no pilot hole before a big bit', () => {
    expect(select(lorryWith({ S3: 'big bit first' }), 'pilot')).empty;
  });

  it('does not wait for wheels that are left on and masked', () => {
    const { parts, opening } = createLorry();
    const metal = {
      parts: parts
        .filter((part) => ['body', 'base', 'wheels', 'axles'].includes(part.key))
        .map((part) => ({ ...part, material: 'zinc alloy' as const, findings: [] })),
      opening: opening.filter((joint) => joint.key === 'ends'),
    };
    expectFree(lorryWith({ S4: 'leave and mask' }, metal), 'open ends', 'strip body');
    expectOrder(lorryWith({}, metal), 'open ends', 'strip body');
  });

  it('anneals a bare steel axle before it is crimped flat, with wheels and plastics out', () => {
    const tasks = lorryWith({ S5: 'crimp flat' });
    expectOrder(tasks, 'open ends', 'anneal');
    expectOrder(tasks, 'meltables-out', 'anneal');
    expectOrder(tasks, 'anneal', 'close ends');
    expect(select(lorryWith({}), 'anneal')).empty;
  });

  it('takes two trims as they come when covering power or masking decides', () => {
    for (const S8 of ['by covering power', 'by masking effort'] as const) {
      const tasks = lorryWith({ S8 });
      expectFree(tasks, 'colour body roof', 'colour body line');
      expectFree(tasks, 'colour body line', 'colour body roof');
    }
  });

  it('lets lettering go without clear when none is wanted', () => {
    const tasks = lorryWith({ S13: 'none' });
    expect([...select(tasks, 'gloss'), ...select(tasks, 'seal')]).empty;
    expectOrder(tasks, 'close', 'decal body doors');
  });

  it('gases the casting out, powders, clears the relief, cures, and glues only then', () => {
    const tasks = lorryWith({ S6: 'powder' }, changePart('body', { findings: [] }));
    expectOrder(tasks, 'degrease body', 'empty-bake body');
    expectOrder(tasks, 'empty-bake body', 'powder body');
    expectOrder(tasks, 'powder body', 'clear-relief body');
    expectOrder(tasks, 'clear-relief body', 'cure body');
    expectOrder(tasks, 'cure body', 'colour body roof');
    expect(select(tasks, 'prime body')).empty;
  });

  it('bakes low when all coats of the part are on, in an oven', () => {
    const tasks = lorryWith({ S19: 'low bake' });
    expectOrder(tasks, 'colour base outside', 'low-bake base');
    for (const task of select(tasks, 'low-bake')) {
      expect(task.needs.tools).include('oven');
      expect(task.hazards).not.empty;
    }
    expect(select(lorryWith({}), 'low-bake')).empty;
  });

  it('blasts only what came off wet', () => {
    const tasks = lorryWith({ S11: 'blast' });
    expectOrder(tasks, 'strip body', 'blast body');
    expectOrder(tasks, 'blast body', 'inspect body');
  });

  it('shakes the brush out, dusts, then looks in raking light, and does no more to what is only cleaned', () => {
    const tasks = planOf(createLorry({ scope: 'clean only' }));
    expectOrder(tasks, 'identify', 'dust');
    expectOrder(tasks, 'photograph', 'dust');
    expectOrder(tasks, 'pest-check', 'dust');
    expectOrder(tasks, 'brush-ready', 'dust');
    expectOrder(tasks, 'dust', 'raking-light');
  });

  it('covers what is painted beside another colour when it is clean and its primer holds', () => {
    const { parts, opening } = createLorry();
    const closed = opening.filter((joint) => joint.key === 'post');
    const joined = { parts: parts.filter((part) => part.key === 'body' || part.key === 'base'), closed, opening: [] };
    const tasks = planOf(createLorry(joined));
    const [mask] = select(tasks, 'mask');
    const [covered, beside] = mask!.partKeys;
    expectOrder(tasks, `degrease ${covered}`, 'mask');
    expectOrder(tasks, `judge ${covered}`, 'mask');
    expectOrder(tasks, 'mask', `colour ${beside} outside`);
  });

  it('takes a rejected coat off before the part is degreased and painted again', () => {
    const { parts } = createLorry();
    const base = parts.find((part) => part.key === 'base')!;
    const rejected = [
      { layerId: 'l1', areaName: 'outside', kind: 'colour' as const, name: 'black', because: 'runs', isOff: false },
    ];
    const tasks = planOf(createLorry(changePart('base', { done: { ...base.done, finish: 'sprayed', rejected } })));
    expectOrder(tasks, 'take-off base', 'degrease base');
    expectOrder(tasks, 'degrease base', 'colour base outside');
  });

  it('touches in what bent tabs chip, though no axle was formed', () => {
    const { opening } = createLorry();
    const tasks = planOf(createLorry({ opening: opening.filter((joint) => joint.key === 'tabs') }));
    expectOrder(tasks, 'close tabs', 'touch-in');
    const none = planOf(createLorry({ opening: opening.filter((joint) => joint.key === 'window') }));
    expect(select(none, 'touch-in')).empty;
  });

  it('primes bare zinc within a day of degreasing', () => {
    const prime = select(lorryWith({}), 'prime body')[0]!;
    const degrease = select(lorryWith({}), 'degrease body')[0]!;
    expect(prime.after.find((link) => link.key === degrease.key)!.latestMin).equal(1440);
  });
});
