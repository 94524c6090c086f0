import { radians } from "../../math/angle";
import { turned } from "../../geometry/vector";
import { isFore, type Limb } from "../limb";
import type { FootValues, Measure, RearValues, SideValues } from "../measures";
import type { AnimalKind } from "../toeYardstick";
import type { SoleSurvey } from "../survey/survey";
import type { Walls } from "../survey/walls";
import { toeTarget } from "../toeYardstick";
import { corYOf, heelsAt, sizeFactor, toeYOf, widthOfSize, type FootParameters } from "./parameters";

/** Ordinary shapes, used where nothing was measured. Assumption, from trade practice; drawn pale and called a guess. */
const ORDINARY = {
  fore: { dorsal: 50, underHeel: 4, heelLengthPart: 0.52 },
  hind: { dorsal: 53, underHeel: 4, heelLengthPart: 0.55 },
  donkey: { dorsal: 60, underHeel: 2, heelLengthPart: 0.55 },
  /** Toe length of a foot of size factor 1. */
  unitToeMm: 86,
  heelRunPart: 0.03,
  donkeyWidthPart: 0.92,
  wallAboveMm: { toe: 6, heel: 4 },
  lateralWiderMm: 2,
  frog: { stretch: 0, widthRatio: 1.1 },
};

/**
 * Where the hairline at the toe sits from the centre of rotation on a foot of size 1 standing at 50 degrees, mm
 * forward and up: the point of an ordinary foot (toe 86, length 126). It turns with the bone.
 */
const HAIRLINE_FROM_COR = { forward: 7.7, up: 18.7, atDeg: 50 };

/**
 * y of the toe beyond twice the centre of rotation, estimated from angle and toe length: hairline and centre of
 * rotation turn together, the wall reaches forward from there. An estimate until the sole is surveyed.
 */
export function estimateToeRun(
  foot: Pick<FootParameters, "limb" | "widthMm" | "dorsalAngleDeg" | "toeLengthMm">,
): number {
  const k = sizeFactor(foot);
  const [forward] = turned(
    [HAIRLINE_FROM_COR.forward * k, HAIRLINE_FROM_COR.up * k],
    radians(HAIRLINE_FROM_COR.atDeg - foot.dorsalAngleDeg),
  );
  return forward + foot.toeLengthMm * Math.cos(radians(foot.dorsalAngleDeg)) - corYOf(foot);
}

/** An ordinary foot for this kind and mass of animal: the pale guess before anything is measured. */
export function ordinaryFoot(
  limb: Limb,
  animal: { kind: AnimalKind; massKg: number; toeTargetMm?: number | undefined },
): FootParameters {
  const shape = animal.kind === "donkey" ? ORDINARY.donkey : ORDINARY[isFore(limb) ? "fore" : "hind"];
  const toeLengthMm = toeTarget(animal).toeLengthMm;
  const size = toeLengthMm / ORDINARY.unitToeMm;
  const widthMm = widthOfSize(limb, size) * (animal.kind === "donkey" ? ORDINARY.donkeyWidthPart : 1);
  const heelAngleDeg = shape.dorsal - shape.underHeel;
  const heelHeight = toeLengthMm * shape.heelLengthPart * Math.sin(radians(heelAngleDeg));
  const start = { limb, widthMm, dorsalAngleDeg: shape.dorsal, toeLengthMm };
  return {
    ...start,
    pasternAngleDeg: shape.dorsal,
    heelAngleDeg,
    dishDeg: 0,
    toeRunMm: estimateToeRun(start),
    heelRunMm: ORDINARY.heelRunPart * widthMm,
    curlMm: { medial: 0, lateral: 0 },
    heelHeightMm: { medial: heelHeight, lateral: heelHeight },
    wallAboveSoleMm: {
      toe: ORDINARY.wallAboveMm.toe,
      medial: ORDINARY.wallAboveMm.heel,
      lateral: ORDINARY.wallAboveMm.heel,
    },
    limbDeviationDeg: 0,
    lateralWiderMm: ORDINARY.lateralWiderMm * size,
    frog: { ...ORDINARY.frog },
  };
}

/** What else than the fast lane was read of a foot: its sole, its side view, the view from behind. */
export interface KnownFoot {
  survey?: SoleSurvey | undefined;
  side?: SideValues | undefined;
  rear?: RearValues | undefined;
  walls?: Walls | undefined;
}

