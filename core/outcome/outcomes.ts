import type { Limb } from "../foot/limb";
import { surveyOfRecord } from "../foot/records/keptSurvey";
import { presentFinds, type Look } from "../foot/records/look";
import type { Reading } from "../foot/records/reading";
import { landingOf } from "../gait/watching";
import type { WatchingRecord } from "../gait/watchingRecord";
import type { Noise } from "../repeatability/repeatability";
import type { ShoeRecord } from "../shoe/shoeRecord";
import type { Specification } from "../shoe/specification";
import { counted } from "../units/counted";

/** What is compared of a foot before and after shoes of one kind; smaller is better in all of them. */
export const OUTCOME_MEASURES = {
  axis: "axis",
  heels: "heels forward",
  halves: "halves",
  landing: "landing",
  lost: "lost shoes",
  finds: "size of finds",
} as const;
export type OutcomeMeasure = keyof typeof OUTCOME_MEASURES;
export const OUTCOME_MEASURE_NAMES = Object.keys(OUTCOME_MEASURES) as OutcomeMeasure[];

/** Everything of one horse that tells what its shoes did. */
export interface OutcomeRecords {
  readings: readonly Reading[];
  shoes: readonly ShoeRecord[];
  watchings: readonly WatchingRecord[];
  looks: readonly Look[];
}

/** On how many feet a measure was better, the same within the hand's noise, or worse. */
export interface OutcomeRow {
  measure: OutcomeMeasure;
  better: number;
  same: number;
  worse: number;
}

/** What became of feet that wore shoes of one kind. */
export interface Outcome {
  feet: number;
  cycles: number;
  rows: OutcomeRow[];
}

/** From fewer feet than this nothing is said without saying so. */
export const FEW_FEET = 3;

type State = Partial<Record<OutcomeMeasure, number>>;

/** A foot as it came to a visit: what of it was measured, watched and found, each as its distance from right. */
function stateAt(records: OutcomeRecords, limb: Limb, visitId: string): State {
  const here = <T extends { visitId: string; limb: Limb }>(rows: readonly T[]) =>
    rows.find((one) => one.visitId === visitId && one.limb === limb);
  const reading = records.readings.find(
    (one) => one.visitId === visitId && one.limb === limb && one.moment === "before",
  );
  const watching = records.watchings.find(
    (one) => one.visitId === visitId && one.limb === limb && one.look === "before",
  );
  const look = here(records.looks);
  const found = here(records.shoes)?.found;
  const { dorsalAngle, pasternAngle } = reading?.values ?? {};
  const { survey } = surveyOfRecord(reading?.sole ?? {}, limb, undefined);
  const { heelForward, halfWidth } = survey;
  const sizes = presentFinds(look).flatMap(([, { lengthMm }]) => (lengthMm === undefined ? [] : [lengthMm]));
  return {
    ...(dorsalAngle && pasternAngle && { axis: Math.abs(dorsalAngle.value - pasternAngle.value) }),
    ...(heelForward.medial !== undefined &&
      heelForward.lateral !== undefined && { heels: Math.max(heelForward.medial, heelForward.lateral) }),
    ...(halfWidth.medial !== undefined &&
      halfWidth.lateral !== undefined && { halves: Math.abs(halfWidth.medial - halfWidth.lateral) }),
    ...(watching?.lands && { landing: landingOf(watching.lands).side ? 1 : 0 }),
    ...(found?.state && { lost: found.state === "lost" ? 1 : 0 }),
    ...(sizes.length > 0 && { finds: Math.max(...sizes) }),
  };
}

/** A change by less than this is the hand's, in the measure's own unit. */
const noiseOfMeasure = (measure: OutcomeMeasure, { angleDeg, lengthMm }: Noise): number =>
  measure === "axis"
    ? angleDeg * Math.SQRT2
    : measure === "landing" || measure === "lost"
      ? 0.5
      : measure === "halves"
        ? lengthMm * Math.SQRT2
        : lengthMm;

/** How one foot did over a run of shoes of one kind: its cycles, and each measure's change with its sign. */
interface FootRun {
  cycles: number;
  change: Partial<Record<OutcomeMeasure, "better" | "same" | "worse">>;
}

