import type { PlanPart } from '../facts/specimenFacts.ts';
import type { JointKind } from '../model/catalogue.ts';

/** Joints that give only when something flexes. */
const FLEXES: ReadonlySet<JointKind> = new Set<JointKind>(['snap', 'push fit', 'bent tab', 'glue']);

/** So many times as likely to break as a sound part (planning estimate). */
export const BRITTLE_RISK = 4;

type HeldPart = Pick<PlanPart, 'key' | 'state' | 'newPart'> & {
  readonly findings: readonly Pick<PlanPart['findings'][number], 'kind'>[];
};

/** The brittle part that flexes when such a joint is opened or closed; null where there is none. One that goes may break. */
export function findBrittle<Part extends HeldPart>(
  { kind, partKeys }: { readonly kind: JointKind; readonly partKeys: readonly string[] },
  parts: readonly Part[],
): Part | null {
  if (!FLEXES.has(kind)) return null;
  return (
    parts.find(
      (part) =>
        partKeys.includes(part.key) &&
        part.state !== 'missing' &&
        part.newPart === null &&
        part.findings.some((finding) => finding.kind === 'brittle'),
    ) ?? null
  );
}
