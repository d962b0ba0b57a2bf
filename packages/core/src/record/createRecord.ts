import type { LabColour } from '../model/colour.ts';
import type { Job, Task, TaskLog } from '../model/work.ts';
import type { CoatingLayer, ComingOff, Finding, Photo, SpecimenPart, Want } from '../model/workpiece.ts';

/** What is known of one specimen when the record is written. */
export interface RecordSpecimen {
  readonly name: string;
  readonly casting: string;
  readonly verdict: string;
  readonly parts: readonly RecordPart[];
}

export interface RecordPart {
  readonly part: SpecimenPart;
  readonly findings: readonly Finding[];
  readonly wants: readonly Want[];
  readonly comingsOff: readonly ComingOff[];
  readonly layers: readonly (CoatingLayer & { readonly area: string })[];
}

/** A colour as it was before the work. */
export interface RecordColour {
  readonly part: string;
  readonly place: string;
  readonly note: string;
  readonly lab: LabColour;
  readonly sd: LabColour;
  readonly geometry: string;
  readonly method: string;
  readonly takenAt: string;
  readonly who: string;
}

/** What was mixed for it, with every paint, and how near its last patch came. */
export interface RecordMix {
  readonly name: string;
  readonly part: string;
  readonly target: LabColour;
  readonly paints: readonly { readonly name: string; readonly ml: number }[];
  readonly patches: number;
  /** null where no patch was painted. */
  readonly lastDe00: number | null;
  readonly isKept: boolean;
}

export interface RecordInput {
  readonly colours: readonly RecordColour[];
  readonly mixes: readonly RecordMix[];
  readonly job: Job;
  readonly specimens: readonly RecordSpecimen[];
  readonly tasks: readonly Task[];
  readonly log: readonly TaskLog[];
  readonly photos: readonly Photo[];
}

export interface JobRecord {
  readonly format: 'sardonyx-record';
  readonly formatVersion: 2;
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
  readonly work: readonly {
    readonly task: string;
    readonly who: string;
    readonly at: string;
    readonly act: string;
    readonly note: string;
  }[];
  readonly handsOnMinutesPlanned: number;
  readonly photos: readonly {
    readonly stage: string;
    readonly side: string;
    readonly takenAt: string;
    readonly sha256: string;
  }[];
}

export interface RecordCoat {
  readonly area: string;
  readonly name: string;
  readonly thicknessUm: number;
  readonly thicknessOrigin: string;
  readonly tempC: number | null;
  readonly appliedAt: string | null;
  readonly appliedBy: string | null;
}

/** The record of a job as plain data: what was found, what was done by whom, what is on it now, and an honest disclosure. */
export function createRecord(input: RecordInput): JobRecord {
  const { job } = input;
  const taskTitle = new Map(input.tasks.map((task) => [task.id, task.title]));
  return {
    format: 'sardonyx-record',
    formatVersion: 2,
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
          .map((layer) => `${layer.area}: ${layer.name}${layer.factory ? ' (factory)' : ''}`),
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
          })),
      })),
    })),
    colours: input.colours,
    mixes: input.mixes,
    work: input.log.map((entry) => ({
      task: taskTitle.get(entry.taskId) ?? '',
      who: entry.who,
      at: entry.at,
      act: entry.act,
      note: entry.note,
    })),
    handsOnMinutesPlanned: input.tasks
      .filter((task) => task.state === 'done')
      .reduce((sum, task) => sum + task.handsOnMin, 0),
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

/** Says plainly what it is now, for whoever owns it next. */
export function describeDisclosure(input: RecordInput): string {
  const parts = input.specimens.flatMap((specimen) => specimen.parts);
  const replaced = parts.filter(({ part }) => part.origin !== 'original' && part.origin !== 'unknown');
  const repainted = parts.filter(({ layers }) => layers.some((layer) => layer.stage === 'applied'));
  if (input.job.scope === 'clean only' && replaced.length === 0 && repainted.length === 0) {
    return "Cleaned only; nothing was repainted or replaced. A collector's piece, not a toy for a child: old lead paint, small parts.";
  }
  const sentences = ['This model has been restored.'];
  if (repainted.length)
    sentences.push(`Repainted: ${repainted.map(({ part }) => part.name.toLowerCase()).join(', ')}.`);
  if (replaced.length)
    sentences.push(
      `Not original to it: ${replaced.map(({ part }) => `${part.name.toLowerCase()} (${part.origin})`).join(', ')}.`,
    );
  sentences.push("It is a collector's piece, not a toy for a child: old lead paint may remain inside, small parts.");
  return sentences.join(' ');
}
