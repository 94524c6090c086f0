import type { IsoDate } from "../calendar/date";
import { caseName, stagesOf, stagesWithoutExit, type Case, type CaseStage } from "../case/caseRecord";
import { answerExit, type ExitAnswer, type ExitTest } from "../case/exitTests";
import { prescriptionOn, stageAt } from "../case/standing";
import type { Limb } from "../foot/limb";
import { sentenceCase, type Wording } from "../foot/wording";
import type { Visit } from "../record/visit";
import { exitFactsAt, shoeingsSince, type CaseRecords } from "./exitFacts";
import { counted } from "../units/counted";

/** The tests of a foot's stage at one visit. */
export interface TestedVisit {
  date: IsoDate;
  answers: { test: ExitTest; answer: ExitAnswer }[];
}

/** One foot of a case as it stands. */
export interface FootStanding {
  limb: Limb;
  /** In what stage it is, since when; undefined where the plan has none for it. */
  stage?: CaseStage;
  since?: IsoDate;
  next?: CaseStage;
  /** Which of how many. */
  at: number;
  of: number;
  shoeings: number;
  /** At every visit of the stage, oldest first. */
  tested: TestedVisit[];
  /** What counts now: the last of these, or the one before it while a visit is under way that has not measured all. */
  latest?: TestedVisit;
  /** Every test met at the last visit: it can leave the stage. */
  ready: boolean;
  /** Its shoeings are worn through and the tests are not met. */
  overdue: boolean;
}

/** A case at a glance. */
export interface CaseStanding {
  one: Case;
  name: string;
  feet: FootStanding[];
  prescription: ReturnType<typeof prescriptionOn>;
  /** Stages that are asked for an exit. */
  withoutExit: CaseStage[];
}

/** Where a case stands on a day, worked out from what was measured at its visits up to then. */
export function caseStanding(one: Case, records: CaseRecords, day: IsoDate, wording: Wording): CaseStanding {
  const visits = records.visits
    .filter(({ date, status }) => status !== "planned" && date <= day)
    .sort((a, b) => a.date.localeCompare(b.date));
  return {
    one,
    name: caseName(one),
    feet: one.feet.map((limb) => footStanding(one, limb, visits, records, day, wording)),
    prescription: one.status === "open" ? prescriptionOn(one, day) : undefined,
    withoutExit: stagesWithoutExit(one.stages),
  };
}

function footStanding(
  one: Case,
  limb: Limb,
  visits: readonly Visit[],
  records: CaseRecords,
  day: IsoDate,
  wording: Wording,
): FootStanding {
  const own = stagesOf(one, limb);
  const at = stageAt(one, limb, day);
  if (!at) return { limb, at: 0, of: own.length, shoeings: 0, tested: [], ready: false, overdue: false };
  const { stage, since, next } = at;
  const shoeings = shoeingsSince(records, limb, since, day).length;
  const tested = visits
    .filter(({ date }) => since === undefined || date >= since)
    .map((visit): TestedVisit => {
      const facts = exitFactsAt(one, limb, visit, records);
      return {
        date: visit.date,
        answers: stage.exit.map((test) => ({ test, answer: answerExit(test, facts, wording) })),
      };
    });
  // A film that came after the last visit tells something new before the next one.
  const [last, film] = [visits.at(-1), newestFilm(records, limb, day)];
  if (last && film !== undefined && film > last.date) {
    const facts = exitFactsAt(one, limb, last, records, film);
    tested.push({
      date: film,
      answers: stage.exit.map((test) => ({ test, answer: answerExit(test, facts, wording) })),
    });
  }
  const latest = tested.findLast(
    ({ date, answers }, at) =>
      at === 0 ||
      answers.every(({ answer }) => answer.state !== "not measured") ||
      !visits.some((visit) => visit.date === date && visit.status === "open"),
  );
  const answers = latest?.answers ?? [];
  const ready =
    one.status === "open" && answers.length > 0 && answers.every(({ answer }) => answer.state === "met");
  return {
    limb,
    stage,
    ...(since !== undefined && { since }),
    ...(next && { next }),
    at: own.indexOf(stage) + 1,
    of: own.length,
    shoeings,
    tested,
    ...(latest && { latest }),
    ready,
    overdue: one.status === "open" && !ready && stage.shoeings !== undefined && shoeings > stage.shoeings,
  };
}

