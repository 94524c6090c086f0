import { describe, expect, test } from "@jest/globals";
import { blankVisit, type Visit } from "../record/visit";
import { horseAt, YARDS } from "../rounds/round.fixture";
import { roster } from "./roster";

const ash = horseAt("north", "Ash").horse;
const visit = (id: string, date: string, status: Visit["status"], more: Partial<Visit> = {}): Visit => ({
  id,
  horseId: ash.id,
  date,
  status,
  ...blankVisit(),
  ...more,
});
const rowOf = (...visits: Visit[]) => roster([ash], YARDS, visits)[0];

describe("the visit that is to come", () => {
  test("of two that are planned it is the sooner, whichever was made first: none stays hidden behind another", () => {
    const [soon, later] = [visit("soon", "2026-11-25", "planned"), visit("later", "2026-12-04", "planned")];
    expect(rowOf(later, soon)?.coming?.id).toBe("soon");
    expect(rowOf(soon, later)?.coming?.id).toBe("soon");
    expect(rowOf({ ...soon, status: "signed" }, later)?.coming?.id).toBe("later");
  });

  test("on one day the earlier hour comes first", () => {
    const [late, early] = [
      visit("late", "2026-11-25", "planned", { at: "14:00" }),
      visit("early", "2026-11-25", "planned", { at: "09:00" }),
    ];
    expect(rowOf(late, early)?.coming?.id).toBe("early");
  });

  test("one that was begun comes before any that is only planned", () => {
    expect(
      rowOf(visit("plan", "2026-11-20", "planned"), visit("begun", "2026-11-23", "open"))?.coming?.id,
    ).toBe("begun");
  });

  test("the last one is the latest that was signed", () => {
    const [old, last] = [visit("old", "2026-08-01", "signed"), visit("last", "2026-10-01", "signed")];
    expect(rowOf(last, old)?.last?.id).toBe("last");
  });
});

describe("who is on the round", () => {
  test("a horse that left is not; one whose yard is not there is, under a stand-in; the rest by yard and name", () => {
    const [cedar, birch] = [horseAt("far", "Cedar").horse, horseAt("far", "Birch").horse];
    const names = (horses: Parameters<typeof roster>[0], yards = YARDS) =>
      roster(horses, yards, []).map(({ horse }) => horse.name);
    const inOrder = roster([ash, cedar, birch], YARDS, []).map(
      ({ yard, horse }) => `${yard.name} ${horse.name}`,
    );
    expect(inOrder).toEqual([...inOrder].sort());
    expect(names([ash, { ...cedar, left: { on: "2026-01-01", why: "moved away" } }])).toEqual(["Ash"]);
    expect(names([ash], [])).toEqual(["Ash"]);
  });
});
