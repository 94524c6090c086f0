import { describe, expect, test } from "@jest/globals";
import Papa from "papaparse";
import { records } from "./records.fixture";
import { rowsCsv } from "./tablesCsv";
import { TABLE_NAMES } from "./tables";

const read = (csv: string) => Papa.parse<string[]>(csv.trim()).data;

describe("a table as CSV", () => {
  test("every place that is filled is a column, with its unit in the header", () => {
    const [head = [], row] = read(rowsCsv("readings", records().readings));
    expect(head).toContain("values.toeLength.value (mm)");
    expect(head).toContain("values.toeLength.source");
    expect(row?.[head.indexOf("values.toeLength.value (mm)")]).toBe("91.5");
    expect(read(rowsCsv("horses", records().horses))[0]).toContain("massKg (kg)");
    const angle = { ...records().readings[0], values: { dorsalAngle: { value: 50, source: "gauge" } } };
    expect(read(rowsCsv("readings", [angle]))[0]).toContain("values.dorsalAngle.value (deg)");
  });

  test("a row without a place leaves its cell empty; lists stand in one cell; a table without rows is empty", () => {
    const [head = [], first, second] = read(
      rowsCsv("cases", [
        { id: "a", feet: ["LF", "RF"], stages: [{ id: "s" }] },
        { id: "b", title: "heels" },
      ]),
    );
    expect(head).toEqual(["id", "feet", "stages", "title"]);
    expect(first).toEqual(["a", "LF RF", '[{"id":"s"}]', ""]);
    expect(second).toEqual(["b", "", "", "heels"]);
    for (const table of TABLE_NAMES) expect(rowsCsv(table, [])).toBe("\r\n");
  });

  test("no cell is run by a spreadsheet, not even one of the header; a number below nought stays a number", () => {
    for (const hostile of ["=1+1", "+1", "-1+1", "@SUM(A1)", "\t=1", "\r=1", '=HYPERLINK("x")']) {
      const row = { id: "y", name: hostile, notes: { [hostile]: hostile } };
      for (const cell of read(rowsCsv("yards", [row])).flat()) expect(cell).not.toMatch(/^[=+\-@\t\r]/);
    }
    expect(rowsCsv("readings", [{ id: "r", frogProudMm: -4 }])).toContain("-4");
  });

  test("the bytes of a picture stay out", () => {
    expect(rowsCsv("pictures", [{ id: "p", type: "image/png", data: "AAAA" }])).not.toContain("AAAA");
  });
});
