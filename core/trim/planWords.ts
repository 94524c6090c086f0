import { TOE_HORN_KEPT_MM } from "../constants/trim";
import { USUAL_WHITE_LINE_MM } from "../foot/horn";
import type { Finding } from "../foot/findings/rule";
import { halvesFrom, halvesInWords } from "../foot/parametric/halves";
import { flaresInWords } from "./flares";
import { CUT_NAMES, type Flares } from "./trimRecord";
import type { Wording } from "../foot/wording";
import { heelYOf, NO_CUT, predictTrim, type Cuts, type PredictedFoot } from "../foot/parametric/predict";
import { AT_ONCE_LIMIT } from "./limits";
import type { LimitName, ShoeTask, TrimPlan, TrimQuestion } from "./question";
import { visitBounds } from "./stages";

/** Where a limit stands, with the words medial and lateral in it. */
const PLACE: Record<string, string> = {
  ...CUT_NAMES,
  quarterMedial: "medial quarter",
  quarterLateral: "lateral quarter",
  toeQuarterMedial: "medial toe quarter",
  toeQuarterLateral: "lateral toe quarter",
};

/** Wall above the live sole at a limit's place, mm. */
const aboveAt = ({ above, quarters }: TrimQuestion, name: LimitName): number | undefined =>
  name in above
    ? above[name as keyof typeof above]
    : quarters?.find((quarter) => quarter.name === name)?.above;

/** One limit in words: why no more is taken there. */
export function limitInWords(name: LimitName, plan: TrimPlan, wording: Wording): string {
  const { question, limits } = plan;
  if (question.toeOnly && name.startsWith("heel"))
    return wording.inOwnWords(`The ${PLACE[name] ?? name} stays: this visit is for the toe alone.`);
  if (name === "dress") return dressLimitInWords(plan, wording);
  if (name === AT_ONCE_LIMIT) return atOnceInWords(plan, wording);
  if (name === "axis")
    return "The heels are held: the plane of the live sole would leave the axis further broken back.";
  if (name === "minToeLength")
    return question.minToeLength !== undefined && question.foot.toeLength <= question.minToeLength
      ? `The toe is short as it is (${wording.length(question.foot.toeLength)}): it is not shortened.`
      : `The toe is not cut shorter than ${wording.length(limits.minToeLength)}.`;
  const above = aboveAt(question, name) ?? 0;
  const stays = limits.marginMm > 0 ? `, ${wording.cut(limits.marginMm)} of it to stay` : "";
  const most = name in limits.most ? limits.most[name as keyof Cuts] : Math.max(0, above - limits.marginMm);
  const start = most < 0.25 ? "Nothing to take" : "No more";
  return wording.inOwnWords(
    `${start} at the ${PLACE[name] ?? name}: ${wording.cut(above)} above live sole${stays}.`,
  );
}

/** What stopped a plan and is worth saying: that a straight wall is not dressed goes without it. */
export const saidStops = ({ stoppedBy, limits }: TrimPlan): LimitName[] =>
  stoppedBy.filter((name) => name !== "dress" || limits.dressing.by !== "shape" || limits.most.dress >= 0.25);

/** Why no more is dressed off the toe wall. */
function dressLimitInWords({ question, limits }: TrimPlan, wording: Wording): string {
  const { most, by } = limits.dressing;
  const start = most < 0.25 ? "No dressing" : "No more dressing";
  const { toeWall, whiteLine } = question;
  if (question.dressAsksVet)
    return "No dressing: a white line or a dish over 6 wants a radiograph, and the vet’s plan, first.";
  if (by === "shape")
    return most < 0.25
      ? "No dressing: nothing stands outside the foot’s own shape at the toe."
      : `${start} than ${wording.cut(most)}: beyond that it is the foot’s own shape.`;
  if (by === "horn" && toeWall !== undefined)
    return `${start}: the toe wall is ${wording.cut(toeWall)} thick, ${whiteLine === undefined ? `about ${wording.cut(USUAL_WHITE_LINE_MM)}` : wording.cut(whiteLine)} of it white line, and ${wording.cut(TOE_HORN_KEPT_MM.value)} of horn stay.`;
  return by === "own"
    ? `No more dressing than ${wording.cut(most)}.`
    : "No dressing: neither the toe wall nor what stands outside its shape was measured.";
}

/** What one visit takes at the most, as the reason why a plan stops. */
function atOnceInWords({ question }: TrimPlan, wording: Wording): string {
  const { heelMm, unevenMm, turnDeg } = question.atOnce ?? visitBounds(question.foot);
  return `No more today: one visit takes at most ${wording.cut(heelMm)} off a heel, ${wording.cut(unevenMm)} more off one than the other, and turns the foot by ${wording.angle(turnDeg)}.`;
}

