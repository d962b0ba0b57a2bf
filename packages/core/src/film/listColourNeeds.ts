import type { SpecimenFacts } from '../facts/specimenFacts.ts';
import { groupBy } from '../groupBy.ts';
import type { Drawing } from '../model/drawing.ts';
import { nameOfArea, type Area, type CoatingLayer, type SpecimenPart } from '../model/workpiece.ts';
import { chooseOption } from '../schools/schools.ts';
import { sizeOfArea } from './computeDrawnArea.ts';
import { countOn } from './countOn.ts';
import type { ColourNeed } from './needOfColour.ts';
import { COATING_WAY_OF } from './pourFor.ts';

/** A model, so far as what it still needs of colours follows from it. */
export interface NeedyModel {
  readonly facts: SpecimenFacts;
  readonly parts: readonly Pick<SpecimenPart, 'id' | 'key'>[];
  readonly areas: readonly Pick<Area, 'id' | 'specimenPartId' | 'kind' | 'name' | 'size' | 'outline'>[];
  readonly layers: readonly Pick<CoatingLayer, 'areaId' | 'stage' | 'kind' | 'rejection' | 'isMist'>[];
  readonly drawing: Drawing | null;
}

/** Every area of a model that is planned in a colour, with the coats that are not on yet and how much surface that is. */
export function listColourNeeds({
  facts,
  parts,
  areas,
  layers,
  drawing,
}: NeedyModel): Omit<ColourNeed, 'jobId' | 'jobNumber' | 'specimenName'>[] {
  const way = COATING_WAY_OF[chooseOption('S6', facts.decisions)];
  return facts.parts.flatMap((part) => {
    const partId = parts.find(({ key }) => key === part.key)?.id;
    const colours = part.coats.filter(({ kind }) => kind === 'colour');
    return [...groupBy(colours, ({ areaName }) => areaName)].flatMap(([areaName, coats]) => {
      const area = areas.find((one) => one.specimenPartId === partId && nameOfArea(one) === areaName);
      if (!area) return [];
      const on = countOn(
        coats,
        layers.filter(({ areaId }) => areaId === area.id),
      );
      const size = sizeOfArea(area, part.key, drawing);
      return coats.map((coat, i) => ({
        ...{ partName: part.name, areaName, colourHex: coat.colourHex, coatsLeft: coat.coats - on[i]!, size, way },
      }));
    });
  });
}
