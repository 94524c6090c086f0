import { distance } from "../geometry/vector";
import type { Film } from "./filmRecord";
import { FILM_MARKS, filmMark, JOINT, MARKER_MARKS } from "./filmMarks";
import { filmScale } from "./readFilm";

/** How far the marks of a stand-in lie from where they truly are, mm. */
export interface MarksHeld {
  n: number;
  meanMm: number;
  /** The three furthest off, worst first. */
  worst: { name: string; label: string; mm: number }[];
}

/**
 * The placed marks of a stand-in against the truth; undefined where it has none or no scale yet. A point of the joint
 * surface may lie anywhere on its edge, so these are left out.
 */
export function marksAgainstTruth({
  view,
  scale,
  points,
  truth,
}: Pick<Film, "view" | "scale" | "points" | "truth">): MarksHeld | undefined {
  const read = filmScale({ scale, points });
  if (!truth || !read.ok) return undefined;
  const found = [...MARKER_MARKS, ...FILM_MARKS[view]].flatMap(({ name }) => {
    const [placed, true_] = [points[name], truth[name]];
    if (!placed || !true_ || name.startsWith(JOINT)) return [];
    return [
      { name, label: filmMark(view, name)?.label ?? name, mm: distance(placed, true_) * read.value.mmPerPx },
    ];
  });
  if (found.length === 0) return undefined;
  return {
    n: found.length,
    meanMm: found.reduce((sum, { mm }) => sum + mm, 0) / found.length,
    worst: [...found].sort((a, b) => b.mm - a.mm).slice(0, 3),
  };
}
