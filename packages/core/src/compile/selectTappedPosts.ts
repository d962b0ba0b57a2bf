import { judgePart } from '../process/judgePart.ts';
import type { PlanJoint } from '../facts/specimenFacts.ts';
import type { PlanInput } from './planTypes.ts';
import { chooseOption } from '../schools/schools.ts';

/**
 * Keys of the rivet posts that get a thread for a closing screw: all of them, only the first one when the others get
 * false heads, or none when false rivets are glued. Re-bent tabs are for tabs; a post that was drilled takes a screw.
 */
export function selectTappedPosts(input: Pick<PlanInput, 'opening' | 'decisions' | 'parts'>): ReadonlySet<string> {
  const isBored = (joint: PlanJoint) => {
    const post = input.parts.find((part) => part.key === joint.partKeys[0]);
    return post === undefined || judgePart([post.material], 'drilling').verdict !== 'never';
  };
  const posts = input.opening
    .filter((joint) => joint.kind === 'rivet post' && isBored(joint))
    .map((joint) => joint.key);
  const option = chooseOption('S2', input.decisions);
  if (option === 'glued false rivet') return new Set();
  return new Set(option === 'one screw and false heads' ? posts.slice(0, 1) : posts);
}
