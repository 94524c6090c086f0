import { describe, expect, test } from "@jest/globals";
import { answer } from "./answer";

interface Advised {
  name: string;
  specification: Record<string, unknown>;
  for: string[];
  against: string[];
  cautions: string[];
  breaks: string[];
  prescribed: boolean;
  ruledOut: boolean;
}
const advise = (facts: object): Advised[] =>
  JSON.parse(answer(["advise"], JSON.stringify({ limb: "LF", ...facts })).stdout) as Advised[];

describe("calc advise", () => {
  test("a whole shoe with reasons both ways, the best first, bare always weighed", () => {
    const list = advise({ work: ["jumping"], footing: ["wet turf"] });
    expect(list[0]).toMatchObject({
      name: "Creased concave, narrow web, eased toe, stud holes",
      specification: { profile: "concave", toeEdge: "eased", studsWet: "large", clips: ["toe"] },
      breaks: [],
    });
    expect(list[0]?.for.join()).toContain("A crease fills with soil");
    expect(list[0]?.against.length).toBeGreaterThan(0);
    expect(list.map(({ name }) => name)).toContain("Bare");
  });

  test("a prescription stands first as itself, with what speaks against it beside it", () => {
    const prescription = { by: "the vet", until: "2026-12-31", type: "egg bar" };
    const [first, ...rest] = advise({ footing: ["road"], prescription });
    expect(first).toMatchObject({ prescribed: true, ruledOut: false, specification: { type: "egg bar" } });
    expect(first?.against[0]).toContain("a lever behind the foot");
    expect(first?.breaks.join()).toContain("A model, not a measurement");
    expect(rest.filter(({ specification }) => specification["type"] === "egg bar")).toEqual([]);
  });

  test("what was not measured is not sound, and the vet comes first where it is the vet’s", () => {
    expect(advise({ growsMoreThanItWears: true })[0]?.name).not.toBe("Bare");
    expect(advise({ growsMoreThanItWears: true, thinSole: false })[0]?.name).toBe("Bare");
    expect(advise({ conditions: ["laminitis"] })[0]?.cautions[0]).toContain("under a vet’s plan only");
  });

  test("wrong facts are named at their place", () => {
    const { stdout, stderr, exitCode } = answer(
      ["advise"],
      JSON.stringify({ limb: "LX", footing: ["mud"], massKg: 5000, colour: "bay" }),
    );
    expect([stdout, exitCode]).toEqual(["", 2]);
    const { error } = JSON.parse(stderr) as { error: { issues: { path: string }[] } };
    expect(error.issues.map(({ path }) => path)).toEqual(
      expect.arrayContaining(["limb", "massKg", "footing.0"]),
    );
  });
});
