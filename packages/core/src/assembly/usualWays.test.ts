import { expect } from 'chai';
import { makeWay } from '../../test/support/planWorld.ts';
import { SCHOOL_OPTIONS } from '../model/school.ts';
import { addWaysOfKind } from './usualWays.ts';

const labels = (ways: ReturnType<typeof addWaysOfKind>) => ways.map((way) => way.label);

describe('ways of a joint', () => {
  it('answer every way of opening a rivet and of getting an axle out, on a casting that names none', () => {
    const answersOf = (kind: 'rivet post' | 'formed axle') => addWaysOfKind(kind, []).map((way) => way.school?.option);
    expect(answersOf('rivet post')).deep.equal([...SCHOOL_OPTIONS.S3]);
    expect(answersOf('formed axle')).have.members(['grind one head', 'pull', 'cut through']);
  });

  it('are the casting’s own first, each answer once for a tool', () => {
    const own = [
      makeWay({
        ...{ key: 'own', label: 'Grind each head', tool: 'rotary', destroys: 'heads' },
        school: { key: 'S4', option: 'grind one head' },
      }),
    ];
    expect(labels(addWaysOfKind('formed axle', own))).deep.equal([
      'Grind each head',
      'File the dome off and pull the axle',
      'Nip the heads off with cutters',
    ]);
  });

  it('take a drill without an answer for the one with a pilot, and lie behind the same joints', () => {
    const own = [makeWay({ tool: 'drill', destroys: 'the head', behindJoints: ['lid'] })];
    const ways = addWaysOfKind('rivet post', own);
    expect(ways[0]!.school?.option).equal('pilot first');
    expect(ways.map((way) => way.behindJoints)).deep.equal([['lid'], ['lid'], ['lid']]);
  });

  it('add nothing that destroys where the casting has a way that does not', () => {
    const slots = [makeWay({ label: 'Lift it out of its slots' })];
    expect(addWaysOfKind('formed axle', slots)).deep.equal(slots);
    expect(addWaysOfKind('screw', [makeWay({ tool: 'drill', destroys: 'the head' })])).length(1);
  });
});
