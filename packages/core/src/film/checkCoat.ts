import type { Material } from '../model/material.ts';
import type { Refusal } from '../model/refusal.ts';
import { isSettled, type Task } from '../model/task.ts';
import type { PaintProduct } from '../model/work.ts';
import { isStanding } from '../facts/selectPartDone.ts';
import { capitalise } from '../words/names.ts';
import { sayMinutes } from '../words/sayMinutes.ts';
import type { StandingCoat } from './answerArea.ts';
import { convertProductKind, convertProductToLayer } from './convertProductToLayer.ts';
import { findGround } from './findGround.ts';
import { isBareMetalUnder } from './isBareMetalUnder.ts';
import { judgeBuild, USUAL_RELIEF, type Relief } from './judgeBuild.ts';
import { isMadeFor, judgeOver } from './judgeOver.ts';
import { judgeSpans } from './judgeSpans.ts';
import { judgeMet, type MetCoats, type NextVerdict } from './meetCoats.ts';

export interface CoatAttempt extends MetCoats {
  readonly partKey: string;
  readonly partName: string;
  readonly material: Material;
  readonly product: PaintProduct;
  readonly tempC: number;
  readonly appliedAt: Date;
  /** Tasks of the specimen. */
  readonly tasks: readonly Task[];
  /** When the coats that stand on the model bear what (describeStandingCoats). */
  readonly standing: readonly StandingCoat[];
  /** Of the pots that those coats came out of. */
  readonly products: readonly Pick<PaintProduct, 'id' | 'binder'>[];
  readonly isMist: boolean;
  /** The finest relief of the area as measured, micrometres; null where nobody did. */
  readonly reliefUm: number | null;
  /** Why it goes on although relief is lost; empty where nobody said so. */
  readonly overBecause: string;
}

/**
 * Why this coat must not go on: old paint still there, colour on bare metal, a binder that the coat below does not bear, outside
 * the product's temperatures, or outside the windows of the coats below. An empty list means it may.
 */
export function checkCoat(attempt: CoatAttempt): Refusal[] {
  const { product, partName } = attempt;
  const refusals: Refusal[] = [];
  const unstripped = attempt.tasks.find(
    (task) => task.tags.includes('strip') && task.partKeys.includes(attempt.partKey) && !isSettled(task),
  );
  const hasOldPaint = attempt.layers.some((layer) => layer.stage === 'found' && layer.kind !== 'plating');
  if (hasOldPaint && unstripped) {
    refusals.push({
      code: 'not-stripped',
      field: 'productId',
      message: `The ${partName.toLowerCase()} still carries its old paint: finish "${unstripped.title}" first.`,
    });
  }
  const applied = attempt.layers.filter(isStanding).sort((a, b) => a.seq - b.seq);
  // Old paint that stays is a ground; what is or was stripped is bare.
  const losesPaint = attempt.tasks.some(
    (task) =>
      task.act === 'strip' && task.partKeys.includes(attempt.partKey) && (task.state === 'done' || !isSettled(task)),
  );
  const isPrimed = [...applied, ...attempt.under.filter(isStanding)].some((layer) => layer.kind === 'primer');
  const hasGround = isPrimed || (hasOldPaint && !losesPaint);
  const isPowder = product.kind === 'powder';
  const isBare = isBareMetalUnder(convertProductKind(product.kind), attempt.material, { hasGround, isPowder });
  if (isBare) {
    refusals.push({
      code: 'bare-metal',
      field: 'productId',
      message: `Primer first: ${product.binder} on bare ${attempt.material} does not hold.`,
    });
  } else refusals.push(...refuseGround(attempt, losesPaint));
  if (attempt.tempC < product.minC || attempt.tempC > product.maxC) {
    refusals.push({
      code: 'temperature',
      field: 'tempC',
      message: `${product.name} goes on between ${product.minC} and ${product.maxC} °C (planning estimate); the room has ${attempt.tempC} °C.`,
    });
  }
  const last = applied[applied.length - 1];
  if (last?.appliedAt && attempt.appliedAt.getTime() < Date.parse(last.appliedAt)) {
    refusals.push({
      code: 'before-the-last',
      field: 'appliedAt',
      message: 'This is before the coat under it went on.',
    });
    return refusals;
  }
  return [...refusals, ...refuseWindow(attempt), ...refuseBuild(attempt)];
}

