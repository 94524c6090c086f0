/** A point of the map, in the sheet's units, y downwards. */
export interface MapPoint {
  x: number;
  y: number;
}

/** Where a name stands, in one line or two: the start, middle or end of the first base line. */
export interface MapLabel extends MapPoint {
  anchor: "start" | "middle" | "end";
  lines: string[];
}

interface Box {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

export interface LabelQuestion {
  points: readonly (MapPoint & { name: string })[];
  /** What no name may lie on besides the points: the house. */
  home: MapPoint;
  /** Lines that a name would rather not lie on. */
  ways: readonly (readonly MapPoint[])[];
  sheet: { width: number; height: number };
  /** Size of type. */
  type: number;
}

/** Half the width of what stands at a point, and of the house. */
const POINT = 5;
const HOUSE = 8;
/** From a point to its name. */
const APART = 7;
/** A letter's width over the size of type: the mean of the yards' names in our sans serif, measured. */
const LETTER = 0.49;
/** From base line to base line, over the size of type; what stands above the first and hangs below the last. */
export const LINE = 1.1;
const ABOVE = 0.75;
const BELOW = 0.22;
/** Names of more letters may go in two lines. */
const LONG = 14;
/** What is worse than what: off the sheet, on another name, on the house or a point, on a way. */
const OFF_SHEET = 1000;
const ON_NAME = 100;
const ON_POINT = 60;
const ON_WAY = 3;
/** Places of one line that all names are begun from, by their order. */
const STARTS = [0, 1, 2, 3, 4, 5, 6, 7];
/** Passes in which each name may still move; they settle in two or three. */
const PASSES = 8;

/**
 * A place for each name beside its point, right, left, above or below, wherever it lies on least. Each name in turn takes
 * its best place until none moves, begun from each of the places; the best of these stands. Source: positions and their order of preference after
 * Christensen, Marks and Shieber 1995, ACM Trans. Graph. 14:203; the rates are assumptions.
 */
export function placeLabels({ points, home, ways, sheet, type }: LabelQuestion): MapLabel[] {
  const boxOf = ({ x, y, anchor, lines }: MapLabel): Box => {
    const width = longest(lines) * LETTER * type;
    const left = x - (anchor === "start" ? 0 : anchor === "end" ? width : width / 2);
    const under = y + (lines.length - 1) * LINE * type;
    return { left, right: left + width, top: y - ABOVE * type, bottom: under + BELOW * type };
  };
  const choices = points.map((point) =>
    placesBeside(point, type).map((label) => ({ label, box: boxOf(label) })),
  );
  const marks = [...points.map((point) => around(point, POINT)), around(home, HOUSE)];
  const still = choices.map((own, index) =>
    own.map(({ box }, rank) => {
      const off =
        box.left < 0 || box.top < 0 || box.right > sheet.width || box.bottom > sheet.height ? OFF_SHEET : 0;
      const covered = marks.filter((mark, at) => at !== index && overlap(mark, box)).length;
      const crossed = ways.reduce((sum, way) => sum + crossings(way, box), 0);
      return off + ON_POINT * covered + ON_WAY * crossed + rank * 0.5;
    }),
  );
  // For each place of each name, which places of which other names it lies on.
  const met = choices.map((own, index) =>
    own.map(({ box }) =>
      choices.flatMap((other, place) =>
        place === index ? [] : other.flatMap((one, at) => (overlap(one.box, box) ? [{ place, at }] : [])),
      ),
    ),
  );
  const costOf = (taken: readonly number[], index: number, at: number): number => {
    const names = (met[index]?.[at] ?? []).filter(({ place, at: there }) => taken[place] === there);
    return (still[index]?.[at] ?? 0) + ON_NAME * names.length;
  };
  const rested = STARTS.map((start) => {
    const taken = choices.map(() => start);
    for (let pass = 0, moved = true; moved && pass < PASSES; pass++) {
      moved = false;
      for (const index of choices.keys()) {
        const costs = (choices[index] ?? []).map((_, at) => costOf(taken, index, at));
        const best = costs.indexOf(Math.min(...costs));
        if (best === taken[index]) continue;
        taken[index] = best;
        moved = true;
      }
    }
    return { taken, cost: taken.reduce((sum, at, index) => sum + costOf(taken, index, at), 0) };
  });
  const { taken } = rested.reduce((best, one) => (one.cost < best.cost ? one : best));
  return choices.map((own, index) => own[taken[index] ?? 0]?.label as MapLabel);
}

/** Right, left, above, below, and the four corners, the more usual first; then the same in two lines. */
function placesBeside({ x, y, name }: MapPoint & { name: string }, type: number): MapLabel[] {
  const places = (lines: string[]): MapLabel[] => {
    const more = (lines.length - 1) * LINE * type;
    const [base, up, down] = [y + 0.3 * type - more / 2, y - APART - more, y + APART + 0.6 * type];
    return [
      { x: x + APART, y: base, anchor: "start", lines },
      { x: x - APART, y: base, anchor: "end", lines },
      { x, y: up, anchor: "middle", lines },
      { x, y: down, anchor: "middle", lines },
      { x: x + APART / 2, y: up, anchor: "start", lines },
      { x: x - APART / 2, y: up, anchor: "end", lines },
      { x: x + APART / 2, y: down, anchor: "start", lines },
      { x: x - APART / 2, y: down, anchor: "end", lines },
    ];
  };
  const two = inTwoLines(name);
  return [...places([name]), ...(two ? places(two) : [])];
}

/** A long name parted at the space that leaves its longer line shortest. */
function inTwoLines(name: string): string[] | undefined {
  if (name.length <= LONG) return undefined;
  const words = name.split(" ");
  const parted = words
    .slice(1)
    .map((_, at) => [words.slice(0, at + 1).join(" "), words.slice(at + 1).join(" ")])
    .sort((a, b) => longest(a) - longest(b));
  return parted[0];
}

const longest = (lines: readonly string[]): number => Math.max(...lines.map((line) => line.length));

const around = ({ x, y }: MapPoint, half: number): Box => ({
  left: x - half,
  right: x + half,
  top: y - half,
  bottom: y + half,
});

const overlap = (a: Box, b: Box): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/** How many stretches of a way run through a box. */
const crossings = (way: readonly MapPoint[], box: Box): number =>
  way.slice(1).filter((to, index) => runsThrough(way[index] as MapPoint, to, box)).length;

/** Whether a straight line between two points meets a box: what of it lies between the box's sides, both ways. */
function runsThrough(from: MapPoint, to: MapPoint, { left, right, top, bottom }: Box): boolean {
  let [first, last] = [0, 1];
  for (const [at, by, low, high] of [
    [from.x, to.x - from.x, left, right],
    [from.y, to.y - from.y, top, bottom],
  ] as const) {
    if (by === 0) {
      if (at < low || at > high) return false;
      continue;
    }
    const [enters, leaves] = [(low - at) / by, (high - at) / by].sort((a, b) => a - b) as [number, number];
    [first, last] = [Math.max(first, enters), Math.min(last, leaves)];
  }
  return first <= last;
}
