import { expect } from 'chai';
import { createPlainModel, makeCoat, makeJoint, makePart, makeTask, makeTimer } from '../../test/support/planWorld.ts';
import type { TaskLink } from '../model/task.ts';
import { createBitSet, setBit } from '../numeric/bitSet.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { checkRoom, checkStart } from '../gates/checkStart.ts';
import { selectOpenLinks } from '../gates/openLinks.ts';
import { compilePlan } from './compilePlan.ts';
import type { PlannedTask } from './planTypes.ts';
import { findDisagreements, reconcilePlan } from './reconcilePlan.ts';
import { chooseOption, SCHOOLS } from '../schools/schools.ts';
import { reduceLinks, sortTasks } from './sortTasks.ts';

const link = (key: string, changes: Partial<TaskLink> = {}): TaskLink => ({
  ...{ key, rule: 'O1', because: 'it must', waitMin: 0, latestMin: null },
  ...changes,
});

/** Named tasks and what each waits for, sorted or reduced by name. */
const netOf = (
  entries: Readonly<Record<string, readonly string[]>>,
  keys: readonly string[] = Object.keys(entries),
) => {
  const before = keys.map((key) => {
    const bits = createBitSet(keys.length);
    for (const other of entries[key]!) setBit(bits, keys.indexOf(other));
    return bits;
  });
  const none = keys.map(() => createBitSet(keys.length));
  const sorted = sortTasks(before);
  const named = sorted.places.map((place) => keys[place]!);
  const reduced = () =>
    new Map(
      [...reduceLinks(sorted.places, { before, waitsFor: none, soonAfter: none })].map(([place, own]) => [
        keys[place]!,
        own.map((one) => keys[one]!),
      ]),
    );
  return { kind: sorted.kind, keys: named, reduced };
};
const now = new Date('2026-01-01T10:30:00Z');

describe('sortTasks', () => {
  it('keeps the given order where the links allow it', () => {
    expect(netOf({ a: [], b: ['a'], c: ['b'] }, ['c', 'a', 'b'])).deep.include({
      kind: 'order',
      keys: ['a', 'b', 'c'],
    });
    expect(netOf({ a: [], b: [] }, ['b', 'a']).keys).deep.equal(['b', 'a']);
  });

  it('shows the shortest cycle, not the long one round it', () => {
    const sorted = netOf({ a: ['d'], b: ['a', 'c'], c: ['b'], d: ['c'] });
    expect(sorted.kind).equal('cycle');
    expect(new Set(sorted.keys)).deep.equal(new Set(['b', 'c']));
    expect(sorted.keys[0]).equal(sorted.keys.at(-1));
  });

  it('finds a cycle as short as any there is, and a real one (300 random nets)', () => {
    for (let seed = 1; seed <= 300; seed++) {
      const random = createSeededRandom(seed);
      const keys = Array.from({ length: 3 + Math.floor(random() * 5) }, (_, i) => `t${i}`);
      const net = Object.fromEntries(keys.map((key) => [key, keys.filter((other) => other !== key && random() < 0.3)]));
      const sorted = netOf(net);
      const shortest = findShortestWalk(keys, net);
      if (sorted.kind === 'order') {
        expect(shortest, `seed ${seed}`).equal(Infinity);
        continue;
      }
      expect(sorted.keys.length - 1, `seed ${seed}`).equal(shortest);
      sorted.keys.slice(1).forEach((key, i) => expect(net[key], `seed ${seed}`).include(sorted.keys[i]));
    }
  });

  /** Steps of the shortest closed walk, by powers of the relation. */
  function findShortestWalk(keys: readonly string[], net: Readonly<Record<string, readonly string[]>>): number {
    let reach = keys.map((key) => new Set(net[key]));
    for (let steps = 1; steps <= keys.length; steps++) {
      if (reach.some((set, i) => set.has(keys[i]!))) return steps;
      reach = reach.map((set) => new Set([...set].flatMap((key) => net[key]!)));
    }
    return Infinity;
  }

  it('has nothing to say about nothing', () => expect(sortTasks([])).deep.equal({ kind: 'order', places: [] }));

  it('drops links that follow from others, and only those (300 random nets)', () => {
    expect(
      netOf({ a: [], b: ['a'], c: ['a', 'b'] })
        .reduced()
        .get('c'),
    ).deep.equal(['b']);
    for (let seed = 1; seed <= 300; seed++) {
      const random = createSeededRandom(seed);
      const keys = Array.from({ length: 8 }, (_, i) => `t${i}`);
      const net = Object.fromEntries(keys.map((key, i) => [key, keys.slice(0, i).filter(() => random() < 0.5)]));
      const reachOf = (key: string, direct: (one: string) => readonly string[]): Set<string> =>
        new Set(direct(key).flatMap((one) => [one, ...reachOf(one, direct)]));
      const reduced = netOf(net).reduced();
      for (const key of keys) {
        expect(
          reachOf(key, (one) => reduced.get(one)!),
          `seed ${seed}`,
        ).deep.equal(reachOf(key, (one) => net[one]!));
        for (const one of reduced.get(key)!)
          expect(
            reduced.get(key)!.some((other) => other !== one && reachOf(other, (at) => net[at]!).has(one)),
            `seed ${seed}`,
          ).equal(false);
      }
    }
  });
});

