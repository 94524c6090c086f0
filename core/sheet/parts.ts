import { changeSince } from "../repeatability/change";
import type { Noise } from "../repeatability/repeatability";
import { axisChangeNoise } from "../foot/axis";
import { LIMBS, type Limb } from "../foot/limb";
import type { FootValues } from "../foot/measures";
import { sentenceCase, type Wording } from "../foot/wording";
import { specInWords } from "../shoe/specWords";
import { CUT_NAMES, CUTS } from "../trim/trimRecord";
import type { VisitFoot } from "../visit/visitFoot";
import { leftWith } from "../cycle/horseDue";
import type { SheetPart } from "./sheet";

const DASH = "–";

/** What a foot was left with at a visit: measured after, where that is missing before. */
export const leftNow = ({ values }: Pick<VisitFoot, "values">): FootValues => ({
  ...values.before,
  ...values.after,
});

interface Number4 {
  name: string;
  of: (values: FootValues) => number | undefined;
  noise: (noise: Noise) => number;
  show: (value: number, wording: Wording) => string;
}

const heels = ({ heelHeightMedial, heelHeightLateral }: FootValues): number | undefined =>
  heelHeightMedial && heelHeightLateral && (heelHeightMedial.value + heelHeightLateral.value) / 2;
const axis = ({ dorsalAngle, pasternAngle }: FootValues): number | undefined =>
  dorsalAngle && pasternAngle && dorsalAngle.value - pasternAngle.value;

const length: Pick<Number4, "noise" | "show"> = {
  noise: ({ lengthMm }) => lengthMm,
  show: (value, wording) => wording.length(value),
};
/** The four numbers that tell a foot. */
export const FOUR_NUMBERS: readonly Number4[] = [
  {
    name: "Wall’s angle",
    of: ({ dorsalAngle }) => dorsalAngle?.value,
    noise: ({ angleDeg }) => angleDeg,
    show: (value, wording) => wording.angle(value),
  },
  {
    name: "Wall against pastern",
    of: axis,
    noise: ({ angleDeg }) => axisChangeNoise(angleDeg),
    show: (value, wording) => `${value > 0 ? "+" : value < 0 ? "−" : ""}${wording.angle(Math.abs(value))}`,
  },
  { name: "Toe length", of: ({ toeLength }) => toeLength?.value, ...length },
  { name: "Heel height", of: heels, ...length },
];

/** Four numbers a foot as they were left, with what changed since the last visit beyond the noise of measuring. */
export function fourNumbers(feet: Record<Limb, VisitFoot>, noise: Noise, wording: Wording): SheetPart {
  return {
    kind: "table",
    head: ["Foot", ...FOUR_NUMBERS.map(({ name }) => name)],
    rows: LIMBS.map((limb) => {
      const now = leftNow(feet[limb]);
      const then = leftWith(feet[limb].last);
      return [
        sentenceCase(wording.limb(limb)),
        ...FOUR_NUMBERS.map(({ of, noise: noiseOf, show }) => {
          const value = of(now);
          if (value === undefined) return DASH;
          const was = of(then);
          if (was === undefined) return show(value, wording);
          const changed = changeSince(value, was, noiseOf(noise));
          return `${show(value, wording)}${changed.real ? ` (was ${show(was, wording)})` : ", same"}`;
        }),
      ];
    }),
    note: "As they were left. In brackets the last visit; the same is what lies within the noise of measuring.",
  };
}

/** What was done to each foot: cuts and shoe. */
export function whatWasDone(feet: Record<Limb, VisitFoot>, wording: Wording): string[] {
  return LIMBS.flatMap((limb) => {
    const { cuts, shoe } = feet[limb];
    const taken = CUTS.flatMap((cut) => {
      const mm = cuts[cut];
      return mm === undefined || mm === 0 ? [] : [`${wording.inOwnWords(CUT_NAMES[cut])} ${wording.cut(mm)}`];
    });
    const parts = [
      ...(taken.length > 0 ? [`taken off: ${taken.join(", ")}`] : []),
      ...(shoe?.spec ? [specInWords(shoe.spec, wording)] : []),
    ];
    return parts.length > 0 ? [`${sentenceCase(wording.limb(limb))}: ${parts.join(". ")}`] : [];
  });
}

/** What was left alone, as far as the plan tells: an axis still off, a trim in stages, why it went otherwise. */
export function whatWasLeft(feet: Record<Limb, VisitFoot>, noise: Noise, wording: Wording): string[] {
  return LIMBS.flatMap((limb) => {
    const { trim } = feet[limb];
    const off = axis(leftNow(feet[limb]));
    const name = sentenceCase(wording.limb(limb));
    const says: string[] = [];
    if (off !== undefined && Math.abs(off) > axisChangeNoise(noise.angleDeg))
      says.push(
        `${name}: wall and pastern still ${wording.angle(Math.abs(off))} apart (${off < 0 ? "broken back" : "broken forward"}). Horn that is not there cannot be cut; the rest is for time and the shoe.`,
      );
    if (trim?.plan?.stage)
      says.push(
        `${name}: part of a trim in ${trim.plan.stage.of} visits, the next about ${trim.plan.stage.next}.`,
      );
    if (trim?.atOnceWhy) says.push(`${name}: all at once, because ${trim.atOnceWhy}.`);
    return says;
  });
}