/**
 * The runs of a foot in shoes of one kind: from the visit at which the first was nailed on to the visit at which the last
 * came off. It is compared as it came to both, so that both stand at the end of a cycle.
 */
function runsOf(
  records: OutcomeRecords,
  limb: Limb,
  like: (spec: Specification, shoe: ShoeRecord) => boolean,
  noise: Noise,
): FootRun[] {
  const shoes = records.shoes
    .filter((one) => one.limb === limb && one.spec)
    .sort((a, b) => a.date.localeCompare(b.date));
  const isLike = (shoe: ShoeRecord | undefined) => shoe?.spec !== undefined && like(shoe.spec, shoe);
  const runs: FootRun[] = [];
  for (let from = 0; from < shoes.length; from++) {
    if (!isLike(shoes[from]) || isLike(shoes[from - 1])) continue;
    let to = from;
    while (isLike(shoes[to])) to += 1;
    // What is still on the foot has not shown yet what it did.
    const last = to < shoes.length ? to : shoes.length - 1;
    const [first, off] = [shoes[from], shoes[last]];
    if (!first || !off || last === from) continue;
    const [was, now] = [stateAt(records, limb, first.visitId), stateAt(records, limb, off.visitId)];
    const change: FootRun["change"] = {};
    for (const measure of OUTCOME_MEASURE_NAMES) {
      const [a, b] = [was[measure], now[measure]];
      if (a === undefined || b === undefined) continue;
      const by = b - a;
      change[measure] = Math.abs(by) <= noiseOfMeasure(measure, noise) ? "same" : by < 0 ? "better" : "worse";
    }
    runs.push({ cycles: last - from, change });
  }
  return runs;
}

/**
 * What became of the feet of some horses that wore shoes of one kind, by the user's own records. Each foot counts once,
 * by its latest run. `horses` hold all their visits; `like` says which shoes are of the kind.
 */
export function outcomesOf(
  horses: readonly OutcomeRecords[],
  like: (spec: Specification, shoe: ShoeRecord) => boolean,
  noise: Noise,
): Outcome {
  const rows = new Map<OutcomeMeasure, OutcomeRow>();
  let [feet, cycles] = [0, 0];
  for (const records of horses)
    for (const limb of new Set(records.shoes.map((one) => one.limb))) {
      const runs = runsOf(records, limb, like, noise);
      const latest = runs.at(-1);
      if (!latest) continue;
      feet += 1;
      cycles += runs.reduce((sum, run) => sum + run.cycles, 0);
      for (const measure of OUTCOME_MEASURE_NAMES) {
        const change = latest.change[measure];
        if (change === undefined) continue;
        const row = rows.get(measure) ?? { measure, better: 0, same: 0, worse: 0 };
        row[change] += 1;
        rows.set(measure, row);
      }
    }
  return {
    feet,
    cycles,
    rows: OUTCOME_MEASURE_NAMES.flatMap((measure) => rows.get(measure) ?? []),
  };
}

/** "On 7 feet over 19 cycles: axis better on 3, same on 4; landing worse on 1"; empty where there are none. */
export function outcomeInWords({ feet, cycles, rows }: Outcome): string {
  if (feet === 0) return "";
  const said = rows
    .filter(({ better, worse }) => better + worse > 0)
    .map(({ measure, better, same, worse }) => {
      const parts = [
        better > 0 ? `better on ${better}` : "",
        same > 0 ? `same on ${same}` : "",
        worse > 0 ? `worse on ${worse}` : "",
      ].filter(Boolean);
      return `${OUTCOME_MEASURES[measure]} ${parts.join(", ")}`;
    });
  const same = rows.filter(({ better, worse }) => better + worse === 0);
  const rest =
    same.length > 0 ? [`${same.map(({ measure }) => OUTCOME_MEASURES[measure]).join(", ")} the same`] : [];
  const what = [...said, ...rest].join("; ") || "nothing of it measured before and after";
  const few = feet < FEW_FEET ? `Only ${counted(feet, "foot", "feet")}: no more than a hint. ` : "";
  return `${few}On ${counted(feet, "foot", "feet")} over ${counted(cycles, "cycle")}: ${what}.`;
}
