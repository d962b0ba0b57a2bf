import type { JointKind } from './catalogue.ts';

/** What an act is done to; together with the act it names a step of a plan. */
type SubjectKind = 'model' | 'part' | 'area' | 'joint' | 'kind of joint' | 'want' | 'colour' | 'coat';

/** Every kind of step that a plan can hold, in the order of the bench, and what each is of. */
const ACTS = {
  identify: 'model',
  photograph: 'model',
  'know-materials': 'model',
  'pest-check': 'model',
  'lead-look': 'model',
  'capture-colour': 'model',
  'list-wants': 'model',
  'order-wants': 'model',
  draw: 'want',
  get: 'want',
  'brush-ready': 'model',
  dust: 'model',
  'wash-once': 'model',
  'raking-light': 'model',
  tool: 'kind of joint',
  'axle-in-hand': 'joint',
  free: 'part',
  pilot: 'joint',
  open: 'joint',
  separate: 'model',
  'meltables-out': 'model',
  test: 'part',
  strip: 'part',
  wash: 'part',
  blast: 'part',
  inspect: 'part',
  key: 'part',
  soap: 'part',
  brush: 'part',
  'wash-bare': 'model',
  keep: 'part',
  'plating-test': 'part',
  'plating-off': 'part',
  'plating-rinse': 'part',
  polish: 'part',
  wheels: 'part',
  air: 'part',
  'hold-crack': 'part',
  straighten: 'part',
  mend: 'part',
  wipe: 'part',
  dress: 'part',
  'dress-lines': 'part',
  'recover-post': 'part',
  tap: 'joint',
  'trial-fit': 'part',
  'dry-fit': 'model',
  anneal: 'joint',
  'gun-ready': 'model',
  'take-off': 'coat',
  degrease: 'part',
  mask: 'part',
  prime: 'part',
  judge: 'part',
  refill: 'part',
  reprime: 'part',
  mix: 'colour',
  mist: 'area',
  colour: 'area',
  clear: 'area',
  bright: 'area',
  gloss: 'part',
  'rinse-gun': 'colour',
  'clean-gun': 'model',
  'empty-bake': 'part',
  'wipe-again': 'part',
  powder: 'part',
  'clear-relief': 'part',
  cure: 'part',
  'look-cured': 'part',
  'low-bake': 'part',
  clean: 'part',
  fit: 'part',
  'try-motion': 'model',
  check: 'joint',
  close: 'joint',
  'check-motion': 'model',
  'touch-in': 'model',
  'decal-fit': 'area',
  decal: 'area',
  seal: 'part',
  chrome: 'area',
  'sign-off-photos': 'model',
  'box-card': 'model',
} as const satisfies Readonly<Record<string, SubjectKind>>;

export type TaskAct = keyof typeof ACTS;

/** What a task is of, besides its parts. */
export interface TaskSubject {
  readonly jointKey?: string;
  /** Name of the area of its first part. */
  readonly area?: string;
  readonly wantId?: string;
  /** Name of the colour that is made ready. */
  readonly colour?: string;
  /** The kind of joint that a tool is made for. */
  readonly jointKind?: JointKind;
  /** The coat that comes off again. */
  readonly layerId?: string;
  /** From 2: another one of its kind on the same area. */
  readonly nth?: number;
  /** From 2: once more, after a coat was rejected and taken off. */
  readonly round?: number;
}

/**
 * The stable name of a step within the plan of one specimen: recompiling finds the same task again. It is made here and
 * read nowhere: whoever wants to know what a task is of asks its fields.
 */
export function createTaskKey(act: TaskAct, partKeys: readonly string[], of: TaskSubject): string {
  const round = of.round === undefined ? '' : `#${of.round}`;
  return [act, ...nameSubject(ACTS[act], partKeys, of)].join(':') + round;
}

function nameSubject(kind: SubjectKind, [part = '']: readonly string[], of: TaskSubject): readonly string[] {
  switch (kind) {
    case 'model':
      return [];
    case 'part':
      return [part, ...(of.nth === undefined ? [] : [String(of.nth)])];
    case 'area':
      return [part, of.area ?? '', ...(of.nth === undefined ? [] : [String(of.nth)])];
    case 'joint':
      return [of.jointKey ?? ''];
    case 'kind of joint':
      return [(of.jointKind ?? '').replace(' ', '-')];
    case 'want':
      return [of.wantId ?? ''];
    case 'colour':
      return [of.colour ?? '', ...(of.nth === undefined ? [] : [String(of.nth)])];
    case 'coat':
      return [of.layerId ?? ''];
  }
}
