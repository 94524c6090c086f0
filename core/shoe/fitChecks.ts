import { SIDES } from "../foot/limb";
import type { CheckContext, ShoeCheck } from "./check";
import { coverAt, PAD_FULLNESS_MM, type Fit } from "./fit";
import { widestOf, widestYOf } from "./outline";

/** Widest place of the shoe from that of the foot, mm. Source: trade practice. */
const WIDEST_APART_MM = 4;
/** Slack of an edge that covers, mm. */
const COVER_SLACK_MM = 0.5;
/**
 * On a sound foot of size 1 the heel of the shoe stands this far inside its toe quarter and no further, mm. Assumption,
 * from drawn feet: their heels are two thirds of their width apart, their toe quarters five sixths.
 */
const HEEL_IN_MM = 12;
/** Halves of a shoe that differ from the foot's own by more than this are not symmetric, mm. Assumption. */
const UNEVEN_MM = 4;
/** More than this on one side is no small step, mm. Source: trade practice (about 3 mm). */
const OVERHANG_MM = 4;
/** Breakover further off its mark than this, mm. Assumption. */
const BREAKOVER_OFF_MM = 3;
/** A branch that ends this much ahead of its support is short, mm. */
const SHORT_MM = 1;

/** How the shoe lies under the foot, each with its number. */
export function fitChecks(fit: Fit, { wording, thinSole }: CheckContext): ShoeCheck[] {
  const { foot, spec, setting } = fit.question;
  const words = wording.inOwnWords;
  const shoeWide = widestOf(fit.outer);
  const widest = Math.max(
    ...SIDES.map((side) => Math.abs(widestYOf(fit.outer[side]) - widestYOf(foot.outline[side]))),
  );
  const covers = SIDES.map((side) => ({
    side,
    by: coverAt(fit.outer[side], foot.knots.toeQuarter[side]),
  }));
  const shortest = SIDES.map((side) => ({ side, by: fit.endY[side] - fit.supportY[side] })).reduce((a, b) =>
    b.by > a.by ? b : a,
  );
  const heelsIn = SIDES.map((side) => ({
    side,
    by: Math.abs(foot.knots.toeQuarter[side][0]) - Math.abs(fit.outer[side].at(-1)?.[0] ?? 0),
  })).reduce((a, b) => (b.by > a.by ? b : a));
  const halves =
    shoeWide.lateral[0] + shoeWide.medial[0] - (foot.knots.wide.lateral[0] + foot.knots.wide.medial[0]);
  const onPurpose =
    setting.turn !== 0 ||
    setting.fuller.medial !== setting.fuller.lateral ||
    spec.extraSide !== "none" ||
    spec.fullMedial !== spec.fullLateral;
  const uncovered = covers.filter(({ by }) => by < -COVER_SLACK_MM);
  const overhang = SIDES.map((side) => ({
    side,
    mm: setting.fuller[side] + (spec.extraSide === side ? spec.extraWeb : 0),
  })).reduce((a, b) => (b.mm > a.mm ? b : a));
  const off = fit.breaksAtY - (foot.knots.toe[1] - fit.question.breakover.fromToe);
  const barBehind = spec.type === "egg bar" && foot.knots.heel.medial[1] > 8 * foot.k;
  return [
    {
      id: "widest",
      about: "fit",
      ok: widest <= WIDEST_APART_MM,
      impossible: false,
      name: "Widest on widest",
      text: `Widest of the shoe ${wording.cut(widest)} from the widest of the foot; up to ${wording.cut(WIDEST_APART_MM)} is in order.`,
      mend: "Set the shoe forward or back.",
    },
    {
      id: "quarters",
      about: "fit",
      ok: uncovered.length === 0,
      impossible: false,
      name: "Toe quarters covered",
      text: words(
        uncovered.length === 0
          ? `Both covered, by ${wording.cut(Math.min(...covers.map(({ by }) => Math.max(0, by))))} at least.`
          : `The ${uncovered.map(({ side, by }) => `${side} one is short by ${wording.cut(-by)}`).join(", the ")}.`,
      ),
      mend: "Bring the shoe forward, or fuller at that quarter.",
    },
    {
      id: "heels",
      about: "fit",
      ok: shortest.by <= SHORT_MM,
      impossible: false,
      name: "Heels supported",
      text: words(
        shortest.by <= SHORT_MM
          ? `Both branches reach their mark: ${spec.support === "heel" ? "the heels" : spec.support === "frog" ? "the back of the frog" : "beyond the frog"}.`
          : `The ${shortest.side} branch ends ${wording.cut(shortest.by)} short of its support.`,
      ),
      mend: "Make that branch longer, or choose a lens that ends further forward.",
    },
    {
      id: "heels-in",
      about: "fit",
      ok: heelsIn.by <= HEEL_IN_MM * foot.k,
      impossible: false,
      name: "Heels in line with toe quarters",
      text: words(
        heelsIn.by <= HEEL_IN_MM * foot.k
          ? `Neither heel stands more than ${wording.cut(Math.max(0, heelsIn.by))} inside its toe quarter.`
          : `The ${heelsIn.side} heel stands ${wording.cut(heelsIn.by)} inside its toe quarter; a sound foot of this size has up to ${wording.cut(HEEL_IN_MM * foot.k)}.`,
      ),
      mend: "Fuller at that heel: the foot grows into it.",
    },
    {
      id: "symmetric",
      about: "fit",
      ok: Math.abs(halves) <= UNEVEN_MM || onPurpose,
      impossible: false,
      name: "Even about the midline",
      text: words(
        Math.abs(halves) <= 0.25
          ? "As even as the foot."
          : `${wording.cut(Math.abs(halves))} more on the ${halves > 0 ? "lateral" : "medial"} side than the foot has${onPurpose ? ", on purpose" : ""}.`,
      ),
      mend: "Shift it back to the midline, or say what the shift is for.",
    },
    {
      id: "overhang",
      about: "fit",
      ok: Math.abs(overhang.mm) <= OVERHANG_MM,
      impossible: false,
      name: "Overhang",
      text: words(
        overhang.mm < 0.25
          ? "Nothing stands out on one side on purpose."
          : `${wording.cut(overhang.mm)} more on the ${overhang.side} side: each overhang lengthens a lever.`,
      ),
      mend: "Smaller steps, and the trim first.",
    },
    {
      id: "sole",
      about: "fit",
      ok: !thinSole || spec.relief || spec.profile === "concave" || spec.pad !== "none",
      impossible: false,
      name: "Sole clear",
      text: thinSole
        ? spec.relief || spec.profile === "concave"
          ? "Thin sole: the shoe is relieved."
          : spec.pad !== "none"
            ? "Thin sole: under a pad."
            : "Thin sole and a flat, unrelieved web on it."
        : "Wall only: no sole touches.",
      mend: "Relieve the shoe; pare nothing.",
    },
    {
      id: "pad-room",
      about: "fit",
      ok: true,
      impossible: false,
      name: "Room for the pad",
      text:
        spec.pad === "none"
          ? "No pad."
          : `${wording.cut(PAD_FULLNESS_MM)} more behind the widest part are in the outline.`,
    },
    {
      id: "bar-behind",
      about: "fit",
      ok: !barBehind,
      impossible: false,
      name: "Heel above the bar",
      text: barBehind
        ? `The heel has run ${wording.cut(foot.knots.heel.medial[1])} forward: a bar lies where no heel is.`
        : "A heel stands over the end of the shoe.",
      mend: "A lever behind the foot presses the heel down at landing on firm ground: straight bar or plain branch.",
    },
    {
      id: "breakover",
      about: "breakover",
      ok: Math.abs(off) <= BREAKOVER_OFF_MM,
      impossible: false,
      name: "Breakover at its mark",
      text:
        Math.abs(off) < 0.25
          ? "Breaks over at the mark."
          : `Breaks over ${wording.cut(Math.abs(off))} ${off > 0 ? "ahead of" : "behind"} the mark.`,
      mend: "Roll the toe, or set the shoe back: the same at the ground.",
    },
  ];
}
