import { sideAim, type SideAim } from "./lenses";
import { highSideVerdict, rollByVerdict } from "./highSideVerdict";
import { type SideLens } from "../foot/lens";
import { hairlineTiltDeg } from "../foot/parametric/cut";
import { heelHalfWidth } from "../foot/parametric/parameters";
import type { FootFacts } from "../foot/findings/facts";

/** What a side-to-side lens says of a foot: the hairline as it was read from behind, else as the heel heights make it. */
export function sideAimOf(facts: FootFacts, lens: SideLens): SideAim {
  const { drawn, rear, walls, limb, measures } = facts;
  const heelsKnown = measures.heelHeightMedial !== undefined && measures.heelHeightLateral !== undefined;
  return sideAim(lens, {
    limb,
    walls,
    heelsApartMm: heelHalfWidth(drawn, "medial") + heelHalfWidth(drawn, "lateral"),
    hairlineTiltDeg: rear.hairlineTilt ?? (heelsKnown ? hairlineTiltDeg(drawn) : undefined),
    limbDeviationDeg: rear.limbDeviation,
    verdictDeg: lens === "every-witness" ? rollByVerdict(highSideVerdict(facts)) : undefined,
  });
}
