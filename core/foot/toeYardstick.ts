import type { Entry } from "../constants/entry";

/** Toe length by body mass, `[kg, mm]`; flat within each range of the literature, straight between them. */
const TOE_LENGTH_BY_MASS: Entry<readonly (readonly [number, number])[]> = {
  value: [
    [360, 76],
    [400, 76],
    [430, 83],
    [480, 83],
    [525, 89],
    [570, 89],
  ],
  unit: "kg, mm",
  source: "Balch and others; Turner: hoof length by body mass",
  validFor: "light horses of 360 to 570 kg, front feet",
  sure: "published",
};

export interface ToeYardstick {
  toeLengthMm: number;
  /** False outside the published range, where the size of the body (cube root of the mass) carries it on. */
  published: boolean;
}

/**
 * The usual toe length for a horse of this mass, a yardstick and not a verdict; a horse's own target outranks it.
 * Outside 360 to 570 kg it grows with the cube root of the mass (assumption, because lengths of like bodies do).
 * `massKg` > 0.
 */
export function toeYardstick(massKg: number): ToeYardstick {
  const table = TOE_LENGTH_BY_MASS.value;
  const first = table[0] as readonly [number, number];
  const last = table[table.length - 1] as readonly [number, number];
  const carriedOn = ([kg, mm]: readonly [number, number]): ToeYardstick => ({
    toeLengthMm: mm * Math.cbrt(massKg / kg),
    published: false,
  });
  if (massKg < first[0]) return carriedOn(first);
  if (massKg > last[0]) return carriedOn(last);
  for (const [index, [kg, mm]] of table.entries()) {
    const [nextKg, nextMm] = table[index + 1] ?? [kg, mm];
    if (massKg > nextKg) continue;
    const part = nextKg === kg ? 0 : (massKg - kg) / (nextKg - kg);
    return { toeLengthMm: mm + part * (nextMm - mm), published: true };
  }
  return { toeLengthMm: last[1], published: true };
}

/** Shape of the target for kinds of animal that have normal values of their own. */
export const ANIMAL_KINDS = ["horse", "pony", "cob", "heavy", "donkey"] as const;
export type AnimalKind = (typeof ANIMAL_KINDS)[number];

const DONKEY_TOE_PART = 0.92;

/** The toe length to aim for: the horse's own target if one is set, else the yardstick for its kind and mass. */
export function toeTarget(animal: {
  kind: AnimalKind;
  massKg: number;
  toeTargetMm?: number | undefined;
}): ToeYardstick {
  if (animal.toeTargetMm !== undefined) return { toeLengthMm: animal.toeTargetMm, published: false };
  const yardstick = toeYardstick(animal.massKg);
  return animal.kind === "donkey"
    ? { toeLengthMm: yardstick.toeLengthMm * DONKEY_TOE_PART, published: false }
    : yardstick;
}
