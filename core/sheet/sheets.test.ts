import { readFileSync } from "node:fs";
import { createHash } from "node:crypto";
import { describe, expect, test } from "@jest/globals";
import {
  decodePDFRawStream,
  PDFArray,
  PDFDict,
  PDFDocument,
  PDFName,
  PDFRawStream,
  type PDFPage,
} from "@cantoo/pdf-lib";
import { caseOf } from "../case/case.fixture";
import { nothingRead, readingId } from "../foot/records/reading";
import { wordingFor } from "../foot/wording";
import type { Photo } from "../photo/photoRecord";
import { noShoe } from "../shoe/shoeRecord";
import { DEFAULT_SETTINGS } from "../record/settings";
import type { Horse } from "../record/horse";
import { blankVisit, type Visit } from "../record/visit";
import type { CaseRecords } from "../casework/exitFacts";
import { ANSWER_SCRIPT, ANSWER_SCRIPT_SHA256 } from "./answerScript";
import { ownerSheet } from "./ownerSheet";
import { readReply } from "./replyIn";
import { contentsOf, picturesOf, type SheetPictures } from "./sheet";
import { escapeHtml, sheetHtml } from "./sheetHtml";
import { patternPdf } from "../forge/pattern/pdf";
import type { FaceFiles } from "../forge/pattern/printable";
import { sheetPdf } from "./sheetPdf";
import { vetFileSchema, type VetReply } from "./vetFile";
import { vetSheet } from "./vetSheet";

const wording = wordingFor({ unit: "mm", fraction: 16, side: "medial-lateral", leftRight: "left-right" });
const day = (date: string) => date;
const HOSTILE = `"><script>alert(1)</script><img src=x onerror=alert(2)> ' & </style> <!-- \u2028 Łódź 馬`;
const horse: Horse = {
  id: "h",
  yardId: "y",
  name: HOSTILE,
  kind: "horse",
  massKg: 520,
  use: "riding",
  finish: "full set",
  habits: HOSTILE,
  notes: HOSTILE,
};
const gauge = (value: number) => ({ value, source: "gauge" as const });
const visit: Visit = {
  id: "v",
  horseId: "h",
  date: "2026-11-04",
  status: "signed",
  ...blankVisit(),
  tell: HOSTILE,
  watch: HOSTILE,
  observed: { LF: { seen: ["settles on it"], note: HOSTILE } },
  next: { due: "2026-12-09", windowStart: "2026-12-02", reason: "cap", day: 35 },
};
const photo = (n: number): Photo => ({
  id: `photo ${n}`,
  visitId: "v",
  horseId: "h",
  limb: n % 2 ? "LF" : "RF",
  moment: n < 5 ? "before" : "after",
  view: (["side", "sole", "rear", "front"] as const)[n % 4]!,
  date: "2026-11-04",
  takenAt: `2026-11-04T09:0${n}:00Z`,
  pictureId: `picture ${n}`,
  width: 10,
  height: 10,
  simulated: true,
  points: {},
});
const records: CaseRecords = {
  visits: [visit],
  readings: (["LF", "RF"] as const).map((limb) => ({
    id: readingId("v", limb, "after"),
    visitId: "v",
    horseId: "h",
    limb,
    moment: "after",
    date: "2026-11-04",
    ...nothingRead(),
    values: {
      dorsalAngle: gauge(limb === "LF" ? 48.5 : 52),
      pasternAngle: gauge(52),
      toeLength: gauge(87),
      heelHeightMedial: gauge(34),
      heelHeightLateral: gauge(36),
    },
  })),
  trims: [
    {
      id: "v.LF",
      visitId: "v",
      horseId: "h",
      limb: "LF",
      date: "2026-11-04",
      cuts: { toe: 6.5 },
      ticks: {},
      past: {},
    },
  ],
  shoes: [],
  looks: [],
  films: [],
  watchings: [],
  photos: Array.from({ length: 8 }, (_, n) => photo(n)),
};
const one = caseOf({
  title: HOSTILE,
  vet: HOSTILE,
  opened: "2026-09-01",
  prescription: {
    by: HOSTILE,
    until: "2026-12-01",
    feet: ["LF", "RF"],
    says: HOSTILE,
    type: "straight bar",
    raiseDeg: 3,
    weeks: 5,
  },
  stages: [
    {
      id: "raised",
      name: HOSTILE,
      says: HOSTILE,
      feet: ["LF", "RF"],
      shoeings: 2,
      asks: {},
      exit: [{ kind: "axis straight", within: 2 }, { kind: "vet agrees" }],
    },
    { id: "plain", name: "Plain", says: "", feet: ["LF", "RF"], asks: {}, exit: [] },
  ],
  log: { a: { on: "2026-10-01", by: HOSTILE, says: HOSTILE } },
  told: { drugs: HOSTILE, feed: HOSTILE, metabolic: HOSTILE },
});
/** The smallest JPEG there is: one grey pixel. */
const JPEG = Uint8Array.from(
  atob(
    "/9j/4AAQSkZJRgABAQEASABIAAD/2wBDAP//////////////////////////////////////////////////////////////////////////////////////wgALCAABAAEBAREA/8QAFBABAAAAAAAAAAAAAAAAAAAAAP/aAAgBAQABPxA=",
  ),
  (sign) => sign.charCodeAt(0),
);
const pictures: SheetPictures = new Map(
  Array.from({ length: 8 }, (_, n) => [`picture ${n}`, { bytes: JPEG, width: 1, height: 1 }]),
);
const owner = ownerSheet({ horse, visit, records }, DEFAULT_SETTINGS, wording, day);
const vet = vetSheet({ horse, one, records, today: "2026-11-10" }, DEFAULT_SETTINGS, wording, day);

