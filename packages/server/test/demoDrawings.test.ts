import type { CastingView, CatalogueView } from '@sardonyx/contract';
import { fitPartMap, describeVerdict, identifySpecimen } from '@sardonyx/core';
import { expect } from 'chai';
import sharp from 'sharp';
import { planOpening } from '../../core/src/assembly/planOpening.ts';
import { createCatalogue } from '../src/demo/createCatalogue.ts';
import { aimCamera, createScene, describeTruth } from '../src/demo/photoScene.ts';
import { renderPhoto } from '../src/demo/renderPhoto.ts';
import { readJobNotes } from '../src/demo/jobNotes.ts';
import { createPaintShelf } from '../src/demo/paintShelf.ts';
import { createTestBench, NOW, type TestBench } from './support/createTestBench.ts';

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
      const { parts } = fitPartMap(casting.drawing.views[0]!, joints, 130, () => 30);
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
    const shelf = new Set(createPaintShelf(NOW).products.map((product) => product.id));
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
    const size = { widthPx: 640, heightPx: 480 };
    const draw = (view: number, seed: number) => {
      const sitter = {
        ...{ view: casting.drawing.views[view]!, paint: { body: { outside: '#6a2330' } }, parts: own },
        ...{ isMirrored: false, chipCount: 26 },
      };
      const camera = aimCamera(sitter, size, seed);
      return { picture: renderPhoto(createScene(sitter, seed), camera, seed, 6), truth: describeTruth(sitter, camera) };
    };
    const first = await draw(0, 1).picture;
    expect(first.equals(await draw(0, 1).picture)).equal(true);
    expect(first.equals(await draw(0, 2).picture)).equal(false);
    expect(await sharp(first).metadata()).deep.include({ width: 640, height: 480, format: 'jpeg' });
    // The dots of the card are dark where they are said to be, and its paper is white beside them.
    const { data } = await sharp(first).greyscale().raw().toBuffer({ resolveWithObject: true });
    for (const { x, y } of draw(0, 1).truth.dots) {
      expect(data[Math.round(y) * 640 + Math.round(x)]!).lessThan(60);
      expect(data[Math.round(y) * 640 + Math.round(x + 14)]!).greaterThan(150);
    }
    expect(draw(0, 1).truth).deep.include({ wheelbaseMm: 40, feet: [] });
  });
});

describe('what the demo says', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());

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
