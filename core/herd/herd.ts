import { seededRandom, type Random } from "../math/random";
import type { Wording } from "../foot/wording";
import { GENERAL_NOISE } from "../repeatability/repeatability";
import { findingsOf, FINDING_RULES } from "../visit/findings";
import { oneFootFacts, type OneFootQuestion } from "../visit/oneFoot";
import { measureFoot } from "./measureFoot";
import { soundPair, type HerdPair } from "./soundFeet";
import { TROUBLES } from "./troubles";

export interface HerdQuestion {
  kind: "sound" | "troubled";
  /** Feet, of each trouble where they are troubled. */
  n: number;
  seed: number;
  when: "fresh" | "due";
}

export interface HerdRates {
  feet: number;
  /** Findings above steady, by rule: on how many of the feet each spoke. */
  spoke: Record<string, number>;
  /** Feet without any finding above steady. */
  withoutAny: number;
  /** Per trouble: feet that have it, on how many the right finding spoke at its right level. */
  troubles: Record<string, { feet: number; found: number; atLevel: number }>;
}

/** A pair as an ordinary hand reads it. */
function read(random: Random, pair: HerdPair): OneFootQuestion {
  return {
    limb: pair.limb,
    horse: { kind: "horse", massKg: pair.massKg },
    reading: measureFoot(random, pair.mine),
    pair: { reading: measureFoot(random, pair.other) },
  };
}

/**
 * How often each finding speaks on a made-up herd, measured by an ordinary hand: on sound feet it ought to be silent, on
 * troubled ones it has to speak. The same seed gives the same herd.
 */
export function herdRates({ kind, n, seed, when }: HerdQuestion, wording: Wording): HerdRates {
  const random = seededRandom(seed);
  const rates: HerdRates = {
    feet: 0,
    spoke: Object.fromEntries(FINDING_RULES.map(({ id }) => [id, 0])),
    withoutAny: 0,
    troubles: {},
  };
  const look = (question: OneFootQuestion) => {
    const said = findingsOf(oneFootFacts(question, GENERAL_NOISE.value, wording)).filter(
      ({ level }) => level !== "steady",
    );
    rates.feet++;
    for (const { id } of said) rates.spoke[id] = (rates.spoke[id] ?? 0) + 1;
    if (said.length === 0) rates.withoutAny++;
    return said;
  };
  if (kind === "sound") {
    for (let foot = 0; foot < n; foot++) look(read(random, soundPair(random, when)));
    return rates;
  }
  for (const [trouble, { finding, levels, shape, seen }] of Object.entries(TROUBLES)) {
    const tally = { feet: 0, found: 0, atLevel: 0 };
    for (let foot = 0; foot < n; foot++) {
      const pair = soundPair(random, when);
      const side = random() < 0.5 ? "medial" : "lateral";
      shape?.(pair, side);
      const said = look({ ...read(random, pair), ...seen?.(side) });
      const right = said.find(({ id }) => id === finding);
      tally.feet++;
      if (right) tally.found++;
      if (right && levels.includes(right.level)) tally.atLevel++;
    }
    rates.troubles[trouble] = tally;
  }
  return rates;
}
