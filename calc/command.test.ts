import { spawnSync } from "node:child_process";
import { describe, expect, test } from "@jest/globals";

/** The command as a script would call it. */
const calc = (input: string, ...args: string[]) => {
  const { stdout, stderr, status } = spawnSync("npm", ["run", "-s", "calc", "--", ...args], {
    input,
    encoding: "utf8",
  });
  return { stdout, stderr: stderr.replace(/^npm warn.*\n/gm, ""), status };
};

describe("npm run -s calc", () => {
  test("one object in, one object out, exit 0, nothing on standard error", () => {
    expect(calc('{"text":"5¼","unit":"in"}', "units")).toEqual({
      stdout: '{"mm":133.35,"inches":5.25,"display":"5 1/4 in"}\n',
      stderr: "",
      status: 0,
    });
  });

  test("bad input: exit 2, nothing on standard output, the error as JSON on standard error", () => {
    const { stdout, stderr, status } = calc('{"text":"5 quarters","unit":"in"}', "units");
    expect([stdout, status]).toEqual(["", 2]);
    expect(JSON.parse(stderr)).toMatchObject({ error: { issues: [{ path: "text" }] } });
  });

  test("an empty standard input is bad input, not a hang", () => {
    expect(calc("", "due")).toMatchObject({ stdout: "", status: 2 });
  });

  test("--lines keeps the order and the count of a long run", () => {
    const lines = Array.from({ length: 200 }, (_, index) => JSON.stringify({ pairs: [[index, index + 1]] }));
    const { stdout, status } = calc(`${lines.join("\n")}\n`, "repeatability", "--lines");
    const answers = stdout.trim().split("\n");
    expect([answers.length, status]).toEqual([200, 0]);
    expect(JSON.parse(answers[199] ?? "")).toMatchObject({ n: 1, sd: Math.SQRT1_2 });
  });

  test("rounds plans a day: both jobs at one yard, one tour, proven", () => {
    const job = { yard: "near", minutes: 45, windowStart: "2026-11-20", due: "2026-11-30" };
    const question = {
      home: [53, -2],
      speedKmh: 50,
      stopMinutes: 10,
      days: [{ date: "2026-11-23", minutes: 240 }],
      yards: [{ id: "near", at: [53.1, -2] }],
      jobs: [
        { id: "a", ...job },
        { id: "b", ...job },
      ],
    };
    const { stdout, status } = calc(JSON.stringify(question), "rounds");
    const { days, left, objective, bound, gap } = JSON.parse(stdout);
    expect(status).toBe(0);
    expect(days[0].stops).toEqual([{ yard: "near", jobs: ["a", "b"] }]);
    // 11.12 km of great circle, 1.3 times that by road, there and back at 50 km/h.
    expect(days[0].drive).toBeCloseTo(34.69, 2);
    expect([left, days[0].work, bound, gap]).toEqual([[], 90, objective, 0]);
  });

  test("cutlist solves its programme: six of 300 on bars of a metre, proven, line after line", () => {
    const input = { barLength: 1000, kerf: 3, pieces: [{ length: 300, count: 6, label: "fronts" }] };
    const lines = [input, { ...input, offcuts: [610] }, { ...input, barLength: 200 }];
    const { stdout, status } = calc(lines.map((one) => JSON.stringify(one)).join("\n"), "cutlist", "--lines");
    const [plain, offcut, tooLong] = stdout
      .trim()
      .split("\n")
      .map((text) => JSON.parse(text));
    expect(plain).toEqual({
      bars: [
        { stock: 1000, pieces: [300, 300, 300], offcut: 91 },
        { stock: 1000, pieces: [300, 300, 300], offcut: 91 },
      ],
      count: 2,
      lowerBound: 2,
      optimal: true,
    });
    expect([offcut.count, offcut.bars[0].stock]).toEqual([2, 610]);
    expect(tooLong.error.issues[0].path).toBe("pieces.0.length");
    expect(status).toBe(2);
  });
});
