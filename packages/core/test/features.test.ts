import { expect } from 'chai';
import type { PlanPart, PlanWant } from '../src/facts/specimenFacts.ts';
import { createLorry, expectOrder, planOf, select } from './support/lorry.ts';
import { makeFinding, makeWant } from './support/planWorld.ts';

/** The lorry with other findings and wants on its body. */
function withFindings(findings: PlanPart['findings'], wants: readonly PlanWant[] = []) {
  const lorry = createLorry();
  return { ...lorry, parts: lorry.parts.map((part) => (part.key === 'body' ? { ...part, findings, wants } : part)) };
}
const twisted = makeFinding('twisted', { degrees: 2 });

describe('what is wrong with a feature of a part', () => {
  const gone = makeFinding('missing', { feature: 'pillar', severity: 2 });

  it('is mended, and the part stays', () => {
    const tasks = planOf(withFindings([gone]));
    expect(select(tasks, 'mend body')[0]!.title).equal('Mend the pillar of the body with a metal splint');
    expect(select(tasks, 'strip body')).length(1);
  });

  it('gets the piece that is on the list for it, tried first, and no piece of another feature', () => {
    const piece = (feature: string) => [makeWant('piece', { kind: 'feature', feature, what: feature, getBy: 'make' })];
    const tasks = planOf(withFindings([gone], piece('pillar')));
    expect(select(tasks, 'mend body')[0]!.method).equal('new piece');
    expect(select(tasks, 'trial-fit body')[0]!.title).equal('Trial-fit the new pillar on the body');
    expectOrder(tasks, 'draw piece', 'get piece');
    expectOrder(tasks, 'get piece', 'mend body');
    expectOrder(tasks, 'trial-fit body', 'mend body');
    expect(select(planOf(withFindings([gone], piece('hook'))), 'mend body')[0]!.method).equal('splint');
  });

  it('is a post: recovered before its thread, without glue where powder is baked on it', () => {
    const post = makeFinding('over-drilled', { feature: 'rear post', severity: 2 });
    const tasks = planOf(withFindings([post]));
    expectOrder(tasks, 'recover-post body', 'tap post');
    expect(select(tasks, 'recover-post body')[0]!.method).equal('sleeve');
    const powdered = planOf({ ...withFindings([post]), decisions: { S6: 'powder' } });
    expect(select(powdered, 'recover-post body')[0]!.method).equal('driven plug');
  });

  it('is two damages mended in two ways: two steps', () => {
    const both = [makeFinding('cracked', { id: 'a', mend: 'gel' }), makeFinding('broken', { id: 'b', mend: 'splint' })];
    const methods = select(planOf(withFindings(both)), 'mend body').map((task) => task.method);
    expect(methods).have.members(['gel', 'splint']);
  });
});

describe('a twist', () => {
  it('is bent out of both halves screwed together, after their threads and with the crack held', () => {
    const tasks = planOf(withFindings([twisted, makeFinding('cracked')]));
    const [step] = select(tasks, 'straighten body');
    expect(step!.partKeys).deep.equal(['body', 'base']);
    expect(step!.title).equal('Straighten the body and base as a pair, warm');
    expectOrder(tasks, 'tap post', 'straighten body');
    expectOrder(tasks, 'hold-crack body', 'straighten body');
  });

  it('is bent out of one half alone where the other bends in another way, or is held by more', () => {
    const lorry = withFindings([twisted]);
    const asTin = (part: PlanPart) => (part.key === 'base' ? { ...part, material: 'tinplate' as const } : part);
    const screw = { key: 's', label: 'screw', kind: 'screw' as const, partKeys: ['base', 'spring'] };
    for (const input of [
      { ...lorry, parts: lorry.parts.map(asTin) },
      { ...lorry, closed: [screw] },
    ])
      expect(select(planOf(input), 'straighten body').map((task) => task.partKeys)).deep.equal([['body']]);
  });
});
