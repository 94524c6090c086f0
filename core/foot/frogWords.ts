import { frogHangs, frogPlane } from "./frogPlane";
import type { Wording } from "./wording";

/** Chalk up to this and there is little sole; from that on the foot is long, mm. Assumption, because trade practice says at once and deep. */
const LITTLE_CHALK_MM = 1;
const DEEP_CHALK_MM = 5;

/** What the chalk at the point of the frog says of how much foot there is: the first witness. */
export const chalkSays = (mm: number): string =>
  mm <= LITTLE_CHALK_MM
    ? "Even and waxy at once: there is little sole, and little may come off."
    : mm >= DEEP_CHALK_MM
      ? "Deep chalk: the foot is long. Stop where it turns even, waxy and elastic."
      : "An ordinary depth of chalk: the live sole is near.";

/** What follows from the frog's height: the gap under this shoe (0 mm for a bare foot), and the stop for the rasp. */
export function frogSays(proudMm: number, shoeMm: number, wording: Wording): string {
  const { gap, touchCut } = frogPlane({ proud: proudMm, thickness: shoeMm });
  const under =
    shoeMm > 0
      ? `Under this shoe of ${wording.cut(shoeMm)} ${gap > 0 ? `there are ${wording.cut(gap)} of air between frog and firm ground: a plate, pad or compound that high just touches` : "the frog reaches firm ground"}.`
      : gap > 0
        ? `Bare, it hangs ${wording.cut(gap)} above firm ground.`
        : "Bare, it reaches firm ground.";
  const stop =
    touchCut > 0
      ? ` A rasp across the heels touches it after ${wording.cut(touchCut)}: stop there.`
      : " A rasp across the heels touches it at once.";
  const hangs = frogHangs(proudMm) ? " It hangs: a prolapsed frog, whatever its length or width." : "";
  return `${under}${stop}${hangs}`;
}

/** What a heel cut does to a frog whose plane was measured: past it the frog stands proud; undefined where it does not. */
export function frogOnCut(
  { frogProudMm }: { frogProudMm?: number | undefined },
  { heelMedial, heelLateral }: { heelMedial: number; heelLateral: number },
  wording: Wording,
): string | undefined {
  if (frogProudMm === undefined) return undefined;
  const heelCut = (heelMedial + heelLateral) / 2;
  const { proudAfter, touchCut } = frogPlane({ proud: frogProudMm, thickness: 0, heelCut });
  return heelCut > touchCut + 0.25 && proudAfter > 0.25
    ? `The heels come down past the frog: it will stand ${wording.cut(proudAfter)} proud of them.`
    : undefined;
}
