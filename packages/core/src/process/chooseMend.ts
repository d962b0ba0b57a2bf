import { isMetal, traitsOf } from '../model/material.ts';
import { MEND_METHODS, type MendMethod } from '../model/mend.ts';
import { isMaterial } from '../model/process.ts';
import type { SchoolOption } from '../model/school.ts';
import { judgePart } from './judgePart.ts';
import type { Process, TreatedMaterial } from '../model/process.ts';

export const DAMAGES = ['crack', 'break', 'loss', 'pits'] as const;
export type Damage = (typeof DAMAGES)[number];

export interface MendQuestion {
  readonly materials: readonly TreatedMaterial[];
  readonly damage: Damage;
  /** It must bear something afterwards: an axle, a hinge, a hand. */
  readonly carriesLoad: boolean;
  /** A file gets at it. */
  readonly isReached: boolean;
  /** It stays in one piece with others. */
  readonly isJoined: boolean;
  /** Its old paint stays on, and may hold lead. */
  readonly keepsPaint: boolean;
  /** It is baked afterwards. */
  readonly isBakedLater: boolean;
  /** A new piece for what is gone is here or on its way. */
  readonly hasPiece: boolean;
  /** What was chosen for this damage; null where nobody chose. */
  readonly chosen: MendMethod | null;
  /** The house's or the job's answer. */
  readonly school: SchoolOption<'S16'>;
}

export interface MendAdvice {
  /** null: nothing mends this; it is replaced. */
  readonly best: MendMethod | null;
  readonly because: string;
  /** Why it is not what was chosen, or what the school says; null where it is, or where that is left open. */
  readonly insteadOf: { readonly method: MendMethod; readonly reason: string } | null;
  readonly refusals: readonly { readonly method: MendMethod; readonly reason: string }[];
}

const PROCESS: Readonly<Record<MendMethod, Process | null>> = {
  'glue and powder': 'cyanoacrylate',
  gel: 'cyanoacrylate',
  splint: 'cyanoacrylate',
  solder: 'soldering',
  resin: null,
  'filler on primer': null,
  'new piece': 'cyanoacrylate',
};

export const MEND_HOW: Readonly<Record<MendMethod, string>> = {
  'glue and powder':
    'Thin cyanoacrylate, powder filler into it, again until it stands proud; filed wet when hard. Sharp inner corners re-cut with a fine square file.',
  gel: 'Gel adhesive pressed into the crack with a pick, the rest wiped off at once. It is not filed.',
  splint:
    'Half-round wire cut to length, keyed and glued behind the break with gel; the outside filled and filed when hard.',
  solder: 'Tin both faces, a copper tab behind it, heat sink beside it. Rinse the flux off for long.',
  resin: 'Two-part resin mixed in full, pressed in, left a day. It bears nothing.',
  'new piece':
    'Fitted dry first. Stump and piece drilled for a pin of wire where they are thick enough, keyed, gel on pin and faces, held until it has set; the joint filled and filed when hard.',
  'filler on primer':
    'Fine filler over the primer with a flat blade, thin, twice rather than thick; rubbed wet, primed again.',
};

/**
 * How a crack, break, loss or pitting is mended: as was chosen for it, as the school says, or by what it must bear and what
 * reaches it; always so that the material stands it. Nothing glued or filled is baked afterwards; where a bake follows, only solder is left.
 */
export function chooseMend(question: MendQuestion): MendAdvice {
  const refusals = MEND_METHODS.flatMap((method) => {
    const reason = findRefusal(method, question);
    return reason === null ? [] : [{ method, reason }];
  });
  const isFree = (method: MendMethod) => refusals.every((one) => one.method !== method);
  const wanted = question.chosen ?? MEND_METHODS.find((method) => method === question.school);
  if (wanted && isFree(wanted))
    return {
      ...{ best: wanted, insteadOf: null, refusals },
      because: question.chosen ? 'chosen for this damage' : 'the school says so',
    };
  const [best, because] = rankByLoadAndAccess(question).find(([method]) => isFree(method)) ?? [null, ''];
  return {
    best,
    because: best === null ? 'nothing that may be used here holds' : because,
    insteadOf: refusals.find(({ method }) => method === wanted) ?? null,
    refusals,
  };
}

function rankByLoadAndAccess({
  materials,
  damage,
  carriesLoad,
  isReached,
  hasPiece,
}: MendQuestion): [MendMethod, string][] {
  const takesSolder = isMaterial(materials[0]) && traitsOf(materials[0]).takesSolder;
  const ranked: [MendMethod, string][] = [];
  if (damage === 'pits') ranked.push(['filler on primer', 'pits only need to look right']);
  if (hasPiece) ranked.push(['new piece', 'a new piece is on the list for it']);
  if (takesSolder && carriesLoad) ranked.push(['solder', `${materials[0]!} takes solder, and it must bear something`]);
  if (carriesLoad && (damage === 'break' || damage === 'loss'))
    ranked.push(['splint', 'glue alone does not bear what hangs on it']);
  if (damage === 'loss') ranked.push(['resin', 'it is built up, and bears nothing']);
  if (!isReached || carriesLoad) ranked.push(['gel', isReached ? 'it must bear something' : 'no file reaches it']);
  ranked.push(
    ['glue and powder', 'a file reaches it'],
    ['gel', 'it fills without filing'],
    ['resin', 'it bears nothing there'],
  );
  return ranked;
}

function findRefusal(
  method: MendMethod,
  { materials, damage, carriesLoad, isJoined, keepsPaint, isBakedLater, hasPiece }: MendQuestion,
): string | null {
  const [own] = materials;
  if (isBakedLater && method !== 'solder') return 'it is baked afterwards, and nothing glued or filled may be';
  const process = PROCESS[method];
  if (process) {
    const { verdict, material, reason } = judgePart(materials, process);
    if (verdict === 'never') return `${material}: ${reason}`;
  }
  if (method === 'solder' && !(isMaterial(own) && isMetal(own))) return 'only metal is soldered';
  if (method === 'solder' && isJoined) return 'the iron reaches what it is joined to';
  if (method === 'glue and powder' && isMaterial(own) && traitsOf(own).hasPoisonDust)
    return `${own}: it is filed afterwards, and the dust is poison`;
  if (keepsPaint && (method === 'glue and powder' || method === 'splint'))
    return 'it is filed afterwards, and its old paint stays on: the dust may hold lead';
  if (method === 'filler on primer' && (damage !== 'pits' || carriesLoad)) return 'filler has no strength';
  if (method === 'resin' && carriesLoad) return 'it bears nothing';
  if (method === 'splint' && damage !== 'break' && damage !== 'loss') return 'there is nothing to bridge';
  if (method === 'gel' && damage === 'loss') return 'it fills a gap, it builds nothing up';
  if (method === 'new piece' && !hasPiece) return 'no new piece is on the list';
  return null;
}
