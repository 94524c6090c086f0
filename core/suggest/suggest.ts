import { isLeft } from "../foot/limb";
import { sizeFactor, type FootParameters } from "../foot/parametric/parameters";
import { distance, dot, minus, plus, times, type ImagePoint, type Vector } from "../geometry/vector";
import { radians } from "../math/angle";
import { cameraPlace, FOCAL_SD_PART } from "../photo/pose";
import { rectifyPhoto, type MarkedPhoto } from "../photo/truePhoto";
import { isMeasured, MARK_DEPTHS, PHOTO_MARKS, type MeasuredView, type PhotoView } from "../photo/views";
import { fail, ok, type Result } from "../result";
import type { ColourPicture } from "./colour";
import { fitLaid, type FittedFoot, type Tap } from "./fitLaid";
import { freedomSds, layFoot, type Eye } from "./laidFoot";

/** A place proposed for a mark. It counts for nothing until somebody takes it. */
export interface Suggestion {
  at: ImagePoint;
  /** How far it may be off, one standard deviation in its worst direction, mm. */
  sdMm: number;
  /** True where it may be taken without a look at each. */
  sure: boolean;
}
export type Suggestions = Partial<Record<string, Suggestion>>;

export interface Suggested {
  marks: Suggestions;
  /** Points along the edge of the live sole, in order; empty where it is not seen. */
  trace: ImagePoint[];
}

/** The marks that are tapped first, by view: they say where the foot lies, how large it is and which way it looks. */
export const FIRST_TAPS: Record<MeasuredView, readonly string[]> = {
  sole: ["heelMedial", "heelLateral", "toe"],
  side: ["toe", "heel", "hairlineToe"],
  rear: ["heelMedial", "heelLateral", "hairlineMedial"],
};

/** The marks that help most when what is left is not sure, in this order. */
const NEXT_TAPS: Record<MeasuredView, readonly string[]> = {
  sole: ["sulcusBack", "frogApex"],
  side: ["hairlineHeel"],
  rear: ["hairlineLateral"],
};

/** The marks of a view in the order in which they are asked for: the first taps, those that help most, the rest. */
export function tapOrder(view: PhotoView): string[] {
  const first = isMeasured(view) ? [...FIRST_TAPS[view], ...NEXT_TAPS[view]] : [];
  return [...new Set([...first, ...PHOTO_MARKS[view]])];
}

/**
 * A mark is sure under this, and not suggested over that, one sd in its worst direction, mm. Set on made pictures, so that
 * a sure one is never off by a centimetre and nine suggestions of ten lie within two millimetres.
 */
const DOUBT: Record<MeasuredView, Doubt> = {
  sole: { sureMm: 1.2, mostMm: 1.3 },
  side: { sureMm: 1.3, mostMm: 2 },
  rear: { sureMm: 0.9, mostMm: 1.4 },
};
/**
 * Marks with bounds of their own. Where the wall runs straight back a mark a little along it measures the same width; where
 * a single short edge says where a mark lies, it is never sure, and far up the pastern it has to be surer than elsewhere.
 */
const OWN_DOUBT: Partial<Record<MeasuredView, Partial<Record<string, Doubt>>>> = {
  sole: { wideMedial: { sureMm: 1.42, mostMm: 1.42 }, wideLateral: { sureMm: 1.42, mostMm: 1.42 } },
  side: { hairlineHeel: { sureMm: 0, mostMm: 2 }, pasternHigh: { sureMm: 0.75, mostMm: 2 } },
  rear: { hairlineMedial: { sureMm: 0, mostMm: 1.4 }, hairlineLateral: { sureMm: 0, mostMm: 1.4 } },
};
interface Doubt {
  sureMm: number;
  mostMm: number;
}

/** What the eye is taken to be without a known lens: over the middle of the picture, so far away, mm. */
const UNKNOWN_HEIGHT_MM = 1500;

export interface SuggestQuestion {
  photo: MarkedPhoto & { view: MeasuredView };
  picture: ColourPicture;
  /** Marks among the photo's points that were suggested themselves: nothing follows from them. */
  suggested?: readonly string[];
  /** The foot as it is known, or an ordinary one of its limb. */
  base: FootParameters;
  handSdMm: number;
}

/**
 * Marks proposed from those that were tapped: the parametric foot is laid through the taps and along the picture's edges.
 * Errors: `no-card` without one, `too-few` under the three taps that tell where the foot lies, `unlike` where those lie
 * as on no foot of this side; those of the card.
 */
export function suggestMarks(question: SuggestQuestion): Result<Suggested> {
  const laid = layIn(question);
  if (!laid.ok) return laid;
  const { photo } = question;
  const { fitted, toPicture, displaced } = laid.value;
  const marks: Suggestions = {};
  for (const mark of PHOTO_MARKS[photo.view]) {
    const placed = photo.points[mark] ? undefined : fitted.place(mark);
    const { sureMm, mostMm } = OWN_DOUBT[photo.view]?.[mark] ?? DOUBT[photo.view];
    if (!placed) continue;
    const sdMm = Math.hypot(placed.sdMm, displaced(mark));
    if (sdMm > mostMm) continue;
    const { at } = placed;
    marks[mark] = { at: toPicture(at) as ImagePoint, sdMm, sure: sdMm <= sureMm };
  }
  const trace = photo.view === "sole" ? traceOf(fitted).map((at) => toPicture(at) as ImagePoint) : [];
  return ok({ marks, trace });
}

