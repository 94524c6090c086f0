import type { Reading } from "../foot/records/reading";
import type { Side } from "../foot/limb";
import { cutFoot } from "../foot/parametric/cut";
import { corYOf, eachSide, heelHalfWidth, heelYOfSide, toeYOf } from "../foot/parametric/parameters";
import { NO_CUT } from "../foot/parametric/predict";
import { degrees } from "../math/angle";
import type { VisitFacts } from "./findings";
import type { VisitFoot } from "./visitFoot";

/** Marks of a sole that a cut moves; the others stand as they were measured before. */
const CUT_MARKS = [
  "toe",
  "toeQuarterMedial",
  "toeQuarterLateral",
  "heelMedial",
  "heelLateral",
  // The seat of corn lies in the corner of its heel and goes with it.
  "cornMedial",
  "cornLateral",
] as const;
/** Angles that lie on the horn and turn with it when the ground surface is cut. */
const TURNED = ["lowerWallAngle", "heelAngle", "hairlineAngle"] as const;
const ABOVE = {
  toe: "toe",
  heelMedial: "heelMedial",
  heelLateral: "heelLateral",
} as const satisfies Partial<Record<keyof Reading["walls"], "toe" | "heelMedial" | "heelLateral">>;

/**
 * A foot's readings of one visit as one, as the trim left it: what was measured after it stands; what was measured only
 * before is carried through the cut, since a heel angle of before and a wall angle of after make no foot. `facts` are
 * those of before. What the cut is not known for, and what no plane tells, is left out.
 */
export function asLeft(foot: VisitFoot, facts: VisitFacts): VisitFoot {
  const { before, after } = foot.reading;
  if (!before || !after || Object.keys(foot.values.after).length === 0) {
    const only = after ?? before;
    return only
      ? { ...foot, values: { before: valuesOf(foot), after: valuesOf(foot) }, reading: { before: only } }
      : foot;
  }
  const values = valuesOf(foot);
  const taken = cutsTaken(foot);
  const turned =
    foot.values.before.dorsalAngle && foot.values.after.dorsalAngle
      ? foot.values.after.dorsalAngle.value - foot.values.before.dorsalAngle.value
      : undefined;
  const side: Reading["side"] = { ...after.side };
  for (const [name, measured] of Object.entries(before.side) as [
    keyof Reading["side"],
    { value: number; source: "gauge" },
  ][]) {
    if (side[name] !== undefined) continue;
    if (name === "dish") side[name] = measured;
    else if ((TURNED as readonly string[]).includes(name) && turned !== undefined)
      side[name] = { ...measured, value: measured.value + turned };
  }
  const walls: Reading["walls"] = {};
  for (const [place, wall] of Object.entries(before.walls) as [
    keyof Reading["walls"],
    NonNullable<Reading["walls"]["toe"]>,
  ][]) {
    const { above, ...stays } = wall;
    const cut = place in ABOVE ? taken?.[ABOVE[place as keyof typeof ABOVE]] : undefined;
    walls[place] = {
      ...stays,
      ...(above !== undefined && cut !== undefined && { above: Math.max(0, above - cut) }),
      ...after.walls[place],
    };
  }
  const reading: Reading = {
    ...before,
    ...after,
    values: values as Reading["values"],
    sole: Object.keys(after.sole).length > 0 ? after.sole : soleAfter(before, facts, taken),
    walls: { ...walls, ...onlyNew(after.walls, walls) },
    side,
    rear: { ...rearAfter(before, facts, taken), ...after.rear },
    rings: { ...before.rings, ...after.rings },
  };
  return { ...foot, values: { before: values, after: values }, reading: { before: reading } };
}

const valuesOf = (foot: VisitFoot) => ({ ...foot.values.before, ...foot.values.after });

const onlyNew = (all: Reading["walls"], known: Reading["walls"]): Reading["walls"] =>
  Object.fromEntries(Object.entries(all).filter(([place]) => !(place in known)));

/** The limb is not cut; the hairline's tilt turns by as much as one heel was cut more than the other. */
function rearAfter(
  before: Reading,
  { drawn }: VisitFacts,
  cuts: ReturnType<typeof cutsTaken>,
): Reading["rear"] {
  const { limbDeviation, hairlineTilt } = before.rear;
  const apart = heelHalfWidth(drawn, "medial") + heelHalfWidth(drawn, "lateral");
  return {
    ...(limbDeviation && { limbDeviation }),
    ...(hairlineTilt &&
      cuts && {
        hairlineTilt: {
          ...hairlineTilt,
          value:
            hairlineTilt.value -
            degrees(Math.atan(((cuts.heelLateral ?? 0) - (cuts.heelMedial ?? 0)) / apart)),
        },
      }),
  };
}

/** What was taken off: the cuts that were noted, else those of the agreed plan. */
function cutsTaken({ trim }: VisitFoot) {
  if (!trim) return undefined;
  if (Object.keys(trim.cuts).length > 0) return trim.cuts;
  return trim.plan?.agreed ? trim.plan.cuts : undefined;
}

/** The marks of before, those that the cut moves moved; without a known cut they are left out. */
function soleAfter(
  before: Reading,
  { drawn }: VisitFacts,
  cuts: ReturnType<typeof cutsTaken>,
): Reading["sole"] {
  const done = cuts && cutFoot(drawn, { ...NO_CUT, ...cuts });
  if (!done?.ok)
    return Object.fromEntries(
      Object.entries(before.sole).filter(([mark]) => !(CUT_MARKS as readonly string[]).includes(mark)),
    );
  const sole = { ...before.sole };
  const toeBy = toeYOf(done.value.foot) - toeYOf(drawn);
  const heelBy = eachSide((side) => heelYOfSide(done.value.foot, side) - heelYOfSide(drawn, side));
  const [toeY, wideY] = [sole.toe?.y?.value ?? toeYOf(drawn), corYOf(drawn)];
  for (const mark of CUT_MARKS) {
    const { y, ...x } = sole[mark] ?? {};
    if (!y) continue;
    const side: Side = mark.endsWith("Medial") ? "medial" : "lateral";
    // A toe quarter lies between the toe, which moves, and the widest part, which does not.
    const part = mark === "toe" ? 1 : Math.max(0, Math.min(1, (y.value - wideY) / (toeY - wideY)));
    const by = mark.startsWith("toe") ? part * toeBy : heelBy[side];
    sole[mark] = { ...x, y: { value: y.value + by, source: "estimate" } };
  }
  return sole;
}
