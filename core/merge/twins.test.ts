import { describe, expect, test } from "@jest/globals";
import { wordingFor } from "../foot/wording";
import { applyEdit, undoOf, type Edit } from "../record/edit";
import { HORSE } from "../record/horse.fixture";
import { records } from "../record/records.fixture";
import { TABLES } from "../record/schemas";
import { DEFAULT_SETTINGS } from "../record/settings";
import { LINKS, type Records, type TableName } from "../record/tables";
import { blankVisit, type Visit } from "../record/visit";
import { likelyTwins, oneOfTwins, type Twins } from "./twins";

const yard = (id: string, name: string) => ({ id, name, person: "", phone: "", access: "" });
const planned = (id: string, date: string, more: Partial<Visit> = {}): Visit => ({
  id,
  horseId: "h",
  date,
  status: "planned",
  ...blankVisit(),
  ...more,
});
const told = (table: TableName, id: string, made: Records) =>
  LINKS.filter(({ to }) => to === table).reduce(
    (sum, { from, field }) =>
      sum + made[from].filter((row) => (row as unknown as Record<string, unknown>)[field] === id).length,
    0,
  );
const twinsOf = (made: Records): Twins[] => likelyTwins(made, (table, id) => told(table, id, made));

/** The rows after the edits, each applied as the store applies it. */
function after(made: Records, edits: readonly Edit[]): Records {
  const next = structuredClone(made) as unknown as Record<TableName, { id: string }[]>;
  for (const edit of edits) {
    const at = next[edit.table].findIndex(({ id }) => id === edit.id);
    const applied = applyEdit(next[edit.table][at], edit);
    if (applied.kind === "conflict") throw new Error(`conflict at ${edit.table}.${edit.path.join(".")}`);
    if (applied.record === undefined) next[edit.table].splice(at, 1);
    else {
      const row = TABLES[edit.table].parse(applied.record);
      if (at < 0) next[edit.table].push(row);
      else next[edit.table][at] = row;
    }
  }
  return next as unknown as Records;
}
const madeOne = (made: Records, twins: Twins | undefined): Edit[] => {
  if (!twins) throw new Error("no twins");
  return oneOfTwins(twins, made, {
    wording: wordingFor(DEFAULT_SETTINGS),
    id: `aside${twins.table}`,
    at: "2026-11-23T08:00:00Z",
  });
};

describe("what was typed twice is found", () => {
  test("a yard and a horse by their names, whatever their capitals, accents and spaces", () => {
    const made = records();
    made.yards.push(yard("y2", "ferry field"));
    made.horses.push({ ...HORSE, id: "h2", yardId: "y2", name: "Dúnlin ", kind: "cob" });
    expect(twinsOf(made)).toEqual([
      { table: "yards", stays: "y", goes: "y2" },
      { table: "horses", stays: "h", goes: "h2" },
    ]);
  });

  test("three of one name are two pairs, and the one that most hangs on stays", () => {
    const made = records();
    for (const id of ["a", "b"]) made.horses.push({ ...HORSE, id, kind: "cob" });
    expect(twinsOf(made)).toEqual([
      { table: "horses", stays: "h", goes: "a" },
      { table: "horses", stays: "h", goes: "b" },
    ]);
  });

  test.each([
    ["of another yard", { yardId: "y2" }],
    ["of another kind", { kind: "pony" as const }],
    ["that has left", { left: { on: "2026-10-01", why: "died" as const } }],
    ["of another name", { name: "Dunlin 2" }],
  ])("a horse %s is another horse", (_what, differs) => {
    const made = records();
    made.yards.push(yard("y2", "Moss End"));
    made.horses.push({ ...HORSE, id: "h2", kind: "cob", ...differs });
    expect(twinsOf(made)).toEqual([]);
  });

  test("names of marks alone are nobody's twin", () => {
    const made = records();
    made.yards.push(yard("q", "?"), yard("r", "--"));
    expect(twinsOf(made)).toEqual([]);
  });

  test("a visit that is planned twice about one day; the pinned one stays, else the earlier", () => {
    const made = records();
    made.visits.push(planned("b", "2026-12-03"), planned("a", "2026-12-01"));
    expect(twinsOf(made)).toEqual([{ table: "visits", stays: "a", goes: "b" }]);
    made.visits = [planned("b", "2026-12-03", { pinned: true }), planned("a", "2026-12-01")];
    made.readings = [];
    expect(twinsOf(made)).toEqual([{ table: "visits", stays: "b", goes: "a" }]);
  });

  test("a planned one beside a signed one of its day; not one that rows hang on, a short one, or one weeks away", () => {
    const made = records();
    made.visits.push(planned("p", "2026-11-02"));
    expect(twinsOf(made)).toEqual([{ table: "visits", stays: "v", goes: "p" }]);
    made.readings = made.readings.map((row) => ({ ...row, visitId: "p" }));
    expect(twinsOf(made)).toEqual([]);
    made.visits = [planned("a", "2026-12-01"), planned("b", "2026-12-01", { job: "toe only" })];
    expect(twinsOf(made)).toEqual([]);
    made.visits = [planned("a", "2026-12-01"), planned("b", "2026-12-29")];
    expect(twinsOf(made)).toEqual([]);
  });
});

