import { SIDES } from "../../foot/limb";
import type { CheckContext, ShoeCheck } from "../check";
import { shoeChecks } from "../checks";
import { fitShoe, leastRoll, type Fit } from "../fit";
import type { FitQuestion } from "../fitQuestion";
import { WEB_INSIDE_MM } from "../nails";
import { sidedField, type Specification } from "../specification";
import type { Advice, Proposal } from "./advise";

/** A foot as a proposal is tried on it: without a hand's setting. */
export type TriedOn = Omit<FitQuestion, "spec" | "setting">;

const NO_HAND = { back: 0, turn: 0, fuller: { medial: 0, lateral: 0 } };

/** A shoe on a foot as nobody has set it yet; a toe that is eased at all brings its breakover back by that. */
export const tryOn = (foot: TriedOn, spec: Specification): Fit =>
  fitShoe({
    ...foot,
    spec,
    setting: NO_HAND,
    breakover: { ...foot.breakover, fromToe: Math.max(foot.breakover.fromToe, leastRoll(spec)) },
  });

/**
 * A specification as this foot can carry it: a web that leaves steel inside its holes, no more nails than find sound wall,
 * what is to bear nothing unloaded.
 */
export function madeToFit(
  spec: Specification,
  foot: TriedOn,
  { toRelieve = [] }: CheckContext,
): Specification {
  if (spec.type === "bare") return spec;
  const next = { ...spec, unloaded: [...new Set([...spec.unloaded, ...toRelieve])] };
  const { nails } = tryOn(foot, next);
  const deepest = Math.max(0, ...[...nails.medial, ...nails.lateral].map(({ inset }) => inset));
  next.width = Math.max(next.width, Math.ceil(deepest + WEB_INSIDE_MM));
  for (const side of SIDES)
    if (nails.warnings.some((one) => one.code === "no-wall" && one.side === side))
      next[sidedField("nails", side)] = nails[side].length;
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
