import { expect } from 'chai';
import fc from 'fast-check';
import { makeTask } from '../../test/support/planWorld.ts';
import { selectOpenLinks } from '../gates/openLinks.ts';
import type { CoatTouch } from '../model/coatTouch.ts';
import type { Task } from '../model/task.ts';
import type { PaintProduct } from '../model/work.ts';
import type { CoatingLayer } from '../model/workpiece.ts';
import { checkCoat, type CoatAttempt } from './checkCoat.ts';
import { checkKeying } from './checkKeying.ts';
import { dryTasks } from './dryTasks.ts';
import { describeStandingCoats, type DryingRows } from './standingCoats.ts';

const HOUR = 3_600_000;
const NOON = Date.parse('2026-03-14T12:00:00Z');
const at = (hours: number) => new Date(NOON + hours * HOUR);

const enamel: PaintProduct = {
  ...{
    id: 'blue',
    version: 1,
    line: 'Marlstone',
    name: 'Slate blue',
    kind: 'colour',
    binder: 'enamel',
    gloss: 'gloss',
  },
  ...{ colourHex: '#556677', dryFilmUm: 20, flashMin: 20, recoatMin: 1440, cureMin: 10080, minC: 12, maxC: 28 },
  ...{ optics: null, densityGPerMl: 1.1, dropMl: 0.05, pricePerMl: 0.3, drying: null, recipe: null },
};
/** It takes the next coat within a day, then it must be keyed. */
const lacquer: PaintProduct = {
  ...enamel,
  ...{ id: 'grey', name: 'Light grey', kind: 'primer', binder: 'lacquer', recoatMin: 60, cureMin: 1440 },
  drying: {
    refC: 20,
    spans: {
      touch: [{ fromMin: 15, toMin: null }],
      handle: [{ fromMin: 60, toMin: null }],
      mask: [{ fromMin: 240, toMin: null }],
      unmask: [{ fromMin: 10, toMin: null }],
      recoat: [{ fromMin: 60, toMin: 1440 }],
      decal: [{ fromMin: 600, toMin: null }],
      bake: [{ fromMin: 60, toMin: null }],
      wear: [{ fromMin: 1440, toMin: null }],
    },
  },
};

const coat = (product: PaintProduct, hours: number, changes: Partial<CoatingLayer> = {}): CoatingLayer => ({
  ...{ id: `coat-${hours}`, version: 1, areaId: 'body.outside', stage: 'applied', seq: hours + 100 },
  ...{ kind: product.kind as 'colour', name: product.name, colourHex: '#556677', thicknessUm: 20 },
  ...{ thicknessOrigin: 'product sheet', productId: product.id, whose: 'restorer', tempC: 20 },
  ...{ appliedAt: at(hours).toISOString(), appliedBy: 'M. Thorn', note: '', rejection: null, removedAt: null },
  ...{ keyedAt: null, coats: null, isMist: false, how: null, decalMm: null },
  ...changes,
});
const touch = (layerId: string, hours: number, isReady: boolean): CoatTouch => ({
  ...{
    id: `${layerId} ${hours}`,
    version: 1,
    layerId,
    test: 'recoat',
    isReady,
    at: at(hours).toISOString(),
    who: 'M. Thorn',
  },
});
const rows = (changes: Partial<DryingRows> = {}): DryingRows => ({
  ...{ products: [enamel, lacquer], touches: [], touched: [], readings: [] },
  ...changes,
});

function attempt(
  product: PaintProduct,
  hours: number,
  layers: readonly CoatingLayer[],
  changes: Partial<CoatAttempt> = {},
) {
  return checkCoat({
    ...{ partKey: 'body', partName: 'Body', material: 'zinc alloy', product, tempC: 20, appliedAt: at(hours) },
    ...{ layers, under: [], taped: [], tasks: [], products: [enamel, lacquer] },
    ...{ isMist: false, reliefUm: null, overBecause: '' },
    standing: describeStandingCoats(layers, rows()),
    ...changes,
  });
}
const codes = (...args: Parameters<typeof attempt>) => attempt(...args).map(({ code }) => code);

