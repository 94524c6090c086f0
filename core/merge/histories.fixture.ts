import { ARRIVAL_TAPS } from "../caution/arrival";
import { nothingRead } from "../foot/records/reading";
import { seededRandom, type Random } from "../math/random";
import { placesOf, stepsTo } from "../record/places";
import { records } from "../record/records.fixture";
import { TABLES } from "../record/schemas";
import { sameValue, sorted } from "../record/edit";
import { knows, stampKey } from "../record/stamps";
import { LINKS, TABLE_NAMES } from "../record/tables";
import { noShoe } from "../shoe/shoeRecord";
import { ordinaryShoe } from "../shoe/specification";
import { contents, device, openVisit, pair, starting, toe, type Device } from "./devices.fixture";
import type { Side } from "./merge";
import { stampAt } from "./place";

const KINDS = [
  "measure",
  "measure",
  "measure",
  "unmeasure",
  "note",
  "arrival",
  "make",
  "remove",
  "horse",
  "caution",
  "shoe",
  "spec",
  "spec",
  "unspec",
  "web",
  "web",
  "pared",
] as const;

/** A made-up act of a device: it measures, chooses, writes, makes, takes away, takes back. */
export function play(one: Device, random: Random, at: number): void {
  const any = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const { visits, readings, shoes, trims, horses } = one.held();
  const put = (
    table: "readings" | "visits" | "shoes" | "trims" | "settings",
    id: string | undefined,
    path: string[],
    now: unknown,
  ) => id !== undefined && one.edit({ table, id, path, now }, at);
  const [reading, visit, shoe, trim] = [any(readings), any(visits), any(shoes), any(trims)];
  const measure = any(["toeLength", "width", "dorsalAngle"]);
  const foot = (id: string, visitId: string, horseId: string) =>
    ({ id, visitId, horseId, limb: "LF", date: "2026-11-20" }) as const;
  switch (any(KINDS)) {
    case "measure":
      return void put("readings", reading?.id, ["values", measure], toe(50 + Math.floor(random() * 50)));
    case "unmeasure":
      return void put("readings", reading?.id, ["values", measure], undefined);
    case "note":
      return void put("visits", visit?.id, ["watch"], `note ${Math.floor(random() * 1e6)}`);
    case "arrival":
      return void put(
        "visits",
        visit?.id,
        random() < 0.3 ? ["arrival"] : ["arrival", "diet"],
        random() < 0.3 ? undefined : any(ARRIVAL_TAPS.diet),
      );
    case "remove":
      return void put("readings", reading?.id, [], undefined);
    case "caution":
      return void put("settings", "settings", ["cautionsRead"], [any(["a", "b", "c", "d"])]);
    case "shoe": {
      const id = `${visit?.id}.LF.shoe`;
      if (visit && !shoes.some((other) => other.id === id))
        put("shoes", id, [], { ...foot(id, visit.id, visit.horseId), ...noShoe() });
      else if (random() < 0.3) put("shoes", shoe?.id, [], undefined);
      return;
    }
    case "spec":
      return void put("shoes", shoe?.id, ["spec"], ordinaryShoe("LF", 450 + Math.floor(random() * 200)));
    case "unspec":
      return void put("shoes", shoe?.spec && shoe.id, ["spec"], undefined);
    case "web":
      return void put(
        "shoes",
        shoe?.spec && shoe.id,
        ["spec", any(["width", "thickness"])],
        10 + Math.floor(random() * 15),
      );
    case "pared": {
      const id = `${visit?.id}.LF`;
      if (visit && !trims.some((other) => other.id === id))
        put("trims", id, [], TABLES.trims.parse(foot(id, visit.id, visit.horseId)));
      else if (random() < 0.3) put("trims", trim?.id, ["pared"], trim?.pared ? undefined : { frog: 2 });
      else put("trims", trim?.id, ["pared", any(["frog", "bars"])], random() < 0.5 ? undefined : 4);
      return;
    }
    case "make": {
      if (horses.length === 0) return;
      // Some ids are made of others, so that two devices may make the same row.
      const id = `v${Math.floor(random() * 6)}`;
      const horseId = any(horses).id;
      if (!visits.some((other) => other.id === id)) put("visits", id, [], openVisit(id, horseId));
      const made = `${id}.LF.before`;
      if (!readings.some((other) => other.id === made))
        put("readings", made, [], { ...foot(made, id, horseId), moment: "before", ...nothingRead() });
      return;
    }
    case "horse": {
      const hangsOn = new Set([...visits, ...readings, ...shoes, ...trims].map(({ horseId }) => horseId));
      const free = horses.find(({ id }) => !hangsOn.has(id));
      if (free) return one.edit({ table: "horses", id: free.id, path: [], now: undefined }, at);
      const id = `h${Math.floor(random() * 5)}`;
      const horse = { ...(records().horses[0] as object), id };
      if (!horses.some((other) => other.id === id))
        one.edit({ table: "horses", id, path: [], now: horse }, at);
    }
  }
}

