import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { seededRandom } from "../math/random";
import {
  checkProtocol,
  groupsOf,
  HOUSE_PROTOCOL,
  offeredSteps,
  protocolSchema,
  scoreRun,
  type Protocol,
} from "./protocol";
import { overall, progressOf, standings, weakest } from "./progress";
import type { Miss, Try } from "./tryRecord";

const protocol: Protocol = {
  id: "p",
  name: "Four",
  steps: [
    { id: "a", text: "A", why: "" },
    { id: "b", text: "B", why: "" },
    { id: "c", text: "C", why: "", free: true },
    { id: "d", text: "D", why: "" },
  ],
};
const states = (chosen: string[], of: Protocol = protocol) =>
  Object.fromEntries(scoreRun(of, chosen).steps.map(({ step, state }) => [step.id, state]));

describe("a run", () => {
  test("in order it is done; steps that may change places may", () => {
    expect(scoreRun(protocol, ["a", "b", "c", "d"]).score).toBe(100);
    expect(scoreRun(protocol, ["a", "c", "b", "d"]).score).toBe(100);
    expect(groupsOf(protocol.steps).map((group) => group.map(({ id }) => id))).toEqual([
      ["a"],
      ["b", "c"],
      ["d"],
    ]);
  });

  test("one that comes late is out of order, the others are not blamed for it", () => {
    expect(states(["b", "c", "d", "a"])).toEqual({ a: "out of order", b: "done", c: "done", d: "done" });
    expect(scoreRun(protocol, ["b", "c", "d", "a"]).steps[0]?.where).toBe("stands before “B”");
  });

  test("one that comes early is out of order, and what it comes after is said", () => {
    const run = scoreRun(protocol, ["d", "a", "b", "c"]);
    expect(run.steps.at(-1)).toMatchObject({ state: "out of order", where: "stands after “C”" });
    expect(run.score).toBe(75);
  });

  test("what is left out is missed, and nothing else suffers", () => {
    expect(states(["b", "d"])).toEqual({ a: "missed", b: "done", c: "missed", d: "done" });
  });

  test("a step chosen twice counts when it was first chosen; one that is no step does not count", () => {
    expect(scoreRun(protocol, ["a", "b", "a", "c", "x", "d"]).score).toBe(100);
  });

  test("nothing chosen is all missed; the fewest steps are blamed (seeded property)", () => {
    expect(scoreRun(protocol, []).score).toBe(0);
    const ids = HOUSE_PROTOCOL.steps.map(({ id }) => id);
    fc.assert(
      fc.property(fc.nat(ids.length - 1), fc.nat(ids.length - 1), (from, to) => {
        const chosen = [...ids];
        const [taken] = chosen.splice(from, 1);
        chosen.splice(to, 0, taken as string);
        const wrong = scoreRun(HOUSE_PROTOCOL, chosen).steps.filter(({ state }) => state !== "done");
        expect(wrong.length).toBeLessThanOrEqual(1);
      }),
      { seed: 61, numRuns: 200 },
    );
  });
});

describe("a protocol of one's own", () => {
  test("without a step it cannot be run, and is told what would work", () => {
    const found = checkProtocol({ ...protocol, steps: [] });
    expect(found).toMatchObject({ ok: false, issues: [{ code: "no-steps", path: "steps" }] });
    expect(found.ok ? "" : found.issues[0]?.message).toContain("Write the first one");
  });

  test("without a name, with a step without words or the same one twice it is told so at its place", () => {
    const codes = (change: Partial<Protocol>) => {
      const found = checkProtocol({ ...protocol, ...change });
      return found.ok ? "ok" : [found.issues[0]?.code, found.issues[0]?.path].join(" ");
    };
    expect(codes({})).toBe("ok");
    expect(codes({ name: " " })).toBe("no-name name");
    expect(codes({ steps: [{ id: "a", text: "  ", why: "" }] })).toBe("no-words steps.a");
    expect(codes({ steps: [...protocol.steps, { id: "e", text: " a ", why: "" }] })).toBe("twice steps.e");
  });

  test("the house's own is whole: every step has its reason, and its record is valid", () => {
    expect(checkProtocol(HOUSE_PROTOCOL).ok).toBe(true);
    expect(protocolSchema.safeParse(HOUSE_PROTOCOL).success).toBe(true);
    expect(HOUSE_PROTOCOL.steps.every(({ why }) => why.length > 10)).toBe(true);
  });

  test("the next step is always among those offered, three at the first level and nine at the last", () => {
    const chosen: string[] = [];
    const random = seededRandom(3);
    for (const { id } of HOUSE_PROTOCOL.steps) {
      const offered = offeredSteps(random, HOUSE_PROTOCOL, chosen, 1).map((step) => step.id);
      expect(offered).toContain(id);
      expect(offered.length).toBe(Math.min(3, HOUSE_PROTOCOL.steps.length - chosen.length));
      chosen.push(id);
    }
    expect(offeredSteps(random, HOUSE_PROTOCOL, chosen, 1)).toEqual([]);
    expect(offeredSteps(random, HOUSE_PROTOCOL, [], 9)).toHaveLength(9);
  });
});

