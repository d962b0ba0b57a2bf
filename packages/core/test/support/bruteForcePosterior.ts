import type {
  Answer,
  DatedStatement,
  IdentifyCatalogue,
  IdentifyFeature,
  IdentifyHistory,
  IdentifyVariant,
} from '../../src/identify/catalogue.ts';

const RIGHT = { sure: 0.98, likely: 0.85, unsure: 0.6 };
const BELIEVED = { certain: 0.95, likely: 0.8, doubtful: 0.6 };
const NONE_PRIOR = 0.02;
const MEASURE_WRONG = 0.02;
const SIBLING_YEARS = 3;
const SIBLING_CHANGES = 2;

/** One cell of the joint table. */
interface Cell {
  readonly variant: IdentifyVariant | null;
  readonly history: IdentifyHistory;
  readonly quarter: number;
  readonly mass: number;
}

export interface BruteForce {
  readonly cells: readonly Cell[];
  readonly variants: ReadonlyMap<string, number>;
  readonly none: number;
  readonly histories: ReadonlyMap<string, number>;
  /** Probability per quarter, from the first quarter on. */
  readonly quarters: readonly number[];
}

/**
 * The posterior written out as a plain table over variant x history x quarter, in ordinary numbers, straight from the
 * formulas: the slow yardstick. Shares no code with the real one. Returns null when nothing can explain the answers.
 */
export function computeBruteForce(
  catalogue: IdentifyCatalogue,
  answers: readonly Answer[],
  statements: readonly DatedStatement[] = [],
): BruteForce | null {
  const spans = catalogue.variants.flatMap((variant) => (variant.span ? [variant.span] : []));
  const made = listSiblings(catalogue);
  const margin = spans.length && made.length ? SIBLING_YEARS : 0;
  const firstYear = (spans.length ? Math.floor(Math.min(...spans.map((span) => span.startEarliest))) : 1950) - margin;
  const lastYear = (spans.length ? Math.ceil(Math.max(...spans.map((span) => span.endLatest))) : 1951) + margin;
  const count = Math.max(4, (lastYear - firstYear) * 4);
  const years = Array.from({ length: count }, (_, q) => firstYear + (q + 0.5) / 4);
  const priors = catalogue.histories.reduce((sum, history) => sum + history.prior, 0);
  const commonOf = (variant: IdentifyVariant) => Math.sqrt(0.5) ** variant.rarity;
  const common = catalogue.variants.reduce((sum, variant) => sum + commonOf(variant), 0);
  const cells: Cell[] = [];
  const isBeside = new Set(made.map((one) => one.beside));
  const lackOf = ({ castingId }: IdentifyVariant) =>
    [...isBeside].some((one) => one.castingId === castingId) ? (catalogue.unlisted?.[castingId] ?? 0) : 0;
  const hypotheses = [
    ...catalogue.variants.map((variant) => ({
      ...{ variant, label: variant as IdentifyVariant | null, shares: sharesOf(variant, years, firstYear) },
      prior: ((1 - NONE_PRIOR) * (1 - lackOf(variant)) * commonOf(variant)) / common,
    })),
    ...made.map(({ variant, beside, share }) => {
      const kin = catalogue.variants.filter((one) => one.castingId === beside.castingId);
      const ofCasting = kin.reduce((sum, one) => sum + commonOf(one), 0) / common;
      const siblings = kin.filter((one) => isBeside.has(one)).length;
      return {
        ...{ variant, label: null, shares: smear(sharesOf(beside, years, firstYear)) },
        prior: ((1 - NONE_PRIOR) * lackOf(beside) * ofCasting * share) / siblings,
      };
    }),
    { variant: null, label: null, shares: sharesOf(null, years, firstYear), prior: NONE_PRIOR },
  ];
  for (const { variant, label, shares, prior: before } of hypotheses) {
    for (const history of catalogue.histories) {
      const prior = before * (history.prior / priors);
      const seen = answers.reduce((product, answer) => product * chanceOf(answer, catalogue, variant, history), 1);
      years.forEach((year, quarter) => {
        const dates = answers.reduce((product, answer) => product * dateWeight(answer, catalogue, history, year), 1);
        const mass = prior * seen * shares[quarter]! * dates * believe(statements, year);
        cells.push({ variant: label, history, quarter, mass });
      });
    }
  }
  const total = cells.reduce((sum, cell) => sum + cell.mass, 0);
  if (total === 0) return null;
  const normal = cells.map((cell) => ({ ...cell, mass: cell.mass / total }));
  const massWhere = (isMeant: (cell: Cell) => boolean) =>
    normal.reduce((sum, cell) => (isMeant(cell) ? sum + cell.mass : sum), 0);
  return {
    cells: normal,
    variants: new Map(catalogue.variants.map((variant) => [variant.id, massWhere((cell) => cell.variant === variant)])),
    none: massWhere((cell) => cell.variant === null),
    histories: new Map(catalogue.histories.map((one) => [one.key, massWhere((cell) => cell.history === one)])),
    quarters: years.map((_, q) => massWhere((cell) => cell.quarter === q)),
  };
}

