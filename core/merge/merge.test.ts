import { describe, expect, test } from "@jest/globals";
import { seededRandom, type Random } from "../math/random";
import { sameValue, sorted, valueAt } from "../record/edit";
import { records } from "../record/records.fixture";
import { placesOf } from "../record/stamps";
import { noRecords, TABLES } from "../record/tables";
import { blankVisit } from "../record/visit";
import { nothingRead, type Reading } from "../foot/records/reading";
import { contents, device, starting, type Device } from "./devices.fixture";
import { mergeSides } from "./merge";

const READING = "v.LF.before";
const toe = (value: number) => ({ value, source: "calliper" as const });
const pair = (): [Device, Device] => [
  device("phone", starting(records())),
  device("laptop", starting(records())),
];
const putToe = (one: Device, value: number, at: number) =>
  one.edit({ table: "readings", id: READING, path: ["values", "toeLength"], now: toe(value) }, at);
const valueOf = (one: Device, place: string[]) => valueAt(one.row("readings", READING), place);
const visit = (id: string, horseId = "h") => ({
  id,
  horseId,
  date: "2026-11-20",
  status: "open" as const,
  ...blankVisit(),
});

describe("two devices' files are put together", () => {
  test("what only one of them did is in both, and nothing is asked", () => {
    const [phone, laptop] = pair();
    putToe(phone, 92, 10);
    laptop.edit({ table: "readings", id: READING, path: ["values", "width"], now: toe(128) }, 20);
    laptop.edit({ table: "visits", id: "w", path: [], now: visit("w") }, 30);
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
    phone.edit({ table: "visits", id: "w", path: [], now: visit("w") }, 30);
    const file = phone.side();
    laptop.merge(file);
    const again = laptop.merge(file);
    expect([again.put, again.gone, again.stamps, again.clashes]).toEqual([[], [], [], []]);
  });

  test("what was taken away on one side goes on the other, unless it was changed there: then it is asked, and kept", () => {
    const [phone, laptop] = pair();
    phone.edit({ table: "visits", id: "w", path: [], now: visit("w") }, 5);
    phone.edit({ table: "visits", id: "x", path: [], now: visit("x") }, 6);
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
    phone.edit({ table: "visits", id: "w", path: [], now: visit("w", "g") }, 11);
    const merged = laptop.merge(phone.side());
    expect(merged.tally.horses).toMatchObject({ kept: 1 });
    expect(laptop.row("horses", "g")).toMatchObject({ name: "Moth" });
    phone.merge(laptop.side());
    expect(phone.row("horses", "g")).toMatchObject({ name: "Moth" });
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
    phone.edit({ table: "visits", id: "p", path: [], now: visit("p") }, 5);
    laptop.edit({ table: "visits", id: "l", path: [], now: visit("l") }, 6);
    expect(laptop.merge(phone.side()).twins).toEqual([{ horseId: "h", date: "2026-11-20" }]);
    expect([laptop.row("visits", "p"), laptop.row("visits", "l")]).toMatchObject([{ id: "p" }, { id: "l" }]);
    expect(laptop.merge(phone.side()).twins).toEqual([]);
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

/** A made-up act of a device: it measures, writes, makes, takes away, takes back. */
function play(one: Device, random: Random, at: number): void {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const side = one.side().records;
  const kind = pick([
    "measure",
    "measure",
    "measure",
    "note",
    "make",
    "remove",
    "horse",
    "caution",
    "unmeasure",
  ]);
  const reading = pick(side.readings);
  const measure = pick(["toeLength", "width", "dorsalAngle"]);
  if ((kind === "measure" || kind === "unmeasure") && reading)
    one.edit(
      {
        table: "readings",
        id: reading.id,
        path: ["values", measure],
        now: kind === "measure" ? toe(50 + Math.floor(random() * 50)) : undefined,
      },
      at,
    );
  if (kind === "note" && side.visits.length > 0)
    one.edit(
      {
        table: "visits",
        id: pick(side.visits).id,
        path: ["watch"],
        now: `note ${Math.floor(random() * 1e6)}`,
      },
      at,
    );
  if (kind === "make" && side.horses.length > 0) {
    // Some ids are made of others, so that two devices may make the same row.
    const id = `v${Math.floor(random() * 6)}`;
    const horseId = pick(side.horses).id;
    if (!side.visits.some((other) => other.id === id))
      one.edit({ table: "visits", id, path: [], now: visit(id, horseId) }, at);
    const made = `${id}.LF.before`;
    if (!side.readings.some((other) => other.id === made))
      one.edit(
        {
          table: "readings",
          id: made,
          path: [],
          now: {
            id: made,
            visitId: id,
            horseId,
            limb: "LF",
            moment: "before",
            date: "2026-11-20",
            ...nothingRead(),
          },
        },
        at,
      );
  }
  if (kind === "remove" && reading)
    one.edit({ table: "readings", id: reading.id, path: [], now: undefined }, at);
  if (kind === "horse") {
    const free = side.horses.find(({ id }) => !side.visits.some(({ horseId }) => horseId === id));
    const held = new Set(side.readings.map(({ horseId }) => horseId));
    if (free && !held.has(free.id)) one.edit({ table: "horses", id: free.id, path: [], now: undefined }, at);
    else {
      const id = `h${Math.floor(random() * 5)}`;
      const horse = { ...(records().horses[0] as object), id } as never;
      if (!side.horses.some((other) => other.id === id))
        one.edit({ table: "horses", id, path: [], now: horse }, at);
    }
  }
  if (kind === "caution")
    one.edit(
      { table: "settings", id: "settings", path: ["cautionsRead"], now: [pick(["a", "b", "c", "d"])] },
      at,
    );
}

test("three devices with made-up histories end alike, whatever the order; each record is sound and points to something", () => {
  for (let seed = 1; seed <= 300; seed++) {
    const random = seededRandom(seed);
    const devices = ["phone", "laptop", "van"].map((name) => device(name, starting(records())));
    const pick = () => devices[Math.floor(random() * devices.length)] as Device;
    for (let step = 0; step < 40; step++) {
      if (random() < 0.12) {
        const [from, into] = [pick(), pick()];
        if (from !== into) into.merge(from.side(), {}, step);
      } else play(pick(), random, step);
    }
    // They bring in one another's files until nothing is new: in an order of chance, twice round at most and once more.
    for (let round = 0; round < 4; round++)
      for (const into of [...devices].sort(() => random() - 0.5))
        for (const from of [...devices].sort(() => random() - 0.5))
          if (from !== into) into.merge(from.side(), {}, 100 + round);
    const [first, ...others] = devices.map((one) => contents(one.side()));
    for (const other of others)
      expect({ seed, holds: sorted(other) }).toEqual({ seed, holds: sorted(first) });
    for (const one of devices) {
      const { records: held } = one.side();
      for (const row of held.readings) expect(TABLES.readings.safeParse(row).success).toBe(true);
      const [horses, visits] = [
        new Set(held.horses.map(({ id }) => id)),
        new Set(held.visits.map(({ id }) => id)),
      ];
      for (const row of held.visits) expect(horses.has(row.horseId)).toBe(true);
      for (const row of held.readings) expect(visits.has(row.visitId)).toBe(true);
    }
  }
});

test("of 300 made-up weeks on two devices nothing is lost: what either put somewhere stands there, or is asked for", () => {
  for (let seed = 1; seed <= 300; seed++) {
    const random = seededRandom(1000 + seed);
    const [phone, laptop] = pair();
    for (let step = 0; step < 25; step++) play(random() < 0.5 ? phone : laptop, random, step);
    const [before, file] = [laptop.side(), phone.side()];
    const { clashes } = laptop.merge(file);
    const after = laptop.side().records;
    for (const table of ["visits", "readings"] as const)
      for (const side of [before, file])
        for (const row of side.records[table]) {
          const stamps = side.history.stamps.find(({ key }) => key === `${table}/${row.id}`);
          const now = after[table].find(({ id }) => id === row.id);
          const asked = (place?: string) =>
            clashes.some(
              (one) =>
                one.table === table && one.id === row.id && (one.place === undefined || one.place === place),
            );
          if (!now) {
            // It went because the other took it away, and nothing had been done to it here.
            const touched = stamps?.made !== undefined || Object.keys(stamps?.places ?? {}).length > 0;
            expect([seed, table, row.id, !touched || asked()]).toEqual([seed, table, row.id, true]);
            continue;
          }
          const [own, held] = [placesOf(table, row), placesOf(table, now)];
          for (const [place, value] of own) {
            const touched = stamps?.places?.[place] ?? stamps?.made;
            const kept = sameValue(held.get(place), value);
            expect([seed, row.id, place, !touched || kept || asked(place)]).toEqual([
              seed,
              row.id,
              place,
              true,
            ]);
          }
        }
  }
});
