import type { Source } from '../model/catalogue.ts';
import type { ColourCapture } from '../model/colour.ts';
import type { Geometry } from '../model/reading.ts';
import type { Measurement, Observation } from '../model/workpiece.ts';
import { alignObservations } from './alignObservations.ts';
import { findOverpaint, type CoatedSpecimen } from './findOverpaint.ts';
import type { Answer, CapturedColours, DatedStatement, IdentifyCatalogue, IdentifyFeature } from './catalogue.ts';

/** What is known of a model beside its casting, as it is kept. */
export interface GivenOfModel {
  readonly observations: readonly Pick<
    Observation,
    'specimenId' | 'featureId' | 'stateId' | 'certainty' | 'captureIds' | 'size'
  >[];
  readonly measurements?: readonly Pick<Measurement, 'what' | 'valueMm' | 'spreadMm'>[];
  /** Those that observations name, at least. */
  readonly captures?: readonly Pick<ColourCapture, 'id' | 'lab' | 'sd' | 'place' | 'geometry'>[];
  readonly isOverpainted?: boolean;
}

/** The same, of a model with all that was found on it. */
export const selectGiven = (
  model: CoatedSpecimen & Required<Pick<GivenOfModel, 'observations' | 'measurements' | 'captures'>>,
): GivenOfModel => ({
  observations: model.observations,
  measurements: model.measurements,
  captures: model.captures,
  isOverpainted: findOverpaint(model) !== null,
});

/**
 * What was seen and measured of a specimen, as answers that this catalogue can weigh. A model that was looked at before
 * anybody knew its casting may carry looks at features of other ranges: they are kept on the specimen, count where the same
 * look is known here, and are left out otherwise. Under
 * an overpaint what is seen of the outer coat is somebody else's work: it speaks for no issue, and against untouched.
 */
export function selectAnswers(
  catalogue: IdentifyCatalogue,
  { observations, measurements = [], captures = [], isOverpainted = false }: GivenOfModel,
): Answer[] {
  const seen = alignObservations(observations, catalogue).flatMap((observation): Answer[] => {
    const { featureId, stateId, certainty } = observation;
    const feature = catalogue.features.find(({ id }) => id === featureId);
    if (!feature || (stateId !== null && !feature.states.some(({ id }) => id === stateId))) return [];
    if (isOverpainted && feature.group === 'outer coat')
      return [{ featureId, stateId, certainty: stateId === null ? certainty : 'replaced' }];
    const own = captures.filter(({ id }) => observation.captureIds.includes(id));
    const captured = selectReadings(own, feature, observation.specimenId);
    const sized = observation.size;
    return [{ featureId, stateId, certainty, ...(captured ? { captured } : {}), ...(sized ? { sized } : {}) }];
  });
  const measured = measurements.filter(({ what }) => catalogue.measures.some((measure) => measure.id === what));
  return [...seen, ...measured.map(({ what, valueMm, spreadMm }) => ({ featureId: what, valueMm, spreadMm }))];
}

/** Readings with the gloss and without it cannot be held together: those count that more of the states were measured like. */
function selectReadings(
  captures: NonNullable<GivenOfModel['captures']>,
  feature: IdentifyFeature,
  specimenId: string,
): CapturedColours | null {
  const measuredLike = (geometry: Geometry) =>
    feature.states.filter(({ colour }) => colour?.geometry === geometry && colour.specimenId !== specimenId).length;
  const [geometry] = [...new Set(captures.map((one) => one.geometry))].sort(
    (a, b) => measuredLike(b) - measuredLike(a) || (a < b ? -1 : 1),
  );
  if (!geometry) return null;
  const readings = captures
    .filter((one) => one.geometry === geometry)
    .map(({ lab, sd, place }) => ({ lab, sd, place }));
  return { specimenId, geometry, readings };
}

/** Dated sources as soft evidence. */
export const selectStatements = (sources: readonly Source[]): DatedStatement[] =>
  sources.map(({ statement, fromYear, toYear, certainty }) => ({
    ...{ label: statement, fromYear, certainty },
    toYear: endOfYear(toYear),
  }));

/** "1962" as an end means all of it; a decimal year is meant as it stands. */
const endOfYear = (year: number | null): number | null => (year !== null && Number.isInteger(year) ? year + 1 : year);
