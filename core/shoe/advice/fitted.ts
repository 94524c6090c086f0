import { SIDES } from "../../foot/limb";
import type { CheckContext, ShoeCheck } from "../check";
import { shoeChecks } from "../checks";
import { fitShoe, leastRoll, type Fit } from "../fit";
import type { FitQuestion } from "../fitQuestion";
import { heelInLine, heelsStandOut } from "../fitChecks";
import { WEB_INSIDE_MM } from "../nails";
import { sectorFor } from "../sectors";
import { HEEL_FULLNESS_MM, sidedField, type Specification } from "../specification";
import { HEEL_OUT_MOST_MM } from "../standsOut";
import type { Advice, Proposal } from "./advise";

/** A foot as a proposal is tried on it: without a hand's setting. */
export type TriedOn = Omit<FitQuestion, "spec" | "setting">;

/** More than is missing, so that a rounded fullness still covers it, mm. */
const LITTLE_MM = 0.5;

/** No side is left with fewer nails than this because they stand too near to each other. */
const LEAST_NAILS = 2;

const NO_HAND = { back: 0, turn: 0, fuller: { medial: 0, lateral: 0 } };

/** A shoe on a foot as nobody has set it yet; a toe that is eased at all brings its breakover back by that. */
export const questionOn = (foot: TriedOn, spec: Specification): FitQuestion => ({
  ...foot,
  spec,
  setting: NO_HAND,
  breakover: { ...foot.breakover, fromToe: Math.max(foot.breakover.fromToe, leastRoll(spec)) },
});
export const tryOn = (foot: TriedOn, spec: Specification): Fit => fitShoe(questionOn(foot, spec));

/**
 * A specification as this foot can carry it: a web that leaves steel inside its holes, no more nails than find sound wall,
 * what is to bear nothing unloaded, an ordinary heel as full as its toe quarter asks.
 */
export function madeToFit(
  spec: Specification,
  foot: TriedOn,
  { toRelieve = [] }: CheckContext,
): Specification {
  if (spec.type === "bare") return spec;
  const next = { ...spec, unloaded: [...new Set([...spec.unloaded, ...toRelieve])] };
  const fit = tryOn(foot, next);
  const { nails } = fit;
  for (const side of SIDES) {
    const full = sidedField("full", side);
    const missing = -heelInLine(fit, side);
    // A heel that a rule wants close, or no fuller than an ordinary one's, stays so; else the foot gets room to grow into.
    if (missing > 0 && spec[full] === HEEL_FULLNESS_MM && !spec.edges[sectorFor("heel", side)]) {
      const room = HEEL_OUT_MOST_MM - heelsStandOut(fit)[side].total;
      next[full] = Math.ceil(2 * (spec[full] + Math.max(0, Math.min(missing + LITTLE_MM, room)))) / 2;
    }
  }
  const deepest = Math.max(0, ...[...nails.medial, ...nails.lateral].map(({ inset }) => inset));
  next.width = Math.max(next.width, Math.ceil(deepest + WEB_INSIDE_MM));
  for (const side of SIDES) {
    const count = sidedField("nails", side);
    const warned = (code: string) => nails.warnings.some((one) => one.code === code && one.side === side);
    if (warned("no-wall")) next[count] = nails[side].length;
    else if (warned("close") && next[count] > LEAST_NAILS) next[count] -= 1;
  }
  return next;
}

/** A proposal tried on its foot, with every check that it breaks, on purpose or because this foot leaves no other way. */
export interface FittedProposal extends Proposal {
  breaks: ShoeCheck[];
}
export interface FittedAdvice extends Omit<Advice, "proposals"> {
  proposals: FittedProposal[];
}

/** Every proposal made to fit this foot. A prescription is left as it was prescribed. */
export function fittedAdvice(advice: Advice, foot: TriedOn, context: CheckContext): FittedAdvice {
  return {
    ...advice,
    proposals: advice.proposals.map((proposal): FittedProposal => {
      const spec = proposal.prescribed ? proposal.spec : madeToFit(proposal.spec, foot, context);
      return {
        ...proposal,
        spec,
        breaks: shoeChecks(tryOn(foot, spec), context).filter(({ ok }) => !ok),
      };
    }),
  };
}
