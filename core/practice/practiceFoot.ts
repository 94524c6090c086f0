import { LIMBS, SIDES, type Limb } from "../foot/limb";
import { ordinaryFoot } from "../foot/parametric/fit";
import { sizeFactor, signOf, type FootParameters } from "../foot/parametric/parameters";
import { normalDraw, type Random } from "../math/random";

/** Ways in which a made-up foot goes wrong; `part` is how far, 0 to 1 of what a foot comes to that was left alone. */
const WRONGS: Record<
  string,
  (foot: FootParameters, part: number, random: Random) => Partial<FootParameters>
> = {
  "broken back": (foot, part) => ({ pasternAngleDeg: foot.dorsalAngleDeg + 9 * part }),
  "broken forward": (foot, part) => ({ pasternAngleDeg: foot.dorsalAngleDeg - 9 * part }),
  "long toe": (foot, part) => ({
    toeLengthMm: foot.toeLengthMm + 18 * part,
    toeRunMm: foot.toeRunMm + 12 * part,
  }),
  dished: (foot, part) => ({ dishDeg: 7 * part, toeRunMm: foot.toeRunMm + 8 * part }),
  "curled heel": (foot, part, random) => ({
    curlMm:
      random() < 0.5
        ? { medial: 13 * part * sizeFactor(foot), lateral: 0 }
        : { medial: 0, lateral: 13 * part * sizeFactor(foot) },
  }),
  "sheared hairline": (foot, part, random) => heelsApart(foot, 12 * part * (random() < 0.5 ? 1 : -1)),
  "heels run forward": (foot, part) => ({ heelRunMm: foot.heelRunMm + 12 * part * sizeFactor(foot) }),
  "crooked limb": (_, part, random) => ({ limbDeviationDeg: 7 * part * (random() < 0.5 ? 1 : -1) }),
  "flared to one side": (foot, part, random) => ({
    lateralWiderMm: (random() < 0.5 ? 1 : -1) * 11 * part * sizeFactor(foot),
  }),
  "stretched frog": (foot, part) => ({ frog: { ...foot.frog, stretch: 0.16 * part } }),
};
export const WRONG_NAMES = Object.keys(WRONGS);

/** The same foot with its heels so much apart, lateral minus medial, mm. */
export const heelsApart = (foot: FootParameters, apartMm: number): Pick<FootParameters, "heelHeightMm"> => {
  const mean = (foot.heelHeightMm.medial + foot.heelHeightMm.lateral) / 2;
  const [medial, lateral] = SIDES.map((side) => mean + (signOf(side) * apartMm) / 2) as [number, number];
  return { heelHeightMm: { medial, lateral } };
};

const between = (random: Random, low: number, high: number): number => low + (high - low) * random();
const oneOf = <T>(random: Random, all: readonly T[]): T => all[Math.floor(random() * all.length)] as T;

export interface PracticeFoot {
  foot: FootParameters;
  massKg: number;
  /** What is wrong with it, by name; empty on a plain one. */
  wrong: string[];
}

/**
 * A made-up foot with known truth: an ordinary one of a horse of 350 to 750 kg that differs as sound feet do, with
 * `count` wrongs of the given size (0 to 1). The same stream of chance gives the same foot. Spreads are assumptions,
 * because they only have to make feet differ.
 */
export function practiceFoot(
  random: Random,
  { count, size, limb = oneOf(random, LIMBS) }: { count: number; size: number; limb?: Limb },
): PracticeFoot {
  const massKg = between(random, 350, 750);
  const ordinary = ordinaryFoot(limb, { kind: "horse", massKg });
  const dorsalAngleDeg = ordinary.dorsalAngleDeg + normalDraw(random, 0, 2);
  let foot: FootParameters = {
    ...ordinary,
    dorsalAngleDeg,
    pasternAngleDeg: dorsalAngleDeg - normalDraw(random, 0, 0.7),
    heelAngleDeg: dorsalAngleDeg - between(random, 1, 5),
    toeRunMm: ordinary.toeRunMm + normalDraw(random, 0, 1.5),
    ...heelsApart(ordinary, normalDraw(random, 0, 0.4)),
    lateralWiderMm: ordinary.lateralWiderMm + normalDraw(random, 0, 1),
    limbDeviationDeg: normalDraw(random, 0, 0.8),
    wallAboveSoleMm: {
      toe: between(random, 5, 9),
      medial: between(random, 3, 6),
      lateral: between(random, 3, 6),
    },
  };
  const wrong: string[] = [];
  while (wrong.length < Math.min(count, WRONG_NAMES.length)) {
    const name = oneOf(random, WRONG_NAMES);
    // A foot is not broken back and forward at once.
    if (wrong.includes(name) || (name.startsWith("broken") && wrong.some((one) => one.startsWith("broken"))))
      continue;
    wrong.push(name);
    foot = { ...foot, ...WRONGS[name]?.(foot, size * between(random, 0.6, 1), random) };
  }
  return { foot, massKg, wrong };
}

/** What was wrong with a foot, as a sentence. */
export const wrongsSaid = (wrong: readonly string[]): string =>
  wrong.length === 0
    ? "A plain foot: nothing was wrong with it."
    : `What was wrong with it: ${wrong.join(", ")}.`;
