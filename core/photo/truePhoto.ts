import type { Homography } from "../geometry/homography";
import { distance, length, minus, plus, times, type ImagePoint, type Vector } from "../geometry/vector";
import { fail, ok, type Result } from "../result";
import { bentAgain, straightened, type Lens } from "./lens";
import { cameraPlace, FOCAL_SD_PART, offPlane, type CameraPlace, type Focal } from "./pose";
import { rectifyCard, rectifyTwoPoint, slantWord, type Rectified, type SlantWord } from "./rectify";
import { MARK_DEPTHS, PHOTO_MARKS, type PhotoView } from "./views";

/** What makes a picture's pixels millimetres. */
export type PhotoScale =
  | {
      kind: "card";
      widthMm: number;
      heightMm: number;
      corners: readonly [ImagePoint, ImagePoint, ImagePoint, ImagePoint];
    }
  | { kind: "two-point"; a: ImagePoint; b: ImagePoint; mm: number };

/** A picture of a foot with its scale and the marks placed on it. */
export interface MarkedPhoto extends Focal {
  view: PhotoView;
  width: number;
  height: number;
  /** How its lens bends it; taken as straight without it. */
  lens?: Lens | undefined;
  scale: PhotoScale;
  points: Partial<Record<string, ImagePoint>>;
}

/**
 * A mark made true: where it lies in the card's plane, the error it carries for its depth and the one that it shares with
 * all others for the lens, each one sd as a vector.
 */
export interface TrueMark {
  mm: Vector;
  error: Vector;
  lens?: Vector;
}

export interface TruePhoto {
  marks: Partial<Record<string, TrueMark>>;
  scale: "card" | "two-point";
  slantDeg?: number;
  residualMm?: number;
  word: SlantWord;
  camera?: CameraPlace;
  /** True where marks off the plane were moved to where they are; else they carry their whole error. */
  corrected: boolean;
  /** A point of the picture in the card's plane, mm. */
  toMm: (point: ImagePoint) => Vector;
}

/** Without a camera's place a mark off the plane is taken to be seen from this far, mm, at the card's slant. */
const UNKNOWN_DISTANCE_MM = 1500;
/** A two-point scale knows nothing of the slant: lengths are sure to this part. cos 12 deg = 0.98. Assumption. */
const TWO_POINT_SD_PART = 0.02;

/**
 * Makes the marks of a picture true. Marks off the card's plane with a known depth are moved to where they are when
 * the camera's place is known; what is left of their error, and all of it otherwise, goes with them.
 * `k` is the foot's size factor, which the depths are scaled by. Errors: those of the scale.
 */
export function truePhoto(photo: MarkedPhoto, k: number): Result<TruePhoto> {
  const placed = PHOTO_MARKS[photo.view].flatMap((mark) => {
    const point = photo.points[mark];
    return point ? [[mark, point] as const] : [];
  });
  if (photo.scale.kind === "two-point") {
    const { a, b, mm } = photo.scale;
    const scaled = rectifyTwoPoint(a, b, mm);
    if (!scaled.ok) return scaled;
    const points = placed.map(([mark, point]) => [mark, scaled.value.toMm(point)] as const);
    const middle = times(
      points.reduce<Vector>((sum, [, point]) => plus(sum, point), [0, 0]),
      1 / (points.length || 1),
    );
    return ok({
      marks: Object.fromEntries(
        points.map(([mark, mm]) => [mark, { mm, error: times(minus(mm, middle), TWO_POINT_SD_PART) }]),
      ),
      scale: "two-point",
      word: "weak",
      corrected: false,
      toMm: scaled.value.toMm,
    });
  }
  const rectified = rectifyPhoto(photo, photo.lens?.bend ?? 0);
  if (!rectified.ok) return rectified;
  const { homography, slantDeg, residualMm, toMm } = rectified.value;
  // As the picture would be if the lens bent one standard deviation more.
  const bentMore = photo.lens ? rectifyPhoto(photo, photo.lens.bend + photo.lens.sd) : undefined;
  const byLens = (point: ImagePoint): { lens?: Vector } =>
    bentMore?.ok ? { lens: minus(bentMore.value.toMm(point), toMm(point)) } : {};
  const camera = cameraPlace(homography as Homography, photo, slantDeg);
  const depths = MARK_DEPTHS[photo.view];
  const marks: TruePhoto["marks"] = {};
  for (const [mark, point] of placed) {
    const seen = toMm(point);
    const depth = depths[mark];
    if (!depth) marks[mark] = { mm: seen, error: [0, 0], ...byLens(point) };
    else if (camera) {
      const mm = offPlane(camera, seen, depth.towardMm * k);
      const shift = minus(mm, seen);
      const perMm = times(minus(camera.over, seen), 1 / camera.heightMm);
      const sd = Math.hypot(depth.sdMm * k * length(perMm), FOCAL_SD_PART[camera.focalFrom] * length(shift));
      marks[mark] = {
        mm,
        error: length(perMm) === 0 ? [0, 0] : times(perMm, sd / length(perMm)),
        ...byLens(point),
      };
    } else {
      const middle: Vector = [photo.width / 2, photo.height / 2];
      const sight = Math.tan((slantDeg * Math.PI) / 180) + distance(seen, toMm(middle)) / UNKNOWN_DISTANCE_MM;
      const away = minus(seen, toMm(middle));
      const direction: Vector = length(away) > 0 ? times(away, 1 / length(away)) : [1, 0];
      marks[mark] = {
        mm: seen,
        error: times(direction, Math.abs(depth.towardMm) * k * sight),
        ...byLens(point),
      };
    }
  }
  return ok({
    marks,
    scale: "card",
    slantDeg,
    residualMm,
    word: slantWord(slantDeg),
    corrected: camera !== undefined,
    ...(camera && { camera }),
    toMm,
  });
}

