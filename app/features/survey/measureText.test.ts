import { describe, expect, test } from "@jest/globals";
import { wordingFor } from "~core/foot/wording";
import { lengthInField } from "~core/foot/wording";
import { readMeasured, showMeasured } from "./measureText";

const style = { fraction: 16, leftRight: "left-right", side: "inside-outside" } as const;
const mm = wordingFor({ ...style, unit: "mm" });
const inches = wordingFor({ ...style, unit: "in" });

describe("a measure in its field", () => {
  test("lengths stand without their unit, angles to a tenth", () => {
    expect(showMeasured("toeLength", 92.4, mm)).toBe("92");
    expect(showMeasured("toeLength", 92.075, inches)).toBe("3 5/8");
    expect(showMeasured("dorsalAngle", 48.25, inches)).toBe("48.3");
    expect(lengthInField(1.5, mm, 1)).toBe("1.5");
  });

  test("a bare number is in the unit on the screen; a named unit outranks it", () => {
    expect(readMeasured("toeLength", "5", inches, undefined)).toEqual({
      ok: true,
      value: { value: 127, source: "calliper" },
    });
    expect(readMeasured("toeLength", "92mm", inches, undefined)).toMatchObject({ value: { value: 92 } });
  });

  test("the source stays what it was, and is the usual one for a new value", () => {
    expect(readMeasured("dorsalAngle", "50", mm, "photo")).toMatchObject({ value: { source: "photo" } });
    expect(readMeasured("dorsalAngle", "50", mm, undefined)).toMatchObject({ value: { source: "gauge" } });
  });

  test("an emptied field takes the value away; a length in an angle's field, or 900 mm of toe, is refused", () => {
    expect(readMeasured("width", "  ", mm, "gauge")).toEqual({ ok: true, value: undefined });
    expect(readMeasured("dorsalAngle", "52 mm", mm, undefined).ok).toBe(false);
    expect(readMeasured("toeLength", "900", mm, undefined)).toMatchObject({
      ok: false,
      issues: [{ code: "not-living" }],
    });
    expect(readMeasured("toeLength", "36", inches, undefined).ok).toBe(false);
  });
});
