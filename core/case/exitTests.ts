import { z } from "zod";
import type { Wording } from "../foot/wording";

const degrees = z
  .number()
  .min(0.5, { error: "Half a degree at least." })
  .max(30, { error: "No more than 30 degrees." });
const millimetres = z.number().min(0).max(250);
const count = z.int().min(1, { error: "One at least." }).max(40, { error: "No more than 40." });

/** How it is seen that a stage has done its work: each is answered from what is measured at a visit. */
export const exitTestSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("heels like wall"), within: degrees }),
  z.strictObject({ kind: z.literal("axis straight"), within: degrees }),
  z.strictObject({ kind: z.literal("axis like pair"), within: degrees }),
  z.strictObject({ kind: z.literal("frog on ground"), within: millimetres }),
  z.strictObject({ kind: z.literal("white line under"), under: millimetres }),
  z.strictObject({ kind: z.literal("sole depth"), least: millimetres }),
  z.strictObject({
    kind: z.literal("palmar angle"),
    from: z.number().min(-20).max(40),
    to: z.number().min(-20).max(40),
  }),
  z.strictObject({ kind: z.literal("capsule rotation"), within: degrees }),
  z.strictObject({ kind: z.literal("grown down"), least: millimetres }),
  z.strictObject({ kind: z.literal("defect under"), under: millimetres }),
  z.strictObject({ kind: z.literal("stands on it"), visits: count }),
  z.strictObject({ kind: z.literal("shoeings"), least: count }),
  z.strictObject({ kind: z.literal("vet agrees") }),
]);
export type ExitTest = z.infer<typeof exitTestSchema>;
export type ExitKind = ExitTest["kind"];

/** What one foot shows at a visit, as far as exit tests ask; what was not measured is missing. Deg and mm. */
export interface ExitFacts {
  dorsalAngle?: number | undefined;
  heelAngle?: number | undefined;
  /** Dorsal less pastern angle, and the pair's. */
  axis?: number | undefined;
  pairAxis?: number | undefined;
  /** Frog short of the ground with what is under the heels; 0 where it touches. */
  frogGap?: number | undefined;
  /** The widest white line that was measured. */
  whiteLine?: number | undefined;
  /** Off the newest radiograph since the stage began, with its day. */
  film?:
    | { soleDepth?: number | undefined; palmarAngle: number; capsuleRotation: number; date: string }
    | undefined;
  /** The case's own defect: below the hairline, and its length; `gone` where it has grown out. */
  defect?:
    { below?: number | undefined; length?: number | undefined; gone?: boolean | undefined } | undefined;
  /** Whether the horse stood on it quietly, visit by visit since the stage began, oldest first. */
  stood: readonly boolean[];
  shoeings: number;
  vetAgreed?: string | undefined;
}

/** Whether a test is met, and the numbers it says so by. */
export interface ExitAnswer {
  state: "met" | "not yet" | "not measured";
  says: string;
}

const unmeasured = (what: string): ExitAnswer => ({ state: "not measured", says: `${what}: not measured` });
const answer = (met: boolean, says: string): ExitAnswer => ({ state: met ? "met" : "not yet", says });

/** Kept readings are whole half degrees and millimetres; a sum of them is not told apart closer. */
const ROUNDING = 1e-6;

/** One test answered from what a foot shows. A value that lies on the bound meets it. */
export function answerExit(test: ExitTest, facts: ExitFacts, wording: Wording): ExitAnswer {
  const { length, angle } = wording;
  const most = (value: number, bound: number) => Math.abs(value) <= bound + ROUNDING;
  const least = (value: number, bound: number) => value >= bound - ROUNDING;
  switch (test.kind) {
    case "heels like wall": {
      if (facts.dorsalAngle === undefined || facts.heelAngle === undefined)
        return unmeasured("Heel and wall angle");
      const off = facts.dorsalAngle - facts.heelAngle;
      return answer(
        most(off, test.within),
        `Heels ${angle(Math.abs(off))} ${off >= 0 ? "flatter" : "steeper"} than the wall, ${angle(test.within)} asked`,
      );
    }
    case "axis straight":
      if (facts.axis === undefined) return unmeasured("Axis");
      return answer(
        most(facts.axis, test.within),
        `Axis ${signed(facts.axis, angle)}, within ${angle(test.within)} asked`,
      );
    case "axis like pair": {
      if (facts.axis === undefined || facts.pairAxis === undefined) return unmeasured("Axis of both feet");
      const off = facts.axis - facts.pairAxis;
      return answer(
        most(off, test.within),
        `Axis ${angle(Math.abs(off))} off the other foot’s, ${angle(test.within)} asked`,
      );
    }
    case "frog on ground":
      if (facts.frogGap === undefined) return unmeasured("Frog’s height");
      return answer(
        facts.frogGap <= test.within + ROUNDING,
        `Frog ${length(facts.frogGap)} off the ground, ${length(test.within)} asked`,
      );
    case "white line under":
      if (facts.whiteLine === undefined) return unmeasured("White line");
      return answer(
        facts.whiteLine < test.under,
        `White line ${length(facts.whiteLine)}, under ${length(test.under)} asked`,
      );
    case "sole depth":
      if (facts.film?.soleDepth === undefined) return unmeasured("Sole depth on a radiograph");
      return answer(
        least(facts.film.soleDepth, test.least),
        `Sole ${length(facts.film.soleDepth)} under the tip (radiograph), ${length(test.least)} asked`,
      );
    case "palmar angle":
      if (!facts.film) return unmeasured("Palmar angle on a radiograph");
      return answer(
        least(facts.film.palmarAngle, test.from) && facts.film.palmarAngle <= test.to + ROUNDING,
        `Palmar angle ${angle(facts.film.palmarAngle)} (radiograph), ${angle(test.from)} to ${angle(test.to)} asked`,
      );
    case "capsule rotation":
      if (!facts.film) return unmeasured("Capsule rotation on a radiograph");
      return answer(
        most(facts.film.capsuleRotation, test.within),
        `Capsule rotation ${signed(facts.film.capsuleRotation, angle)} (radiograph), within ${angle(test.within)} asked`,
      );
    case "grown down":
      if (facts.defect?.gone) return answer(true, "Grown out");
      if (facts.defect?.below === undefined) return unmeasured("How far it has grown down");
      return answer(
        least(facts.defect.below, test.least),
        `${length(facts.defect.below)} below the hairline, ${length(test.least)} asked`,
      );
    case "defect under":
      if (facts.defect?.gone) return answer(true, "Grown out");
      if (facts.defect?.length === undefined) return unmeasured("Its length");
      return answer(
        facts.defect.length < test.under,
        `${length(facts.defect.length)} long, under ${length(test.under)} asked`,
      );
    case "stands on it": {
      if (facts.stood.length === 0) return unmeasured("How it stands on the foot");
      const run = facts.stood.length - 1 - facts.stood.lastIndexOf(false);
      return answer(run >= test.visits, `Stood on it quietly ${times(run)} in a row, ${test.visits} asked`);
    }
    case "shoeings":
      return answer(facts.shoeings >= test.least, `${facts.shoeings} of ${test.least} shoeings done`);
    case "vet agrees":
      return answer(
        facts.vetAgreed !== undefined,
        facts.vetAgreed === undefined
          ? "The vet has not said so yet"
          : `The vet agreed on ${facts.vetAgreed}`,
      );
  }
}

