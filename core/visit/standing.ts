import { visitFoot, type FootRecords, type VisitFoot } from "./visitFoot";
import type { Horse } from "../record/horse";
import type { Settings } from "../record/settings";
import type { Visit } from "../record/visit";
import { noiseOf } from "../foot/records/pairs";
import type { Wording } from "../foot/wording";
import { pairOf, type Limb } from "../foot/limb";
import type { BoundOverrides } from "../foot/survey/ratios";
import { asLeft } from "./asLeft";
import { footFacts, type FactsContext } from "./footFacts";
import { findingsOf } from "./findings";
import type { Finding } from "../foot/findings/rule";

/** What is to be said of a foot as a visit left it; nothing about change, which was said at the visit. */
export function standingFindings(
  horse: Horse,
  limb: Limb,
  visit: Visit,
  records: FootRecords,
  settings: Settings,
  wording: Wording,
): Finding[] {
  const context: FactsContext = {
    visit,
    moment: "before",
    horse,
    noise: noiseOf(settings),
    wording,
    bounds: settings.bounds as BoundOverrides,
  };
  const [came, pairCame] = [visitFoot(visit, limb, records), visitFoot(visit, pairOf(limb), records)];
  const factsOf = (one: VisitFoot, other: VisitFoot) => footFacts(one, other, context, one.values.before);
  const foot = asLeft(came, factsOf(came, pairCame));
  const pair = asLeft(pairCame, factsOf(pairCame, came));
  return findingsOf(factsOf(foot, pair)).filter(({ subject }) => subject !== "change");
}
