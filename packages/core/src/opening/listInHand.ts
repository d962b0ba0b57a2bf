import type { JointKind } from '../model/catalogue.ts';
import { traitsOf } from '../model/material.ts';
import type { PlanJoint } from '../facts/specimenFacts.ts';
import type { OpeningPart } from './openingQuestion.ts';

/** What closes a joint again, so that it lies on the bench before the joint is opened. */
const TO_CLOSE: Readonly<Record<JointKind, string>> = {
  'rivet post': 'closing screw (M2 or the like), its tap and drill',
  screw: 'a driver that fills the slot',
  'bent tab': 'flat blade, a block to bend over; a tab bends few times',
  'formed axle': 'replacement axle of the right length, cupped punch',
  snap: 'hand-warm water or air',
  glue: 'adhesive that does not fog, blade',
  solder: 'iron, flux, heat sink',
  'peened pin': 'pin wire of the same diameter, peening block',
  'tapered pin': 'two thin wedges of wood or brass, padded jaws to squeeze it home',
  'sprung pin': 'tray under it: the spring flies',
  'push fit': '',
};

/** What to have in hand before a joint is opened: what closes it again, and a replacement for what is likely to break. */
export function listInHand(joint: PlanJoint, parts: readonly OpeningPart[]): string[] {
  const brittle = parts.filter((part) => joint.partKeys.includes(part.key) && traitsOf(part.material).isBrittle);
  return [
    ...(TO_CLOSE[joint.kind] ? [TO_CLOSE[joint.kind]] : []),
    ...(joint.way.risk > 0.04 && joint.kind !== 'rivet post'
      ? brittle.map((part) => `a replacement for the ${part.name.toLowerCase()}: old ${part.material} breaks`)
      : []),
  ];
}