describe('checkStart', () => {
  const strip = makeTask('strip', { tags: ['strip', 'vapour'], after: [link('photo')] });
  const photo = makeTask('photo');

  it('names the open predecessor and the reason, and no code of ours', () => {
    const [refusal] = checkStart(strip, [strip, photo], [], [], now);
    expect(refusal).deep.include({ code: 'predecessor-open' });
    expect(refusal!.message).equal('First "photo": it must.');
  });

  it('lets it start once the predecessor is done or fell out of the plan', () => {
    for (const state of ['done', 'not needed'] as const)
      expect(checkStart(strip, [strip, { ...photo, state }], [], [], now)).deep.equal([]);
    expect(selectOpenLinks(strip, [strip], now)).deep.equal([]);
  });

  it('does not look at another specimen with the same task', () => {
    expect(selectOpenLinks(strip, [strip, { ...photo, specimenId: 'other' }], now)).deep.equal([]);
  });

  it('refuses what is done or no longer wanted', () => {
    expect(checkStart({ ...photo, state: 'done' }, [], [], [], now)[0]!.code).equal('already-done');
    expect(checkStart({ ...photo, state: 'not needed' }, [], [], [], now)[0]!.code).equal('not-needed');
  });
});

describe('a wait on a link', () => {
  const glue = makeTask('mend:body', { state: 'done', doneAt: '2026-01-01T10:00:00Z', passiveMin: 60 });
  const prime = makeTask('prime:body', { after: [link('mend:body', { waitMin: 60 })] });
  const at = (time: string) => new Date(`2026-01-01T${time}Z`);

  it('refuses what comes too early, and says from when it may', () => {
    const [refusal] = checkStart(prime, [glue], [], [], at('10:20:00'));
    expect(refusal).deep.include({ code: 'still-waiting', from: '2026-01-01T11:00:00.000Z', taskId: 's.mend:body' });
    expect(refusal!.message).include('40 min more');
    expect(checkStart(prime, [glue], [], [], at('10:59:59'))).length(1);
    expect(checkStart(prime, [glue], [], [], at('11:00:00'))).deep.equal([]);
  });

  it('does not wait for what is not needed, whenever that was said', () => {
    const dropped = { ...glue, state: 'not needed' as const };
    expect(checkStart(prime, [dropped], [], [], at('10:20:00'))).deep.equal([]);
  });

  it('ends when somebody looked after it was done, not before', () => {
    expect(checkStart(prime, [{ ...glue, lookedAt: '2026-01-01T10:10:00Z' }], [], [], at('10:20:00'))).deep.equal([]);
    expect(checkStart(prime, [{ ...glue, lookedAt: '2026-01-01T09:10:00Z' }], [], [], at('10:20:00'))).length(1);
  });

  it('comes too late, too, until it is done again or looked at', () => {
    const wipe = makeTask('degrease:body', { state: 'done', doneAt: '2026-01-01T10:00:00Z' });
    const late = makeTask('prime:body', { after: [link('degrease:body', { latestMin: 60 })] });
    expect(checkStart(late, [wipe], [], [], at('11:00:00'))).deep.equal([]);
    expect(checkStart(late, [wipe], [], [], at('11:00:01'))[0]!.code).equal('too-late');
    const looked = { ...wipe, lookedAt: '2026-01-01T11:30:00Z' };
    expect(checkStart(late, [looked], [], [], at('12:29:00'))).deep.equal([]);
    expect(checkStart(late, [looked], [], [], at('12:31:00'))[0]!.code).equal('too-late');
  });
});

