import type { Entry } from "../constants/entry";
import { toeTarget } from "../foot/toeYardstick";
import { isFore, LIMBS, type Limb } from "../foot/limb";
import { growFoot } from "../foot/parametric/cut";
import { estimateToeRun, ordinaryFoot } from "../foot/parametric/fit";
import { sizeFactor, type FootParameters } from "../foot/parametric/parameters";
import { WALL_PLACES, WALL_TAPER, type WallPlace } from "../foot/survey/walls";
import { radians } from "../math/angle";
import { normalDraw, type Random } from "../math/random";

/** Mean and sd of a quantity over sound horses. */
interface Spread {
  mean: number;
  sd: number;
}
const spread = (mean: number, sd: number, unit: string, validFor: string, source: string): Entry<Spread> => ({
  value: { mean, sd },
  unit,
  validFor,
  source,
  sure: "assumption",
});
const TRADE = "trade practice, its usual range taken as two sd either way";
const ASSUMED = "assumption, because sound feet that were surveyed scatter about so much";

/** How sound feet differ from the ordinary one of their horse, and from one another. Lengths on a foot of size 1. */
export const SOUND = {
  dorsalAngle: spread(0, 2.5, "deg", "against 50 fore, 53 hind", TRADE),
  axis: spread(0, 1.3, "deg", "dorsal minus pastern, fresh", TRADE),
  underHeel: spread(3, 1.3, "deg", "dorsal minus heel angle", TRADE),
  dish: spread(0.5, 0.5, "deg", "upper minus lower wall", ASSUMED),
  toeLength: spread(0, 2, "mm", "against the target by mass", "Balch and others; Turner, by body mass"),
  heelRun: spread(3.8, 1.2, "mm", "heels ahead of the back of the sulcus", ASSUMED),
  heelApart: spread(0, 0.7, "mm", "heel heights of one foot", ASSUMED),
  curl: spread(0, 1, "mm", "one heel ahead of the other", ASSUMED),
  lateralWider: spread(2, 1, "mm", "half widths", TRADE),
  frogStretch: spread(0, 0.015, "ratio", "beyond the true apex", ASSUMED),
  frogWidth: spread(1.12, 0.07, "ratio", "frog width over sulcus", TRADE),
  hairline: spread(20, 2, "deg", "from the side", TRADE),
  tilt: spread(0, 0.5, "deg", "hairline from behind", ASSUMED),
  lean: spread(0, 1.5, "deg", "limb from behind", ASSUMED),
  toeWall: spread(12.5, 0.6, "mm", "outside of live sole to outside of wall, at the toe", TRADE),
  wallPlace: spread(1, 0.03, "ratio", "a place's wall over the sound taper", ASSUMED),
  whiteLine: spread(3, 0.2, "mm", "its width", TRADE),
  sulcusDepth: spread(14, 1.2, "mm", "beside the point of the frog", TRADE),
  pairAngle: spread(0, 0.7, "deg", "one foot against its pair", ASSUMED),
  pairLength: spread(0, 0.8, "mm", "one foot against its pair", ASSUMED),
  centreWays: spread(0, 0.8, "mm", "bar ends and widest part against the apex rule", ASSUMED),
} as const satisfies Record<string, Entry<Spread>>;

/** Lightest and heaviest horse of the herd, kg. */
const MASS_KG = [200, 900] as const;

/**
 * What six weeks add to the toe of a sound foot of size 1, and take off its angle; what the heels do follows from it, as
 * in every forecast. Source: about 0.22 mm a day of toe, trade practice.
 */
const SIX_WEEKS = { toeMm: 9, angleDeg: -1.2 };

/** The foot at the end of six weeks. */
function atDue(foot: FootParameters): FootParameters {
  const grown = growFoot(foot, {
    hornMm: SIX_WEEKS.toeMm * sizeFactor(foot) ** 0.5,
    driftDeg: SIX_WEEKS.angleDeg,
  });
  if (!grown.ok) throw new RangeError(`a sound foot that cannot grow: ${grown.issues[0]?.message ?? ""}`);
  return grown.value;
}

/** A made-up foot with its truth: what is drawn from its parameters, and what is measured besides. */
export interface HerdFoot {
  foot: FootParameters;
  /** Where bar ends and widest part lie off the centre of rotation, mm. */
  centreOff: { bars: number; widest: number };
  hairlineDeg: number;
  tiltDeg: number;
  walls: Record<WallPlace, { thickness: number; whiteLine: number }>;
  sulcusDepthMm: number;
  /** Heels as far apart as this part of a sound foot's; 1 unless they are contracted. */
  heelsTogether?: number;
  ring?: { toeMm: number; heelMm: number };
}

