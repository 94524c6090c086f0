import { soleMap } from "~core/foot/survey/soleMap";
import { wordingFor } from "~core/foot/wording";
import { herdRates } from "~core/herd/herd";
import { measureFoot } from "~core/herd/measureFoot";
import { soundPair } from "~core/herd/soundFeet";
import { GENERAL_NOISE } from "~core/repeatability/repeatability";
import { findingsOf } from "~core/visit/findings";
import { highSideOfFoot } from "~core/visit/highSideOfFoot";
import { oneFootFacts } from "~core/visit/oneFoot";
import { flareLimits, plannedFlares } from "~core/trim/flares";
import { footQuestion } from "~core/trim/footQuestion";
import { questionOf, startOf, type KeptQuestion } from "~core/trim/kept";
import { planTrim } from "~core/trim/plan";
import { stageRow } from "~core/trim/stageRow";
import { planStaged } from "~core/trim/stages";
import { NO_CUT, predictTrim } from "~core/foot/parametric/predict";
import { anyQuestion } from "~core/trim/trim.fixture";
import { readLateral, type LateralPoints } from "~core/foot/lateral";
import { LIMBS } from "~core/foot/limb";
import { fitFoot, ordinaryFoot } from "~core/foot/parametric/fit";
import { sideLandmarks, soleLandmarks } from "~core/foot/parametric/landmarks";
import { growFoot } from "~core/foot/parametric/cut";
import { trimFootOf } from "~core/foot/parametric/parameters";
import { readSurvey } from "~core/foot/survey/survey";
import { normalDraw, seededRandom } from "~core/math/random";
import { readSidePhoto } from "~core/photo/readPhoto";
import loadHighs from "highs";
import { cutList } from "~core/forge/cutlist/cutList";
import { stockOfFit } from "~core/forge/fitStock";
import { patternDxf } from "~core/forge/pattern/dxf";
import { shoePattern } from "~core/forge/pattern/pattern";
import { patternPdf } from "~core/forge/pattern/pdf";
import { patternSvg } from "~core/forge/pattern/svg";
import { highsSolver } from "~core/math/programme";
import { fitShoe } from "~core/shoe/fit";
import { facts, fitQuestion } from "~core/shoe/shoe.fixture";
import { adviseShoe } from "~core/shoe/advice/advise";
import { shoeChecks } from "~core/shoe/checks";
import type { ShoeFacts } from "~core/shoe/facts";
import { chooseSizes, wantedOf, type ShoeSize } from "~core/shoe/sizes";
import { BRANCH_ENDS, SHOE_TYPES } from "~core/shoe/specification";
import { aimAt, sceneOf, truthInPicture } from "~core/simulator/scene";

export const median = (values: number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? Number.NaN;
};

export function timePrediction(): number {
  const foot = trimFootOf(fitFoot({}, ordinaryFoot("LF", { kind: "horse", massKg: 500 })).foot);
  const runs = Array.from({ length: 200 }, () => {
    const from = performance.now();
    for (let index = 0; index < 100; index++) predictTrim(foot, { ...NO_CUT, toe: index / 20 });
    return (performance.now() - from) / 100;
  });
  return median(runs);
}

/** A surveyed foot's marks: survey, outline, ratios and findings worked out anew for each small move, ms. */
export function timeSurvey(): number {
  const foot = ordinaryFoot("LF", { kind: "horse", massKg: 500 });
  const marks = soleLandmarks(foot);
  const runs = Array.from({ length: 200 }, (_, run) => {
    const from = performance.now();
    readSurvey({ ...marks, toe: [0, marks.toe[1] + run / 100] }, "LF");
    return performance.now() - from;
  });
  return median(runs);
}

