import { SURVEY_MARKS } from "../foot/survey/marks";
import { soleLandmarks } from "../foot/parametric/landmarks";
import { bearingLengthOf, meanHeelHeight, type FootParameters } from "../foot/parametric/parameters";
import type { Reading } from "../foot/records/reading";
import { recordOfMarks } from "../foot/records/keptSurvey";
import { WALL_PLACES } from "../foot/survey/walls";
import { radians } from "../math/angle";
import { normalDraw, type Random } from "../math/random";
import type { HerdFoot } from "./soundFeet";

/**
 * The noise of an ordinary hand, sd: an angle by gauge, a length by calliper, a mark on the sole, the width of a white
 * line (read along the edge of a rule). Source: trade practice, 1.5 deg and 3 mm between repeated measures; a white line
 * is an assumption, because its two edges stand side by side on the rule.
 */
export const ORDINARY_HAND = { angleDeg: 0.54, lengthMm: 1.1, markMm: 1, whiteLineMm: 0.5 };

/** Everything that is measured of a foot, by an ordinary hand, as its record keeps it. */
export function measureFoot(random: Random, made: HerdFoot): Omit<Reading, RecordPlace> {
  const { foot, centreOff } = made;
  const angle = (truth: number) => ({
    value: normalDraw(random, truth, ORDINARY_HAND.angleDeg),
    source: "gauge" as const,
  });
  const span = (truth: number, sd = ORDINARY_HAND.lengthMm) => Math.max(0, normalDraw(random, truth, sd));
  const length = (truth: number) => ({ value: span(truth), source: "calliper" as const });
  const marks = soleLandmarks(foot);
  const off = (mark: string): number =>
    mark.startsWith("barEnd") ? centreOff.bars : mark.startsWith("wide") ? centreOff.widest : 0;
  const sole = Object.fromEntries(
    SURVEY_MARKS.map((mark) => {
      const [soundX, y] = marks[mark];
      const x = soundX * (mark.startsWith("heel") ? (made.heelsTogether ?? 1) : 1);
      // The back of the sulcus is where everything is measured from, and the midline goes through its front.
      const noise = mark === "sulcusBack" ? 0 : ORDINARY_HAND.markMm;
      return [
        mark,
        {
          x: mark.startsWith("sulcus") ? 0 : normalDraw(random, x, noise),
          y: normalDraw(random, y + off(mark), noise),
        },
      ];
    }),
  );
  return {
    values: {
      dorsalAngle: angle(foot.dorsalAngleDeg),
      pasternAngle: angle(foot.pasternAngleDeg),
      toeLength: length(foot.toeLengthMm),
      heelHeightMedial: length(foot.heelHeightMm.medial),
      heelHeightLateral: length(foot.heelHeightMm.lateral),
      bearingLength: length(bearingLengthOf(foot)),
      width: length(foot.widthMm),
    },
    sole: recordOfMarks(sole, "calliper"),
    walls: Object.fromEntries(
      WALL_PLACES.map((place) => [
        place,
        {
          thickness: span(made.walls[place].thickness),
          whiteLine: span(made.walls[place].whiteLine, ORDINARY_HAND.whiteLineMm),
        },
      ]),
    ),
    trace: [],
    sulcusDepthMm: span(made.sulcusDepthMm),
    rings: made.ring ? { one: { toeMm: span(made.ring.toeMm), heelMm: span(made.ring.heelMm) } } : {},
    side: {
      dish: {
        ...angle(foot.dishDeg),
        value: normalDraw(random, foot.dishDeg, Math.SQRT2 * ORDINARY_HAND.angleDeg),
      },
      heelAngle: angle(foot.heelAngleDeg),
      hairlineAngle: angle(made.hairlineDeg),
      heelLength: length(heelLengthOf(foot)),
    },
    rear: { hairlineTilt: angle(made.tiltDeg), limbDeviation: angle(foot.limbDeviationDeg) },
    confirmed: [],
  };
}
type RecordPlace = "id" | "visitId" | "horseId" | "limb" | "moment" | "date";

const heelLengthOf = (foot: FootParameters): number =>
  meanHeelHeight(foot) / Math.sin(radians(foot.heelAngleDeg));
