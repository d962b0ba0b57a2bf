import type { WriteTrace } from '@sardonyx/contract';
import { drawTraced, VIEW_KINDS, type Traces, type ViewKind } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { CastingPartRow, CastingRow } from '../../entities/catalogue.ts';
import { PhotoRow } from '../../entities/photo.ts';
import { JobRow } from '../../entities/work.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';
import { badInput, notFound } from '../../http/errors.ts';
import { addTracedAreas } from '../jobs/fitOutSpecimen.ts';
import { findRow, saveChange } from '../rows/versionedRows.ts';
import { readDrawnParts } from './readDrawnParts.ts';

/**
 * One view of a casting as it was traced, in place of the one that its construction gives; with null that one comes back.
 * A view that is half traced is kept as it is: what has no line yet is drawn as it was.
 */
export async function writeTrace(
  manager: EntityManager,
  castingId: string,
  view: string,
  { version, trace: given }: WriteTrace,
): Promise<CastingRow> {
  if (!isViewKind(view)) throw notFound('This view');
  const casting = await findRow(manager, CastingRow, castingId, 'This casting');
  const trace = given && (await checkTrace(manager, casting, given));
  const standing = casting.drawing.views.find((one) => one.view === view);
  const under = casting.traces[view]?.under ?? standing;
  if (!under) throw notFound('This view');
  const others = Object.entries(casting.traces).filter(([kind]) => kind !== view);
  const traces: Traces = Object.fromEntries(trace ? [...others, [view, { view, ...trace, under }]] : others);
  const parts = await manager.findBy(CastingPartRow, { castingId });
  const drawn = await readDrawnParts(manager, castingId, parts, parts);
  const shown = trace ? drawTraced({ view, ...trace }, under, drawn) : under;
  const drawing = { views: casting.drawing.views.map((one) => (one.view === view ? shown : one)) };
  const saved = await saveChange(manager, CastingRow, casting, version, { traces, drawing });
  for (const specimen of await manager.findBy(SpecimenRow, { castingId })) {
    const job = specimen.jobId ? await manager.findOneBy(JobRow, { id: specimen.jobId }) : null;
    if (!job?.signedOffAt) await addTracedAreas(manager, specimen);
  }
  return saved;
}

const isViewKind = (view: string): view is ViewKind => (VIEW_KINDS as readonly string[]).includes(view);

/**
 * Places to look at may wait for their features: a drawing that was laid out has them for the usual ones. A photograph that is
 * gone meanwhile leaves the lines that were traced over it.
 */
async function checkTrace(
  manager: EntityManager,
  { id }: CastingRow,
  trace: NonNullable<WriteTrace['trace']>,
): Promise<NonNullable<WriteTrace['trace']>> {
  const keys = new Set((await manager.findBy(CastingPartRow, { castingId: id })).map(({ key }) => key));
  if ([...trace.shapes, ...trace.artwork].some(({ partKey }) => !keys.has(partKey)))
    throw badInput('A shape is of a part that this casting does not have any more.', {
      shapes: 'Give it to another part, or take it out.',
    });
  const { photo } = trace;
  return { ...trace, photo: photo && (await manager.existsBy(PhotoRow, { id: photo.photoId })) ? photo : null };
}