describe('checkRoom (O37)', () => {
  const needs = (air: 'vapour' | 'spark') => ({ tools: [], booth: false, bath: null, stays: false, air });
  const grind = makeTask('grind', { needs: needs('spark') });
  const spray = makeTask('spray', { needs: needs('vapour'), state: 'doing' });

  it('keeps a spark away from vapour that is being made', () => {
    expect(checkRoom(grind, [spray], [], now)[0]!.code).equal('spark-beside-vapour');
    expect(checkRoom(grind, [{ ...spray, state: 'done' }], [], now)).deep.equal([]);
  });

  it('keeps vapour away from a spark or something hot', () => {
    expect(checkRoom(spray, [{ ...grind, state: 'doing' }], [], now)[0]!.code).equal('vapour-beside-spark');
    expect(checkRoom(spray, [], [makeTimer({ kind: 'heat' })], now)[0]!.code).equal('vapour-beside-spark');
  });

  it('counts a bath as there until somebody has acknowledged its clock, a flash-off until it ends', () => {
    const later = new Date('2026-01-01T12:00:00Z');
    expect(checkRoom(grind, [], [makeTimer({ kind: 'bath' })], later)).length(1);
    expect(checkRoom(grind, [], [makeTimer({ kind: 'bath', acknowledgedAt: '2026-01-01T11:30:00Z' })], later)).length(
      0,
    );
    expect(checkRoom(grind, [], [makeTimer({ kind: 'soak' })], later)).length(1);
    expect(checkRoom(grind, [], [makeTimer({ kind: 'soak', acknowledgedAt: '2026-01-01T11:30:00Z' })], now)).length(0);
    expect(checkRoom(spray, [], [makeTimer({ kind: 'heat' })], later)).length(0);
    expect(checkRoom(grind, [], [makeTimer({ kind: 'vapour' })], now)).length(1);
    expect(checkRoom(grind, [], [makeTimer({ kind: 'airing' })], now)).length(1);
    expect(checkRoom(grind, [], [makeTimer({ kind: 'flash' })], now)).length(1);
    expect(checkRoom(grind, [], [makeTimer({ kind: 'flash' })], later)).length(0);
    expect(checkRoom(grind, [], [makeTimer({ kind: 'cure' })], now)).length(0);
  });

  it('does not mind tasks that neither spark nor smell', () => {
    expect(checkRoom(makeTask('look'), [spray], [makeTimer()], now)).deep.equal([]);
  });
});

