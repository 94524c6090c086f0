import { expect, test } from "@jest/globals";
import { wallMap } from "./wallMap";

test("the map of the edge: horn where it was measured, what was found, where a nail may stand", () => {
  const rows = wallMap({ walls: { quarterLateral: { thickness: 9, whiteLine: 4 } } }, [
    {
      side: "medial",
      name: "toe quarter",
      sector: "toeQuarterMedial",
      from: 0.15,
      to: 0.38,
      why: "crack",
      relieve: true,
    },
  ]);
  expect(rows).toHaveLength(6);
  expect(rows[0]).toEqual({
    side: "medial",
    name: "toe quarter",
    takes: "no nail",
    why: "crack",
    bears: false,
  });
  expect(rows.find(({ side, name }) => side === "lateral" && name === "quarter")).toEqual({
    side: "lateral",
    name: "quarter",
    hornMm: 5,
    takes: "a nail",
    bears: true,
  });
  expect(rows.filter(({ takes }) => takes === "never a nail").map(({ name }) => name)).toEqual([
    "behind the quarter",
    "behind the quarter",
  ]);
});
