import { describe, expect, test } from "@jest/globals";
import { guessedMapping, type Mapping } from "./columnNames";
import { peopleEdits, peopleFrom, readPeople } from "./peopleIn";
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

  test("headers of other languages are offered a meaning by likeness; a breed is no kind of animal", () => {
    expect(
      guessedMapping([
        "Pferd",
        "Besitzer",
        "Telefon (mobil)",
        "Straße",
        "Gewicht in kg",
        "Bemerkungen",
        "Rasse",
      ]),
    ).toEqual({
      horse: "Pferd",
      person: "Besitzer",
      phone: "Telefon (mobil)",
      access: "Straße",
      mass: "Gewicht in kg",
      notes: "Bemerkungen",
    });
    expect(guessedMapping(["Cheval", "Propriétaire", "Téléphone", "Écurie", "Poids"])).toEqual({
      horse: "Cheval",
      person: "Propriétaire",
      phone: "Téléphone",
      yard: "Écurie",
      mass: "Poids",
    });
    expect(guessedMapping(["Caballo", "Dueño", "Teléfono móvil", "Dirección"])).toEqual({
      horse: "Caballo",
      person: "Dueño",
      phone: "Teléfono móvil",
      access: "Dirección",
    });
    expect(guessedMapping(["Paard", "Eigenaar", "Telefoonnr", "Adres", "Opmerkingen"])).toMatchObject({
      horse: "Paard",
      person: "Eigenaar",
      access: "Adres",
      notes: "Opmerkingen",
    });
    expect(guessedMapping(["Breed", "Horse’s name", "Adress", "Sex"])).toEqual({
      horse: "Horse’s name",
      access: "Adress",
    });
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

  test("every telephone number and address of mail comes with its kind", () => {
    const { yards } = bring(
      card(
        "FN:Odo Trevanning",
        "TEL;TYPE=CELL:1",
        "TEL;TYPE=HOME,VOICE:2",
        "TEL:3",
        "EMAIL;TYPE=WORK:odo@tarn.example",
      ),
    );
    expect([yards[0]?.phone, yards[0]?.access]).toEqual(["1 (cell), 2 (home), 3", "odo@tarn.example"]);
  });

  test("vCard 2.1: kinds without a name, quoted-printable over several lines, charsets, a picture", () => {
    const { yards } = bring(
      [
        "\uFEFFBEGIN:VCARD",
        "VERSION:2.1",
        "N;CHARSET=UTF-8;ENCODING=QUOTED-PRINTABLE:Castlegate;Merr=C3=BDn;;;",
        "FN;CHARSET=UTF-8;ENCODING=QUOTED-PRINTABLE:Merr=C3=BDn=20=",
        "Castlegate, of the =",
        "moor",
        "ORG;CHARSET=ISO-8859-1;QUOTED-PRINTABLE:Ferme des C=E8dres",
        "TEL;CELL;VOICE:00000 100107",
        "TEL;HOME:00000 200208",
        "TEL;TYPE=WORK:00000 300309",
        "EMAIL;INTERNET:merryn@tarn.example",
        "PHOTO;ENCODING=BASE64;JPEG:/9j/4AAQSkZJRgABAQAAAQABAAD/2wBDAAgGBgcGBQgH",
        " BwcJCQgKDBQNDAsLDBkSEw8UHRofHh0aHBwgJC4nICIsIxwcKDcpLDAxNDQ0Hyc5PTgyPC4z",
        "",
        "NOTE:after the picture",
        "END:VCARD",
        "BEGIN:VCARD",
        "VERSION:2.1",
        "N:Trevanning;Odo",
        "TEL;CELL:1",
        "END:VCARD",
        "BEGIN:VCARD",
        "VERSION:4.0",
        "FN:Jory",
        "TEL;VALUE=uri;TYPE=cell:tel:+44-0",
        "END:VCARD",
        "",
      ].join("\r\n"),
    );
    expect(yards.map(({ name, person, phone, access }) => [name, person, phone, access])).toEqual([
      [
        "Ferme des Cèdres",
        "Merrýn Castlegate, of the moor",
        "00000 100107 (cell), 00000 200208 (home), 00000 300309 (work)",
        "merryn@tarn.example",
      ],
      ["Odo Trevanning", "Odo Trevanning", "1", ""],
      ["Jory", "Jory", "+44-0", ""],
    ]);
  });

  test("an empty or a damaged file is said", () => {
    expect(readPeople("yard,horse\n")).toMatchObject({ ok: false, issues: [{ code: "empty" }] });
    expect(readPeople("BEGIN:VCARD\r\nFN:A")).toMatchObject({ ok: false, issues: [{ code: "not-a-card" }] });
  });
});
