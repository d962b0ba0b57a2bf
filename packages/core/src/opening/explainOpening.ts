import { computeMaskingPrice, listNeeds, findWay } from '../assembly/replayOpening.ts';
import { RISK_WEIGHT_MIN, type OpeningModel, type OpeningPlan } from '../assembly/openingModel.ts';
import { planOpening } from '../assembly/planOpening.ts';
import { chooseOpening, describeStep, listClosed, type ChosenOpening } from './chooseOpening.ts';
import { createOpeningModel, MASKING_MIN, priceWay } from './createOpeningModel.ts';
import { describePieces } from '../facts/describePieces.ts';
import { capitalise, listNames } from '../words/names.ts';
import type { KnownJoint } from '../facts/specimenFacts.ts';
import type { OpeningPart, OpeningQuestion } from './openingQuestion.ts';

/** Why one joint is opened or left closed, and what the other choice would cost. */
export interface JointReason {
  readonly jointKey: string;
  readonly label: string;
  readonly isOpened: boolean;
  readonly isOpenAlready: boolean;
  /** It was found open: nobody opened it here, and it is no cut. */
  readonly isFoundOpen: boolean;
  readonly because: string;
  /** Minutes, damage weighed in, that the best plan with the other choice costs more; null where there is none. */
  readonly otherwiseMin: number | null;
  /** Work that the other choice would make impossible, whatever it costs. */
  readonly forgoes: readonly string[];
}

/** A whole way of going about it. */
export interface OpeningAlternative {
  readonly name: 'this plan' | 'open nothing' | 'open everything' | 'mask what can be masked';
  readonly jointCount: number;
  readonly minutes: number;
  /** Expected number of damages, the sum of the chances. */
  readonly expectedDamages: number;
  readonly maskingMin: number;
  /** Minutes, damage and masking together. */
  readonly price: number;
  /** Painted parts that could not be stripped. */
  readonly keepOldPaint: readonly string[];
}

/** The reason for every joint, in the order of the plan, closed ones last. */
export function explainJoints(question: OpeningQuestion, chosen: ChosenOpening): JointReason[] {
  if (question.scope === 'clean only') return [];
  const { model, fixed } = chosen.prepared;
  const opened = chosen.plan.steps.map((step) => step.jointKey);
  const isOpened = (key: string) => opened.includes(key);
  return [...opened, ...chosen.closed.map((joint) => joint.key)].map((jointKey) => {
    const joint = question.joints.find((one) => one.key === jointKey)!;
    const own = fixed.get(jointKey);
    return {
      jointKey,
      label: joint.label,
      isOpened: isOpened(jointKey),
      isOpenAlready: joint.openedBy !== undefined,
      isFoundOpen: joint.openedBy !== undefined && joint.condition !== undefined,
      because: explainJoint(question, chosen, jointKey),
      otherwiseMin:
        joint.openedBy === undefined && !own?.isMust
          ? priceOther(model, chosen.plan, jointKey, isOpened(jointKey))
          : null,
      forgoes: isOpened(jointKey) && joint.openedBy === undefined ? listForgone(question, chosen, jointKey) : [],
    };
  });
}

/** Why a joint is opened or left closed. */
export function explainJoint(question: OpeningQuestion, chosen: ChosenOpening, jointKey: string): string {
  const joint = question.joints.find((one) => one.key === jointKey)!;
  const { insteadOf } = chosen.opening.find((one) => one.key === jointKey) ?? {};
  return explainChoice(question, chosen, joint) + (insteadOf ? ` ${insteadOf}` : '');
}

function explainChoice(question: OpeningQuestion, chosen: ChosenOpening, joint: KnownJoint): string {
  const jointKey = joint.key;
  const own = chosen.prepared.fixed.get(jointKey);
  if (own) return capitalise(`${own.because}.`);
  if (
    chosen.closed.every((one) => one.key !== jointKey) &&
    chosen.plan.steps.every((step) => step.jointKey !== jointKey)
  )
    return explainAwaiting(question, joint);
  return chosen.plan.steps.some((step) => step.jointKey === jointKey)
    ? explainOpened(question, chosen, joint)
    : explainClosed(question, chosen, joint);
}

