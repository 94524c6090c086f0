import { distance, dot, minus, plus, times, type Vector } from "../geometry/vector";
import { lineOf } from "../photo/markMiss";
import type { ColourPicture } from "./colour";
import { looksOf, meanAt } from "./looks";
import { MISLED, solve, type Solved, type Witness } from "./ownProcess";
import { freedomSds, layFoot, OUTSIDE, SURFACES, type LaidFoot, type LaidQuestion } from "./laidFoot";
import { normalsOf, snapEdge, type EdgeGuess, type FoundEdge, type Look } from "./snap";

/** A mark that a hand has placed, in the card's plane as it is seen, mm. */
export interface Tap {
  mark: string;
  at: Vector;
}

export interface FitQuestion extends LaidQuestion {
  picture: ColourPicture;
  taps: readonly Tap[];
  /** Of a place in the card's plane, px. */
  toPicture: (mm: Vector) => Vector;
  /** How exactly the hand places a mark, mm. */
  handSdMm: number;
}

/** Where a mark is seen, mm, and how far off that may be: one sd in its worst direction, mm. */
export interface Placed {
  at: Vector;
  sdMm: number;
}

/** A foot laid into a picture: where its marks are seen, and its edges as they were found beside where it lies. */
export interface FittedFoot {
  place: (mark: string) => Placed | undefined;
  laid: LaidFoot;
  edges: Record<string, { at: Vector[]; clear: Float64Array }>;
}

/** Rounds with edges: the first looks wide, the last near. */
const ROUNDS = 5;
/** An edge that runs beside another one waits until that one is found, or it may be taken for it. */
const INNER = "liveSole";
const INNER_FROM = 2;
/** An edge that is as clear as it comes: scatter of one place of it, mm. */
const EDGE_SD_MM = 0.8;
/** Nothing is placed better than so many times that well. */
const SHARPEST = 3;
/** Beyond so many standard deviations a place counts less and less. Source: Huber 1964, Ann. Math. Stat. 35:73. */
const HUBER = 1.5;
/** An edge further than so many standard deviations from where the taps let it be is another one. */
const MOST_SDS = 2.5;
/** An edge under this clearness is none. */
const LEAST_CLEAR = 0.3;
/** A short edge that is clear on a smaller part of its length may be anything. */
const LEAST_SUPPORT = 0.5;
const supportOf = (clear: Float64Array): number =>
  clear.reduce((sum, one) => sum + one, 0) / Math.max(1, clear.length);
/** Step of the slopes, as a part of what may be expected. */
const STEP_PART = 0.02;
/** Every mark lies a little beside where its definition puts it, one sd, mm. Assumption. */
const MARK_SD_MM = 0.35;

/**
 * The parametric foot laid into a picture: from the taps alone at first, then with the edges that are found near where it
 * lies, each round nearer. Its numbers are found by least squares with what is known of feet as a prior, and what they
 * leave over is laid on a smooth shape of its own; together that is a Gaussian process with the foot as its trend, and
 * what it leaves open is the doubt of each mark.
 * Source: Cootes et al. 1995, Computer Vision and Image Understanding 61:38 (models searched along normals); Rasmussen
 * and Williams 2006, Gaussian Processes for Machine Learning, section 2.7.
 */
