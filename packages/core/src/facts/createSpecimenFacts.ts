import { sizeOfArea } from '../film/computeDrawnArea.ts';
import type { CountedPaint } from '../film/countCoats.ts';
import { groundsOf } from '../film/groundsOf.ts';
import { orderOfColours } from '../film/orderOfColours.ts';
import { planCoats } from '../film/planCoats.ts';
import { planDrying } from '../film/planDrying.ts';
import { COATING_WAY_OF, pourFor } from '../film/pourFor.ts';
import type { Drawing } from '../model/drawing.ts';
import type { TaskLog } from '../model/task.ts';
import type { Job, PaintProduct, Restorer } from '../model/work.ts';
import {
  nameOfArea,
  type Area,
  type CoatingLayer,
  type Finding,
  type SpecimenPart,
  type Want,
} from '../model/workpiece.ts';
import { findLongestSession } from '../calendar/sessions.ts';
import { SCHOOL_OPTIONS, type Decisions } from '../model/school.ts';
import { chooseOption } from '../schools/schools.ts';
import { mergeDecisions, type HouseChoice } from '../schools/mergeDecisions.ts';
import { findNewPart } from './findNewPart.ts';
import { listJoints, type JointRows } from './listJoints.ts';
import { selectPartDone, type CountedLayer } from './selectPartDone.ts';
import type { PlanCoat, PlanPart, SpecimenFacts } from './specimenFacts.ts';
import { selectStandingWork, type StandingWork } from './standingWork.ts';

/** The rows of one specimen, so far as anything is worked out from them. Layers come in the order they lie on each other. */
export interface SpecimenRows extends JointRows {
  readonly parts: readonly Pick<
    SpecimenPart,
    'id' | 'key' | 'name' | 'role' | 'material' | 'materialCertainty' | 'state' | 'isKept'
  >[];
  readonly areas: readonly Pick<Area, 'id' | 'specimenPartId' | 'kind' | 'name' | 'crossesSeam' | 'size' | 'outline'>[];
  readonly layers: readonly (CountedLayer &
    Pick<CoatingLayer, 'seq' | 'colourHex' | 'whose' | 'productId' | 'coats' | 'appliedAt'> & {
      /** Of a planned decal; absent: nobody said which it is. */
      readonly hasArtwork?: boolean;
    })[];
  /** What is in the pots that are planned for it. */
  readonly paints: readonly (CountedPaint &
    Parameters<typeof planDrying>[0] &
    Pick<PaintProduct, 'id' | 'densityGPerMl' | 'dropMl'>)[];
  /** Of its casting; null where nobody knows that, or drew none. */
  readonly drawing: Drawing | null;
  readonly findings: readonly Omit<Finding, 'version' | 'pinnedTo' | 'pinX' | 'pinY'>[];
  readonly wants: readonly Pick<
    Want,
    'id' | 'specimenPartId' | 'kind' | 'feature' | 'what' | 'getBy' | 'state' | 'bits' | 'dueOn' | 'origin'
  >[];
  /** Another example of the casting, in the job or a donor, has wheels. */
  readonly hasSecondWheels: boolean;
  /** Of its tasks, in the order in which it was written. */
  readonly log: readonly TaskLog[];
}

/** What the house knows and decides. */
export interface HouseRows {
  readonly choices: readonly HouseChoice[];
  readonly restorers: readonly Pick<Restorer, 'sessions'>[];
}

/** What the job decides. */
export interface JobRows {
  readonly scope: Job['scope'];
  readonly target: Job['target'];
  readonly decisions: readonly HouseChoice[];
}

/** The one set of facts of a specimen, from its rows, the house's and the job's. */
export function createSpecimenFacts(rows: SpecimenRows, house: HouseRows, job: JobRows): SpecimenFacts {
  const standing = selectStandingWork(rows.log);
  const merged = mergeDecisions(house.choices, job.decisions, job);
  return {
    scope: job.scope,
    parts: rows.parts.map((part) =>
      createPart(part, rows, standing, {
        decisions: merged.decisions,
        keepsPaint: job.scope === 'repair only',
      }),
    ),
    joints: listJoints(rows, standing),
    ...merged,
    hasSecondWheels: rows.hasSecondWheels,
    sessionMin: findLongestSession(house.restorers),
  };
}

interface PartContext {
  readonly decisions: Decisions;
  /** Nothing is painted: planned coats are left off. */
  readonly keepsPaint: boolean;
}

