import type { PlanCoat, PlanFinding, PlanPart, PlanWant, PartDone, SpecimenFacts } from '../facts/specimenFacts.ts';

/**
 * What the opening is chosen from, and nothing else of the facts: it is handed this and cannot look further, so an opening
 * holds as long as this is the same.
 */
export interface OpeningQuestion extends Pick<SpecimenFacts, 'scope' | 'joints' | 'decisions'> {
  readonly parts: readonly OpeningPart[];
}

export interface OpeningPart extends Pick<
  PlanPart,
  'key' | 'name' | 'role' | 'material' | 'state' | 'painted' | 'foundColour' | 'newPart' | 'isKept'
> {
  readonly coats: readonly Pick<PlanCoat, 'areaKind' | 'kind' | 'name' | 'colourHex'>[];
  readonly findings: readonly Pick<PlanFinding, 'kind' | 'severity'>[];
  readonly wants: readonly Pick<PlanWant, 'state'>[];
  readonly done: Pick<PartDone, 'stripped' | 'finish'>;
}

/** Field by field: what else is known of a part must not reach the opening. */
const selectOwn = (part: Omit<OpeningPart, 'coats' | 'findings' | 'wants' | 'done'>) => {
  const { key, name, role, material, state, painted, foundColour, newPart, isKept } = part;
  return { key, name, role, material, state, painted, foundColour, newPart, isKept };
};

/** The opening's share of the facts. */
export function createOpeningQuestion({ scope, joints, decisions, parts }: SpecimenFacts): OpeningQuestion {
  return {
    ...{ scope, joints, decisions },
    parts: parts.map(({ coats, findings, wants, done, ...part }) => ({
      ...selectOwn(part),
      coats: coats.map(({ areaKind, kind, name: coatName, colourHex }) => ({
        ...{ areaKind, kind, colourHex },
        name: coatName,
      })),
      findings: findings.map(({ kind, severity }) => ({ kind, severity })),
      wants: wants.map(({ state: wantState }) => ({ state: wantState })),
      done: { stripped: done.stripped, finish: done.finish },
    })),
  };
}
