import { fail, ok, type Result } from "../result";

/** A footfall that was heard. */
export interface Footfall {
  /** Seconds from the beginning. */
  at: number;
}

/** What was heard in a sound: footfalls, and the envelope they were found in, for its chart. */
export interface Heard {
  falls: Footfall[];
  /** Loudness in steps of `stepS`, 0 to 1. */
  envelope: Float32Array;
  stepS: number;
}

/** The envelope's step and window, s: fine against the 15 ms to which a footfall is wanted. */
const STEP_S = 0.002;
const WINDOW_S = 0.008;
/** An onset is the rise over so many seconds. */
const RISE_S = 0.016;
/** The noise about a place is taken over so many seconds to each side. */
const ABOUT_S = 1.5;
/** An onset has to stand this many times over the spread of what is about it, and over this part of the loudest ones. */
const OVER_SPREAD = 5;
const OVER_LOUDEST = 0.18;
/** No two footfalls that are heard apart lie closer than this, s. Assumption, from the walk's four beats. */
const LEAST_APART_S = 0.13;
/** A sound in which nothing is louder than this is silent, full scale = 1. */
const SILENT = 1e-4;
/** The steepest part of its rise is a footfall's own moment; looked for this far back from the peak of the onset, s. */
const BACK_S = 0.03;
/** What lies below is wind and handling, Hz. */
const LOW_HZ = 35;

/** Takes away what lies below `hz`: a one-pole filter, twice. */
function withoutLow(samples: Float32Array, rate: number, hz: number): Float32Array {
  const keep = Math.exp((-2 * Math.PI * hz) / rate);
  const pass = (from: Float32Array): Float32Array => {
    const out = new Float32Array(from.length);
    let [was, level] = [0, 0];
    for (let at = 0; at < from.length; at++) {
      const now = from[at] ?? 0;
      level = keep * (level + now - was);
      was = now;
      out[at] = level;
    }
    return out;
  };
  return pass(pass(samples));
}

/** Root mean square in steps of so many samples over windows of WINDOW_S. */
function envelopeOf(samples: Float32Array, rate: number, step: number): Float32Array {
  const half = Math.max(1, Math.round((rate * WINDOW_S) / 2));
  const squares = new Float64Array(samples.length + 1);
  for (let at = 0; at < samples.length; at++) squares[at + 1] = (squares[at] ?? 0) + (samples[at] ?? 0) ** 2;
  const count = Math.floor(samples.length / step);
  return Float32Array.from({ length: count }, (_, at) => {
    const [from, to] = [Math.max(0, at * step - half), Math.min(samples.length, at * step + half)];
    return Math.sqrt(Math.max(0, (squares[to] ?? 0) - (squares[from] ?? 0)) / (to - from));
  });
}

const medianOf = (values: Float32Array): number => {
  const sorted = Float32Array.from(values).sort();
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
};

/**
 * Footfalls in a sound, mono samples from -1 to 1: places where its loudness rises faster than the noise about them, not
 * closer together than a walk's beats. What is too soft or covered is missed, and what else knocks is heard: they are there
 * to be corrected by hand. Errors: `empty`, `rate`, `silent`, `none` where nothing stands out.
 * Source: onset detection by rise of energy with an adaptive threshold, Bello and others 2005.
 */
export function findFootfalls(samples: Float32Array, rate: number): Result<Heard> {
  if (samples.length === 0) return fail("empty", "samples", "This sound has no length.");
  if (!(rate >= 4000))
    return fail("rate", "rate", "A sound of at least 4000 samples a second is wanted.", rate);
  const step = Math.max(1, Math.round(rate * STEP_S));
  // Whole samples: at 44.1 kHz a step is a little shorter than it is wanted, and counted as long as it is.
  const stepS = step / rate;
  const envelope = envelopeOf(withoutLow(samples, rate, LOW_HZ), rate, step);
  const loudest = envelope.reduce((most, one) => Math.max(most, one), 0);
  if (loudest < SILENT)
    return fail(
      "silent",
      "samples",
      "Nothing is heard in it. Take a clip with its sound on, or tap along with the picture.",
    );
  const rise = Math.round(RISE_S / stepS);
  const onset = Float32Array.from(envelope, (now, at) =>
    Math.max(0, Math.sqrt(now) - Math.sqrt(envelope[Math.max(0, at - rise)] ?? 0)),
  );
  const about = Math.round(ABOUT_S / stepS);
  const apart = Math.round(LEAST_APART_S / stepS);
  // Noise by blocks of a quarter of the stretch about it: a median at every step would say the same.
  const block = Math.max(1, Math.round(about / 4));
  const levels = Array.from({ length: Math.ceil(onset.length / block) }, (_, at) => {
    const part = onset.subarray(Math.max(0, at * block - about), Math.min(onset.length, at * block + about));
    const middle = medianOf(part);
    const spread = medianOf(part.map((one) => Math.abs(one - middle)));
    return middle + OVER_SPREAD * Math.max(spread, 1e-6);
  });
  const peaks: { at: number; height: number }[] = [];
  for (let at = 1; at + 1 < onset.length; at++) {
    const height = onset[at] ?? 0;
    if (height < (levels[Math.floor(at / block)] ?? 0)) continue;
    if (height < (onset[at - 1] ?? 0) || height <= (onset[at + 1] ?? 0)) continue;
    peaks.push({ at, height });
  }
  // The highest first; what lies too near to a higher one is its echo.
  const kept: typeof peaks = [];
  for (const peak of [...peaks].sort((a, b) => b.height - a.height))
    if (kept.every(({ at }) => Math.abs(at - peak.at) >= apart)) kept.push(peak);
  const high = kept.slice(0, Math.max(1, Math.ceil(kept.length / 4)));
  const typical = high[high.length - 1]?.height ?? 0;
  const falls = kept
    .filter(({ height }) => height >= OVER_LOUDEST * typical)
    .sort((a, b) => a.at - b.at)
    .map(({ at }) => ({ at: steepest(envelope, at, Math.round(BACK_S / stepS)) * stepS }));
  if (falls.length === 0)
    return fail("none", "samples", "No footfall stands out of this sound. Tap along with it instead.");
  return ok({ falls, envelope: envelope.map((one) => one / loudest), stepS });
}

/** The step, up to so many before the peak of an onset, at which the loudness rises fastest. */
function steepest(envelope: Float32Array, peak: number, back: number): number {
  let [best, most] = [peak, 0];
  for (let at = Math.max(1, peak - back); at <= peak; at++) {
    const rises = (envelope[at] ?? 0) - (envelope[at - 1] ?? 0);
    if (rises > most) [best, most] = [at, rises];
  }
  return best;
}