/** It holds nothing now, because what it held is missing. */
function explainAwaiting({ parts }: OpeningQuestion, joint: KnownJoint): string {
  const missing = parts.filter((part) => joint.partKeys.includes(part.key) && part.state === 'missing');
  const names = listNames(missing.map((part) => part.name.toLowerCase()));
  return `It is open: missing ${names}. It is closed with the new part.`;
}

/** This plan beside opening nothing, opening everything, and masking whatever can be masked. */
export function compareAlternatives(question: OpeningQuestion, chosen: ChosenOpening): OpeningAlternative[] {
  const wishAll = (wish: 'open' | 'closed') =>
    chooseOpening({
      ...question,
      joints: question.joints.map((joint) => (joint.openedBy === undefined ? { ...joint, wish } : joint)),
    });
  const alternatives: (readonly [OpeningAlternative['name'], ChosenOpening])[] = [
    ['this plan', chosen],
    ['mask what can be masked', preferMasking(question, chosen)],
    ['open everything', wishAll('open')],
    ['open nothing', wishAll('closed')],
  ];
  return alternatives.map(([name, one]) => describeAlternative(name, question, one));
}

function describeAlternative(
  name: OpeningAlternative['name'],
  question: OpeningQuestion,
  { opening, closed, plan, prepared }: ChosenOpening,
): OpeningAlternative {
  const stepKeys = new Set(plan.steps.map((step) => step.jointKey));
  const ways = opening.filter((joint) => stepKeys.has(joint.key) && !isOpen(question, joint.key));
  const minutes = ways.reduce((sum, joint) => sum + joint.way.minutes, 0);
  const expectedDamages = ways.reduce((sum, joint) => sum + joint.way.risk, 0);
  const maskingMin = computeMaskingPrice(prepared.model, (key) => stepKeys.has(key));
  const pieces = describePieces(question.parts, closed);
  return {
    name,
    jointCount: ways.length,
    minutes,
    expectedDamages,
    maskingMin,
    price: minutes + RISK_WEIGHT_MIN * expectedDamages + maskingMin,
    keepOldPaint: question.parts
      .filter((part) => prepared.treatments.get(part.key)?.isStripped && pieces.findSheltered(part.key) !== null)
      .map((part) => part.name),
  };
}

const isOpen = (question: OpeningQuestion, key: string) =>
  question.joints.some((joint) => joint.key === key && joint.openedBy !== undefined);

/** Opens only what no mask can save: every opening is made dear, but what would cost the stripping dearer still. */
function preferMasking(question: OpeningQuestion, { prepared }: ChosenOpening): ChosenOpening {
  const dear = 1000;
  const model: OpeningModel = {
    joints: prepared.model.joints.map((joint) => ({
      ...joint,
      ways: joint.ways.map((way) => ({ ...way, price: way.price + dear })),
    })),
    parts: prepared.model.parts.map((part) => ({
      ...part,
      maskPrice: Object.fromEntries(
        Object.entries(part.maskPrice).map(([key, price]) => [
          key,
          price >= MASKING_MIN.wheelsLeftOn ? price + dear * 100 : price,
        ]),
      ),
    })),
  };
  const plan = planOpening(model);
  return {
    plan,
    prepared,
    opening: plan.steps.map((step) => describeStep(question, step)),
    closed: listClosed(question, plan),
  };
}

/** The best plan in which this joint is treated the other way, minus this plan. */
function priceOther(model: OpeningModel, plan: OpeningPlan, jointKey: string, isOpened: boolean): number | null {
  const wish = isOpened ? ('closed' as const) : ('open' as const);
  const joints = model.joints.map((joint) => (joint.key === jointKey ? { ...joint, wish } : joint));
  try {
    return planOpening({ ...model, joints }).price - plan.price;
  } catch {
    // Other wishes leave no room for it.
    return null;
  }
}

