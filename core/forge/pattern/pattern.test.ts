import { inflateSync } from "node:zlib";
import { describe, expect, test } from "@jest/globals";
import DxfParser from "dxf-parser";
import { fitShoe } from "../../shoe/fit";
import { fitQuestion } from "../../shoe/shoe.fixture";
import { roundTheToe, widestOf } from "../../shoe/outline";
import type { Specification } from "../../shoe/specification";
import { patternDxf } from "./dxf";
import { shoePattern, type PatternLayer } from "./pattern";
import { patternPdf, SHEETS, tilesOf, type Sheet } from "./pdf";
import { patternSvg } from "./svg";

const LABEL = ["Ríona, left fore", "23 November 2026 <b>", "creased shoe 22 × 10"];
const shoe = (spec: Partial<Specification> = {}) => fitShoe(fitQuestion(spec));
const pattern = (spec: Partial<Specification> = {}) =>
  shoePattern(fitShoe(fitQuestion(spec, { breakover: { fromToe: 10, direction: 0 } })), LABEL);
const PT = 72 / 25.4;

/** Straight strokes of a printed page, read from its own operators, mm from its lower left corner. */
function strokesOf(
  pdf: Uint8Array,
): { page: [number, number]; strokes: [number, number, number, number][] }[] {
  const text = Buffer.from(pdf).toString("latin1");
  const streams = [...text.matchAll(/stream\r?\n([\s\S]*?)\r?\nendstream/g)].flatMap(([, body = ""]) => {
    try {
      return [inflateSync(Buffer.from(body, "latin1")).toString("latin1")];
    } catch {
      return [];
    }
  });
  const sizes = [text, ...streams].flatMap((stream) =>
    [...stream.matchAll(/\/MediaBox \[ 0 0 ([\d.]+) ([\d.]+) \]/g)].map(([, w, h]): [number, number] => [
      Number(w) / PT,
      Number(h) / PT,
    ]),
  );
  return streams
    .map((stream) =>
      [...stream.matchAll(/(-?[\d.]+) (-?[\d.]+) m\s+(-?[\d.]+) (-?[\d.]+) l/g)].map(
        (found) => found.slice(1, 5).map((value) => Number(value) / PT) as [number, number, number, number],
      ),
    )
    .filter((strokes) => strokes.length > 0)
    .map((strokes, index) => ({ page: sizes[index] ?? [0, 0], strokes }));
}
const reach = (strokes: readonly (readonly number[])[], axis: 0 | 1) => {
  const values = strokes.flatMap((stroke) => [stroke[axis] ?? 0, stroke[axis + 2] ?? 0]);
  return Math.max(...values) - Math.min(...values);
};

describe("shoePattern", () => {
  test("outer and inner edge meet at the heels, holes stand where the nails go, marks on their own layer", () => {
    const { lines } = pattern();
    const of = (layer: PatternLayer) => lines.filter((line) => line.layer === layer);
    const [outer, inner] = [of("OUTER")[0]?.points ?? [], of("INNER")[0]?.points ?? []];
    expect([outer[0], outer.at(-1)]).toEqual([inner[0], inner.at(-1)]);
    expect(of("NAILS")).toHaveLength(6);
    expect(of("CREASE")).toHaveLength(4);
    expect(of("MARKS").map(({ name }) => name)).toEqual(
      expect.arrayContaining(["centre line", "breakover", "widest", "heels", "clip"]),
    );
    expect(
      shoePattern(shoe({ crease: "stamped", clips: ["side medial", "side lateral"] }), []).lines.filter(
        ({ layer }) => layer === "CREASE",
      ),
    ).toHaveLength(0);
    expect(
      pattern({ clips: ["side medial", "side lateral"] }).lines.filter(({ name }) => name === "clip"),
    ).toHaveLength(2);
    const closed = pattern({ type: "heart bar" }).lines;
    expect(closed.filter(({ layer, closed: is }) => layer === "OUTER" && is)).toHaveLength(1);
    // On both sides of the plate, and one piece with it.
    expect(closed.filter(({ layer }) => layer === "INNER")).toHaveLength(1);
  });

  test("clips stand outside the outer edge", () => {
    const fit = shoe();
    const clip = shoePattern(fit, []).lines.find(({ name }) => name === "clip");
    expect(Math.max(...(clip?.points ?? []).map(([, y]) => y))).toBeCloseTo(fit.toeY + 12, 6);
  });
});

describe("SVG", () => {
  test("its size is in millimetres and its user unit is one: 1:1", () => {
    const svg = patternSvg(pattern());
    const [, width, height] = /width="([\d.]+)mm" height="([\d.]+)mm" viewBox="0 0 \1 \2"/.exec(svg) ?? [];
    expect(Number(width)).toBeGreaterThan(120);
    expect(Number(height)).toBeGreaterThan(150);
    const outer = /<g id="OUTER"[^>]*>(.*?)<\/g>/.exec(svg)?.[1] ?? "";
    const xs = [...outer.matchAll(/([\d.]+) [\d.]+/g)].map(([, x]) => Number(x));
    const { medial, lateral } = widestOf(shoe().outer);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(lateral[0] - medial[0], 2);
  });

  test("names are text, never markup", () => {
    const svg = patternSvg(pattern());
    expect(svg).not.toContain("<b>");
    expect(svg).toContain("&#60;b&#62;");
  });
});

