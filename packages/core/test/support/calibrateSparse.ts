import { believeUnlisted } from '../../src/identify/believeUnlisted.ts';
import type { IdentifyCatalogue, IdentifyVariant } from '../../src/identify/catalogue.ts';
import { drawSpecimen } from '../../src/identify/drawSpecimen.ts';
import { identifySpecimen } from '../../src/identify/identifySpecimen.ts';
import type { ListedShare } from '../../src/model/catalogue.ts';
import { createSeededRandom, type RandomSource } from '../../src/numeric/seededRandom.ts';
import { Reliability } from './reliability.ts';
import { readWithCare, shuffle } from './simulatedCatalogue.ts';
import { createSparseCasting } from './sparseWorld.ts';

export interface SparsePlan {
  /** Share of the issues that are listed, and what is said of it. */
  readonly listed: number;
  readonly said: ListedShare;
  /** Models of each casting that were settled before, new issues written down as they came. */
  readonly settled: number;
  readonly specimens: number;
  readonly seed: number;
}

export interface SparseCalibration {
  /** The worse of the leading issue and of "none of those", over the sampling floor. */
  readonly ece: number;
  readonly eceLeader: number;
  readonly eceNone: number;
  readonly coverage90: number;
  /** How often it was none of those. */
  readonly isNone: number;
  readonly saysNone: number;
}

/** Identifies models of sparse castings, each by a random number of looks, and compares what was claimed with what was so. */
export function calibrateSparse({ listed, said, settled, specimens, seed }: SparsePlan): SparseCalibration {
  const random = createSeededRandom(seed);
  const leaders = new Reliability();
  const nones = new Reliability();
  let [covered, isNone, saysNone] = [0, 0, 0];
  for (let i = 0; i < specimens; i++) {
    // A casting each: several models of one would err together, and the sampling floor would be too low.
    const casting = createSparseCasting(seed * 100_003 + i, listed);
    const world = casting.true;
    const believed = settleSome(world, casting.listed, { said, settled }, random);
    const specimen = drawSpecimen(world, random);
    const looks = shuffle(world.features, random).slice(0, 1 + Math.floor(random() * world.features.length));
    const answers = looks.map((feature) => readWithCare(specimen, feature, random));
    const { ranked, noneProbability, date } = identifySpecimen(believed, answers);
    const isUnlisted = !believed.variants.some((variant) => variant.id === specimen.variant?.id);
    nones.add(noneProbability, isUnlisted);
    leaders.add(ranked[0]!.probability, specimen.variant?.id === ranked[0]!.variantId);
    if (isUnlisted) isNone++;
    saysNone += noneProbability;
    if (date.region90.some(({ fromYear, toYear }) => specimen.year >= fromYear && specimen.year < toYear)) covered++;
  }
  const chance = createSeededRandom(seed + 0.5);
  const [eceLeader, eceNone] = [leaders.overFloor(chance), nones.overFloor(chance)];
  return {
    ...{ ece: Math.max(eceLeader, eceNone), eceLeader, eceNone },
    ...{ coverage90: covered / specimens, isNone: isNone / specimens, saysNone: saysNone / specimens },
  };
}

/** The list as it is after some models were settled: an issue that stood on none is written down as it is found. */
function settleSome(
  world: IdentifyCatalogue,
  listed: IdentifyCatalogue,
  { said, settled }: Pick<SparsePlan, 'said' | 'settled'>,
  random: RandomSource,
): IdentifyCatalogue {
  const variants: IdentifyVariant[] = [...listed.variants];
  let ofFound = 0;
  for (let n = 0; n < settled; n++) {
    const { variant } = drawSpecimen(world, random, { nonePrior: 0 });
    if (listed.variants.includes(variant!)) continue;
    if (!variants.includes(variant!)) variants.push(variant!);
    ofFound++;
  }
  return { ...listed, variants, unlisted: { c: believeUnlisted(said, { settled, ofFound }) } };
}
