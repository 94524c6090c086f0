import { describe, expect, test } from "@jest/globals";
import { answer, wantsInput } from "./answer";

const calc = (name: string, input: unknown, ...flags: string[]) => {
  const { stdout, stderr, exitCode } = answer(
    [name, ...flags],
    typeof input === "string" ? input : JSON.stringify(input),
  );
  return {
    exitCode,
    out: stdout === "" ? undefined : (JSON.parse(stdout) as unknown),
    error:
      stderr === ""
        ? undefined
        : (JSON.parse(stderr) as { error: { message: string; issues: { path: string; message: string }[] } })
            .error,
  };
};

describe("calc", () => {
  test("--help lists the calculators, and reads no input", () => {
    expect(answer(["--help"], "").stdout).toMatch(
      /units[\s\S]*lateral[\s\S]*survey[\s\S]*rectify[\s\S]*predict[\s\S]*growth[\s\S]*due[\s\S]*repeatability/,
    );
    expect([wantsInput(["--help"]), wantsInput(["units", "--schema"]), wantsInput(["units"])]).toEqual([
      false,
      false,
      true,
    ]);
  });

  test.each([
    ["units", { text: "5 1/4", unit: "in" }, { mm: 133.35, inches: 5.25, display: "5 1/4 in" }],
    ["units", { text: "133", unit: "mm" }, { mm: 133, inches: 133 / 25.4, display: "133 mm" }],
    [
      "units",
      { text: "1/32", unit: "in", fraction: 16 },
      { mm: 25.4 / 32, inches: 1 / 32, display: "1/16 in" },
    ],
    [
      "repeatability",
      {
        pairs: [
          [50, 51],
          [48, 48],
        ],
      },
      { n: 2, sd: 0.5, smallestChange: 1.386 },
    ],
    [
      "beat",
      { times: [0, 1, 1.5, 1.75, 2.25, 2.5, 3, 3.25, 4.25] },
      { perMinute: 160, intervals: { mean: 0.375, sd: Math.sqrt(0.01875) }, evenness: 2 },
    ],
    ["growth", { shod: false, visits: [] }, { perDay: 0.2, sd: 0.07, observations: 0 }],
    [
      "due",
      {
        last: "2026-03-01",
        toeLength: 83,
        toeTarget: 83,
        dorsalAngle: 50,
        pasternAngle: 50,
        growth: { perDay: 0, sd: 0 },
        drift: { perDay: 0, sd: 0 },
        capWeeks: 6,
      },
      { due: "2026-04-12", windowStart: "2026-04-05", reason: "cap", day: 42 },
    ],
  ])("%s of %j", (name, input, expected) => {
    expect(calc(name, input)).toEqual({ exitCode: 0, out: expected, error: undefined });
  });

  const foot = {
    dorsalAngle: 48,
    pasternAngle: 52,
    heelAngle: 40,
    toeLength: 92,
    toeY: 126,
    heelMedial: [-42, 10],
    heelLateral: [42, 10],
    corY: 63,
  };
  const sole = {
    sulcusBack: [500, 900],
    sulcusFront: [500, 855],
    frogApex: [500, 801],
    frogMedial: [477.5, 886],
    frogLateral: [522.5, 886],
    heelMedial: [456, 892],
    heelLateral: [542, 888],
    wideMedial: [438, 836],
    wideLateral: [565, 834],
    toe: [500, 762],
    toeQuarterMedial: [454, 792],
    toeQuarterLateral: [546, 792],
  };

  test("survey answers from a picture's marks, y down; half the scale gives half the lengths", () => {
    expect(calc("survey", { limb: "LF", points: sole }).out).toMatchObject({
      sulcus: 45,
      k: 1,
      cor: { widest: 65, apex: 65, median: 65, spread: 0 },
      front: 73,
      support: 55,
      heelDifference: 4,
    });
    expect(calc("survey", { limb: "LF", points: sole, mmPerPx: 0.5 }).out).toMatchObject({ sulcus: 22.5 });
    const { toe, ...noToe } = sole;
    expect(toe).toHaveLength(2);
    expect(calc("survey", { limb: "LF", points: noToe }).error?.issues[0]?.path).toBe("points.toe");
    expect(
      calc("survey", { limb: "LF", points: { ...sole, sulcusFront: [500, 900] } }).error?.issues[0],
    ).toMatchObject({ path: "points.sulcusFront" });
  });

  test("rectify turns a picture of a card into millimetres; corners in line are named", () => {
    const corners = [
      [100, 100],
      [500, 100],
      [500, 500],
      [100, 500],
    ];
    const found = calc("rectify", { card: { width: 80, height: 80, corners }, points: { toe: [300, 200] } })
      .out as { points: { toe: number[] }; homography: number[]; slant: number; residual: number };
    expect(found.points.toe[0]).toBeCloseTo(40, 9);
    expect(found.points.toe[1]).toBeCloseTo(20, 9);
    expect(found.homography[8]).toBe(1);
    expect([found.slant, found.residual].map((one) => Math.round(one * 1e4))).toEqual([0, 0]);
    const flat = calc("rectify", {
      card: {
        width: 80,
        height: 80,
        corners: [
          [0, 0],
          [100, 0],
          [200, 0],
          [0, 90],
        ],
      },
      points: {},
    });
    expect(flat.exitCode).toBe(2);
    expect(flat.error?.issues[0]?.path).toBe("card.corners.1");
  });

  const cuts = { toe: 0, heelMedial: 0, heelLateral: 0, dress: 0 };

  test("predict answers every figure of the foot", () => {
    expect(calc("predict", { foot, cuts }).out).toEqual({
      dorsalAngle: 48,
      axis: -4,
      roll: 0,
      toeY: 126,
      heelY: 10,
      corY: 63,
      front: 63,
      support: 53,
      toeLength: 92,
    });
  });

  test("an unknown key, a missing value and one that is not finite are refused with their paths", () => {
    expect(calc("predict", { foot: { ...foot, colour: 1 }, cuts }).error?.issues[0]?.path).toBe("foot");
    expect(calc("predict", { foot, cuts: { ...cuts, toe: undefined } }).error?.issues[0]?.path).toBe(
      "cuts.toe",
    );
    expect(
      calc(
        "predict",
        `{"foot":${JSON.stringify(foot)},"cuts":{"toe":1e999,"heelMedial":0,"heelLateral":0,"dress":0}}`,
      ),
    ).toMatchObject({ exitCode: 2, out: undefined });
  });

  test("breakover, mass and setting answer as by hand", () => {
    expect(
      calc("breakover", { toeY: 127, corY: 63, supportY: 0, pasternLineFromToe: -9, coffinTipY: 110 }).out,
    ).toEqual({
      fromToe: { pasternLine: 9, coffinTip: 11, evenHalves: 1, toe: 0 },
      chosen: { lens: "pasternLine", fromToe: 9 },
    });
    expect(calc("breakover", { toeY: 127, corY: 63, supportY: 140 }).error?.issues[0]?.path).toBe("toeY");
    expect(calc("setting", { minutesAt20: 4, celsius: 10 }).out).toEqual({ minutes: 8 });
    const bar = { centreLine: 300, section: { width: 22, thickness: 10 }, material: "steel" };
    expect((calc("mass", bar).out as { grams: number }).grams).toBeCloseTo(518.1, 9);
    expect(calc("mass", { ...bar, crease: { width: 30, depth: 2, length: 9 } }).error?.issues[0]?.path).toBe(
      "crease",
    );
    expect(calc("mass", { ...bar, material: "brass" }).exitCode).toBe(2);
  });

  test("nails stand on any outline that is joined as given, and a side on the wrong side is refused", () => {
    const right = [
      [0, 127],
      [30, 122],
      [53, 100],
      [63, 63],
      [45, 0],
    ];
    const outline = { lateral: right, medial: right.map(([x, y]) => [-(x as number), y]) };
    const question = {
      outline,
      widestY: 63,
      perSide: 3,
      wall: { toe: 10, quarter: 8 },
      fullness: 1,
      web: 20,
    };
    const { out } = calc("nails", question) as {
      out: Record<"medial" | "lateral", { s: number; x: number; y: number; inset: number }[]> & {
        warnings: string[];
      };
    };
    expect(out.warnings).toEqual([]);
    expect(out.lateral.at(-1)?.inset).toBeCloseTo(9, 9);
    expect(out.lateral.at(-1)?.y).toBeGreaterThanOrEqual(63 - 0.5);
    expect(out.medial[0]?.s).toBeCloseTo(out.lateral[0]?.s ?? 0, 9);
    expect(calc("nails", { ...question, web: 12 }).out).toMatchObject({
      warnings: expect.arrayContaining([expect.stringContaining("4 mm are wanted")]),
    });
    expect(
      calc("nails", { ...question, outline: { lateral: outline.medial, medial: outline.lateral } }).error
        ?.issues[0],
    ).toMatchObject({ path: "outline.medial" });
  });

  test("stock by rule alone and with an outline: the longer is cut", () => {
    const shoe = { width: 127, length: 127, section: { width: 22, thickness: 10 } };
    expect(calc("stock", shoe).out).toEqual({
      rule: { sum: 254, toeAllowance: 44.45, total: 298.45 },
      cutInches: 11.75,
      cutMm: 300,
      fromMark: { medial: 149.225, lateral: 149.225 },
    });
    const outline = {
      medial: [
        [0, 0],
        [-200, 0],
      ],
      lateral: [
        [0, 0],
        [200, 0],
      ],
    };
    expect(calc("stock", { ...shoe, outline, bump: 0, creased: 0 }).out).toMatchObject({
      outline: { centreLine: 400, total: 400 },
      cutMm: 400,
    });
    expect(calc("stock", { ...shoe, section: { width: 70, thickness: 10 } }).error?.issues[0]?.path).toBe(
      "section.width",
    );
  });

  test("trim plans the broken-back foot: what to cut, what stopped it, what is left for the shoe", () => {
    const question = {
      foot,
      finish: "shod",
      above: { toe: 4, heelMedial: 3, heelLateral: 5 },
      frontBack: "straight-axis",
      side: "even-sole",
    };
    const { out } = calc("trim", question) as { out: Record<string, Record<string, number>> };
    expect(out["cuts"]?.["toe"]).toBe(4);
    expect(out["limits"]).toContain("toe");
    expect(out["shoe"]?.["elevate"]).toBeCloseTo(-(out["remaining"]?.["axis"] ?? 0), 12);
    expect(calc("trim", { ...question, above: { toe: 4 } }).error?.issues[0]?.path).toBe("above.heelMedial");
    expect(calc("trim", { ...question, frontBack: "by eye" }).exitCode).toBe(2);
  });

  test("trim with its newer keys: horn and shape bound the dressing, the plane holds the axis, a part has its stages", () => {
    const question = {
      foot: { ...foot, dorsalAngle: 46, pasternAngle: 52 },
      finish: "shod",
      above: { toe: 3, heelMedial: 9, heelLateral: 9 },
      frontBack: "live-sole",
      side: "even-sole",
    };
    const cutsOf = (more: object) =>
      (calc("trim", { ...question, ...more }).out as { cuts: Record<string, number>; stages?: number }) ?? {};
    const across = Math.sin((46 * Math.PI) / 180);
    expect(cutsOf({ toeWall: 13 }).cuts["dress"]).toBe(0);
    expect(cutsOf({ toeWall: 13, outside: 8 }).cuts["dress"]).toBeCloseTo(4 * across, 9);
    expect(cutsOf({ toeWall: 20, outside: 2 }).cuts["dress"]).toBeCloseTo(2 * across, 9);
    expect(cutsOf({ toeWall: 13, whiteLine: 5, outside: 8 }).cuts["dress"]).toBeCloseTo(2 * across, 9);
    const held = calc("trim", { ...question, holdAxis: true }).out as { predicted: { axis: number } };
    expect(held.predicted.axis).toBeCloseTo(-6, 9);
    expect("stages" in cutsOf({})).toBe(false);
    const tall = { above: { toe: 4, heelMedial: 0, heelLateral: 13 }, frontBack: "straight-axis" };
    const part = cutsOf({ ...tall, atOnce: true });
    expect(part.stages).toBeGreaterThanOrEqual(2);
    expect((part.cuts["heelLateral"] ?? 0) - (part.cuts["heelMedial"] ?? 0)).toBeCloseTo(6, 6);
    const refused = calc("trim", { ...question, toeWall: 5, whiteLine: 6 });
    expect([refused.exitCode, refused.error?.issues[0]?.path]).toEqual([2, "whiteLine"]);
  });

  test("what the core refuses comes out with exit 2 and the core's own path", () => {
    const points = Object.fromEntries(
      [
        "groundA",
        "groundB",
        "toe",
        "wallMid",
        "wallHigh",
        "hairlineToe",
        "hairlineHeel",
        "heel",
        "pasternLow",
        "pasternHigh",
      ].map((name) => [name, [1, 1]]),
    );
    expect(calc("lateral", { limb: "LF", points })).toMatchObject({
      exitCode: 2,
      out: undefined,
      error: { issues: [{ path: "points.groundB" }] },
    });
  });

  test("--lines answers every line in order, and a bad one on its own line, exit 2 at the end", () => {
    const lines = ['{"text":"1","unit":"in"}', "nonsense", '{"text":"2","unit":"in"}'].join("\n");
    const { stdout, stderr, exitCode } = answer(["units", "--lines"], `${lines}\n`);
    const [first, second, third] = stdout
      .trim()
      .split("\n")
      .map((line) => JSON.parse(line) as Record<string, unknown>);
    expect([first?.["mm"], third?.["mm"], stderr, exitCode]).toEqual([25.4, 50.8, "", 2]);
    expect(second).toMatchObject({ error: { issues: [{ path: "" }] } });
  });

  test("--schema prints JSON Schema of input and output for every calculator", () => {
    for (const name of [
      "units",
      "lateral",
      "predict",
      "trim",
      "breakover",
      "stock",
      "nails",
      "mass",
      "setting",
      "growth",
      "due",
      "repeatability",
    ]) {
      const { out } = calc(name, "", "--schema") as {
        out: { input: { type: string; additionalProperties: boolean }; output: { type: string } };
      };
      expect([out.input.type, out.input.additionalProperties, out.output.type]).toEqual([
        "object",
        false,
        "object",
      ]);
    }
  });

  test("an unknown name or option says what there is", () => {
    expect(calc("shoe", {}).error?.issues[0]?.message).toContain("units");
    expect(calc("units", {}, "--loud")).toMatchObject({
      exitCode: 2,
      error: { message: "Unknown option --loud." },
    });
  });
});
