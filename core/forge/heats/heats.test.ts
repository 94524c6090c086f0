import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { STEEL_COLOURS } from "../../constants/colours";
import { ordinaryShoe, type Specification } from "../../shoe/specification";
import { wordingFor } from "../../foot/wording";
import { fireFor, heatTroubles, startOf, type HeatPlan, type HeatPlace, type Operation } from "./operation";
import { heatsIn, planHeats } from "./plan";
import type { ForgedFrom } from "./operationList";
import { shoeOperations } from "./shoeOperations";
import { colourFor, lookFor, troubleInWords } from "./words";

const wording = wordingFor({ unit: "mm", fraction: 16, side: "inside-outside", leftRight: "left-right" });
const operations = (more: Partial<Specification> = {}, from: ForgedFrom = "bar", limb: "LF" | "LH" = "LF") =>
  shoeOperations({ ...ordinaryShoe(limb, 520), ...more }, from);
const planned = (ops: readonly Operation[]): HeatPlan => {
  const found = planHeats(ops);
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
};
const hot = (id: string, fromC: number, toC: number, more: Partial<Operation> = {}): Operation => ({
  id,
  words: id,
  place: "toe",
  heat: { fromC, toC },
  cools: 100,
  needs: [],
  ...more,
});
const before = (plan: HeatPlan, first: string, then: string) => {
  const order = plan.flatMap(({ ops }) => ops);
  return order.includes(first) && order.indexOf(first) < order.indexOf(then);
};

/** Every shoe that the issue of a forge names. */
const SHOES: [string, Partial<Specification>, ForgedFrom, "LF" | "LH"][] = [
  ["hand-made creased front", {}, "bar", "LF"],
  ["hand-made creased hind", {}, "bar", "LH"],
  ["plain stamped", { crease: "stamped" }, "bar", "LF"],
  ["concave", { profile: "concave" }, "bar", "LF"],
  ["straight bar", { type: "straight bar" }, "bar", "LF"],
  ["egg bar", { type: "egg bar" }, "bar", "LF"],
  ["heart bar with weld", { type: "heart bar" }, "bar", "LF"],
  ["square toe", { toe: "square" }, "bar", "LH"],
  ["rolled toe", { toeEdge: "rolled", relief: true }, "bar", "LF"],
  [
    "heel blocks and more web outside",
    { traction: "heel blocks", widerLateral: 4, outLateral: 4 },
    "bar",
    "LH",
  ],
  ["light metal", { material: "aluminium", clips: [] }, "bar", "LF"],
  ["thin section", { thickness: 5 }, "bar", "LF"],
  [
    "everything that can be said of one",
    {
      toe: "square",
      toeEdge: "rockered",
      endMedial: "tucked",
      endLateral: "open",
      clips: ["toe", "quarter medial", "quarter lateral"],
      widerMedial: -3,
      widerLateral: 4,
      edges: { heelLateral: "eased", toeQuarterMedial: "boxed", quarterMedial: "safe inside", toe: "rolled" },
      unloaded: ["quarterLateral"],
      relief: true,
      traction: "stud holes",
    },
    "bar",
    "LH",
  ],
  ["altering a ready-made", { toeEdge: "rolled" }, "ready-made", "LF"],
];

describe("a heat", () => {
  test("holds the toe with one branch, or the whole shoe; never a branch and the welded heels alone", () => {
    expect(fireFor(["toe", "medial"])).toBeDefined();
    expect(fireFor(["medial", "lateral"])).toBe(fireFor(["whole"]));
    expect(fireFor(["heels"])).not.toBe(fireFor(["heels", "toe"]));
  });

  test("starts as hot as the operations after the first need, and no hotter", () => {
    expect(startOf([hot("a", 800, 1200), hot("b", 700, 900)])).toEqual({ startC: 900 });
    expect(startOf([hot("a", 1000, 1200)])).toEqual({ startC: 1100 });
  });

  test("an operation that finds the steel too cold is the one that is named", () => {
    expect(startOf([hot("dress", 700, 900), hot("crease", 1000, 1200)])).toEqual({ tooColdFor: "crease" });
  });
});

