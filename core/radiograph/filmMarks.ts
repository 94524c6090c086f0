export const FILM_VIEWS = ["lateral", "front"] as const;
export type FilmView = (typeof FILM_VIEWS)[number];

export const FILM_VIEW_NAMES: Record<FilmView, string> = {
  lateral: "From the side",
  front: "From the front",
};

/** How a film ought to have been taken; one answered no marks the reading. Source: veterinary convention. */
export const TAKEN_QUESTIONS = ["blocks", "square", "cannon upright", "beam level", "beam across"] as const;
export type TakenQuestion = (typeof TAKEN_QUESTIONS)[number];

export const TAKEN: Record<TakenQuestion, { asks: Record<FilmView, string>; otherwise: string }> = {
  blocks: {
    asks: { lateral: "Both feet on blocks of equal height?", front: "Both feet on blocks of equal height?" },
    otherwise: "Not on equal blocks: the foot’s load and its angles are not those of standing.",
  },
  square: {
    asks: { lateral: "Standing square, both feet loaded?", front: "Standing square, both feet loaded?" },
    otherwise: "Not standing square: bone rotation and joint spaces change with the load.",
  },
  "cannon upright": {
    asks: { lateral: "Cannon upright, seen from the side?", front: "Cannon upright, seen from the front?" },
    otherwise: "Cannon not upright: the pastern’s angle, and a tilt from the front, are the stance’s.",
  },
  "beam level": {
    asks: { lateral: "Beam level with the sole’s plane?", front: "Beam level with the sole’s plane?" },
    otherwise: "Beam not level with the sole: depths under the bone are too large or too small.",
  },
  "beam across": {
    asks: { lateral: "Beam straight across the foot?", front: "Beam straight along the foot?" },
    otherwise: "Beam not straight to the foot: lengths along the ground are too short.",
  },
};

/** A landmark: its name, how the eye finds it, and whether the film can do without. */
export interface FilmMark {
  name: string;
  label: string;
  find: string;
  optional: boolean;
}

const mark = (name: string, label: string, find: string, optional = false): FilmMark => ({
  name,
  label,
  find,
  optional,
});

/** The joint surface takes three points or more; so many are asked. */
export const JOINT = "joint ";
const JOINT_ASKED = 5;
export const MOST_JOINT = 8;

const joints = Array.from({ length: MOST_JOINT }, (_, at) =>
  mark(
    `${JOINT}${at + 1}`,
    `Joint surface ${at + 1}`,
    at === 0
      ? "On the lower end of the short pastern bone, its smooth round edge: the first point, at the front"
      : "The next point along the same edge, towards the back",
    at >= 3,
  ),
);

/** The two ends of something of known length. */
export const MARKER_ENDS = ["marker a", "marker b"] as const;
export const MARKER_MARKS: readonly FilmMark[] = [
  mark(
    "marker a",
    "Marker, one end",
    "One end of the marker of known length, beside the foot and level with its middle",
  ),
  mark("marker b", "Marker, other end", "Its other end"),
];

const LATERAL: readonly FilmMark[] = [
  mark("groundA", "Ground, behind", "On the ground or the block’s upper edge, behind the heel"),
  mark("groundB", "Ground, ahead", "On the same line, ahead of the toe"),
  mark("tip", "Tip of the coffin bone", "Its lowest, foremost point"),
  mark(
    "wing",
    "Back of its lower border",
    "Where the lower border ends, at the wing; of two outlines half way between",
  ),
  mark(
    "soleTip",
    "Sole under the tip",
    "The sole’s own surface straight below the tip: not the ground, not the shoe",
    true,
  ),
  mark("soleWing", "Sole under the wing", "The sole’s own surface straight below the wing", true),
  mark("faceHigh", "Face of the bone, high", "On the front face, just under the extensor process"),
  mark("extensor", "Extensor process", "The bone’s highest point at the front"),
  mark("wallHigh", "Wall, high", "On the outside of the front wall or its wire, a little below the hairline"),
  mark("wallLow", "Wall, low", "On the outside of the same wall, low, above any flare"),
  mark("hairline", "Hairline marker", "The marker at the hairline, or where hair meets horn"),
  mark(
    "breakover",
    "Breakover",
    "The foremost point that bears on the ground: of the shoe, or of the bare toe",
  ),
  mark("heel", "Heel contact", "The hindmost point that bears on the ground"),
  ...joints.slice(0, JOINT_ASKED),
  mark(
    "pasternFaceLow",
    "Pastern, front face, low",
    "On the front face of the pastern bones, just above the joint",
    true,
  ),
  mark("pasternFaceHigh", "Pastern, front face, high", "On the same face, as high as the film shows", true),
  mark(
    "frogTack",
    "Tack at the frog’s point",
    "Where one was set at the point of the frog after the trim",
    true,
  ),
  mark(
    "wideTack",
    "Tack at the widest line",
    "Where one was set at the widest line of the sole after the trim",
    true,
  ),
];

const sides = (name: string, label: string, find: string, optional = false): FilmMark[] =>
  (["Medial", "Lateral"] as const).map((side) =>
    mark(
      `${name}${side}`,
      `${label}, ${side.toLowerCase()}`,
      `${find}, ${side.toLowerCase()} side`,
      optional,
    ),
  );

const FRONT: readonly FilmMark[] = [
  ...sides("ground", "Ground", "On the ground or the block’s upper edge, outside the wall"),
  ...sides("border", "Lower border of the coffin bone", "Its lowest point"),
  ...sides(
    "spaceUpper",
    "Joint space, upper bone",
    "The lower edge of the short pastern bone, over the middle of that half",
  ),
  ...sides("spaceLower", "Joint space, lower bone", "The upper edge of the coffin bone, straight below"),
  ...sides("hairline", "Hairline", "Where hair meets horn, or its marker"),
  ...sides("wallFoot", "Foot of the wall", "Where the wall meets shoe or ground"),
  ...sides("sole", "Sole under the border", "The sole’s own surface straight below the border", true),
];

/** The landmarks of a view, in the order in which they are asked. */
export const FILM_MARKS: Record<FilmView, readonly FilmMark[]> = { lateral: LATERAL, front: FRONT };

/** Every landmark that a view can hold, further joint points included. */
export const filmMark = (view: FilmView, name: string): FilmMark | undefined =>
  [...MARKER_MARKS, ...FILM_MARKS[view], ...(view === "lateral" ? joints : [])].find(
    (one) => one.name === name,
  );
