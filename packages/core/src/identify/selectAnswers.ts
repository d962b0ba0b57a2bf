import type { Source } from '../model/catalogue.ts';
import type { Measurement, Observation } from '../model/workpiece.ts';
import type { Answer, DatedStatement, IdentifyCatalogue } from './catalogue.ts';

/**
 * What was seen and measured of a specimen, as answers that this catalogue can weigh. A model that was looked at before
 * anybody knew its casting may carry looks at features of other ranges: they are kept on the specimen and left out here. Under
 * an overpaint what is seen of the outer coat is somebody else's work: it speaks for no issue, and against untouched.
 */
export function selectAnswers(
  catalogue: IdentifyCatalogue,
  observations: readonly Pick<Observation, 'featureId' | 'stateId' | 'certainty'>[],
  measurements: readonly Pick<Measurement, 'what' | 'valueMm' | 'spreadMm'>[] = [],
  isOverpainted = false,
): Answer[] {
  const outerCoat = new Set(
    isOverpainted ? catalogue.features.filter(({ group }) => group === 'outer coat').map(({ id }) => id) : [],
  );
  const seen = observations.filter(({ featureId, stateId }) => {
    const feature = catalogue.features.find((candidate) => candidate.id === featureId);
    return feature && (stateId === null || feature.states.some((state) => state.id === stateId));
  });
  const measured = measurements.filter(({ what }) => catalogue.measures.some((measure) => measure.id === what));
  return [
    ...seen.map(({ featureId, stateId, certainty }) => ({
      ...{ featureId, stateId },
      certainty: stateId !== null && outerCoat.has(featureId) ? ('replaced' as const) : certainty,
    })),
    ...measured.map(({ what, valueMm, spreadMm }) => ({ featureId: what, valueMm, spreadMm })),
  ];
}

/** Dated sources as soft evidence. */
export const selectStatements = (sources: readonly Source[]): DatedStatement[] =>
  sources.map(({ statement, fromYear, toYear, certainty }) => ({
    ...{ label: statement, fromYear, certainty },
    toYear: endOfYear(toYear),
  }));

/** "1962" as an end means all of it; a decimal year is meant as it stands. */
const endOfYear = (year: number | null): number | null => (year !== null && Number.isInteger(year) ? year + 1 : year);
