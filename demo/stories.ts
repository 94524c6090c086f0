import { isFore } from "~core/foot/limb";
import { sizeFactor, type FootParameters } from "~core/foot/parametric/parameters";
import type { Look } from "~core/foot/records/look";
import type { WatchingRecord } from "~core/gait/watchingRecord";
import type { Story } from "./yards";

/** Heels of a contracted foot over those of a sound one. */
export const CONTRACTED_HEELS = 0.75;
/** Tilt of a sheared hairline, deg: the medial side stands higher. */
export const SHEARED_TILT_DEG = -6;

export const isSheared = (foot: Pick<FootParameters, "limb">, story: Story | undefined): boolean =>
  story === "sheared heel" && foot.limb === "LF";
export const isContracted = (foot: Pick<FootParameters, "limb">, story: Story | undefined): boolean =>
  story === "contracted pair" && isFore(foot.limb);

/** The foot as it is measured where a horse's story is a trouble at a definite size; it grows and is cut as any other. */
export function storyFoot(foot: FootParameters, story: Story | undefined): FootParameters {
  const { medial, lateral } = foot.heelHeightMm;
  if (isSheared(foot, story))
    return {
      ...foot,
      heelHeightMm: { medial: medial + 7, lateral: Math.max(8, lateral - 5) },
      wallAboveSoleMm: { ...foot.wallAboveSoleMm, medial: foot.wallAboveSoleMm.medial + 7 },
    };
  if (isContracted(foot, story)) return { ...foot, frog: { ...foot.frog, widthRatio: 0.72 } };
  if (story === "club foot" && foot.limb === "RF")
    return {
      ...foot,
      dorsalAngleDeg: foot.dorsalAngleDeg + 11,
      pasternAngleDeg: foot.pasternAngleDeg + 9,
      heelAngleDeg: foot.heelAngleDeg + 10,
      heelHeightMm: { medial: medial + 12, lateral: lateral + 12 },
    };
  if (story === "run toe" && foot.limb === "LF")
    return { ...foot, dishDeg: foot.dishDeg + 5, toeRunMm: foot.toeRunMm + 18 * sizeFactor(foot) };
  return foot;
}

/** What is seen of such a foot as the horse stands and walks. */
export function storyWatched(
  foot: FootParameters,
  story: Story | undefined,
): Partial<Pick<WatchingRecord, "hairline" | "lands" | "slide" | "slideReach">> {
  if (!isSheared(foot, story)) return {};
  return {
    hairline: { quarterMedial: "pushed up", quarterLateral: "level" },
    lands: [-44, 44],
    slide: "twists outwards",
    slideReach: "under 1 cm",
  };
}

/** And what its horn shows when it is cleaned. */
export const storyHorn = (
  foot: FootParameters,
  story: Story | undefined,
): Pick<Look, "cleft" | "tubules" | "heelHorn"> =>
  isSheared(foot, story)
    ? {
        cleft: "to lateral",
        tubules: { medial: "run forward", lateral: "straight" },
        heelHorn: { medial: "strong", lateral: "soft" },
      }
    : {};