/** A picture with the card made true through its lens: points go in and come back as they lie in the bent picture. */
export function rectifyPhoto(
  photo: Pick<MarkedPhoto, "width" | "height" | "scale">,
  bend: number,
): Result<Rectified> {
  if (photo.scale.kind !== "card") return fail("no-card", "scale", "There is no card in this picture.");
  const { widthMm, heightMm, corners } = photo.scale;
  const [a, b, c, d] = corners.map((corner) => straightened(photo, bend, corner)) as [
    ImagePoint,
    ImagePoint,
    ImagePoint,
    ImagePoint,
  ];
  const flat = rectifyCard({ width: widthMm, height: heightMm, corners: [a, b, c, d] });
  if (!flat.ok) return flat;
  const { toMm, toPicture } = flat.value;
  return ok({
    ...flat.value,
    toMm: (point) => toMm(straightened(photo, bend, point)),
    toPicture: (mm) => bentAgain(photo, bend, toPicture(mm)),
  });
}

/** Half width of the 95 % band of a number, in its own unit. */
export type Bands = Readonly<Record<string, number>>;

const Z_95 = 1.96;
/** Step by which a mark is moved to learn what a reading feels, mm. */
const STEP_MM = 0.05;

/**
 * How far each number of a reading can be off: every mark is moved a little along its own depth error and, by
 * `handSdMm`, both ways across it, and all of them together by what is not sure of the lens; the effects add in quadrature. Linear, so good for small errors.
 */
export function bandsOf(
  marks: TruePhoto["marks"],
  handSdMm: number,
  read: (points: Partial<Record<string, Vector>>) => Readonly<Record<string, number | undefined>>,
): Bands {
  const points = Object.fromEntries(
    Object.entries(marks).flatMap(([name, mark]) => (mark ? [[name, mark.mm]] : [])),
  );
  const base = read(points);
  const variance: Record<string, number> = {};
  const nudge = (name: string, direction: Vector, sd: number) => {
    const moved = read({ ...points, [name]: plus(points[name] as Vector, times(direction, STEP_MM)) });
    for (const [key, value] of Object.entries(base)) {
      const other = moved[key];
      if (value === undefined || other === undefined) continue;
      variance[key] = (variance[key] ?? 0) + (((other - value) / STEP_MM) * sd) ** 2;
    }
  };
  for (const [name, mark] of Object.entries(marks)) {
    if (!mark) continue;
    const size = length(mark.error);
    if (size > 0) nudge(name, times(mark.error, 1 / size), size);
    if (handSdMm > 0) {
      nudge(name, [1, 0], handSdMm);
      nudge(name, [0, 1], handSdMm);
    }
  }
  // The lens moves all marks together.
  const moved = read(
    Object.fromEntries(
      Object.entries(marks).flatMap(([name, mark]) =>
        mark ? [[name, plus(mark.mm, mark.lens ?? [0, 0])]] : [],
      ),
    ),
  );
  for (const [key, value] of Object.entries(base)) {
    const other = moved[key];
    if (value !== undefined && other !== undefined)
      variance[key] = (variance[key] ?? 0) + (other - value) ** 2;
  }
  return Object.fromEntries(Object.keys(base).map((key) => [key, Z_95 * Math.sqrt(variance[key] ?? 0)]));
}
