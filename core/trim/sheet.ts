import { frogPlane } from "../foot/frogPlane";
import { chalkSays } from "../foot/frogWords";
import { hornOf } from "../foot/horn";
import type { Side } from "../foot/limb";
import type { Cuts } from "../foot/parametric/predict";
import { WALL_PLACES, WALL_PLACE_NAMES, type Walls } from "../foot/survey/walls";
import { sentenceCase, type Wording } from "../foot/wording";
import { flaresInWords } from "./flares";
import { limitInWords } from "./planWords";
import type { TrimPlan } from "./question";
import { proudToeQuarter } from "./secondLook";
import {
  FLARE_PLACES,
  type CutName,
  type CutOrder,
  type Flares,
  type SheetStepId,
  type Trim,
} from "./trimRecord";

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

/** What the sheet is written by, besides the plan. */
export interface SheetContext {
  order: CutOrder;
  /** What the nippers leave for the rasp, mm. */
  raspMm: number;
  flares: Flares;
  /** Places that bear nothing, and heels eased at their front, as they were decided. */
  floats?: Trim["floats"] | undefined;
  rockers?: Trim["rockers"] | undefined;
  /** Weeks until the next visit. */
  nextWeeks: number;
  chalkMm?: number | undefined;
  /** The frog past the heels' plane, + = proud. */
  frogProudMm?: number | undefined;
  walls: Walls;
}

/** Said at the head of every sheet. */
export const LIVE_SOLE_REMINDER =
  "Stop where the sole turns smooth and waxy. Pink, springy or warm is too far. Horn cannot be put back.";

/** Less than this is nothing to a rasp, mm. */
const LEAST_MM = 0.25;
/** Broken back beyond what a gauge can tell: the heels are not touched by nippers, deg. */
const BROKEN_BACK_DEG = -1;
/** The next visit further off than this, the bars go a little lower. Source: trade practice. */
const FAR_WEEKS = 6;
/** A bare wall is bevelled over this part of its horn; heels over less. Assumption, because the bevel ends well short of the white line. */
const BEVEL_PART = { wall: 0.5, heel: 0.25 };

/**
 * A plan as work for the hands: preparation, the cuts in the user's own order, each heel that loses more before the other,
 * back half level before the front, then what is dressed, floated and eased, finish and second look. A place at which
 * nothing is taken stays in the list with the reason, so that it is left on purpose.
 */
export function cutSheet(plan: TrimPlan, cuts: Cuts, context: SheetContext, wording: Wording): SheetStep[] {
  const cut = cutSteps(plan, cuts, context.raspMm, wording);
  const flares = flareSteps(context.flares, wording);
  const heels =
    cuts.heelMedial > cuts.heelLateral
      ? [cut.heelMedial, cut.heelLateral]
      : [cut.heelLateral, cut.heelMedial];
  const level = levelStep(cuts, wording);
  const inOrder: Record<CutOrder, SheetStep[]> = {
    "heels first": [...heels, cut.toe, level, cut.dress, ...flares],
    "toe first": [cut.toe, ...heels, level, cut.dress, ...flares],
    "quarters first": [...flares, ...heels, cut.toe, level, cut.dress],
  };
  return [
    ...preparation(plan, context, wording),
    ...inOrder[context.order],
    ...easedSteps(context, wording),
    finishStep(plan, cuts, context, wording),
    secondLook(plan, cuts, wording),
  ];
}

/** Before any cut: how much foot there is, what is loose, the bars, and the line that is not crossed. */
function preparation({ question, limits }: TrimPlan, context: SheetContext, wording: Wording): SheetStep[] {
  const { chalkMm, nextWeeks } = context;
  const { toe, heelMedial, heelLateral } = limits.most;
  return [
    {
      id: "explore",
      title: "Explore",
      how:
        chalkMm === undefined
          ? "Pare beside the point of the frog until the surface turns even and waxy: how deep the chalk lies is how much foot there is."
          : `Beside the point of the frog the chalk was ${wording.cut(chalkMm)} deep. ${chalkSays(chalkMm)}`,
      leave: false,
    },
    {
      id: "frog",
      title: "Loose frog and sole",
      how: "Only what is loose: flaps of frog, flaking sole. Sound frog and hard sole stay.",
      leave: false,
    },
    {
      id: "bars",
      title: "Bars",
      how:
        question.finish === "barefoot"
          ? "Down to the sole where they touch the ground; left where they do not."
          : nextWeeks > FAR_WEEKS
            ? `Down to the sole and a little lower: the next visit is ${nextWeeks} weeks off.`
            : "Down to the sole, no lower.",
      leave: false,
    },
    {
      id: "safety-line",
      title: "Mark the safety line",
      how: wording.inOwnWords(
        `Round the live sole. Above it may go: toe ${wording.cut(toe)}, medial heel ${wording.cut(heelMedial)}, lateral heel ${wording.cut(heelLateral)}${limits.marginMm > 0 ? `; ${wording.cut(limits.marginMm)} of wall stay` : ""}.`,
      ),
      leave: false,
    },
  ];
}

