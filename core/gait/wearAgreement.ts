import { thinnestWear, wearAmount, wornSide, type Wear } from "../foot/wear";
import { landingOf, leavingSide, type Watching } from "./watching";

/** Do landing, wear and breakover tell one story? */
export interface WearAgreement {
  agrees: boolean;
  /** What does not fit, in words with medial and lateral in them. */
  disagreements: string[];
}

/**
 * Landing against wear against breakover. The shoe is thinnest where the foot lands and leaves: a landing on one side
 * with the wear on the other, or a breakover over one toe quarter with the other one thinner, does not agree. Undefined
 * where there is no wear or nothing watched to hold it against.
 */
export function wearAgreement(wear: Wear, watching: Watching | undefined): WearAgreement | undefined {
  const thin = thinnestWear(wear);
  if (!thin || !watching || (!watching.lands && watching.leaves === undefined)) return undefined;
  const disagreements: string[] = [];
  const worn = wornSide(wear);
  const landing = watching.lands && landingOf(watching.lands);
  if (landing?.side && worn && landing.side !== worn)
    disagreements.push(
      `it was seen to land ${landing.word} first, yet the ${worn} branch is the thinner one`,
    );
  if (landing && !landing.side && worn)
    disagreements.push(`it was seen to land ${landing.word}, yet the ${worn} branch is the thinner one`);
  const leaves = watching.leaves === undefined ? undefined : leavingSide(watching.leaves);
  const quarters = wearAmount(wear.toeQuarterLateral) - wearAmount(wear.toeQuarterMedial);
  if (leaves && quarters !== 0 && leaves !== (quarters > 0 ? "lateral" : "medial"))
    disagreements.push(
      `it was seen to leave over the ${leaves} toe quarter, yet the ${quarters > 0 ? "lateral" : "medial"} one is thinner`,
    );
  return { agrees: disagreements.length === 0, disagreements };
}
