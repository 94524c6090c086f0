import { describe, expect, test } from "@jest/globals";
import { GENERAL_NOISE } from "../repeatability/repeatability";
import { BROKEN_BACK, planned } from "../trim/trim.fixture";
import { wordingFor } from "../foot/wording";
import type { Limb } from "../foot/limb";
import type { FindKind } from "../foot/wear";
import { ordinaryFoot } from "../foot/parametric/fit";
import { soleLandmarks } from "../foot/parametric/landmarks";
import type { SolarMarks } from "../foot/survey/frame";
import { presentOutline, undistortedOutline } from "../foot/parametric/surveyedOutline";
import { footRatios } from "../foot/survey/ratios";
import { surveySole } from "../foot/survey/survey";
import type { Walls } from "../foot/survey/walls";
import type { FootState } from "../foot/findings/facts";
import { FINDING_RULES, findingsOf, type VisitFacts } from "./findings";

const wording = wordingFor({ unit: "mm", fraction: 16, leftRight: "left-right", side: "inside-outside" });
const HORSE = { kind: "horse" as const, massKg: 500 };
const PLAIN = ordinaryFoot("LF", HORSE);
const EVEN_WALLS: Walls = {
  toe: { thickness: 12.5, whiteLine: 3 },
  toeQuarterMedial: { thickness: 11.2 },
  toeQuarterLateral: { thickness: 11.2 },
  quarterMedial: { thickness: 9.4 },
  quarterLateral: { thickness: 9.4 },
};

const marksOf = (change: Partial<typeof PLAIN> = {}): SolarMarks =>
  Object.fromEntries(
    Object.entries(soleLandmarks({ ...PLAIN, ...change })).map(([mark, [x, y]]) => [mark, { x, y }]),
  );

interface Made extends Partial<Omit<VisitFacts, "survey" | "ratios">> {
  change?: Partial<typeof PLAIN>;
}

function state({
  change = {},
  marks = marksOf(change),
  measures = {},
  side = {},
  rear = {},
  walls = {},
  limb = "LF" as Limb,
}: Made): FootState {
  const survey = surveySole(marks, limb, 1);
  const { heelHeightLateral: l, heelHeightMedial: m } = measures;
  const ratios = footRatios(
    survey,
    walls,
    {
      dish: side.dish,
      heelAngle: side.heelAngle,
      dorsalAngle: measures.dorsalAngle,
      heelHeightDifference: l === undefined || m === undefined ? undefined : l - m,
      toeLength: measures.toeLength,
      toeTarget: 86,
    },
    GENERAL_NOISE.value,
  );
  return { limb, measures, side, rear, heights: {}, marks, survey, walls, ratios, issues: [] };
}

/** A foot of which everything is steady, with these things about it changed. */
function facts(made: Made = {}): VisitFacts {
  const own = state(made);
  const { change, ...rest } = made;
  return {
    moment: "before",
    drawn: { ...PLAIN, ...change },
    guessed: [],
    rings: [],
    lastName: "the last trim",
    target: { toeLengthMm: 86, published: true },
    noise: GENERAL_NOISE.value,
    wording,
    bounds: {},
    ...rest,
    ...own,
    outline: undistortedOutline(presentOutline({ ...PLAIN, ...change }, own.marks), own.walls),
  };
}
const said = (made: Made) => findingsOf(facts(made)).map(({ id }) => id);
const measures = (dorsalAngle: number, pasternAngle: number, toeLength = 86, medial = 33, lateral = 33) => ({
  dorsalAngle,
  pasternAngle,
  toeLength,
  heelHeightMedial: medial,
  heelHeightLateral: lateral,
});
const find = (kind: FindKind) =>
  ({ look: { finds: { a: { kind, at: [0, 0], note: "" } }, wear: {} } }) as unknown as Made;
const seen = (look: object) => ({ look: { finds: {}, wear: {}, ...look } }) as unknown as Made;
const wear = (painted: object, watching: object = {}) =>
  ({ look: { finds: {}, wear: painted }, watching }) as unknown as Made;

