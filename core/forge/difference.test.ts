import { readFileSync } from "node:fs";
import { describe, expect, test } from "@jest/globals";
import { ordinaryShoe } from "../shoe/specification";
import { stockOfFit } from "./fitStock";
import { fitTwoMeasures } from "./twoMeasures";

/** The range of ordinary feet and sections that the table in the documentation reports. */
const WIDTHS = [95, 110, 120, 130, 140, 155, 170];
const WEBS = [19, 22, 25, 32];

/** Outline minus rule, mm, for a sound front foot a twentieth longer than wide, plain stamped, with bump. */
function difference(width: number, web: number): number {
  const measures = { width, length: width * 1.05 };
  const spec = { ...ordinaryShoe("LF", 520), crease: "stamped" as const, width: web };
  const stock = stockOfFit(fitTwoMeasures({ end: "fore", ...measures, spec }), undefined, measures);
  if (!stock.ok) throw new Error(stock.issues[0]?.message);
  return (stock.value.outline?.total ?? 0) - stock.value.rule.total;
}

describe("rule against outline", () => {
  test("a web 1 mm wider takes about 2.2 mm less by the outline: half of what it turns, in radians", () => {
    for (const width of [120, 130, 140]) {
      const less = (difference(width, 19) - difference(width, 25)) / 6;
      expect(less).toBeGreaterThan(2);
      expect(less).toBeLessThan(2.4);
    }
  });

  test("a foot that grows between two steps of the table takes more by the outline alone", () => {
    expect(difference(155, 22)).toBeGreaterThan(difference(130, 22));
    expect(difference(130, 22)).toBeGreaterThan(difference(120, 22));
  });

  test("the table in the documentation is what is computed", () => {
    const docs = readFileSync("docs/steel.md", "utf8");
    for (const width of WIDTHS) {
      const row = `| ${width} | ${WEBS.map((web) => signed(difference(width, web))).join(" | ")} |`;
      expect(docs.replace(/ {2,}/g, " ")).toContain(row);
    }
  });
});

const signed = (mm: number): string => `${mm < -0.5 ? "−" : mm >= 0.5 ? "+" : ""}${Math.abs(Math.round(mm))}`;