describe("two are made one", () => {
  const twice = () => {
    const made = records();
    made.horses.push(
      {
        ...HORSE,
        id: "h2",
        kind: "cob",
        massKg: 620,
        habits: "kicks",
        showOn: "2027-03-01",
        companionId: "h",
      },
      { ...HORSE, id: "mate", name: "Heron", companionId: "h2" },
    );
    made.visits.push({ ...planned("w", "2026-12-14"), horseId: "h2" });
    return made;
  };

  test("what hangs on the one that goes hangs on the other; what only it knew is taken over", () => {
    const made = twice();
    made.visits[0] = { ...planned("v", "2026-11-02"), status: "signed" };
    const now = after(made, madeOne(made, { table: "horses", stays: "h", goes: "h2" }));
    expect(now.horses.map(({ id }) => id)).toEqual(["h", "mate"]);
    expect(now.visits.map(({ horseId }) => horseId)).toEqual(["h", "h"]);
    expect(now.horses[0]).toMatchObject({ showOn: "2027-03-01", habits: "kicks" });
    expect(now.horses[0]?.companionId).toBeUndefined();
    expect(now.horses[1]?.companionId).toBe("h");
  });

  test("notes of both are joined; where both know something else, the other value is set aside and readable", () => {
    const made = twice();
    const horse = made.horses[0];
    if (!horse) throw new Error("no horse");
    made.horses[0] = { ...horse, habits: "leans" };
    const now = after(made, madeOne(made, { table: "horses", stays: "h", goes: "h2" }));
    expect(now.horses[0]).toMatchObject({ massKg: 500, habits: "leans\nkicks" });
    expect(Object.values(now.setAside[0]?.values ?? {}).map(({ place, json }) => [place, json])).toEqual([
      ["massKg", "620"],
      ["use", '"riding"'],
      ["finish", '"full set"'],
    ]);
  });

  test("notes that would be too long together are set aside instead", () => {
    const made = twice();
    made.horses = made.horses.map((horse) => ({
      ...horse,
      notes: (horse.id === "h2" ? "n" : "h").repeat(6000),
    }));
    const now = after(made, madeOne(made, { table: "horses", stays: "h", goes: "h2" }));
    expect(now.horses[0]?.notes).toBe("h".repeat(6000));
    expect(Object.keys(now.setAside[0]?.values ?? {})).toContain("horses/h2/notes");
  });

  test("every row of a store hangs on something that is there, and one undo brings all of it back", () => {
    const made = twice();
    made.yards.push(yard("y2", "FERRYFIELD"));
    made.horses = made.horses.map((horse) => (horse.id === "h2" ? { ...horse, yardId: "y2" } : horse));
    let now = made;
    for (let twins = twinsOf(now); twins.length > 0; twins = twinsOf(now)) {
      const edits = madeOne(now, twins[0]);
      const next = after(now, edits);
      expect(after(next, edits.map(undoOf).reverse())).toEqual(withOrderOf(now, edits));
      now = next;
    }
    expect([now.yards.length, now.horses.length]).toEqual([1, 2]);
    for (const { from, field, to } of LINKS)
      for (const row of now[from] as unknown as Record<string, unknown>[])
        if (row[field] !== undefined) expect(now[to].map(({ id }) => id)).toContain(row[field]);
  });
});

/** The same rows, with those last that a removal and its undo put at the end of their table. */
function withOrderOf(made: Records, edits: readonly Edit[]): Records {
  const next = structuredClone(made) as unknown as Record<TableName, { id: string }[]>;
  for (const { table, id, path, now } of edits)
    if (path.length === 0 && now === undefined)
      next[table].push(
        ...next[table].splice(
          next[table].findIndex((row) => row.id === id),
          1,
        ),
      );
  return next as unknown as Records;
}
