import { TextButton } from "~app/ui/TextButton";
import { Button } from "antd";
import { Fractions } from "~app/ui/Fractions";
import { useEdits } from "~app/ui/useEdits";
import { useSettings, useWording } from "~app/ui/useWording";
import { capWeeksOf } from "~core/cycle/horseDue";
import { footEdit } from "~core/record/footRecords";
import { FLARE_NAMES } from "~core/trim/flares";
import {
  CUT_NAMES,
  FLARE_PLACES,
  MOST_FLARE_MM,
  MOST_PARED_MM,
  type SheetStepId,
} from "~core/trim/trimRecord";
import { sentenceCase } from "~core/foot/wording";
import { biasInWords, type DoneMeasure } from "~core/trim/done";
import { LIVE_SOLE_REMINDER, cutSheet, type SheetStep } from "~core/trim/sheet";
import { useOwnHand } from "~app/stage/useOwnHand";
import { MmTaken } from "./MmTaken";
import { SafetyLine } from "./SafetyLine";
import { Taken } from "./Taken";
import type { TrimViewProps } from "./trimView";

/** The plan as work for the hands: big, in order, a tick for each step; what was really taken beside it. */
export function CutSheet({ context, bench, show }: TrimViewProps) {
  const { limb, order, nextFoot, goTo } = context;
  const wording = useWording();
  const { save } = useEdits();
  const { plan, cuts, trim, blank, kept, missing } = bench;
  const planned = plan !== undefined && missing.length === 0;
  const ticks = trim?.ticks ?? {};
  const hand = useOwnHand();
  const settings = useSettings();
  const onward = (
    <div className="trim-actions">
      <Button
        type="primary"
        size="large"
        onClick={() =>
          goTo(nextFoot ? { limb: nextFoot } : { stage: "shoe", ...(order[0] && { limb: order[0] }) })
        }
      >
        {nextFoot ? `Next: ${wording.limb(nextFoot)}` : "On to Shoe"}
      </Button>
      {planned && (
        <Button size="large" onClick={() => show("bench")}>
          Back to the plan
        </Button>
      )}
    </div>
  );
  if (!planned)
    return (
      <div className="sheet-work">
        <p className="sheet-stop">{LIVE_SOLE_REMINDER}</p>
        <p className="quiet">
          Without measurements there is no plan for the {wording.limb(limb)}. Note what was taken, so that it
          stands in the record.
        </p>
        {(["heelMedial", "heelLateral", "toe", "dress"] as const).map((cut) => (
          <div key={cut} className="sheet-step">
            <span className="sheet-words">
              <b className="sheet-title">{sentenceCase(wording.inOwnWords(CUT_NAMES[cut]))}</b>
            </span>
            <Taken bench={bench} cut={cut} />
          </div>
        ))}
        {onward}
      </div>
    );
  const { flaresNow, facts } = bench;
  const steps = cutSheet(
    plan,
    cuts,
    {
      ...settings.sheet,
      flares: flaresNow,
      floats: trim?.floats,
      rockers: trim?.rockers,
      nextWeeks: capWeeksOf(context.file.horse, settings),
      chalkMm: facts.chalkMm,
      frogProudMm: facts.frogProudMm,
      walls: facts.walls,
    },
    wording,
  );
  const tick = (step: SheetStep) => {
    const label = `${wording.limb(limb)} ${step.title.toLowerCase()}`;
    const on = ticks[step.id] !== true;
    const put = (path: readonly string[], now: unknown) =>
      footEdit(blank, "trims", trim, { path, now, label });
    const takes = on && step.cut && trim?.cuts[step.cut.name] === undefined;
    const dresses = on && step.id === "flares" && trim?.flares === undefined;
    if (trim)
      void save(
        put(["ticks", step.id], on ? true : undefined),
        ...(takes && step.cut ? [put(["cuts", step.cut.name], step.cut.mm)] : []),
        ...(dresses ? [put(["flares"], flaresNow)] : []),
      );
    else
      void save({
        table: "trims",
        id: blank.id,
        path: [],
        was: undefined,
        now: {
          ...blank,
          ticks: { [step.id]: true },
          cuts: step.cut ? { [step.cut.name]: step.cut.mm } : {},
          ...(dresses && { flares: flaresNow }),
        },
        label,
      });
  };
  return (
    <div className="sheet-work" data-beside={facts.outline !== undefined}>
      {facts.outline && (
        <aside className="sheet-beside" aria-label="Safety line">
          <h3>The safety line</h3>
          <SafetyLine facts={facts} corY={facts.survey.cor?.median} />
        </aside>
      )}
      <p className="sheet-stop">{LIVE_SOLE_REMINDER}</p>
      {!kept?.agreed && (
        <p className="quiet">
          This is the plan as it stands; it is not started yet.{" "}
          <TextButton onClick={bench.agree}>Start it</TextButton>
        </p>
      )}
      <ol className="sheet-steps" aria-label={`Cut sheet, ${wording.limb(limb)}`}>
        {steps.map((step) => {
          const done = ticks[step.id] === true;
          const habit = hand?.bias.find(({ measure }) => measure === HABIT_OF[step.id]);
          return (
            <li key={step.id} className="sheet-step" data-done={done} data-leave={step.leave}>
              <label className="sheet-tick">
                <input type="checkbox" checked={done} onChange={() => tick(step)} />
                <span className="sheet-box" aria-hidden />
                <b className="sheet-title">{step.title}</b>
                {step.cut && !step.leave && (
                  <span className="sheet-amount">
                    <Fractions text={wording.cut(step.cut.mm)} />
                  </span>
                )}
                <span className="sheet-words">
                  <span>
                    <Fractions text={step.how} />
                  </span>
                  {habit && !step.leave && !done && (
                    <span className="sheet-habit">
                      <Fractions text={biasInWords(habit, wording)} />
                    </span>
                  )}
                  {step.caution && !done && <span className="sheet-caution">{step.caution}</span>}
                </span>
              </label>
              {step.id === "safety-line" && facts.outline && (
                <SafetyLine facts={facts} corY={facts.survey.cor?.median} />
              )}
              {step.id === "flares" && trim?.flares && (
                <MmTaken
                  bench={bench}
                  places={FLARE_PLACES.filter((place) => flaresNow[place] ?? trim.flares?.[place]).map(
                    (place) => ({
                      name: FLARE_NAMES[place],
                      path: ["flares", place],
                      stored: trim.flares?.[place],
                      most: MOST_FLARE_MM,
                    }),
                  )}
                />
              )}
              {(step.id === "frog" || step.id === "bars") && done && (
                <MmTaken
                  bench={bench}
                  places={[
                    {
                      name: step.id,
                      path: ["pared", step.id],
                      stored: trim?.pared?.[step.id],
                      most: MOST_PARED_MM,
                    },
                  ]}
                />
              )}
              {step.cut && (done || bench.trim?.cuts[step.cut.name] !== undefined) && (
                <Taken bench={bench} cut={step.cut.name} />
              )}
            </li>
          );
        })}
      </ol>
      {onward}
    </div>
  );
}

/** The measure that tells a habit at a step. */
const HABIT_OF: Partial<Record<SheetStepId, DoneMeasure>> = {
  heelMedial: "heelMedial",
  heelLateral: "heelLateral",
  toe: "toeLength",
};
