import { looksTaken } from "./beats";
import { addDays, daysBetween, type IsoDate } from "~core/calendar/date";
import { capWeeksOf, footOutlook, horseDue, type FootVisit } from "~core/cycle/horseDue";
import { seasonDays } from "~core/calendar/season";
import type { Case } from "~core/case/caseRecord";
import { LIMBS } from "~core/foot/limb";
import { MEASURE_FACTS, MEASURES, type FootValues, type Measure } from "~core/foot/measures";
import { cutFoot, growFoot, type Growth } from "~core/foot/parametric/cut";
import { bearingLengthOf, type FootParameters } from "~core/foot/parametric/parameters";
import { normalDraw, seededRandom, type Random } from "~core/math/random";
import { inCare, isShod, type Horse } from "~core/record/horse";
import { casesOf, HEEL_GAPS, STOOD_QUIETLY } from "./cases";
import type { ShoeingLife } from "~core/shoe/facts";
import { nothingRead, readingId, type Moment, type Reading } from "~core/foot/records/reading";
import { DEFAULT_ROUNDS, DEFAULT_SETTINGS } from "~core/record/settings";
import { noRecords, type Records } from "~core/record/tables";
import { SHEET_STEPS, trimId, type Trim } from "~core/trim/trimRecord";
import { blankVisit, type Visit } from "~core/record/visit";
import { footPace, settled, startingFoot } from "./feet";
import { isSurveyed, lookedAtFoot, surveyedSole, watchedDone, watchedFoot } from "./footRead";
import { forgedLog, rack } from "./forged";
import { practised } from "./practised";
import { shodFoot } from "./shod";
import { sound } from "./sound";
import { storyFoot } from "./stories";
import { chooseCuts, plannedTrim, takenByHand } from "./trimmed";
import { BOOKED, HAPPENED, HOME } from "./booked";
import { ROUND, type HorsePlan } from "./yards";

const YEARS_OF_VISITS = 2;
/** Visits of which the shoes are kept: enough that it is seen what they did. */
const SHOES_KEPT = 6;
/** Noise of a practised hand: within-subject sd. The same as the general repeatability. */
const MEASURE_SD = { angle: 0.54, length: 1.1 };
/** More at the inner heel than meant: this farrier's habit, there to be found. */
const INNER_HEEL_HABIT_MM = 0.9;
const ALL_TICKED = Object.fromEntries(SHEET_STEPS.map((step) => [step, true])) as Trim["ticks"];
export interface DemoProgress {
  done: number;
  of: number;
}

/** Keeps the forge's chance apart from that of the horses. */
const FORGE_SEED = 9973;
/** Seed of the practice, which disturbs nothing else of the round. */
const PRACTICE_SEED = 509;

/**
 * The demo round: two years of visits to eight yards, ending about `today`. The same seed and day give the same
 * records. Every foot grows, is measured with noise and cut with error by the parametric foot, so that forecasts
 * and trends have a truth behind them.
 */
export function makeDemoRound(
  today: IsoDate,
  seed: number,
  report: (progress: DemoProgress) => void = () => undefined,
): Records {
  const records = noRecords();
  const of = ROUND.reduce((sum, yard) => sum + yard.horses.length, 0);
  for (const [yardIndex, { horses, life, ...yard }] of ROUND.entries()) {
    const yardId = `demo-yard-${yardIndex + 1}`;
    records.yards.push({ id: yardId, ...yard });
    for (const [index, plan] of horses.entries()) {
      const random = seededRandom(seed + yardIndex * 1009 + index * 31);
      const hand = seededRandom(seed + yardIndex * 2003 + index * 47 + 1);
      addHorse(
        records,
        `${yardId}-horse-${index + 1}`,
        yardId,
        { ...plan, life: { ...life, ...plan.life } },
        today,
        random,
        hand,
      );
      report({ done: records.horses.length, of });
    }
  }
  records.forged.push(...forgedLog(today, seededRandom(seed + FORGE_SEED)));
  records.steel.push(...rack());
  records.tries.push(...practised(today, seed + PRACTICE_SEED));
  records.appointments.push(
    ...BOOKED.map((one, index) => ({ id: `demo-booked-${index + 1}`, ...one(today) })),
  );
  for (const [index, { horse, daysAgo, ...call }] of HAPPENED.entries()) {
    const horseId = records.horses.find(({ name }) => name === horse)?.id;
    if (horseId !== undefined)
      records.calls.push({
        id: `demo-call-${index + 1}`,
        horseId,
        date: addDays(today, -daysAgo),
        note: "",
        ...call,
      });
  }
  records.settings.push({ ...DEFAULT_SETTINGS, rounds: { ...DEFAULT_ROUNDS, home: HOME } });
  return records;
}