/** A sentence on the margin, where it is not the usual one. */
export const marginInWords = ({ limits, question }: TrimPlan, wording: Wording): string | undefined =>
  limits.thinSole && question.sulcusDepth !== undefined
    ? `Thin sole: the sulcus is only ${wording.cut(question.sulcusDepth)} deep beside the frog, so ${wording.cut(limits.marginMm)} of wall stay everywhere.`
    : undefined;

/** "5.5 mm off the toe, 1.5 mm off the inside heel, 3.5 mm off the outside heel, 4 mm dressed". */
export function cutsInWords(cuts: Cuts, wording: Wording): string {
  const said = (["toe", "heelMedial", "heelLateral"] as const)
    .filter((cut) => cuts[cut] > 0)
    .map((cut) => `${wording.cut(cuts[cut])} off the ${PLACE[cut]}`);
  if (cuts.dress > 0) said.push(`${wording.cut(cuts.dress)} dressed off the toe wall`);
  return said.length === 0 ? "nothing off" : wording.inOwnWords(said.join(", "));
}

/** Below this an axis is straight for every eye and gauge, deg. */
const STRAIGHT_DEG = 0.5;

/** What a cut leaves of the axis, in one sentence. */
export function leftInWords(after: PredictedFoot, wording: Wording): string {
  const left = Math.abs(after.axis);
  if (left < STRAIGHT_DEG) return "This trim brings the axis straight.";
  return `This trim leaves the axis ${wording.angle(left)} broken ${after.axis < 0 ? "back" : "forward"}.`;
}

/** What remains for the shoe, or for time on a bare foot; empty when nothing does. */
export function shoeInWords(shoe: ShoeTask, finish: TrimQuestion["finish"], wording: Wording): string[] {
  const raise = shoe.elevate >= STRAIGHT_DEG;
  const breakover = shoe.breakoverBack >= 1;
  const heel = shoe.heelExtension >= 1;
  if (finish === "barefoot")
    return raise || breakover
      ? [
          "Bare, the rest has to grow out: trim sooner and take less each time, or ask whether it should be shod for a time.",
        ]
      : [];
  return [
    ...(raise
      ? [
          `Raise the heels ${wording.angle(shoe.elevate)}, ${wording.length(shoe.heelRaise)} at the heel, for a set number of cycles, with the frog supported.`,
        ]
      : []),
    ...(breakover ? [`Bring the breakover back ${wording.length(shoe.breakoverBack)}.`] : []),
    ...(heel
      ? [
          `End the shoe at the back of the frog, ${wording.length(shoe.heelExtension)} behind the trimmed heel.`,
        ]
      : []),
  ];
}

/** A broken axis is a reason even while it is small: it is what the straight axis is aimed at. */
const BROKEN_AXIS = ["broken-back", "broken-forward"];

/** Findings about where the heels bear, not which one is taller. */
const BEARS_BACK = ["heels-forward", "underrun"];

/** A finding that the plan answers, and with what. */
export interface PlanReason {
  finding: Finding;
  does: string;
}

/** Findings as reasons of a plan: what it does about each that it can do something about. */
export function planReasons(
  findings: readonly Finding[],
  plan: TrimPlan,
  cuts: Cuts,
  wording: Wording,
  flares: Flares = {},
): PlanReason[] {
  const { foot } = plan.question;
  const [before, after] = [predictTrim(foot, NO_CUT), predictTrim(foot, cuts)];
  if (!before.ok || !after.ok) return [];
  const [was, now] = [before.value, after.value];
  const rolled = cuts.heelLateral - cuts.heelMedial;
  const does: Partial<Record<Finding["subject"], string>> = {
    axis: `axis ${wording.angle(was.axis)} → ${wording.angle(now.axis)}`,
    toe: `toe ${wording.length(was.toeLength)} → ${wording.length(now.toeLength)}`,
    halves: `halves ${halvesInWords(halvesFrom(was.front, was.support))} → ${halvesInWords(halvesFrom(now.front, now.support))}`,
    heels:
      Math.abs(rolled) < 0.25
        ? "both heels alike"
        : wording.inOwnWords(
            `the ${rolled > 0 ? "lateral" : "medial"} heel comes down ${wording.cut(Math.abs(rolled))} more`,
          ),
    hairline: `foot rolled ${wording.angle(Math.abs(now.roll))}${Math.abs(now.roll) < 0.1 ? "" : wording.inOwnWords(`, ${now.roll > 0 ? "lateral" : "medial"} side down`)}`,
    sole: `${wording.cut(plan.limits.marginMm)} of wall stay above the live sole`,
    wall:
      [
        ...(cuts.dress > 0 ? [`${wording.cut(cuts.dress)} dressed off the toe wall`] : []),
        ...(flaresInWords(flares, wording) ? [`dressed ${flaresInWords(flares, wording)}`] : []),
      ].join(", ") || "no dressing",
    frog: `heels brought back ${wording.cut(Math.max(0, now.support - was.support))} beside it`,
  };
  const bears = `the heels bear ${wording.cut(Math.abs(now.support - was.support))} further ${now.support >= was.support ? "back" : "forward"}`;
  return findings.flatMap((finding) => {
    const answer = BEARS_BACK.includes(finding.id) ? bears : does[finding.subject];
    const counts = finding.level !== "steady" || BROKEN_AXIS.includes(finding.id);
    return counts && answer !== undefined ? [{ finding, does: answer }] : [];
  });
}