export function fitLaid(question: FitQuestion, start: readonly number[]): FittedFoot {
  const sds = freedomSds(question.view);
  let state = [...start];
  let laid = layFoot(question, state);
  let slopes = slopesOf(question, state, laid, sds);
  const pxPerMm = scaleAt(question, laid);
  let fit: Solved | undefined;
  for (let round = 0; round < 3; round++) {
    fit = solve(tapped(question, laid, slopes), state, sds);
    state = fit.state;
    laid = layFoot(question, state);
    slopes = slopesOf(question, state, laid, sds);
  }
  const byTaps = expectedByTaps(laid, slopes, fit as Solved);
  let edges: FittedFoot["edges"] = {};
  let looks = firstLooks(question, laid, slopes, fit as Solved, pxPerMm);
  let witnesses: Witness[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    witnesses = tapped(question, laid, slopes);
    edges = {};
    const colours: Record<string, Float64Array[]> = {};
    const expected = fit as Solved;
    for (const [name, edge] of Object.entries(laid.edges)) {
      const out = normalsOf(edge, laid.middle);
      const rows = slopes.edges[name] ?? [];
      const off = edge.map((at, index) => expected.at(at, rows[index] ?? [], out[index] as Vector));
      const [inner, outer] = SURFACES[question.view][name] ?? ["", ""];
      const found = lookFor(question, edge, out, off, {
        pxPerMm,
        inner: looks[inner],
        outer: looks[outer],
        outermost: outer === OUTSIDE,
      });
      for (const index of edge.keys()) {
        if ((found.clear[index] ?? 0) < LEAST_CLEAR) continue;
        const six = found.sides.subarray(6 * index, 6 * index + 6);
        (colours[inner] ??= []).push(six.subarray(0, 3));
        (colours[outer] ??= []).push(six.subarray(3, 6));
      }
      edges[name] = {
        clear: found.clear,
        at: edge.map((at, index) => plus(at, times(out[index] as Vector, found.off[index] ?? 0))),
      };
      if (name === INNER && round < INNER_FROM) continue;
      if (lengthOf(edge) < SHORT_MM && supportOf(found.clear) < LEAST_SUPPORT) continue;
      for (const [index, at] of edge.entries()) {
        const clear = found.clear[index] ?? 0;
        if (clear < LEAST_CLEAR) continue;
        const left = found.off[index] ?? 0;
        const tapped = byTaps[name]?.[index];
        const from = dot(
          minus(plus(at, times(out[index] as Vector, left)), tapped?.at ?? at),
          out[index] as Vector,
        );
        if (Math.abs(from) > MOST_SDS * (tapped?.sdMm ?? 1)) continue;
        const sdMm = EDGE_SD_MM / Math.max(clear, Math.min(SHARPEST, found.sharp[index] ?? 0));
        const beyond = Math.abs(left - (off[index]?.by ?? 0)) / Math.hypot(sdMm, off[index]?.sdMm ?? 0);
        witnesses.push({
          at,
          way: out[index] as Vector,
          row: (rows[index] ?? []).map((one) => dot(one, out[index] as Vector)),
          left,
          sdMm: beyond > HUBER ? sdMm * Math.sqrt(beyond / HUBER) : sdMm,
          edge: name,
        });
      }
    }
    fit = solve(witnesses, state, sds);
    looks = looksOf(colours);
    if (round === ROUNDS - 1) break;
    state = fit.state;
    laid = layFoot(question, state);
    slopes = slopesOf(question, state, laid, sds);
  }
  const last = fit as Solved;
  const without = Object.entries(laid.edges)
    .filter(([, edge]) => lengthOf(edge) < SHORT_MM)
    .map(([name]) => witnesses.filter((one) => one.edge !== name))
    .filter(({ length }) => length < witnesses.length)
    .map((rest) => solve(rest, state, sds));
  const end = slopes;
  return {
    laid,
    edges,
    place: (mark) => {
      const [at, row] = [laid.marks[mark], end.marks[mark]];
      if (!at || !row) return undefined;
      const by = (fitted: Solved): Vector => [fitted.at(at, row, [1, 0]).by, fitted.at(at, row, [0, 1]).by];
      const moved = by(last);
      const across = acrossLine(question.view, mark, laid);
      const sdMm = across ? last.at(at, row, across).sdMm : worstOf(last, at, row);
      const misled = Math.max(
        0,
        ...without.map((other) => {
          const off = minus(by(other), moved);
          return Math.abs(across ? dot(off, across) : Math.hypot(off[0], off[1]));
        }),
      );
      const unseen = UNSEEN_SD_MM * (1 - seenNear(laid, edges, at));
      return { at: plus(at, moved), sdMm: Math.hypot(sdMm, MARK_SD_MM, MISTAKEN_PART * misled, unseen) };
    },
  };
}