function addHorse(
  records: Records,
  id: string,
  yardId: string,
  plan: HorsePlan & { life: ShoeingLife },
  today: IsoDate,
  random: Random,
  hand: Random,
): void {
  const horse: Horse = {
    id,
    yardId,
    name: plan.name,
    kind: plan.kind,
    massKg: plan.massKg,
    use: plan.use,
    finish: plan.finish,
    habits: plan.habits ?? "",
    notes: plan.notes ?? "",
    ...(plan.capWeeks !== undefined && { capWeeks: plan.capWeeks }),
    life: {
      ...plan.life,
      work: [...plan.life.work],
      footing: [...plan.life.footing],
      goes: [...plan.life.goes],
      conditions: [...plan.life.conditions],
    },
    ...(plan.showIn !== undefined && { showOn: addDays(today, plan.showIn) }),
  };
  records.horses.push(horse);
  const days = visitDays(horse, plan, today, random);
  const cases = casesOf(plan.name, id, today, days);
  records.cases.push(...cases);
  const cared = inCare(horse, cases);
  const feet = LIMBS.map((limb) => {
    const foot = startingFoot(horse, plan, limb, random);
    return { limb, foot, start: foot, pace: footPace(horse, foot, random), history: [] as FootVisit[] };
  });
  let lastDay: IsoDate | undefined;
  let visit: Visit | undefined;
  for (const date of days) {
    const visitId = `${id}-${date}`;
    const read = (foot: FootParameters, moment: Moment): Reading => {
      const reading = readingOf(
        storyFoot(foot, plan.story),
        { visitId, horseId: id, limb: foot.limb, moment, date },
        random,
      );
      records.readings.push(reading);
      return reading;
    };
    for (const own of feet) {
      if (lastDay) own.foot = sound(growFoot(own.foot, grownBetween(own.pace, lastDay, date)));
      const before = read(own.foot, "before");
      if (isSurveyed(days, date)) {
        Object.assign(before, surveyedSole(storyFoot(own.foot, plan.story), plan.story, hand));
        const place = { visit: { id: visitId, horseId: id, date }, limb: own.limb };
        const watched = watchedFoot(place, own.foot, plan.story, hand);
        const toGrow = own.pace.growth * seasonDays(date, days.at(-1) ?? date, "north");
        records.watchings.push(watched, watchedDone(watched));
        records.looks.push(lookedAtFoot(place, own.foot, watched, plan.story, toGrow));
      }
      const meant = chooseCuts(own.foot, horse);
      const isPlanned = isSurveyed(days, date) && !plan.story && !plan.trouble;
      const cuts = takenByHand(meant, isPlanned ? INNER_HEEL_HABIT_MM : 0, random);
      const decided = isPlanned ? plannedTrim(horse, own.foot, before, meant) : undefined;
      own.foot = settled(sound(cutFoot(own.foot, cuts)).foot, own.start, plan);
      records.trims.push({
        id: trimId(visitId, own.limb),
        visitId,
        horseId: id,
        limb: own.limb,
        date,
        cuts,
        ticks: decided ? { ...ALL_TICKED } : {},
        past: {},
        ...(decided && { plan: decided }),
      });
      if (days.indexOf(date) >= days.length - SHOES_KEPT && isShod(horse, own.limb))
        records.shoes.push(
          shodFoot({ visit: { id: visitId, horseId: id, date }, limb: own.limb }, cared, {
            last: lastDay,
            state: isSurveyed(days, date) ? plan.foundState?.[own.limb] : undefined,
          }),
        );
      const after = read(own.foot, "after");
      const gap = cases[0]?.feet.includes(own.limb)
        ? HEEL_GAPS[plan.name]?.[days.length - 1 - days.indexOf(date)]
        : undefined;
      const wall = after.values.dorsalAngle?.value;
      if (gap !== undefined && wall !== undefined)
        after.side = { heelAngle: { value: wall - gap, source: "gauge" } };
      own.history.push({ date, before: before.values, after: after.values });
    }
    const outlooks = feet.map(({ limb, history }) => footOutlook(cared, limb, history, DEFAULT_SETTINGS));
    visit = {
      id: visitId,
      horseId: id,
      date,
      status: "signed",
      signedAt: `${date}T15:00:00Z`,
      ...blankVisit(),
      ...(isSurveyed(days, date) && {
        looks: looksTaken(records.visits.length, plan.story !== undefined || plan.trouble !== undefined),
      }),
      next: horseDue(cared, date, outlooks, DEFAULT_SETTINGS),
      observed: observedAt(plan.name, cases, days.length - 1 - days.indexOf(date)),
    };
    records.visits.push(visit);
    lastDay = date;
  }
  if (visit) visit.watch = plan.watch ?? "";
  if (plan.today !== undefined)
    records.visits.push({
      id: `${id}-${today}`,
      horseId: id,
      date: today,
      at: plan.today,
      status: "planned",
      ...blankVisit(),
    });
}

