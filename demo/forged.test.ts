import { roster } from "~core/cycle/roster";
import { describe, expect, test } from "@jest/globals";
import { handCorrection, missOf } from "~core/forge/hand";
import { jobSteel } from "~core/forge/anvil/job";
import { comingHorses, plannedPieces } from "~core/visit/comingShoes";
import { forgedSchema, steelSchema } from "~core/forge/forgeRecord";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import { likeShoes } from "~core/forge/anvil/job";
import { jobOfFoot } from "~core/visit/footJob";
import { LIMBS } from "~core/foot/limb";
import { isShod } from "~core/record/horse";
import { lastVisit, round, wording } from "./round.fixture";

describe("the forge of the demo round", () => {
  test("its log reads as records, and its habit of 7 mm too much is found, held back while shoes are few", () => {
    for (const row of round.forged) expect(forgedSchema.parse(row)).toEqual(row);
    for (const row of round.steel) expect(steelSchema.parse(row)).toEqual(row);
    const correction = handCorrection(round.forged.map(missOf));
    expect(correction).toBeGreaterThan(4);
    expect(correction).toBeLessThan(6.5);
  });

  test("every shod foot of the round has steel, a bar long enough and its two ways within 40 mm", () => {
    const shod = round.horses.filter((horse) => LIMBS.some((limb) => isShod(horse, limb)));
    for (const { name } of shod) {
      const { horse, visit, feet } = lastVisit(name);
      for (const limb of LIMBS.filter((one) => isShod(horse, one))) {
        const job = jobOfFoot({ horse, visit, feet, limb }, DEFAULT_SETTINGS, wording);
        if (job.spec.type === "bare") continue;
        const { stock, bar, cut, mark } = jobSteel(job, DEFAULT_SETTINGS, [], wording);
        if (!stock.ok || !bar.ok) throw new Error(`${name} ${limb}: no steel`);
        expect(Math.abs((stock.value.outline?.total ?? 0) - stock.value.rule.total)).toBeLessThan(40);
        expect(mark.medial + mark.lateral).toBeCloseTo(cut, 6);
        expect(Math.min(bar.value.surplus.medial, bar.value.surplus.lateral)).toBeGreaterThan(-0.01);
      }
    }
  });

  test("the week ahead has pieces for shod feet only, whose log of like shoes tells in their length", () => {
    const rows = roster(round.horses, round.yards, round.visits);
    const coming = comingHorses(rows, "2026-11-30");
    expect(coming.length).toBeGreaterThan(3);
    expect(coming.map(({ date }) => date)).toEqual([...coming.map(({ date }) => date)].sort());
    const records = { ...round, photos: [] };
    const own = (id: string) =>
      Object.fromEntries(
        Object.entries(records).map(([table, list]) => [
          table,
          (list as { horseId?: string }[]).filter(({ horseId }) => horseId === id),
        ]),
      ) as unknown as Parameters<typeof plannedPieces>[0]["records"];
    const pieces = coming.flatMap((one) =>
      plannedPieces({ ...one, records: own(one.horse.id) }, DEFAULT_SETTINGS, [], wording),
    );
    expect(pieces.length).toBeGreaterThan(8);
    for (const { horse: name, limb, length } of pieces) {
      const horse = round.horses.find((one) => one.name === name)!;
      expect(isShod(horse, limb)).toBe(true);
      expect(length % 5).toBe(0);
    }
    const withLog = coming.flatMap((one) =>
      plannedPieces({ ...one, records: own(one.horse.id) }, DEFAULT_SETTINGS, round.forged, wording),
    );
    expect(withLog.some(({ length }, index) => length > (pieces[index]?.length ?? 0))).toBe(true);
    expect(likeShoes({ spec: { ...round.shoes[0]!.spec!, type: "egg bar" } }, round.forged)).toEqual([]);
  });
});