/** A foot filled in from what was measured, and which measures are only a guess. */
export interface FittedFoot {
  foot: FootParameters;
  guessed: Measure[];
}

/**
 * The parametric foot that shows these values, everything else taken from `base` (the same foot at another moment,
 * or an ordinary one). Reading the side view of the answer gives the measured values back. Where the toe lies over
 * the centre of rotation is estimated (see {@link estimateToeRun}); the heels follow from the bearing length. A change
 * of angle against the base turns the heel with the foot. A sole survey outranks those estimates: front, support and
 * each heel are then as surveyed, and so are the halves of its width and the frog; heel angle, dish and the limb's
 * lean are as they were read from the side and from behind, the wall above the live sole as it was measured.
 */
export function fitFoot(values: FootValues, base: FootParameters, known: KnownFoot = {}): FittedFoot {
  const { survey, side, rear, walls } = known;
  const guessed: Measure[] = [];
  const of = (measure: Measure, guess: number): number => {
    const measured = values[measure];
    if (measured === undefined || measured.source === "estimate") guessed.push(measure);
    return measured?.value ?? guess;
  };
  const dorsalAngleDeg = of("dorsalAngle", base.dorsalAngleDeg);
  const turnedBy = dorsalAngleDeg - base.dorsalAngleDeg;
  const pasternAngleDeg = of("pasternAngle", base.pasternAngleDeg);
  const toeLengthMm = of("toeLength", base.toeLengthMm);
  const medial = of("heelHeightMedial", base.heelHeightMm.medial);
  const lateral = of("heelHeightLateral", base.heelHeightMm.lateral);
  const baseBearing = toeYOf(base) - (2 * base.heelRunMm + base.curlMm.medial + base.curlMm.lateral) / 2;
  const measuredBearing = of("bearingLength", baseBearing);
  const widthMm = of("width", survey?.width ?? base.widthMm);
  const foot: FootParameters = {
    ...base,
    widthMm,
    dorsalAngleDeg,
    pasternAngleDeg,
    heelAngleDeg: Math.min(85, Math.max(15, base.heelAngleDeg + turnedBy)),
    toeLengthMm,
    toeRunMm: estimateToeRun({ limb: base.limb, widthMm, dorsalAngleDeg, toeLengthMm }),
    heelHeightMm: { medial, lateral },
  };
  if (values.bearingLength) {
    const shift = toeYOf(foot) - measuredBearing - (base.curlMm.medial + base.curlMm.lateral) / 2;
    Object.assign(
      foot,
      heelsAt({ medial: shift + base.curlMm.medial, lateral: shift + base.curlMm.lateral }),
    );
  }
  if (side?.heelAngle) foot.heelAngleDeg = side.heelAngle.value;
  if (side?.dish) foot.dishDeg = side.dish.value;
  if (rear?.limbDeviation) foot.limbDeviationDeg = rear.limbDeviation.value;
  if (survey) Object.assign(foot, fromSurvey(survey, foot));
  if (walls)
    foot.wallAboveSoleMm = {
      toe: walls.toe?.above ?? foot.wallAboveSoleMm.toe,
      medial: walls.heelMedial?.above ?? foot.wallAboveSoleMm.medial,
      lateral: walls.heelLateral?.above ?? foot.wallAboveSoleMm.lateral,
    };
  return { foot, guessed };
}

/** What a sole survey tells of a foot; the rest stays as it is. Places are carried over by the centre of rotation. */
function fromSurvey(survey: SoleSurvey, foot: FootParameters): Partial<FootParameters> {
  const { cor, front, heelForward, halfWidth, frogStretch, frogWidthRatio } = survey;
  const { medial, lateral } = heelForward;
  const shift = cor ? corYOf(foot) - cor.median : 0;
  return {
    ...(front !== undefined && { toeRunMm: front - corYOf(foot) }),
    ...(cor &&
      medial !== undefined &&
      lateral !== undefined &&
      heelsAt({ medial: medial + shift, lateral: lateral + shift })),
    ...(halfWidth.medial !== undefined &&
      halfWidth.lateral !== undefined && { lateralWiderMm: halfWidth.lateral - halfWidth.medial }),
    frog: { stretch: frogStretch ?? foot.frog.stretch, widthRatio: frogWidthRatio ?? foot.frog.widthRatio },
  };
}
