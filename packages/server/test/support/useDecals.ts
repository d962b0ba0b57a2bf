import type { DecalsView } from '@sardonyx/contract';
import type { DecalArtwork, DecalPlan } from '@sardonyx/core';
import { createTestBench, type TestBench } from './createTestBench.ts';

const BAND = `<svg xmlns="http://www.w3.org/2000/svg" width="58mm" height="6mm" viewBox="0 0 58 6">
  <rect width="58" height="6" fill="#e8dfc4"/><rect x="2" y="1" width="10" height="4" fill="#101010"/></svg>`;

/** A demo bench for each test of a describe block, on which nobody said yet which artwork the library's waistband is. */
export function useDecals() {
  const on = {} as { bench: TestBench };
  const bring = (text: string, name = 'Waistband.svg') =>
    on.bench.http.post('/api/artworks').query({ name }).set('content-type', 'image/svg+xml').send(text);
  const bringBand = async () => (await bring(BAND).expect(201)).body as DecalArtwork;
  const view = () => on.bench.get<DecalsView>('decals');
  const libraryDecal = async () => (await view()).decals.find(({ jobId }) => jobId === 'sg-03')!;
  const plan = async (artworkId: string | null, copies = 1): Promise<DecalPlan> => {
    const { layerId } = await libraryDecal();
    const body = { layerId, artworkId, copies, panel: null };
    return (await on.bench.http.post('/api/decal-plans').send(body).expect(201)).body as DecalPlan;
  };
  beforeEach(async () => {
    on.bench = await createTestBench();
    const { id, version } = (await libraryDecal()).plan!;
    await on.bench.http.delete(`/api/decal-plans/${id}`).query({ version });
  });
  afterEach(() => on.bench.clear());
  return { on, BAND, bring, bringBand, view, libraryDecal, plan };
}