const times = (n: number): string => (n === 1 ? "once" : `${n} times`);
const signed = (value: number, angle: (value: number) => string): string =>
  `${value > 0 ? "+" : value < 0 ? "−" : ""}${angle(Math.abs(value))}`;

/** How each test is offered: what it asks, and the bounds it begins with. Bounds: trade practice, to be read with the vet. */
export const EXIT_TESTS: Record<ExitKind, { name: string; unit?: "deg" | "mm" | "times"; start: ExitTest }> =
  {
    "heels like wall": {
      name: "Heels near the wall’s angle",
      unit: "deg",
      start: { kind: "heels like wall", within: 5 },
    },
    "axis straight": { name: "Axis straight", unit: "deg", start: { kind: "axis straight", within: 2 } },
    "axis like pair": {
      name: "Axis like the other foot’s",
      unit: "deg",
      start: { kind: "axis like pair", within: 3 },
    },
    "frog on ground": {
      name: "Frog near the ground",
      unit: "mm",
      start: { kind: "frog on ground", within: 3 },
    },
    "white line under": {
      name: "White line narrower than",
      unit: "mm",
      start: { kind: "white line under", under: 4 },
    },
    "sole depth": {
      name: "Sole depth on a radiograph",
      unit: "mm",
      start: { kind: "sole depth", least: 15 },
    },
    "palmar angle": {
      name: "Palmar angle on a radiograph",
      unit: "deg",
      start: { kind: "palmar angle", from: 3, to: 8 },
    },
    "capsule rotation": {
      name: "Capsule rotation on a radiograph",
      unit: "deg",
      start: { kind: "capsule rotation", within: 2 },
    },
    "grown down": {
      name: "Grown down from the hairline",
      unit: "mm",
      start: { kind: "grown down", least: 30 },
    },
    "defect under": { name: "Defect shorter than", unit: "mm", start: { kind: "defect under", under: 15 } },
    "stands on it": {
      name: "Stands on it quietly",
      unit: "times",
      start: { kind: "stands on it", visits: 2 },
    },
    shoeings: { name: "Shoeings done", unit: "times", start: { kind: "shoeings", least: 2 } },
    "vet agrees": { name: "The vet agrees", start: { kind: "vet agrees" } },
  };

/** A test in one line: "Heels within 5° of the wall". */
export function exitInWords(test: ExitTest, { length, angle }: Wording): string {
  switch (test.kind) {
    case "heels like wall":
      return `Heels within ${angle(test.within)} of the wall`;
    case "axis straight":
      return `Axis straight within ${angle(test.within)}`;
    case "axis like pair":
      return `Axis within ${angle(test.within)} of the other foot’s`;
    case "frog on ground":
      return `Frog within ${length(test.within)} of the ground`;
    case "white line under":
      return `White line under ${length(test.under)}`;
    case "sole depth":
      return `Sole ${length(test.least)} or more under the tip, on a radiograph`;
    case "palmar angle":
      return `Palmar angle ${angle(test.from)} to ${angle(test.to)}, on a radiograph`;
    case "capsule rotation":
      return `Capsule rotation within ${angle(test.within)}, on a radiograph`;
    case "grown down":
      return `Grown down ${length(test.least)} from the hairline`;
    case "defect under":
      return `Defect under ${length(test.under)}`;
    case "stands on it":
      return `Stands on it quietly ${times(test.visits)} in a row`;
    case "shoeings":
      return `${test.least} shoeings done`;
    case "vet agrees":
      return "The vet agrees";
  }
}