/** What a part must be taken out for, and could not be if this joint stayed closed. */
function listForgone(question: OpeningQuestion, { prepared }: ChosenOpening, jointKey: string): string[] {
  const joints = question.joints.map((joint) =>
    joint.key === jointKey ? { ...joint, wish: 'closed' as const } : joint,
  );
  const { fixed } = createOpeningModel({ ...question, joints });
  const musts = [...prepared.fixed].filter(([key, { isMust }]) => isMust && fixed.get(key)?.wish !== 'open');
  return [...new Set(musts.map(([, { because }]) => because))];
}

function explainOpened(question: OpeningQuestion, chosen: ChosenOpening, joint: KnownJoint): string {
  const others = chosen.closed.filter((one) => one.key !== joint.key);
  const apart = describePieces(question.parts, others);
  const sides = joint.partKeys.map((key) => [
    ...question.parts.filter((part) => part.key === key && part.state !== 'missing'),
    ...apart.neighboursOf(key),
  ]);
  const quarrel = findQuarrel(sides, chosen);
  if (quarrel && quarrel.price >= MASKING_MIN.wheelsLeftOn) return quarrel.words;
  const step = chosen.plan.steps.find((one) => {
    const way = findWay(chosen.prepared.model, one.jointKey, one.wayKey);
    return listNeeds(chosen.prepared.model, way, one.jointKey).includes(joint.key);
  });
  const behind = question.joints.find((one) => one.key === step?.jointKey);
  if (behind) return `It stands in the way of the ${behind.label}.`;
  return quarrel?.words ?? 'With the other joints between these parts it keeps apart what is treated differently.';
}

/** The dearest pair of parts that would stay together, in words. */
function findQuarrel(sides: readonly (readonly OpeningPart[])[], { prepared }: ChosenOpening) {
  let worst: { price: number; words: string } | null = null;
  for (const [i, side] of sides.entries()) {
    for (const part of side) {
      const own = prepared.treatments.get(part.key)!;
      for (const other of sides.filter((_, j) => j !== i).flat()) {
        if (other.key === part.key) continue;
        const theirs = prepared.treatments.get(other.key)!;
        const price = prepared.model.parts.find((one) => one.key === part.key)!.maskPrice[theirs.key] ?? 0;
        if (own.key === theirs.key || price <= (worst?.price ?? 0)) continue;
        const dear =
          own.isStripped && theirs.isStripped ? 'stripper would stay in the seam' : 'no mask keeps the stripper away';
        const whatIf = price >= MASKING_MIN.keepsOldPaint ? dear : `masked it would cost ${price} min`;
        worst = {
          price,
          words: `${capitalise(part.name)}: ${own.words}. ${capitalise(other.name)}: ${theirs.words}; ${whatIf}.`,
        };
      }
    }
  }
  return worst as { price: number; words: string } | null;
}

function explainClosed(question: OpeningQuestion, chosen: ChosenOpening, joint: KnownJoint): string {
  const own = question.parts.filter((part) => joint.partKeys.includes(part.key) && part.state !== 'missing');
  const names = listNames(own.map((part) => part.name.toLowerCase()));
  const treatments = own.map((part) => chosen.prepared.treatments.get(part.key)!);
  const pieces = describePieces(question.parts, chosen.closed);
  const inPiece = new Set(own.flatMap((part) => [part.key, ...pieces.neighboursOf(part.key).map((one) => one.key)]));
  const masks = pieces.masked.filter(({ part }) => inPiece.has(part.key));
  if (masks.length > 0 && new Set(treatments.map((one) => one.key)).size > 1) {
    const cheapest = Math.min(...joint.ways.map(priceWay));
    return `Masking the ${listNames(masks.map(({ part }) => part.name.toLowerCase()))} costs less than opening it (${Math.round(cheapest)} min, damage weighed in).`;
  }
  if (treatments.every((one) => one.key === treatments[0]!.key))
    return `${capitalise(names)} get the same: ${treatments[0]!.kind === 'wash' ? 'soap and water, no stripper' : treatments[0]!.words}.`;
  return `Nothing that one of them gets harms the others: ${names}.`;
}
