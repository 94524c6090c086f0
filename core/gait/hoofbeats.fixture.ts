import { normalDraw, type Random } from "../math/random";

/** How a made-up horse goes, as far as it is heard. */
export interface Going {
  /** Footfalls a minute. */
  perMinute: number;
  /** Mean odd interval over mean even one. */
  evenness: number;
  seconds: number;
  /** Spread of single intervals, s. */
  spread: number;
  /** Loudness of the noise over that of the footfalls. */
  noise: number;
}

/** Samples a second of the made-up sounds. */
export const RATE = 8000;

/** Footfalls with a known rhythm, s. */
export function fallsOf({ perMinute, evenness, seconds, spread }: Going, random: Random): number[] {
  const both = 120 / perMinute;
  const intervals = [(both * evenness) / (1 + evenness), both / (1 + evenness)];
  const falls: number[] = [];
  for (let [time, at] = [0.4, 0]; time < seconds - 0.4; at++) {
    falls.push(time + normalDraw(random, 0, spread));
    time += intervals[at % 2] ?? both;
  }
  return falls;
}

/** The sound of footfalls: dull thuds of unlike loudness over hiss and wind. -1 to 1. */
export function soundOf(falls: readonly number[], { seconds, noise }: Going, random: Random): Float32Array {
  const samples = new Float32Array(Math.round(seconds * RATE));
  let wind = 0;
  for (let at = 0; at < samples.length; at++) {
    wind = 0.999 * wind + 0.02 * noise * normalDraw(random, 0, 1);
    samples[at] = 0.25 * noise * normalDraw(random, 0, 1) * 0.5 + 0.3 * wind;
  }
  for (const fall of falls) {
    const loud = 0.25 + 0.2 * random();
    const pitch = 90 + 80 * random();
    const from = Math.round(fall * RATE);
    for (let at = 0; at < 0.09 * RATE && from + at < samples.length; at++) {
      const t = at / RATE;
      // It rises within some milliseconds and dies away; a little gravel in it.
      const shape = (1 - Math.exp(-t / 0.003)) * Math.exp(-t / 0.02);
      samples[from + at] =
        (samples[from + at] ?? 0) +
        loud * shape * (Math.sin(2 * Math.PI * pitch * t) + 0.5 * normalDraw(random, 0, 1));
    }
  }
  return samples.map((one) => Math.max(-1, Math.min(1, one)));
}