/** Every so many places of the live sole's edge are enough to draw it. */
const TRACE_STEP = 3;
/** The edge is traced where so much of it is seen. */
const TRACED_PART = 0.5;
const SEEN_CLEAR = 0.25;

/** The live sole's edge as it was found, medial heel round the toe, where it is seen; nothing where too little of it is. */
function traceOf({ edges }: FittedFoot): Vector[] {
  const edge = edges["liveSole"];
  if (!edge) return [];
  const seen = edge.at.filter((_, index) => (edge.clear[index] ?? 0) >= SEEN_CLEAR);
  return seen.length < TRACED_PART * edge.at.length
    ? []
    : seen.filter((_, index) => index % TRACE_STEP === 0);
}

interface LaidIn {
  fitted: FittedFoot;
  toPicture: (mm: Vector) => Vector;
  /** How far a mark off the plane may be displaced for what is not known of the camera's place, one sd, mm. */
  displaced: (mark: string) => number;
}

/** The foot laid into the picture. Errors as of `suggestMarks`. */
export function layIn({ photo, picture, suggested = [], base, handSdMm }: SuggestQuestion): Result<LaidIn> {
  if (photo.scale.kind !== "card")
    return fail("no-card", "scale", "Marks are suggested in pictures with the card only.");
  const rectified = rectifyPhoto(photo, photo.lens?.bend ?? 0);
  if (!rectified.ok) return rectified;
  const { toMm, toPicture, homography, slantDeg } = rectified.value;
  const camera = cameraPlace(homography, photo, slantDeg);
  const eye: Eye = camera ?? { over: toMm([photo.width / 2, photo.height / 2]), heightMm: UNKNOWN_HEIGHT_MM };
  const taps = PHOTO_MARKS[photo.view].flatMap((mark): Tap[] => {
    const point = suggested.includes(mark) ? undefined : photo.points[mark];
    return point ? [{ mark, at: toMm(point) }] : [];
  });
  const start = startOf(photo.view, base, taps);
  if (start === "too-few")
    return fail("too-few", "points", "Place the first three marks: they say where the foot lies.");
  if (start === "unlike")
    return fail(
      "unlike",
      "points",
      "The marks do not lie as on such a foot, so that nothing follows from them. Is one on the wrong side, or is this another foot?",
    );
  const { hand, state } = start;
  const question = { view: photo.view, base, hand, eye, picture, taps, toPicture, handSdMm };
  const k = sizeFactor(base);
  const sight = (camera ? FOCAL_SD_PART[camera.focalFrom] : 1) * Math.tan(radians(slantDeg));
  const displaced = (mark: string) => Math.abs(MARK_DEPTHS[photo.view][mark]?.towardMm ?? 0) * k * sight;
  return ok({ fitted: fitLaid(question, state), toPicture, displaced });
}

/** Taps that miss a foot of any size by more than this, root mean square, are no such foot's, mm. */
const UNLIKE_MM = 14;

interface Start {
  hand: 1 | -1;
  state: number[];
}

/** Place, turn and size that bring an ordinary foot nearest to the taps; a side view's way to look is the better of both. */
function startOf(
  view: MeasuredView,
  base: FootParameters,
  taps: readonly Tap[],
): Start | "too-few" | "unlike" {
  const none = freedomSds(view).map(() => 0);
  const hands: (1 | -1)[] = view === "side" ? [1, -1] : [handOf(view, base)];
  let best: (Start & { missMm: number }) | undefined;
  for (const hand of hands) {
    const flat = layFoot({ view, base, hand, eye: { over: [0, 0], heightMm: 1e9 } }, none).marks;
    const pairs = taps.flatMap(({ mark, at }) => (flat[mark] ? [{ from: flat[mark], to: at }] : []));
    if (pairs.length < FIRST_TAPS[view].length) return "too-few";
    const middle = (points: readonly Vector[]): Vector =>
      times(
        points.reduce((sum, one) => plus(sum, one), [0, 0]),
        1 / points.length,
      );
    const [from, to] = [middle(pairs.map((pair) => pair.from)), middle(pairs.map((pair) => pair.to))];
    let [along, across, size] = [0, 0, 0];
    for (const pair of pairs) {
      const [a, b] = [minus(pair.from, from), minus(pair.to, to)];
      along += dot(a, b);
      across += a[0] * b[1] - a[1] * b[0];
      size += dot(a, a);
    }
    const factor = Math.hypot(along, across) / size;
    const turn = Math.atan2(across, along);
    if (!(factor > 0.3 && factor < 3)) continue;
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    const place = ([x, y]: Vector): Vector => [
      to[0] + factor * (cos * (x - from[0]) - sin * (y - from[1])),
      to[1] + factor * (sin * (x - from[0]) + cos * (y - from[1])),
    ];
    const missMm = Math.sqrt(
      pairs.reduce((sum, pair) => sum + distance(place(pair.from), pair.to) ** 2, 0) / pairs.length,
    );
    const [x, y] = place([0, 0]);
    const state = none.map((_, index) => [x, y, turn, Math.log(factor)][index] ?? 0);
    if (!best || missMm < best.missMm) best = { hand, state, missMm };
  }
  return best && best.missMm <= UNLIKE_MM ? best : "unlike";
}

/** From below a left foot's lateral side lies right of its midline, from behind left of it. */
const handOf = (view: MeasuredView, base: FootParameters): 1 | -1 =>
  isLeft(base.limb) === (view === "sole") ? 1 : -1;
