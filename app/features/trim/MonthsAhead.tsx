import { Segmented, Switch } from "antd";
import { useEffect, useMemo, useState } from "react";
import { CyclesChart } from "~app/charts/cycles/Chart";
import { CYCLE_MEASURES, CYCLE_NAMES, cyclesModel, type CycleMeasure } from "~app/charts/cycles/model";
import { SideView } from "~app/drawing/SideView";
import { Fractions } from "~app/ui/Fractions";
import { useSettings, useWording } from "~app/ui/useWording";
import { runCyclesWorker } from "~app/workers/cycles";
import { AXIS_WORSE_DEG } from "~core/constants/due";
import { capWeeksOf, horseOutlook } from "~core/cycle/horseDue";
import { halvesFrom, halvesInWords } from "~core/foot/parametric/halves";
import { CYCLE_WEEKS, longestInterval, type CycleQuestion, type CycleRun } from "~core/trim/cycles";
import { keptOf } from "~core/visit/trimAhead";
import type { TrimViewProps } from "./trimView";
import { sentenceCase } from "~core/foot/wording";
import { counted, everyWeeks } from "~core/units/counted";

const WEEKS = 26;
/** The intervals that are drawn as a row of feet. */
const DRAWN: readonly number[] = [1, 2, 4, 6, 8];

