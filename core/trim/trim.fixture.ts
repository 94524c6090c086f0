import { FRONT_LENSES } from "../foot/lens";
import type { TrimPlan, TrimQuestion } from "./question";
import { planTrim } from "./plan";
import type { Random } from "../math/random";
import { wordingFor } from "../foot/wording";

/** A long-toed, low-heeled fore, 4 degrees broken back, with enough wall to trim it. */
export const BROKEN_BACK: TrimQuestion = {
  foot: {
    dorsalAngle: 48,
    pasternAngle: 52,
    heelAngle: 38,
    toeLength: 92,
    toeY: 126,
    heelMedial: [-42, 8],
    heelLateral: [42, 12],
    corY: 63,
  },
  finish: "shod",
  above: { toe: 9, heelMedial: 3, heelLateral: 5 },
  frontBack: "straight-axis",
  side: "even-sole",
  toeWall: 13,
};

export const plainWording = wordingFor({
  unit: "mm",
  fraction: 16,
  leftRight: "left-right",
  side: "inside-outside",
});

export function planned(change: Partial<TrimQuestion> = {}): TrimPlan {
  const found = planTrim({ ...BROKEN_BACK, ...change });
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
}

/** Any foot a practitioner may meet, with whatever happens to be measured of it. */
export function anyQuestion(random: Random): TrimQuestion {
  const between = (low: number, high: number) => low + (high - low) * random();
  const oneOf = <T>(values: readonly T[]): T => values[Math.floor(random() * values.length)] as T;
  const maybe = <T>(part: number, value: T) => (random() < part ? value : undefined);
  const toeWall = maybe(0.7, between(5, 16));
  const dressMax = maybe(0.3, between(0, 5));
  const whiteLine = toeWall === undefined ? undefined : maybe(0.5, between(1, Math.min(5, toeWall)));
  const outside = maybe(0.6, between(0, 8));
  const holdAxis = maybe(0.5, true);
  const minToeLength = maybe(0.6, between(65, 95));
  const sulcusDepth = maybe(0.4, between(5, 16));
  const quarters = maybe(0.4, [
    { name: "quarterMedial", at: [-between(55, 65), between(55, 70)] as const, above: between(0, 9) },
    { name: "quarterLateral", at: [between(55, 65), between(55, 70)] as const, above: between(0, 9) },
  ]);
  return {
    foot: {
      dorsalAngle: between(42, 58),
      pasternAngle: between(44, 58),
      heelAngle: between(28, 55),
      toeLength: between(70, 105),
      toeY: between(105, 145),
      heelMedial: [-between(35, 48), between(-2, 25)],
      heelLateral: [between(35, 48), between(-2, 25)],
      corY: between(55, 70),
    },
    finish: oneOf(["shod", "barefoot"] as const),
    above: { toe: between(0, 14), heelMedial: between(0, 10), heelLateral: between(0, 10) },
    frontBack: oneOf(FRONT_LENSES),
    side: oneOf(["even-sole", "square-limb", "level-hairline"] as const),
    sideAngle: between(-4, 4),
    ...(toeWall !== undefined && { toeWall }),
    ...(whiteLine !== undefined && { whiteLine }),
    ...(outside !== undefined && { outside }),
    ...(holdAxis !== undefined && { holdAxis }),
    ...(dressMax !== undefined && { dressMax }),
    ...(minToeLength !== undefined && { minToeLength }),
    ...(sulcusDepth !== undefined && { sulcusDepth }),
    ...(quarters !== undefined && { quarters }),
  };
}
