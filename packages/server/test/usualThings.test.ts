import type { ShelfView, UsualThingsTaken, WorkshopView } from '@sardonyx/contract';
import { USUAL_THINGS } from '@sardonyx/core';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

describe('what many benches have', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench({ isDemo: false })));
  after(() => bench.clear());

  const names = (rows: readonly { readonly name: string }[]) => rows.map(({ name }) => name);
  const take = (body: object) => bench.http.post('/api/workshop/usual').send({ leftMl: 12, ...body });
  const EVERYTHING = {
    tools: names(USUAL_THINGS.tools),
    vessels: names(USUAL_THINGS.vessels),
    paints: names(USUAL_THINGS.paints),
  };

  it('is written down where it was ticked, and nothing else', async () => {
    await take({ tools: ['Airbrush'], vessels: [], paints: ['Red', 'Grey primer'] }).expect(201);
    const { tools, vessels } = await bench.get<WorkshopView>('workshop');
    expect([names(tools), names(vessels)]).deep.equal([['Airbrush'], []]);
    const { products, pots } = await bench.get<ShelfView>('shelf');
    expect(names(products)).have.members(['Red', 'Grey primer']);
    expect(pots.map(({ leftMl }) => leftMl)).deep.equal([12, 12]);
  });

  it('is not written down twice', async () => {
    const { body } = await take(EVERYTHING).expect(201);
    const [tools, vessels, paints] = [EVERYTHING.tools, EVERYTHING.vessels, EVERYTHING.paints].map((one) => one.length);
    expect(body as UsualThingsTaken).deep.equal({ tools: tools! - 1, vessels, paints: paints! - 2 });
    expect((await take(EVERYTHING).expect(201)).body).deep.equal({ tools: 0, vessels: 0, paints: 0 });
    const workshop = await bench.get<WorkshopView>('workshop');
    expect(names(workshop.tools)).have.members(EVERYTHING.tools);
    expect((await bench.get<ShelfView>('shelf')).pots.length).equal(paints);
  });

  it('is refused where it is none of them, or a pot cannot hold so much', async () => {
    for (const body of [
      { ...EVERYTHING, tools: ['Wand'] },
      { ...EVERYTHING, leftMl: 0 },
      { ...EVERYTHING, more: [] },
      { tools: [] },
    ])
      await take(body).expect(400);
  });
});
