import { expect } from 'chai';
import { compilePlan } from '../src/compile/compilePlan.ts';
import type { PlanInput } from '../src/compile/planTypes.ts';
import { createOpeningQuestion } from '../src/opening/openingQuestion.ts';
import { NOTHING_DONE } from '../src/facts/selectPartDone.ts';
import { findRewritten } from './support/findRewritten.ts';
import { createPlainModel, makeCoat, makePart, makeWant } from './support/planWorld.ts';
import { createRandomFacts } from './support/randomPlanWorld.ts';

const keysOf = (input: PlanInput) => {
  const plan = compilePlan(input);
  if (plan.kind !== 'plan') throw new Error(plan.because);
  return plan.tasks.map((task) => task.key);
};
const noticesOf = (input: PlanInput) => {
  const plan = compilePlan(input);
  return plan.kind === 'plan' ? plan.notices.map((notice) => notice.words).join('\n') : plan.because;
};

describe('done stands', () => {
  it('whatever the survey and the schools become afterwards (seeds 1 to 150, four edits each)', () => {
    const found: string[] = [];
    for (let seed = 1; seed <= 150; seed++) found.push(...findRewritten(seed));
    expect(found).deep.equal([]);
  });

  const coats = [makeCoat('primer'), makeCoat('colour')];
  const body = (done: Partial<typeof NOTHING_DONE>) =>
    makePart('body', { painted: true, coats, done: { ...NOTHING_DONE, ...done } });
  const model = (done: Partial<typeof NOTHING_DONE>, decisions: PlanInput['decisions'] = {}) =>
    createPlainModel({ parts: [body(done)], opening: [], decisions });

  it('a part that was stripped keeps its method, and no bath is planned for it', () => {
    const plan = compilePlan(model({ stripped: 'gel' }, { S11: 'caustic' }));
    const strip = plan.kind === 'plan' ? plan.tasks.find((task) => task.key === 'strip:body') : undefined;
    expect(strip).deep.include({ method: 'gel', process: 'gel stripper' });
    expect(noticesOf(model({ stripped: 'gel' }, { S11: 'caustic' }))).include('Stripped already with gel');
    // Nobody decided anything: nothing disagrees.
    expect(noticesOf(model({ stripped: 'caustic' }))).not.include('Stripped already');
  });

  it('a part that was sprayed gets no powder, and one that was powdered no paint', () => {
    expect(keysOf(model({ finish: 'sprayed', stripped: 'gel' }, { S6: 'powder' }))).not.include('powder:body');
    expect(noticesOf(model({ finish: 'sprayed' }, { S6: 'powder' }))).include('Sprayed already: the body.');
    expect(keysOf(model({ finish: 'powdered', stripped: 'gel' }))).not.include('prime:body');
    expect(noticesOf(model({ finish: 'powdered' }))).include('Powdered already: the body.');
  });

  it('brightwork that is on is not put on in another ink', () => {
    const bright = makeCoat('brightwork', { areaKind: 'mask', areaName: 'grille' });
    const part = (coatsOn: (typeof NOTHING_DONE)['coatsOn']) =>
      makePart('body', { coats: [...coats, bright], done: { ...NOTHING_DONE, coatsOn } });
    const on = createPlainModel({ parts: [part([{ areaName: 'grille', kind: 'brightwork' }])], opening: [] });
    expect(keysOf(on).filter((key) => key.startsWith('bright:') || key.startsWith('chrome:'))).deep.equal([]);
    expect(keysOf(createPlainModel({ parts: [part([])], opening: [] }))).include('bright:body:grille');
  });

  it('a rejected coat is taken off, then the part is degreased and painted once more', () => {
    const rejected = [
      { layerId: 'l1', areaName: 'outside', kind: 'colour' as const, name: 'Red', because: 'runs', isOff: false },
    ];
    const plan = compilePlan(model({ finish: 'sprayed', stripped: 'gel', rejected }));
    const tasks = plan.kind === 'plan' ? plan.tasks : [];
    const seqOf = (key: string) => tasks.find((task) => task.key === key)!.seq;
    expect(seqOf('take-off:l1')).lessThan(seqOf('degrease:body#2'));
    expect(seqOf('degrease:body#2')).lessThan(seqOf('mist:body:outside#2'));
    expect(seqOf('mist:body:outside#2')).lessThan(seqOf('colour:body:outside#2'));
    expect(tasks.find((task) => task.key === 'take-off:l1')!.because).equal('Rejected: runs');
    // The primer was not rejected: it is on, and judged.
    expect(tasks.map((task) => task.key))
      .include('prime:body')
      .not.include('prime:body#2');
    const off = model({ finish: 'sprayed', stripped: 'gel', rejected: [{ ...rejected[0]!, isOff: true }] });
    expect(keysOf(off)).include('colour:body:outside#2').not.include('take-off:l1');
  });
});

describe('the opening’s question', () => {
  const facts = createRandomFacts(7);
  const question = JSON.stringify(createOpeningQuestion(facts));
  const withPart = (change: object) =>
    JSON.stringify(
      createOpeningQuestion({
        ...facts,
        parts: facts.parts.map((part, i) => (i === 0 ? { ...part, ...change } : part)),
      }),
    );
  const [first] = facts.parts;

  it('notices severity, wants, coats and what was done', () => {
    const findings = [{ kind: 'scuffed' as const, severity: 3, note: '', degrees: null }];
    const milder = [{ ...findings[0]!, severity: 1 }];
    expect(withPart({ findings })).not.equal(withPart({ findings: milder }));
    expect(withPart({ wants: [makeWant('w')] })).not.equal(withPart({ wants: [makeWant('w', { state: 'waived' })] }));
    expect(withPart({ coats: [makeCoat('colour')] })).not.equal(withPart({ coats: [] }));
    expect(withPart({ done: { ...NOTHING_DONE, stripped: 'gel' } })).not.equal(withPart({ done: NOTHING_DONE }));
  });

  it('does not change with words that nothing is chosen from', () => {
    const findings = first!.findings.map((finding) => ({ ...finding, note: 'another note', degrees: 3 }));
    expect(withPart({ findings })).equal(question);
    expect(withPart({ wants: first!.wants.map((want) => ({ ...want, dueOn: '2030-01-01' })) })).equal(question);
  });
});
