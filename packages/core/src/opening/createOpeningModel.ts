import type { ModelJoint, ModelPart, OpeningModel } from '../assembly/openingModel.ts';
import { RISK_WEIGHT_MIN } from '../assembly/openingModel.ts';
import type { JointWay } from '../model/catalogue.ts';
import { isMetal } from '../model/material.ts';
import { BRITTLE_RISK, findBrittle } from './findBrittle.ts';
import { selectStandableWays } from './selectStandableWays.ts';
import { sayCondition } from '../words/sayCondition.ts';
import {
  chooseTreatment,
  findReasonToStandAlone,
  isPestSuspect,
  isReplaced,
  wearsKeptPaint,
  type Treatment,
} from '../facts/chooseTreatment.ts';
import type { KnownJoint } from '../facts/specimenFacts.ts';
import type { Decisions } from '../model/school.ts';
import type { OpeningPart, OpeningQuestion } from './openingQuestion.ts';
import { chooseOption, getSchool } from '../schools/schools.ts';

/** Minutes, damage weighed in (planning estimates). */
export const MASKING_MIN = {
  /** A line between two colours on parts that stay joined. */
  twoColours: 10,
  /** Stripper would be brushed over a seam that stays closed: what creeps in comes out under the new coats. */
  strippedSeam: 120,
  /** Bare metal beside paint. */
  bare: 8,
  /** Wheels and axles that stay on, where the school asks to take them off: stripper and paint reach them. */
  wheelsLeftOn: 45,
  /** Plastic beside paint, where nothing is stripped. */
  plastic: 15,
  /** What must not meet stripper stays inside: everything around it keeps its old paint and is painted over. */
  keepsOldPaint: 120,
} as const;

/** Why a joint may not, or must, be opened before anything is reckoned. */
export interface Fixed {
  readonly wish: 'open' | 'closed';
  readonly because: string;
  /** The work itself asks for it, which no price weighs up. */
  readonly isMust?: boolean;
}

export interface PreparedOpening {
  readonly model: OpeningModel;
  readonly treatments: ReadonlyMap<string, Treatment>;
  readonly fixed: ReadonlyMap<string, Fixed>;
}

/**
 * The opening problem of one specimen: present parts with their treatments and masking prices, joints with the ways that the
 * schools allow. A way's price is its minutes plus 60 for one certain damage (planning estimate).
 *
 * A joint is fixed open where a part must stand alone, fixed closed by a wish, by a school (never opened; axles left and
 * masked), or where a part shows signs of pest: that opens only by explicit wish. What has no way left stays closed.
 */
export function createOpeningModel(question: OpeningQuestion): PreparedOpening {
  const parts = question.parts.filter((part) => part.state !== 'missing');
  const treatments = new Map(parts.map((part) => [part.key, chooseTreatment(part, question.decisions)]));
  const joints = selectHolding(question);
  const fixed = fixJoints(question, joints);
  const keys = new Set(joints.map((joint) => joint.key));
  return {
    treatments,
    fixed,
    model: {
      parts: parts.map((part) => createModelPart(part, treatments, question.decisions)),
      joints: joints.map((joint): ModelJoint => {
        const wish = fixed.get(joint.key)?.wish;
        return {
          key: joint.key,
          partKeys: joint.partKeys.filter((key) => treatments.has(key)),
          ways: selectWays(joint, question).map((way) => ({
            key: way.key,
            price: joint.openedBy === undefined ? priceWay(weighBrittle(way, joint, parts)) : 0,
            behindJoints: joint.openedBy === undefined ? way.behindJoints.filter((key) => keys.has(key)) : [],
            behindParts: [],
          })),
          ...(wish ? { wish } : {}),
        };
      }),
    },
  };
}

const selectEasiest = (joint: KnownJoint) => joint.ways.reduce((a, b) => (priceWay(b) < priceWay(a) ? b : a));

/** What is brittle breaks when it flexes. */
function weighBrittle(way: JointWay, joint: KnownJoint, parts: readonly OpeningPart[]): JointWay {
  return findBrittle(joint, parts) ? { ...way, risk: Math.min(0.9, BRITTLE_RISK * way.risk) } : way;
}

export const priceWay = (way: JointWay): number => way.minutes + RISK_WEIGHT_MIN * way.risk;

/** Joints that still hold two parts together; one that held a missing part is open already. */
export function selectHolding({ parts, joints }: Pick<OpeningQuestion, 'parts' | 'joints'>): KnownJoint[] {
  const isThere = (key: string) => parts.some((part) => part.key === key && part.state !== 'missing');
  return joints.filter((joint) => joint.partKeys.filter(isThere).length > 1);
}

/** Joints of a missing part: open already, and closed again with the new part unless that is waived. */
export function selectAwaiting({ parts, joints }: OpeningQuestion): KnownJoint[] {
  const isAwaited = (part: OpeningPart) => part.state === 'missing' && isReplaced(part);
  const holding = new Set(selectHolding({ parts, joints }).map((joint) => joint.key));
  return joints.filter(
    (joint) => !holding.has(joint.key) && parts.some((part) => joint.partKeys.includes(part.key) && isAwaited(part)),
  );
}

/** The ways that the materials stand; of those the school's answer, all of them where that is not to be had. */
function selectWays(joint: KnownJoint, { parts, decisions }: OpeningQuestion): readonly JointWay[] {
  if (joint.openedBy !== undefined) return joint.ways.filter((way) => way.key === joint.openedBy);
  const allowed = selectStandableWays(joint, parts);
  const chosen = allowed.filter((way) => way.school && chooseOption(way.school.key, decisions) === way.school.option);
  return chosen.length ? chosen : allowed;
}