/** An issue that no list has: the variant beside it with some features changed, and how probable that is among its kind. */
interface Unlisted {
  readonly variant: IdentifyVariant;
  readonly beside: IdentifyVariant;
  readonly share: number;
}

/** Every set of changed features written out, the empty one left out. */
function listSiblings({ variants, features, unlisted }: IdentifyCatalogue): Unlisted[] {
  const changeable = features.filter((feature) => feature.states.length > 1);
  const chance = Math.min(0.5, SIBLING_CHANGES / Math.max(1, changeable.length));
  return variants.flatMap((beside) => {
    const recorded = changeable.filter((feature) => beside.states[feature.id]);
    if (!unlisted?.[beside.castingId] || recorded.length === 0) return [];
    const sets = Array.from({ length: 2 ** recorded.length - 1 }, (_, bits) =>
      recorded.filter((__, f) => ((bits + 1) >> f) & 1),
    );
    const weights = sets.map((set) => chance ** set.length * (1 - chance) ** (recorded.length - set.length));
    const total = weights.reduce((sum, weight) => sum + weight, 0);
    return sets.map((set, i) => ({ variant: changeStates(beside, set), beside, share: weights[i]! / total }));
  });
}

function changeStates(variant: IdentifyVariant, changed: readonly IdentifyFeature[]): IdentifyVariant {
  const states = { ...variant.states };
  for (const feature of changed) {
    const shares = variant.states[feature.id]!;
    const others = feature.states.length - 1;
    states[feature.id] = Object.fromEntries(feature.states.map(({ id }) => [id, (1 - (shares[id] ?? 0)) / others]));
  }
  return { ...variant, states };
}

function smear(shares: readonly number[]): number[] {
  const near = shares.map((_, q) =>
    shares.reduce((sum, share, other) => (Math.abs(q - other) <= 4 * SIBLING_YEARS ? sum + share : sum), 0),
  );
  const total = near.reduce((a, b) => a + b, 0);
  return near.map((share) => share / total);
}

/** Mutual information between a label of the cells and a sure reading of a feature, written out over the whole table. */
export function bruteForceGain(
  { cells }: BruteForce,
  catalogue: IdentifyCatalogue,
  feature: IdentifyFeature,
  labelOf: (cell: Cell) => string,
): number {
  const firstYear = firstYearOf(catalogue);
  const table = new Map<string, number[]>();
  let total = 0;
  for (const cell of cells) {
    const label = labelOf(cell);
    const row = table.get(label) ?? feature.states.map(() => 0);
    feature.states.forEach((state, o) => {
      const answer: Answer = { featureId: feature.id, stateId: state.id, certainty: 'sure' };
      const p =
        cell.mass *
        chanceOf(answer, catalogue, cell.variant, cell.history) *
        dateWeight(answer, catalogue, cell.history, firstYear + (cell.quarter + 0.5) / 4);
      row[o]! += p;
      total += p;
    });
    table.set(label, row);
  }
  const columns = feature.states.map((_, o) => [...table.values()].reduce((sum, row) => sum + row[o]!, 0));
  let bits = 0;
  for (const row of table.values()) {
    const sum = row.reduce((a, b) => a + b, 0);
    row.forEach((p, o) => {
      if (p > 0) bits += (p / total) * Math.log2((p * total) / (sum * columns[o]!));
    });
  }
  return bits;
}

function firstYearOf(catalogue: IdentifyCatalogue): number {
  const spans = catalogue.variants.flatMap((variant) => (variant.span ? [variant.span] : []));
  return spans.length ? Math.floor(Math.min(...spans.map((span) => span.startEarliest))) : 1950;
}

function sharesOf(variant: IdentifyVariant | null, years: readonly number[], firstYear: number): number[] {
  let heights = years.map((year) => (variant?.span ? heightOf(variant.span, year) : 1));
  if (heights.every((height) => height === 0)) heights = nearestQuarter(variant!.span!, firstYear, years.length);
  heights = heights.map((height, q) => height * believe(variant?.statements ?? [], years[q]!));
  const area = heights.reduce((a, b) => a + b, 0);
  return heights.map((height) => height / area);
}

