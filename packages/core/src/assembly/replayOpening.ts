import type { ModelPart, ModelWay, OpeningModel, PlannedOpening } from './openingModel.ts';

/** Joints that must be open before a way can be used: those named, and every one that touches a part which must be out. */
export function listNeeds({ joints }: OpeningModel, way: ModelWay, jointKey: string): string[] {
  const touching = joints.filter(
    (joint) => joint.key !== jointKey && joint.partKeys.some((key) => way.behindParts.includes(key)),
  );
  return [...new Set([...way.behindJoints, ...touching.map((joint) => joint.key)])];
}

/** The steps in an order in which each can be reached; null when some lie behind each other. */
export function orderOpenings(model: OpeningModel, chosen: readonly PlannedOpening[]): PlannedOpening[] | null {
  const open = new Set<string>();
  const order: PlannedOpening[] = [];
  let left = [...chosen];
  while (left.length > 0) {
    const ready = left.filter(({ jointKey, wayKey }) => {
      const way = findWay(model, jointKey, wayKey);
      return listNeeds(model, way, jointKey).every((key) => open.has(key));
    });
    if (ready.length === 0) return null;
    for (const step of ready) open.add(step.jointKey);
    order.push(...ready);
    left = left.filter((step) => !open.has(step.jointKey));
  }
  return order;
}

export const findWay = (model: OpeningModel, jointKey: string, wayKey: string): ModelWay =>
  model.joints.find((joint) => joint.key === jointKey)!.ways.find((way) => way.key === wayKey)!;

/**
 * What stays in one piece must be masked against every treatment in it but a part's own. Infinite where a part may not be
 * masked at all.
 */
export function computeMaskingPrice(model: OpeningModel, isOpen: (jointKey: string) => boolean): number {
  const treatmentsOf = findTreatments(model, isOpen);
  return model.parts.reduce((sum, part) => sum + priceMask(part, treatmentsOf(part.key)), 0);
}

/** Keys of the parts that would have to be masked and may not be. */
export function listUnmaskable(model: OpeningModel, isOpen: (jointKey: string) => boolean): string[] {
  const treatmentsOf = findTreatments(model, isOpen);
  return model.parts.filter((part) => priceMask(part, treatmentsOf(part.key)) === Infinity).map(({ key }) => key);
}

const priceMask = (part: ModelPart, treatments: ReadonlySet<string>): number =>
  [...treatments].reduce(
    (sum, treatment) => (treatment === part.treatment ? sum : sum + (part.maskPrice[treatment] ?? Infinity)),
    0,
  );

/** The treatments of the piece that a part lies in. */
function findTreatments({ parts, joints }: OpeningModel, isOpen: (jointKey: string) => boolean) {
  const pieceOf = new Map(parts.map((part) => [part.key, part.key]));
  const find = (key: string): string => (pieceOf.get(key) === key ? key : find(pieceOf.get(key)!));
  for (const { key, partKeys } of joints)
    if (!isOpen(key)) for (const other of partKeys.slice(1)) pieceOf.set(find(other), find(partKeys[0]!));
  const treatments = new Map<string, Set<string>>();
  for (const { key, treatment } of parts) {
    const piece = find(key);
    treatments.set(piece, (treatments.get(piece) ?? new Set()).add(treatment));
  }
  return (key: string): ReadonlySet<string> => treatments.get(find(key))!;
}
