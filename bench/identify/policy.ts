import { createIdentifier, createSeededRandom, type IdentifyCatalogue, type Identifier } from '@sardonyx/core';
import { computeNextLooks, rankLooks } from '../../packages/core/src/identify/computeNextLooks.ts';
import { type StateAnswer } from '../../packages/core/src/identify/catalogue.ts';
import { groupAlike } from '../../packages/core/src/identify/compareVariants.ts';
import { drawSpecimen, readFeature } from '../../packages/core/src/identify/drawSpecimen.ts';
import { computeLeadingMass, SETTLED } from '../../packages/core/src/identify/practice.ts';
import { createNominalWorld, createSimulatedCatalogue } from '../../packages/core/test/support/simulatedCatalogue.ts';
import type { Topic } from '../figure.ts';

const SPECIMENS = 300;
const VARIANTS = 400;

interface Spent {
  looks: number;
  effort: number;
}

/** Looking until 95 %: the next look of the tool against going through a list. */
export const policy: Topic = {
  names: ['identify.effortRatioList', 'identify.effortRatioSorted', 'identify.looksRatio'],
  measure: () => {
    const catalogue = createSimulatedCatalogue(2026, { variants: VARIANTS });
    const world = createNominalWorld(catalogue);
    const groups = groupAlike(catalogue);
    const random = createSeededRandom(95);
    const plain = catalogue.features.map((feature) => feature.id);
    const sorted = [...catalogue.features].sort((a, b) => a.effort - b.effort).map((feature) => feature.id);
    const [tool, list, byEffort] = [createSpent(), createSpent(), createSpent()];
    for (let i = 0; i < SPECIMENS; i++) {
      const specimen = drawSpecimen(world.catalogue, random);
      const readings = new Map(
        catalogue.features.map((feature) => [feature.id, readFeature(specimen, feature, 'sure', random)]),
      );
      walk(catalogue, groups, readings, tool, chooseNext);
      walk(catalogue, groups, readings, list, (_, at) => plain[at]);
      walk(catalogue, groups, readings, byEffort, (_, at) => sorted[at]);
    }
    const how = `until 95 % (alike variants count as one) or nothing is left, ${SPECIMENS} specimens, ${VARIANTS} variants, 24 features`;
    const figure = (name: string, value: number, most: number, against: string) =>
      ({ name, value, unit: '', goal: { kind: 'at most', value: most }, yardstick: `${against}, ${how}` }) as const;
    return Promise.resolve([
      figure('identify.effortRatioList', tool.effort / list.effort, 0.45, 'effort against a plain list'),
      figure(
        'identify.effortRatioSorted',
        tool.effort / byEffort.effort,
        0.75,
        'effort against a list sorted by effort',
      ),
      figure('identify.looksRatio', tool.looks / list.looks, 0.75, 'looks against a plain list'),
    ]);
  },
};

const createSpent = (): Spent => ({ looks: 0, effort: 0 });

const chooseNext = (identifier: Identifier) =>
  rankLooks(computeNextLooks(identifier.computePosterior(), 'variant'))[0]?.featureId;

function walk(
  catalogue: IdentifyCatalogue,
  groups: readonly (readonly string[])[],
  readings: ReadonlyMap<string, StateAnswer>,
  spent: Spent,
  choose: (identifier: Identifier, at: number) => string | undefined,
): void {
  const identifier = createIdentifier(catalogue);
  for (let at = 0; at < catalogue.features.length; at++) {
    if (computeLeadingMass(identifier.computePosterior(), groups) >= SETTLED) return;
    const id = choose(identifier, at)!;
    identifier.setAnswerInPlace(id, readings.get(id)!);
    spent.looks++;
    spent.effort += catalogue.features.find((feature) => feature.id === id)!.effort;
  }
}
