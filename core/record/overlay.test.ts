import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { change, make, remove } from "./change";
import { applyEdit, type Edit } from "./edit";
import { overlaid } from "./overlay";
import { DEFAULT_SETTINGS } from "./settings";
import type { Yard } from "./yard";
import { blankVisit, type Visit } from "./visit";

const yard = (id: string, name = id): Yard => ({ id, name, person: "", phone: "", access: "" });
const visit = (id: string, horseId: string): Visit => ({
  id,
  horseId,
  date: "2026-11-23",
  status: "planned",
  ...blankVisit(),
});

describe("change", () => {
  test("reads what stood there off the record that is on the screen", () => {
    expect(change("settings", DEFAULT_SETTINGS, ["forge", "kerf"], 3, "kerf")).toEqual({
      table: "settings",
      id: "settings",
      path: ["forge", "kerf"],
      was: 2,
      now: 3,
      label: "kerf",
    });
  });

  test("makes from nothing and takes away what was there", () => {
    expect(make("yards", yard("a"), "a")).toMatchObject({ path: [], was: undefined, now: yard("a") });
    expect(remove("yards", yard("a"), "a")).toMatchObject({ path: [], was: yard("a"), now: undefined });
  });
});

describe("overlaid", () => {
  const bag = { yards: [yard("a"), yard("b")], settings: DEFAULT_SETTINGS, today: "2026-11-23" };

  test("without edits, or with edits of other records, it is the same bag and the same lists", () => {
    expect(overlaid(bag, [])).toBe(bag);
    expect(overlaid(bag, [change("horses", { id: "h" } as never, ["name"], "x", "")])).toBe(bag);
  });

  test("lays a change over its row and leaves every other row and list as it is", () => {
    const now = overlaid(bag, [change("yards", yard("b"), ["name"], "Tarn Farm", "name")]);
    expect(now.yards.map(({ name }) => name)).toEqual(["a", "Tarn Farm"]);
    expect([now.yards[0] === bag.yards[0], now.settings === bag.settings]).toEqual([true, true]);
  });

  test("a row that is made stands last, one that is taken away is gone", () => {
    const now = overlaid(bag, [make("yards", yard("c"), ""), remove("yards", yard("a"), "")]);
    expect(now.yards.map(({ id }) => id)).toEqual(["b", "c"]);
  });

  test("a change of a row that is not here makes none: the rest of it is not known", () => {
    expect(overlaid(bag, [change("yards", yard("z"), ["name"], "Z", "")]).yards).toHaveLength(2);
  });

  test("one thing after another at one place: the last stands, whichever of them the store has already", () => {
    const first = change("yards", yard("a"), ["name"], "one", "");
    const second = { ...first, was: "one", now: "two" };
    for (const read of ["a", "one", "two"])
      expect(overlaid({ yards: [yard("a", read)] }, [first, second]).yards[0]?.name).toBe("two");
  });

  test("what another tab put there meanwhile is not run over", () => {
    const edit = change("yards", yard("a"), ["name"], "mine", "");
    expect(overlaid({ yards: [yard("a", "theirs")] }, [edit]).yards[0]?.name).toBe("theirs");
  });

  test("single records follow too, and one that is not made yet by its id", () => {
    const unit = change("settings", DEFAULT_SETTINGS, ["unit"], "in", "");
    expect(overlaid(bag, [unit]).settings.unit).toBe("in");
    const forging = { id: "visit.LF", from: "bar" as const };
    const other = { id: "visit.RF", from: "bar" as const };
    const empty = { forging: undefined, forgingId: "visit.LF" };
    expect(overlaid(empty, [make("forgings", forging, "")]).forging).toEqual(forging);
    expect(overlaid(empty, [make("forgings", other, "")]).forging).toBeUndefined();
  });

  test("in one horse’s bag new rows of another horse stay out", () => {
    const own = { horse: { id: "h" }, visits: [visit("v", "h")] };
    const made = [make("visits", visit("w", "h"), ""), make("visits", visit("x", "other"), "")];
    expect(overlaid(own, made).visits.map(({ id }) => id)).toEqual(["v", "w"]);
  });

  test("it shows what the store will hold, for any edits that the store takes (property)", () => {
    const step = fc.record({
      id: fc.constantFrom("a", "b", "c"),
      kind: fc.constantFrom("name", "access", "make", "remove"),
      text: fc.string({ minLength: 1, maxLength: 3 }),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
        const store = new Map<string, Yard>([["a", yard("a")]]);
        const read = { yards: [...store.values()] };
        const edits: Edit[] = [];
        for (const { id, kind, text } of steps) {
          const now = store.get(id);
          const edit =
            kind === "make" && !now
              ? make("yards", yard(id, text), "")
              : kind === "remove" && now
                ? remove("yards", now, "")
                : now && (kind === "name" || kind === "access")
                  ? change("yards", now, [kind], text, "")
                  : undefined;
          if (!edit) continue;
          const applied = applyEdit(now, edit);
          if (applied.kind !== "applied") continue;
          edits.push(edit);
          if (applied.record) store.set(id, applied.record as Yard);
          else store.delete(id);
        }
        const shown = overlaid(read, edits).yards;
        const byId = (rows: readonly Yard[]) => [...rows].sort((x, y) => x.id.localeCompare(y.id));
        expect(byId(shown)).toEqual(byId([...store.values()]));
      }),
      { seed: 14 },
    );
  });
});
