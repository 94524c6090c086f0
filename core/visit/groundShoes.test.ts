import { describe, expect, test } from "@jest/globals";
import { compareOnGround } from "../ground/compare";
import { claimInWords, type ClaimOnGround } from "../ground/claim";
import { GROUNDS, type GroundId } from "../ground/grounds";
import { wordingFor } from "../foot/wording";
import type { GroundClaim } from "../shoe/advice/rule";
import { asBase } from "../shoe/advice/dress";
import { SHOE_RULES } from "../shoe/advice/advise";
import { specDifferences, type Specification } from "../shoe/specification";
import {
  groundByMeasures,
  groundCaseOf,
  MOST_SHOES,
  usualShoes,
  type GroundBench,
  type GroundChoice,
} from "./groundShoes";

const WORDING = wordingFor({ unit: "mm", fraction: 16, side: "medial-lateral", leftRight: "left-right" });
const bench = (): GroundBench => {
  const made = groundByMeasures({ end: "fore", width: 127, length: 127 });
  if (!made.ok) throw new Error(made.issues[0]?.message);
  return made.value;
};

describe("a foot by two measures on the ground", () => {
  test("an ordinary shoe first, then the same otherwise: each bar, a frog pad, a broad web, bare, each once", () => {
    const { choices, measured } = bench();
    expect(choices.map(({ id }) => id)).toEqual([
      "on",
      "bare",
      "frog-pad",
      "straight-bar",
      "heart-bar",
      "egg-bar",
      "broad",
    ]);
    for (const [at, one] of choices.entries())
      for (const other of choices.slice(at + 1))
        expect(specDifferences(one.spec, other.spec)).not.toEqual([]);
    expect(measured).toBe(false);
  });

  test("is as wide and as long as it was asked for", () => {
    const made = groundByMeasures({ end: "hind", width: 118, length: 132 });
    const knots = made.ok && made.value.choices[0]?.question.foot.knots;
    if (!knots) throw new Error("no foot");
    expect(knots.wide.lateral[0] - knots.wide.medial[0]).toBeCloseTo(118, 0);
    expect(knots.toe[1] - knots.heel.medial[1]).toBeCloseTo(132, 0);
  });

  test.each([
    [20, 120, "range", "width"],
    [120, 900, "range", "length"],
    [Number.NaN, 120, "range", "width"],
    [70, 130, "out-of-order", "length"],
  ])("%s by %s mm is said: %s at its %s", (width, length, code, path) => {
    const made = groundByMeasures({ end: "fore", width, length });
    expect(!made.ok && made.issues[0]).toMatchObject({ code, path });
  });

  test("four of them are looked at unless somebody chooses, what is on first, an egg bar among them", () => {
    const ids = usualShoes(bench());
    expect(ids).toHaveLength(MOST_SHOES);
    expect(ids[0]).toBe("on");
    expect(ids).toContain("egg-bar");
  });
});

const specOf = (id: string): Specification => bench().choices.find((one) => one.id === id)!.spec;
const HORSE = { massKg: 520, fore: true };

/** A horse that wears one shoe, with another chosen by hand: as the records give them, each once. */
function wearing(on: Specification, chosen?: Specification): GroundBench {
  const { ordinary, tried, ...rest } = bench();
  const choices: GroundChoice[] = [];
  for (const [id, spec] of Object.entries({ on, chosen, "on-open": asBase(on, "open"), ordinary }))
    if (spec && !choices.some((one) => specDifferences(one.spec, spec).length === 0))
      choices.push({ id, spec, name: id, from: "otherwise", question: tried(spec) });
  return { ...rest, ordinary, tried, choices };
}