/** Accuracy on simulated photographs with exact marks: the worst of what the tests hold to, as parts of their bounds. */
export function photoAccuracy() {
  const random = seededRandom(99);
  const worst = { flatDeg: 0, flatMm: 0, offDeg: 0, offMm: 0 };
  let [inside, all] = [0, 0];
  const handSd: number[] = [];
  for (let run = 0; run < 200; run++) {
    const base = ordinaryFoot(LIMBS[run % 4] ?? "LF", { kind: "horse", massKg: 400 + random() * 250 });
    const foot = {
      ...base,
      dorsalAngleDeg: base.dorsalAngleDeg + 6 * (random() - 0.5),
      dishDeg: 4 * random(),
    };
    const shared = 1 + 0.06 * Math.max(-2, Math.min(2, normalDraw(random, 0, 1)));
    const scene = sceneOf(foot, "side", { heel: shared, hairlineHeel: shared + 0.03 * (random() - 0.5) });
    const picture = (slantDeg: number) =>
      truthInPicture(
        scene,
        aimAt(scene, {
          slantDeg,
          azimuthDeg: 360 * random(),
          rollDeg: 10 * (random() - 0.5),
          distanceMm: 1500 + 1000 * random(),
          focal35: 120,
          width: 4000,
          height: 3000,
        }),
        true,
      );
    const truth = readLateral(sideLandmarks(foot, "lateral") as unknown as LateralPoints);
    const at = (slantDeg: number, handSdMm: number) => {
      const read = readSidePhoto(picture(slantDeg), handSdMm);
      if (!read.ok || !read.value.reading) throw new Error("no reading");
      return { reading: read.value.reading, bands: read.value.bands };
    };
    if (!truth.ok) throw new Error("no truth");
    const steep = at(30 * random(), 0).reading;
    const square = at(10 * random(), 0).reading;
    const slanted = at(20 * random(), 0);
    const off = (a: number, b: number, key: keyof typeof worst) =>
      (worst[key] = Math.max(worst[key], Math.abs(a - b)));
    off(steep.dorsalAngle, truth.value.dorsalAngle, "flatDeg");
    off(steep.toeLength, truth.value.toeLength, "flatMm");
    off(square.heelAngle, truth.value.heelAngle, "offDeg");
    off(square.heelLength, truth.value.heelLength, "offMm");
    for (const name of ["heelAngle", "hairlineAngle", "heelLength", "bearingLength"] as const) {
      all += 1;
      if (Math.abs(slanted.reading[name] - truth.value[name]) <= (slanted.bands[name] ?? 0) + 1e-6)
        inside += 1;
    }
    handSd.push((at(5, 1).bands["dorsalAngle"] ?? 0) / 1.96);
  }
  return { ...worst, inside: inside / all, handSd: median(handSd) };
}

const WORDING = wordingFor({ unit: "mm", fraction: 16, leftRight: "left-right", side: "inside-outside" });

/** Facts, findings, verdict and map of a foot with everything measured, median ms: what a drag works out anew. */
export function timeFindings(): number {
  const random = seededRandom(3);
  const reading = measureFoot(random, soundPair(random, "due").mine);
  const runs = Array.from({ length: 60 }, () => {
    const from = performance.now();
    const facts = oneFootFacts({ limb: "LF", reading: reading as never }, GENERAL_NOISE.value, WORDING);
    findingsOf(facts);
    highSideOfFoot(facts);
    soleMap(facts.survey, facts.marks, undefined, WORDING);
    return performance.now() - from;
  });
  return median(runs);
}

/** Rates of a herd of 200 sound feet, ms. */
export function timeHerd(): number {
  const from = performance.now();
  herdRates({ kind: "sound", n: 200, seed: 1, when: "fresh" }, WORDING);
  return performance.now() - from;
}

/** Plans of a hundred different feet, one after the other, ms each. */
export function timePlan(): number {
  const random = seededRandom(5);
  const questions = Array.from({ length: 100 }, () => anyQuestion(random)).filter(
    ({ frontBack }) => frontBack !== "live-sole",
  );
  const runs = Array.from({ length: 10 }, () =>
    questions.map((question) => {
      const from = performance.now();
      planTrim(question);
      return performance.now() - from;
    }),
  );
  return median(runs.slice(1).flat());
}

/** A neglected foot in stages by its own growth, ms. */
export function timeStages(): number {
  const grown = growFoot(ordinaryFoot("LF", { kind: "horse", massKg: 500 }), { hornMm: 40, driftDeg: 6 });
  if (!grown.ok) throw new Error("no foot");
  const kept: KeptQuestion = {
    foot: { ...grown.value, wallAboveSoleMm: { toe: 26, medial: 26, lateral: 26 } },
    lenses: { frontBack: "straight-axis", side: "even-sole" },
    finish: "barefoot",
    toeTarget: 86,
    growthPerDay: 0.2,
    driftPerDay: 0,
    from: "2026-03-01",
    hemisphere: "north",
  };
  return median(
    Array.from({ length: 40 }, () => {
      const from = performance.now();
      const staged = planStaged(questionOf(kept, startOf(kept)));
      if (staged.ok) stageRow(kept, staged.value.part.handCuts, false);
      return performance.now() - from;
    }),
  );
}

/** Plan and flares of a measured foot, from its facts, ms. */
export function timePlanWithFlares(): number {
  const random = seededRandom(9);
  const feet = Array.from({ length: 60 }, () => {
    const pair = soundPair(random, "due");
    return oneFootFacts(
      {
        limb: pair.limb,
        horse: { kind: "horse", massKg: pair.massKg },
        reading: measureFoot(random, pair.mine),
        pair: { reading: measureFoot(random, pair.other) },
      },
      GENERAL_NOISE.value,
      WORDING,
    );
  });
  const context = {
    shod: true,
    lenses: { frontBack: "straight-axis", side: "even-sole" },
    margins: { shod: 0, barefoot: 2 },
  } as const;
  const runs = Array.from({ length: 8 }, () =>
    feet.map((facts) => {
      const from = performance.now();
      const { question, flexural } = footQuestion(facts, context);
      planStaged(question, flexural);
      plannedFlares(flareLimits(facts, []));
      return performance.now() - from;
    }),
  );
  return median(runs.slice(1).flat());
}

