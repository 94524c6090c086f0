import { describe, expect, test } from "@jest/globals";
import { ordinaryShoe } from "./specification";
import { footPlace } from "../record/footRecords";
import { makeBackup, writeBackup } from "../record/backupText";
import { readBackup } from "../record/backup";
import { shoeSchema, type ShoeRecord } from "./shoeRecord";
import { readNailsCsv, nailsCsv } from "../record/sizesCsv";
import { EXAMPLE_NAILS } from "./nails";
import { records } from "../record/records.fixture";

const visit = { id: "v", horseId: "h", date: "2026-11-23" };
const blank = footPlace("shoes", visit, "LF", "before") as ShoeRecord;

describe("the record of a shoe", () => {
  test("begins with nothing decided, and reads as it is", () => {
    expect(shoeSchema.parse(blank)).toEqual(blank);
    expect(blank).toMatchObject({ id: "v.LF.shoe", alike: true, because: "", kept: {}, hotFits: {} });
  });

  test("keeps a whole shoeing: specification, setting, breakover, nails, tries, ticks, compound", () => {
    const whole: ShoeRecord = {
      ...blank,
      spec: { ...ordinaryShoe("LF", 520), raise: { degrees: 3, cycles: 2, exit: "heel within 5°" } },
      from: "prescription",
      because: "wears the toe",
      alike: false,
      setting: { back: 3, turn: -2, fullerMedial: 0, fullerLateral: 2.5 },
      breakover: { lens: "coffinTip", direction: 8, levelLine: 6 },
      skip: { a: { side: "lateral", from: 0.38, to: 0.56 } },
      kept: { widest: "stands under himself" },
      nails: { medial1: { note: "bent", exitMm: 17 }, lateral3: { exitMm: 18 } },
      hotFits: { "1": { toe: "gap" }, "2": {} },
      ticks: { tack: true, clean: true },
      compound: { minutesAt20: 4, celsius: 8, mixedAt: "2026-11-23T09:00:00Z" },
    };
    expect(shoeSchema.parse(whole)).toEqual(whole);
    const made = { ...records(), shoes: [{ ...whole, visitId: "v" }] };
    const back = readBackup(writeBackup(makeBackup(made, "2026-11-23T08:00:00Z")));
    expect(back.ok && back.value.records.shoes).toEqual(made.shoes);
  });

  test.each([
    [{ nails: { middle1: {} } }, "nails"],
    [{ hotFits: { "0": {} } }, "hotFits"],
    [{ setting: { ...blank.setting, back: 99 } }, "setting"],
    [{ breakover: { direction: 80 } }, "breakover"],
    [{ skip: { a: { side: "lateral", from: -1, to: 2 } } }, "skip"],
    [{ compound: { minutesAt20: 0, celsius: 20 } }, "compound"],
    [{ ticks: { dance: true } }, "ticks"],
    [{ spec: { ...ordinaryShoe("LF", 520), nailsMedial: 9 } }, "spec"],
    [{ spec: { ...ordinaryShoe("LF", 520), colour: "gold" } }, "spec"],
  ])("%j is refused at %s", (wrong, place) => {
    const read = shoeSchema.safeParse({ ...blank, ...wrong });
    expect(read.error?.issues[0]?.path[0]).toBe(place);
  });

  test("a shoe of a visit that is not there is refused as an orphan, not half restored", () => {
    const made = { ...records(), shoes: [{ ...blank, visitId: "gone", id: "gone.LF.shoe" }] };
    const back = readBackup(writeBackup(makeBackup(made, "2026-11-23T08:00:00Z")));
    expect(!back.ok && back.issues[0]).toMatchObject({ code: "orphan", path: "records.shoes.0.visitId" });
  });
});

describe("a table of nails as CSV", () => {
  const ids = () => {
    let next = 0;
    return () => `n${next++}`;
  };

  test("goes out and comes back as it was", () => {
    const read = readNailsCsv(nailsCsv(EXAMPLE_NAILS), ids());
    expect(read.ok && read.value.map(({ id: _id, ...nail }) => nail)).toEqual(EXAMPLE_NAILS);
  });

  test("a head that nobody knows and a length that is none are named by row and column", () => {
    const read = readNailsCsv("name,heads,length\nmine,round,50\nother,slim,long\n", ids());
    expect(!read.ok && read.issues.map(({ message }) => message)).toEqual([
      "Row 2, heads: slim, square or heavy, not “round”.",
      "Row 3, length: a number of mm, not “long”.",
    ]);
  });
});
