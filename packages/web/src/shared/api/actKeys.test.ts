import { expect } from 'chai';
import { keyOfAct, noteAnswered, noteUnanswered } from './actKeys.ts';

describe('the key of an act', () => {
  it('stays while no answer came: pressed twice, or sent again after the connection was lost', () => {
    const key = keyOfAct('pour');
    expect(keyOfAct('pour')).equal(key);
    noteUnanswered('pour');
    expect(keyOfAct('pour')).equal(key);
    noteAnswered('pour');
    expect(keyOfAct('pour')).not.equal(key);
  });

  it('is another for another act, and for the same one meant again', () => {
    const [one, other] = [keyOfAct('wash'), keyOfAct('dry')];
    expect(one).not.equal(other);
    noteAnswered('wash');
    expect(keyOfAct('wash')).not.equal(one);
    expect(keyOfAct('dry')).equal(other);
  });

  it('is forgotten for the oldest of very many that got no answer', () => {
    const first = keyOfAct('note 0');
    for (let i = 0; i < 300; i++) {
      keyOfAct(`note ${i}`);
      noteUnanswered(`note ${i}`);
    }
    expect(keyOfAct('note 0')).not.equal(first);
    const last = keyOfAct('note 299');
    expect(keyOfAct('note 299')).equal(last);
  });
});