/** Shorter edges can be mistaken for something else; what a mark owes to one of them alone adds to its doubt, in part. */
const SHORT_MM = 110;
const MISTAKEN_PART = 0.4;

/** A mark on an edge is doubted by so much where that edge is not clear beside it, mm. */
const UNSEEN_SD_MM = 3;
/** So near an edge a mark lies on it, and so far along it counts as beside the mark, mm. */
const ON_EDGE_MM = 2;
const BESIDE_MM = 22;
/** From this mean clearness an edge is seen. */
const SEEN = 0.55;

/** How clearly the edge that a mark lies on is seen beside it, 0 to 1; 1 for a mark on none. */
function seenNear(laid: LaidFoot, edges: FittedFoot["edges"], mark: Vector): number {
  const on = Object.entries(laid.edges).find(([, edge]) =>
    edge.some((at) => distance(at, mark) < ON_EDGE_MM),
  );
  if (!on) return 1;
  const [name, edge] = on;
  const near = edge.flatMap((at, index) =>
    distance(at, mark) < BESIDE_MM ? [edges[name]?.clear[index] ?? 0] : [],
  );
  return Math.min(1, near.reduce((sum, one) => sum + one, 0) / near.length / SEEN);
}

const lengthOf = (edge: readonly Vector[]): number =>
  edge.reduce((sum, at, index) => (index === 0 ? 0 : sum + distance(at, edge[index - 1] as Vector)), 0);

/** Across the line on which a mark only has to lie. */
function acrossLine(view: LaidQuestion["view"], mark: string, { marks }: LaidFoot): Vector | undefined {
  const line = lineOf(view, mark);
  const [a, b] = line ? [marks[line[0]], marks[line[1]]] : [];
  if (!a || !b) return undefined;
  const [x, y] = minus(b, a);
  const size = Math.hypot(x, y);
  return size > 0 ? [-y / size, x / size] : undefined;
}

/** One standard deviation in the worst direction. */
function worstOf(fitted: Solved, at: Vector, row: readonly Vector[]): number {
  const [xx, yy] = [fitted.at(at, row, [1, 0]).sdMm ** 2, fitted.at(at, row, [0, 1]).sdMm ** 2];
  const xy = fitted.at(at, row, [Math.SQRT1_2, Math.SQRT1_2]).sdMm ** 2 - (xx + yy) / 2;
  return Math.sqrt((xx + yy) / 2 + Math.hypot((xx - yy) / 2, xy));
}

/** Where every place of every edge is expected from the taps alone, and how sure that is across the edge, mm. */
function expectedByTaps(
  laid: LaidFoot,
  slopes: Slopes,
  fit: Solved,
): Record<string, { at: Vector; sdMm: number }[]> {
  return Object.fromEntries(
    Object.entries(laid.edges).map(([name, edge]) => {
      const out = normalsOf(edge, laid.middle);
      return [
        name,
        edge.map((at, index) => {
          const way = out[index] as Vector;
          const { by, sdMm } = fit.at(at, slopes.edges[name]?.[index] ?? [], way);
          return { at: plus(at, times(way, by)), sdMm };
        }),
      ];
    }),
  );
}

/** What the taps say of the foot as it lies. */
function tapped({ taps, handSdMm }: FitQuestion, laid: LaidFoot, slopes: Slopes): Witness[] {
  return taps.flatMap(({ mark, at }) => {
    const [model, row] = [laid.marks[mark], slopes.marks[mark]];
    if (!model || !row) return [];
    const off = minus(at, model);
    return ([0, 1] as const).map((axis): Witness => ({
      at: model,
      way: axis === 0 ? [1, 0] : [0, 1],
      row: row.map((one) => one[axis]),
      left: off[axis],
      sdMm: Math.hypot(handSdMm, MARK_SD_MM),
      edge: undefined,
    }));
  });
}

