import { describe, expect, test } from "@jest/globals";
import { answer } from "./answer";

const calc = (name: string, input: unknown) => {
  const { stdout, stderr, exitCode } = answer([name], JSON.stringify(input));
  return { out: stdout ? (JSON.parse(stdout) as unknown) : undefined, stderr, exitCode };
};
const gauge = (value: number) => ({ value, source: "gauge" });

describe("calc, judgement", () => {
  test("highside weighs the witnesses by how sure each is; none is refused", () => {
    const { out } = calc("highside", {
      heelsApart: 80,
      wallAbove: { medial: 3, lateral: 7 },
      hairlineTilt: -2,
    });
    const [wall, tilt] = [4, 80 * Math.tan((-2 * Math.PI) / 180)];
    const [a, b] = [1 / 1.6 ** 2, 1 / 3 ** 2];
    expect(out).toMatchObject({
      n: 2,
      mean: expect.closeTo((wall * a + tilt * b) / (a + b), 9) as unknown,
      sd: expect.closeTo(1 / Math.sqrt(a + b), 9) as unknown,
    });
    expect(calc("highside", { heelsApart: 80 }).exitCode).toBe(2);
  });

  test("frog: the gap under the shoe, never under nothing; a frog proud by 80 mm is no frog", () => {
    expect(calc("frog", { proud: -3, thickness: 10 }).out).toEqual({ proudAfter: -3, gap: 13, touchCut: 3 });
    expect(calc("frog", { proud: 12, thickness: 8, heelCut: 2 }).out).toEqual({
      proudAfter: 14,
      gap: 0,
      touchCut: 0,
    });
    expect(calc("frog", { proud: 80, thickness: 8 }).stderr).toContain("proud");
  });

  test("findings: a club foot is the vet's, and nobody is told to bring its toe back", () => {
    const values = (dorsal: number, pastern: number, heel: number) => ({
      values: {
        dorsalAngle: gauge(dorsal),
        pasternAngle: gauge(pastern),
        heelHeightMedial: gauge(heel),
        heelHeightLateral: gauge(heel),
        toeLength: gauge(95),
      },
    });
    const { out } = calc("findings", {
      limb: "RF",
      horse: { massKg: 500 },
      reading: values(60, 58, 44),
      pair: { reading: values(50, 50, 33) },
    });
    const said = out as { id: string; level: string }[];
    expect(said[0]).toMatchObject({ id: "club-foot", level: "ask the vet" });
    expect(said.map(({ id }) => id)).not.toContain("toe-long");
  });

  test("findings: a foot of which nothing is known says nothing; a source that does not exist is refused at its place", () => {
    expect(calc("findings", { limb: "LF" }).out).toEqual([]);
    expect(
      calc("findings", { limb: "LF", reading: { side: { dish: { value: 3, source: "guess" } } } }).stderr,
    ).toContain("reading.side.dish.source");
  });

  test("herd answers alike for the same seed", () => {
    const question = { kind: "sound", n: 20, seed: 9, when: "fresh" };
    expect(calc("herd", question).out).toEqual(calc("herd", question).out);
    expect(calc("herd", question).out).toMatchObject({ feet: 20, troubles: {} });
  });
});
