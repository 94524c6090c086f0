import type { PrescriptionAsks } from "./prescription";
import { WEAR_SECTOR_NAMES, WEAR_SECTORS, type WearSector } from "../foot/wear";
import type { Wording } from "../foot/wording";
import { SIDES } from "../foot/limb";
import {
  bySide,
  FRONT_FULLNESS_MM,
  isBar,
  LENGTH_FIELDS,
  nailCount,
  SPEC_NAMES,
  specDifferences,
  type BranchEnd,
  type Edge,
  type HeelSupport,
  type Specification,
  type SpecField,
} from "./specification";
import { counted } from "../units/counted";

const LENGTHS: ReadonlySet<string> = new Set(LENGTH_FIELDS);

export const SUPPORT_WORDS: Record<HeelSupport, string> = {
  heel: "ends at the heel",
  frog: "ends at the back of the frog",
  long: "ends beyond, up to the bulbs",
};

/** "medial toe quarter": a place of the edge as it stands in a sentence. */
export const sectorInWords = (sector: WearSector): string =>
  WEAR_SECTOR_NAMES[sector].toLowerCase().split(", ").reverse().join(" ");
const sectorsInWords = (sectors: readonly WearSector[]): string =>
  sectors.length === WEAR_SECTORS.length ? "all round" : sectors.map(sectorInWords).join(" and ");

const cycles = (count: number): string => counted(count, "cycle");
const signedLength = (mm: number, wording: Wording): string =>
  mm < 0 ? `−${wording.cut(-mm)}` : wording.cut(mm);

/** "toe clip", "two side clips", "quarter clip, lateral": nothing without any. */
export function clipsInWords(clips: Specification["clips"]): string {
  const both = (kind: string) =>
    clips.includes(`${kind} medial` as never) && clips.includes(`${kind} lateral` as never);
  const parts = clips.includes("toe") ? ["toe clip"] : [];
  for (const kind of ["side", "quarter"] as const)
    if (both(kind)) parts.push(`two ${kind} clips`);
    else
      parts.push(
        ...clips.filter((one) => one.startsWith(kind)).map((one) => `${one.replace(" ", " clip, ")}`),
      );
  return parts.join(" and ");
}

const EDGE_SAYS: Record<Edge, string> = {
  bevelled: "bevelled",
  boxed: "boxed",
  eased: "outer edge eased",
  rolled: "rolled",
  "safe inside": "inner edge safe",
};

/** Edges by what is done to them: "rolled all round", "eased heel, lateral". */
export function edgesInWords({ edges }: Pick<Specification, "edges">): string {
  const kinds = [...new Set(Object.values(edges))];
  return kinds
    .map((kind) => {
      const places = sectorsInWords(WEAR_SECTORS.filter((sector) => edges[sector] === kind));
      return `${EDGE_SAYS[kind]}${places === "all round" ? "" : " at"} ${places}`;
    })
    .join(", ");
}

/** "small studs on good ground, large on wet"; nothing without any. */
function studsInWords({ traction, studsGood, studsWet }: Specification): string {
  if (traction !== "stud holes") return "";
  if (studsGood === studsWet) return studsGood === "none" ? "" : `${studsGood} studs, out for the road`;
  return `studs: ${studsGood} on good ground, ${studsWet} on wet, out for the road`;
}

/** Which studs for which ground, front and behind, for the owner who changes them; empty where no hole is tapped. */
export function studsForOwner(shod: readonly { fore: boolean; spec: Specification }[]): string {
  const ends = [true, false].flatMap((fore) => {
    const tapped = shod.find((one) => one.fore === fore && one.spec.traction === "stud holes")?.spec;
    if (!tapped) return [];
    const { studsGood, studsWet } = tapped;
    return [`${fore ? "in front" : "behind"} ${studsGood} on good ground, ${studsWet} on wet`];
  });
  return ends.length === 0 ? "" : `Studs ${ends.join("; ")}. Out for the road and the box, holes plugged.`;
}

function endsInWords(spec: Specification): string {
  const [medial, lateral] = [spec.endMedial, spec.endLateral];
  const one = (end: BranchEnd, side: string) => (end === "plain" ? "" : `${side} heel ${end}`);
  if (medial === lateral) return medial === "plain" ? "" : `heels ${medial}`;
  return [one(medial, "medial"), one(lateral, "lateral")].filter(Boolean).join(", ");
}

const raiseInWords = (
  { degrees, cycles: count, exit }: NonNullable<Specification["raise"]>,
  wording: Wording,
): string =>
  `raised ${wording.angle(degrees)} for ${cycles(count)}${exit.trim() ? `, until ${exit.trim()}` : ""}`;

const wedgeInWords = ({ side, degrees }: NonNullable<Specification["sideWedge"]>, wording: Wording): string =>
  `${wording.angle(degrees)} under the ${side} side`;