/** Half a year of this foot at intervals of one to eight weeks, with its own growth: as lines and as feet. */
export function MonthsAhead({ context, bench }: TrimViewProps) {
  const { visit, file, limb } = context;
  const { horse } = file;
  const wording = useWording();
  const settings = useSettings();
  const { facts, asked, lenses, plan, missing } = bench;
  const own = useMemo(
    () => horseOutlook(horse, file.readings, settings).find((one) => one.limb === limb),
    [horse, file.readings, settings, limb],
  );
  const [measure, setMeasure] = useState<CycleMeasure>("dorsalAngle");
  const [chosen, setChosen] = useState(() => Math.min(8, Math.round(capWeeksOf(horse, settings))));
  const [toeOnlyBetween, setToeOnlyBetween] = useState(false);
  const [runs, setRuns] = useState<readonly CycleRun[] | string | undefined>(undefined);
  const { question } = asked;
  const asking = useMemo((): CycleQuestion | undefined => {
    if (!own || missing.length > 0) return undefined;
    return {
      ...keptOf({ facts, asked, lenses }, own, visit.date, settings),
      weeks: WEEKS,
      toeOnlyBetween,
    };
  }, [own, missing, asked, facts, lenses, settings, visit.date, toeOnlyBetween]);
  useEffect(() => {
    if (!asking) return undefined;
    let here = true;
    void runCyclesWorker(asking).then(({ runs: found, ms }) => {
      performance.measure("months ahead", { duration: ms, start: performance.now() - ms });
      if (here) setRuns(found.ok ? found.value : (found.issues[0]?.message ?? "No answer."));
    });
    return () => {
      here = false;
    };
  }, [asking]);
  const show = useMemo(
    () =>
      measure === "dorsalAngle"
        ? wording.angle
        : measure === "frontShare"
          ? (value: number) => `${Math.round(value)} %`
          : wording.length,
    [measure, wording.angle, wording.length],
  );
  const aim =
    measure === "dorsalAngle"
      ? question.foot.pasternAngle
      : measure === "frontShare"
        ? 50
        : measure === "toeLength"
          ? facts.target.toeLengthMm
          : undefined;
  const model = useMemo(
    () => (Array.isArray(runs) ? cyclesModel(runs as CycleRun[], measure, chosen, aim) : undefined),
    [runs, measure, chosen, aim],
  );
  if (!asking || !plan)
    return (
      <p className="trim-empty">Measure this foot first: its months ahead start from what it is today.</p>
    );
  if (typeof runs === "string")
    return (
      <p role="alert" className="ember trim-empty">
        {runs}
      </p>
    );
  if (!runs || !model) return <p className="quiet trim-empty">Working out half a year…</p>;
  const longest = longestInterval(runs, {
    toeTarget: facts.target.toeLengthMm,
    toeOver: settings.toeOverMm,
    axisLimit: settings.axisLimitDeg,
    axisWorse: AXIS_WORSE_DEG.value,
  });
  const run = runs.find((one) => one.everyWeeks === chosen);
  const bare = question.finish === "barefoot";
  return (
    <div className="months">
      <header className="months-head">
        <div>
          <h2>
            {WEEKS} weeks of the {wording.limb(limb)}, {bare ? "bare" : "shod"}
          </h2>
          <p className="quiet">
            <Fractions
              text={`An estimate: toe grows ${wording.length(own ? own.growth.perDay * 30 : 0)} and turns ${wording.angle(Math.abs((own?.drift.perDay ?? 0) * 30))} ${(own?.drift.perDay ?? 0) < 0 ? "shallower" : "steeper"} in 30 days, ${own && own.growth.observations > 0 ? `from ${counted(own.growth.observations, "cycle")} of this foot` : "a general value, no cycles of this foot yet"}; the season counts.`}
            />
          </p>
        </div>
        <Segmented
          aria-label="What to show"
          options={CYCLE_MEASURES.map((value) => ({ value, label: CYCLE_NAMES[value] }))}
          value={measure}
          onChange={setMeasure}
        />
      </header>
      <div className="sheet months-chart">
        <CyclesChart
          model={model}
          show={show}
          title={`${CYCLE_NAMES[measure]} over ${WEEKS} weeks, ${everyWeeks(chosen)} against other intervals`}
        />
      </div>
      <label className="months-toe">
        <Switch size="small" checked={toeOnlyBetween} onChange={setToeOnlyBetween} />
        Toe only, half way between, while horn grows fast
        {run && run.toeOnly > 0 && (
          <span className="quiet"> · {counted(run.toeOnly, "short visit")} of about 10 minutes</span>
        )}
      </label>
      <div className="months-row" role="group" aria-label="Interval">
        {runs
          .filter((one) => DRAWN.includes(one.everyWeeks) || one.everyWeeks === chosen)
          .map((one) => (
            <button
              key={one.everyWeeks}
              type="button"
              className="months-foot"
              aria-pressed={one.everyWeeks === chosen}
              onClick={() => setChosen(one.everyWeeks)}
            >
              <b>{everyWeeks(one.everyWeeks)}</b>
              <SideView
                foot={one.last}
                ghost={facts.drawn}
                wording={wording}
                guess={false}
                labels={false}
                title={`After half a year, ${everyWeeks(one.everyWeeks)}`}
              />
              <span>
                <Fractions
                  text={`worst toe ${wording.length(one.worst.toeLength)}, worst axis ${wording.angle(one.worst.axis)}`}
                />
              </span>
            </button>
          ))}
      </div>
      <div className="months-said">
        <p className="plan-left">
          {longest === undefined
            ? "Even every week this foot passes the limits that make it due: it needs more than an interval."
            : longest === CYCLE_WEEKS.at(-1)
              ? "By these limits this foot keeps for eight weeks; the horse’s work may ask for less."
              : `Up to ${everyWeeks(longest)} this foot stays inside the limits that make it due.`}
        </p>
        {run && (
          <p>
            <Fractions
              text={`${sentenceCase(everyWeeks(chosen))}: ${counted(run.trims, "trim")}, ${wording.cut(run.moments.at(-1)?.removed ?? 0)} of horn in all, ${wording.cut((run.moments.at(-1)?.removed ?? 0) / Math.max(1, run.trims))} at a time.`}
            />
          </p>
        )}
        {bare && (
          <p>
            <Fractions
              text={`After today’s cut ${wording.cut(plan.limits.marginMm)} of wall stand over the live sole, bevelled from the sole’s edge outwards: that wears and sheds by itself. Next trim sooner and smaller.`}
            />
          </p>
        )}
      </div>
      <details className="months-table">
        <summary className="quiet">The numbers</summary>
        <table className="plan-table">
          <thead>
            <tr>
              <th scope="col">every</th>
              <th scope="col">trims</th>
              <th scope="col">worst toe</th>
              <th scope="col">worst axis</th>
              <th scope="col">halves at the end</th>
              <th scope="col">horn taken</th>
            </tr>
          </thead>
          <tbody>
            {runs.map(({ everyWeeks: weeks, trims, worst, moments }) => (
              <tr key={weeks}>
                <th scope="row">{counted(weeks, "week")}</th>
                <td>{trims}</td>
                <td>
                  <Fractions text={wording.length(worst.toeLength)} />
                </td>
                <td>{wording.angle(worst.axis)}</td>
                <td>
                  {halvesInWords(
                    halvesFrom(moments.at(-1)?.frontShare ?? 0, 1 - (moments.at(-1)?.frontShare ?? 0)),
                  )}
                </td>
                <td>
                  <Fractions text={wording.cut(moments.at(-1)?.removed ?? 0)} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </div>
  );
}