describe("an owner’s sheet", () => {
  test("holds pictures, four numbers a foot, what was done, what was left and why, the next day", () => {
    const text = JSON.stringify(owner);
    expect(picturesOf(owner)).toHaveLength(4);
    const table = owner.parts.find((part) => part.kind === "table");
    expect(table?.kind === "table" && table.rows.map((row) => row.slice(0, 5))).toEqual([
      ["Left fore", "48.5°", "−3.5°", "87 mm", "35 mm"],
      ["Right fore", "52.0°", "0.0°", "87 mm", "35 mm"],
      ["Left hind", "–", "–", "–", "–"],
      ["Right hind", "–", "–", "–", "–"],
    ]);
    expect(text).toContain("Left fore: taken off: toe 6.5 mm");
    expect(text).toContain("3.5° apart (broken back)");
    expect(text).toContain("Due again 2026-12-09");
    // Habits and notes are the farrier’s own.
    expect(
      ownerSheet(
        { horse: { ...horse, habits: "bites", notes: "owes" }, visit, records },
        DEFAULT_SETTINGS,
        wording,
        day,
      ),
    ).toEqual(owner);
  });

  test("of all that was written only what is for others leaves, field by field, in each sheet", () => {
    // Every text of the records says which field it stands in.
    const marked = (value: unknown, name: string): unknown =>
      typeof value === "string" && value === HOSTILE
        ? `<<${name}>>`
        : Array.isArray(value)
          ? value.map((inner) => marked(inner, name))
          : typeof value === "object" && value !== null
            ? Object.fromEntries(
                Object.entries(value).map(([key, inner]) => [key, marked(inner, `${name}.${key}`)]),
              )
            : value;
    const written = {
      ...visit,
      notes: {
        arrive: HOSTILE,
        watch: HOSTILE,
        read: HOSTILE,
        survey: HOSTILE,
        trim: HOSTILE,
        shoe: HOSTILE,
        set: HOSTILE,
      },
    };
    const trims = records.trims.map((trim) => ({ ...trim, past: { toe: HOSTILE }, atOnceWhy: HOSTILE }));
    const shoes = [
      {
        id: "s",
        visitId: "v",
        horseId: "h",
        limb: "LF",
        date: visit.date,
        ...noShoe(),
        because: HOSTILE,
        kept: { web: HOSTILE },
      },
    ];
    const all = {
      horse: marked(horse, "horse") as Horse,
      visit: marked(written, "visit") as Visit,
      one: marked(one, "case") as typeof one,
      records: {
        ...records,
        visits: [marked(written, "visit")],
        trims: marked(trims, "trim"),
        shoes: marked(shoes, "shoe"),
      } as CaseRecords,
    };
    const leaving = (sheet: object) =>
      [...new Set([...JSON.stringify(sheet).matchAll(/<<([^>]+)>>/g)].map(([, name]) => name))].sort();
    expect(leaving(ownerSheet(all, DEFAULT_SETTINGS, wording, day))).toEqual([
      "horse.name",
      "trim.atOnceWhy",
      "visit.tell",
    ]);
    expect(leaving(vetSheet({ ...all, today: "2026-11-10" }, DEFAULT_SETTINGS, wording, day))).toEqual([
      "case.log.a.by",
      "case.log.a.says",
      "case.prescription.by",
      "case.prescription.says",
      "case.stages.name",
      "case.stages.says",
      "case.title",
      "case.told.drugs",
      "case.told.feed",
      "case.told.metabolic",
      "case.vet",
      "horse.name",
      "visit.observed.LF.note",
    ]);
  });

  test("what it contains is said before it leaves", () => {
    expect(contentsOf(owner).join("\n")).toMatch(/4 pictures\n4 rows of measures[\s\S]*not in it/);
    expect(contentsOf(vet).join("\n")).toMatch(/8 pictures[\s\S]*a form with which the vet can answer/);
  });
});

