import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { seededRandom } from "../math/random";
import {
  beatChange,
  beatInWords,
  isNoisy,
  isThin,
  isUneven,
  readBeat,
  type Beat,
  type KeptBeat,
} from "./beat";
import { addFall, moveFall, nearestFall, removeFall } from "./correctFalls";
import { findFootfalls } from "./footfalls";
import { beatBefore, type LookOfVisit } from "./looks";
import { fallsOf, RATE, soundOf, type Going } from "./hoofbeats.fixture";

const beat = (times: readonly number[]): Beat => {
  const read = readBeat(times);
  if (!read.ok) throw new Error(read.issues[0]?.message);
  return read.value;
};
const code = (times: readonly number[]) => {
  const read = readBeat(times);
  return read.ok ? "beat" : read.issues[0]?.code;
};
/** Times from intervals, s. */
const after = (intervals: readonly number[]): number[] =>
  intervals.reduce<number[]>((times, one) => [...times, (times.at(-1) ?? 0) + one], [0]);

describe("readBeat", () => {
  test("by hand: first and last step out, the rest averaged; odd over even", () => {
    // Used: 0.4, 0.5, 0.4, 0.5, 0.4, 0.5: mean 0.45, odd 0.4, even 0.5.
    const { perMinute, intervals, evenness, used } = beat(after([0.9, 0.4, 0.5, 0.4, 0.5, 0.4, 0.5, 0.2]));
    expect(perMinute).toBeCloseTo(60 / 0.45, 9);
    expect(intervals.mean).toBeCloseTo(0.45, 9);
    expect(intervals.sd).toBeCloseTo(Math.sqrt((6 * 0.05 ** 2) / 5), 9);
    expect(evenness).toBeCloseTo(0.8, 9);
    expect(used).toBe(6);
  });

  test("an even beat is 1, without noise where every step is alike", () => {
    const { evenness, evennessSe } = beat(after(Array.from({ length: 10 }, () => 0.4)));
    expect(evenness).toBeCloseTo(1, 9);
    expect(evennessSe).toBeCloseTo(0, 9);
  });

  test("its noise is the spread about both means, pooled: by hand on four and four", () => {
    // Odd 0.40, 0.42, 0.40, 0.42; even 0.5, 0.5, 0.5, 0.5.
    const { evennessSe, evenness } = beat(after([0.4, 0.4, 0.5, 0.42, 0.5, 0.4, 0.5, 0.42, 0.5, 0.4]));
    const pooled = (4 * 0.01 ** 2) / 6;
    expect(evennessSe).toBeCloseTo(evenness * Math.sqrt(pooled / 4 / 0.41 ** 2 + pooled / 4 / 0.5 ** 2), 9);
  });

  test("begun on the other foot it is one over the evenness; begun later the same", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.8, max: 1.25, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        (even, start) => {
          const steps = Array.from({ length: 11 }, (_, at) => (at % 2 ? 0.4 : 0.4 * even));
          const times = after(steps).map((time) => time + start);
          const one = beat(times.slice(0, -1)).evenness;
          const other = beat(times.slice(1)).evenness;
          expect(one * other).toBeCloseTo(1, 6);
          expect(beat(after(steps).slice(0, -1)).evenness).toBeCloseTo(one, 6);
        },
      ),
    );
  });

  test("two taps, a tap every 5 s, taps out of order, a drum roll: said, with what would work", () => {
    expect(code([0, 0.4])).toBe("too-few");
    expect(code(after(Array.from({ length: 9 }, () => 5)))).toBe("too-slow");
    expect(code(after(Array.from({ length: 9 }, () => 0.04)))).toBe("too-fast");
    expect(code(after([0.4, 0.4, 0.4]))).toBe("too-few");
    expect(code(after([0.4, 0.4, 0.4, 0.4]))).toBe("beat");
    expect(code([0, 0.4, 0.3, 0.8, 1.2, 1.6, 2])).toBe("order");
    expect(code([0, 0.4, Number.NaN, 0.8, 1.2, 1.6, 2])).toBe("order");
    const few = readBeat([0, 0.4]);
    expect(!few.ok && few.issues[0]?.message).toContain("tap at least 5");
  });

  test("of few intervals it is called thin: six in between are wanted", () => {
    expect(isThin(beat(after(Array.from({ length: 7 }, () => 0.4))))).toBe(true);
    expect(isThin(beat(after(Array.from({ length: 8 }, () => 0.4))))).toBe(false);
  });

  test("a footfall that was missed stands as a gap after the one before it", () => {
    expect(beat(after([0.4, 0.4, 0.4, 0.8, 0.4, 0.4, 0.4, 0.4])).gaps).toEqual([3]);
    expect(beat(after(Array.from({ length: 9 }, () => 0.4))).gaps).toEqual([]);
  });
});

