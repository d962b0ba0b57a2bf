import { createSeededRandom, pickOne } from '../../src/numeric/seededRandom.ts';
import type { PlanInput } from '../../src/compile/planTypes.ts';
import type { PlanJoint } from '../../src/facts/specimenFacts.ts';
import { makeCoat, makeFinding, makeJoint, makePart } from './planWorld.ts';

const ROLES = ['trim', 'load', 'mechanism', 'wheel', 'axle', 'interior', 'glazing'] as const;

/** A model of many parts, each opened, most of them stripped and painted in one of three colours. */
export function createLargeModel(seed: number, count = 40): PlanInput {
  const random = createSeededRandom(seed);
  const parts = Array.from({ length: count }, (_, i) => {
    const role = i === 0 ? 'body' : i === 1 ? 'base' : pickOne(ROLES, random);
    const isMetal = role !== 'interior' && role !== 'glazing' && random() < 0.8;
    const colourHex = pickOne(['#6a2330', '#222222', '#e6d9b4'], random);
    return makePart(`p${i}`, {
      role,
      material: isMetal ? (role === 'axle' ? 'steel' : 'zinc alloy') : 'hard plastic',
      painted: isMetal,
      coats: isMetal ? [makeCoat('primer'), makeCoat('colour', { colourHex, name: colourHex })] : [],
      findings: random() < 0.2 ? [makeFinding(pickOne(['bent', 'cracked', 'rust', 'scuffed'] as const, random))] : [],
    });
  });
  const opening: PlanJoint[] = parts
    .slice(1)
    .map((part, i) =>
      makeJoint(
        `j${i}`,
        part.role === 'axle' ? 'formed axle' : pickOne(['rivet post', 'screw', 'push fit'] as const, random),
        ['p0', part.key],
      ),
    );
  return {
    scope: 'full',
    parts,
    opening,
    closed: [],
    decisions: {},
    reasons: {},
    hasSecondWheels: true,
    sessionMin: 120,
  };
}