describe("PDF", () => {
  test.each<Sheet>(["A4", "A3", "Letter"])(
    "on %s the shoe and the ruler have their true size",
    async (sheet) => {
      const fit = shoe();
      const pages = strokesOf(await patternPdf(shoePattern(fit, LABEL), sheet));
      expect(pages).toHaveLength(1);
      const [page] = pages;
      expect(page?.page[0]).toBeCloseTo(SHEETS[sheet][0], 2);
      expect(page?.page[1]).toBeCloseTo(SHEETS[sheet][1], 2);
      const outer = roundTheToe(fit.outer);
      const strokes = page?.strokes ?? [];
      // The edge comes first: from the inner end of one heel round the toe to the other.
      const edge = strokes.slice(0, outer.length + 1);
      const { medial, lateral } = widestOf(fit.outer);
      expect(reach(edge, 0)).toBeCloseTo(lateral[0] - medial[0], 2);
      expect(reach(edge, 1)).toBeCloseTo(fit.toeY - Math.min(fit.endY.medial, fit.endY.lateral), 2);
      expect(strokes.some(([x1, y1, x2, y2]) => y1 === y2 && Math.abs(x2 - x1 - 100) < 0.01)).toBe(true);
    },
  );

  test("a shoe larger than the sheet is tiled, and the parts lie where they belong", async () => {
    const big = fitShoe(fitQuestion());
    const wide = shoePattern(big, LABEL);
    const grown = {
      ...wide,
      lines: wide.lines.map((line) => ({
        ...line,
        points: line.points.map(([x, y]): [number, number] => [1.8 * x, 2.2 * y]),
      })),
      box: {
        x: 1.8 * wide.box.x,
        y: 2.2 * wide.box.y,
        width: 1.8 * wide.box.width,
        height: 2.2 * wide.box.height,
      },
    };
    const tiles = tilesOf(grown, "A4");
    expect(tiles).toEqual({ columns: 2, rows: 2 });
    const pages = strokesOf(await patternPdf(grown, "A4"));
    expect(pages).toHaveLength(4);
    // The same stroke on two neighbours is a sheet's reach less the lap apart.
    const [left, right] = [pages[0]?.strokes[0] ?? [], pages[1]?.strokes[0] ?? []];
    expect((left[0] ?? 0) - (right[0] ?? 0)).toBeCloseTo(210 - 24 - 15, 2);
    expect(tilesOf(grown, "A3")).toEqual({ columns: 1, rows: 1 });
  });

  test("letters that the printed face lacks are written without their accents, never refused", async () => {
    const pdf = await patternPdf({ ...pattern(), label: ["Łucznik ☺ Dvořák"] }, "A4");
    expect(pdf.length).toBeGreaterThan(1000);
  });
});

describe("DXF", () => {
  test("an independent reader finds every line on its layer, in millimetres, and the label", () => {
    const made = pattern();
    const read = new DxfParser().parseSync(patternDxf(made));
    const polylines = (read?.entities ?? []).filter(({ type }) => type === "POLYLINE") as unknown as {
      layer: string;
      shape: boolean;
      vertices: { x: number; y: number }[];
    }[];
    expect(polylines).toHaveLength(made.lines.length);
    for (const [index, line] of made.lines.entries()) {
      const found = polylines[index];
      expect([found?.layer, found?.shape, found?.vertices.length]).toEqual([
        line.layer,
        line.closed,
        line.points.length,
      ]);
      line.points.forEach(([x, y], number) => {
        expect(found?.vertices[number]?.x).toBeCloseTo(x, 3);
        expect(found?.vertices[number]?.y).toBeCloseTo(y, 3);
      });
    }
    expect(Object.keys(read?.tables.layer?.layers ?? {})).toEqual([
      "OUTER",
      "INNER",
      "CREASE",
      "NAILS",
      "MARKS",
    ]);
    expect((read?.entities ?? []).filter(({ type }) => type === "TEXT")).toHaveLength(3);
    expect(patternDxf(made)).toMatch(/^[\x20-\x7E\n]+$/);
  });

  test("its text has no code that release 12 does not know: letters without accents, no two per cent signs together", () => {
    const label = ["Łucznik Dvořák Иван", "50 %%d of \\U+0041"];
    const lines = patternDxf({ ...pattern(), label }).split("\n");
    expect(lines).toContain("Lucznik Dvorak ????");
    expect(lines).toContain("50 % %d of \\U+0041");
    expect(lines.join("\n")).not.toContain("%%");
  });
});