function fixJoints(question: OpeningQuestion, joints: readonly KnownJoint[]): Map<string, Fixed> {
  const { parts, decisions } = question;
  const neverOpened = chooseOption('S2', decisions) === 'never opened';
  const keepsAxles = chooseOption('S4', decisions) === 'leave and mask';
  const fixed = new Map<string, Fixed>();
  for (const joint of joints) {
    const own = parts.filter((part) => joint.partKeys.includes(part.key) && part.state !== 'missing');
    const pest = own.find(isPestSuspect);
    if (joint.openedBy !== undefined)
      fixed.set(joint.key, {
        wish: 'open',
        because: joint.condition ? `it was found ${sayCondition(joint.condition)}` : 'it is open already',
      });
    else if (joint.wish)
      fixed.set(joint.key, {
        wish: joint.wish,
        because: joint.wish === 'open' ? 'you want it open' : 'you want it left closed',
      });
    else if (pest)
      fixed.set(joint.key, {
        wish: 'closed',
        because: `the ${pest.name.toLowerCase()} shows signs of pest: it is opened only if you say so`,
      });
    else if (joint.kind === 'solder' && own.some((part) => part.findings.some((finding) => finding.kind === 'broken')))
      fixed.set(joint.key, { wish: 'open', because: 'it is adrift, and made anew', isMust: true });
    else if (neverOpened && joint.kind === 'rivet post')
      fixed.set(joint.key, { wish: 'closed', because: `${getSchool('S2').question.toLowerCase()}: never opened` });
    else if (keepsAxles && joint.kind === 'formed axle')
      fixed.set(joint.key, { wish: 'closed', because: `${getSchool('S4').question.toLowerCase()}: leave and mask` });
  }
  for (const joint of joints)
    if (!fixed.has(joint.key) || fixed.get(joint.key)!.wish === 'open')
      if (selectWays(joint, question).length === 0)
        fixed.set(joint.key, { wish: 'closed', because: 'no way to open it is harmless to what it holds' });
  closeUnreachable(joints, fixed);
  for (const awaiting of selectAwaiting(question))
    for (const key of selectEasiest(awaiting).behindJoints)
      if (joints.some((joint) => joint.key === key) && !fixed.has(key))
        fixed.set(key, { wish: 'open', because: `the new part goes in behind it (${awaiting.label})`, isMust: true });
  for (const part of parts) {
    const because = part.state === 'missing' ? null : findReasonToStandAlone(part, decisions);
    if (!because) continue;
    for (const joint of joints.filter((one) => one.partKeys.includes(part.key)))
      if (!fixed.has(joint.key))
        fixed.set(joint.key, { wish: 'open', because: `${part.name.toLowerCase()}: ${because}`, isMust: true });
  }
  return fixed;
}

/** What lies behind a joint that stays closed stays closed too, wished or not. */
function closeUnreachable(joints: readonly KnownJoint[], fixed: Map<string, Fixed>): void {
  const keys = new Set(joints.map((joint) => joint.key));
  const reached = new Set<string>();
  for (let before = -1; before !== reached.size;) {
    before = reached.size;
    for (const { key, ways, openedBy } of joints) {
      if (fixed.get(key)?.wish === 'closed') continue;
      const isReady = ways.some((way) => way.behindJoints.every((other) => reached.has(other) || !keys.has(other)));
      if (openedBy !== undefined || isReady) reached.add(key);
    }
  }
  for (const { key, ways } of joints) {
    if (reached.has(key) || fixed.get(key)?.wish === 'closed') continue;
    const before = [...new Set(ways.flatMap((way) => way.behindJoints))]
      .filter((other) => keys.has(other) && !reached.has(other))
      .map((other) => joints.find((joint) => joint.key === other)!.label);
    fixed.set(key, { wish: 'closed', because: `it lies behind the ${before.join(' and the ')}, which stays closed` });
  }
}

function createModelPart(
  part: OpeningPart,
  treatments: ReadonlyMap<string, Treatment>,
  decisions: Decisions,
): ModelPart {
  const own = treatments.get(part.key)!;
  const others = new Map([...treatments.values()].map((treatment) => [treatment.key, treatment]));
  return {
    key: part.key,
    treatment: own.key,
    maskPrice: Object.fromEntries(
      [...others.values()].map((other) => [other.key, priceMasking(part, own, other, decisions)]),
    ),
  };
}

/** What it costs that a part stays in one piece with something that gets another treatment. */
function priceMasking(part: OpeningPart, own: Treatment, other: Treatment, decisions: Decisions): number {
  if (other.kind !== 'paint') return 0;
  if (own.kind === 'left alone') return MASKING_MIN.keepsOldPaint;
  if (own.kind === 'paint' && isMetal(part.material))
    return own.isStripped && other.isStripped ? MASKING_MIN.strippedSeam : MASKING_MIN.twoColours;
  if (wearsKeptPaint(part) && other.isStripped) return MASKING_MIN.keepsOldPaint;
  if (own.kind === 'bare') {
    const isRunning = part.role === 'axle' || part.role === 'wheel';
    return isRunning && chooseOption('S4', decisions) !== 'leave and mask'
      ? MASKING_MIN.wheelsLeftOn
      : MASKING_MIN.bare;
  }
  return other.isStripped ? MASKING_MIN.keepsOldPaint : MASKING_MIN.plastic;
}
