import { ORDER_RULES } from '../../src/compile/orderRules.ts';
import type { PlanInput, PlannedTask } from '../../src/compile/planTypes.ts';
import { chooseOption } from '../../src/schools/schools.ts';

/**
 * Every order rule in force, and the way back through the joints, checked pair by pair on the order of a plan; shares no
 * code with what links and sorts it. Names what is broken; `fired` gathers which rules had anything to say.
 */
export function findBrokenRules(input: PlanInput, tasks: readonly PlannedTask[], fired = new Set<string>()): string[] {
  const broken: string[] = [];
  for (const rule of ORDER_RULES) {
    const { safety, onlyWith, notWith } = rule;
    if (!safety && onlyWith && chooseOption(onlyWith.key, input.decisions) !== onlyWith.option) continue;
    if (!safety && notWith && chooseOption(notWith.key, input.decisions) === notWith.option) continue;
    for (const before of tasks.filter((task) => task.tags.some((tag) => rule.before.includes(tag))))
      for (const after of tasks.filter((task) => task.tags.some((tag) => rule.after.includes(tag)))) {
        if (before.key === after.key || !isInScope(rule.scope, before, after)) continue;
        fired.add(`${rule.id} ${rule.after[0]}`);
        if (before.seq >= after.seq) broken.push(`${rule.id}: ${before.key} before ${after.key}`);
      }
  }
  const seqOf = (key: string) => tasks.find((task) => task.key === key)?.seq;
  for (const { key, way } of input.opening)
    for (const outer of way.behindJoints) {
      const [openInner, openOuter] = [seqOf(`open:${key}`), seqOf(`open:${outer}`)];
      if (openInner !== undefined && openOuter !== undefined && openOuter > openInner)
        broken.push(`${outer} is opened after ${key}, which lies behind it`);
      const [closeInner, closeOuter] = [seqOf(`close:${key}`), seqOf(`close:${outer}`)];
      if (closeInner !== undefined && closeOuter !== undefined && closeInner > closeOuter)
        broken.push(`${key} is closed after ${outer}, which it lies behind`);
    }
  return broken;
}

function isInScope(scope: string, before: PlannedTask, after: PlannedTask): boolean {
  if (scope === 'specimen') return true;
  if (scope === 'area' && before.of.area !== after.of.area) return false;
  if (scope === 'joint') return before.of.jointKey !== undefined && before.of.jointKey === after.of.jointKey;
  return before.partKeys.some((key) => after.partKeys.includes(key));
}