/** Rows of a side that its own schema refuses, or that point to nothing. */
function unsound({ records: held }: Side): string[] {
  const refused = TABLE_NAMES.flatMap((table) =>
    held[table]
      .filter((row) => !TABLES[table].safeParse(row).success)
      .map(({ id }) => `${table}/${id} is unsound`),
  );
  const loose = LINKS.flatMap(({ from, field, to }) => {
    const known = new Set(held[to].map(({ id }) => id));
    return held[from].flatMap((row) => {
      const target = (row as unknown as Record<string, unknown>)[field];
      return typeof target !== "string" || known.has(target) ? [] : [`${from}/${row.id} points to nothing`];
    });
  });
  return [...refused, ...loose];
}

/**
 * Three devices that work, bring in one another's files and older backups, are copied with all they hold and rolled back
 * to an earlier state. What is wrong when all have brought in all: nothing, if merging is sound.
 */
export function threeDevices(seed: number): string[] {
  const random = seededRandom(seed);
  const devices = ["phone", "laptop", "van"].map((name) => device(name, starting(records())));
  const files: Side[] = [];
  const any = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  for (let step = 0; step < 40; step++) {
    const what = random();
    const at = Math.floor(random() * devices.length);
    const one = devices[at] as Device;
    if (what < 0.1) {
      const from = any(devices);
      if (from !== one) one.merge(from.side(), {}, step);
    } else if (what < 0.16) files.push(one.side());
    else if (what < 0.2 && files.length > 0) one.merge(any(files), {}, step);
    // A copied profile, or one that was rolled back, begins its next sitting as a device of its own.
    else if (what < 0.22 && devices.length < 5) devices.push(device(`copy ${step}`, one.side()));
    else if (what < 0.24 && files.length > 0) devices[at] = device(`back ${step}`, any(files));
    else play(one, random, step);
  }
  // They bring in one another's files until nothing is new: in an order of chance.
  for (let round = 0, news = 1; round < 4 && news > 0; round++) {
    news = 0;
    for (const into of [...devices].sort(() => random() - 0.5))
      for (const from of [...devices].sort(() => random() - 0.5))
        if (from !== into) {
          const { put, gone, stamps } = into.merge(from.side(), {}, 100 + round);
          news += put.length + gone.length + stamps.length;
        }
  }
  const [first, ...others] = devices.map((one) => JSON.stringify(sorted(contents(one.side()))));
  return [
    ...(others.some((other) => other !== first) ? ["the devices are not alike"] : []),
    ...devices.flatMap((one) => unsound(one.side())),
  ];
}

/** Two devices that work apart, and one brings in the other's file: what was lost without a question, or came back. */
export function twoDevices(seed: number): string[] {
  const random = seededRandom(1000 + seed);
  const [phone, laptop] = pair();
  for (let step = 0; step < 12; step++) play(random() < 0.5 ? phone : laptop, random, step);
  laptop.merge(phone.side(), {}, 12);
  for (let step = 13; step < 28; step++) play(random() < 0.5 ? phone : laptop, random, step);
  const sides = [laptop.side(), phone.side()] as const;
  const { clashes, tally } = laptop.merge(sides[1], {}, 30);
  const after = laptop.side();
  const faults = unsound(after);
  const stampsOf = (side: Side, key: string) => side.history.stamps.find((one) => one.key === key) ?? { key };
  for (const table of ["visits", "readings", "shoes", "trims"] as const)
    for (const [at, side] of sides.entries()) {
      const other = sides[1 - at] as Side;
      for (const row of side.records[table]) {
        const key = stampKey(table, row.id);
        const own = stampsOf(side, key);
        const now = after.records[table].find(({ id }) => id === row.id);
        const asked = (place?: string) =>
          clashes.some(
            (one) =>
              one.table === table &&
              one.id === row.id &&
              (one.place === undefined ||
                one.place === place ||
                (place && stepsTo(table, place)[0] === one.place)),
          );
        if (!now) {
          // It went because the other took it away, and knew of all that had been done to it here.
          const stamps = [own.made, ...Object.values(own.places ?? {})];
          if (!asked() && stamps.some((stamp) => !knows(other.history.seen, stamp)))
            faults.push(`${key} was lost`);
          continue;
        }
        if (!other.records[table].some(({ id }) => id === row.id)) {
          const { gone } = stampsOf(other, key);
          const stamps = [own.made, ...Object.values(own.places ?? {})];
          const known =
            gone &&
            stamps.every((stamp) => knows(other.history.seen, stamp)) &&
            !knows(side.history.seen, gone);
          if (known && !asked() && !tally[table]?.kept) faults.push(`${key} came back`);
          continue;
        }
        const held = placesOf(table, now);
        const mine = placesOf(table, row);
        const yours = placesOf(table, other.records[table].find(({ id }) => id === row.id) ?? {});
        for (const place of new Set([...mine.keys(), ...yours.keys()])) {
          const stamp = stampAt(own, mine, place);
          const theirs = stampAt(stampsOf(other, key), yours, place);
          const newer = !knows(other.history.seen, stamp) && knows(side.history.seen, theirs);
          if (newer && !asked(place) && !sameValue(held.get(place), mine.get(place)))
            faults.push(`${key}/${place}: an older value stands`);
          const unknown = !knows(other.history.seen, stamp) && !knows(side.history.seen, theirs);
          if (unknown && !asked(place) && !sameValue(held.get(place), mine.get(place)))
            faults.push(`${key}/${place}: a value was taken without a question`);
        }
      }
    }
  return faults;
}