describe('a coat is refused outside the windows of what lies below', () => {
  const primed = coat(lacquer, -48, { keyedAt: at(-20).toISOString() });

  it('before, in the window, in the gap and after, with the time from which it may', () => {
    const layers = [primed, coat(enamel, 0)];
    // The sheet: wet in wet from 20 to 180 min, dry through at 24 h; the window is left at 0.65, the wait is 1.7 times as long.
    expect(codes(enamel, 0.2, layers)).deep.equal(['still-drying']);
    expect(codes(enamel, 0.5, layers)).deep.equal([]);
    expect(codes(enamel, 1.6, layers)).deep.equal([]);
    const [gap] = attempt(enamel, 4, layers);
    expect(gap).deep.include({ code: 'in-gap', field: 'appliedAt' });
    const opens = (Date.parse(gap!.from!) - NOON) / HOUR;
    expect(opens).within(24 * 1.6, 24 * 1.75);
    expect(gap!.message).match(/Slate blue lifts under another coat now.*1 day 1\d h more/);
    expect(codes(enamel, opens + 0.01, layers)).deep.equal([]);
  });

  it('of both coats of a wet film, but not of one that is covered for good', () => {
    const wet = [primed, coat(enamel, 0), coat(enamel, 1)];
    expect(codes(enamel, 1.5, wet)).deep.equal([]);
    // The first coat's window has shut: the second one's alone would still be open.
    expect(codes(enamel, 2.4, wet)).deep.equal(['in-gap']);
    const dry = [primed, coat(enamel, 0), coat(enamel, 60)];
    expect(codes(enamel, 61, dry)).deep.equal([]);
  });

  it('once it has shut for good until it is keyed, and keying is refused while it is open or soft', () => {
    const grey = coat(lacquer, 0);
    expect(codes(enamel, 30, [grey])).deep.equal(['window-shut']);
    expect(codes(enamel, 30, [coat(lacquer, 0, { keyedAt: at(29).toISOString() })])).deep.equal([]);
    // Rubbed forty seconds past the minute, sprayed and logged in that minute: the log knows no seconds.
    const rubbed = new Date(at(30).getTime() + 40_000).toISOString();
    expect(codes(enamel, 30, [coat(lacquer, 0, { keyedAt: rubbed })])).deep.equal([]);
    expect(codes(enamel, 29.9, [coat(lacquer, 0, { keyedAt: rubbed })])).not.deep.equal([]);
    const keying = (hours: number, isOutermost = true) =>
      checkKeying(
        { name: 'Light grey', isOutermost, spans: describeStandingCoats([grey], rows())[0]!.spans },
        at(hours),
      ).map(({ code }) => code);
    expect(keying(0.5)).deep.equal(['still-drying']);
    expect(keying(5)).deep.equal(['needs-no-key']);
    expect(keying(30)).deep.equal([]);
    expect(keying(30, false)).deep.equal(['not-outermost']);
  });

  it('by a room that is too cold for it, without a time', () => {
    const cold = coat(enamel, 0, { tempC: 8 });
    const standing = describeStandingCoats([cold], rows());
    const [refusal] = attempt(enamel, 3, [primed, cold], { standing });
    expect(refusal).deep.include({ code: 'still-drying' });
    expect(refusal).not.have.property('from');
    expect(refusal!.message).include('warm it');
  });

  it('and an area with a colour of its own until what lies below bears tape', () => {
    const body = coat(enamel, 0);
    const standing = describeStandingCoats([body], rows());
    // Wet in wet the body would take a coat; tape it does not bear.
    expect(codes(enamel, 0.5, [], { under: [primed, body], taped: [primed, body], standing })).deep.equal([
      'still-drying',
    ]);
    expect(codes(enamel, 24 * 1.75, [], { under: [primed, body], taped: [primed, body], standing })).deep.equal([]);
  });

  it('by binder: never lacquer over enamel, acrylic over enamel only when it has cured', () => {
    const blue = [primed, coat(enamel, 0)];
    const thinned = { ...lacquer, kind: 'colour' as const };
    const water = { ...enamel, binder: 'acrylic' as const };
    expect(codes(thinned, 24 * 30, blue)).deep.equal(['never-over']);
    expect(codes(water, 24 * 3, blue)).deep.equal(['not-cured']);
    expect(codes(water, 24 * 14, blue)).deep.equal([]);
  });
});

describe('a coat is refused when letters fill in', () => {
  // Dry through, each lies on the last: 14 + 5 * 20 and 20 more, nine in ten films, over four fifths of 150.
  const layers = [coat(lacquer, -9000, { keyedAt: at(-8990).toISOString(), thicknessUm: 14 })].concat(
    [1, 2, 3, 4].map((i) => coat(enamel, i * 100)),
  );

  it('with how much lies on it; a reason, a deeper relief or a mist coat lets it go on', () => {
    const [refusal] = attempt(enamel, 900, layers);
    expect(refusal).deep.include({ code: 'over-relief', field: 'overBecause' });
    expect(refusal!.message).match(/114 ± \d+ µm lie on relief of 150 µm \(planning estimate\)/);
    expect(codes(enamel, 900, layers, { overBecause: 'the letters are painted out' })).deep.equal([]);
    expect(codes(enamel, 900, layers, { reliefUm: 300 })).deep.equal([]);
    expect(codes(enamel, 900, layers.slice(0, 3), { isMist: true })).deep.equal([]);
    expect(codes(enamel, 900, layers.slice(0, 2), { reliefUm: 40 })).deep.equal(['over-relief']);
  });
});

