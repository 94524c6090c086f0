import { roster } from "~core/cycle/roster";
import { describe, expect, test } from "@jest/globals";
import { dayPlan } from "~core/cycle/dayPlan";
import { daysBetween } from "~core/calendar/date";
import { LIMBS, type Limb } from "~core/foot/limb";
import { footHistory } from "~core/cycle/horseDue";
import { makeBackup, writeBackup } from "~core/record/backupText";
import { readBackup } from "~core/record/backup";
import { readBeat } from "~core/gait/beat";
import { surveyOfRecord } from "~core/foot/records/keptSurvey";
import { wornSide } from "~core/foot/wear";
import { standingFindings } from "~core/visit/standing";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import { wordingFor } from "~core/foot/wording";
import { ROUND } from "./yards";
import { makeFirstDay } from "./firstDay";
import { makeDemoRound } from "./generate";
import { recordsOf } from "./round.fixture";

const round = makeDemoRound("2026-11-23", 7);

describe("makeDemoRound", () => {
  test("eight yards, forty-three horses, two years of visits", () => {
    expect([round.yards.length, round.horses.length]).toEqual([8, 43]);
    const first = round.visits.map(({ date }) => date).sort()[0]!;
    expect(daysBetween(first, "2026-11-23")).toBeGreaterThan(690);
    expect(round.visits.length).toBeGreaterThan(700);
  });

  test("the same seed and day give the same records, another seed other readings", () => {
    expect(JSON.stringify(makeDemoRound("2026-11-23", 7)) === JSON.stringify(round)).toBe(true);
    expect(makeDemoRound("2026-11-23", 8).readings).not.toEqual(round.readings);
  });

  test("it moves with today: a month later the same horses are as late as before", () => {
    const later = makeDemoRound("2026-12-23", 7);
    expect(later.visits.filter(({ status }) => status === "planned").map(({ date }) => date)).toEqual(
      Array(5).fill("2026-12-23"),
    );
  });

  test("every record passes its own schema, and a backup of it reads back the same", () => {
    const read = readBackup(writeBackup(makeBackup(round, "2026-11-23T08:00:00Z")));
    expect(read).toEqual({ ok: true, value: makeBackup(round, "2026-11-23T08:00:00Z") });
  });

  test("progress is told horse by horse to the end", () => {
    const told: number[] = [];
    makeDemoRound("2026-11-23", 7, ({ done, of }) => told.push(done / of));
    expect([told.length, told.at(-1)]).toEqual([43, 1]);
  });

  test.each([7, 1, 2])(
    "no foot leaves the range of living feet in two years of growth and trims, seed %d",
    (seed) => {
      const { readings } = seed === 7 ? round : makeDemoRound("2026-11-23", seed);
      const angles = readings.map(({ values }) => values.dorsalAngle!.value);
      const toes = readings.map(({ values }) => values.toeLength!.value);
      const heels = readings.map(({ values }) => values.heelHeightMedial!.value);
      expect(Math.min(...angles)).toBeGreaterThan(38);
      expect(Math.max(...angles)).toBeLessThan(70);
      expect(Math.min(...toes)).toBeGreaterThan(40);
      expect(Math.max(...toes)).toBeLessThan(150);
      expect(Math.min(...heels)).toBeGreaterThan(8);
    },
  );

  test("forecasts have truth behind them: the due foot grew about what was learned from it", () => {
    const grown = round.horses.flatMap((horse) =>
      LIMBS.flatMap((limb) => {
        const history = footHistory(
          round.readings.filter(({ horseId }) => horseId === horse.id),
          limb,
        );
        return history.slice(1).map((visit, index) => {
          const before = visit.before!.toeLength!.value;
          return (
            (before - history[index]!.after!.toeLength!.value) / daysBetween(history[index]!.date, visit.date)
          );
        });
      }),
    );
    const mean = grown.reduce((sum, rate) => sum + rate, 0) / grown.length;
    expect(mean).toBeGreaterThan(0.2);
    expect(mean).toBeLessThan(0.3);
  });
});