/** A horse of the herd: both feet of one pair, the first of them looked at. */
export interface HerdPair {
  massKg: number;
  limb: Limb;
  mine: HerdFoot;
  other: HerdFoot;
}

/** A pair of sound feet, fresh from the trim or at the end of a six-week cycle. */
export function soundPair(random: Random, when: "fresh" | "due"): HerdPair {
  const draw = ({ value }: Entry<Spread>) => normalDraw(random, value.mean, value.sd);
  const massKg = MASS_KG[0] * (MASS_KG[1] / MASS_KG[0]) ** random();
  const limb = LIMBS[Math.floor(random() * LIMBS.length)] ?? "LF";
  const animal = { kind: "horse" as const, massKg };
  const ordinary = ordinaryFoot(limb, animal);
  const k = sizeFactor(ordinary);
  const horse = {
    dorsal: ordinary.dorsalAngleDeg + draw(SOUND.dorsalAngle),
    axis: draw(SOUND.axis),
    underHeel: draw(SOUND.underHeel),
    toe: toeTarget(animal).toeLengthMm + draw(SOUND.toeLength),
    wider: draw(SOUND.lateralWider) * k,
    heel: ordinary.heelHeightMm.medial,
  };
  const oneOf = (of: Limb): HerdFoot => {
    const dorsalAngleDeg = horse.dorsal + draw(SOUND.pairAngle);
    const pasternAngleDeg = horse.dorsal - horse.axis;
    const toeLengthMm = horse.toe + draw(SOUND.pairLength);
    const widthMm = ordinary.widthMm + draw(SOUND.pairLength) * k;
    const apart = draw(SOUND.heelApart) / 2;
    const heel = horse.heel + draw(SOUND.pairLength);
    const curl = draw(SOUND.curl) * k;
    const run = draw(SOUND.heelRun) * k;
    const shape = { limb: of, widthMm, dorsalAngleDeg, toeLengthMm };
    // Fresh, the toe stands where it did on the ordinary foot of this angle; growth takes it forward along the wall.
    const fresh = estimateToeRun({
      limb: of,
      widthMm,
      dorsalAngleDeg: ordinary.dorsalAngleDeg,
      toeLengthMm: ordinary.toeLengthMm,
    });
    const grown = (toeLengthMm - ordinary.toeLengthMm) * Math.cos(radians(dorsalAngleDeg));
    const toeWall = draw(SOUND.toeWall) * (isFore(of) ? 1 : 0.95);
    const foot: FootParameters = {
      ...ordinary,
      ...shape,
      pasternAngleDeg,
      heelAngleDeg: dorsalAngleDeg - horse.underHeel,
      dishDeg: Math.max(0, draw(SOUND.dish)),
      toeRunMm: fresh + grown,
      heelRunMm: run,
      curlMm: { medial: Math.max(0, curl), lateral: Math.max(0, -curl) },
      heelHeightMm: { medial: heel - apart, lateral: heel + apart },
      limbDeviationDeg: draw(SOUND.lean),
      lateralWiderMm: horse.wider + draw(SOUND.pairLength) * k,
      frog: { stretch: draw(SOUND.frogStretch), widthRatio: draw(SOUND.frogWidth) },
    };
    return {
      foot: when === "due" ? atDue(foot) : foot,
      centreOff: { bars: draw(SOUND.centreWays) * k, widest: draw(SOUND.centreWays) * k },
      hairlineDeg: draw(SOUND.hairline),
      tiltDeg: draw(SOUND.tilt),
      walls: Object.fromEntries(
        WALL_PLACES.map((place) => [
          place,
          {
            thickness: toeWall * WALL_TAPER[place] * draw(SOUND.wallPlace),
            whiteLine: draw(SOUND.whiteLine),
          },
        ]),
      ) as HerdFoot["walls"],
      sulcusDepthMm: draw(SOUND.sulcusDepth) + 3 * (k - 1),
    };
  };
  const other = `${limb[0] === "L" ? "R" : "L"}${limb[1] ?? "F"}` as Limb;
  return { massKg, limb, mine: oneOf(limb), other: oneOf(other) };
}