describe("a vet’s sheet", () => {
  test("the paper of the prescription stands first among its eight pictures", () => {
    const papered = vetSheet(
      { horse, one: { ...one, paperId: "paper" }, records, today: "2026-11-10" },
      DEFAULT_SETTINGS,
      wording,
      day,
    );
    expect(picturesOf(papered)).toHaveLength(8);
    expect(picturesOf(papered)[0]).toBe("paper");
  });
});

describe("as HTML", () => {
  test.each([
    ["the owner’s", owner],
    ["the vet’s", vet],
  ])("%s escapes everything, asks no address and runs no script it was not made with", (_whose, sheet) => {
    const html = sheetHtml(sheet, pictures);
    const own = html.match(/<script/g) ?? [];
    expect(own).toHaveLength(sheet.data ? 2 : 0);
    expect(html).not.toContain("<img src=x");
    expect(html).not.toContain("alert(1)</script>");
    expect(html.match(/https?:\/\//g)).toBeNull();
    expect(html).toContain(escapeHtml(HOSTILE).slice(0, 40));
    expect(html.match(/data:image\/jpeg;base64,/g)).toHaveLength(sheet.data ? 8 : 4);
    expect(html).toContain(`script-src ${sheet.data ? `'sha256-${ANSWER_SCRIPT_SHA256}'` : "'none'"}`);
  });

  test("the policy names the script as it is", () => {
    expect(createHash("sha256").update(ANSWER_SCRIPT).digest("base64")).toBe(ANSWER_SCRIPT_SHA256);
  });

  test("the vet’s holds the case as data that its own schema reads, whatever is written in it", () => {
    const html = sheetHtml(vet, pictures);
    const data =
      /<script type="application\/json" id="plumbline-data">(.*?)<\/script>/s.exec(html)?.[1] ?? "";
    expect(vetFileSchema.parse(JSON.parse(data)).case).toEqual(one);
    expect(vetFileSchema.parse(JSON.parse(data)).visits[0]?.values["toeLength"]).toBe(87);
  });

  test("a picture that is not in the store leaves its caption and says so", () => {
    expect(sheetHtml(owner, new Map())).toContain("not in the farrier’s store");
  });
});

/** The text and the pictures of a PDF's pages, read back out of its streams. */
async function readBack(bytes: Uint8Array): Promise<{ pages: number; text: string; images: number }> {
  const document = await PDFDocument.load(bytes);
  const pages = document.getPages();
  const streamsOf = (page: PDFPage) => {
    const contents = page.node.Contents();
    const list = contents instanceof PDFArray ? contents.asArray() : contents ? [contents] : [];
    return list.map((one) => document.context.lookup(one)).filter((one) => one instanceof PDFRawStream);
  };
  const text = pages
    .flatMap(streamsOf)
    .map((stream) => Buffer.from(decodePDFRawStream(stream).decode()).toString("latin1"))
    .join("\n");
  const images = new Set(
    pages.flatMap(
      (page) => page.node.Resources()?.lookupMaybe(PDFName.of("XObject"), PDFDict)?.keys().map(String) ?? [],
    ),
  );
  return {
    pages: pages.length,
    text: [...text.matchAll(/<([0-9A-Fa-f]+)> Tj/g)]
      .map(([, hex]) => Buffer.from(hex ?? "", "hex").toString("latin1"))
      .join(" "),
    images: images.size,
  };
}

describe("as PDF", () => {
  test("the owner’s is one page, its words and numbers read back, its pictures counted", async () => {
    const back = await readBack(await sheetPdf(owner, pictures));
    expect(back.pages).toBe(1);
    expect(back.images).toBe(4);
    for (const words of [
      "Left fore",
      "48.5",
      "-3.5",
      "87 mm",
      "taken off: toe 6.5 mm",
      "Due again 2026-12-09",
    ])
      expect(back.text).toContain(words);
  });

  test("the vet’s holds its eight pictures; a sign that the face lacks stands in its plain form, or as a question", async () => {
    const back = await readBack(await sheetPdf(vet, pictures));
    expect(back.images).toBe(8);
    expect(back.pages).toBeLessThanOrEqual(2);
    expect(back.text).toContain("Axis straight within 2.0");
    expect(back.text).toContain("Lódz");
  });
});

describe("a PDF with names in other letters", () => {
  const filesOf = (names: readonly string[]): FaceFiles => {
    const of = (weight: number) =>
      names.map((name) =>
        readFileSync(`node_modules/@fontsource/noto-sans/files/noto-sans-${name}-${weight}-normal.woff`),
      );
    return { plain: of(400), bold: of(700) };
  };
  const title = "Łucznik, Иван, Ελένη, Thảo";
  /** What its fonts say that their signs are. */
  const signsIn = async (bytes: Uint8Array) => {
    const document = await PDFDocument.load(bytes);
    const maps = document.context
      .enumerateIndirectObjects()
      .flatMap(([, one]) => (one instanceof PDFDict ? [one.get(PDFName.of("ToUnicode"))] : []))
      .map((one) => one && document.context.lookup(one))
      .filter((one) => one instanceof PDFRawStream)
      .map((one) => Buffer.from(decodePDFRawStream(one).decode()).toString("latin1"));
    return new Set(
      [...maps.join("\n").matchAll(/<[0-9A-Fa-f]+> <([0-9A-Fa-f]{4})>/g)].map(([, code]) =>
        String.fromCharCode(parseInt(code ?? "0", 16)),
      ),
    );
  };

  test("writes them as they are, in type of which only the letters that are used are put in", async () => {
    const plain = await sheetPdf({ ...owner, title }, new Map());
    const files = filesOf(["latin-ext", "vietnamese", "cyrillic", "greek"]);
    const made = await sheetPdf({ ...owner, title }, new Map(), files);
    const signs = await signsIn(made);
    for (const sign of "ŁИванΕλένηả") expect([sign, signs.has(sign)]).toEqual([sign, true]);
    expect((await readBack(made)).text.slice(0, 40)).not.toContain("?");
    expect((await readBack(plain)).text).toContain("Lucznik, ????");
    expect(made.length - plain.length).toBeLessThan(60_000);
  });

  test("a pattern’s label too", async () => {
    const pattern = { lines: [], box: { x: 0, y: 0, width: 120, height: 120 }, label: [title] };
    const signs = await signsIn(await patternPdf(pattern, "A4", filesOf(["cyrillic"])));
    expect(signs.has("И")).toBe(true);
  });
});

describe("the vet’s answer", () => {
  const answer = (more: Partial<VetReply> = {}): VetReply => ({
    format: "plumbline-answer",
    version: 1,
    caseId: one.id,
    horseId: "h",
    horse: "Dunlin",
    answers: one.prescription ?? null,
    by: "The vet",
    on: "2026-11-12",
    prescription: { ...one.prescription!, until: "2027-01-20", raiseDeg: 0 },
    agreed: ["raised LF"],
    says: "Level on the left.",
    ...more,
  });
  const read = (what: unknown) =>
    readReply(typeof what === "string" ? what : JSON.stringify(what), one, horse, () => "new", wording);
  const code = (what: unknown) => {
    const found = read(what);
    return found.ok ? "read" : found.issues[0]?.code;
  };

  test("says what it would change, field by field, and changes nothing by being read", () => {
    const found = read(answer());
    if (!found.ok) throw new Error(found.issues[0]?.message);
    expect(found.value.changes).toEqual([
      { name: "Until", was: "2026-12-01", now: "2027-01-20" },
      { name: "Raise, degrees", was: "3", now: "0" },
      { name: `Leaving “${HOSTILE}”, left fore`, was: "not agreed", now: "agreed on 2026-11-12" },
      { name: "Into the log", was: "", now: "Level on the left." },
    ]);
    expect(found.value.edits.map(({ path }) => path.join("."))).toEqual([
      "prescription",
      "vetAgreed.raised LF",
      "log.new",
    ]);
  });

  test("an answer that asks nothing new is only written down", () => {
    const { prescription: _same, ...rest } = answer({ agreed: [] });
    const found = read(rest);
    expect(found.ok && found.value.edits.map(({ path }) => path[0])).toEqual(["log"]);
  });

  test.each([
    ["another horse’s", answer({ horseId: "x", horse: "Teasel" }), "other-horse"],
    ["another case’s", answer({ caseId: "x" }), "other-case"],
    ["one to an older sheet", answer({ answers: { ...one.prescription!, until: "2026-11-01" } }), "older"],
    ["one of a later version", answer({ version: 2 }), "newer"],
    ["one without a name", answer({ by: "" }), "bad"],
    ["one with a day that is none", answer({ prescription: { ...one.prescription!, until: "soon" } }), "bad"],
    ["one with keys that nobody knows", { ...answer(), more: 1 }, "bad"],
    ["a backup", { format: "plumbline-backup" }, "foreign"],
    ["a torn file", '{"format":"plumbline-ans', "not-json"],
  ])("%s is refused and nothing is taken", (_what, file, wanted) => {
    expect(code(file)).toBe(wanted);
  });

  test("an answer to a closed case asks to open it first", () => {
    const found = readReply(
      JSON.stringify(answer()),
      { ...one, status: "closed" },
      horse,
      () => "n",
      wording,
    );
    expect(!found.ok && found.issues[0]?.code).toBe("closed");
  });
});
