import { describe, expect, test } from "@jest/globals";
import { fitQuestion } from "../shoe/shoe.fixture";
import { wordingFor } from "../foot/wording";
import type { Specification } from "../shoe/specification";
import { compareOnGround, sensitivityOf, sweepGrounds, type GroundQuestion, type PlanStore } from "./compare";
import { GROUNDS, groundPlace, groundsOf, isSoft, nearestGround, stiffnessAt } from "./grounds";
import { groundRows, standsInWords } from "./groundRows";
import { paceLoad, PACES } from "./loads";
import { pressureField } from "./pressureField";
import { readStanding, STANDING_FIELDS, type StandingField } from "./standingFields";
import { whoPays, type WhoPays } from "./whoPays";

const WORDING = wordingFor({ unit: "mm", fraction: 16, side: "medial-lateral", leftRight: "left-right" });
const GRID_MM = 5;
type Spec = Partial<Specification>;
const EGG: Spec = { type: "egg bar", support: "heel" };
const SHOES: Record<string, Spec> = { on: {}, egg: EGG, broad: { width: 28 }, heart: { type: "heart bar" } };

const question = (stiffness: number, shoes = SHOES, more: Partial<GroundQuestion> = {}): GroundQuestion => ({
  foot: { corHeight: 47 },
  shoes: Object.entries(shoes).map(([id, spec]) => ({ id, name: id, question: fitQuestion(spec) })),
  standing: { stiffness, load: { newtons: 2600, x: 0, lead: 2 }, spring: 1500 },
  ...more,
});
const [CONCRETE, ARENA, SAND, WET_TURF] = [50, 0.02, 0.008, 0.05];

/** What is said of a shoe against the first. */
function said(id: string, stiffness: number, shoes: Record<string, Spec> = SHOES): WhoPays {
  const asked = question(stiffness, shoes);
  const stood = compareOnGround(asked, GRID_MM);
  const [first, own] = [stood[0], stood.find((one) => one.id === id)];
  if (!first?.answer || !own?.difference) throw new Error("no answer");
  return whoPays({
    spec: fitQuestion(shoes[id]).spec,
    answer: own.answer,
    difference: own.difference,
    sensitivity: sensitivityOf(asked, GRID_MM).find((one) => one.id === id),
    first: { spec: fitQuestion(shoes["on"]).spec, answer: first.answer },
    stiffness,
    wording: WORDING,
  });
}
const who = (effects: WhoPays["spared"]) => effects.map((one) => one.who);

describe("shoes side by side", () => {
  test("each is held against the first, which has no difference of its own", () => {
    const stood = compareOnGround(question(ARENA), GRID_MM);
    expect(stood.map(({ id }) => id)).toEqual(["on", "egg", "broad", "heart"]);
    expect(stood[0]?.difference).toBeUndefined();
    expect(stood[1]?.difference?.pitch).toBeCloseTo(
      (stood[1]?.answer?.pitch ?? 0) - (stood[0]?.answer?.pitch ?? 0),
      9,
    );
  });

  test("a shoe under which the frog hangs says so and hides no other", () => {
    const stood = compareOnGround(
      question(ARENA, { on: {}, thin: { thickness: 6 } }, { foot: { corHeight: 47, frogProud: 8 } }),
      GRID_MM,
    );
    expect(stood[0]?.answer).toBeDefined();
    expect(stood[1]?.issues?.[0]?.code).toBe("frog");
  });

  test("no load is said of every shoe; nothing is drawn", () => {
    const none = question(ARENA);
    const stood = compareOnGround(
      { ...none, standing: { ...none.standing, load: { newtons: 0, x: 0, lead: 0 } } },
      GRID_MM,
    );
    expect(stood.map(({ issues }) => issues?.[0]?.code)).toEqual(["load", "load", "load", "load"]);
  });

  test("plans are kept: another load on the same shoes makes none anew", () => {
    const plans: PlanStore = new Map();
    compareOnGround(question(ARENA), GRID_MM, plans);
    const kept = [...plans.values()];
    const heavier = question(ARENA);
    compareOnGround(
      { ...heavier, standing: { ...heavier.standing, load: { newtons: 3300, x: 0, lead: 0 } } },
      GRID_MM,
      plans,
    );
    expect([...plans.values()]).toEqual(kept);
    expect(plans.size).toBe(4);
  });

  test("the map carries the whole load and closes about itself", () => {
    const [stood] = compareOnGround(question(ARENA), 2);
    const { kPa, columns, rows, stepMm } = stood!.field!;
    const newtons = kPa.reduce((sum, one) => sum + (one / 1000) * stepMm * stepMm, 0);
    // A place that an edge runs through counts whole here: a little more than the load, never less.
    expect(newtons).toBeGreaterThan(2600);
    expect(newtons).toBeLessThan(2600 * 1.1);
    const border = [...kPa].filter(
      (_, at) =>
        at % columns === 0 || at % columns === columns - 1 || at < columns || at >= columns * (rows - 1),
    );
    expect(Math.max(...border)).toBe(0);
  });

  test("where two parts share a place of the map its pressure is the mean over what lies there", () => {
    const cell = { x: 1, y: 1, clearance: 0, part: "shoe" } as const;
    const field = pressureField(
      {
        cells: [
          { ...cell, area: 3 },
          { ...cell, x: 1.5, area: 1, part: "sole" },
        ],
        grid: { left: 0, back: 0, stepMm: 2 },
      },
      [100, 20],
    );
    expect(Math.max(...field.kPa)).toBeCloseTo(80, 6);
  });
});