/** Each rule with a foot on which it speaks and its neighbour on which it is silent. */
const TABLE: [id: string, fires: Made, silent: Made][] = [
  [
    "low-bone",
    { measures: measures(42, 52, 95, 26, 26), side: { hairlineAngle: 31 } },
    { measures: measures(42, 52, 95, 26, 26), side: { hairlineAngle: 24 } },
  ],
  ["broken-back", { measures: measures(48, 52) }, { measures: measures(51, 52) }],
  ["broken-forward", { measures: measures(56, 52) }, { measures: measures(53, 52) }],
  ["straight", { measures: measures(51, 52) }, { measures: measures(48, 52) }],
  [
    "underrun",
    { measures: measures(50, 50), side: { heelAngle: 42 } },
    { measures: measures(50, 50), side: { heelAngle: 46 } },
  ],
  [
    "toe-run",
    { measures: measures(50, 50, 86), change: { toeRunMm: 16 } },
    // Long by 16 mm, and no further forward than that takes it.
    { measures: measures(50, 50, 102), change: { toeRunMm: 10 } },
  ],
  ["toe-long", { measures: measures(50, 50, 96) }, { measures: measures(50, 50, 90) }],
  ["dish-vet", { side: { dish: 8 } }, { side: { dish: 5 } }],
  ["toe-right", { measures: measures(50, 50, 86) }, { measures: measures(50, 50, 96) }],
  [
    "sheared-heels",
    { measures: measures(50, 50, 86, 33, 43), rear: { hairlineTilt: 4.5 } },
    { measures: measures(50, 50, 86, 33, 43), rear: { hairlineTilt: -1 } },
  ],
  [
    "heels-uneven",
    { measures: measures(50, 50, 86, 33, 38), marks: {} },
    { measures: measures(50, 50, 86, 33, 37), marks: {} },
  ],
  ["heels-level", { measures: measures(50, 50, 86, 33, 37) }, { measures: measures(50, 50, 86, 33, 38) }],
  ["hairline-tilted", { rear: { hairlineTilt: 3.5 } }, { rear: { hairlineTilt: 3 } }],
  [
    "hairline-pushed",
    wear({}, { hairline: { quarterMedial: "pushed up" } }),
    wear({}, { hairline: { quarterMedial: "pushed up", quarterLateral: "pushed up" } }),
  ],
  [
    "contracted-heels",
    { marks: { ...marksOf(), heelMedial: { x: -29, y: 4 }, heelLateral: { x: 29, y: 4 } } },
    { marks: { ...marksOf(), heelMedial: { x: -38, y: 4 }, heelLateral: { x: 38, y: 4 } } },
  ],
  ["heels-forward", { change: { heelRunMm: 14 } }, { change: { heelRunMm: 4 } }],
  [
    "bars-bent",
    { change: { curlMm: { medial: 8, lateral: 0 } } },
    { change: { curlMm: { medial: 1, lateral: 0 } } },
  ],
  ["thin-sole", { sulcusDepthMm: 8 }, { sulcusDepthMm: 11 }],
  [
    "frog-shrinking",
    { change: { frog: { stretch: 0, widthRatio: 0.7 } } },
    { change: { frog: { stretch: 0, widthRatio: 1 } } },
  ],
  [
    "frog-stretched",
    { change: { frog: { stretch: 0.12, widthRatio: 1 } } },
    { change: { frog: { stretch: 0.03, widthRatio: 1 } } },
  ],
  ["white-line", { walls: { toe: { whiteLine: 5.5 } } }, { walls: { toe: { whiteLine: 4.5 } } }],
  ["wall-uneven", { walls: { ...EVEN_WALLS, toe: { thickness: 20 } } }, { walls: EVEN_WALLS }],
  [
    "not-concentric",
    {
      walls: {
        ...EVEN_WALLS,
        toe: { thickness: 30 },
        toeQuarterMedial: { thickness: 24 },
        toeQuarterLateral: { thickness: 24 },
      },
    },
    { walls: EVEN_WALLS },
  ],
  [
    "cor-disagrees",
    { marks: { ...marksOf(), wideMedial: { x: -63, y: 75 }, wideLateral: { x: 64, y: 75 } } },
    {},
  ],
  ["halves", {}, { marks: { ...marksOf(), wideMedial: { x: -63, y: 75 }, wideLateral: { x: 64, y: 75 } } }],
  ["rings-diverge", { rings: [{ toeMm: 20, heelMm: 30 }] }, { rings: [{ toeMm: 20, heelMm: 23 }] }],
  ["crack-overdue", { ...find("crack"), daysOver: 6 }, { ...find("crack"), daysOver: 0 }],
  ...(
    [
      "crack",
      "thrush",
      "deep cleft",
      "white line",
      "cavity",
      "puncture",
      "discharge",
      "crushed heel",
      "folded bar",
    ] as const
  ).map((kind): [string, Made, Made] => [`found-${kind.replace(" ", "-")}`, find(kind), find("bruise")]),
  ["found-bruise", find("bruise"), find("crack")],
  ["heel-horn", seen({ heelHorn: { medial: "crushed" } }), seen({ heelHorn: { medial: "strong" } })],
  ["tubules-out", seen({ tubules: { medial: "bent out" } }), seen({ tubules: { medial: "run forward" } })],
  [
    "tubules-forward",
    seen({ tubules: { lateral: "run forward" } }),
    seen({ tubules: { lateral: "straight" } }),
  ],
  [
    "club-foot",
    {
      measures: measures(59, 57, 86, 42, 42),
      pair: state({ limb: "RF", measures: measures(50, 50, 86, 33, 33) }),
    },
    {
      measures: measures(59, 57, 86, 33, 33),
      pair: state({ limb: "RF", measures: measures(50, 50, 86, 33, 33) }),
    },
  ],
  [
    "pair-mismatch",
    { measures: measures(50, 50), pair: state({ limb: "RF", measures: measures(54, 54) }) },
    { measures: measures(50, 50), pair: state({ limb: "RF", measures: measures(52.5, 52.5) }) },
  ],
  [
    "one-sided",
    { change: { lateralWiderMm: 9 }, pair: state({ limb: "RF" }) },
    { change: { lateralWiderMm: 9 }, pair: state({ limb: "RF", change: { lateralWiderMm: 8 } }) },
  ],
  ["flared", { change: { lateralWiderMm: 9 } }, { change: { lateralWiderMm: 8 } }],
  [
    "landing-wear",
    wear({ quarterLateral: "thin", quarterMedial: "worn" }, { lands: [-40, 50] }),
    wear({ quarterLateral: "thin", quarterMedial: "worn" }, { lands: [40, 50] }),
  ],
  ["lands-one-side", wear({}, { lands: [40, 50] }), wear({}, { lands: [2, 60] })],
  ["wet-foot", { horn: "wet" }, { horn: "ordinary" }],
  [
    "no-heel-to-spare",
    {
      plan: planned({
        side: "level-hairline",
        sideAngle: 3,
        above: { toe: 9, heelMedial: 3, heelLateral: 0 },
      }),
    },
    { plan: planned() },
  ],
  [
    "no-toe-to-spare",
    { plan: planned({ above: { toe: 0, heelMedial: 3, heelLateral: 5 } }) },
    { plan: planned() },
  ],
  ["toe-short", { plan: planned({ minToeLength: 91 }) }, { plan: planned({ minToeLength: 60 }) }],
  ["thin-sole-margin", { plan: planned({ sulcusDepth: 8 }) }, { plan: planned({ sulcusDepth: 12 }) }],
  [
    "length-left",
    {
      plan: planned({
        foot: { ...BROKEN_BACK.foot, toeLength: 104, pasternAngle: 48 },
        above: { toe: 12, heelMedial: 12, heelLateral: 12 },
      }),
    },
    { plan: planned() },
  ],
  ["axis-left", { plan: planned({ above: { toe: 2, heelMedial: 2, heelLateral: 2 } }) }, { plan: planned() }],
  [
    "change",
    { measures: measures(50, 50), last: state({ measures: measures(50, 50, 80) }) },
    { measures: measures(50, 50) },
  ],
];