describe("what is put to the model for a proposed shoe", () => {
  test("itself against the one that is on, on each ground that the horse goes on", () => {
    const found = groundCaseOf(bench(), specOf("egg-bar"), { ...HORSE, footing: ["road", "soft arena"] });
    expect(found?.id).toBe("egg-bar");
    expect(found?.against).toBe("on");
    expect(found?.againstInWords).toBe("the shoe that is on");
    expect(found?.grounds.map(({ id }) => id)).toEqual(["concrete", "arena"]);
    expect(found?.question.standing.load.newtons).toBe(3050);
  });

  test("the one that is on is held against an ordinary shoe, or with a bar against itself open", () => {
    const broad = groundCaseOf(wearing(specOf("broad")), specOf("broad"), { ...HORSE, footing: [] });
    expect(broad?.againstInWords).toBe("an ordinary shoe");
    const bar = groundCaseOf(wearing(specOf("egg-bar")), specOf("egg-bar"), { ...HORSE, footing: [] });
    expect(bar?.againstInWords).toBe("the same one open");
  });

  test("what was chosen by hand meanwhile changes nothing of it, be it another or the ordinary one itself", () => {
    const broad = specOf("broad");
    const before = groundCaseOf(wearing(broad), broad, { ...HORSE, footing: [] });
    for (const chosen of [{ ...broad, relief: !broad.relief }, specOf("on"), broad]) {
      const after = groundCaseOf(wearing(broad, chosen), broad, { ...HORSE, footing: [] });
      expect(after?.againstInWords).toBe("an ordinary shoe");
      expect(after?.question.shoes.map(({ question }) => question)).toEqual(
        before?.question.shoes.map(({ question }) => question),
      );
    }
  });

  test("a shoe that is not there is held against none", () => {
    expect(groundCaseOf(bench(), { ...specOf("on"), width: 99 }, { ...HORSE, footing: [] })).toBeUndefined();
  });
});

/** What the model says of one shoe against the ordinary one, on some grounds. */
function claimed(id: string, claim: GroundClaim, grounds: GroundId[], x = 0): string {
  const asked = groundCaseOf(bench(), specOf(id), { ...HORSE, footing: [] })!;
  const on = grounds.map((one): ClaimOnGround => {
    const ground = GROUNDS.find((known) => known.id === one)!;
    const { standing } = asked.question;
    const [first, own] = compareOnGround(
      {
        ...asked.question,
        standing: { ...standing, stiffness: ground.stiffness, load: { ...standing.load, x } },
      },
      5,
    );
    return { ground, first, own };
  });
  return claimInWords(claim, on, WORDING);
}

describe("a reason that speaks of ground cites the model", () => {
  test("an egg bar’s posture: the same on the road with its support further back, steeper in the arena", () => {
    expect(claimed("egg-bar", "posture", ["concrete", "arena"])).toMatch(
      /^stands the same on the road, its support \d\d mm further back; stands \d\.\d° steeper in the arena, /,
    );
  });

  test("a broad web sinks less in sand and the same on the road", () => {
    expect(claimed("broad", "sink", ["sand", "concrete"])).toMatch(
      /^sinks \d mm less in deep sand; sinks the same on the road$/,
    );
  });

  test("a frog pad: the frog carries so much, and so much without", () => {
    expect(claimed("frog-pad", "frog", ["arena"])).toMatch(
      /^the frog carries \d+ % in the arena, \d+ % without$/,
    );
    expect(claimed("broad", "frog", ["concrete"])).toBe("the frog carries no more on the road");
  });

  test("a side: how much less it tilts on soft ground, nothing on firm", () => {
    expect(claimed("broad", "sides", ["concrete"], 8)).toBe("tilts no other way on the road");
    expect(claimed("egg-bar", "sides", ["arena"], 8)).toMatch(
      /^tilts (\d\.\d° (less|more)|no other way) in the arena$/,
    );
  });

  test("nothing is said where there is no answer", () => {
    expect(
      claimInWords("posture", [{ ground: GROUNDS[0]!, first: undefined, own: undefined }], WORDING),
    ).toBe("");
  });

  test("the rules about bars, pads, webs and sides claim something of the ground", () => {
    const claims = SHOE_RULES.filter(({ onGround }) => onGround).map(({ id }) => id);
    expect(claims).toEqual(
      expect.arrayContaining([
        "egg-soft",
        "egg-firm",
        "egg-run-forward",
        "low-heel-frog",
        "soft-arena",
        "one-side",
      ]),
    );
  });
});