/** The plan as it could be said to the owner: what is the matter, what comes off, what is left and for how long. */
export function ownerWords(
  plan: TrimPlan,
  cuts: Cuts,
  limb: string,
  wording: Wording,
  more: { flares?: Flares; stages?: { of: number; next: string } | undefined } = {},
): string {
  const { question } = plan;
  const [before, after] = [predictTrim(question.foot, NO_CUT), predictTrim(question.foot, cuts)];
  if (!before.ok || !after.ok) return "";
  const [was, now] = [before.value, after.value];
  const turn = now.dorsalAngle - was.dorsalAngle;
  const matter = matterInWords(question, was, limb, wording);
  const taken = cuts.toe + cuts.heelMedial + cuts.heelLateral + cuts.dress;
  const done =
    taken === 0
      ? "Nothing is taken off it today: there is nothing to spare above the live sole."
      : `Today ${cutsInWords(cuts, wording)}${Math.abs(turn) < 0.3 ? ", the angle kept" : `; that stands it ${wording.angle(Math.abs(turn))} ${turn > 0 ? "steeper" : "shallower"}`}.`;
  const flared =
    flaresInWords(more.flares ?? {}, wording) &&
    ` The wall is dressed from outside, ${flaresInWords(more.flares ?? {}, wording)}.`;
  const stages = more.stages
    ? ` That is a part of it: the whole takes ${more.stages.of} visits, so that it can follow, the next on ${more.stages.next}.`
    : "";
  const thin = plan.limits.thinSole ? " Its sole is thin, so it keeps more wall than usual." : "";
  const left =
    now.axis < -STRAIGHT_DEG
      ? question.finish === "shod"
        ? ` ${wording.angle(-now.axis)} are left that no trim can give today: the shoe helps for a time, the rest grows.`
        : ` ${wording.angle(-now.axis)} are left that no trim can give today: they have to grow, with shorter intervals.`
      : now.axis > STRAIGHT_DEG
        ? ` It still stands ${wording.angle(now.axis)} steeper than the pastern; more comes off next time, not today.`
        : "";
  return `${matter} ${done}${flared}${stages}${thin}${left}`;
}

function matterInWords(
  { foot, above }: TrimQuestion,
  was: PredictedFoot,
  limb: string,
  wording: Wording,
): string {
  const said: string[] = [];
  if (was.axis < -1) said.push(`stands ${wording.angle(-was.axis)} lower than its pastern`);
  if (was.axis > 1) said.push(`stands ${wording.angle(was.axis)} steeper than its pastern`);
  const excess = was.front - was.support;
  if (excess > 4) said.push(`reaches ${wording.length(excess)} further ahead of its middle than behind it`);
  const heel = heelYOf(foot);
  if (heel > 15) said.push(`has heels that have run ${wording.length(heel)} forward`);
  const sides = above.heelLateral - above.heelMedial;
  if (Math.abs(sides) > 1.5)
    said.push(
      wording.inOwnWords(
        `is ${wording.length(Math.abs(sides))} higher at the ${sides > 0 ? "lateral" : "medial"} heel`,
      ),
    );
  const whole = `The ${limb}`;
  return said.length === 0 ? `${whole} stands as it should.` : `${whole} ${listed(said)}.`;
}

const listed = (parts: readonly string[]): string =>
  parts.length < 2 ? parts.join("") : `${parts.slice(0, -1).join(", ")} and ${parts.at(-1) ?? ""}`;
