import type { JointKind, JointWay } from '../model/catalogue.ts';

const usual = (label: string, tool: JointWay['tool'], minutes: number, risk: number, destroys = ''): JointWay => ({
  key: 'usual',
  label,
  tool,
  minutes,
  risk,
  destroys,
  behindJoints: [],
});

/** How such a joint is usually opened, where nothing more is known of it; minutes and risk are planning estimates. */
export const USUAL_WAYS: Readonly<Record<JointKind, JointWay>> = {
  'rivet post': usual('Drill the head off', 'drill', 10, 0.05, 'the rivet head'),
  screw: usual('Undo the screw', 'hand', 2, 0.01),
  'bent tab': usual('Lift the tabs', 'hand', 6, 0.1),
  'formed axle': usual('Grind one head off', 'rotary', 10, 0.05, 'one axle end'),
  snap: usual('Ease the snap', 'hand', 4, 0.15),
  glue: usual('Part the glue', 'hand', 15, 0.2),
  solder: usual('Unsolder', 'iron', 15, 0.15),
  'peened pin': usual('Drill the pin', 'drill', 12, 0.1, 'the pin'),
  'tapered pin': usual('Wedge it apart', 'hand', 8, 0.12),
  'sprung pin': usual('Push the pin out', 'hand', 5, 0.05),
  'push fit': usual('Pull it out straight', 'hand', 2, 0.03),
};