describe('reconcilePlan', () => {
  const planned = (key: string, changes: Partial<PlannedTask> = {}): PlannedTask => ({
    ...makeTask(key),
    ...{ atC: null, luminance: null },
    ...changes,
  });

  it('keeps what was begun or logged and drops only what nobody touched', () => {
    const existing = [
      makeTask('stays'),
      makeTask('untouched'),
      makeTask('begun', { state: 'doing' }),
      makeTask('done', { state: 'done' }),
      makeTask('noted'),
    ];
    const { added, changed, dropped, setAside } = reconcilePlan(
      existing,
      [planned('stays'), planned('new')],
      new Set(['s.noted']),
    );
    expect(added.map((task) => task.key)).deep.equal(['new']);
    expect(changed.map((pair) => pair.task.key)).deep.equal(['stays']);
    expect(dropped.map((task) => task.key)).deep.equal(['untouched']);
    expect(setAside.map((task) => task.key)).deep.equal(['noted']);
  });

  it('never touches what is under way, done or declared not needed, and says where it disagrees', () => {
    const existing = [
      makeTask('strip:a', { state: 'doing', method: 'gel' }),
      makeTask('strip:b', { state: 'done', method: 'gel' }),
      makeTask('strip:c', { state: 'not needed', method: 'gel' }),
      makeTask('strip:d', { method: 'gel' }),
      makeTask('strip:e', { state: 'set aside' }),
    ];
    const fresh = existing.map((task) => planned(task.key, { method: 'mild slow' }));
    const { added, changed } = reconcilePlan(existing, fresh, new Set());
    expect(added).deep.equal([]);
    expect(changed.map(({ task }) => task.key)).deep.equal(['strip:d', 'strip:e']);
    expect(findDisagreements(existing, fresh).map(({ task }) => task.key)).deep.equal(['strip:a', 'strip:b']);
  });

  it('disagrees with nobody where it is not known how it was done, or is to be done', () => {
    const done = (method: string | null) => makeTask('strip:a', { state: 'done', method });
    const fresh = (method: string | null) => [planned('strip:a', { method })];
    expect(findDisagreements([done(null)], fresh('gel'))).deep.equal([]);
    expect(findDisagreements([done('gel')], fresh(null))).deep.equal([]);
    expect(findDisagreements([done('gel')], fresh('gel'))).deep.equal([]);
    expect(findDisagreements([done('gel')], [])).deep.equal([]);
    expect(findDisagreements([done('gel')], fresh('dip'))).deep.include({ was: 'gel', is: 'dip', task: done('gel') });
  });
});

describe('schools', () => {
  it('offers the default first among at least two options, each with a reason', () => {
    expect(SCHOOLS.map((school) => school.key)).deep.equal(Array.from({ length: 24 }, (_, i) => `S${i + 1}`));
    for (const school of SCHOOLS) {
      expect(school.options[0]).equal(school.defaultOption);
      expect(new Set(school.options).size).equal(school.options.length).greaterThan(1);
      expect(school.defaultReason.length).greaterThan(10);
    }
  });

  it('takes the decision of the job before the house style', () => {
    expect(chooseOption('S3', {})).equal('pilot first');
    expect(chooseOption('S3', { S3: 'deburring cutter' })).equal('deburring cutter');
  });
});

describe('what is closed while the base lies on the bench', () => {
  const facts = (behind: readonly string[]) => {
    const joints = [
      { ...makeJoint('post', 'rivet post', ['body', 'base'], { tool: 'drill', destroys: 'the rivet head' }) },
      { ...makeJoint('seat-glue', 'glue', ['seat', 'base'], { behindJoints: [...behind] }) },
      {
        ...makeJoint('axle-ends', 'formed axle', ['base', 'axles', 'wheels'], { tool: 'rotary', destroys: 'one end' }),
      },
    ];
    const coats = [makeCoat('primer'), makeCoat('colour')];
    return createPlainModel({
      parts: [
        makePart('body', { painted: true, coats }),
        makePart('base', { role: 'base', painted: true, coats }),
        makePart('seat', {
          role: 'trim',
          material: 'lead alloy',
          painted: true,
          coats: [makeCoat('colour', { colourHex: '#ffffff' })],
        }),
        makePart('wheels', { role: 'wheel', material: 'hard plastic' }),
        makePart('axles', { role: 'axle', material: 'steel' }),
      ],
      opening: joints,
    });
  };
  const orderOf = (behind: readonly string[]) => {
    const plan = compilePlan(facts(behind));
    if (plan.kind !== 'plan') throw new Error(plan.because);
    return plan.tasks.map(({ key }) => key).filter((key) => /^(fit:base|close:(seat|axle|post))/.test(key));
  };

  it('is what the base shuts in, before it goes on', () => {
    const order = orderOf(['post']);
    expect(order.indexOf('close:seat-glue')).lessThan(order.indexOf('fit:base'));
    expect(order.indexOf('fit:base')).lessThan(order.indexOf('close:post'));
  });

  it('is nothing that can be reached afterwards: axle ends are formed with the base on', () => {
    const order = orderOf([]);
    expect(order.indexOf('fit:base')).lessThan(order.indexOf('close:seat-glue'));
    expect(order.indexOf('fit:base')).lessThan(order.indexOf('close:axle-ends'));
  });
});
