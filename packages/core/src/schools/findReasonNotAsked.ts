import type { PlanPart, SpecimenFacts } from '../facts/specimenFacts.ts';
import type { JointKind } from '../model/catalogue.ts';
import { isMetal, traitsOf } from '../model/material.ts';
import type { SchoolKey } from '../model/school.ts';
import type { FindingKind, LayerKind } from '../model/workpiece.ts';

type Known = Pick<SpecimenFacts, 'parts' | 'joints'>;

/** Why a question has no work on this model, so that any answer to it is the same; null where it has. */
export const findReasonNotAsked = (school: SchoolKey, known: Known): string | null => REASONS[school](known);

const REASONS: Readonly<Record<SchoolKey, (known: Known) => string | null>> = {
  S1: ({ parts }) =>
    unless(
      parts.some(({ material, coats }) => traitsOf(material).isZinc && coats.length),
      'no zinc on it is painted',
    ),
  S2: ({ joints }) => unless(hasJoint(joints, 'rivet post', 'bent tab'), 'it has no posts'),
  S3: ({ joints }) => unless(hasJoint(joints, 'rivet post'), 'it has no rivet'),
  S4: ({ joints }) => unless(hasJoint(joints, 'formed axle'), 'it has no axle with formed ends'),
  S5: ({ joints }) => unless(hasJoint(joints, 'formed axle'), 'it has no axle with formed ends'),
  S6: ({ parts }) => unless(wears(parts, 'primer', 'colour', 'clear'), 'no paint is planned yet'),
  S7: ({ parts }) => unless(wears(parts, 'brightwork'), 'no brightwork is planned'),
  S8: ({ parts }) =>
    unless(
      parts.some(
        ({ coats, colourOrder }) =>
          colourOrder.length > 1 || coats.filter(({ areaKind }) => areaKind === 'mask').length > 1,
      ),
      'no part gets two colours that are masked from each other',
    ),
  S9: ({ parts }) =>
    unless(
      parts.some(({ coats }) => coats.some(({ kind, dries }) => kind === 'colour' && dries === null)),
      'a pot is chosen for every colour',
    ),
  S10: ({ parts }) => unless(wears(parts, 'colour'), 'no colour is planned yet'),
  S11: ({ parts }) =>
    unless(
      parts.some((part) => part.painted && isMetal(part.material)),
      'no metal on it is painted',
    ),
  S12: ({ parts }) => unless(wears(parts, 'primer'), 'no primer is planned'),
  S13: ({ parts }) => unless(wears(parts, 'decal', 'clear'), 'neither decals nor clear are planned'),
  S14: ({ parts }) =>
    unless(
      parts.some(({ role }) => role === 'wheel'),
      'it has no wheels',
    ),
  S15: ({ parts }) =>
    unless(
      parts.some((part) => part.wants.some(({ kind }) => kind === 'part' || kind === 'feature')) ||
        has(parts, 'broken'),
      'nothing on it is missing or broken',
    ),
  S16: ({ parts }) =>
    unless(
      has(parts, 'cracked', 'broken', 'pitted', 'earlier repair', 'missing'),
      'nothing on it is cracked, broken or pitted',
    ),
  S17: ({ parts }) => unless(has(parts, 'bent', 'twisted'), 'nothing on it is bent'),
  S18: ({ parts }) =>
    unless(
      parts.some(({ material }) => !isMetal(material)),
      'nothing on it is of plastic',
    ),
  S19: ({ parts }) =>
    unless(
      parts.some((part) => isMetal(part.material) && wears([part], 'colour')),
      'no metal on it gets a colour',
    ),
  S20: ({ parts }) => unless(wears(parts, 'decal'), 'no decal is planned'),
  S21: ({ parts }) => unless(wears(parts, 'primer', 'colour', 'clear', 'brightwork'), 'no paint is planned yet'),
  S22: () => null,
  S23: () => null,
  S24: ({ parts }) =>
    unless(
      parts.some((part) => wears([part], 'decal') && wears([part], 'brightwork')),
      'no part gets both',
    ),
};

const unless = (isAsked: boolean | number, reason: string): string | null => (isAsked ? null : reason);

const hasJoint = (joints: Known['joints'], ...kinds: JointKind[]) => joints.some(({ kind }) => kinds.includes(kind));

const wears = (parts: readonly PlanPart[], ...kinds: LayerKind[]) =>
  parts.some(({ coats }) => coats.some(({ kind }) => kinds.includes(kind)));

const has = (parts: readonly PlanPart[], ...kinds: FindingKind[]) =>
  parts.some(({ findings }) => findings.some(({ kind }) => kinds.includes(kind)));