describe("what nobody measured", () => {
  test("its span holds the answer that is shown, and is narrow on concrete", () => {
    const asked = question(ARENA);
    const shown = compareOnGround(asked, GRID_MM)[1]?.difference?.pitch ?? 0;
    const egg = sensitivityOf(asked, GRID_MM).find(({ id }) => id === "egg");
    expect(egg?.from).toBeLessThanOrEqual(shown);
    expect(egg?.to).toBeGreaterThanOrEqual(shown);
    const hard = sensitivityOf(question(CONCRETE), GRID_MM).find(({ id }) => id === "egg");
    expect(Math.max(Math.abs(hard!.from), Math.abs(hard!.to))).toBeLessThan(0.1);
  });

  test("over the grounds the egg bar’s effect grows from nothing on the road to degrees in sand", () => {
    const [, egg] = sweepGrounds(question(ARENA), GRID_MM);
    const pitches = egg!.points.map(({ difference }) => difference?.pitch ?? 0);
    expect(pitches).toHaveLength(7);
    expect(Math.abs(pitches[0]!)).toBeLessThan(0.1);
    expect(pitches.at(-1)).toBeGreaterThan(2);
    expect([...pitches].sort((a, b) => a - b)).toEqual(pitches);
  });
});

describe("should this horse wear an egg bar here?", () => {
  test("on the road: it does not change how the foot stands; support and the landing lever are told", () => {
    const { headline, kind, spared, pays } = said("egg", CONCRETE);
    expect(headline).toContain("Does not change how the foot stands on the road");
    expect(headline).toMatch(/support reaches 2\d mm further back/);
    expect(kind).toBe("lever");
    expect(who(spared)).toEqual(["Support"]);
    expect(who(pays)).toEqual(["Landing"]);
  });

  test("in the arena: steeper, with how sure; who is spared and who pays, each with its support", () => {
    const { headline, kind, spared, pays } = said("egg", ARENA);
    expect(headline).toMatch(
      /^Stands \d\.\d° steeper in the arena \(\d\.\d° to \d\.\d° as load and limb go\)\.$/,
    );
    expect(kind).toBe("posture");
    expect(who(spared)).toContain("Deep flexor, podotrochlear region");
    expect(who(pays)).toEqual(
      expect.arrayContaining(["Suspensory, superficial flexor", "Landing", "Heels of the hoof"]),
    );
    const measured = [...spared, ...pays].filter(({ support }) => support === "published");
    expect(measured.every(({ source }) => /\d{4}/.test(source ?? ""))).toBe(true);
  });

  test("the other way round every side changes over", () => {
    const { headline, spared, pays } = said("plain", ARENA, { on: EGG, plain: {} });
    expect(headline).toContain("shallower");
    expect(who(spared)).toContain("Suspensory, superficial flexor");
    expect(who(pays)).toContain("Deep flexor, podotrochlear region");
  });

  test("the same shoe twice: nothing worth telling, on any ground", () => {
    for (const ground of [CONCRETE, WET_TURF, ARENA, SAND]) {
      const { kind, spared, pays } = said("same", ground, { on: {}, same: {} });
      expect([kind, spared, pays]).toEqual(["nothing", [], []]);
    }
  });

  test("on turf sinking less is grip lost, in the arena it is tendons spared", () => {
    const broad = { on: {}, broad: { width: 34 } };
    expect(who(said("broad", WET_TURF, broad).pays)).toContain("Grip");
    expect(who(said("broad", ARENA, broad).spared)).toContain("Tendons");
  });

  test("a raise is told as made into the shoe, on the road as well", () => {
    const raised: Spec = { pad: "wedge", raise: { degrees: 3, cycles: 1, exit: "" } };
    const { pays } = said("raised", CONCRETE, { on: {}, raised });
    expect(pays.find((one) => one.who === "Raise")?.text).toContain("3.0° more");
  });

  test("a frog pad on the road hands load to the frog and takes it off the heels; posture stays", () => {
    const padded: Spec = { pad: "frog support", packing: "setting compound" };
    const { spared, pays, headline } = said("padded", CONCRETE, { on: {}, padded });
    expect(headline).toContain("Does not change");
    expect(who(spared)).toContain("Heels of the hoof");
    expect(who(pays)).toContain("Frog");
  });
});