describe("plan of heats", () => {
  test.each(SHOES)(
    "%s: every precedence and colour holds, and everything is done once",
    (_, more, from, limb) => {
      const ops = operations(more, from, limb);
      const plan = planned(ops);
      expect(heatTroubles(ops, plan)).toEqual([]);
      expect(plan.flatMap((step) => step.ops).sort()).toEqual(ops.map(({ id }) => id).sort());
    },
  );

  test("a hand-made creased front takes nine heats, a plain stamped one fewer, a heart bar more", () => {
    const heats = (more: Partial<Specification>) => heatsIn(planned(operations(more)));
    expect(heats({})).toBe(9);
    expect(heats({ crease: "stamped" })).toBeLessThan(9);
    expect(heats({ type: "heart bar" })).toBeGreaterThan(9);
  });

  test("the conditions of the trade", () => {
    const creased = planned(operations({ clips: ["toe"] }));
    expect(creased[0]).toMatchObject({ kind: "cold", ops: ["mark"] });
    for (const [first, then] of [
      ["upset", "crease-medial"],
      ["upset", "bend"],
      ["crease-medial", "bend"],
      ["level-medial", "bend"],
      ["bend", "deepen-medial"],
      ["heel-lateral", "turn-lateral"],
      ["deepen-lateral", "stamp-medial"],
      ["stamp-medial", "pierce-medial"],
      ["turn-medial", "clip-toe"],
      ["clip-toe", "set-clip-toe"],
      ["set-clip-toe", "finish"],
    ] as const)
      expect([first, then, before(creased, first, then)]).toEqual([first, then, true]);
    const barred = planned(operations({ type: "heart bar" }));
    for (const [first, then] of [
      ["scarf-medial", "turn-medial"],
      ["in-medial", "weld"],
      ["weld", "weld-plate"],
      ["weld-plate", "shape-bar"],
      ["shape-bar", "stamp-medial"],
    ] as const)
      expect([first, then, before(barred, first, then)]).toEqual([first, then, true]);
  });

  test("fewest: never more heats than any order of a few operations needs (property)", () => {
    const place = fc.constantFrom<HeatPlace>("toe", "medial", "lateral", "whole");
    const few = fc
      .array(
        fc.record({
          place,
          low: fc.constantFrom(400, 700, 850),
          cools: fc.constantFrom(50, 150),
          needs: fc.nat(3),
        }),
        {
          minLength: 1,
          maxLength: 5,
        },
      )
      .map((rows) =>
        rows.map(({ place: at, low, cools, needs }, index) =>
          hot(String(index), low, low + 200, {
            place: at,
            cools,
            needs: index > 0 && needs < index ? [String(needs)] : [],
          }),
        ),
      );
    fc.assert(
      fc.property(few, (ops) => {
        const plan = planned(ops);
        expect(heatTroubles(ops, plan)).toEqual([]);
        expect(heatsIn(plan)).toBe(fewestByTrying(ops));
      }),
      { numRuns: 150, seed: 4 },
    );
  });

  test("operations that wait for each other have no plan", () => {
    const found = planHeats([hot("a", 1, 500, { needs: ["b"] }), hot("b", 1, 500, { needs: ["a"] })]);
    expect(found.ok).toBe(false);
  });
});

/** Fewest heats over every order, each cut into heats as late as it can be. */
function fewestByTrying(ops: readonly Operation[]): number {
  let best = Number.POSITIVE_INFINITY;
  const walk = (done: readonly string[], heat: readonly Operation[], heats: number) => {
    if (heats >= best) return;
    if (done.length === ops.length) {
      best = heats;
      return;
    }
    for (const op of ops) {
      if (done.includes(op.id) || op.needs.some((id) => !done.includes(id))) continue;
      const longer = [...heat, op];
      if (
        heat.length > 0 &&
        fireFor(longer.map(({ place }) => place)) !== undefined &&
        "startC" in startOf(longer)
      )
        walk([...done, op.id], longer, heats);
      walk([...done, op.id], [op], heats + 1);
    }
  };
  walk([], [], 0);
  return best;
}

describe("a plan that was moved by hand", () => {
  const ops = operations({ clips: ["toe"] });
  const plan = planned(ops);
  const kinds = (moved: HeatPlan) => [...new Set(heatTroubles(ops, moved).map(({ kind }) => kind))];

  test("says what now comes too early, finds too little heat, or was left out", () => {
    const without = plan.map((step) => ({ ...step, ops: step.ops.filter((id) => id !== "bend") }));
    expect(kinds(without)).toContain("missing");
    expect(kinds([{ kind: "heat", ops: ["bend"] }, ...without])).toContain("before");
    expect(kinds([...plan.slice(0, -2), { kind: "heat", ops: ["finish", "clip-toe"] }])).toContain(
      "too-cold",
    );
    expect(kinds([{ kind: "heat", ops: ["mark"] }, ...plan.slice(1)])).toContain("cold-in-fire");
  });

  test("in words that name both operations, in the user's own terms", () => {
    const said = troubleInWords({ kind: "before", op: "turn-medial", needs: "bend" }, ops, wording);
    expect(said).toBe(
      "“Turn the inside quarter over the horn” comes before “Bend the toe about the centre mark, up to both toe marks”, which it needs.",
    );
  });
});

describe("colours", () => {
  test("rise without overlap, and each temperature finds the first colour that reaches it", () => {
    const colours = STEEL_COLOURS.value;
    colours
      .slice(1)
      .forEach(({ fromC }, index) => expect(fromC).toBeGreaterThanOrEqual(colours[index]?.toC ?? 0));
    expect(colourFor(480).name).toBe("black heat");
    expect(colourFor(720).name).toBe("cherry");
    expect(colourFor(1090).name).toBe("bright orange");
    expect(colourFor(1400).name).toBe("welding heat");
  });

  test("light metal shows none, and is told by a pine stick", () => {
    expect(lookFor(400, "aluminium")).toContain("pine stick");
    expect(lookFor(1090, "steel")).toBe("bright orange, about 1090 °C in shade");
    for (const op of operations({ material: "aluminium", clips: [] }).filter(({ heat }) => heat))
      expect([op.heat, op.caution?.includes("No colour")]).toEqual([{ fromC: 350, toC: 450 }, true]);
  });
});
