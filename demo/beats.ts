import type { KeptBeat } from "~core/gait/beat";
import type { Visit } from "~core/record/visit";
import { normalDraw, seededRandom } from "~core/math/random";

/** Footfalls of a look that a hand tapped along with. */
const FALLS = 13;
/** A walk's footfalls lie this far apart, s, and a hand is off by so much. */
const BEAT_S = 0.29;
const HAND_S = 0.012;
/** Seed of the taps, so that they disturb nothing else of the round. */
const TAPS_SEED = 311;

/** A beat as a hand taps it: every other step longer by the evenness. */
function tapped(evenness: number, seed: number): KeptBeat {
  const random = seededRandom(seed);
  let time = 0;
  const times = Array.from({ length: FALLS }, (_, at) => {
    const now = time + normalDraw(random, 0, HAND_S);
    time += at % 2 ? BEAT_S : BEAT_S * evenness;
    return now;
  });
  const first = times[0] ?? 0;
  return { times: times.map((one) => Math.round(1000 * Math.max(0, one - first)) / 1000), from: "tapped" };
}

/** Both looks of a visit are taken on the same ground, so that they can be compared; a horse with a story goes less evenly before. */
export const looksTaken = (visit: number, troubled: boolean): Visit["looks"] => ({
  before: {
    gait: "walk",
    surface: "hard, level",
    direction: "away",
    head: "steady",
    hip: "level",
    beat: tapped(troubled ? 1.09 : 1.01, TAPS_SEED + 2 * visit),
  },
  after: {
    gait: "walk",
    surface: "hard, level",
    direction: "away",
    beat: tapped(troubled ? 1.02 : 1, TAPS_SEED + 2 * visit + 1),
  },
});