/** One field as it is read: a length with its unit, a raise in words. */
export function fieldInWords(spec: Specification, field: SpecField, wording: Wording): string {
  const value = spec[field];
  if (LENGTHS.has(field)) return signedLength(value as number, wording);
  const said = (() => {
    switch (field) {
      case "raise":
        return spec.raise ? `${wording.angle(spec.raise.degrees)} for ${cycles(spec.raise.cycles)}` : "none";
      case "sideWedge":
        return spec.sideWedge ? wedgeInWords(spec.sideWedge, wording) : "none";
      case "turn":
        return turnInWords(spec.turn, wording);
      case "clips":
        return clipsInWords(spec.clips) || "none";
      case "edges":
        return edgesInWords(spec) || "as forged";
      case "unloaded":
        return spec.unloaded.length > 0 ? sectorsInWords(spec.unloaded) : "nowhere";
      case "relief":
      case "riveted":
        return value ? "yes" : "no";
      default:
        return String(value);
    }
  })();
  return wording.inOwnWords(said);
}

const turnInWords = (turn: number, wording: Wording): string =>
  turn === 0 ? "none" : `${wording.angle(Math.abs(turn))} to ${turn > 0 ? "lateral" : "medial"}`;

/** What a shoe is called: its base, and what sets it apart. */
function nameInWords(spec: Specification): string {
  const plain = `${spec.crease} ${spec.profile === "concave" ? "concave " : ""}shoe`;
  return spec.type === "plain" ? plain : spec.profile === "concave" ? `concave ${spec.type}` : spec.type;
}

/** A specification in one line, as it would be said across the yard. */
export function specInWords(spec: Specification, wording: Wording): string {
  if (spec.type === "bare") return "Bare, margin of wall left, edge bevelled from the sole outwards";
  const full = SIDES.filter((side) => bySide(spec, "fullToe", side) !== FRONT_FULLNESS_MM).map(
    (side) => `${side} toe quarter ${wording.cut(bySide(spec, "fullToe", side))} full`,
  );
  const web = SIDES.filter((side) => bySide(spec, "wider", side) !== 0).map((side) => {
    const mm = bySide(spec, "wider", side);
    return `${wording.cut(Math.abs(mm))} ${mm > 0 ? "more" : "less"} web ${side}`;
  });
  const out = SIDES.filter((side) => bySide(spec, "out", side) !== 0).map(
    (side) => `${side} stands out ${wording.cut(bySide(spec, "out", side))}`,
  );
  const longer = SIDES.filter((side) => bySide(spec, "longer", side) !== 0).map((side) => {
    const mm = bySide(spec, "longer", side);
    return `${side} branch ${wording.cut(Math.abs(mm))} ${mm > 0 ? "longer" : "shorter"}`;
  });
  const parts = [
    `${nameInWords(spec)}, ${spec.material}`,
    `${wording.cut(spec.width)} × ${wording.cut(spec.thickness)}`,
    spec.type !== "plain" && spec.crease === "creased" ? "creased" : "",
    spec.toe === "round" ? "" : `toe ${spec.toe}`,
    spec.toeEdge === "plain" ? "" : `${spec.toeEdge} toe`,
    clipsInWords(spec.clips) || "no clips",
    spec.type === "egg bar" ? "" : SUPPORT_WORDS[spec.support],
    isBar(spec) ? "" : endsInWords(spec),
    ...full,
    ...web,
    ...out,
    ...(web.length + out.length > 0 ? [`from the ${spec.changeFrom} back`] : []),
    ...longer,
    spec.turn === 0 ? "" : `turned ${turnInWords(spec.turn, wording)}`,
    edgesInWords(spec),
    spec.unloaded.length > 0 ? `unloaded at ${sectorsInWords(spec.unloaded)}` : "",
    spec.traction === "none" ? "" : spec.traction,
    studsInWords(spec),
    spec.relief ? "relieved for the sole" : "",
    spec.pad === "none" ? "" : `${spec.pad} pad${spec.riveted ? ", riveted" : ""}`,
    spec.packing === "none"
      ? ""
      : spec.packing === "soft"
        ? "soft packing"
        : `setting compound, ${spec.packed}`,
    spec.raise ? raiseInWords(spec.raise, wording) : "",
    spec.sideWedge ? `wedge ${wedgeInWords(spec.sideWedge, wording)}` : "",
    `${nailCount(spec)} ${spec.nailMetal === "steel" ? "" : `${spec.nailMetal} `}nails`,
  ];
  return wording.inOwnWords(parts.filter((part) => part !== "").join(", "));
}

/** The differences as a sentence: `toe plain, now rolled; web 22 mm, now 20 mm`. Empty where there are none. */
export const differencesInWords = (was: Specification, now: Specification, wording: Wording): string =>
  specDifferences(was, now)
    .map(
      (field) =>
        `${wording.inOwnWords(SPEC_NAMES[field])} ${fieldInWords(was, field, wording)}, now ${fieldInWords(now, field, wording)}`,
    )
    .join("; ");

/** What is asked of a shoe, field by field: "type straight bar", "raise 3.0°". */
export function asksInWords(asks: PrescriptionAsks, wording: Wording): string[] {
  const fields = (["type", "toe", "toeEdge", "support", "pad"] as const satisfies SpecField[]).flatMap(
    (field) => {
      const value = asks[field];
      return value === undefined ? [] : [wording.inOwnWords(`${SPEC_NAMES[field].toLowerCase()} ${value}`)];
    },
  );
  const { raiseDeg } = asks;
  return raiseDeg === undefined
    ? fields
    : [...fields, raiseDeg === 0 ? "level" : `raised ${wording.angle(raiseDeg)}`];
}
