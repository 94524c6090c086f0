import { describe, expect, test } from "@jest/globals";
import { footPlace } from "../record/footRecords";
import type { ShoeRecord } from "../shoe/shoeRecord";
import { blankVisit, type Visit } from "../record/visit";
import { ordinaryShoe } from "../shoe/specification";
import { progressWords, stageDone } from "./progress";
import { visitFoot, type FootRecords, type VisitFoot } from "./visitFoot";

const visit: Visit = { id: "v", horseId: "h", date: "2026-11-23", status: "open", ...blankVisit() };
const none: FootRecords = { readings: [], trims: [], watchings: [], looks: [], photos: [], shoes: [] };
const shoe = (more: Partial<ShoeRecord> = {}): ShoeRecord => ({
  ...(footPlace("shoes", visit, "LF", "before") as ShoeRecord),
  ...more,
});
const foot = (records: Partial<FootRecords> = {}): VisitFoot =>
  visitFoot(visit, "LF", { ...none, ...records });

describe("how far a visit has come, shoe and set", () => {
  test("nothing chosen is nothing done", () => {
    for (const stage of ["shoe", "set"] as const) {
      expect([stage, stageDone(stage, visit, foot()), progressWords(stage, foot())]).toEqual([
        stage,
        false,
        "·",
      ]);
    }
  });

  test("a shoe counts as chosen by its specification, a bare one as bare", () => {
    const spec = ordinaryShoe("LF", 520);
    expect(stageDone("shoe", visit, foot({ shoes: [shoe({ spec })] }))).toBe(true);
    expect(progressWords("shoe", foot({ shoes: [shoe({ spec })] }))).toBe("chosen");
    expect(progressWords("shoe", foot({ shoes: [shoe({ spec: { ...spec, type: "bare" } })] }))).toBe("bare");
    // A check kept or a hot fit noted is not yet a choice.
    expect(stageDone("shoe", visit, foot({ shoes: [shoe({ hotFits: { "1": {} } })] }))).toBe(false);
  });

  test("set is begun with the first tick and done when the horse stands on it", () => {
    expect(progressWords("set", foot({ shoes: [shoe({ ticks: { tack: true } })] }))).toBe("begun");
    const stands = foot({ shoes: [shoe({ ticks: { tack: true, stand: true } })] });
    expect([progressWords("set", stands), stageDone("set", visit, stands)]).toEqual(["done", true]);
  });

  test("a note alone fills the dot, as it always did", () => {
    expect(stageDone("shoe", { ...visit, notes: { shoe: "old shoes on again" } }, foot())).toBe(true);
  });

  test("the last shoe is that of the last visit at which one was chosen, never this one's", () => {
    const spec = ordinaryShoe("LF", 520);
    const at = (visitId: string, date: string, more: Partial<ShoeRecord>) =>
      shoe({ id: `${visitId}.LF.shoe`, visitId, date, ...more });
    const known = foot({
      shoes: [
        at("old", "2026-08-01", { spec: { ...spec, width: 20 } }),
        at("last", "2026-10-10", { spec: { ...spec, width: 21 } }),
        at("empty", "2026-11-01", {}),
        at("v", "2026-11-23", { spec }),
        at("later", "2026-12-20", { spec: { ...spec, width: 30 } }),
      ],
    });
    expect(known.lastShoe?.spec?.width).toBe(21);
    expect(known.shoe?.spec?.width).toBe(22);
  });
});
