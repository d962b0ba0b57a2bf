import { expect } from 'chai';
import { createSeededRandom } from '../../numeric/seededRandom.ts';
import { PRACTICE_RESCUES, FAULT_WORDS } from '../../words/practiceWords.ts';
import { listPlacingSteps } from '../placing/listPlacingSteps.ts';
import {
  actInPractice,
  beginPractice,
  FAULTS,
  rescueInPractice,
  type PracticeAct,
  type PracticeState,
  type PracticeTask,
} from './practisePlacing.ts';

const fold = { chance: 0.4, word: 'often' as const, placed: 0 };
const soak = { seconds: 30, sd: 10, learnedFrom: 0 };
const task: PracticeTask = {
  fold,
  steps: listPlacingSteps('wet pad and two sets', { soak, fold, isOnRelief: false }),
};
/** By the clock: what is soaked slides after its time. */
const RIGHT: readonly (readonly [PracticeAct, number])[] = task.steps.map(({ step }, i) => [
  step,
  step === 'slide the paper away' || i > 6 ? 60 + i : i,
]);
const never = () => 1;
const always = () => 0;
const play = (acts: readonly (readonly [PracticeAct, number])[], random: () => number, from = beginPractice(2)) =>
  acts.reduce((state: PracticeState, [act, at]) => actInPractice(state, act, at, task, random), from);
const without = (...left: readonly PracticeAct[]) => RIGHT.filter(([act]) => !left.includes(act));
const faultsOf = ({ faults }: PracticeState) => faults.map(({ fault }) => fault);

describe('placing for practice', () => {
  it('is done when every step was done in its order, without a fault', () => {
    const done = play(RIGHT, never);
    expect(done).deep.include({ end: 'placed', faults: [], badLuck: 0, piecesLeft: 2 });
  });

  it('folds by bad luck too, less often from a pad', () => {
    const share = (acts: readonly (readonly [PracticeAct, number])[]) => {
      const random = createSeededRandom(7);
      let folded = 0;
      for (let i = 0; i < 2000; i++) if (play(acts, random).piece.trouble === 'folded') folded++;
      return folded / 2000;
    };
    const upTo = RIGHT.filter(([, at]) => at < 70).slice(0, 7);
    expect(share(upTo)).closeTo(0.2, 0.03);
    expect(share(upTo.filter(([act]) => act !== 'wait on the pad'))).closeTo(0.4, 0.04);
  });

  it('names the fault behind each trouble', () => {
    const early = RIGHT.map(([act]) => [act, 1] as const);
    expect(play(early, always)).deep.include({ faults: [{ fault: 'pulled too early', ledTo: 'torn' }] });
    const late = RIGHT.map(([act, at]) => [act, act === 'slide the paper away' ? 500 : at] as const);
    expect(play(late, always).piece.trouble).equal('slid away');
    expect(play(without('wet the panel'), always).faults[0]).deep.equal({ fault: 'panel dry', ledTo: 'stuck crooked' });
    expect(faultsOf(play(without('cut close', 'dry-fit'), never))).deep.equal(['not cut', 'not tried dry']);
    expect(faultsOf(play(without('run the far end off the edge', 'look at the margins'), never))).deep.equal([
      'end not run off',
      'margins not looked at',
    ]);
    const pulled = RIGHT.map(([act, at]) =>
      act === 'slide the paper away' ? (['slide the decal off the paper', at] as const) : ([act, at] as const),
    );
    expect(play(pulled, always).faults[0]).deep.equal({ fault: 'decal pulled, not the paper', ledTo: 'folded' });
  });

  it('does nothing that cannot be done yet, or not any more', () => {
    const begun = beginPractice(2);
    for (const act of ['slide the paper away', 'roll out', 'leave it', 'wait on the pad', 'press it down dry'] as const)
      expect(play([[act, 0]], never), act).deep.equal(begun);
    const done = play(RIGHT, never);
    expect(play([['cut close', 99]], never, done)).equal(done);
    const slid = play(RIGHT.slice(0, 7), never);
    expect(play([['wet the panel', 99]], never, slid)).equal(slid);
  });

  it('is rescued by what helps, and lost by what does not; the spare is the last', () => {
    const folded = play(RIGHT.slice(0, 7), always);
    expect(folded.piece.trouble).equal('folded');
    expect(play([['roll out', 70]], never, folded)).equal(folded);
    const floated = rescueInPractice(folded, true, always);
    expect(floated.piece).deep.include({ trouble: null });
    expect(play(RIGHT.slice(7), never, floated).end).equal('placed');
    const spare = rescueInPractice(folded, false, always);
    expect(spare).deep.include({ piecesLeft: 1, end: null, faults: [{ fault: 'wrong rescue', ledTo: null }] });
    expect(spare.piece.done).deep.equal([]);
    const again = play(RIGHT.slice(0, 7), always, spare);
    expect(rescueInPractice(again, false, always)).deep.include({ piecesLeft: 0, end: 'lost' });
    // Even the right one does not always help.
    expect(rescueInPractice(folded, true, never).piecesLeft).equal(1);
  });

  it('has words for every fault, and one right rescue of three for every trouble', () => {
    for (const fault of FAULTS) expect(FAULT_WORDS[fault], fault).match(/\.$/);
    for (const choices of Object.values(PRACTICE_RESCUES)) {
      expect(choices).lengthOf(3);
      expect(choices.filter(({ isRight }) => isRight)).lengthOf(1);
    }
  });
});
