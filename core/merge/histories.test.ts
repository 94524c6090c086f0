import { expect, test } from "@jest/globals";
import { seededRandom, type Random } from "../math/random";
import { sameValue, sorted } from "../record/edit";
import { records } from "../record/records.fixture";
import { placesOf } from "../record/places";
import { TABLES } from "../record/schemas";
import { nothingRead } from "../foot/records/reading";
import { contents, device, openVisit, pair, starting, toe, type Device } from "./devices.fixture";

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
      one.edit({ table: "visits", id, path: [], now: openVisit(id, horseId) }, at);
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
      expect(held.readings.filter((row) => !TABLES.readings.safeParse(row).success)).toEqual([]);
      const [horses, visits] = [
        new Set(held.horses.map(({ id }) => id)),
        new Set(held.visits.map(({ id }) => id)),
      ];
      expect(held.visits.filter(({ horseId }) => !horses.has(horseId))).toEqual([]);
      expect(held.readings.filter(({ visitId }) => !visits.has(visitId))).toEqual([]);
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
