import { visitFoot, type FootRecords, type VisitFoot } from "./visitFoot";
import type { Horse } from "../record/horse";
import type { Settings } from "../record/settings";
import type { Reading } from "../foot/records/reading";
import type { Visit } from "../record/visit";
import { noiseOf } from "../foot/records/pairs";
import type { Wording } from "../foot/wording";
import { pairOf, type Limb } from "../foot/limb";
import type { BoundOverrides } from "../foot/survey/ratios";
import { footFacts } from "./footFacts";
import { findingsOf } from "./findings";
import type { Finding } from "../foot/findings/rule";

/** A foot's readings of one visit as one: what was measured after the trim stands, else what was measured before. */
function asLeft(foot: VisitFoot): VisitFoot {
  const { before, after } = foot.reading;
  const values = { ...foot.values.before, ...foot.values.after };
  const either = before ?? after;
  if (!either) return foot;
  const parts = <Part extends "sole" | "walls" | "side" | "rear" | "rings">(part: Part): Reading[Part] => ({
    ...before?.[part],
    ...after?.[part],
  });
  const reading: Reading = {
    ...either,
    ...before,
    ...after,
    values: values as Reading["values"],
    sole: parts("sole"),
    walls: parts("walls"),
    side: parts("side"),
    rear: parts("rear"),
    rings: parts("rings"),
  };
  return { ...foot, values: { before: values, after: values }, reading: { before: reading } };
}

/** What is to be said of a foot as a visit left it; nothing about change, which was said at the visit. */
export function standingFindings(
  horse: Horse,
  limb: Limb,
  visit: Visit,
  records: FootRecords,
  settings: Settings,
  wording: Wording,
): Finding[] {
  const foot = asLeft(visitFoot(visit, limb, records));
  const pair = asLeft(visitFoot(visit, pairOf(limb), records));
  const values = foot.values.before;
  const facts = footFacts(
    foot,
    pair,
    {
      visit,
      moment: "before",
      horse,
      noise: noiseOf(settings),
      wording,
      bounds: settings.bounds as BoundOverrides,
    },
    values,
  );
  return findingsOf(facts).filter(({ subject }) => subject !== "change");
}
