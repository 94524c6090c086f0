import { describe, expect, test } from "@jest/globals";
import type { Steel } from "../forgeRecord";
import { cutQuestions } from "./groups";
import { offcutRows } from "../../record/rackEdits";

const row = (more: Partial<Steel>): Steel => ({
  id: "a",
  role: "wanted",
  width: 22,
  thickness: 10,
  material: "steel",
  lengthMm: 300,
  count: 1,
  label: "",
  ...more,
});

describe("steel by section", () => {
  test("one cut list for each section and metal that is wanted, with the offcuts of its own section", () => {
    const groups = cutQuestions(
      [
        row({ id: "a", count: 3 }),
        row({ id: "b", width: 19 }),
        row({ id: "c", role: "offcut", lengthMm: 640, count: 2 }),
        row({ id: "d", role: "offcut", width: 25, lengthMm: 500 }),
        row({ id: "e", material: "aluminium" }),
      ],
      { barLength: 3000, kerf: 2 },
    );
    expect(groups.map(({ key }) => key)).toEqual(["19x10 steel", "22x10 steel", "22x10 aluminium"]);
    expect(groups[1]?.question).toEqual({
      barLength: 3000,
      kerf: 2,
      pieces: [{ length: 300, count: 3, label: "" }],
      offcuts: [640, 640],
    });
  });

  test("once it is cut: pieces and used offcuts are gone, what is left is kept where it is long enough", () => {
    const steel = [row({ id: "a", count: 3 }), row({ id: "c", role: "offcut", lengthMm: 640, count: 2 })];
    const [group] = cutQuestions(steel, { barLength: 3000, kerf: 2 });
    const edits = offcutRows(
      group!,
      {
        bars: [
          { stock: 640, pieces: [300, 300], offcut: 36 },
          { stock: 3000, pieces: [300], offcut: 2698 },
        ],
        count: 1,
        lowerBound: 1,
        optimal: true,
      },
      150,
      () => "new",
    );
    expect(
      edits.map(({ id, path, now }) => [id, path.join(), (now as Steel | undefined)?.lengthMm ?? now]),
    ).toEqual([
      ["a", "", undefined],
      ["c", "count", 1],
      ["new", "", 2698],
    ]);
  });
});
