import { computeLab, predictMix, surfaceOf, type MixStepBody, type RecipeLine } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { MixRow, MixStepRow } from '../entities/colour.ts';
import { PaintProductRow } from '../entities/paint.ts';
import { keepMix } from '../modules/colour/endMix.ts';

const DAY_MS = 86_400_000;

/** One mixing of the past: what went in, round by round, with wet and dry readings after each. */
interface MixNote {
  readonly id: string;
  readonly jobId: string;
  readonly name: string;
  readonly daysAgo: number;
  /** Rounds of pours, ml. */
  readonly rounds: readonly (readonly (readonly [productId: string, ml: number])[])[];
}

const MIXES: readonly MixNote[] = [
  {
    ...{ id: 'mix-slate', jobId: 'sg-07', name: 'Trolley slate, first try', daysAgo: 9 },
    rounds: [
      [
        ['paint-marlstone-slate-blue', 0.9],
        ['paint-marlstone-ultramarine', 0.1],
      ],
      [
        ['paint-marlstone-harbour-blue', 0.25],
        ['paint-marlstone-dock-grey', 0.2],
      ],
    ],
  },
  {
    ...{ id: 'mix-sand', jobId: 'sg-06', name: 'Warm chassis grey', daysAgo: 16 },
    rounds: [
      [
        ['paint-marlstone-dock-grey', 1.2],
        ['paint-marlstone-works-ochre', 0.12],
      ],
      [['paint-marlstone-black', 0.05]],
    ],
  },
];

/** Leftovers of earlier mixings with their history: what a wet film became when it dried, and pots with their recipe. */
export async function seedMixes(manager: EntityManager, now: Date): Promise<void> {
  for (const note of MIXES) await seedMix(manager, note, new Date(now.getTime() - note.daysAgo * DAY_MS));
}

async function seedMix(manager: EntityManager, note: MixNote, at: Date): Promise<void> {
  const pours = note.rounds.flat();
  const products = await manager.findBy(PaintProductRow, { id: In(pours.map(([id]) => id)) });
  const productOf = (id: string) => products.find((one) => one.id === id)!;
  const recipe: RecipeLine[] = note.rounds[0]!.map(([productId, ml]) => {
    const { line, name } = productOf(productId);
    return { productId, name: `${line} ${name}`, ml };
  });
  const looks = note.rounds.map((_, i) => lookAt(note.rounds.slice(0, i + 1).flat(), productOf));
  await manager.insert(MixRow, {
    ...{ id: note.id, version: 1, jobId: note.jobId, specimenPartId: null, captureId: null, name: note.name },
    ...{ target: looks.at(-1)!, targetA: looks.at(-1)!, geometry: 'gloss left out', needMl: 1.5, tolerance: 1 },
    ...{
      dosing: 'scales',
      doseMl: 0.01,
      way: 'light end',
      recipe,
      startedAt: at.toISOString(),
      endedAt: null,
      productId: null,
    },
  });
  const bodies = note.rounds.flatMap((round, i): MixStepBody[] => {
    const [l, a, b] = looks[i]!;
    return [
      ...round.map(([productId, ml]): MixStepBody => ({ kind: 'pour', productId, ml, source: 'scales' })),
      { kind: 'wet', lab: [l + 1.6 + 0.5 * i, 1.04 * a, 1.04 * b] },
      { kind: 'patch', lab: [l, a, b], sd: [0.2, 0.3, 0.3], how: 'spectrophotometer', words: null },
    ];
  });
  for (const [seq, body] of bodies.entries())
    await manager.insert(MixStepRow, {
      ...{ id: `${note.id}.${seq}`, mixId: note.id, seq, who: 'Imke Varga', body },
      at: new Date(at.getTime() + seq * 300_000).toISOString(),
    });
  await keepMix(manager, note.id, { name: note.name, place: 'Shelf 2, jars', areaId: null, who: 'Imke Varga' }, at);
}

function lookAt(pours: readonly (readonly [string, number])[], productOf: (id: string) => PaintProductRow) {
  return computeLab(
    predictMix(
      pours.map(([id]) => productOf(id).optics!),
      pours.map(([, ml]) => ml),
      surfaceOf('gloss left out'),
    ),
  );
}