/** How a cut is made: nippers short of the mark, the rasp the rest. */
function byTool(mm: number, raspMm: number, raspOnly: boolean, wording: Wording): string {
  if (raspOnly) return "By rasp alone: the axis is broken back.";
  const nippers = Math.floor(2 * (mm - raspMm) + 1e-6) / 2;
  return nippers < LEAST_MM * 2
    ? "By rasp alone."
    : `Nippers ${wording.cut(nippers)}, the last ${wording.cut(mm - nippers)} by rasp.`;
}

function cutSteps(plan: TrimPlan, cuts: Cuts, raspMm: number, wording: Wording): Record<CutName, SheetStep> {
  const { foot } = plan.question;
  const brokenBack = foot.dorsalAngle - foot.pasternAngle < BROKEN_BACK_DEG;
  const step = (id: SheetStepId & CutName, place: string, how: string, caution: string): SheetStep => {
    const mm = cuts[id];
    const own = wording.inOwnWords(place);
    const leave = mm < LEAST_MM;
    const stopped = plan.stoppedBy.includes(id) ? ` ${limitInWords(id, plan, wording)}` : "";
    const tool = id === "dress" ? "" : `${byTool(mm, raspMm, brokenBack && id !== "toe", wording)} `;
    return {
      id,
      title: leave ? `Leave the ${own}` : sentenceCase(own),
      how: wording.inOwnWords(
        leave ? stopped.trim() || "Nothing to gain by cutting here today." : `${tool}${how}${stopped}`,
      ),
      cut: { name: id, mm },
      leave,
      ...(!leave && { caution }),
    };
  };
  const heel = (id: "heelMedial" | "heelLateral", place: string) =>
    step(
      id,
      place,
      "Down to strong horn, back towards the widest part of the frog.",
      "Little by little. Every stroke also moves the heel back and lowers the angle.",
    );
  return {
    heelMedial: heel("heelMedial", "medial heel"),
    heelLateral: heel("heelLateral", "lateral heel"),
    toe: step(
      "toe",
      "toe",
      "Off the ground surface at the toe.",
      "Bring the toe back; do not thin the sole under it: the wall lets go and runs further forward.",
    ),
    dress: step(
      "dress",
      "toe wall, dressed",
      "From the outside, over the lower half at most.",
      "Rasp edge away from the holding hand. Never chase a broken-out quarter by thinning the rest.",
    ),
  };
}

function levelStep(cuts: Cuts, wording: Wording): SheetStep {
  const rolled = cuts.heelLateral - cuts.heelMedial;
  const sides =
    Math.abs(rolled) < LEAST_MM
      ? "Both sides even above the live sole."
      : `The ${rolled > 0 ? "lateral" : "medial"} heel has come down ${wording.cut(Math.abs(rolled))} more than the other, no less and no more.`;
  return {
    id: "level",
    title: "Level",
    how: wording.inOwnWords(`Sight across: the back half level first, then the front to it. ${sides}`),
    leave: false,
  };
}

const flareSteps = (flares: Flares, wording: Wording): SheetStep[] =>
  FLARE_PLACES.some((place) => (flares[place] ?? 0) > 0)
    ? [
        {
          id: "flares",
          title: "Flares and quarters",
          how: `${sentenceCase(flaresInWords(flares, wording))}. From the outside, lower half of the wall only.`,
          caution:
            "Stop at sound, straight wall; nothing where it is cracked, and never to match a broken-out quarter.",
          leave: false,
        },
      ]
    : [];

