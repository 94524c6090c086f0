import { homographyFrom, inverseHomography, mapPoint, type Homography } from "../geometry/homography";
import { bestLine } from "../geometry/line";
import { distance, type ImagePoint, type Vector } from "../geometry/vector";
import { fail, ok, type Result } from "../result";
import { CARD } from "./card";
import { cornersOf, edgesOf, type EdgeLine } from "./cardEdges";
import { frameLike, handOf, plumbLike, type CardHand } from "./cardLike";
import { areaOf, middleOf, sideOf, type Corners } from "./corners";
import { bentAgain, bothLenses, lensOfEdges, straightened, USUAL_LENS, type Lens } from "./lens";
import { darkQuads } from "./darkQuads";
import { doubtOfShape } from "./squareness";
import { darkPlaces, meansAround, shrunkBy, type GreyPicture } from "./grey";

/** The printed card as it was found in a picture. */
export interface FoundCard {
  /** Outer corners of its frame: top-left, top-right, bottom-right, bottom-left, its bob hanging down. */
  corners: Corners;
  /** True where everything about it agrees; else `doubt` says what does not, and the corners are to be looked at. */
  sure: boolean;
  doubt?: string;
  /** Root mean square distance of the edge from its four lines, px. */
  residualPx: number;
  hand: CardHand;
  /** What its edges, straight in truth, say of the lens; `USUAL_LENS` where they say nothing. */
  lens: Lens;
}

/** About the longer side of the picture in which the card is looked for first, px: enough for a card a tenth of it across. */
const SEARCH_PX = 640;
/** How much darker than around it the frame is taken to be, tried in turn: daylight, then pale print, then
 * dirt that is not to count as frame. */
const DARKER = [0.72, 0.86, 0.58, 0.45, 0.34] as const;
/** Half of the square that counts as around, as a part of the shorter side. */
const AROUND_PARTS = [1 / 14, 1 / 7] as const;
const { sideMm: SIDE, frameMm: FRAME } = CARD;

/**
 * Finds the printed card: dark frames are looked for in a small copy, their four edges fitted by lines in the picture
 * itself, and what lies inside and around is held against the print: white margin, dark frame, white field, plumb mark.
 * The mark says which way it hangs. It is sure only where all of that agrees.
 *
 * Errors: `no-card`.
 */
export function findCard(picture: GreyPicture): Result<FoundCard> {
  const factor = Math.max(1, Math.round(Math.max(picture.width, picture.height) / SEARCH_PX));
  const small = shrunkBy(picture, factor);
  const found: Judged[] = [];
  for (const around of AROUND_PARTS) {
    const reach = Math.max(4, Math.round(around * Math.min(small.width, small.height)));
    const means = meansAround(small, reach);
    for (const part of DARKER) {
      for (const quad of darkQuads(small, darkPlaces(small, means, part))) {
        const whole = quad.map(([x, y]): ImagePoint => [
          (x + 0.5) * factor - 0.5,
          (y + 0.5) * factor - 0.5,
        ]) as unknown as Corners;
        const near = found.findIndex(
          ({ corners }) => distance(middleOf(corners), middleOf(whole)) < 0.2 * sideOf(whole),
        );
        if (found[near]?.sure) continue;
        const judged = judge(picture, whole);
        if (!judged) continue;
        if (near < 0) found.push(judged);
        else if (judged.sure || judged.likeness > (found[near]?.likeness ?? 0)) found[near] = judged;
      }
      if (found.some(({ sure }) => sure)) break;
    }
    if (found.some(({ sure }) => sure)) break;
  }
  const best = found.reduce<Judged | undefined>(
    (top, one) =>
      !top || (one.sure && !top.sure) || (one.sure === top.sure && one.likeness > top.likeness) ? one : top,
    undefined,
  );
  if (!best)
    return fail(
      "no-card",
      "picture",
      "No card is seen in this picture. Place its corners by hand, or say that there is none.",
    );
  const { residualPx, edges, hand } = best;
  const lens = bothLenses(USUAL_LENS, lensOfEdges(edges, picture) ?? USUAL_LENS);
  const corners = unbentCorners(best, picture, lens);
  const doubt =
    found.filter(({ sure }) => sure).length > 1
      ? "Two cards are in view; this is one of them."
      : best.sure
        ? doubtOfShape(corners, picture)
        : best.doubt;
  return ok({
    corners,
    residualPx,
    hand,
    lens,
    sure: doubt === undefined,
    ...(doubt !== undefined && { doubt }),
  });
}

/** The corners where the edges cross without the lens's bend, put back into the picture. */
function unbentCorners({ corners, edges }: Judged, picture: GreyPicture, { bend }: Lens): Corners {
  const crossed = cornersOf(
    edges.map((edge) => bestLine(edge.map((point) => straightened(picture, bend, point)))),
  );
  if (!crossed) return corners;
  const back = crossed.map((corner) => bentAgain(picture, bend, corner));
  // The edges are taken in the order in which they were looked for: each corner is the one nearest to it.
  return corners.map((corner) =>
    back.reduce((best, one) => (distance(one, corner) < distance(best, corner) ? one : best)),
  ) as unknown as Corners;
}