describe("numbers behind the maps", () => {
  const names = (stiffness: number) =>
    groundRows(compareOnGround(question(stiffness), GRID_MM), isSoft(stiffness), WORDING).map(
      ({ name }) => name,
    );

  test("on firm ground posture and shares are left out, the levers stay", () => {
    expect(names(CONCRETE)).toEqual([
      "Lever in front",
      "Support behind",
      "Pull at breakover, A = 1",
      "Frog carries, by its shoe",
    ]);
    expect(names(ARENA)).toEqual(
      expect.arrayContaining(["Sinks", "Pitch, + steeper", "Heel third", "Sole carries"]),
    );
  });

  test("every row has a value of every shoe; one without an answer a dash", () => {
    const stood = compareOnGround(question(ARENA), GRID_MM);
    const rows = groundRows([...stood.slice(0, 2), undefined], true, WORDING);
    expect(rows.every(({ values }) => values.length === 3 && values[2] === "–")).toBe(true);
    expect(rows.find(({ name }) => name.startsWith("Pull"))?.values[0]).toBe("1.00");
  });

  test("how the first stands: four lines on soft ground, the levers alone on firm", () => {
    const [first] = compareOnGround(question(ARENA), GRID_MM);
    expect(standsInWords(first!.answer!, true, WORDING)).toHaveLength(4);
    expect(standsInWords(first!.answer!, false, WORDING)).toEqual([
      expect.stringMatching(/^Front : support \d\d : \d\d, \d\d mm to breakover$/),
    ]);
  });
});

describe("grounds and loads", () => {
  test("run from hard to soft; up to 0.05 is soft", () => {
    const all = GROUNDS.map(({ stiffness }) => stiffness);
    expect([...all].sort((a, b) => b - a)).toEqual(all);
    expect(GROUNDS.filter(({ stiffness }) => isSoft(stiffness)).map(({ id }) => id)).toEqual([
      "wet-turf",
      "arena",
      "sand",
    ]);
  });

  test("a place on their scale and its stiffness go both ways; past its ends they hold", () => {
    for (const [at, { stiffness }] of GROUNDS.entries()) {
      expect(groundPlace(stiffness)).toBeCloseTo(at, 9);
      expect(stiffnessAt(at)).toBe(stiffness);
    }
    for (const place of [0.5, 2.3, 5.7]) expect(groundPlace(stiffnessAt(place))).toBeCloseTo(place, 1);
    expect(groundPlace(1000)).toBe(0);
    expect(stiffnessAt(9)).toBe(0.008);
  });

  test("a stiffness is called by the ground nearest to it, a horse’s grounds by its footing", () => {
    expect(nearestGround(0.025).id).toBe("arena");
    expect(groundsOf(["soft arena", "road"]).map(({ id }) => id)).toEqual(["concrete", "arena"]);
    expect(groundsOf([]).map(({ id }) => id)).toEqual(["concrete"]);
  });

  test("a horse of 520 kg stands with some 1500 N on a fore foot, walks with twice that, a hind carries less", () => {
    expect(paceLoad("standing", 520, true)).toBe(1500);
    expect(paceLoad("walk", 520, true)).toBe(3050);
    for (const pace of PACES) expect(paceLoad(pace, 520, false)).toBeLessThan(paceLoad(pace, 520, true));
  });

  test.each([
    ["newtons", "0", "Without a load nothing sinks"],
    ["newtons", "90000", "lies between 100 and 15000 N"],
    ["stiffness", "2000", "lies between 0.001 and 1000"],
    ["stiffness", "-1", "lies between"],
    ["spring", "soft", "a number in N mm/°"],
    ["lead", "", "a number in mm"],
  ] as [StandingField, string, string][])("%s typed as “%s” is said at its place", (field, text, says) => {
    const read = readStanding(field, text);
    expect(!read.ok && read.issues[0]?.path).toBe(field);
    expect(!read.ok && read.issues[0]?.message).toContain(says);
  });

  test("a comma, a minus sign and what is usual are read", () => {
    expect(readStanding("stiffness", "0,02")).toEqual({ ok: true, value: 0.02 });
    expect(readStanding("x", "−5")).toEqual({ ok: true, value: -5 });
    for (const field of Object.keys(STANDING_FIELDS) as StandingField[])
      expect(readStanding(field, String(STANDING_FIELDS[field].to)).ok).toBe(true);
  });
});