type Span = NonNullable<IdentifyVariant['span']>;

function heightOf(span: Span, year: number): number {
  const rise = (year - span.startEarliest) / (span.startLatest - span.startEarliest);
  const fall = (span.endLatest - year) / (span.endLatest - span.endEarliest);
  return Math.max(0, Math.min(1, rise, fall));
}

function nearestQuarter(span: Span, firstYear: number, count: number): number[] {
  const middle = (span.startEarliest + span.endLatest) / 2;
  const shares = new Array<number>(count).fill(0);
  shares[Math.min(count - 1, Math.max(0, Math.floor((middle - firstYear) * 4)))] = 1;
  return shares;
}

const believe = (statements: readonly DatedStatement[], year: number) =>
  statements.reduce((product, said) => {
    const fits = year >= (said.fromYear ?? -Infinity) && year <= (said.toYear ?? Infinity);
    return fits ? product : product * (1 - BELIEVED[said.certainty]);
  }, 1);

function chanceOf(
  answer: Answer,
  catalogue: IdentifyCatalogue,
  variant: IdentifyVariant | null,
  history: IdentifyHistory,
): number {
  if ('valueMm' in answer) return chanceOfSize(answer, catalogue, variant);
  const { certainty, stateId } = answer;
  const feature = catalogue.features.find((candidate) => candidate.id === answer.featureId)!;
  const altered = history.rates[feature.group];
  if (certainty === 'replaced') return Math.max(1e-6, altered);
  if (certainty === 'cannot see' || certainty === 'missing' || stateId === null) return 1;
  const even = 1 / feature.states.length;
  const shares = variant?.states[feature.id];
  let original = even;
  if (shares) {
    original = 0;
    for (const [trueId, share] of Object.entries(shares))
      original += share * readingOf(stateId, trueId, feature, RIGHT[certainty]);
  }
  return (1 - altered) * original + altered * even;
}

function chanceOfSize(
  { featureId, valueMm, spreadMm }: Extract<Answer, { valueMm: number }>,
  { variants, measures }: IdentifyCatalogue,
  variant: IdentifyVariant | null,
): number {
  const tolerance = measures.find((measure) => measure.id === featureId)!.toleranceMm;
  const margin = 3 * Math.sqrt(0.1 ** 2 + tolerance ** 2);
  const sizes = variants.flatMap((one) => one.sizesMm[featureId] ?? []);
  const anywhere = 1 / (sizes.length ? Math.max(...sizes) - Math.min(...sizes) + 2 * margin : 100 + 2 * margin);
  const size = variant?.sizesMm[featureId];
  if (size === undefined) return anywhere;
  const variance = spreadMm ** 2 + tolerance ** 2;
  const bell = Math.exp(-((valueMm - size) ** 2) / (2 * variance)) / Math.sqrt(2 * Math.PI * variance);
  return (1 - MEASURE_WRONG) * bell + MEASURE_WRONG * anywhere;
}

function readingOf(read: string, truth: string, feature: IdentifyFeature, right: number): number {
  const ids = feature.states.map((state) => state.id);
  if (ids.length === 1) return 1;
  if (read === truth) return right;
  const alikes = feature.states.find((state) => state.id === truth)!.lookAlikes;
  const strange = ids.filter((id) => id !== truth && !alikes.includes(id));
  if (alikes.length === 0 || strange.length === 0) return (1 - right) / (ids.length - 1);
  return alikes.includes(read) ? (0.9 * (1 - right)) / alikes.length : (0.1 * (1 - right)) / strange.length;
}

/** Dates of the body casting, read for sure, are walls; others let an altered or misread one through. */
function dateWeight(answer: Answer, catalogue: IdentifyCatalogue, history: IdentifyHistory, year: number): number {
  if ('valueMm' in answer || answer.stateId === null) return 1;
  const { certainty } = answer;
  if (certainty === 'cannot see' || certainty === 'missing' || certainty === 'replaced') return 1;
  const feature = catalogue.features.find((candidate) => candidate.id === answer.featureId)!;
  const state = feature.states.find((candidate) => candidate.id === answer.stateId)!;
  const fits = year >= (state.fromYear ?? -Infinity) && year <= (state.toYear ?? Infinity);
  if (fits) return 1;
  if (feature.group === 'body casting' && certainty === 'sure') return 0;
  return 1 - (1 - history.rates[feature.group]) * RIGHT[certainty];
}
