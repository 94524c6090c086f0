import { COMPARE_RULES } from "../foot/findings/compareRules";
import { findBy } from "../foot/findings/find";
import { FOUND_RULES } from "../foot/findings/foundRules";
import { HEEL_RULES } from "../foot/findings/heelRules";
import type { Finding, Rule } from "../foot/findings/rule";
import { SIDE_RULES } from "../foot/findings/sideRules";
import { SOLE_RULES } from "../foot/findings/soleRules";
import { MOVEMENT_RULES, type MovementFacts } from "../gait/movementRules";
import { PLAN_RULES, type PlannedFacts } from "../trim/planRules";

/** All that is known of a foot at a visit: measured, found, watched, planned. */
export type VisitFacts = MovementFacts & PlannedFacts;

/** The whole table, in the order in which things are said where their levels are equal. */
export const FINDING_RULES: readonly Rule<VisitFacts>[] = [
  ...SIDE_RULES,
  ...HEEL_RULES,
  ...SOLE_RULES,
  ...FOUND_RULES,
  ...COMPARE_RULES,
  ...MOVEMENT_RULES,
  ...PLAN_RULES,
];

/** What a foot's facts say, by every rule of the table. */
export const findingsOf = (facts: VisitFacts): Finding[] => findBy(FINDING_RULES, facts);
