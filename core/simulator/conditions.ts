import type { Bend } from "./camera";
import { hash } from "./grain";
import { seededRandom, type Random } from "../math/random";

/** Looked up once: these run for every pixel. */
const { min, max, round, abs, sign } = Math;

/** What makes a picture hard to read; each 0 (not at all) to 1 (as hard as it comes) unless it says otherwise. */
export interface Conditions {
  /** Dirt on the foot beyond the ordinary. */
  dirt: number;
  /** Mud that clings to it in patches and hides what is beneath. */
  mud: number;
  /** Water on it: darker horn that shines where the light falls. */
  wet: number;
  /** Hair that hangs down over the hairline, mm at the longest. */
  hairMm: number;
  /** A hand that holds the foot lies over a part of it. */
  hand: boolean;
  /** 1 = daylight; a dark barn is about a third of it, and its picture is grainy. */
  light: number;
  /** Colour of the horn, 1 = ordinary, less is darker, more is paler. */
  horn: number;
  /** A shadow with a straight soft edge over a part of the picture. */
  shadow: number;
  /** Movement while the shutter is open, px of the picture. */
  blurPx: number;
  /** Dirt on the card. */
  cardDirt: number;
  /** One corner of the card bent over. */
  crease: number;
  /** Straight lines behind: boards, and a dark square that is no card. */
  clutter: number;
  /** The card lies in the picture. */
  card: boolean;
}
export const DAYLIGHT: Conditions = {
  dirt: 0,
  mud: 0,
  wet: 0,
  hairMm: 0,
  hand: false,
  light: 1,
  horn: 1,
  shadow: 0,
  blurPx: 0,
  cardDirt: 0,
  crease: 0,
  clutter: 0,
  card: true,
};

/**
 * How pictures are taken beside a horse: mostly fair, now and then in shade, by a moving hand, with a dirty or bent card,
 * before boards. The worst of each is as bad as a picture that somebody would still keep. Assumption.
 */
export function besideTheHorse(random: Random, card = true): Conditions {
  const sometimes = (part: number) => (random() < part ? random() : 0);
  return {
    dirt: random(),
    light: 1 - 0.65 * sometimes(0.6),
    horn: 0.6 + 0.8 * random(),
    shadow: sometimes(0.5),
    blurPx: 4 * sometimes(0.5),
    cardDirt: sometimes(0.5),
    crease: sometimes(0.25),
    clutter: sometimes(0.5),
    card,
    mud: sometimes(0.3),
    wet: sometimes(0.3),
    hairMm: 7 * sometimes(0.6),
    hand: random() < 0.25,
  };
}

/** How a phone's lens bends what it sees: a little, mostly inwards. Assumption. */
export const phoneBend = (random: Random): Bend => ({
  third: -0.05 + 0.08 * random(),
  fifth: 0.02 * (random() - 0.5),
});

/** How much grain a picture without any light would have, as a part of the brightest. */
const MOST_GRAIN = 0.22;
/** What the deepest shadow leaves of the light, and how wide its edge is, as a part of the picture. */
const SHADOW = { leaves: 0.35, edge: 0.04 };

/** Puts shadow, movement and dark over a finished picture, in that order. */
export function weather(
  pixels: Uint8ClampedArray,
  { width, height }: { width: number; height: number },
  { shadow, blurPx, light }: Conditions,
  seed: number,
): void {
  const random = seededRandom(seed ^ 0x5eed);
  if (shadow > 0) shade(pixels, width, height, shadow, random);
  if (blurPx >= 1) move(pixels, width, height, blurPx, random);
  if (light < 1) darken(pixels, width, light, seed);
}

function shade(
  pixels: Uint8ClampedArray,
  width: number,
  height: number,
  shadow: number,
  random: Random,
): void {
  const turn = 2 * Math.PI * random();
  const across = Math.cos(turn);
  const down = Math.sin(turn);
  const at = (random() - 0.5) * 0.6;
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      const place = (across * (column - width / 2) + down * (row - height / 2)) / width - at;
      const inside = min(1, max(0, place / SHADOW.edge + 0.5));
      if (inside === 0) continue;
      const left = 1 - inside * shadow * (1 - SHADOW.leaves);
      const pixel = 4 * (row * width + column);
      for (let channel = 0; channel < 3; channel++)
        pixels[pixel + channel] = (pixels[pixel + channel] ?? 0) * left;
    }
}

/** Rounded alike on both sides of nothing, so that a blur moves no edge. */
const evenly = (by: number): number => sign(by) * round(abs(by));

function move(
  pixels: Uint8ClampedArray,
  width: number,
  height: number,
  blurPx: number,
  random: Random,
): void {
  const turn = Math.PI * random();
  const taps = max(2, round(blurPx) + 1);
  const before = pixels.slice();
  const steps = Array.from({ length: taps }, (_, tap) => {
    const by = blurPx * (tap / (taps - 1) - 0.5);
    return [evenly(by * Math.cos(turn)), evenly(by * Math.sin(turn))] as const;
  });
  const across = Int32Array.from(steps, ([one]) => one);
  const down = Int32Array.from(steps, ([, one]) => one);
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      let red = 0;
      let green = 0;
      let blue = 0;
      for (let tap = 0; tap < taps; tap++) {
        const x = min(width - 1, max(0, column + (across[tap] ?? 0)));
        const y = min(height - 1, max(0, row + (down[tap] ?? 0)));
        const from = 4 * (y * width + x);
        red += before[from] ?? 0;
        green += before[from + 1] ?? 0;
        blue += before[from + 2] ?? 0;
      }
      const pixel = 4 * (row * width + column);
      pixels[pixel] = red / taps;
      pixels[pixel + 1] = green / taps;
      pixels[pixel + 2] = blue / taps;
    }
}

/** The same picture in less light: darker, and grainy, as a phone takes it. */
function darken(pixels: Uint8ClampedArray, width: number, light: number, seed: number): void {
  const grain = MOST_GRAIN * (1 - light) * 255;
  for (let at = 0; at < pixels.length; at += 4) {
    const pixel = at >> 2;
    const speck = (hash(pixel % width, (pixel / width) | 0, 13, seed) - 0.5) * grain;
    for (let channel = 0; channel < 3; channel++)
      pixels[at + channel] = (pixels[at + channel] ?? 0) * light + speck;
  }
}
