import type { Case } from "../case/caseRecord";
import { stageAt } from "../case/standing";
import type { ExitFacts } from "../case/exitTests";
import { stoodQuietly } from "../case/observation";
import { daysBetween, type IsoDate } from "../calendar/date";
import { sideByHand } from "../foot/records/byHand";
import { frogPlane } from "../foot/frogPlane";
import { pairOf, type Limb } from "../foot/limb";
import type { FootValues } from "../foot/measures";
import type { Reading } from "../foot/records/reading";
import type { Film } from "../radiograph/filmRecord";
import { readFilm } from "../radiograph/readFilm";
import type { Visit } from "../record/visit";
import { PAD_MM } from "../shoe/specification";
import type { FootRecords } from "../visit/visitFoot";
import { defectsOf } from "./defects";

/** All that a case is judged from. */
export interface CaseRecords extends FootRecords {
  visits: readonly Visit[];
  films: readonly Film[];
}

const axisOf = ({ dorsalAngle, pasternAngle }: FootValues): number | undefined =>
  dorsalAngle && pasternAngle && dorsalAngle.value - pasternAngle.value;

/** The values a foot was left with at a visit: measured after the trim, and where that is missing, before. */
function leftAt(readings: readonly Reading[], visitId: string, limb: Limb) {
  const own = readings.filter((one) => one.visitId === visitId && one.limb === limb);
  const [before, after] = (["before", "after"] as const).map((moment) =>
    own.find((one) => one.moment === moment),
  );
  const values: FootValues = { ...before?.values, ...after?.values };
  return { before, after, values };
}

/** The widest white line that was measured round the foot, mm. */
const widestWhiteLine = (readings: readonly (Reading | undefined)[]): number | undefined => {
  const found = readings.map((reading) =>
    Object.values(reading?.walls ?? {}).flatMap(({ whiteLine }) => whiteLine ?? []),
  );
  const last = found.findLast((widths) => widths.length > 0);
  return last && Math.max(...last);
};

/** Signed visits of a foot's stage up to a day, at which it was shod or trimmed. */
export function shoeingsSince(
  records: CaseRecords,
  limb: Limb,
  since: string | undefined,
  until: string,
): Visit[] {
  if (since === undefined) return [];
  const worked = new Set(
    [...records.trims, ...records.shoes.filter(({ spec }) => spec !== undefined)]
      .filter((row) => row.limb === limb)
      .map(({ visitId }) => visitId),
  );
  return records.visits.filter(
    ({ id, date, status, job }) =>
      status === "signed" && job === undefined && date >= since && date <= until && worked.has(id),
  );
}

/**
 * What one foot of a case shows at a visit, in the stage in which it is then; with the radiographs up to a day, that of the
 * visit where none is said.
 */
export function exitFactsAt(
  one: Case,
  limb: Limb,
  visit: Visit,
  records: CaseRecords,
  until: IsoDate = visit.date,
): ExitFacts {
  const { readings, shoes } = records;
  const at = stageAt(one, limb, until);
  const { before, after, values } = leftAt(readings, visit.id, limb);
  const pair = leftAt(readings, visit.id, pairOf(limb));
  const side = {
    ...sideByHand(before?.values ?? {}, before?.side),
    ...sideByHand(after?.values ?? {}, after?.side),
  };
  const proud = after?.frogProudMm ?? before?.frogProudMm;
  const spec = shoes.find((shoe) => shoe.visitId === visit.id && shoe.limb === limb)?.spec;
  const shod = spec && spec.type !== "bare" ? spec : undefined;
  const film = records.films
    .filter(
      (one) =>
        one.limb === limb &&
        one.view === "lateral" &&
        one.date <= until &&
        (at?.since === undefined || one.date >= at.since),
    )
    .sort((a, b) => a.date.localeCompare(b.date))
    .flatMap((one) => {
      const read = readFilm(one);
      return read.ok && read.value.lateral ? [{ ...read.value.lateral, date: one.date }] : [];
    })
    .at(-1);
  const defect = defectsOf(one, limb, records).findLast(({ date }) => daysBetween(date, visit.date) >= 0);
  const inStage = records.visits.filter(
    ({ date, status }) =>
      status !== "planned" && date <= visit.date && (at?.since === undefined || date >= at.since),
  );
  return {
    dorsalAngle: values.dorsalAngle?.value,
    heelAngle: side.heelAngle?.value,
    axis: axisOf(values),
    pairAxis: axisOf(pair.values),
    ...(proud !== undefined && {
      frogGap: frogPlane({
        proud,
        thickness: shod?.thickness ?? 0,
        pad: shod && shod.pad !== "none" ? PAD_MM : 0,
      }).gap,
    }),
    whiteLine: widestWhiteLine([before, after]),
    ...(film && {
      film: {
        soleDepth: film.soleDepth?.tip,
        palmarAngle: film.palmarAngle,
        capsuleRotation: film.capsuleRotation,
        date: film.date,
      },
    }),
    ...(defect?.date === visit.date && { defect }),
    stood: inStage.flatMap(({ observed }) => stoodQuietly(observed[limb]?.seen) ?? []),
    shoeings: shoeingsSince(records, limb, at?.since, visit.date).length,
    vetAgreed: at && one.vetAgreed[`${at.stage.id} ${limb}`],
  };
}