/** Facts in which most of the table speaks. */
const BUSY: Partial<ShoeFacts> = {
  work: ["jumping"],
  footing: ["firm turf", "soft arena"],
  turnout: "in a herd",
  goes: ["brushes", "pulls shoes off"],
  conditions: ["sore heels"],
  lowHeels: true,
  frogProudMm: 9,
  brokenBackDeg: 4,
  landsOn: "lateral",
  wornOn: "lateral",
  thinSole: true,
  breakoverBack: 7,
};

/** The argument about one foot in a busy case, ms. */
export function timeAdvice(): number {
  const told = facts(BUSY);
  return median(
    Array.from({ length: 200 }, () => {
      const from = performance.now();
      adviseShoe(told);
      return performance.now() - from;
    }).slice(20),
  );
}

/** A shoe fitted anew after a change, its union included: the median and the 95th percentile over all kinds, ms. */
export function timeFit(): { median: number; p95: number } {
  const times = Array.from({ length: 400 }, (_, index) => {
    const type = SHOE_TYPES[1 + (index % (SHOE_TYPES.length - 1))] ?? "plain";
    const question = fitQuestion({
      type,
      width: 20 + (index % 9),
      turn: (index % 7) - 3,
      outLateral: index % 4,
      endMedial: BRANCH_ENDS[index % BRANCH_ENDS.length] ?? "plain",
      clips: ["side medial", "side lateral"],
    });
    const from = performance.now();
    shoeChecks(fitShoe(question), { footing: ["road"], thinSole: false, wording: WORDING });
    return performance.now() - from;
  })
    .slice(40)
    .sort((a, b) => a - b);
  return { median: median(times), p95: times[Math.floor(0.95 * times.length)] ?? 0 };
}

/** The best three of two thousand sizes for one foot, by what they are, ms. */
export function timeSizes(): number {
  const random = seededRandom(11);
  const table = Array.from({ length: 2000 }, (_, index): ShoeSize => ({
    name: String(index),
    feet: index % 2 ? "fore" : "either",
    width: 90 + 100 * random(),
    length: 100 + 90 * random(),
    straight: 280 + 200 * random(),
    sectionWidth: 18 + 12 * random(),
    sectionThickness: 8 + 4 * random(),
    pattern: index % 3 ? "slim" : "square",
    toe: index % 5 ? "round" : "square",
    toeEdge: index % 4 ? "plain" : "rolled",
    clips: index % 2 ? ["toe"] : ["side medial", "side lateral"],
    material: index % 6 ? "steel" : "aluminium",
    webLateral: 18 + 12 * random(),
  }));
  const wanted = wantedOf(fitShoe(fitQuestion()), true);
  return median(
    Array.from({ length: 50 }, () => {
      const from = performance.now();
      chooseSizes(table, wanted);
      return performance.now() - from;
    }),
  );
}

/** Stock of a fitted shoe by rule and outline, median ms. */
export function timeStock(): number {
  const fits = Array.from({ length: 50 }, (_, index) => fitShoe(fitQuestion({ width: 18 + index / 10 })));
  return median(
    fits.map((fit) => {
      const from = performance.now();
      stockOfFit(fit);
      return performance.now() - from;
    }),
  );
}

/** The slowest of the three exports of a pattern, each its own median, ms. */
export async function timeExports(): Promise<number> {
  const pattern = shoePattern(fitShoe(fitQuestion()), ["Horse, left fore", "23 November 2026"]);
  const time = async (make: () => unknown) => {
    const runs: number[] = [];
    for (let run = 0; run < 9; run++) {
      const from = performance.now();
      await make();
      runs.push(performance.now() - from);
    }
    return median(runs);
  };
  return Math.max(
    await time(() => patternSvg(pattern)),
    await time(() => patternDxf(pattern)),
    await time(() => patternPdf(pattern, "A4")),
  );
}

/** 60 pieces in 12 lengths, proven, ms: ten different lists, median and slowest. */
export async function timeCutList(): Promise<{ median: number; slowest: number }> {
  const solve = highsSolver(await loadHighs());
  const random = seededRandom(60);
  const runs = Array.from({ length: 10 }, () => {
    const pieces = Array.from({ length: 12 }, () => ({ length: Math.round(260 + 120 * random()), count: 5 }));
    const from = performance.now();
    const found = cutList({ barLength: 3000, kerf: 2, pieces, offcuts: [640, 410] }, solve);
    if (!found.ok || !found.value.optimal) throw new Error("a cut list was not proven");
    return performance.now() - from;
  });
  return { median: median(runs), slowest: Math.max(...runs) };
}
