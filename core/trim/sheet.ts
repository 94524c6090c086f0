import { sentenceCase, type Wording } from "../foot/wording";
import type { CutName, SheetStepId } from "./trimRecord";
import { limitInWords } from "./planWords";
import type { TrimPlan } from "./plan";
import type { Cuts } from "../foot/parametric/predict";

/** One line of the cut sheet. */
export interface SheetStep {
  id: SheetStepId;
  title: string;
  /** How it is done, one line. */
  how: string;
  caution?: string;
  /** What is taken, mm; a step without one is looked at, not cut. */
  cut?: { name: CutName; mm: number };
  /** True where the plan leaves this place alone. */
  leave: boolean;
}

/** Said at the head of every sheet. */
export const LIVE_SOLE_REMINDER =
  "Stop where the sole turns smooth and waxy. Pink, springy or warm is too far. Horn cannot be put back.";

/** Less than this is nothing to a rasp, mm. */
const LEAST_MM = 0.25;

/**
 * A plan as work for the hands: heels first and the taller one before the other, toe, level, dress, finish, second
 * look. A place at which nothing is taken stays in the list with the reason, so that it is left on purpose.
 */
export function cutSheet(plan: TrimPlan, cuts: Cuts, wording: Wording): SheetStep[] {
  const { finish } = plan.question;
  const heels: readonly ("heelMedial" | "heelLateral")[] =
    cuts.heelMedial > cuts.heelLateral ? ["heelMedial", "heelLateral"] : ["heelLateral", "heelMedial"];
  const rolled = cuts.heelLateral - cuts.heelMedial;
  const lower = rolled > 0 ? "lateral" : "medial";
  const thin = plan.limits.thinSole;
  const step = (id: SheetStepId & CutName, place: string, how: string, caution: string): SheetStep => {
    const mm = cuts[id];
    const own = wording.inOwnWords(place);
    const leave = mm < LEAST_MM;
    const stopped = plan.stoppedBy.includes(id) ? ` ${limitInWords(id, plan, wording)}` : "";
    return {
      id,
      title: leave ? `Leave the ${own}` : sentenceCase(own),
      how: wording.inOwnWords(
        leave ? stopped.trim() || "Nothing to gain by cutting here today." : `${how}${stopped}`,
      ),
      cut: { name: id, mm },
      leave,
      ...(!leave && { caution }),
    };
  };
  return [
    ...heels.map((heel) =>
      step(
        heel,
        heel === "heelMedial" ? "medial heel" : "lateral heel",
        "Down to strong horn, back towards the widest part of the frog.",
        "Little by little. Every stroke also moves the heel back and lowers the angle.",
      ),
    ),
    step(
      "toe",
      "toe",
      "Off the ground surface at the toe, level with both heels.",
      "Bring the toe back; do not thin the sole under it: the wall lets go and runs further forward.",
    ),
    {
      id: "level",
      title: "Level",
      how: wording.inOwnWords(
        Math.abs(rolled) < LEAST_MM
          ? "Sight across the bearing surface: both sides even above the live sole."
          : `Sight across: the ${lower} heel has come down ${wording.cut(Math.abs(rolled))} more than the other, no less and no more.`,
      ),
      leave: false,
    },
    step(
      "dress",
      "toe wall, dressed",
      "From the outside, over the lower half at most.",
      "Rasp edge away from the holding hand. Never chase a broken-out quarter by thinning the rest.",
    ),
    finish === "barefoot"
      ? {
          id: "finish",
          title: "Bevel",
          how: `From the edge of the sole outwards, the heels a little, nothing sharp at the ground. ${wording.cut(plan.limits.marginMm)} of wall stand; leave sound frog, let retained sole shed by itself.`,
          leave: false,
        }
      : {
          id: "finish",
          title: thin ? "Leave the sole" : "Seat the shoe",
          how: thin
            ? "Thin sole: pare nothing. Relieve the shoe instead, so that it bears on wall only."
            : "Recess a little sole where the shoe will sit, so that it bears on wall only.",
          leave: thin,
        },
    {
      id: "second-look",
      title: "Second look",
      how: wording.inOwnWords(
        Math.abs(rolled) < LEAST_MM
          ? "Set it down, look from front and side, pick it up again: no toe quarter proud."
          : `Set it down, look, pick it up again: the ${lower === "lateral" ? "medial" : "lateral"} toe quarter is often left proud.`,
      ),
      leave: false,
    },
  ];
}
