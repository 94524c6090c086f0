import { PAD_MM } from "./specification";
import { SIDES, type Side } from "../foot/limb";
import type { FootParameters } from "../foot/parametric/parameters";
import { lengthDownTo } from "../geometry/polyline";
import type { Wording } from "../foot/wording";
import type { Fit } from "./fit";
import { raiseAtHeel } from "./packing";
import { COARSE_PART } from "./sizes";
import {
  EXAMPLE_NAILS,
  exitHeight,
  nailLean,
  nailLengthNeeded,
  pickNail,
  wallAngleAt,
  type Nail,
  type NailSize,
} from "./nails";
import { counted } from "../units/counted";

export interface NailRow {
  side: Side;
  number: number;
  nail: Nail;
  /** Inward lean, deg. */
  lean: number;
  /** Length that is needed, mm. */
  needed: number;
}

export interface NailTable {
  rows: NailRow[];
  /** Height at which the nails are to come out above the shoe, mm. */
  exit: number;
  /** The longest that is needed, 0 without nails. */
  needed: number;
  /** The nail of the table that all of them are; undefined where none has this head or is long enough. */
  size: NailSize | undefined;
  says: (wording: Wording) => string;
}

/** What lies between shoe and wall at the nails, mm: a pad, half of what is raised at the heel, a wedge at its side. */
export const padUnderNail = ({
  question: { spec },
  raiseMm,
  width,
}: Pick<Fit, "question" | "raiseMm" | "width">): number =>
  (spec.pad === "none" ? 0 : PAD_MM) +
  raiseMm / 2 +
  (spec.sideWedge ? raiseAtHeel(spec.sideWedge.degrees, width) : 0);

/** The nails of a fit: lean and length of each, and which of the user's own table (the neutral one without) they are. */
export function nailTable(fit: Fit, drawn: FootParameters, own: readonly NailSize[]): NailTable {
  const { spec, foot } = fit.question;
  const dorsal = drawn.dorsalAngleDeg;
  const exit = exitHeight(drawn.toeLengthMm);
  const rows = SIDES.flatMap((side) => {
    const widest = lengthDownTo(fit.outer[side], foot.knots.wide[side][1]);
    return fit.nails[side].map((nail, index): NailRow => {
      const part = widest > 0 ? nail.s / widest : 0;
      const wall = foot.horn.toe + (foot.horn.quarter - foot.horn.toe) * Math.min(1, part);
      return {
        side,
        number: index + 1,
        nail,
        lean: nailLean(part, dorsal),
        needed: nailLengthNeeded({
          thickness: spec.thickness,
          pad: padUnderNail(fit),
          exit,
          wallAngleDeg: wallAngleAt(part, dorsal),
          wall,
        }),
      };
    });
  });
  const needed = Math.max(0, ...rows.map((row) => row.needed));
  const table = own.length > 0 ? own : EXAMPLE_NAILS;
  const picked = pickNail(table, spec.pattern, needed);
  const coarse = rows.some(({ nail }) => nail.inset > COARSE_PART * spec.width);
  return {
    rows,
    exit,
    needed,
    size: picked.kind === "found" && rows.length > 0 ? picked.nail : undefined,
    says: (wording) => {
      if (rows.length === 0) return "No nails.";
      const size =
        picked.kind === "found"
          ? `${picked.nail.name}, ${wording.length(picked.nail.lengthMm)} long`
          : picked.kind === "no-pattern"
            ? `no nail of the table has a ${spec.pattern} head: these holes and those nails do not match`
            : `the longest ${spec.pattern} nail, ${wording.length(picked.longest.lengthMm)}, is too short`;
      return `${counted(rows.length, "nail")}, punched ${coarse ? "coarse" : "fine"}; out ${wording.length(exit)} above the shoe; ${wording.length(needed)} needed at most: ${size}.`;
    },
  };
}
