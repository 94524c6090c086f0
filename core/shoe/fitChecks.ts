import { SIDES, type Side } from "../foot/limb";
import { eachSide } from "../foot/parametric/parameters";
import type { CheckContext, ShoeCheck } from "./check";
import { turnOf } from "./edge";
import { coverAt, type Fit } from "./fit";
import { halfWidthAt, widestOf } from "./outline";
import { bySide } from "./specification";
import { sectorInWords } from "./specWords";
import { HEEL_OUT_MOST_MM, standsOutAt, stationsOf, type StandsOut } from "./standsOut";

/** Widest of the shoe from that of the foot, mm. Source: trade practice. */
const WIDEST_APART_MM = 4;
/** Slack of an edge that covers, mm. */
const COVER_SLACK_MM = 0.5;
/**
 * On a sound foot of size 1 the heel stands this far inside its toe quarter and no further, mm. Source: drawn feet, whose
 * own taper is 11.4 in front and 7.1 behind.
 */
const TAPER_MM = { fore: 12, hind: 8 };
/** Halves of a shoe that differ from the foot's own by more than this are not symmetric, mm. Assumption. */
const UNEVEN_MM = 4;
/** One side on purpose beyond the other by more than this is no small step, mm. Source: trade practice, two steps of 3. */
const ONE_SIDE_MM = 6;
/** Breakover further off its mark than this, mm. Assumption. */
const BREAKOVER_OFF_MM = 3;
/** A branch that ends this much ahead of its support is short, mm. */
const SHORT_MM = 1;

/** What each heel of the shoe stands out, in one sum. */
export const heelsStandOut = ({ question: { foot, spec, setting } }: Fit): Record<Side, StandsOut> =>
  eachSide((side) => {
    const stations = stationsOf(foot.outline[side], foot.knots, side);
    return standsOutAt(spec, setting.fuller[side], side, stations, stations.whole);
  });

/** How far the heel of a sound foot of this size stands inside its toe quarter at most, mm. */
const taperOf = ({ question: { foot } }: Fit): number => (foot.fore ? TAPER_MM.fore : TAPER_MM.hind) * foot.k;

/** What a heel of the shoe has left of a sound foot's own taper, mm; negative = it stands further in. */
export function heelInLine(fit: Fit, side: Side): number {
  const { foot, setting } = fit.question;
  const inside =
    Math.abs(foot.knots.toeQuarter[side][0]) -
    halfWidthAt(fit.outer[side], foot.knots.heel[side][1] - setting.back);
  return taperOf(fit) - inside;
}

/** How far the shoe's widest line lies from the foot's own: what stands out further back on purpose is no shift, mm. */
function widestApart({ outer, question: { foot } }: Fit): number {
  return Math.max(
    ...SIDES.map((side) => {
      const line = foot.outline[side];
      const at = line.findIndex(([, y]) => y <= foot.knots.wide[side][1]);
      const [own, shoe] = [line[at], outer[side][at]];
      return own && shoe ? Math.abs(shoe[1] - own[1]) : 0;
    }),
  );
}

const worst = <Row extends { by: number }>(rows: readonly Row[]): Row =>
  rows.reduce((a, b) => (b.by > a.by ? b : a));

