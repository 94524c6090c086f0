import { describe, expect, test } from "@jest/globals";
import { ground } from "./ground";

const tools = { solve: () => Promise.reject(new Error("no programme here")), seconds: () => 0 };
const asked = (more: object = {}) => ({
  foot: { length: 130, width: 128 },
  shoe: { kind: "plain" },
  ground: { stiffness: 0.02 },
  load: { newtons: 2200 },
  ...more,
});
interface Answer {
  sink: number;
  pitch: number;
  roll: number;
  share: Record<"toe" | "middle" | "heel" | "medial" | "lateral" | "frog" | "sole", number>;
  hoof: { toePeak: number; heelPeak: number };
}
const answer = (more: object = {}): Answer => {
  const input = ground.input.parse(asked(more));
  const found = ground.run(input, tools as never);
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return ground.output.parse(found.value) as Answer;
};

describe("calc ground", () => {
  test("what is not given is usual: the same as spelt out", () => {
    const spelt = answer({
      foot: { length: 130, width: 128, heelWidth: 0.68 * 128 },
      shoe: { kind: "plain", web: 22, webLateral: 22, thickness: 10, heelExtension: 0, barBehind: 30 },
      frog: { recess: 3, filled: false },
      load: { newtons: 2200, x: 0, lead: 0 },
      spring: 1500,
    });
    expect(answer()).toEqual(spelt);
  });

  test("a load to lateral rolls it there, a lead forward makes it steeper, a stiffer limb less of both", () => {
    const aside = answer({ load: { newtons: 2200, x: 8 } });
    expect(aside.roll).toBeGreaterThan(0.5);
    expect(aside.share.lateral).toBeGreaterThan(0.5);
    expect(answer({ load: { newtons: 2200, lead: 8 } }).pitch).toBeGreaterThan(answer().pitch);
    expect(answer({ load: { newtons: 2200, x: 8 }, spring: 1e6 }).roll).toBeLessThan(aside.roll / 3);
  });

  test.each([
    ["no load", { load: { newtons: 0 } }],
    ["a stiffness of nothing", { ground: { stiffness: 0 } }],
    ["a shoe that nobody knows", { shoe: { kind: "spring" } }],
    ["a key that nobody knows", { more: 1 }],
  ])("%s is refused by the schema", (_what, more) => {
    expect(ground.input.safeParse(asked(more)).success).toBe(false);
  });

  test.each([
    ["foot.heelWidth", { foot: { length: 130, width: 100, heelWidth: 120 } }],
    ["frog.recess", { frog: { recess: -15 } }],
    ["ground.stiffness", { ground: { stiffness: 1e5 } }],
  ])("what makes no sense is said at %s", (path, more) => {
    const found = ground.run(ground.input.parse(asked(more)), tools as never);
    expect(!found.ok && found.issues[0]?.path).toBe(path);
  });
});
