import { selectStandingWork } from '../facts/standingWork.ts';
import type { LogAct, TaskLog } from '../model/task.ts';
import type { CoatHow, DecalSize, Finding } from '../model/workpiece.ts';
import { describeDisclosure } from './describeDisclosure.ts';
import type { RecordColour, RecordInput, RecordMix } from './recordInput.ts';

export interface JobRecord {
  readonly format: 'sardonyx-record';
  readonly formatVersion: 5;
  readonly job: {
    readonly number: string;
    readonly title: string;
    readonly target: string;
    readonly why: string;
    readonly intakeOn: string;
    readonly signedOffAt: string | null;
    readonly signedOffBy: string | null;
  };
  readonly disclosure: string;
  readonly specimens: readonly {
    readonly name: string;
    readonly casting: string;
    readonly verdict: string;
    readonly parts: readonly {
      readonly name: string;
      readonly material: string;
      readonly origin: string;
      readonly originNote: string;
      readonly findings: readonly string[];
      readonly wants: readonly string[];
      /** How it came off, for whoever opens it next. */
      readonly cameOff: readonly string[];
      readonly coatsFound: readonly string[];
      readonly coatsApplied: readonly RecordCoat[];
    }[];
  }[];
  readonly colours: readonly RecordColour[];
  readonly mixes: readonly RecordMix[];
  /** Every entry of the log in its own words. */
  readonly work: readonly RecordWork[];
  /** Steps that were declared not needed or done otherwise, with the reason. */
  readonly exceptions: readonly { readonly task: string; readonly act: string; readonly reason: string }[];
  readonly handsOnMinutesPlanned: number;
  readonly photos: readonly {
    readonly stage: string;
    readonly side: string;
    readonly takenAt: string;
    readonly sha256: string;
  }[];
}

export interface RecordWork {
  readonly task: string;
  readonly parts: readonly string[];
  /** Method, or the way a joint was opened; empty where there is no choice. */
  readonly by: string;
  readonly because: string;
  readonly products: readonly string[];
  readonly measures: readonly string[];
  readonly who: string;
  readonly at: string;
  readonly act: LogAct;
  readonly note: string;
}

export interface RecordCoat {
  readonly area: string;
  readonly name: string;
  readonly thicknessUm: number;
  readonly thicknessOrigin: string;
  readonly tempC: number | null;
  readonly appliedAt: string | null;
  readonly appliedBy: string | null;
  /** So thin that the ground shows through. */
  readonly isMist: boolean;
  readonly how: CoatHow | null;
  readonly decalMm: DecalSize | null;
  /** When it was rubbed dull for the next one. */
  readonly keyedAt: string | null;
  /** Why it was rejected; null where it stands. */
  readonly rejectedBecause: string | null;
  readonly removedAt: string | null;
}

/** The record of a job as plain data: what was found, what was done by whom, what is on it now, and an honest disclosure. */
export function createRecord(input: RecordInput): JobRecord {
  const { job } = input;
  const standing = selectStandingWork(input.log);
  return {
    format: 'sardonyx-record',
    formatVersion: 5,
    job: {
      number: job.number,
      title: job.title,
      target: job.target,
      why: job.why,
      intakeOn: job.intakeOn,
      signedOffAt: job.signedOffAt,
      signedOffBy: job.signedOffBy,
    },
    disclosure: describeDisclosure(input),
    specimens: input.specimens.map((specimen) => ({
      name: specimen.name,
      casting: specimen.casting,
      verdict: specimen.verdict,
      parts: specimen.parts.map(({ part, findings, wants, comingsOff, layers }) => ({
        name: part.name,
        material: part.material,
        origin: part.origin,
        originNote: part.originNote,
        findings: findings.map(describeFinding),
        cameOff: comingsOff.map(({ fromSide, note }) => `from the ${fromSide}${note ? `: ${note}` : ''}`),
        wants: wants.map(
          (want) =>
            `${want.what}: ${want.state}${want.state === 'waived' ? `, ${want.reason}` : want.solution ? `, ${want.solution}` : ''}`,
        ),
        coatsFound: layers
          .filter((layer) => layer.stage === 'found')
          .map((layer) => `${layer.area}: ${layer.name}${layer.whose === 'unknown' ? '' : ` (${layer.whose})`}`),
        coatsApplied: layers
          .filter((layer) => layer.stage === 'applied')
          .map((layer) => ({
            area: layer.area,
            name: layer.name,
            thicknessUm: layer.thicknessUm,
            thicknessOrigin: layer.thicknessOrigin,
            tempC: layer.tempC,
            appliedAt: layer.appliedAt,
            appliedBy: layer.appliedBy,
            isMist: layer.isMist,
            how: layer.how,
            decalMm: layer.decalMm,
            keyedAt: layer.keyedAt,
            rejectedBecause: layer.rejection?.because ?? null,
            removedAt: layer.removedAt,
          })),
      })),
    })),
    colours: input.colours,
    mixes: input.mixes,
    work: input.log.map(describeEntry),
    exceptions: selectExceptions(input.log),
    handsOnMinutesPlanned: standing.reduce((sum, { work }) => sum + work.handsOnMin, 0),
    photos: input.photos.map((photo) => ({
      stage: photo.stage,
      side: photo.side,
      takenAt: photo.takenAt,
      sha256: photo.hash,
    })),
  };
}

function describeFinding({ kind, note, measuredValue, measuredUnit }: Finding): string {
  const measured = measuredValue === null ? '' : `${measuredValue} ${measuredUnit}`;
  const words = [note, measured].filter(Boolean).join(', ');
  return words ? `${kind}: ${words}` : kind;
}

function describeEntry({ who, at, act, note, work }: TaskLog): RecordWork {
  return {
    task: work.title,
    parts: work.partNames,
    by: work.way?.label ?? work.method ?? '',
    because: work.because,
    products: work.products,
    measures: work.measures.map(({ what, valueMm }) => `${what} ${valueMm} mm`),
    ...{ who, at, act, note },
  };
}

/** What stands of them: a step that was taken up again after all is no exception. */
function selectExceptions(log: readonly TaskLog[]): JobRecord['exceptions'] {
  const last = new Map<string, TaskLog>();
  for (const entry of log) if (entry.act !== 'note' && entry.act !== 'looked') last.set(entry.taskId, entry);
  return [...last.values()]
    .filter(({ act }) => act === 'not needed' || act === 'done otherwise')
    .map(({ work, act, note }) => ({ task: work.title, act, reason: note }));
}