describe("before and after in one sentence", () => {
  const random = seededRandom(5);
  const trot = (evenness: number) =>
    beat(fallsOf({ perMinute: 150, evenness, seconds: 9, spread: 0.006, noise: 0 }, random));

  test("evener beyond the noise is said; so is less even; the same is the same within the noise", () => {
    expect(beatChange(trot(0.85), trot(1))).toMatch(
      /^15\d a minute, even .* evener than before, beyond the noise\.$/,
    );
    expect(beatChange(trot(1), trot(0.85))).toContain("less even than before, beyond the noise");
    expect(beatChange(trot(0.99), trot(1.01))).toContain("as even as before, within the noise");
  });

  test("which foot the hand began on makes no change", () => {
    expect(beatChange(trot(0.85), trot(1 / 0.85))).toContain("as even as before");
  });

  test("a quicker beat is told from a few in a hundred on", () => {
    const at = (perMinute: number) =>
      beat(fallsOf({ perMinute, evenness: 1, seconds: 9, spread: 0.004, noise: 0 }, random));
    expect(beatChange(at(140), at(155))).toMatch(/1[4-6] a minute quicker/);
    expect(beatChange(at(150), at(151))).toContain("at the same rate");
  });

  test("steps as alike as a machine’s are not called uneven for a hundredth", () => {
    const nearly = beat(after(Array.from({ length: 12 }, (_, at) => (at % 2 ? 0.41 : 0.406))));
    expect(isUneven(nearly)).toBe(false);
    expect(beatInWords(nearly)).toBe("147 a minute, even (1.01 ± 0.02)");
  });

  test("in noise nothing is said: speech at a twentieth of the hoof’s peak over an uneven 160 is too noisy to tell, or told truly", () => {
    let [heard, silent] = [0, 0];
    for (let seed = 1; seed <= 20; seed++) {
      const random = seededRandom(seed);
      const going = { perMinute: 160, evenness: 0.8, seconds: 10, spread: 0.006, noise: 0.01 };
      const sound = soundOf(fallsOf(going, random), going, random);
      const peak = sound.reduce((most, one) => Math.max(most, Math.abs(one)), 0);
      // Syllables, some five a second, each a burst of a voice.
      for (let from = 0; from < going.seconds; from += 0.12 + 0.2 * random())
        for (let at = 0; at < 0.1 * RATE && Math.round(from * RATE) + at < sound.length; at++) {
          const place = Math.round(from * RATE) + at;
          const voice = Math.sin((2 * Math.PI * 150 * at) / RATE) * Math.sin((Math.PI * at) / (0.1 * RATE));
          sound[place] = (sound[place] ?? 0) + 0.05 * peak * voice;
        }
      const found = findFootfalls(sound, RATE);
      const read = found.ok ? readBeat(found.value.falls.map(({ at }) => at)) : undefined;
      if (!read?.ok || isNoisy(read.value)) {
        silent += 1;
        if (read?.ok) expect(beatInWords(read.value)).toMatch(/^too noisy to tell/);
        continue;
      }
      heard += 1;
      expect([seed, Math.abs(read.value.perMinute - 160) < 5, isUneven(read.value)]).toEqual([
        seed,
        true,
        true,
      ]);
    }
    expect(heard + silent).toBe(20);
  });

  test("extra knocks and missed feet make it too noisy, one step that is a little off does not", () => {
    const steady = Array.from({ length: 14 }, (_, at) => 0.375 * at);
    expect(beatInWords(beat(steady.toSpliced(5, 0, 0.375 * 4.4).toSpliced(9, 0, 0.375 * 7.3)))).toMatch(
      /^too noisy/,
    );
    expect(beatChange(beat(steady), beat(steady.toSpliced(6, 1)))).toMatch(
      /^too noisy.*; before 160 a minute, even/,
    );
    expect(beatInWords(beat(steady.with(6, 0.375 * 6 + 0.05)))).toMatch(/^160 a minute/);
  });

  test("uneven is said only beyond its own noise", () => {
    expect(isUneven(trot(0.85))).toBe(true);
    const noisy = beat(
      fallsOf({ perMinute: 150, evenness: 0.97, seconds: 4, spread: 0.04, noise: 0 }, random),
    );
    expect(isUneven(noisy)).toBe(false);
    expect(beatInWords(noisy)).toMatch(/even \(\d\.\d\d ± \d\.\d\d\)$/);
  });
});

/** Trots and walks of many rates, rhythms and noises. */
const GOINGS = ((): Going[] => {
  const random = seededRandom(20);
  const between = (low: number, high: number) => low + (high - low) * random();
  return Array.from({ length: 30 }, (_, at): Going => ({
    perMinute: at % 2 ? between(130, 180) : between(190, 240),
    evenness: between(0.85, 1.15),
    seconds: 8,
    spread: 0.008,
    noise: between(0.01, 0.12),
  }));
})();

