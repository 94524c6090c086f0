import { describe, expect, test } from "@jest/globals";
import { guessedMapping, peopleEdits, peopleFrom, readPeople, type Mapping } from "./peopleIn";
import { records } from "./records.fixture";

let next = 0;
const bring = (text: string, mapping?: Mapping) => {
  const table = readPeople(text);
  if (!table.ok) throw new Error(table.issues[0]?.message);
  return peopleFrom(
    table.value,
    mapping ?? guessedMapping(table.value.columns),
    records(),
    () => `n${++next}`,
  );
};

describe("a CSV of horses", () => {
  const text = [
    "Owner,Stable,Horse name,Weight,Shoes,Lat,Lon,Warning",
    "Wenna Hathergill,Tarn Farm,Ash,420,trim,54.2,-1.9,Kicks",
    "Wenna Hathergill,tarn farm,Birch,,,,,",
    ",Ferryfield,Dunlin,,,,,",
    ",Ferryfield,=Cmd(),510,fronts,,,",
  ].join("\n");

  test("columns are guessed by their names; a yard is made once, a horse that is there is left alone", () => {
    const { yards, horses, known, issues } = bring(text);
    expect(yards.map(({ name, person, at }) => [name, person, at])).toEqual([
      ["Tarn Farm", "Wenna Hathergill", [54.2, -1.9]],
    ]);
    expect(
      horses.map(({ name, yardId, massKg, finish, habits }) => [name, yardId, massKg, finish, habits]),
    ).toEqual([
      ["Ash", yards[0]?.id, 420, "trim", "Kicks"],
      ["Birch", yards[0]?.id, 500, "full set", ""],
      ["=Cmd()", "y", 510, "fronts", ""],
    ]);
    expect([known, issues]).toEqual([1, []]);
  });

  test("yards go before their horses, all in one, so that one undo takes them back", () => {
    const edits = peopleEdits(bring(text));
    expect(edits.map(({ table }) => table)).toEqual(["yards", "horses", "horses", "horses"]);
    expect(edits.every(({ was, path }) => was === undefined && path.length === 0)).toBe(true);
  });

  test.each([
    ["yard,horse,weight\nTarn Farm,Ash,4", "Row 2, weight: Lighter than 40 kg is not read."],
    ["yard,horse,kind\nTarn Farm,Ash,unicorn", "Row 2, kind: “unicorn” is none of"],
    ["yard,horse,lat,lon\nTarn Farm,Ash,moor,1", "Row 2, lat: is no latitude and longitude in degrees."],
    ["yard,horse\n,Ash", "Row 2, yard: neither a yard nor a person is named."],
  ])("a bad cell is named by row and column, and its row left out", (bad, message) => {
    const { issues, horses, yards } = bring(bad);
    expect(issues[0]?.message).toContain(message);
    expect([horses, yards]).toEqual([[], []]);
  });

  test("a column can be given another meaning, or none", () => {
    const { horses } = bring("a,b\nTarn Farm,Ash", { yard: "a", horse: "b" });
    expect(horses[0]?.name).toBe("Ash");
    expect(guessedMapping(["a", "b"])).toEqual({});
  });
});

describe("vCards", () => {
  const card = (...lines: string[]) => ["BEGIN:VCARD", "VERSION:3.0", ...lines, "END:VCARD"].join("\r\n");

  test("a card is a yard: by its organisation, else by its person; phone, address and place come with it", () => {
    const { yards } = bring(
      [
        card(
          "FN:Merryn Castlegate",
          "ORG:Tarn Farm",
          "TEL;TYPE=CELL:00000 100107",
          "ADR:;;Second gate;Moor;;;",
          "GEO:54.2;-1.9",
        ),
        card("FN:Odo Trevanning"),
      ].join("\r\n"),
    );
    expect(yards.map(({ name, person, phone, access, at }) => [name, person, phone, access, at])).toEqual([
      ["Tarn Farm", "Merryn Castlegate", "00000 100107", "Second gate, Moor", [54.2, -1.9]],
      ["Odo Trevanning", "Odo Trevanning", "", "", undefined],
    ]);
  });

  test("an empty or a damaged file is said", () => {
    expect(readPeople("yard,horse\n")).toMatchObject({ ok: false, issues: [{ code: "empty" }] });
    expect(readPeople("BEGIN:VCARD\r\nFN:A")).toMatchObject({ ok: false, issues: [{ code: "not-a-card" }] });
  });
});
