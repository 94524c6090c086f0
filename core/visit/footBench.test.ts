import { describe, expect, test } from "@jest/globals";
import { ordinaryFoot } from "../foot/parametric/fit";
import { soleLandmarks } from "../foot/parametric/landmarks";
import { recordOfMarks } from "../foot/records/keptSurvey";
import { readingSchema, type Moment, type Reading } from "../foot/records/reading";
import { corYOf } from "../foot/parametric/parameters";
import { wordingFor } from "../foot/wording";
import { footPlace } from "../record/footRecords";
import { HORSE as horse } from "../record/horse.fixture";
import { DEFAULT_SETTINGS } from "../record/settings";
import { blankVisit, type Visit } from "../record/visit";
import { trimSchema, type Trim } from "../trim/trimRecord";
import { footBench, type FootBenchQuestion } from "./footBench";
import { visitFoot } from "./visitFoot";

const wording = wordingFor(DEFAULT_SETTINGS);
const NOW: Visit = { id: "now", horseId: "h", date: "2026-11-10", status: "open", ...blankVisit() };
const angles = {
  dorsalAngle: { value: 46, source: "gauge" },
  pasternAngle: { value: 50, source: "gauge" },
} as const;
const marks = recordOfMarks(
  Object.fromEntries(
    Object.entries(
      soleLandmarks({ ...ordinaryFoot("LF", horse), heelRunMm: 16, curlMm: { medial: 0, lateral: 0 } }),
    ).map(([mark, [x, y]]) => [mark, { x, y }]),
  ),
  "calliper",
);
const reading = (moment: Moment, part: Partial<Reading> = {}): Reading =>
  readingSchema.parse({ ...footPlace("readings", NOW, "LF", moment), ...part });

const bench = (
  kept: Reading[],
  { trims = [], ...part }: Partial<FootBenchQuestion> & { trims?: Trim[] } = {},
  settings = DEFAULT_SETTINGS,
) => {
  const records = { readings: kept, trims, watchings: [], looks: [], photos: [], shoes: [] };
  const moment = part.moment ?? "before";
  const foot = visitFoot(NOW, "LF", records);
  return footBench(
    {
      visit: NOW,
      moment,
      horse,
      visits: [NOW],
      foot,
      pair: visitFoot(NOW, "RF", records),
      reading: foot.reading[moment] ?? reading(moment),
      typed: foot.values[moment],
      ...part,
    },
    settings,
    wording,
  );
};

describe("footBench", () => {
  test("nothing measured: an ordinary foot as a guess, and each lens says what it wants", () => {
    const found = bench([], { second: "live-sole" });
    expect([found.unmeasured, found.surveyed, found.sole.aims]).toEqual([true, false, []]);
    expect(found.aims.map(({ name, second, said, wants }) => [name, second, said, wants])).toEqual([
      ["Straight axis", false, undefined, "dorsal and pastern angle"],
      ["Live sole", true, undefined, "wall above the live sole at toe and heels"],
    ]);
  });

  test("what is typed counts before it is kept", () => {
    const found = bench([], { typed: angles });
    expect(found.unmeasured).toBe(false);
    expect(found.aims[0]?.said).toBe("dorsal against pastern −4.0°");
  });

  test("even halves on a foot whose sole was not surveyed is an estimate, and drawn; surveyed it lies at its own centre", () => {
    const guessed = bench([reading("before", { values: angles })], { second: "even-halves" });
    expect(guessed.aims[1]?.estimated).toBe(true);
    expect(guessed.sole.aims).toHaveLength(1);
    const found = bench([reading("before", { values: angles, sole: marks })], { second: "even-halves" });
    expect([found.surveyed, found.aims[1]?.estimated]).toEqual([true, undefined]);
    const { drawn, survey } = found.facts;
    const aim = found.aims[1]?.toeY ?? NaN;
    expect(found.sole.aims).toMatchObject([{ name: "even halves", second: true }]);
    expect(found.sole.aims[0]?.y).toBeCloseTo(aim + (survey.cor?.median ?? NaN) - corYOf(drawn), 9);
  });

  test("the same lens twice is one", () => {
    expect(bench([], { second: "straight-axis" }).aims).toHaveLength(1);
  });

  test("heels back, chosen for the horse, says where the heels lie", () => {
    const chosen = { ...horse, lenses: { frontBack: "heels-back" as const } };
    const found = bench([reading("before", { sole: marks })], { horse: chosen });
    expect(found.aims[0]?.said).toBe("heels ahead of the sulcus’s back 16 mm");
    expect(bench([], { horse: chosen }).aims[0]?.wants).toBe("both heels, on the sole");
  });

  test("a bare foot is held against the user's lens for bare feet", () => {
    const bare = { ...horse, finish: "trim" as const };
    expect(bench([], { horse: bare }).lenses.frontBack).toBe("live-sole");
  });

  test("after the trim the foot as it was agreed lies under it, and only then", () => {
    const before = reading("before", { values: angles });
    const plan: Trim["plan"] = {
      cuts: { toe: 5, heelMedial: 0, heelLateral: 0, dress: 0 },
      by: "lenses",
      agreed: true,
      frontBack: "straight-axis",
      side: "even-sole",
      finish: "shod",
      leaves: {
        dorsalAngle: 49,
        axis: -1,
        roll: 0,
        front: 60,
        support: 60,
        toeLength: 84,
        heelHeightMedial: 40,
        heelHeightLateral: 40,
      },
      shoe: { elevate: 0, heelRaise: 0, breakoverBack: 0, heelExtension: 0 },
    };
    const trim = trimSchema.parse({ ...footPlace("trims", NOW, "LF", "before"), plan });
    expect(bench([before], { trims: [trim] }).agreed).toBeUndefined();
    const after = bench([before], { trims: [trim], moment: "after" });
    // Five millimetres off the toe stand the wall up.
    expect(after.agreed?.dorsalAngleDeg).toBeGreaterThan(46);
    const open = trimSchema.parse({ ...trim, plan: { ...plan, agreed: false } });
    expect(bench([before], { trims: [open], moment: "after" }).agreed).toBeUndefined();
  });
});
