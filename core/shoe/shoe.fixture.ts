import { factsOfLife, type ShoeFacts } from "./facts";
import { NO_SETTING, type FitQuestion, type ShodFoot } from "./fitQuestion";
import { ordinaryKnots, ordinaryShodFoot } from "./ordinaryShodFoot";
import type { OutlineKnots } from "./outline";
import { ordinaryShoe, type Specification } from "./specification";

/** A sound riding horse's left fore, nothing known of its work. */
export const facts = (more: Partial<ShoeFacts> = {}): ShoeFacts => ({
  ...factsOfLife({ limb: "LF", kind: "horse", massKg: 520 }),
  ...more,
});

/** An ordinary foot about its midline, and its points. */
export const knotsOf = (limb: "LF" | "LH" = "LF", massKg = 520): OutlineKnots =>
  ordinaryKnots({ limb, kind: "horse", massKg });
export const shodFoot = (limb: "LF" | "LH" = "LF", massKg = 520): ShodFoot =>
  ordinaryShodFoot({ limb, kind: "horse", massKg });

/** An ordinary shoe on an ordinary foot. */
export const fitQuestion = (
  spec: Partial<Specification> = {},
  more: Partial<FitQuestion> = {},
): FitQuestion => ({
  foot: shodFoot(),
  spec: { ...ordinaryShoe("LF", 520), ...spec },
  setting: NO_SETTING,
  breakover: { fromToe: 0, direction: 0 },
  skip: [],
  ...more,
});
