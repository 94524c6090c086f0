import { describe, expect, test } from "@jest/globals";
import { seededRandom } from "../math/random";
import { placeLabels, type LabelQuestion, type MapLabel, type MapPoint } from "./mapLabels";

const TYPE = 9;
const sheet = { width: 280, height: 230 };
const question = (part: Partial<LabelQuestion>): LabelQuestion => ({
  points: [],
  home: { x: 140, y: 115 },
  ways: [],
  sheet,
  type: TYPE,
  ...part,
});
/** The box that a name fills, by the same letter width. */
const boxOf = ({ x, y, anchor, lines }: MapLabel) => {
  const width = Math.max(...lines.map((line) => line.length)) * 0.49 * TYPE;
  const left = x - (anchor === "start" ? 0 : anchor === "end" ? width : width / 2);
  return {
    left,
    right: left + width,
    top: y - 0.75 * TYPE,
    bottom: y + ((lines.length - 1) * 1.1 + 0.22) * TYPE,
  };
};
type Box = ReturnType<typeof boxOf>;
const overlap = (a: Box, b: Box) =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;
const covers = (box: Box, { x, y }: MapPoint) =>
  x > box.left && x < box.right && y > box.top && y < box.bottom;

describe("placeLabels", () => {
  test("alone a name stands to the right of its point; at the right edge of the sheet to its left", () => {
    const at = (x: number) => placeLabels(question({ points: [{ x, y: 40, name: "Hagg Wood Timber" }] }))[0];
    expect(at(60)).toMatchObject({ x: 67, anchor: "start" });
    expect(at(270)).toMatchObject({ x: 263, anchor: "end" });
  });

  test("a name beside the house goes to its other side", () => {
    const points = [{ x: 125, y: 115, name: "Thornybank Riding School" }];
    const [label] = placeLabels(question({ points }));
    expect(covers(boxOf(label!), { x: 140, y: 115 })).toBe(false);
  });

  test("a long name that has no room in one line goes in two, parted where the lines are most alike", () => {
    const long = { x: 140, y: 40, name: "Thornybank Riding School" };
    const room = { width: 280, height: 80 };
    expect(placeLabels(question({ points: [long], sheet: room }))[0]?.lines).toEqual([long.name]);
    const between = [long, { x: 100, y: 25, name: "Ash" }, { x: 100, y: 55, name: "Elm" }];
    const tight = { width: 235, height: 80 };
    const [label] = placeLabels(question({ points: between, sheet: tight, home: { x: 115, y: 40 } }));
    expect(label?.lines).toEqual(["Thornybank", "Riding School"]);
  });

  test("a way is rather not lain on", () => {
    const points = [{ x: 60, y: 40, name: "Ferryfield" }];
    const across = [
      [
        { x: 80, y: 0 },
        { x: 80, y: 200 },
      ],
    ];
    expect(placeLabels(question({ points, ways: across }))[0]?.anchor).toBe("end");
  });

  test("eight yards strewn over the sheet: 98 times of a hundred no name lies on another, a yard, the house or off the sheet", () => {
    let bad = 0;
    for (let seed = 1; seed <= 100; seed++) {
      const random = seededRandom(seed);
      const points = Array.from({ length: 8 }, (_, at) => ({
        x: 34 + random() * 212,
        y: 34 + random() * 162,
        name: "Scarrowmoor Trekking".slice(0, 10 + at),
      }));
      const home = { x: 34 + random() * 212, y: 34 + random() * 162 };
      const boxes = placeLabels(question({ points, home })).map(boxOf);
      const clash = boxes.some(
        (box, at) =>
          box.left < 0 ||
          box.right > sheet.width ||
          covers(box, home) ||
          points.some((point) => covers(box, point)) ||
          boxes.some((other, place) => place > at && overlap(box, other)),
      );
      if (clash) bad += 1;
    }
    expect(bad).toBeLessThanOrEqual(2);
  });

  test("the same question has the same answer, and no points have no names", () => {
    const points = [1, 2, 3].map((at) => ({ x: 100 + at, y: 100 + at, name: `Yard ${at}` }));
    expect(placeLabels(question({ points }))).toEqual(placeLabels(question({ points })));
    expect(placeLabels(question({}))).toEqual([]);
  });
});
