import { expect } from 'chai';
import fc from 'fast-check';
import { JOINT_KINDS } from '../model/catalogue.ts';
import { PART_SHAPES } from '../model/partShape.ts';
import { checkBuild, completeBuild } from './completeBuild.ts';
import { CONSTRUCTIONS } from './constructions.ts';
import {
  addJoint,
  addPart,
  changeJoint,
  changePart,
  joinParts,
  removeJoint,
  removePart,
  splitPart,
  type BuildDraft,
} from './editBuild.ts';

const draftOf = (key: string): BuildDraft => {
  const { parts, joints } = CONSTRUCTIONS.find((one) => one.key === key)!;
  return { parts: parts.map((part) => ({ ...part, sizes: {} })), joints };
};
const jointOf = (draft: BuildDraft, key: string) => draft.joints.find((joint) => joint.key === key);

describe('changing how a casting is built', () => {
  it('adds a part with the joint that holds it', () => {
    const draft = addPart(draftOf('post'), {
      ...{ name: 'Tow hook', shape: 'hook', material: 'steel' },
      held: { partKey: 'base', kind: 'peened pin' },
    });
    expect(draft.parts.at(-1)).deep.include({ key: 'tow-hook', role: 'trim', count: 1 });
    expect(draft.joints.at(-1)).deep.include({ key: 'tow-hook', kind: 'peened pin', partKeys: ['base', 'tow-hook'] });
    const loose = addPart(draft, { name: 'Tow hook', shape: 'load', material: 'paper', held: null });
    expect(loose.parts.at(-1)!.key).equal('tow-hook-2');
    expect(loose.joints).equal(draft.joints);
  });

  it('removes a part from its joints, and a joint that would hold one part only', () => {
    const draft = removePart(draftOf('post'), 'interior');
    expect(jointOf(draft, 'post')!.partKeys).deep.equal(['body', 'base']);
    expect(jointOf(removePart(draft, 'glazing'), 'glazing')).equal(undefined);
  });

  it('forgets what lay behind a joint that is gone', () => {
    const draft = removeJoint(draftOf('opening-parts'), 'front-post');
    expect(jointOf(draft, 'bonnet')!.behind).deep.equal(['rear-post']);
  });

  it('splits wheels into front and rear ones and joins them again', () => {
    const split = splitPart(draftOf('post'), 'wheels', ['Front wheels', 'Rear wheels']);
    expect(
      split.parts.filter(({ shape }) => shape === 'wheel').map(({ key, name, count }) => [key, name, count]),
    ).deep.equal([
      ['wheels', 'Front wheels', 2],
      ['rear-wheels', 'Rear wheels', 2],
    ]);
    expect(jointOf(split, 'axle-ends')!.partKeys).include('rear-wheels');
    const joined = joinParts(split, 'wheels', 'rear-wheels');
    expect(joined.parts.find(({ key }) => key === 'wheels')!.count).equal(4);
    expect(jointOf(joined, 'axle-ends')!.partKeys).deep.equal(['base', 'axles', 'wheels']);
    // What held the two together is gone, and glazing cast with its body is one piece.
    expect(jointOf(joinParts(draftOf('post'), 'body', 'glazing'), 'glazing')).equal(undefined);
    expect(joinParts(draftOf('post'), 'body', 'glazing').parts.find(({ key }) => key === 'body')!.count).equal(1);
  });

  it('works out what lies behind anew with every change, until somebody says otherwise', () => {
    const behindOf = (draft: BuildDraft, key: string) =>
      completeBuild(draft.parts, draft.joints).joints.find((joint) => joint.key === key)!.ways[0]!.behindJoints;
    const draft = addJoint(draftOf('post'), { label: 'rear screw', kind: 'screw', partKeys: ['body', 'base'] });
    expect(behindOf(draft, 'glazing')).deep.equal(['post', 'rear-screw']);
    expect(behindOf(changeJoint(draft, 'glazing', { behind: [] }), 'glazing')).deep.equal([]);
    expect(behindOf(draft, 'post')).deep.equal([]);
    expect(behindOf(changePart(draft, 'glazing', { role: 'trim' }), 'glazing')).deep.equal([]);
  });

  it('says what does not fit, where', () => {
    const { parts, joints } = draftOf('two-posts');
    expect(checkBuild(parts, joints)).deep.equal([]);
    const circle = changeJoint({ parts, joints }, 'front-post', { behind: ['glazing'] });
    expect(checkBuild(circle.parts, circle.joints)[0]!.message).match(/neither could be opened/);
    expect(checkBuild(parts, [{ ...joints[0]!, behind: ['front-post'] }])[0]!.message).match(/behind itself/);
    expect(checkBuild(parts, [{ ...joints[0]!, partKeys: ['body', 'roof'] }])[0]!.path).equal('joints.0.partKeys');
    expect(checkBuild([...parts, parts[0]!], joints)[0]!.message).equal('Body is on the list twice.');
  });

  it('keeps the ways that somebody wrote for a joint while its kind is the same', () => {
    const { parts, joints } = completeBuild(draftOf('post').parts, draftOf('post').joints);
    const own = joints.map((joint) => ({
      ...joint,
      ways: joint.ways.map((way) => ({ ...way, key: 'way-1', minutes: 33, behindJoints: ['gone', 'axle-ends'] })),
    }));
    const again = completeBuild(parts, draftOf('post').joints, own).joints;
    expect(again.map(({ ways }) => ways[0]!.minutes)).deep.equal([33, 33, 33]);
    expect(again[1]!.ways[0]!.behindJoints).deep.equal(['axle-ends']);
    const other = changeJoint(draftOf('post'), 'post', { kind: 'screw' });
    expect(completeBuild(parts, other.joints, own).joints[0]!.ways[0]!.minutes).equal(2);
  });

  it('always fits together whatever is done to it, but for what somebody said (property)', () => {
    const pick = fc.nat({ max: 30 });
    const act = fc.tuple(fc.constantFrom('add', 'remove', 'unjoin', 'split', 'join', 'hold', 'look'), pick, pick);
    fc.assert(
      fc.property(fc.constantFrom(...CONSTRUCTIONS), fc.array(act, { maxLength: 12 }), ({ key }, acts) => {
        let draft = draftOf(key);
        for (const [what, a, b] of acts) {
          const one = draft.parts[a % Math.max(1, draft.parts.length)]?.key;
          const two = draft.parts[b % Math.max(1, draft.parts.length)]?.key;
          const joint = draft.joints[a % Math.max(1, draft.joints.length)]?.key;
          const shape = PART_SHAPES[b % PART_SHAPES.length]!;
          const kind = JOINT_KINDS[b % JOINT_KINDS.length]!;
          if (what === 'add')
            draft = addPart(draft, {
              name: shape,
              shape,
              material: 'steel',
              held: one ? { partKey: one, kind } : null,
            });
          else if (what === 'unjoin' && joint) draft = removeJoint(draft, joint);
          else if (!one || !two) continue;
          else if (what === 'remove') draft = removePart(draft, one);
          else if (what === 'split') draft = splitPart(draft, one, ['First', 'Second']);
          else if (what === 'join') draft = joinParts(draft, one, two);
          else if (what === 'hold' && joint)
            draft = changeJoint(draft, joint, { partKeys: [...new Set([one, two, 'body'])] });
          else draft = changePart(draft, one, { shape });
          const wrong = checkBuild(draft.parts, draft.joints).filter(({ path }) => !path.endsWith('partKeys'));
          // Only what was said to lie behind something can contradict the rest, and then it is named.
          if (draft.joints.every(({ behind }) => behind === null)) expect(wrong).deep.equal([]);
          else for (const { message } of wrong) expect(message).match(/neither could be opened/);
        }
      }),
    );
  });
});
