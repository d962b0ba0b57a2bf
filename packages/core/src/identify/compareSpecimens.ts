import type { Finding, PartState, SpecimenPart } from '../model/workpiece.ts';

/** What comparing needs of one of the two specimens. */
export interface ComparedSpecimen {
  readonly parts: readonly SpecimenPart[];
  readonly findings: readonly Finding[];
}

export interface ComparedPart {
  readonly key: string;
  readonly name: string;
  /**
   * The better one of the two, 'even' when nothing tells them apart, 'none' when it is missing on both, 'unknown' when nobody
   * looked at it on one of them.
   */
  readonly pick: 'first' | 'second' | 'even' | 'none' | 'unknown';
  /** What decides, in words. */
  readonly because: string;
}

const STATE_RANK: Readonly<Record<PartState, number>> = { sound: 0, worn: 1, damaged: 2, missing: 3 };

/**
 * Part by part the better one of two examples of a casting: first by what is there at all and its state, then by what was
 * found on it (the severities added up), then by origin (original before anything else). Parts are matched by key; one
 * that only one of them has counts as missing on the other. What nobody described is not known, never better.
 */
export function compareSpecimens(first: ComparedSpecimen, second: ComparedSpecimen): ComparedPart[] {
  const keys = [...new Set([...first.parts, ...second.parts].map((part) => part.key))];
  return keys.map((key) => {
    const [a, b] = [selectSide(first, key), selectSide(second, key)];
    return { key, name: (a.part ?? b.part)!.name, ...judge(a, b) };
  });
}

interface Side {
  readonly part: SpecimenPart | null;
  readonly own: readonly Finding[];
}

function selectSide({ parts, findings }: ComparedSpecimen, key: string): Side {
  const part = parts.find((candidate) => candidate.key === key) ?? null;
  return { part, own: part ? findings.filter((finding) => finding.specimenPartId === part.id) : [] };
}

const stateOf = ({ part }: Side): PartState => part?.state ?? 'missing';
const severityOf = ({ own }: Side) => own.reduce((sum, finding) => sum + finding.severity, 0);

function judge(a: Side, b: Side): Pick<ComparedPart, 'pick' | 'because'> {
  if (stateOf(a) === 'missing' && stateOf(b) === 'missing') return { pick: 'none', because: 'missing on both' };
  const unseen = [a, b].filter((side) => !isDescribed(side));
  if (unseen.length === 2) return { pick: 'unknown', because: 'nobody described it on either' };
  if (unseen.length === 1)
    return {
      pick: 'unknown',
      because: `${describeSide(a)} against ${describeSide(b)}: look at it first`,
    };
  const byState = STATE_RANK[stateOf(a)] - STATE_RANK[stateOf(b)];
  if (byState !== 0) return { pick: better(byState), because: `${stateOf(a)} against ${stateOf(b)}` };
  const bySeverity = severityOf(a) - severityOf(b);
  if (bySeverity !== 0)
    return { pick: better(bySeverity), because: `${describeFindings(a)} against ${describeFindings(b)}` };
  const byOrigin = Number(b.part?.origin === 'original') - Number(a.part?.origin === 'original');
  if (byOrigin !== 0) return { pick: better(byOrigin), because: `${a.part!.origin} against ${b.part!.origin}` };
  return { pick: 'even', because: `both ${stateOf(a)}` };
}

/** Somebody wrote something down about it: as the casting gives it, a part only counts as sound. */
const isDescribed = ({ part, own }: Side): boolean =>
  part === null || own.length > 0 || part.state !== 'sound' || part.origin !== 'unknown' || part.version > 1;

const describeSide = (side: Side) => (isDescribed(side) ? stateOf(side) : 'not described');

const better = (difference: number) => (difference < 0 ? 'first' : 'second');

const describeFindings = ({ own }: Side) =>
  own.length ? own.map((finding) => finding.kind).join(', ') : 'nothing found';
