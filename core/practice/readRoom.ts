import type { FootParameters } from "../foot/parametric/parameters";
import { corYOf } from "../foot/parametric/parameters";
import { LIMBS, type Limb } from "../foot/limb";
import { seededRandom, type Random } from "../math/random";
import type { ImagePoint } from "../geometry/vector";
import { aimAt, sceneOf } from "../simulator/scene";
import { project } from "../simulator/camera";
import { atLevel } from "./level";
import { practicePicture, type PracticePicture } from "./picture";
import { heelsApart, practiceFoot } from "./practiceFoot";
import type { Miss } from "./tryRecord";

/** What is asked in a round of a minute. */
export const READ_QUESTIONS = ["taller heel", "axis", "centre", "wear"] as const;
export type ReadQuestion = (typeof READ_QUESTIONS)[number];

export const READ_FACTS: Record<ReadQuestion, { ask: string; name: string }> = {
  "taller heel": { ask: "Which heel is taller?", name: "Taller heel" },
  axis: { ask: "How does the axis run?", name: "Axis" },
  centre: { ask: "Which line lies over the centre of rotation?", name: "Centre of rotation" },
  wear: { ask: "Where is this shoe worn most?", name: "Worn shoe" },
};

/** One question: what is looked at, what can be answered, which answer is right and why. */
export interface ReadTask {
  question: ReadQuestion;
  level: number;
  limb: Limb;
  answers: readonly string[];
  right: number;
  /** Said after the answer, with medial and lateral in it; lengths and angles as numbers of mm and deg. */
  why: { text: string; mm?: number; deg?: number };
  picture?: PracticePicture;
  /** Lines to choose from, px of the picture, medial end first. */
  lines?: { letter: string; ends: readonly [ImagePoint, ImagePoint] }[];
  /** Thickness of a worn shoe, mm, from the medial heel round the toe to the lateral heel. */
  worn?: number[];
}

/** How long a round lasts, s. */
export const ROUND_SECONDS = 60;

/** How large what is to be seen is, at the first level and at the last. Assumption, from what a practised eye sees. */
const SIZES = {
  heelsMm: [12, 3],
  axisDeg: [10, 3.5],
  linesMm: [16, 6],
  wearMm: [3, 0.8],
} as const satisfies Record<string, readonly [number, number]>;
/** Heels closer together than this, and an axis straighter than this, are called level and straight. */
const LEVEL_MM = 0.5;
const STRAIGHT_DEG = 0.7;

/** From the toe to the heels. */
const CENTRE_LINES = ["A", "B", "C", "D"];

const sign = (random: Random): 1 | -1 => (random() < 0.5 ? 1 : -1);
const pick = <T>(random: Random, all: readonly T[]): T => all[Math.floor(random() * all.length)] as T;

/** A question at a level; the same seed gives the same one. */
export function readTask(seed: number, level: number): ReadTask {
  const random = seededRandom(seed);
  const question = pick(random, READ_QUESTIONS);
  return MAKERS[question](random, level);
}