/** How each mark and each place of an edge moves with each number, mm for one standard deviation of it. */
interface Slopes {
  marks: Record<string, Vector[]>;
  edges: Record<string, Vector[][]>;
}

function slopesOf(
  question: FitQuestion,
  state: readonly number[],
  here: LaidFoot,
  sds: readonly number[],
): Slopes {
  const marks: Slopes["marks"] = Object.fromEntries(Object.keys(here.marks).map((mark) => [mark, []]));
  const edges: Slopes["edges"] = Object.fromEntries(
    Object.entries(here.edges).map(([name, edge]) => [name, edge.map(() => [])]),
  );
  for (const [index, sd] of sds.entries()) {
    const step = STEP_PART * sd;
    const ahead = layFoot(
      question,
      state.map((one, at) => (at === index ? one + step : one)),
    );
    for (const [mark, row] of Object.entries(marks))
      row.push(times(minus(ahead.marks[mark] as Vector, here.marks[mark] as Vector), 1 / STEP_PART));
    for (const [name, rows] of Object.entries(edges))
      for (const [place, row] of rows.entries())
        row.push(
          times(
            minus(ahead.edges[name]?.[place] as Vector, here.edges[name]?.[place] as Vector),
            1 / STEP_PART,
          ),
        );
  }
  return { marks, edges };
}

/** How far beside an edge its surfaces are first looked at: beyond where it may lie, mm and times its doubt. */
const BESIDE = { mm: 4, times: 1.3, most: 16 };

/** How the surfaces look before any edge is found: on both sides of every edge, well beside where it is expected. */
function firstLooks(
  { view, picture, toPicture }: FitQuestion,
  laid: LaidFoot,
  slopes: Slopes,
  expected: Solved,
  pxPerMm: number,
): Record<string, Look | undefined> {
  const colours: Record<string, Float64Array[]> = {};
  for (const [name, edge] of Object.entries(laid.edges)) {
    const out = normalsOf(edge, laid.middle);
    const [inner, outer] = SURFACES[view][name] ?? ["", ""];
    for (const [index, at] of edge.entries()) {
      const way = out[index] as Vector;
      const { by, sdMm } = expected.at(at, slopes.edges[name]?.[index] ?? [], way);
      const beside = Math.min(BESIDE.most, BESIDE.mm + BESIDE.times * sdMm);
      for (const [surface, to] of [
        [inner, by - beside],
        [outer, by + beside],
      ] as const)
        (colours[surface] ??= []).push(meanAt(picture, toPicture(plus(at, times(way, to))), pxPerMm));
    }
  }
  return looksOf(colours);
}

function scaleAt({ toPicture }: FitQuestion, laid: LaidFoot): number {
  const at = Object.values(laid.marks)[0] ?? [0, 0];
  return distance(toPicture(plus(at, [10, 0])), toPicture(at)) / 10;
}

/** An edge looked for in the picture about where it is expected; offsets come back in mm from where the foot lies. */
function lookFor(
  { picture, toPicture }: FitQuestion,
  edge: readonly Vector[],
  out: readonly Vector[],
  expected: readonly { by: number; sdMm: number }[],
  { pxPerMm, ...look }: { pxPerMm: number } & Pick<EdgeGuess, "inner" | "outer" | "outermost">,
): FoundEdge {
  const middle = edge.map((at, index) => plus(at, times(out[index] as Vector, expected[index]?.by ?? 0)));
  const at = middle.map(toPicture);
  const ways = middle.map((point, index) => {
    const way = minus(toPicture(plus(point, out[index] as Vector)), at[index] as Vector);
    return times(way, 1 / (Math.hypot(way[0], way[1]) || 1));
  });
  const sd = expected.map(({ sdMm }) => Math.hypot(sdMm, MISLED.sdMm) * pxPerMm);
  const found = snapEdge(picture, { at, out: ways, sd, ...look }, { pxPerMm });
  return {
    ...found,
    off: found.off.map((px, index) => px / pxPerMm + (expected[index]?.by ?? 0)),
  };
}