describe("the table of rules", () => {
  test("every rule of the table is tried here, and no other", () => {
    expect(TABLE.map(([id]) => id).sort()).toEqual(FINDING_RULES.map(({ id }) => id).sort());
  });

  test.each(TABLE)("%s speaks on its foot and is silent on its neighbour", (id, fires, silent) => {
    expect(said(fires)).toContain(id);
    expect(said(silent)).not.toContain(id);
  });

  test("each says in plain words when it speaks and what to do next, with evidence in numbers and its lens", () => {
    for (const rule of FINDING_RULES) {
      expect(rule.when.length).toBeGreaterThan(10);
      expect(rule.next).toMatch(/\.$/);
    }
    for (const [id, fires] of TABLE) {
      const found = findingsOf(facts(fires)).find((one) => one.id === id);
      expect(found?.evidence).not.toBe("");
      expect(found?.text).toMatch(/^[A-Z0-9].*\.$/);
      expect(found?.speaksFor).not.toBe("");
      expect(found?.text).not.toMatch(/\b(medial|lateral)\b/);
    }
  });
});

describe("findingsOf", () => {
  test("a foot of which nothing is known says nothing", () => {
    expect(said({ marks: {} })).toEqual([]);
  });

  test("a sound foot says only steady things", () => {
    const found = findingsOf(facts({ measures: measures(50, 50), walls: EVEN_WALLS, sulcusDepthMm: 14 }));
    expect(new Set(found.map(({ level }) => level))).toEqual(new Set(["steady"]));
  });

  test("the vet's comes first, and what it covers is not said again in other words", () => {
    const found = said({
      measures: measures(42, 52, 95, 26, 26),
      side: { hairlineAngle: 31, heelAngle: 33 },
    });
    expect(found[0]).toBe("low-bone");
    expect(found).not.toContain("broken-back");
    expect(found).not.toContain("underrun");
  });

  test("the curled heel that is also the taller one is said in one sentence", () => {
    const found = findingsOf(
      facts({ measures: measures(50, 50, 86, 33, 38), change: { curlMm: { medial: 0, lateral: 5 } } }),
    ).find(({ id }) => id === "heels-uneven");
    expect(found?.text).toBe(
      "The outside heel stands 5 mm taller. It has also run 5 mm further forward: the curled one is the taller one, whatever the limb looks like.",
    );
  });

  test("a difference of the pair inside a sloppier hand's noise is not said", () => {
    const pair = state({ limb: "RF", measures: measures(54, 54) });
    const noise = { angleDeg: 4, lengthMm: 3, source: "your own" };
    expect(said({ measures: measures(50, 50), pair, noise })).not.toContain("pair-mismatch");
  });

  test("change is told only beyond the noise: 2 mm and 1 degree are no change, 8 mm is; better or worse by the axis", () => {
    const change = (now: Made["measures"]) =>
      findingsOf(facts({ measures: now ?? {}, last: state({ measures: measures(50, 50, 83) }) })).find(
        ({ id }) => id === "change",
      )?.text;
    expect(change(measures(49, 50, 85))).toContain("No change");
    expect(change(measures(50, 50, 91))).toBe("Since the last trim: toe up 8 mm.");
    expect(change(measures(46, 50, 83))).toContain("The axis is worse.");
  });

  test("the user's own bounds count", () => {
    const made = { measures: measures(50, 50, 86, 33, 39), marks: {} };
    expect(findingsOf(facts(made)).find(({ id }) => id === "heels-uneven")?.level).toBe("drifting");
    const strict = findingsOf(facts({ ...made, bounds: { heelHeightDifferenceMm: [1, 3] } }));
    expect(strict.find(({ id }) => id === "heels-uneven")?.level).toBe("act");
  });
});