const PAINT: readonly CoatingLayer['kind'][] = ['colour', 'primer', 'clear'];

function createPart(
  part: SpecimenRows['parts'][number],
  rows: SpecimenRows,
  standing: readonly StandingWork[],
  { decisions, keepsPaint }: PartContext,
): PlanPart {
  const areas = rows.areas.filter((area) => area.specimenPartId === part.id);
  const layersOf = (stage: CoatingLayer['stage']) =>
    areas.flatMap((area) =>
      rows.layers
        .filter((layer) => layer.areaId === area.id && layer.stage === stage)
        .map((layer) => ({ area, layer })),
    );
  const all = layersOf('found');
  const found = all.filter(({ layer }) => PAINT.includes(layer.kind));
  const outside = found.filter(({ area, layer }) => area.kind === 'outside' && layer.kind === 'colour');
  const original = outside.find(({ layer }) => layer.whose === 'factory') ?? outside[0];
  const { key, name, role, material, materialCertainty, state } = part;
  const wants = rows.wants.filter((want) => want.specimenPartId === part.id);
  const newPart = findNewPart(part, wants, chooseOption('S15', decisions) === 'glue');
  // What was found is the old part's; only one from a donor wears old paint too.
  const isWorn = newPart === null || newPart.origin === 'donor';
  const isKept = part.isKept && newPart === null;
  const planned = layersOf('planned');
  // A new part is painted all the same.
  const isLeft = isKept || (keepsPaint && newPart === null);
  const foundHex = original?.layer.colourHex ?? null;
  const { paints, drawing } = rows;
  const colours = { partKey: key, areas, layers: rows.layers, paints, drawing, foundHex };
  const school = chooseOption('S8', decisions);
  const way = COATING_WAY_OF[chooseOption('S6', decisions)];
  const done = selectPartDone(key, areas, rows.layers, standing);
  // Fields are painted on cured powder.
  const isPowder = chooseOption('S6', decisions) === 'powder' || done.finish === 'powdered';
  const order = isLeft || isPowder ? [] : orderOfColours(colours, school);
  const [usual] = SCHOOL_OPTIONS.S8;
  const isUsualOrder =
    order.length === 0 || school === usual || order.join(' ') === orderOfColours(colours, usual).join(' ');
  return {
    ...{ key, name, role, material, materialCertainty, state, newPart, isKept },
    leftOff: isLeft ? planned.map(({ layer }) => layer.name) : [],
    painted: isWorn && found.length > 0,
    found: isWorn
      ? selectThickest(areas.map((area) => all.filter((one) => one.area === area))).map(({ layer }) => layer.kind)
      : [],
    foundColour: original ? { hex: original.layer.colourHex, name: original.layer.name } : null,
    coats: (isLeft ? [] : planned).map(({ area, layer }, i): PlanCoat => {
      const paint = rows.paints.find(({ id }) => id === layer.productId);
      const size = sizeOfArea(area, key, drawing);
      return {
        areaKind: area.kind,
        areaName: nameOfArea(area),
        crossesSeam: area.crossesSeam,
        hasArtwork: layer.hasArtwork ?? false,
        kind: layer.kind,
        name: layer.name,
        colourHex: layer.colourHex,
        coats: planCoats(layer, paint, groundsOf(planned, i, foundHex, order)),
        dries: paint ? planDrying(paint) : null,
        pour: size && paint ? pourFor(size, paint, 1, way).upper90 : null,
      };
    }),
    colourOrder: order.map((id) => nameOfArea(areas.find((area) => area.id === id)!)),
    isUsualOrder,
    findings: rows.findings
      .filter((finding) => finding.specimenPartId === part.id)
      .map(({ id, kind, feature, severity, note, measuredValue, measuredUnit, carriesLoad, mend }) => ({
        ...{ id, kind, feature, severity, note, carriesLoad, mend },
        degrees: measuredUnit === '°' ? measuredValue : null,
      })),
    wants: wants.map(({ id, kind, feature, what, getBy, state: wantState, bits, dueOn }) => ({
      ...{ id, kind, feature, what, getBy, state: wantState, bits, dueOn },
    })),
    done,
  };
}

const selectThickest = <T>(stacks: readonly (readonly T[])[]): readonly T[] =>
  stacks.reduce((a, b) => (b.length > a.length ? b : a), []);
