import { describe, expect, test } from "@jest/globals";
import { ordinaryFoot } from "../foot/parametric/fit";
import type { Find, Look } from "../foot/records/look";
import { seededRandom } from "../math/random";
import { soundPair } from "../herd/soundFeet";
import { measureFoot } from "../herd/measureFoot";
import { nailFreeSectors } from "./nailFree";

const drawn = ordinaryFoot("LF", { kind: "horse", massKg: 500 });
const looked = (...finds: Partial<Find>[]) =>
  ({
    wear: {},
    finds: Object.fromEntries(finds.map((find, at) => [String(at), { note: "", at: [0, 0], ...find }])),
  }) as Look;
const free = (look: Look | undefined, walls: object = {}) => nailFreeSectors(look, { walls, drawn });

describe("wall that takes no nail by itself", () => {
  test("a crack by its place on the wall, with its reason; the wall bears nothing there", () => {
    expect(free(looked({ kind: "crack", wall: "quarterLateral" }))).toEqual([
      {
        side: "lateral",
        name: "quarter",
        sector: "quarterLateral",
        from: 0.38,
        to: 0.56,
        why: "crack",
        relieve: true,
      },
    ]);
  });

  test("tapped on the sole it counts only near the wall, at the stretch it is nearest to", () => {
    expect(free(looked({ kind: "cavity", at: [-55, 105] }))[0]).toMatchObject({
      side: "medial",
      name: "toe quarter",
    });
    expect(free(looked({ kind: "cavity", at: [10, 60] }))).toEqual([]);
  });

  test("a crack is in the wall, however near the middle of the sole it was tapped", () => {
    expect(free(looked({ kind: "crack", at: [30, 70] }))[0]).toMatchObject({
      side: "lateral",
      name: "quarter",
    });
    expect(free(looked({ kind: "crack", at: [-12, 60] }))[0]).toMatchObject({
      side: "medial",
      name: "quarter",
    });
    // At the toe no nail stands.
    expect(free(looked({ kind: "crack", at: [8, 120] }))).toEqual([]);
  });

  test("what has grown out, and what is no weakness of the wall, takes nails again", () => {
    expect(free(looked({ kind: "crack", wall: "quarterMedial", gone: true }))).toEqual([]);
    expect(free(looked({ kind: "bruise", wall: "quarterMedial" }))).toEqual([]);
  });

  test("horn too thin for a nail, beside a crack in the same stretch both reasons stand", () => {
    const thin = { quarterMedial: { thickness: 6, whiteLine: 4 }, heelMedial: { thickness: 4 } };
    expect(free(undefined, thin)).toMatchObject([
      { side: "medial", name: "quarter", why: "thin wall", relieve: false },
    ]);
    expect(free(looked({ kind: "crack", wall: "quarterMedial" }), thin)).toMatchObject([
      { why: "crack, thin wall", relieve: true },
    ]);
  });

  test("a place floated in the trim takes no nail and bears nothing", () => {
    const { foot } = soundPair(seededRandom(8), "fresh").mine;
    expect(nailFreeSectors(undefined, { walls: {}, drawn: foot }, { quarterMedial: 2 })).toMatchObject([
      { side: "medial", name: "quarter", why: "floated in the trim", relieve: true },
    ]);
  });

  test("sound feet take nails all round: on at most 5 in 100 a wall is read as too thin", () => {
    const random = seededRandom(7);
    let held = 0;
    for (let made = 0; made < 400; made++) {
      const { mine: foot } = soundPair(random, made % 2 ? "due" : "fresh");
      const { walls } = measureFoot(random, foot);
      if (nailFreeSectors(undefined, { walls, drawn: foot.foot }).length > 0) held++;
    }
    expect(held).toBeLessThanOrEqual(20);
  });
});
