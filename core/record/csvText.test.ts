import { describe, expect, test } from "@jest/globals";
import { csvOf, readCsvText, unescaped } from "./csvText";
import { guessedMapping } from "./columnNames";
import { peopleFrom, readPeople } from "./peopleIn";
import { records } from "./records.fixture";
import { nailsCsv, readNailsCsv } from "./sizesCsv";

describe("readCsvText", () => {
  test("rows have the numbers that a spreadsheet gives them, empty ones counted and left out", () => {
    const { header, rows } = readCsvText("\uFEFF name , mass\r\n\r\nAsh,420\r\n , \r\nBirch,510\r\n");
    expect(header).toEqual(["name", "mass"]);
    expect(rows.map(({ row, cells }) => [row, ...cells])).toEqual([
      [3, "Ash", "420"],
      [5, "Birch", "510"],
    ]);
  });

  test("cells may be parted by semicolons or tabs, and have commas, quotes and lines of their own", () => {
    expect(readCsvText("a;b\n1,5;2\n").rows[0]?.cells).toEqual(["1,5", "2"]);
    expect(readCsvText("a;b;c\n1,5;2,5;3,5\n4,5;5,5;6,5\n").rows[1]?.cells).toEqual(["4,5", "5,5", "6,5"]);
    expect(readCsvText("a\tb\n1\t2\n").rows[0]?.cells).toEqual(["1", "2"]);
    expect(readCsvText('a,b\n"1,5","said ""no""\nand left"\n').rows[0]?.cells).toEqual([
      "1,5",
      'said "no"\nand left',
    ]);
  });

  test("a row with more cells than columns is known for one; empty cells past the end harm nothing", () => {
    const { rows } = readCsvText("a,b\n1,5,2\n1,2,,\n1\n");
    expect(rows.map(({ tooLong }) => tooLong)).toEqual([true, false, false]);
  });

  test("nothing, and a header alone", () => {
    expect(readCsvText("")).toEqual({ header: [], rows: [] });
    expect(readCsvText("a,b\n\n")).toEqual({ header: ["a", "b"], rows: [] });
  });
});

describe("csvOf", () => {
  const FORMULAS = [
    "=1+1",
    "+1",
    "-1",
    "@a",
    " =1+1",
    "\t=1",
    "\n=1",
    "\r\n x",
    "\u00A0=1",
    "\uFEFF=1",
    "\u3000=1",
    "＝1+1",
    "＋1",
    "－1",
    "＠a",
    " \t ＝1",
  ];
  test.each(FORMULAS)("%j is no formula in a spreadsheet, and comes back as it was", (text) => {
    const { rows } = readCsvText(csvOf(["a", "b"], [[text, "x"]]));
    expect(rows[0]?.cells[0]).toBe(`'${text}`);
    expect(unescaped(rows[0]?.cells[0] ?? "")).toBe(text);
  });

  test("a number stays a number, an apostrophe of one’s own stays", () => {
    expect(csvOf(["a", "b"], [[-1.5, "'tis"]])).toBe("a,b\r\n-1.5,'tis\r\n");
    expect(unescaped("'tis")).toBe("'tis");
  });
});

test("a first line that says what parts the cells is heeded, and counted among the rows", () => {
  expect(readCsvText("\uFEFFsep=;\r\na;b,c\r\n1;2\r\n")).toEqual({
    header: ["a", "b,c"],
    rows: [{ row: 3, cells: ["1", "2"], tooLong: false }],
  });
  expect(readCsvText("sep=|\na|b\n1|2\n").rows[0]?.cells).toEqual(["1", "2"]);
});

describe("a comma within a number, without quotes around it, is named and nothing is taken for it", () => {
  let next = 0;
  const newId = () => `n${++next}`;

  test("in a table of one’s own", () => {
    const good = nailsCsv([{ name: "Own", pattern: "slim", lengthMm: 47 }]);
    const [header = "", row = ""] = good.trim().split("\r\n");
    const broken = readNailsCsv(`${header}\r\n\r\n${row.replace("47", "47,5")}\r\n`, newId);
    expect(broken).toMatchObject({
      ok: false,
      issues: [{ code: "too-long", path: "3", message: expect.stringContaining("Row 3: more cells") }],
    });
    const twice = readNailsCsv(`${header},${header.split(",")[0]}\r\n${row},x\r\n`, newId);
    expect(twice).toMatchObject({ ok: false, issues: [{ code: "twice-column" }] });
  });

  test("of people and horses: that row is left out, the others come, a second column of a name can be chosen", () => {
    const table = readPeople(
      "yard,horse,weight,phone,phone\nTarn Farm,Ash,420,1,2\nTarn Farm,Birch,412,5,3,4\n",
    );
    if (!table.ok) throw new Error("no table");
    expect(table.value.columns).toEqual(["yard", "horse", "weight", "phone", "phone (2)"]);
    const { columns } = table.value;
    const found = peopleFrom(
      table.value,
      { ...guessedMapping(columns), phone: "phone (2)" },
      records(),
      newId,
    );
    expect([found.horses.map(({ name }) => name), found.yards[0]?.phone]).toEqual([["Ash"], "2"]);
    expect(found.issues.map(({ path, code }) => [path, code])).toEqual([["3", "too-long"]]);
  });
});