interface Judged extends Omit<FoundCard, "lens"> {
  /** The places found along each edge. */
  edges: readonly (readonly Vector[])[];
  /** How much of what the print shows is there, 0 to 1. */
  likeness: number;
}

/** The four edges of a rough figure fitted, twice, and what it shows held against the print. */
function judge(picture: GreyPicture, rough: Corners): Judged | undefined {
  let corners = rough;
  let lines: EdgeLine[] = [];
  for (const reachMm of [FRAME * 1.6, FRAME * 0.85]) {
    const found = edgesOf(picture, corners, Math.max(3, (reachMm / SIDE) * sideOf(corners)), 1);
    const crossed = found && cornersOf(found);
    if (!crossed) return undefined;
    lines = found;
    corners = crossed;
  }
  if (corners.some(([x, y]) => x < 0 || y < 0 || x > picture.width - 1 || y > picture.height - 1))
    return undefined;
  if (Math.abs(areaOf(corners) / areaOf(rough) - 1) > 0.35) return undefined;
  return hung(picture, clockwise(corners), lines);
}

/** Corners in the order of a clock on the screen, so that the card is seen from its front. */
function clockwise(corners: Corners): Corners {
  const [a, b, c, d] = corners;
  const turn = (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]);
  return turn > 0 ? corners : [a, d, c, b];
}

/** So many places of an edge lie on its line where one can be sure of it. */
const SURE_ON_LINE = 0.55;
/** What has to be there of the print for it to count at all, and to be sure, 0 to 1. */
const LEAST_LIKE = 0.6;
const SURE_LIKE = 0.75;
const SURE_MARK = 0.42;
/** The plumb mark tells the way it hangs by at least so much more than any other way. */
const SURE_APART = 0.25;
/** Edges that lie further from their lines are no printed card's, px. */
const MOST_RESIDUAL_PX = 0.9;

/** Which way round it hangs, and how much of the print is there. */
function hung(picture: GreyPicture, corners: Corners, lines: readonly EdgeLine[]): Judged | undefined {
  const ways = [0, 1, 2, 3].map((turn) => {
    const turned = [0, 1, 2, 3].map((at) => corners[(at + turn) % 4]) as unknown as Corners;
    const map = toPicture(turned);
    return map && { turned, mark: plumbLike(picture, map), map };
  });
  const [first, second] = ways.filter((way) => way !== undefined).sort((a, b) => b.mark - a.mark);
  if (!first || !second) return undefined;
  const frame = frameLike(picture, first.map);
  const likeness = Math.min(frame, first.mark);
  if (frame < LEAST_LIKE || first.mark < LEAST_LIKE / 2) return undefined;
  const count = lines.reduce((sum, one) => sum + one.count, 0);
  const residualPx = Math.sqrt(lines.reduce((sum, one) => sum + one.squares, 0) / count);
  const hand = handOf(picture, first.map);
  const doubts = [
    hand === "mirrored" && "The picture is mirrored: inside and outside are exchanged.",
    frame < SURE_LIKE && "Its frame is not clear all round.",
    (first.mark < SURE_MARK || first.mark - second.mark < SURE_APART) && "Its plumb mark is not clear.",
    lines.some(({ on }) => on < SURE_ON_LINE) && "An edge of it is hidden in part.",
    innerMiss(picture, first.turned, first.map) > MOST_INNER_PX && "Its frame is not as wide all round.",
    residualPx > MOST_RESIDUAL_PX && "Its edges are not straight: the card is bent.",
  ].filter((one) => one !== false);
  const [doubt] = doubts;
  return {
    corners: first.turned,
    residualPx,
    likeness,
    hand,
    edges: lines.map(({ points }) => points),
    sure: doubt === undefined,
    ...(doubt !== undefined && { doubt }),
  };
}

/** The inner corners of the frame may lie so far from where the outer ones put them, px. */
const MOST_INNER_PX = 1;

/** How far the inner edge of the frame lies from where its outer edge puts it, at the worst corner, px: a second witness. */
function innerMiss(picture: GreyPicture, corners: Corners, map: Homography): number {
  const at = (x: number, y: number): Vector => mapPoint(map, [x, y]);
  const wanted = [
    at(FRAME, FRAME),
    at(SIDE - FRAME, FRAME),
    at(SIDE - FRAME, SIDE - FRAME),
    at(FRAME, SIDE - FRAME),
  ] as unknown as Corners;
  const reach = Math.max(3, ((FRAME * 0.85) / SIDE) * sideOf(corners));
  const lines = edgesOf(picture, wanted, reach, -1);
  const found = lines && cornersOf(lines);
  if (!found) return Number.POSITIVE_INFINITY;
  return Math.max(...found.map((corner, index) => distance(corner, wanted[index] as Vector)));
}

function toPicture(corners: Corners): Homography | undefined {
  const square: readonly Vector[] = [
    [0, 0],
    [SIDE, 0],
    [SIDE, SIDE],
    [0, SIDE],
  ];
  const found = homographyFrom(corners.map((from, at) => ({ from, to: square[at] as Vector })));
  return found.ok ? inverseHomography(found.value) : undefined;
}
