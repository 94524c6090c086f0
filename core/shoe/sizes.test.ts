import { describe, expect, test } from "@jest/globals";
import { readSizesCsv, sizesCsv } from "../record/sizesCsv";
import { wordingFor } from "../foot/wording";
import { heatsForAlterations } from "../forge/heats/alterations";
import { isCold } from "./alterations";
import { fitShoe } from "./fit";
import { fitQuestion } from "./shoe.fixture";
import {
  chooseSizes,
  EXAMPLE_SIZES,
  reshapingInWords,
  wantedOf,
  type ShoeSize,
  type SizeWanted,
} from "./sizes";

const wording = wordingFor({ unit: "mm", fraction: 16, side: "inside-outside", leftRight: "left-right" });
const size = (more: Partial<ShoeSize> = {}): ShoeSize => ({
  name: "one",
  feet: "fore",
  width: 130,
  length: 140,
  straight: 350,
  sectionWidth: 22,
  sectionThickness: 10,
  pattern: "slim",
  ...more,
});
const wanted: SizeWanted = {
  fore: true,
  width: 130,
  medial: 134,
  lateral: 134,
  straight: 330,
  roll: 0,
  section: { width: 22, thickness: 10 },
  pattern: "slim",
  toe: "round",
  toeEdge: "plain",
  clips: [],
  web: { medial: 22, lateral: 22 },
  end: { medial: "plain", lateral: "plain" },
  type: "plain",
  crease: "creased",
  material: "steel",
  profile: "flat",
  holes: undefined,
};
const { spec } = fitQuestion();

describe("chooseSizes", () => {
  test("open 4 mm, shorten both heels: the changes that make it fit", () => {
    const [best] = chooseSizes([size({ width: 126 })], {
      ...wanted,
      lateral: 130,
      roll: 9,
      toeEdge: "rolled",
    });
    expect(best?.short).toBe(0);
    expect(best && reshapingInWords(best, spec, wording)).toEqual([
      "open 4 mm",
      "shorten the inside heel 4 mm",
      "shorten the outside heel 8 mm",
      "roll the toe 9 mm back",
    ]);
  });

  test("what is to be done stands in the order of the anvil, whatever it is", () => {
    const bought = size({
      toeEdge: "rockered",
      webMedial: 25,
      webLateral: 20,
      clips: ["toe"],
      material: "aluminium",
      sectionThickness: 8,
    });
    const [best] = chooseSizes([bought], {
      ...wanted,
      width: 127,
      toe: "square set under",
      toeEdge: "rolled",
      roll: 6,
      end: { medial: "tucked", lateral: "plain" },
      clips: ["side medial", "side lateral"],
      type: "straight bar",
    });
    expect(best && reshapingInWords(best, { ...spec, type: "straight bar" }, wording)).toEqual([
      "take out the rockered toe",
      "make the toe square set under",
      "widen the outside web 2 mm by creasing",
      "set down the inside inner web 3 mm",
      "close 3 mm",
      "shorten the inside heel 6 mm",
      "shorten the outside heel 6 mm",
      "weld in a straight bar",
      "roll the toe 6 mm back",
      "draw the inside side clip",
      "draw the outside side clip",
      "take off the toe clip",
      "8 mm thick, 10 mm were wanted",
      "it is aluminium, steel was wanted",
    ]);
    const { alterations = [] } = best ?? {};
    expect(heatsForAlterations(alterations, spec, wording)).toBeGreaterThanOrEqual(5);
    expect(heatsForAlterations(alterations.filter(isCold), spec, wording)).toBe(0);
  });

  test("the specification chooses as well as the size: a little bending before another metal or another toe", () => {
    const bend = size({ name: "bend", width: 126 });
    const other = size({ name: "light", material: "aluminium" });
    const rolled = size({ name: "rolled", toeEdge: "rolled" });
    expect(chooseSizes([other, rolled, bend], wanted).map((one) => one.size.name)).toEqual([
      "bend",
      "rolled",
      "light",
    ]);
    const wantsRoll = { ...wanted, toeEdge: "rolled" as const, roll: 8 };
    expect(chooseSizes([other, rolled, bend], wantsRoll)[0]?.size.name).toBe("rolled");
  });

  test("least reshaping first, three at most, and only for that end of the horse", () => {
    const table = [110, 118, 126, 129, 131, 138].map((width) => size({ name: String(width), width }));
    const found = chooseSizes(
      [...table, size({ name: "hind", feet: "hind" }), size({ name: "any", feet: "either" })],
      wanted,
    );
    expect(found.map((one) => one.size.name)).toEqual(["any", "129", "131"]);
  });

  test("a shoe that is too short stands behind one that wants bending: steel cannot be added", () => {
    const found = chooseSizes(
      [size({ name: "short", length: 130 }), size({ name: "wide", width: 138 })],
      wanted,
    );
    expect(found.map((one) => one.size.name)).toEqual(["wide", "short"]);
    expect(found[1] && reshapingInWords(found[1], spec, wording).join()).toContain("4 mm too short");
  });

  test("the same as searching them all, over a thousand tables of sizes", () => {
    for (let seed = 0; seed < 1000; seed++) {
      const table = Array.from({ length: 12 }, (_, index) =>
        size({
          name: `${index}`,
          width: 110 + ((seed * 7 + index * 13) % 47),
          length: 128 + ((seed * 3 + index * 5) % 29),
        }),
      );
      const costs = table.map((one) => chooseSizes([one], wanted)[0]?.cost ?? 0).sort((a, b) => a - b);
      expect(chooseSizes(table, wanted).map(({ cost }) => cost)).toEqual(costs.slice(0, 3));
    }
  });

  test("the example table fits an ordinary foot with little to do", () => {
    const [best] = chooseSizes(EXAMPLE_SIZES, wantedOf(fitShoe(fitQuestion()), true));
    expect(best?.short).toBe(0);
    const bends = best?.alterations.filter(({ kind }) => kind === "open" || kind === "close") ?? [];
    expect(bends.reduce((sum, { mm = 0 }) => sum + mm, 0)).toBeLessThanOrEqual(6);
  });
});

