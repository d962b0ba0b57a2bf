import { expect } from 'chai';
import { createPlainModel, makeCoat, makePart } from './support/planWorld.ts';
import { expectOrder, planOf, select } from './support/lorry.ts';
import { NOTHING_DONE } from '../src/facts/selectPartDone.ts';
import type { PlanInput } from '../src/compile/planTypes.ts';
import type { PlanPart } from '../src/facts/specimenFacts.ts';

const RED = makeCoat('colour', { name: 'red', colourHex: '#9a2020' });
const BLACK = makeCoat('colour', { name: 'black', colourHex: '#111111' });
const half = (key: string, colour = RED, changes: Partial<PlanPart> = {}) =>
  makePart(key, { role: key === 'base' ? 'base' : 'body', painted: true, coats: [colour], ...changes });
const powdered = (parts: readonly PlanPart[], changes: Partial<PlanInput> = {}) =>
  createPlainModel({ parts, opening: [], decisions: { S6: 'powder' }, ...changes });
const keysOf = (input: PlanInput, act: string) => select(planOf(input), act).map((task) => task.partKeys.join('+'));

describe('powder, by hand', () => {
  it('shares one empty run among all parts, and one cure among those of one colour', () => {
    const two = powdered([half('body'), half('base')]);
    expect(keysOf(two, 'empty-bake')).deep.equal(['body+base']);
    expect(keysOf(two, 'cure')).deep.equal(['body+base']);
    const other = powdered([half('body'), half('base', BLACK)]);
    expect(keysOf(other, 'empty-bake')).deep.equal(['body+base']);
    expect(keysOf(other, 'cure')).deep.equal(['body', 'base']);
    // Powder itself goes on part by part, and each is logged.
    expect(keysOf(two, 'powder')).deep.equal(['body', 'base']);
  });

  it('asks for no run that a part has behind it: one that came late gets its own', () => {
    const late = powdered([
      half('body', RED, {
        done: { ...NOTHING_DONE, finish: 'powdered', stripped: 'gel', shared: ['empty-bake', 'cure'] },
      }),
      half('base'),
    ]);
    expect(keysOf(late, 'empty-bake')).deep.equal(['base']);
    expect(keysOf(late, 'cure')).deep.equal(['base']);
  });

  it('wipes once more after the empty bake, and looks relief and lettering over after the cure', () => {
    const plan = planOf(powdered([half('body')]));
    for (const [first, then] of [
      ['degrease body', 'empty-bake body'],
      ['empty-bake body', 'wipe-again body'],
      ['wipe-again body', 'powder body'],
      ['powder body', 'clear-relief body'],
      ['clear-relief body', 'cure body'],
      ['cure body', 'look-cured body'],
    ] as const)
      expectOrder(plan, first, then);
    expect(select(plan, 'look-cured body')[0]!.title).match(/relief, lettering/);
  });

  it('is not forbidden by an old decal that comes off with the paint; one that stays forbids it', () => {
    const decal = half('body', RED, { found: ['colour', 'decal'] });
    expect(keysOf(powdered([decal]), 'powder')).deep.equal(['body']);
    // Nothing strips a part that carries a decal and no paint: it would go into the oven with it.
    const bare = half('body', RED, { painted: false, found: ['decal'] });
    expect(keysOf(powdered([bare]), 'powder')).deep.equal([]);
  });
});