/** How the shoe lies under the foot, each with its number. */
export function fitChecks(fit: Fit, { wording, thinSole, toRelieve = [] }: CheckContext): ShoeCheck[] {
  const { foot, spec, setting } = fit.question;
  const words = wording.inOwnWords;
  const shoeWide = widestOf(fit.outer);
  const widest = widestApart(fit);
  const covers = SIDES.map((side) => ({
    side,
    by: coverAt(fit.outer[side], foot.knots.toeQuarter[side]),
  }));
  const shortest = worst(SIDES.map((side) => ({ side, by: fit.endY[side] - fit.supportY[side] })));
  const taper = taperOf(fit);
  const heelsIn = worst(SIDES.map((side) => ({ side, by: taper - heelInLine(fit, side) })));
  // A branch that ends ahead of its heel is looked at by its length, not by its width.
  const heelCover = worst(
    SIDES.map((side) => ({
      side,
      by: fit.endY[side] > foot.knots.heel[side][1] ? 0 : -coverAt(fit.outer[side], foot.knots.heel[side]),
    })),
  );
  const turn = turnOf(fit.question);
  const halves =
    shoeWide.lateral[0] + shoeWide.medial[0] - (foot.knots.wide.lateral[0] + foot.knots.wide.medial[0]);
  const oneSide = (side: Side) => bySide(spec, "out", side) + setting.fuller[side];
  const onPurpose =
    turn !== 0 || oneSide("medial") !== oneSide("lateral") || spec.fullMedial !== spec.fullLateral;
  const uncovered = covers.filter(({ by }) => by < -COVER_SLACK_MM);
  const heels = heelsStandOut(fit);
  const out = worst(SIDES.map((side) => ({ side, by: heels[side].total })));
  const apart = worst(SIDES.map((side) => ({ side, by: oneSide(side) })));
  const off = fit.breaksAtY - (foot.knots.toe[1] - fit.question.breakover.fromToe);
  const forward = Math.max(foot.knots.heel.medial[1], foot.knots.heel.lateral[1]);
  const barBehind = spec.type === "egg bar" && forward > 8 * foot.k;
  const bearing = toRelieve.filter((sector) => !spec.unloaded.includes(sector));
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
          ? `Both branches reach their mark: ${spec.support === "heel" || spec.type === "egg bar" ? "the heels" : spec.support === "frog" ? "the back of the frog" : "beyond the frog"}.`
          : `The ${shortest.side} branch ends ${wording.cut(shortest.by)} short of its support.`,
      ),
      mend: "Make that branch longer, or choose a lens that ends further forward.",
    },
    {
      id: "heel-cover",
      about: "fit",
      ok: heelCover.by <= COVER_SLACK_MM,
      impossible: false,
      name: "Heels covered",
      text: words(
        heelCover.by <= COVER_SLACK_MM
          ? "Steel under both heels."
          : `The ${heelCover.side} heel stands ${wording.cut(heelCover.by)} outside the shoe.`,
      ),
      mend: "Fuller at that heel, or open the shoe.",
    },
    {
      id: "heels-in",
      about: "fit",
      ok: heelsIn.by <= taper,
      impossible: false,
      name: "Heels in line with toe quarters",
      text: words(
        heelsIn.by <= taper
          ? `Neither heel of the shoe stands more than ${wording.cut(Math.max(0, heelsIn.by))} inside its toe quarter.`
          : `The ${heelsIn.side} heel of the shoe stands ${wording.cut(heelsIn.by)} inside its toe quarter; a sound ${foot.fore ? "fore" : "hind"} foot of this size has up to ${wording.cut(taper)}.`,
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
      id: "stands-out",
      about: "fit",
      ok: out.by <= HEEL_OUT_MOST_MM && apart.by <= ONE_SIDE_MM,
      impossible: false,
      name: "Stands out",
      text: words(
        [
          `Heels stand out ${SIDES.map((side) => `${wording.cut(heels[side].total)} ${side} (${sumInWords(heels[side], wording)})`).join(", ")}.`,
          apart.by > 0.25
            ? `More on the ${apart.side} side: its lever from the midline grows from ${wording.length(Math.abs(foot.knots.wide[apart.side][0]))} to ${wording.length(Math.abs(shoeWide[apart.side][0]))}.`
            : "",
          out.by > HEEL_OUT_MOST_MM ? `More than ${wording.cut(HEEL_OUT_MOST_MM)} is trodden off.` : "",
        ]
          .filter((part) => part !== "")
          .join(" "),
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
      id: "unloaded",
      about: "fit",
      ok: bearing.length === 0,
      impossible: false,
      name: "Unloaded places",
      text: words(
        bearing.length > 0
          ? `The wall is to bear nothing at ${bearing.map(sectorInWords).join(" and ")}, and this shoe touches there.`
          : spec.unloaded.length > 0
            ? `No contact and no nail at ${spec.unloaded.map(sectorInWords).join(" and ")}: its print is to show a gap.`
            : "Nowhere is the wall to be spared.",
      ),
      mend: "Unload that place in the specification.",
    },
    {
      id: "bar-behind",
      about: "fit",
      ok: !barBehind,
      impossible: false,
      name: "Heel above the bar",
      text: barBehind
        ? `The heel has run ${wording.cut(forward)} forward: a bar lies where no heel is.`
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

/** "3 mm fullness, 3 mm pad, 2 mm this side": the parts of what stands out that are not nothing. */
function sumInWords({ fullness, pad, out, hand }: StandsOut, wording: CheckContext["wording"]): string {
  const parts: [number, string][] = [
    [fullness, "fullness"],
    [pad, "room for the pad"],
    [out, "more on this side"],
    [hand, "by hand"],
  ];
  const said = parts
    .filter(([mm]) => Math.abs(mm) >= 0.25)
    .map(([mm, name]) => `${mm < 0 ? "−" : ""}${wording.cut(Math.abs(mm))} ${name}`);
  return said.length > 0 ? said.join(", ") : "nothing";
}
