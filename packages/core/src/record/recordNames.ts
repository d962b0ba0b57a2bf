import type { RecordInput } from './recordInput.ts';

/** What the ids of a job are called in its record. */
export interface RecordNames {
  /** Empty where there is none. */
  readonly part: (id: string | null) => string;
  readonly partOfKey: (specimenId: string, key: string) => string;
  readonly model: (id: string) => string | null;
  readonly task: (id: string) => string | null;
  /** SHA-256 of a photograph. */
  readonly photo: (id: string | null) => string | null;
  /** "Body, sheltered (under the base)". */
  readonly capture: (id: string) => string | null;
  /** Paints, things of the drawers, other models. */
  readonly other: (id: string | null) => string | null;
}

/** A name for everything that rows of the job refer to. */
export function createRecordNames({ specimens, tasks, photos, nameOf }: RecordInput): RecordNames {
  const parts = new Map(specimens.flatMap((one) => one.parts).map((part) => [part.id, part]));
  const keys = new Map([...parts.values()].map((part) => [`${part.specimenId} ${part.key}`, part.name]));
  const models = new Map(specimens.map(({ specimen }) => [specimen.id, specimen.name]));
  const titles = new Map(tasks.map(({ id, title }) => [id, title]));
  const hashes = new Map(photos.map(({ id, hash }) => [id, hash]));
  const captures = new Map(specimens.flatMap((one) => one.captures).map((capture) => [capture.id, capture]));
  const part = (id: string | null) => (id === null ? '' : (parts.get(id)?.name ?? ''));
  return {
    part,
    partOfKey: (specimenId, key) => keys.get(`${specimenId} ${key}`) ?? key,
    model: (id) => models.get(id) ?? null,
    task: (id) => titles.get(id) ?? null,
    photo: (id) => (id === null ? null : (hashes.get(id) ?? null)),
    capture: (id) => {
      const capture = captures.get(id);
      if (!capture) return null;
      const { specimenPartId, place, note } = capture;
      return `${part(specimenPartId)}, ${place}${note ? ` (${note})` : ''}`;
    },
    other: (id) => (id === null ? null : (models.get(id) ?? nameOf(id))),
  };
}