/** Places that are floated, heels that are eased at their front. */
function easedSteps({ floats = {}, rockers = {} }: SheetContext, wording: Wording): SheetStep[] {
  const floated = WALL_PLACES.flatMap((place) => {
    const mm = floats[place];
    return mm ? [wording.inOwnWords(`${WALL_PLACE_NAMES[place].toLowerCase()} by ${wording.cut(mm)}`)] : [];
  });
  const eased = (["medial", "lateral"] as const).flatMap((side) => {
    const rocker = rockers[side];
    return rocker
      ? [
          `${wording.side(side)} heel over ${wording.cut(rocker.lengthMm)}, ${wording.cut(rocker.depthMm)} deep at its front`,
        ]
      : [];
  });
  return [
    ...(floated.length > 0
      ? [
          {
            id: "float" as const,
            title: "Unload",
            how: `Float the ${floated.join(", the ")}, within the live sole. Its load goes to the wall on either side; a hot shoe leaves a gap there.`,
            leave: false,
          },
        ]
      : []),
    ...(eased.length > 0
      ? [
          {
            id: "rocker" as const,
            title: "Ease the heel",
            how: `${sentenceCase(eased.join("; "))}. Height and angle stay; the heel bears further back and can straighten.`,
            leave: false,
          },
        ]
      : []),
  ];
}

function finishStep(plan: TrimPlan, cuts: Cuts, context: SheetContext, wording: Wording): SheetStep {
  const thin = plan.limits.thinSole;
  if (plan.question.finish === "barefoot")
    return {
      id: "finish",
      title: "Bevel",
      how: `${bevelByPlace(context.walls, wording)} Nothing sharp at the ground; ${wording.cut(plan.limits.marginMm)} of wall stand. ${frogClear(context, cuts, wording)} Retained sole is left to shed by itself.`,
      leave: false,
    };
  return {
    id: "finish",
    title: thin ? "Leave the sole" : "Seat the shoe",
    how: thin
      ? "Thin sole: pare nothing. Relieve the shoe instead, so that it bears on wall only."
      : "Recess a little sole where the shoe will sit, so that it bears on wall only.",
    leave: thin,
  };
}

/** How far from the outside the bevel goes, at each place whose wall was measured. */
function bevelByPlace(walls: Walls, wording: Wording): string {
  const places = WALL_PLACES.flatMap((place) => {
    const horn = hornOf(walls[place]);
    if (horn === undefined) return [];
    const mm = Math.round(2 * horn * (place.startsWith("heel") ? BEVEL_PART.heel : BEVEL_PART.wall)) / 2;
    return mm > 0 ? [wording.inOwnWords(`${WALL_PLACE_NAMES[place].toLowerCase()} ${wording.cut(mm)}`)] : [];
  });
  return places.length === 0
    ? "From the edge of the sole outwards, the heels a little."
    : `From the edge of the sole outwards: ${places.join("; ")}.`;
}

/** A bare frog stands just clear of the ground. */
function frogClear({ frogProudMm }: SheetContext, cuts: Cuts, wording: Wording): string {
  if (frogProudMm === undefined) return "Leave sound frog, just clear of the ground.";
  const heelCut = (cuts.heelMedial + cuts.heelLateral) / 2;
  const { proudAfter } = frogPlane({ proud: frogProudMm, thickness: 0, heelCut });
  return proudAfter > LEAST_MM
    ? `The frog will stand ${wording.cut(proudAfter)} past the heels: less heel, or only its loose horn off.`
    : `The frog stays ${wording.cut(-proudAfter)} clear of the ground.`;
}

function secondLook(plan: TrimPlan, cuts: Cuts, wording: Wording): SheetStep {
  const proud = proudToeQuarter(plan.question.foot, cuts);
  const lower: Side = cuts.heelLateral > cuts.heelMedial ? "lateral" : "medial";
  return {
    id: "second-look",
    title: "Second look",
    how: wording.inOwnWords(
      proud === undefined
        ? "Set it down, look from front and side, pick it up again: no toe quarter proud."
        : `Set it down, look, pick it up again: with the ${lower} heel lower, blending from heel to toe leaves the ${proud.side} toe quarter ${wording.cut(proud.mm)} proud of the plane.`,
    ),
    leave: false,
  };
}
