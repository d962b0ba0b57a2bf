import type { OpeningModel, OpeningPlan } from '../assembly/openingModel.ts';
import { planOpening, type PlanLimits } from '../assembly/planOpening.ts';
import { orderOpenings } from '../assembly/replayOpening.ts';
import { createOpeningModel, selectAwaiting, selectHolding, type PreparedOpening } from './createOpeningModel.ts';
import { findBrittle } from './findBrittle.ts';
import type { ClosedJoint, Opening, PlanJoint } from '../facts/specimenFacts.ts';
import type { OpeningQuestion } from './openingQuestion.ts';
import { sayInsteadOf } from './sayInsteadOf.ts';

/** Joints in the order in which they are opened, and the ones that stay closed, with how that was found. */
export interface ChosenOpening extends Opening {
  readonly plan: OpeningPlan;
  readonly prepared: PreparedOpening;
}

/** A model that is only cleaned stays closed, and one without joints is in one piece. */
export const comesApart = ({ scope, joints }: Pick<OpeningQuestion, 'scope' | 'joints'>): boolean =>
  scope !== 'clean only' && joints.length > 0;

/**
 * Which joints of a specimen are opened, in which way and order, and which stay closed: the cheapest plan that brings apart
 * what must not get the same treatment (planOpening). Joints of missing parts are closed again with the new part, so they
 * count as opened. A model that is only cleaned stays closed.
 */
export function chooseOpening(question: OpeningQuestion, limits: PlanLimits = {}): ChosenOpening {
  const prepared = createOpeningModel(comesApart(question) ? question : { ...question, joints: [] });
  const plan = planOpening(prepared.model, limits);
  const steps = sortOpenFirst(question, prepared.model, plan);
  const opened = steps.map((step) => describeStep(question, step));
  const closed = listClosed(question, plan);
  return {
    opening: [...opened, ...describeAwaiting(question, closed)],
    closed,
    plan,
    prepared,
  };
}

/** Each by a way that nothing closed stands in. */
function describeAwaiting(question: OpeningQuestion, closed: Opening['closed']): PlanJoint[] {
  if (!comesApart(question)) return [];
  const isReached = (way: PlanJoint['way']) => way.behindJoints.every((key) => closed.every((one) => one.key !== key));
  return selectAwaiting(question).flatMap((joint) => {
    const way = joint.ways.find(isReached);
    return way ? [describeJoint(joint, way)] : [];
  });
}

/** What is open already stands first, the others in the construction's own order: all posts in one go. */
function sortOpenFirst(question: OpeningQuestion, model: OpeningModel, plan: OpeningPlan) {
  const isOpen = (jointKey: string) => question.joints.find((joint) => joint.key === jointKey)?.openedBy !== undefined;
  const isBrittle = (jointKey: string) =>
    findBrittle(
      question.joints.find((joint) => joint.key === jointKey)!,
      question.parts,
    ) !== null;
  // What is brittle is handled last, when nothing beside it is worked on any more.
  const place = ({ jointKey }: { readonly jointKey: string }) =>
    question.joints.findIndex((joint) => joint.key === jointKey) +
    question.joints.length * (isOpen(jointKey) ? 0 : isBrittle(jointKey) ? 2 : 1);
  const sorted = [...plan.steps].sort((a, b) => place(a) - place(b));
  return orderOpenings(model, sorted) ?? plan.steps;
}

/** Joints that hold something and stay closed. */
export function listClosed(question: OpeningQuestion, plan: OpeningPlan): Opening['closed'] {
  const openKeys = new Set(plan.steps.map((step) => step.jointKey));
  return selectHolding(question)
    .filter(({ key }) => !openKeys.has(key))
    .map(selectClosed);
}

/** Field by field: what else is known of a joint must not reach the plan. */
const selectClosed = ({ key, label, kind, partKeys, condition }: ClosedJoint): ClosedJoint => ({
  ...{ key, label, kind, partKeys },
  ...(condition ? { condition } : {}),
});

/** The joint that a step of a plan opens, with the way it takes. */
export function describeStep(question: OpeningQuestion, { jointKey, wayKey }: OpeningPlan['steps'][number]): PlanJoint {
  const joint = question.joints.find((one) => one.key === jointKey)!;
  const way = joint.ways.find((one) => one.key === wayKey)!;
  const insteadOf = sayInsteadOf(joint, way, question);
  return { ...describeJoint(joint, way), ...(insteadOf ? { insteadOf } : {}) };
}

const describeJoint = (joint: OpeningQuestion['joints'][number], way: PlanJoint['way']): PlanJoint => ({
  ...selectClosed(joint),
  way,
});
