import { BAKE_RULES } from './bakeRules.ts';
import { CLEAR_RULES } from './clearRules.ts';
import { CLOSING_RULES } from './closingRules.ts';
import { DECAL_RULES } from './decalRules.ts';
import { GUN_RULES } from './gunRules.ts';
import { INTAKE_RULES } from './intakeRules.ts';
import { MENDING_RULES } from './mendingRules.ts';
import { OPENING_RULES } from './openingRules.ts';
import { PAINT_OFF_RULES } from './paintOffRules.ts';
import { PAINT_RULES } from './paintRules.ts';
import { CLEANING_RULES } from './cleaningRules.ts';
import type { PlanRule } from './planRule.ts';
import { SIGN_OFF_RULES } from './signOffRules.ts';
import { STRAIGHTEN_RULES } from './straightenRules.ts';
import { THREAD_RULES } from './threadRules.ts';

/** Every reason for a task, in the order of the bench. A model that is only cleaned is never opened, so it asks for little. */
export const PLAN_RULES: readonly PlanRule[] = [
  ...INTAKE_RULES,
  ...onlyInFull(OPENING_RULES),
  ...onlyInFull(PAINT_OFF_RULES),
  ...onlyInFull(CLEANING_RULES),
  ...onlyInFull(STRAIGHTEN_RULES),
  ...onlyInFull(MENDING_RULES),
  ...onlyInFull(THREAD_RULES),
  ...onlyInFull(GUN_RULES),
  ...onlyInFull(PAINT_RULES),
  ...onlyInFull(CLEAR_RULES),
  ...onlyInFull(BAKE_RULES),
  ...onlyInFull(CLOSING_RULES),
  ...onlyInFull(DECAL_RULES),
  ...SIGN_OFF_RULES,
];

function onlyInFull(rules: readonly PlanRule[]): PlanRule[] {
  return rules.map((rule) => ({
    ...rule,
    create: (context) => (context.input.scope !== 'clean only' ? rule.create(context) : []),
  }));
}
