import { describe, expect, test } from "@jest/globals";
import { firstForging, type Forged } from "../forgeRecord";
import { DEFAULT_SETTINGS } from "../../record/settings";
import { wordingFor } from "../../foot/wording";
import { computedFor, endOf, jobByMeasures, jobHand, jobPattern, jobSteel, jobStock, likeShoes } from "./job";

const wording = wordingFor({ unit: "mm", fraction: 16, side: "inside-outside", leftRight: "left-right" });
const inches = wordingFor({ unit: "in", fraction: 16, side: "inside-outside", leftRight: "left-right" });
const { measures } = firstForging();
const job = jobByMeasures(measures);
const forged = (more: Partial<Forged> = {}): Forged => ({
  id: "f",
  date: "2026-11-01",
  name: "",
  end: "fore",
  type: "plain",
  width: 22,
  thickness: 10,
  material: "steel",
  stock: 320,
  shoeWidth: 130,
  shoeLength: 135,
  computed: 308,
  ...more,
});

describe("a job at the forge", () => {
  test("by two measures it ends at the heels, and its rule takes the measures as they are", () => {
    expect([job.spec.support, job.asked]).toEqual(["heel", { width: 130, length: 135, extras: 0 }]);
    const { stock } = jobStock(job, DEFAULT_SETTINGS, [], wording);
    expect(stock.ok && stock.value.rule.sum).toBe(265);
    expect([endOf("RF"), endOf("LH")]).toEqual(["fore", "hind"]);
  });

  test("is cut up to the next 5 mm or the next eighth, and marked so that both lengths make up the bar", () => {
    const mm = jobSteel(job, DEFAULT_SETTINGS, [], wording);
    const inch = jobSteel(job, DEFAULT_SETTINGS, [], inches);
    expect(mm.cut % 5).toBe(0);
    expect(((inch.cut / 25.4) * 8) % 1).toBeCloseTo(0, 9);
    for (const { cut, mark, bar } of [mm, inch]) {
      expect(mark.medial + mark.lateral).toBeCloseTo(cut, 9);
      expect(bar.ok && [bar.value.length, bar.value.centre]).toEqual([cut, expect.closeTo(mark.medial, 9)]);
    }
  });

  test("allowances of one's own tell in both ways", () => {
    const forge = {
      ...DEFAULT_SETTINGS.forge,
      allowances: { ...DEFAULT_SETTINGS.forge.allowances, bump: 22.7 },
    };
    const [trade, own] = [DEFAULT_SETTINGS, { forge }].map((settings) => {
      const { stock } = jobStock(job, settings, [], wording);
      if (!stock.ok) throw new Error(stock.issues[0]?.message);
      return stock.value;
    });
    expect((own?.rule.total ?? 0) - (trade?.rule.total ?? 0)).toBeCloseTo(10, 9);
    expect((own?.outline?.total ?? 0) - (trade?.outline?.total ?? 0)).toBeCloseTo(10, 9);
  });

  test("one like shoe that took 12 mm more gives a quarter of that, and other sections give nothing", () => {
    const log = [forged(), forged({ id: "g", width: 25, stock: 400 })];
    expect(likeShoes(job, log).map(({ id }) => id)).toEqual(["f"]);
    expect(jobStock(job, DEFAULT_SETTINGS, log, wording).hand).toEqual({ mm: 3, shoes: 1 });
    expect(jobHand(job, log)).toEqual([{ date: "2026-11-01", miss: 12, corrected: 0, left: 12 }]);
  });

  test("what a shoe that came out should have taken is worked out for what it came out as", () => {
    const { stock } = jobStock(job, DEFAULT_SETTINGS, [], wording);
    const wanted = stock.ok ? stock.value.total : Number.NaN;
    expect(computedFor(job, { width: 130, length: 135 }, DEFAULT_SETTINGS)).toBeCloseTo(wanted, 2);
    expect(computedFor(job, { width: 132, length: 135 }, DEFAULT_SETTINGS)).toBeCloseTo(wanted + 2, 1);
    expect(computedFor(job, { width: 40, length: 135 }, DEFAULT_SETTINGS)).toBeUndefined();
  });

  test("the pattern carries whose it is, the day, that its shape is an estimate, and what it is", () => {
    const { label } = jobPattern(job, "Monday 23 November 2026", wording);
    expect(label[0]).toBe("Front shoe by two measures");
    expect(label.slice(1, 3)).toEqual(["Monday 23 November 2026", "shape of a sound foot: an estimate"]);
    expect(label.slice(3).join(" ")).toContain("creased shoe, steel, 22 mm × 10 mm");
    for (const line of label) expect(line.length).toBeLessThan(45);
  });
});