describe("what got better", () => {
  const tryOf = (index: number, misses: Miss[], score = 70): Try => ({
    id: `t${index}`,
    date: "2026-11-23",
    at: new Date(Date.UTC(2026, 10, 23, 8, index)).toISOString(),
    room: "measure",
    what: "Sole",
    level: 3,
    next: 3,
    score,
    seconds: 50,
    misses,
  });
  const toe = (off: number): Miss => ({ of: "Toe", unit: "mm", off });

  test("of the latest twenty the later half stands against the earlier, and only a difference beyond its scatter is a change", () => {
    const better = Array.from({ length: 20 }, (_, index) =>
      tryOf(index, [toe((index < 10 ? 4 : 1.5) + (index % 3) * 0.2)]),
    );
    const [standing] = standings(better, "measure");
    expect(standing).toMatchObject({ of: "Toe", what: "Sole", n: 20, change: "better" });
    expect(standing?.before).toBeCloseTo(4.18, 1);
    expect(standing?.now).toBeCloseTo(1.7, 1);
    const scattered = Array.from({ length: 20 }, (_, index) =>
      tryOf(index, [toe(index % 2 === 0 ? 0.5 : 6)]),
    );
    expect(standings(scattered, "measure")[0]?.change).toBeUndefined();
    const worse = Array.from({ length: 20 }, (_, index) =>
      tryOf(index, [toe((index < 10 ? 1 : 5) + (index % 3) * 0.2)]),
    );
    expect(standings(worse, "measure")[0]?.change).toBe("worse");
  });

  test("half of it is enough from four on; with fewer there is no before", () => {
    const few = (count: number) =>
      standings(
        Array.from({ length: count }, (_, index) => tryOf(index, [toe(index < count / 2 ? 6 : 2)])),
        "measure",
      )[0];
    expect(few(8)).toMatchObject({ before: 6, now: 2, change: "better" });
    expect(few(7)?.before).toBeUndefined();
  });

  test("a room as a whole counts each try as one number", () => {
    const tries = Array.from({ length: 10 }, (_, index) =>
      tryOf(index, [toe(index < 5 ? 5 : 1), { of: "Heel", unit: "mm", off: index < 5 ? -3 : 1 }]),
    );
    expect(overall(tries, "measure")).toMatchObject({
      of: "All marks",
      n: 10,
      before: 4,
      now: 1,
      change: "better",
    });
    expect(overall(tries, "cut")).toBeUndefined();
  });

  test("the sign of a miss does not hide it, and other rooms do not count", () => {
    const tries = [tryOf(0, [toe(-3)]), tryOf(1, [toe(3)]), { ...tryOf(2, [toe(50)]), room: "cut" as const }];
    expect(standings(tries, "measure")).toEqual([
      { room: "measure", what: "Sole", of: "Toe", unit: "mm", n: 2, now: 3 },
    ]);
  });

  test("the weakest is what is missed most of what was met three times; nothing missed, nothing named", () => {
    const tries = [0, 1, 2].map((index) => tryOf(index, [toe(2), { of: "Heel", unit: "mm", off: 5 }]));
    const once = tryOf(5, [{ of: "Bar", unit: "mm", off: 40 }]);
    expect(weakest(standings([...tries, once], "measure"))?.of).toBe("Heel");
    expect(
      weakest(
        standings(
          [0, 1, 2].map((index) => tryOf(index, [toe(0)])),
          "measure",
        ),
      ),
    ).toBeUndefined();
  });

  test("the chart has a point a try in the order of time, with the mean of the last five", () => {
    const tries = [3, 0, 1, 2, 4, 5].map((index) => tryOf(index, [], index * 10));
    const points = progressOf(tries, "measure");
    expect(points.map(({ score }) => score)).toEqual([0, 10, 20, 30, 40, 50]);
    expect(points.at(-1)?.running).toBe(30);
  });
});