/** How a horse with a case answered on its feet at the visit so many before its last. */
function observedAt(name: string, cases: readonly Case[], back: number): Visit["observed"] {
  const quiet = STOOD_QUIETLY[name];
  if (quiet === undefined) return {};
  return Object.fromEntries(
    cases.flatMap(({ feet }) =>
      feet.map((limb) => [limb, { seen: [back < quiet ? "settles on it" : "shifts off it"], note: "" }]),
    ),
  ) as Visit["observed"];
}

/** Days of the visits, oldest first: the last one so far back that the horse is now as late as its plan says. */
function visitDays(horse: Horse, plan: HorsePlan, today: IsoDate, random: Random): IsoDate[] {
  const interval = capWeeksOf(horse, DEFAULT_SETTINGS) * 7;
  const days = [addDays(today, -Math.max(3, interval + (plan.late ?? 0)))];
  const first = addDays(today, -Math.round((plan.years ?? YEARS_OF_VISITS) * 365));
  for (;;) {
    const before = addDays(days[0] as IsoDate, -Math.round(interval + normalDraw(random, 0, 2.5)));
    if (before < first) return days;
    days.unshift(before);
  }
}

/** Horn and drift of a foot between two days. */
const grownBetween = (pace: { growth: number; drift: number }, from: IsoDate, to: IsoDate): Growth => ({
  hornMm: pace.growth * seasonDays(from, to, "north"),
  driftDeg: pace.drift * daysBetween(from, to),
});

function readingOf(
  foot: FootParameters,
  place: Pick<Reading, "visitId" | "horseId" | "limb" | "moment" | "date">,
  random: Random,
): Reading {
  const truth: Record<Measure, number> = {
    dorsalAngle: foot.dorsalAngleDeg,
    pasternAngle: foot.pasternAngleDeg,
    toeLength: foot.toeLengthMm,
    heelHeightMedial: foot.heelHeightMm.medial,
    heelHeightLateral: foot.heelHeightMm.lateral,
    bearingLength: bearingLengthOf(foot),
    width: foot.widthMm,
  };
  const values: FootValues = {};
  for (const measure of MEASURES) {
    const { kind, usualSource } = MEASURE_FACTS[measure];
    const read = normalDraw(random, truth[measure], MEASURE_SD[kind]);
    values[measure] = {
      value: kind === "angle" ? Math.round(2 * read) / 2 : Math.max(2, Math.round(read)),
      source: usualSource,
    };
  }
  const id = readingId(place.visitId, place.limb, place.moment);
  return { id, ...place, ...nothingRead(), values: values as Reading["values"] };
}