test("the first day has one horse, one planned visit and nothing measured", () => {
  const first = makeFirstDay("2026-11-23");
  expect([first.horses.length, first.visits[0]?.status, first.readings.length]).toEqual([1, "planned", 0]);
  expect(readBackup(writeBackup(makeBackup(first, "2026-11-23T08:00:00Z"))).ok).toBe(true);
});

describe("dayPlan", () => {
  const rows = roster(round.horses, round.yards, round.visits);
  const plan = dayPlan(rows, "2026-11-23");

  test("today's planned visits by yard and time, with the minutes they usually take", () => {
    expect(plan.stops.map(({ at, jobs }) => [at, jobs.map(({ horse: one }) => one.name)])).toEqual([
      ["08:00", ["Bramble", "Quarry", "Thrift"]],
      ["12:20", ["Major Oak", "Pepperpot"]],
    ]);
    expect(plan.workMinutes).toBe(75 + 25 + Math.round(1.3 * 45) + 45 + 25);
  });

  test("the most overdue stand first, and nobody waits who is planned", () => {
    const over = plan.behind.map(({ cycle }) => cycle.daysOver);
    expect(over[0]).toBe(9);
    expect(over).toEqual([...over].sort((a, b) => b - a));
    const planned = new Set(plan.stops.flatMap(({ jobs }) => jobs.map(({ horse: one }) => one.id)));
    expect([...plan.behind, ...plan.windowOpen].some(({ horse: one }) => planned.has(one.id))).toBe(false);
  });

  test("a visit left open from an earlier day is still on today's list", () => {
    const row = rows.find(({ horse: one }) => one.name === "Rook")!;
    const left = dayPlan(
      [{ ...row, coming: { ...row.last!, id: "x", date: "2026-11-20", status: "open" } }],
      "2026-11-23",
    );
    expect(left.stops).toHaveLength(1);
  });
});

describe("what was read on the feet", () => {
  const bramble = round.horses.find(({ name }) => name === "Bramble")!;
  const newest = <T extends { horseId: string; limb: string; date: string }>(
    rows: readonly T[],
    limb: string,
  ) =>
    rows
      .filter((row) => row.horseId === bramble.id && row.limb === limb)
      .sort((a, b) => a.date.localeCompare(b.date))
      .at(-1)!;

  test("the last two visits were surveyed, and a survey reads back to the foot's width within the hand's error", () => {
    const surveyed = round.readings.filter(({ sole }) => Object.keys(sole).length > 0);
    expect(surveyed.length).toBeGreaterThan(43 * 4);
    for (const { sole, values, limb } of surveyed.slice(0, 60)) {
      const { survey, issues } = surveyOfRecord(sole, limb);
      expect(issues).toEqual([]);
      expect(Math.abs((survey.width ?? 0) - values.width!.value)).toBeLessThan(9);
      expect(survey.frontShare).toBeGreaterThan(0.4);
    }
  });

  test("Bramble's left hind wears the outside only; its pair does not", () => {
    expect(wornSide(newest(round.looks, "LH").wear)).toBe("lateral");
    expect(wornSide(newest(round.looks, "RH").wear)).toBeUndefined();
    expect(newest(round.watchings, "LH").lands).toBeDefined();
  });
});

