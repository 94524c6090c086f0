import { describe, expect, test } from "@jest/globals";
import { GENERAL_NOISE } from "../repeatability/repeatability";
import { nothingRead, readingId, type Reading } from "../foot/records/reading";
import { footPlace } from "../record/footRecords";
import type { ShoeRecord } from "../shoe/shoeRecord";
import { ordinaryShoe, type Specification } from "../shoe/specification";
import type { WatchingRecord } from "../gait/watchingRecord";
import { outcomeInWords, outcomesOf, type OutcomeRecords } from "./outcomes";

const noise = GENERAL_NOISE.value;
const DAYS = ["2026-01-01", "2026-02-12", "2026-03-26", "2026-05-07"];
const bar: Partial<Specification> = { type: "straight bar" };

/** A foot that came to four visits with these axes, and went with these shoes. */
function horse(
  axes: readonly number[],
  shoes: readonly Partial<Specification>[],
  more: { lost?: number; lands?: readonly ([number, number] | undefined)[]; id?: string } = {},
): OutcomeRecords {
  const place = (index: number) => ({
    id: `v${index}`,
    horseId: more.id ?? "h",
    date: DAYS[index] ?? "",
  });
  const gauge = (value: number) => ({ value, source: "gauge" as const });
  return {
    readings: axes.map((axis, index): Reading => ({
      id: readingId(`v${index}`, "LF", "before"),
      visitId: `v${index}`,
      horseId: more.id ?? "h",
      limb: "LF",
      date: DAYS[index] ?? "",
      moment: "before",
      ...nothingRead(),
      values: { dorsalAngle: gauge(50 + axis), pasternAngle: gauge(50) },
    })),
    shoes: shoes.map((spec, index) => ({
      ...(footPlace("shoes", place(index), "LF", "before") as ShoeRecord),
      spec: { ...ordinaryShoe("LF", 520), ...spec },
      ...(more.lost === index && { found: { state: "lost" as const } }),
    })),
    watchings: (more.lands ?? []).flatMap((lands, index) =>
      lands ? [{ ...(footPlace("watchings", place(index), "LF", "before") as WatchingRecord), lands }] : [],
    ),
    looks: [],
  };
}
const isBar = (spec: Specification) => spec.type === "straight bar";
const of = (...horses: OutcomeRecords[]) => outcomesOf(horses, isBar, noise);

describe("what became of feet in shoes of one kind", () => {
  test("is counted from the visit it went on to the visit it came off, as the foot came to both", () => {
    const found = of(horse([-8, -5, -3, -3], [bar, bar, {}, {}]));
    expect(found).toMatchObject({ feet: 1, cycles: 2 });
    expect(found.rows).toEqual([{ measure: "axis", better: 1, same: 0, worse: 0 }]);
  });

  test("what is still on the foot has not shown what its last cycle did", () => {
    expect(of(horse([-8], [bar]))).toEqual({ feet: 0, cycles: 0, rows: [] });
    expect(of(horse([-8, -3], [bar, bar]))).toMatchObject({ feet: 1, cycles: 1 });
  });

  test("a change within the hand's noise is the same, a broken-forward axis counts as far as a broken-back one", () => {
    expect(of(horse([-4, -3], [bar, {}])).rows[0]).toMatchObject({ same: 1, better: 0 });
    expect(of(horse([-1, 6], [bar, {}])).rows[0]).toMatchObject({ worse: 1 });
  });

  test("each foot counts once, by its latest run, however often it wore them", () => {
    const found = of(horse([-8, -2, -2, 6], [bar, {}, bar, {}]));
    expect(found).toMatchObject({ feet: 1, cycles: 2 });
    expect(found.rows[0]).toMatchObject({ worse: 1, better: 0 });
  });

  test("landing and lost shoes are told as well; what was not measured on both days is left out", () => {
    const found = of(
      horse([-8, -8], [bar, {}], {
        lost: 1,
        lands: [
          [40, 60],
          [0, 0],
        ],
      }),
    );
    expect(found.rows.find(({ measure }) => measure === "landing")).toMatchObject({ better: 1 });
    // Lost at the end, and nothing was noted of it at the beginning.
    expect(found.rows.find(({ measure }) => measure === "lost")).toBeUndefined();
  });

  test("in words: never from fewer than three feet without saying so", () => {
    const one = horse([-8, -3], [bar, {}]);
    expect(outcomeInWords(of(one))).toBe(
      "Only 1 foot: no more than a hint. On 1 foot over 1 cycle: axis better on 1.",
    );
    const four = [
      one,
      horse([-8, -2], [bar, {}], { id: "b" }),
      horse([-3, -3], [bar, {}], { id: "c" }),
      horse([0, 5], [bar, {}], { id: "d" }),
    ];
    expect(outcomeInWords(of(...four))).toBe(
      "On 4 feet over 4 cycles: axis better on 2, same on 1, worse on 1.",
    );
    expect(outcomeInWords(of())).toBe("");
  });
});
