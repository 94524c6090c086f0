import { describe, expect, test } from "@jest/globals";
import {
  firstForging,
  forgedSchema,
  forgingId,
  forgingSchema,
  steelSchema,
  twoMeasuresSchema,
} from "./forgeRecord";
import { DEFAULT_SETTINGS, settingsSchema } from "../record/settings";

const forged = {
  id: "f",
  date: "2026-11-23",
  end: "fore",
  type: "plain",
  width: 22,
  thickness: 10,
  material: "steel",
  stock: 310,
  shoeWidth: 130,
  shoeLength: 135,
  computed: 305,
};

describe("records of the forge", () => {
  test("the anvil begins with an ordinary front shoe, and a foot’s forging is named after its visit", () => {
    expect(forgingSchema.parse(firstForging())).toEqual(firstForging());
    expect(forgingId("v", "LF")).toBe("v.LF.forging");
    expect(forgingSchema.safeParse({ id: "x", from: "wood" }).success).toBe(false);
  });

  test.each([
    [{ width: 39 }, "Width of the shoe: at least 40 mm."],
    [{ length: 321 }, "Length of the shoe: no more than 320 mm."],
  ])("two measures out of range are refused with words: %j", (more, message) => {
    const read = twoMeasuresSchema.safeParse({ ...firstForging().measures, ...more });
    expect(read.error?.issues[0]?.message).toBe(message);
  });

  test("a logged shoe has everything its miss is worked out from, its heats only where they were counted", () => {
    expect(forgedSchema.parse(forged)).toEqual({ ...forged, name: "" });
    expect(forgedSchema.safeParse({ ...forged, stock: 20 }).error?.issues[0]?.message).toBe(
      "Steel used: at least 60 mm.",
    );
    expect(forgedSchema.safeParse({ ...forged, heats: { planned: 9 } }).success).toBe(false);
  });

  test("steel is a whole number of pieces, at least one", () => {
    const steel = {
      id: "s",
      role: "wanted",
      width: 22,
      thickness: 10,
      material: "steel",
      lengthMm: 300,
      count: 1,
    };
    expect(steelSchema.parse(steel).label).toBe("");
    for (const count of [0, 1.5, Number.NaN])
      expect(steelSchema.safeParse({ ...steel, count }).success).toBe(false);
  });

  test("a running sheet keeps its place, its times in the fire and its seconds", () => {
    const run = { at: 2, since: "2026-11-23T08:00:00Z", taken: { "0": 1, "1": 2 }, seconds: { "1": 95.5 } };
    expect(forgingSchema.parse({ id: "x", run }).run).toEqual(run);
    expect(forgingSchema.safeParse({ id: "x", run: { ...run, at: -1 } }).success).toBe(false);
  });

  test("how steel is cut has the trade’s values, and refuses what no smith has", () => {
    const { forge } = DEFAULT_SETTINGS;
    expect([forge.allowances.toe, forge.barLength]).toEqual([[38.1, 44.45, 50.8], 3000]);
    const wrong = settingsSchema.safeParse({ ...DEFAULT_SETTINGS, forge: { ...forge, kerf: 20 } });
    expect(wrong.error?.issues[0]?.message).toBe("No blade takes more than 15 mm.");
  });
});