describe('touches move what is expected of a coat', () => {
  const first = coat(enamel, 0);
  const opensAt = (touches: readonly CoatTouch[], touched: readonly CoatingLayer[], standing = first) =>
    (describeStandingCoats([standing], rows({ touches, touched }))[0]!.spans.recoat.at(-1)!.from -
      Date.parse(standing.appliedAt!)) /
    HOUR;

  it('still tacky: later than that, and later than before', () => {
    const before = opensAt([], []);
    const after = opensAt([touch(first.id, 40, false)], [first]);
    expect(after).greaterThan(before);
    expect(after).greaterThan(40);
  });

  it('ready: at once, but never before its sheet says', () => {
    expect(opensAt([touch(first.id, 30, true)], [first])).within(24, 30);
    expect(opensAt([touch(first.id, 2, true)], [first])).closeTo(24, 1e-6);
  });

  it('and another coat of that paint waits less, one of another paint does not', () => {
    const next = coat(enamel, 200);
    const touches = [touch(first.id, 23, false), touch(first.id, 25, true)];
    expect(opensAt(touches, [first], next)).lessThan(opensAt([], [], next) - 2);
    const other = coat({ ...enamel, id: 'grey' }, 200);
    expect(opensAt(touches, [first], other)).equal(opensAt([], [], other));
  });

  it('whatever is touched, a coat does not open before its sheet nor before a touch that found it soft', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: 0.1, max: 200, noNaN: true }), fc.boolean()), { maxLength: 5 }),
        (told) => {
          const touches = told.map(([hours, isReady]) => touch(first.id, hours, isReady));
          const opens = opensAt(touches, [first]);
          expect(opens).gte(24 - 1e-6);
          for (const [hours, isReady] of told) if (!isReady) expect(opens).gte(hours - 1e-6);
        },
      ),
    ));
});

describe('steps wait for the coats before them', () => {
  const part = { id: 'body', key: 'body', name: 'Body' };
  const area = { id: 'body.outside', specimenPartId: 'body', kind: 'outside' as const, name: '' };
  const wait = { rule: 'bench', because: 'it dries', waitMin: 1, latestMin: null };
  const colour = makeTask('colour:body', {
    ...{ act: 'colour', partKeys: ['body'], state: 'done', doneAt: at(0).toISOString(), of: { area: 'outside' } },
  });
  const planned = { ...coat(enamel, 0), id: 'planned', stage: 'planned' as const };
  const layers = [planned, coat(enamel, 0)];
  const [dry] = dryTasks(
    [colour],
    { parts: [part], areas: [area], layers },
    describeStandingCoats([layers[1]!], rows()),
  );
  const held = (tags: Task['tags'], hours: number, changes: Partial<Task> = {}, before: Partial<typeof dry> = {}) =>
    selectOpenLinks(
      {
        specimenId: colour.specimenId,
        tags,
        partKeys: ['body'],
        of: {},
        after: [{ key: colour.key, ...wait }],
        ...changes,
      },
      [{ ...dry!, ...before }],
      at(hours),
    );

  it('each for what it does to them', () => {
    expect(held(['clear over', 'paint'], 0.5)).deep.equal([]);
    expect(held(['clear over', 'paint'], 4)[0]).deep.include({ kind: 'in the gap' });
    expect(held(['handling'], 0.5)[0]).deep.include({ kind: 'waiting' });
    expect(held(['handling'], 24 * 4)).deep.equal([]);
    expect(held(['decal', 'handling'], 24 * 3)[0]).deep.include({ kind: 'waiting' });
  });

  it('trim for tape on the body, but not for the coat of its own field below, which is masked already', () => {
    const trim = ['trim colour', 'colour'] as const;
    expect(held(trim, 0.5)[0]).deep.include({ kind: 'waiting' });
    expect(held(trim, 0.5, { of: { area: 'outside', nth: 2 } })).deep.equal([]);
    expect(held(trim, 0.5, { of: { area: 'outside', nth: 2 }, partKeys: ['base'] })).length(1);
  });

  it('and one look more does not end that wait', () =>
    expect(held(['paint'], 4, {}, { lookedAt: at(3).toISOString() })).length(1));

  it('and where nobody knows when the coat went on, for the minutes of the plan', () => {
    const [unknown] = dryTasks([colour], { parts: [part], areas: [area], layers }, []);
    expect(unknown!.film).equal(undefined);
  });
});