describe("a table of sizes as CSV", () => {
  const ids = () => {
    let next = 0;
    return () => `s${next++}`;
  };

  test("goes out and comes back as it was", () => {
    const read = readSizesCsv(sizesCsv(EXAMPLE_SIZES), ids());
    expect(read.ok && read.value.map(({ id: _id, ...rest }) => rest)).toEqual(EXAMPLE_SIZES);
  });

  test("everything that a table can say of a shoe goes out and comes back", () => {
    const own = [
      size({
        webMedial: 20,
        webLateral: 25,
        toe: "square",
        toeEdge: "rockered",
        clips: ["toe", "quarter lateral"],
        crease: "stamped",
        material: "aluminium",
        profile: "concave",
        holes: "coarse",
        grams: 310,
      }),
      size({ clips: [] }),
    ];
    const read = readSizesCsv(sizesCsv(own), ids());
    expect(read.ok && read.value.map(({ id: _id, ...rest }) => rest)).toEqual(own);
  });

  test("the old columns still read, and a new one that is wrong is named by row and column", () => {
    const old = "name,feet,width,length,straight,web,thickness,heads\none,fore,130,140,350,22,10,slim\n";
    const read = readSizesCsv(old, ids());
    expect(read.ok && read.value.map(({ id: _id, ...rest }) => rest)).toEqual([size()]);
    const wrong = readSizesCsv(
      `${old.split("\n")[0]},web inside,clips,metal,grams\none,fore,130,140,350,22,10,slim,wide,toe + heel,gold,many\n`,
      ids(),
    );
    expect(!wrong.ok && wrong.issues.map(({ message }) => message)).toEqual([
      "Row 2, web inside: a number of mm, not “wide”.",
      "Row 2, clips: toe, side medial, side lateral, quarter medial or quarter lateral, a plus between, not “toe + heel”.",
      "Row 2, metal: steel or aluminium, not “gold”.",
      "Row 2, grams: a number of grams, not “many”.",
    ]);
  });

  test("bad rows are named by row and column, and nothing is half taken in", () => {
    const read = readSizesCsv(
      "name,feet,width,length,straight,web,thickness,heads\none,fore,130,140,350,22,10,slim\ntwo,both,wide,140,350,22,10,slim\n,fore,130,9000,350,22,10,round\n",
      ids(),
    );
    expect(read.ok).toBe(false);
    expect(!read.ok && read.issues.map(({ path }) => path)).toEqual([
      "3.feet",
      "3.width",
      "4.name",
      "4.length",
      "4.heads",
    ]);
    expect(!read.ok && read.issues[1]?.message).toBe("Row 3, width: a number of mm, not “wide”.");
    expect(!read.ok && read.issues[2]?.message).toContain("it is empty");
  });

  test("missing columns, an empty file and a file of another kind are said", () => {
    expect(readSizesCsv("name,feet\none,fore", ids())).toMatchObject({
      issues: [{ code: "missing-column", message: expect.stringContaining("width, length") }],
    });
    expect(readSizesCsv("name,feet,width,length,straight,web,thickness,heads\n", ids())).toMatchObject({
      issues: [{ code: "empty" }],
    });
    expect(readSizesCsv('{"not":"csv"}', ids()).ok).toBe(false);
  });

  test("a name that a spreadsheet would run is escaped on the way out and is itself again on the way in", () => {
    const own = [size({ name: "=1+1" })];
    const text = sizesCsv(own);
    expect(text).toContain("'=1+1");
    const read = readSizesCsv(text, ids());
    expect(read.ok && read.value[0]?.name).toBe("=1+1");
  });

  test("semicolons and decimal commas of other countries are read", () => {
    const read = readSizesCsv(
      "name;feet;width;length;straight;web;thickness;heads\none;Fore;130,5;140;350;22;10;Slim\n",
      ids(),
    );
    expect(read.ok && read.value[0]).toMatchObject({ width: 130.5, feet: "fore", pattern: "slim" });
  });
});
