import { describe, expect, test } from "@jest/globals";
import { valueAt } from "../record/edit";
import { records } from "../record/records.fixture";
import { TABLES } from "../record/schemas";
import { noRecords } from "../record/tables";
import { noShoe } from "../shoe/shoeRecord";
import { ordinaryShoe } from "../shoe/specification";
import { nothingRead, type Reading } from "../foot/records/reading";
import { contents, device, openVisit, pair, starting, toe, type Device } from "./devices.fixture";
import { mergeSides } from "./merge";

const READING = "v.LF.before";
const putToe = (one: Device, value: number, at: number) =>
  one.edit({ table: "readings", id: READING, path: ["values", "toeLength"], now: toe(value) }, at);
const valueOf = (one: Device, place: string[]) => valueAt(one.row("readings", READING), place);

describe("two devices' files are put together", () => {
  test("what only one of them did is in both, and nothing is asked", () => {
    const [phone, laptop] = pair();
    putToe(phone, 92, 10);
    laptop.edit({ table: "readings", id: READING, path: ["values", "width"], now: toe(128) }, 20);
    laptop.edit({ table: "visits", id: "w", path: [], now: openVisit("w") }, 30);
    const merged = laptop.merge(phone.side());
    expect(merged.clashes).toEqual([]);
    expect(valueOf(laptop, ["values"])).toEqual({ toeLength: toe(92), width: toe(128) });
    expect(merged.tally.readings).toMatchObject({ changedThere: 1 });
    expect(merged.tally.visits).toMatchObject({ newHere: 1 });
    phone.merge(laptop.side());
    expect(contents(phone.side())).toEqual(contents(laptop.side()));
  });

  test("one place that both changed is asked for with both values, days and devices; the later stands unless said", () => {
    const [phone, laptop] = pair();
    putToe(phone, 92, 2000);
    putToe(laptop, 95, 1000);
    const { clashes } = mergeSides(laptop.side(), phone.side(), { act: ["laptop", 9, 3000] });
    expect(clashes).toEqual([
      {
        key: `readings/${READING}/values.toeLength`,
        table: "readings",
        id: READING,
        place: "values.toeLength",
        here: { value: toe(95), stamp: ["laptop", 1, 1000] },
        there: { value: toe(92), stamp: ["phone", 1, 2000] },
        usual: "there",
      },
    ]);
    laptop.merge(phone.side(), { [clashes[0]?.key ?? ""]: "here" }, 3000);
    expect(valueOf(laptop, ["values", "toeLength"])).toEqual(toe(95));
    // The choice is known to the other afterwards: it is not asked again, and both agree.
    const back = phone.merge(laptop.side());
    expect(back.clashes).toEqual([]);
    expect(valueOf(phone, ["values", "toeLength"])).toEqual(toe(95));
    expect(contents(phone.side())).toEqual(contents(laptop.side()));
  });

  test("a value that was put back is a later word, not an untouched one", () => {
    const [phone, laptop] = pair();
    putToe(phone, 92, 10);
    laptop.merge(phone.side());
    // The laptop undoes what it got.
    putToe(laptop, 91.5, 20);
    const merged = phone.merge(laptop.side());
    expect(merged.clashes).toEqual([]);
    expect(valueOf(phone, ["values", "toeLength"])).toEqual(toe(91.5));
  });

  test("the same number typed on both is no clash", () => {
    const [phone, laptop] = pair();
    putToe(phone, 92, 10);
    putToe(laptop, 92, 20);
    expect(laptop.merge(phone.side()).clashes).toEqual([]);
  });

  test("the same file twice changes nothing", () => {
    const [phone, laptop] = pair();
    putToe(phone, 92, 10);
    putToe(laptop, 94, 20);
    phone.edit({ table: "visits", id: "w", path: [], now: openVisit("w") }, 30);
    const file = phone.side();
    laptop.merge(file);
    const again = laptop.merge(file);
    expect([again.put, again.gone, again.stamps, again.clashes]).toEqual([[], [], [], []]);
  });

  test("what was taken away on one side goes on the other, unless it was changed there: then it is asked, and kept", () => {
    const [phone, laptop] = pair();
    phone.edit({ table: "visits", id: "w", path: [], now: openVisit("w") }, 5);
    phone.edit({ table: "visits", id: "x", path: [], now: openVisit("x") }, 6);
    laptop.merge(phone.side());
    phone.edit({ table: "visits", id: "w", path: [], now: undefined }, 10);
    phone.edit({ table: "visits", id: "x", path: [], now: undefined }, 11);
    laptop.edit({ table: "visits", id: "x", path: ["watch"], now: "the left heel" }, 12);
    const merged = laptop.merge(phone.side());
    expect(laptop.row("visits", "w")).toBeUndefined();
    expect(merged.clashes).toMatchObject([{ key: "visits/x", usual: "here", there: { value: undefined } }]);
    expect(laptop.row("visits", "x")).toMatchObject({ watch: "the left heel" });
    phone.merge(laptop.side());
    expect(phone.row("visits", "x")).toMatchObject({ watch: "the left heel" });
    // Or it is let go of, and stays gone.
    const [other, third] = [device("other", laptop.side()), device("third", laptop.side())];
    other.edit({ table: "visits", id: "x", path: [], now: undefined }, 20);
    third.edit({ table: "visits", id: "x", path: ["tell"], now: "ring me" }, 21);
    third.merge(other.side(), { "visits/x": "there" }, 30);
    expect(third.row("visits", "x")).toBeUndefined();
    other.merge(third.side());
    expect(other.row("visits", "x")).toBeUndefined();
  });

  test("nothing that something hangs on is taken away: a horse that has a visit on the other device stays", () => {
    const start = records();
    start.horses.push({ ...(start.horses[0] as (typeof start.horses)[number]), id: "g", name: "Moth" });
    const [phone, laptop] = [device("phone", starting(start)), device("laptop", starting(start))];
    laptop.edit({ table: "horses", id: "g", path: [], now: undefined }, 10);
    phone.edit({ table: "visits", id: "w", path: [], now: openVisit("w", "g") }, 11);
    const merged = laptop.merge(phone.side());
    expect(merged.tally.horses).toMatchObject({ kept: 1 });
    expect(laptop.row("horses", "g")).toMatchObject({ name: "Moth" });
    phone.merge(laptop.side());
    expect(phone.row("horses", "g")).toMatchObject({ name: "Moth" });
    expect(contents(phone.side())).toEqual(contents(laptop.side()));
  });

  describe("a specification is taken away on one device and changed on the other", () => {
    const SHOE = "v.LF.shoe";
    /** Two devices with one chosen shoe; the phone undoes the choice, the laptop makes its web wider. */
    const apart = (removedAt: number, widenedAt: number): [Device, Device] => {
      const start = records();
      const foot = { visitId: "v", horseId: "h", limb: "LF", date: "2026-11-02" } as const;
      start.shoes.push({ id: SHOE, ...foot, ...noShoe(), spec: ordinaryShoe("LF", 500) });
      const [phone, laptop] = [device("phone", starting(start)), device("laptop", starting(start))];
      phone.edit({ table: "shoes", id: SHOE, path: ["spec"], now: undefined }, removedAt);
      laptop.edit({ table: "shoes", id: SHOE, path: ["spec", "width"], now: 30 }, widenedAt);
      return [phone, laptop];
    };
    const specOf = (one: Device) => valueAt(one.row("shoes", SHOE), ["spec"]);

    test("it is asked for as one place, and the later one stands: removed at 20, widened at 10", () => {
      const [phone, laptop] = apart(20, 10);
      const { clashes } = laptop.merge(phone.side());
      expect(clashes).toMatchObject([
        { key: `shoes/${SHOE}/spec`, place: "spec", usual: "there", here: { value: { width: 30 } } },
      ]);
      expect(specOf(laptop)).toBeUndefined();
      expect(TABLES.shoes.safeParse(laptop.row("shoes", SHOE)).success).toBe(true);
      phone.merge(laptop.side());
      expect(contents(phone.side())).toEqual(contents(laptop.side()));
    });

    test("widened later it stands whole on both, or goes where that is decided", () => {
      const [phone, laptop] = apart(10, 20);
      laptop.merge(phone.side());
      expect(specOf(laptop)).toEqual({ ...ordinaryShoe("LF", 500), width: 30 });
      phone.merge(laptop.side());
      expect(specOf(phone)).toEqual(specOf(laptop));
      const [other, third] = apart(10, 20);
      third.merge(other.side(), { [`shoes/${SHOE}/spec`]: "there" }, 30);
      expect(specOf(third)).toBeUndefined();
      expect(other.merge(third.side()).clashes).toEqual([]);
      expect(specOf(other)).toBeUndefined();
    });

    test("taken away with all of it known it goes without a question", () => {
      const [phone, laptop] = apart(10, 20);
      phone.merge(laptop.side());
      phone.edit({ table: "shoes", id: SHOE, path: ["spec"], now: undefined }, 30);
      expect(laptop.merge(phone.side()).clashes).toEqual([]);
      expect(specOf(laptop)).toBeUndefined();
    });
  });

  test("a list that would grow past its bound keeps the newest: 300 pairs on each side are 400 afterwards", () => {
    const [phone, laptop] = pair();
    const pairs = (year: number) =>
      Array.from({ length: 300 }, (_, at) => ({
        date: `${year}-${String(1 + Math.floor(at / 28)).padStart(2, "0")}-${String(1 + (at % 28)).padStart(2, "0")}`,
        measure: "toeLength" as const,
        a: at,
        b: year,
      }));
    phone.edit({ table: "settings", id: "settings", path: ["pairs"], now: pairs(2025) }, 10);
    laptop.edit({ table: "settings", id: "settings", path: ["pairs"], now: pairs(2026) }, 20);
    expect(laptop.merge(phone.side()).clashes).toEqual([]);
    const kept = valueAt(laptop.row("settings", "settings"), ["pairs"]) as { b: number; date: string }[];
    expect([kept.length, kept.filter(({ b }) => b === 2026).length]).toEqual([400, 300]);
    expect(kept.map(({ date }) => date)).toEqual(kept.map(({ date }) => date).sort());
    phone.merge(laptop.side());
    expect(contents(phone.side())).toEqual(contents(laptop.side()));
  });

  test("a row that both made under one name is one row, with what each put in it", () => {
    const [phone, laptop] = pair();
    const made = {
      id: "v.RF.before",
      visitId: "v",
      horseId: "h",
      limb: "RF" as const,
      moment: "before" as const,
      date: "2026-11-02",
      ...nothingRead(),
    };
    phone.edit(
      { table: "readings", id: made.id, path: [], now: { ...made, values: { toeLength: toe(90) } } },
      10,
    );
    laptop.edit(
      { table: "readings", id: made.id, path: [], now: { ...made, values: { width: toe(128) } } },
      11,
    );
    expect(laptop.merge(phone.side()).clashes).toEqual([]);
    expect(laptop.row("readings", made.id)).toMatchObject({
      values: { toeLength: toe(90), width: toe(128) },
    });
  });

  test("a row that was taken away and made anew does not get back what it had before", () => {
    const [phone, laptop] = pair();
    laptop.merge(phone.side());
    const { id, visitId, horseId, limb, moment, date } = records().readings[0] as Reading;
    phone.edit({ table: "readings", id, path: [], now: undefined }, 10);
    phone.edit(
      {
        table: "readings",
        id,
        path: [],
        now: { id, visitId, horseId, limb, moment, date, ...nothingRead() },
      },
      11,
    );
    laptop.merge(phone.side());
    expect(valueOf(laptop, ["values"])).toEqual({});
    phone.merge(laptop.side());
    expect(valueOf(phone, ["values"])).toEqual({});
  });

  test("a list that only grows is put together; theme and lens stay the device's own", () => {
    const [phone, laptop] = pair();
    const setting = (one: Device, key: string, now: unknown) =>
      one.edit({ table: "settings", id: "settings", path: [key], now }, 10);
    setting(phone, "cautionsRead", ["a", "b"]);
    setting(laptop, "cautionsRead", ["b", "c"]);
    setting(phone, "theme", "barn");
    expect(laptop.merge(phone.side()).clashes).toEqual([]);
    expect(laptop.row("settings", "settings")).toMatchObject({
      cautionsRead: ["a", "b", "c"],
      theme: "paper",
    });
    phone.merge(laptop.side());
    expect(phone.row("settings", "settings")).toMatchObject({ cautionsRead: ["a", "b", "c"], theme: "barn" });
  });

  test("a visit that each made for one horse on one day is told: both stay", () => {
    const [phone, laptop] = pair();
    phone.edit({ table: "visits", id: "p", path: [], now: openVisit("p") }, 5);
    laptop.edit({ table: "visits", id: "l", path: [], now: openVisit("l") }, 6);
    expect(laptop.merge(phone.side()).twins).toEqual([{ horseId: "h", dates: ["2026-11-20", "2026-11-20"] }]);
    expect([laptop.row("visits", "p"), laptop.row("visits", "l")]).toMatchObject([{ id: "p" }, { id: "l" }]);
    expect(laptop.merge(phone.side()).twins).toEqual([]);
  });

  test("so are two that are planned for different days; a done one and a planned one of another day are no twins", () => {
    const [phone, laptop] = pair();
    const planned = (id: string, date: string) => ({ ...openVisit(id), status: "planned" as const, date });
    phone.edit({ table: "visits", id: "p", path: [], now: planned("p", "2026-12-02") }, 5);
    laptop.edit({ table: "visits", id: "l", path: [], now: planned("l", "2026-12-04") }, 6);
    expect(mergeSides(laptop.side(), phone.side(), { act: ["laptop", 9, 10] }).twins).toEqual([
      { horseId: "h", dates: ["2026-12-04", "2026-12-02"] },
    ]);
    laptop.edit({ table: "visits", id: "l", path: ["status"], now: "signed" }, 7);
    expect(laptop.merge(phone.side()).twins).toEqual([]);
  });

  describe("a visit that one signed while the other measured on", () => {
    const started = () => {
      const [phone, laptop] = pair();
      phone.edit({ table: "visits", id: "w", path: [], now: openVisit("w") }, 1);
      laptop.merge(phone.side());
      phone.merge(laptop.side());
      return [phone, laptop] as const;
    };
    const sign = (one: Device, at: number) => {
      one.edit({ table: "visits", id: "w", path: ["status"], now: "signed" }, at);
      one.edit({ table: "visits", id: "w", path: ["signedAt"], now: "2026-11-20T10:00:00Z" }, at);
    };
    const measure = (one: Device, at: number) => {
      const row = { ...one.row("readings", READING), id: "w.LF.before", visitId: "w" };
      one.edit({ table: "readings", id: "w.LF.before", path: [], now: row }, at);
    };

    test.each(["here", "there"] as const)("is asked for; %s is taken", (picked) => {
      const [phone, laptop] = started();
      sign(phone, 10);
      measure(laptop, 20);
      const look = mergeSides(laptop.side(), phone.side(), { act: ["laptop", 9, 30] });
      expect(look.clashes).toMatchObject([
        {
          key: "visits/w/status",
          place: "status",
          usual: "there",
          here: { value: "open" },
          there: { value: "signed" },
        },
      ]);
      laptop.merge(phone.side(), { "visits/w/status": picked }, 30);
      const visit = laptop.row("visits", "w") as { status: string; signedAt?: string };
      expect([visit.status, visit.signedAt]).toEqual(
        picked === "here" ? ["open", undefined] : ["signed", "2026-11-20T10:00:00Z"],
      );
      expect(laptop.row("readings", "w.LF.before")).toBeDefined();
      const back = phone.merge(laptop.side());
      expect(back.clashes).toEqual([]);
      expect(contents(phone.side())).toEqual(contents(laptop.side()));
    });

    test("nobody is asked where the work was known when it was signed, or the signing when it went on", () => {
      const [phone, laptop] = started();
      measure(laptop, 10);
      phone.merge(laptop.side());
      sign(phone, 20);
      expect(laptop.merge(phone.side()).clashes).toEqual([]);
      measure(laptop, 30);
      expect(phone.merge(laptop.side()).clashes).toEqual([]);
    });

    test("status, moment and due day of a visit are taken from one side where the statuses clash", () => {
      const [phone, laptop] = started();
      sign(phone, 10);
      laptop.edit({ table: "visits", id: "w", path: ["status"], now: "planned" }, 20);
      laptop.merge(phone.side());
      expect(laptop.row("visits", "w")).toMatchObject({ status: "planned" });
      expect(laptop.row("visits", "w")).not.toHaveProperty("signedAt");
      phone.merge(laptop.side());
      expect(contents(phone.side())).toEqual(contents(laptop.side()));
    });
  });

  test("two rounds that never met are put beside each other", () => {
    const [one, two] = [device("one", starting(records())), device("two", starting(noRecords()))];
    two.edit(
      {
        table: "yards",
        id: "z",
        path: [],
        now: { id: "z", name: "Marl Farm", person: "", phone: "", access: "" },
      },
      5,
    );
    expect(two.merge(one.side()).clashes).toEqual([]);
    expect([two.row("horses", "h"), two.row("yards", "z")]).toMatchObject([
      { name: "Dunlin" },
      { name: "Marl Farm" },
    ]);
  });
});
