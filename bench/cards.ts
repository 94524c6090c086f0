import { distance } from "~core/geometry/vector";
import { seededRandom, type Random } from "~core/math/random";
import { findCard } from "~core/photo/findCard";
import { greyOf } from "~core/photo/grey";
import { MEASURED_VIEWS } from "~core/photo/views";
import { practiceFoot } from "~core/practice/practiceFoot";
import { besideTheHorse } from "~core/simulator/conditions";
import { renderScene } from "~core/simulator/render";
import { aimAt, sceneOf, truthInPicture } from "~core/simulator/scene";
import { median } from "./core";

/** A picture as it is taken beside a horse; none of these seeds was used to tune anything. */
export function picture(random: Random, width: number, card: boolean) {
  const { foot } = practiceFoot(random, { count: Math.floor(4 * random()), size: 1 });
  const view = MEASURED_VIEWS[Math.floor(3 * random())] ?? "sole";
  const scene = sceneOf(foot, view);
  const distanceMm = 900 + 900 * random();
  const camera = aimAt(scene, {
    width,
    height: (3 * width) / 4,
    slantDeg: 22 * random() ** 1.5,
    azimuthDeg: 360 * random(),
    rollDeg: 24 * (random() - 0.5),
    distanceMm,
    focal35: (130 * distanceMm) / 1600,
  });
  const seed = Math.floor(1e9 * random());
  const conditions = besideTheHorse(random, card);
  const rgba = renderScene(scene, camera, seed, conditions);
  return {
    grey: greyOf(rgba, camera.width, camera.height),
    truth: truthInPicture(scene, camera, true).scale,
    conditions,
  };
}

export interface CardFigures {
  /** Parts of the pictures with a card in which it was found and sure. */
  sure: number;
  /** Sure, and a corner off by more than two pixels. */
  wrong: number;
  /** Largest miss of a corner where it was sure, px: median and 95 of 100. */
  missPx: number;
  missPx95: number;
  /** Sure of a card where there is none, of as many pictures. */
  false: number;
  liveMs: number;
  largeMs: number;
}

/** The card looked for in `n` made pictures, and in `none` without one. */
export function cardFigures(n: number, none: number, seed = 90_001): CardFigures {
  const random = seededRandom(seed);
  const misses: number[] = [];
  const live: number[] = [];
  let sure = 0;
  for (let index = 0; index < n; index++) {
    const { grey, truth } = picture(random, 1280, true);
    const from = performance.now();
    const found = findCard(grey);
    live.push(performance.now() - from);
    if (!found.ok || !found.value.sure || truth.kind !== "card") continue;
    sure++;
    misses.push(
      Math.max(...truth.corners.map((corner, at) => distance(corner, found.value.corners[at] ?? [0, 0]))),
    );
  }
  let wrongly = 0;
  for (let index = 0; index < none; index++) {
    const found = findCard(picture(random, 960, false).grey);
    if (found.ok && found.value.sure) wrongly++;
  }
  const large: number[] = [];
  for (let index = 0; index < 3; index++) {
    const { grey } = picture(random, 4000, true);
    const from = performance.now();
    findCard(grey);
    large.push(performance.now() - from);
  }
  misses.sort((a, b) => a - b);
  return {
    sure: sure / n,
    wrong: misses.filter((px) => px > 2).length,
    missPx: median(misses),
    missPx95: misses[Math.floor(misses.length * 0.95)] ?? Number.NaN,
    false: wrongly,
    liveMs: median(live),
    largeMs: median(large),
  };
}