describe("footfalls by sound", () => {
  test("on thirty made-up trots and walks 95 of 100 are found within 15 ms, and few others are heard", () => {
    const random = seededRandom(21);
    let [all, found, heard] = [0, 0, 0];
    const offEvenness: number[] = [];
    for (const going of GOINGS) {
      const falls = fallsOf(going, random);
      const out = findFootfalls(soundOf(falls, going, random), RATE);
      if (!out.ok) throw new Error(out.issues[0]?.message);
      const times = out.value.falls.map(({ at }) => at);
      all += falls.length;
      heard += times.length;
      found += falls.filter((fall) => times.some((time) => Math.abs(time - fall) <= 0.015)).length;
      const [truth, read] = [readBeat(falls), readBeat(times)];
      if (truth.ok && read.ok && times.length === falls.length)
        offEvenness.push(Math.abs(read.value.evenness - truth.value.evenness));
    }
    expect(found / all).toBeGreaterThanOrEqual(0.95);
    expect(heard / all).toBeLessThan(1.03);
    // Where every footfall is heard the evenness follows within 0.02.
    expect(offEvenness.length).toBeGreaterThan(22);
    expect(offEvenness.filter((off) => off <= 0.02).length / offEvenness.length).toBeGreaterThanOrEqual(0.95);
  });

  test("silence, nothing, hiss alone and too coarse a sound are said", () => {
    const said = (samples: Float32Array, rate = RATE) => {
      const out = findFootfalls(samples, rate);
      return out.ok ? out.value.falls.length : out.issues[0]?.code;
    };
    expect(said(new Float32Array(0))).toBe("empty");
    expect(said(new Float32Array(RATE))).toBe("silent");
    expect(said(new Float32Array(4000), 800)).toBe("rate");
  });

  test.each([8000, 11_025, 44_100, 48_000])(
    "the clock of a sound of %i samples a second does not drift in 20 s",
    (rate) => {
      const samples = new Float32Array(20 * rate);
      const falls = [0.5, 10, 19.5];
      for (const fall of falls)
        for (let at = 0; at < 0.02 * rate; at++)
          samples[Math.round(fall * rate) + at] =
            0.8 * Math.exp(-at / (0.006 * rate)) * Math.sin((2 * Math.PI * 300 * at) / rate);
      const heard = findFootfalls(samples, rate);
      if (!heard.ok) throw new Error(heard.issues[0]?.message);
      heard.value.falls.forEach(({ at }, index) => expect(Math.abs(at - falls[index]!)).toBeLessThan(0.01));
      expect(heard.value.falls).toHaveLength(3);
      expect(heard.value.stepS * heard.value.envelope.length).toBeCloseTo(20, 2);
    },
  );

  test("the envelope runs with the sound, from 0 to 1", () => {
    const random = seededRandom(3);
    const [going] = GOINGS as [Going];
    const out = findFootfalls(soundOf(fallsOf(going, random), going, random), RATE);
    if (!out.ok) throw new Error("nothing heard");
    const { envelope, stepS } = out.value;
    expect(envelope.length * stepS).toBeCloseTo(going.seconds, 1);
    expect(Math.max(...envelope)).toBeCloseTo(1, 6);
  });
});

describe("footfalls corrected by hand", () => {
  test("one more stands in its place, one is taken out, the nearest is taken up", () => {
    expect(addFall([0.4, 1.2], 0.8)).toEqual([0.4, 0.8, 1.2]);
    expect(removeFall([0.4, 0.8, 1.2], 1)).toEqual([0.4, 1.2]);
    expect(nearestFall([0.4, 0.8, 1.2], 0.95)).toBe(1);
    expect(nearestFall([], 1)).toBeUndefined();
  });

  test("moved it stays between its neighbours, and the others where they are", () => {
    expect(moveFall([0.4, 0.8, 1.2], 1, 0.01)).toEqual([0.4, 0.81, 1.2]);
    expect(moveFall([0.4, 0.8, 1.2], 1, 3)).toEqual([0.4, 1.18, 1.2]);
    expect(moveFall([0.4, 0.8], 0, -3)).toEqual([0, 0.8]);
    expect(moveFall([0.4], 7, 1)).toEqual([0.4]);
  });
});

describe("what a look's beat is held against", () => {
  const kept: KeptBeat = { times: [0, 1], from: "tapped" };
  const look = (id: string, beat?: KeptBeat): LookOfVisit => ({
    id,
    time: "as it came",
    more: false,
    ...(beat && { beat }),
  });

  test("the look before it that has one, else the last visit's last one, else nothing", () => {
    const looks = [look("before", kept), look("shoes-off"), look("after", kept)];
    expect(beatBefore(looks, "after", [])?.look.id).toBe("before");
    expect(beatBefore(looks, "before", [look("a", kept), look("b", kept), look("c")])).toMatchObject({
      look: { id: "b" },
      ofLastVisit: true,
    });
    expect(beatBefore(looks, "before", [])).toBeUndefined();
  });

  test("a trot is not held against a walk; a gait that nobody noted against any", () => {
    const walked = { ...look("before", kept), gait: "walk" } as const;
    const of = (gait: LookOfVisit["gait"]) =>
      beatBefore([walked, { ...look("after", kept), gait }], "after", [])?.look.id;
    expect([of("walk"), of("trot"), of(undefined)]).toEqual(["before", undefined, "before"]);
  });
});