const MAKERS: Record<ReadQuestion, (random: Random, level: number) => ReadTask> = {
  "taller heel": (random, level) => {
    const { foot } = practiceFoot(random, { count: 0, size: 0 });
    const even = random() < 0.2;
    const apart = even
      ? LEVEL_MM * (2 * random() - 1)
      : sign(random) * atLevel(level, SIZES.heelsMm) * (0.9 + 0.3 * random());
    const turned = {
      ...foot,
      ...heelsApart(foot, apart),
      limbDeviationDeg: atLevel(level, [0, 4]) * sign(random),
    };
    return {
      ...shown("taller heel", level, turned, practicePicture(random, level, { foot: turned, view: "rear" })),
      answers: ["medial", "level", "lateral"],
      right: even ? 1 : apart > 0 ? 2 : 0,
      why: even
        ? { text: "They are level" }
        : { text: `The ${apart > 0 ? "lateral" : "medial"} heel is taller`, mm: Math.abs(apart) },
    };
  },
  axis: (random, level) => {
    const { foot } = practiceFoot(random, { count: 0, size: 0 });
    const straight = random() < 0.25;
    const axis = straight
      ? STRAIGHT_DEG * (2 * random() - 1)
      : sign(random) * atLevel(level, SIZES.axisDeg) * (0.9 + 0.3 * random());
    const turned: FootParameters = { ...foot, pasternAngleDeg: foot.dorsalAngleDeg - axis };
    return {
      ...shown("axis", level, turned, practicePicture(random, level, { foot: turned, view: "side" })),
      answers: ["broken back", "straight", "broken forward"],
      right: straight ? 1 : axis > 0 ? 2 : 0,
      why: straight
        ? { text: "It is straight" }
        : {
            text: `It is broken ${axis > 0 ? "forward: the wall is steeper than the pastern" : "back: the wall is shallower than the pastern"}`,
            deg: Math.abs(axis),
          },
    };
  },
  centre: (random, level) => {
    const { foot } = practiceFoot(random, {
      count: Math.round(atLevel(level, [0, 3])),
      size: atLevel(level, [0.4, 1]),
    });
    const picture = practicePicture(random, level, { foot, view: "sole" });
    const apart = atLevel(level, SIZES.linesMm);
    const right = Math.floor(random() * 4);
    const scene = sceneOf(foot, "sole");
    const camera = aimAt(scene, picture.shot);
    const half = foot.widthMm * 0.62;
    const at = (x: number, y: number): ImagePoint => {
      const [px, py] = project(camera, scene.toWorld([x, y, 0]));
      return [px, py];
    };
    return {
      ...shown("centre", level, foot, picture),
      answers: CENTRE_LINES,
      right,
      why: {
        text: `Line ${CENTRE_LINES[right] ?? ""}. It lies a fifth of the foot’s width behind the true apex, which is twice the sulcus; as a rule that is the widest part`,
      },
      lines: CENTRE_LINES.map((letter, index) => {
        const y = corYOf(foot) + (right - index) * apart;
        return { letter, ends: [at(-half, y), at(half, y)] as const };
      }),
    };
  },
  wear: (random, level) => {
    const place = Math.floor(random() * 4);
    const deep = atLevel(level, SIZES.wearMm) * (0.9 + 0.3 * random());
    const rough = atLevel(level, [0.08, 0.22]);
    const middles = [0.2, 0.5, 0.8];
    const worn = Array.from({ length: 41 }, (_, index) => {
      const s = index / 40;
      const middle = middles[place];
      const dip = middle === undefined ? 0.35 * deep : deep * Math.exp(-(((s - middle) / 0.13) ** 2));
      return 10 - dip + rough * (2 * random() - 1);
    });
    const names = ["medial branch", "toe", "lateral branch"];
    return {
      question: "wear",
      level,
      limb: pick(random, LIMBS),
      answers: ["medial branch", "toe", "lateral branch", "evenly"],
      right: place,
      why:
        place === 3
          ? { text: "It is worn evenly" }
          : {
              text: `The ${names[place] ?? ""} is thinnest${place === 1 ? "" : ". A shoe wears where the foot lands or leaves over: look at it walking before you say which"}`,
              mm: deep,
            },
      worn,
    };
  },
};

const shown = (
  question: ReadQuestion,
  level: number,
  foot: FootParameters,
  picture: PracticePicture,
): Pick<ReadTask, "question" | "level" | "limb" | "picture"> => ({
  question,
  level,
  limb: foot.limb,
  picture,
});

/** One answer of a round. */
export interface Answer {
  question: ReadQuestion;
  level: number;
  right: boolean;
}

/** A round's score: the part of its answers that were right, 0 to 100, and each answer as a miss or none. */
export function scoreAnswers(answers: readonly Answer[]): { score: number; misses: Miss[] } {
  const right = answers.filter((one) => one.right).length;
  return {
    score: answers.length === 0 ? 0 : (100 * right) / answers.length,
    misses: answers.map((one) => ({
      of: READ_FACTS[one.question].name,
      unit: "wrong",
      off: one.right ? 0 : 1,
    })),
  };
}