/** With it, letters fill in. */
function refuseBuild({ product, layers, isMist, reliefUm, overBecause }: CoatAttempt): Refusal[] {
  if (overBecause.trim() !== '') return [];
  const relief: Relief = reliefUm === null ? USUAL_RELIEF : { depthUm: reliefUm, origin: 'measured' };
  const { verdict, totalUm, spreadUm } = judgeBuild(
    layers.filter(isStanding),
    [convertProductToLayer(product, isMist)],
    relief,
  );
  if (verdict !== 'fills in') return [];
  return [
    {
      ...{ code: 'over-relief', field: 'overBecause' },
      message: `With it ${Math.round(totalUm)} ± ${Math.round(spreadUm)} µm lie on relief of ${relief.depthUm} µm (${relief.origin}): letters fill in. Say why it goes on all the same, or take a coat off.`,
    },
  ];
}

/** What lies below does not bear this binder, or not yet. */
function refuseGround(attempt: CoatAttempt, losesPaint: boolean): Refusal[] {
  const { product } = attempt;
  const { ground, layer } = findGround({ ...attempt, losesPaint });
  if (isMadeFor(product.kind, ground)) return [];
  const { verdict, reason } = judgeOver(product.binder, ground);
  const message = `${capitalise(product.binder)} over ${layer ? layer.name : ground}: ${reason}.`;
  if (verdict === 'never') return [{ code: 'never-over', field: 'productId', message }];
  if (verdict === 'barrier first')
    return [{ code: 'barrier-first', field: 'productId', message: `${message} A primer that both bear goes between.` }];
  const coat = attempt.standing.find(({ layerId }) => layerId === layer?.id);
  if (verdict === 'fine' || !coat) return [];
  const at = attempt.appliedAt.getTime();
  const { state, from } = judgeSpans(coat.spans.wear, at);
  return state === 'open' ? [] : [waitFor('not-cured', `${message} It must cure first`, at, from)];
}

/** The coats below take no other now, or what would be masked bears no tape. */
function refuseWindow(attempt: CoatAttempt): Refusal[] {
  const at = attempt.appliedAt.getTime();
  const verdict = judgeMet(attempt, attempt.standing, at);
  if (verdict.state === 'open') return [];
  const met = [...attempt.layers, ...attempt.under, ...attempt.taped];
  const name = met.find(({ id }) => id === verdict.heldBy)?.name ?? 'What is below';
  if (verdict.act === 'recoat') return [refuseRecoat({ ...verdict, name }, at)];
  return [waitFor('still-drying', `${name} does not bear tape yet`, at, verdict.from)];
}

function refuseRecoat({ name, state, from }: NextVerdict & { readonly name: string }, at: number): Refusal {
  if (state === 'shut')
    return {
      ...{ code: 'window-shut', field: 'appliedAt' },
      message: `The window of ${name} has shut: key the coat (rub it dull, wipe it), say so, and go on.`,
    };
  if (state !== 'gap') return waitFor('still-drying', `${name} does not take another coat yet`, at, from);
  const because = `${name} lifts under another coat now: its first window has shut, and the next has not opened`;
  return waitFor('in-gap', because, at, from);
}

function waitFor(code: Refusal['code'], because: string, at: number, from: number | null): Refusal {
  if (from === null)
    return {
      code,
      field: 'appliedAt',
      message: `${because}; in a room as cold as this one it does not come: warm it.`,
    };
  return {
    ...{ code, field: 'appliedAt', from: new Date(from).toISOString() },
    message: `${because}: ${sayMinutes((from - at) / 60_000)} more.`,
  };
}
