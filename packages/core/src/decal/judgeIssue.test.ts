import { expect } from 'chai';
import { judgeIssue } from './judgeIssue.ts';

const state = (id: string, chance: number) => ({ id, label: id.toUpperCase(), chance });
const left = (...states: ReturnType<typeof state>[]) => [{ featureId: 'sign', label: 'Sign', states }];
const featureOf = (id: string) => (id === 'plate' ? 'number' : 'sign');

describe('an artwork and the issue of a model', () => {
  it('agree, or are told what it left with', () => {
    const sure = left(state('large', 0.97), state('small', 0.03));
    expect(judgeIssue('large', sure, featureOf)).deep.equal({ answer: 'as it left', label: 'LARGE', chance: 0.97 });
    expect(judgeIssue('small', sure, featureOf)).deep.equal({ answer: 'another issue', label: 'LARGE', chance: 0.97 });
  });

  it('are not judged while the issue is not known well enough', () => {
    const open = left(state('large', 0.6), state('small', 0.4));
    expect(judgeIssue('large', open, featureOf)!.answer).equal('not sure');
    expect(judgeIssue('small', open, featureOf)!.answer).equal('not sure');
  });

  it('have nothing to do with each other where the artwork is one’s own, or of another feature', () => {
    expect(judgeIssue(null, left(state('large', 1)), featureOf)).equal(null);
    expect(judgeIssue('plate', left(state('large', 1)), featureOf)).equal(null);
    expect(judgeIssue('large', [], featureOf)).equal(null);
    expect(judgeIssue('gone', left(state('large', 1)), () => null)).equal(null);
  });
});
