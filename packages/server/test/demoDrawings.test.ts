import { readFile } from 'node:fs/promises';
import { resolve } from 'node:path';
import type { CastingView, CatalogueView } from '@sardonyx/contract';
import { computePartMap, planOpening, describeVerdict, identifySpecimen, type JobRecord } from '@sardonyx/core';
import { Ajv } from 'ajv';
import { expect } from 'chai';
import sharp from 'sharp';
import { createCatalogue } from '../src/demo/createCatalogue.ts';
import { drawPhoto } from '../src/demo/drawPhoto.ts';
import { readJobNotes } from '../src/demo/jobNotes.ts';
import { createPaintShelf } from '../src/demo/paintShelf.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

describe('the demo’s castings', () => {
  const catalogue = createCatalogue();
  const partsOf = (id: string) => catalogue.parts.filter((part) => part.castingId === id);

  it('have a shape for every part that can be seen from the side', () => {
    for (const casting of catalogue.castings) {
      const side = casting.drawing.views.find((view) => view.view === 'side')!;
      const drawn = new Set(side.shapes.map((shape) => shape.partKey));
      for (const part of partsOf(casting.id)) expect(drawn.has(part.key), `${casting.number} ${part.name}`).equal(true);
    }
  });

  it('can be taken apart, joint by joint, and their joints hold parts that exist', () => {
    for (const casting of catalogue.castings) {
      const joints = catalogue.joints.filter((joint) => joint.castingId === casting.id);
      const keys = new Set(partsOf(casting.id).map((part) => part.key));
      for (const joint of joints)
        for (const key of joint.partKeys) expect(keys.has(key), `${casting.number} ${joint.label}: ${key}`).equal(true);
      const held = new Set(joints.flatMap((joint) => joint.partKeys));
      for (const key of keys) expect(held.has(key), `${casting.number}: nothing holds ${key}`).equal(true);
      const { steps } = planOpening({
        parts: partsOf(casting.id).map(({ key }) => ({ key, treatment: key, maskPrice: {} })),
        joints: joints.map(({ key, partKeys, ways }) => ({
          ...{ key, partKeys },
          ways: ways.map((way) => ({
            key: way.key,
            price: way.minutes,
            behindJoints: way.behindJoints,
            behindParts: [],
          })),
          wish: 'open' as const,
        })),
      });
      expect(steps.length, casting.number).equal(joints.length);
    }
  });

  it('lie on the part map without overlapping', () => {
    for (const casting of catalogue.castings) {
      const joints = catalogue.joints.filter((joint) => joint.castingId === casting.id);
      const { parts } = computePartMap(casting.drawing.views[0]!, joints, () => 30);
      parts.forEach((a, i) => {
        for (const b of parts.slice(i + 1)) {
          const apart = a.box[2] <= b.box[0] || b.box[2] <= a.box[0] || a.box[3] <= b.box[1] || b.box[3] <= a.box[1];
          expect(apart, `${casting.number}: ${a.partKey} and ${b.partKey}`).equal(true);
        }
      });
    }
  });

  it('have spans in order, and shares that make one', () => {
    for (const variant of catalogue.variants) {
      expect(variant.startEarliest).most(variant.startLatest);
      expect(variant.startLatest).most(variant.endEarliest);
      expect(variant.endEarliest).most(variant.endLatest);
    }
    const sums = new Map<string, number>();
    for (const { variantId, featureId, share } of catalogue.variantStates) {
      const key = `${variantId} ${featureId}`;
      sums.set(key, (sums.get(key) ?? 0) + share);
    }
    for (const [key, sum] of sums) expect(sum, key).closeTo(1, 1e-9);
  });

  it('name look-alikes that exist', () => {
    for (const state of catalogue.states) {
      const siblings = catalogue.states
        .filter((other) => other.featureId === state.featureId)
        .map((other) => other.key);
      for (const alike of state.lookAlikes) expect(siblings, `${state.featureId} ${state.key}`).include(alike);
    }
  });

  it('are the same in every run', () => expect(createCatalogue()).deep.equal(catalogue));
});

describe('the demo’s jobs', () => {
  it('plan coats from pots that stand on the shelf', () => {
    const shelf = new Set(createPaintShelf().products.map((product) => product.id));
    for (const job of readJobNotes()) {
      for (const specimen of job.specimens) {
        for (const coat of specimen.coats ?? [])
          for (const pot of coat.planned ?? [])
            if (typeof pot === 'string') expect(shelf.has(pot), `${job.number} ${pot}`).equal(true);
      }
    }
  });

  it('have photographs that are pictures, the same for the same seed', async () => {
    const { castings, parts } = createCatalogue();
    const casting = castings.find((one) => one.id === 'horse-box')!;
    const own = parts
      .filter((part) => part.castingId === casting.id)
      .map((part) => ({ ...part, state: 'sound' as const }));
    const draw = (seed: number) =>
      drawPhoto(casting.drawing.views[0]!, { body: { outside: '#6a2330' } }, own, false, seed);
    expect(draw(1)).equal(draw(1)).not.equal(draw(2));
    const { width, height } = await sharp(Buffer.from(draw(1))).metadata();
    expect([width, height].every((size) => size! > 400)).equal(true);
  });
});

describe('what the demo says', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());

  it('fits the published layout of a record', async () => {
    const schema = JSON.parse(
      await readFile(resolve(import.meta.dirname, '../../../docs/formats/record.schema.json'), 'utf8'),
    ) as object;
    const validate = new Ajv({ allErrors: true }).compile(schema);
    for (const id of ['sg-00', 'sg-03', 'sg-07', 'sg-10']) {
      const record = await bench.get<JobRecord>(`jobs/${id}/record.json`);
      expect(validate(record), `${id}: ${JSON.stringify(validate.errors)}`).equal(true);
    }
    expect(validate({ format: 'sardonyx-record' })).equal(false);
  });

  it('knows body and base of SG-05 apart: they did not leave the factory together', async () => {
    const { specimens } = await bench.get<{
      specimens: {
        catalogue: Parameters<typeof identifySpecimen>[0];
        observations: Parameters<typeof identifySpecimen>[1];
      }[];
    }>('jobs/sg-05');
    const { catalogue, observations } = specimens[0]!;
    const identification = identifySpecimen(catalogue, observations);
    expect(describeVerdict(identification, catalogue)).include(
      'two tools are mixed: the base belongs to another issue',
    );
    const { bounds } = identification;
    expect(bounds.conflict?.later.setBy).include('patent line');
    expect(bounds.conflict?.earlier.setBy).match(/Maroon|Solid/);
  });

  it('counts what stands on the shelf', async () => {
    const { castings } = await bench.get<CatalogueView>('castings');
    expect(castings.find((casting) => casting.id === 'baggage-trolley')!.onShelf).equal(3);
    const trolley = await bench.get<CastingView>('castings/baggage-trolley');
    expect(trolley.casting.number).equal('31/1 T');
  });
});