describe("the demo's beats", () => {
  /** The last beat before and the last after the work, of a horse. */
  const beatsOf = (name: string) => {
    const { id } = round.horses.find((one) => one.name === name)!;
    const { looks } = round.visits.findLast((one) => one.horseId === id && one.looks["before"]?.beat)!;
    return (["before", "after"] as const).map((look) => {
      const read = readBeat(looks[look]?.beat?.times ?? []);
      if (!read.ok) throw new Error(read.issues[0]?.message);
      return read.value;
    });
  };

  test("every look that was taken has a beat that can be read, at a walk's rate", () => {
    const beats = round.visits.flatMap(({ looks }) => Object.values(looks).flatMap(({ beat }) => beat ?? []));
    expect(beats.length).toBeGreaterThan(80);
    for (const { times } of beats) {
      const read = readBeat(times);
      expect(read.ok && Math.abs(read.value.perMinute - 204)).toBeLessThan(12);
    }
  });

  test("a horse with a story goes less evenly before the work than after it, on the mean of all", () => {
    const troubled = ROUND.flatMap(({ horses }) => horses).filter(({ story, trouble }) => story ?? trouble);
    const off = troubled.map(({ name }) => beatsOf(name).map(({ evenness }) => Math.abs(Math.log(evenness))));
    const mean = (look: 0 | 1) => off.reduce((sum, one) => sum + (one[look] ?? 0), 0) / off.length;
    expect(mean(0)).toBeGreaterThan(mean(1) + 0.03);
  });
});

describe("the demo's stories as findings", () => {
  const wording = wordingFor({ unit: "mm", fraction: 16, leftRight: "left-right", side: "inside-outside" });
  const found = (story: string, limb: Limb) => {
    const plan = ROUND.flatMap(({ horses }) => horses).find((one) => one.story === story);
    const horse = round.horses.find(({ name }) => name === plan?.name);
    if (!horse) throw new Error(`no horse for ${story}`);
    const last = round.visits
      .filter(({ horseId, status }) => horseId === horse.id && status === "signed")
      .at(-1);
    if (!last) throw new Error("no visit");
    return standingFindings(horse, limb, last, recordsOf(horse.id), DEFAULT_SETTINGS, wording);
  };
  const ids = (story: string, limb: Limb) => found(story, limb).map(({ id }) => id);

  test.each([
    ["one-sided wear", "LH", "one-sided"],
    ["thin soles", "RF", "thin-sole"],
    ["wear mismatch", "LF", "landing-wear"],
    ["one-sided flare", "LF", "one-sided"],
    ["sheared heel", "LF", "sheared-heels"],
    ["contracted pair", "LF", "contracted-heels"],
    ["contracted pair", "RF", "contracted-heels"],
    ["club foot", "RF", "club-foot"],
    ["run toe", "LF", "toe-run"],
  ] as const)("%s: the %s says %s", (story, limb, id) => {
    expect(ids(story, limb)).toContain(id);
  });

  test.each([
    ["contracted pair", "LF", ["contracted-heels"]],
    ["contracted pair", "RF", ["contracted-heels"]],
    ["club foot", "RF", ["club-foot"]],
    ["sheared heel", "LF", ["sheared-heels", "heel-horn"]],
  ] as const)("%s: the %s says that, and nothing twice in other words", (story, limb, said) => {
    const loudly = found(story, limb).filter(({ level }) => level !== "steady");
    expect(loudly.map(({ id }) => id)).toEqual(said);
  });

  const loud = (name: string): string[] => {
    const horse = round.horses.find((one) => one.name === name)!;
    const last = round.visits
      .filter(({ horseId, status }) => horseId === horse.id && status === "signed")
      .at(-1)!;
    return LIMBS.flatMap((limb) => {
      const said = standingFindings(horse, limb, last, recordsOf(horse.id), DEFAULT_SETTINGS, wording);
      return said.some(({ level }) => level !== "steady") ? [limb] : [];
    });
  };

  test.each(["Thrift", "Goliard", "Rook", "Quarry"])(
    "%s is sound, and its feet are left in peace",
    (name) => {
      expect(loud(name)).toEqual([]);
    },
  );

  test("of all feet without a story or a trouble, more than 8 in 10 are left in peace", () => {
    const sound = ROUND.flatMap(({ horses }) => horses).filter(({ story, trouble }) => !story && !trouble);
    const feet = 4 * sound.length;
    expect(sound.flatMap(({ name }) => loud(name)).length).toBeLessThan(0.2 * feet);
  });

  test("the pair of the one-sided foot does not say the same", () => {
    expect(ids("one-sided wear", "RH")).not.toContain("one-sided");
    expect(ids("one-sided flare", "RF")).not.toContain("one-sided");
  });
});
