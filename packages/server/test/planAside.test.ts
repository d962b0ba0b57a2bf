import { createOpeningQuestion } from '@sardonyx/core';
import { expect } from 'chai';
import { createLargeModel } from '../../core/test/support/createLargeModel.ts';
import { planAside } from '../src/modules/opening/planAside.ts';
import { planExplained } from '../src/modules/opening/planExplained.ts';

describe('planning beside the server', () => {
  const questionOf = (seed: number, count: number) => {
    const input = createLargeModel(seed, count);
    const joints = input.opening.map(({ way, ...joint }) => ({ ...joint, ways: [way], wish: null }));
    return createOpeningQuestion({ ...input, joints } as never);
  };

  it('says the same as in the server itself, and the server goes on meanwhile', async () => {
    const questions = [questionOf(3, 24), questionOf(4, 40)];
    let ticks = 0;
    const ticking = setInterval(() => ticks++, 5);
    const answers = await Promise.all(questions.map(planAside));
    clearInterval(ticking);
    expect(ticks).greaterThan(10);
    expect(answers).deep.equal(questions.map(planExplained));
    expect(answers[1]!.opening.length + answers[1]!.closed.length).greaterThan(10);
  });

  it('fails at what is no question as the server itself would, and goes on answering', async () => {
    const question = questionOf(3, 24);
    const wrong = { ...question, joints: null } as never;
    let refusal: unknown = null;
    await planAside(wrong).catch((error: unknown) => (refusal = error));
    let own: unknown = null;
    try {
      planExplained(wrong);
    } catch (error) {
      own = error;
    }
    expect((own as Error | null)?.message).a('string');
    expect((refusal as Error | null)?.message).equal((own as Error | null)?.message);
    expect(await planAside(question)).deep.equal(planExplained(question));
  });
});