const newestFilm = ({ films }: CaseRecords, limb: Limb, day: IsoDate): IsoDate | undefined =>
  films
    .filter((film) => film.limb === limb && film.view === "lateral" && film.date <= day)
    .map(({ date }) => date)
    .sort()
    .at(-1);

/** What of a case cannot wait, in words. */
export interface CaseAlert {
  caseId: string;
  kind: "expired" | "expires" | "ready" | "overdue" | "no exit";
  /** Whether it wants somebody today, or is worth knowing. */
  level: "act" | "know";
  says: string;
}

/** Days in words: "today", "tomorrow", "in 4 days", "3 days ago". */
function inDays(days: number): string {
  if (days === 0) return "today";
  if (days === 1) return "tomorrow";
  if (days === -1) return "yesterday";
  return days > 0 ? `in ${counted(days, "day")}` : `${counted(-days, "day")} ago`;
}

/** What stands on Today, Arrive, board and day sheet for a case: what is overdue, ready, or runs out. */
export function caseAlerts(
  { one, name, feet, prescription, withoutExit }: CaseStanding,
  wording: Wording,
): CaseAlert[] {
  if (one.status !== "open") return [];
  const alerts: CaseAlert[] = [];
  const say = (kind: CaseAlert["kind"], level: CaseAlert["level"], says: string) =>
    alerts.push({ caseId: one.id, kind, level, says });
  if (prescription?.state === "expired")
    say("expired", "act", `${name}: the prescription ran out ${inDays(prescription.days)}. Ask the vet.`);
  if (prescription?.state === "expires")
    say("expires", "act", `${name}: the prescription runs out ${inDays(prescription.days)}. Ask the vet.`);
  // Feet that say the same are said once.
  const together = (chosen: FootStanding[], line: (foot: FootStanding) => string) => {
    const lines = new Map<string, Limb[]>();
    for (const foot of chosen) lines.set(line(foot), [...(lines.get(line(foot)) ?? []), foot.limb]);
    return [...lines].map(
      ([text, limbs]) => `${name}, ${limbs.map((limb) => wording.limb(limb)).join(" and ")}: ${text}`,
    );
  };
  for (const says of together(
    feet.filter(({ overdue }) => overdue),
    ({ stage, shoeings }) =>
      `over the shoeings of “${stage?.name ?? ""}” (${shoeings} of ${stage?.shoeings ?? 0}), its tests not met`,
  ))
    say("overdue", "act", says);
  for (const says of together(
    feet.filter(({ ready }) => ready),
    ({ stage, next }) =>
      next
        ? `ready to leave “${stage?.name ?? ""}” for “${next.name}”`
        : `has met the last tests of “${stage?.name ?? ""}”`,
  ))
    say("ready", "know", says);
  if (withoutExit.length > 0)
    say(
      "no exit",
      "know",
      `${name}: ${withoutExit.map((stage) => `“${stage.name}”`).join(", ")} has no exit. How is it seen that it has done its work?`,
    );
  return alerts;
}

/** "Raised, 3rd shoeing of 3: 2 of 3 tests met". */
export function standingInWords(foot: FootStanding): string {
  if (!foot.stage) return "no stage for this foot";
  const answers = foot.latest?.answers ?? [];
  const met = answers.filter(({ answer }) => answer.state === "met").length;
  const count =
    foot.stage.shoeings === undefined
      ? `${foot.shoeings} shoeings`
      : `${foot.shoeings} of ${foot.stage.shoeings} shoeings`;
  const tests =
    foot.stage.exit.length === 0
      ? ""
      : answers.length === 0
        ? ", not tested yet"
        : `, ${met} of ${answers.length} tests met`;
  return sentenceCase(`${foot.stage.name}: ${count}${tests}`);
}
