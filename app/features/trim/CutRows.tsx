import { NumberInput } from "~app/ui/NumberInput";
import { useId } from "react";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { CUT_NAMES, type CutName } from "~core/trim/trimRecord";
import { sentenceCase } from "~core/foot/wording";
import { limitInWords } from "~core/trim/planWords";
import type { Bench } from "./useBench";
import { useTypedCuts } from "./useTypedCuts";

const ORDER: readonly CutName[] = ["toe", "heelMedial", "heelLateral", "dress"];
/** How far a slider goes past the limit, so that what lies beyond can be looked at. */
const BEYOND_MM = 3;

/** The four cuts: dragged on a line with its limit and the lenses' plan on it, or typed. */
export function CutRows({ bench }: { bench: Bench }) {
  const { plan, cuts, move } = bench;
  const wording = useWording();
  const ids = useId();
  const nameOf = (cut: CutName) => sentenceCase(wording.inOwnWords(CUT_NAMES[cut]));
  const { view, type, settle } = useTypedCuts(bench);
  if (!plan) return null;
  const { most } = plan.limits;
  return (
    <div className="cut-rows" role="group" aria-label="Cuts">
      {ORDER.map((cut) => {
        const top = Math.max(6, Math.ceil(most[cut]) + BEYOND_MM, Math.ceil(cuts[cut]));
        const past = cuts[cut] - most[cut];
        const part = (mm: number) => `${(100 * mm) / top}%`;
        const { text, issue } = view(cut);
        return (
          <div key={cut} className="cut-row" data-past={past > 0.01}>
            <label htmlFor={`${ids}-${cut}`}>
              {nameOf(cut)}
              <span className="quiet">
                <Fractions text={limitNote(cut, plan, wording)} />
              </span>
            </label>
            <div
              className="cut-line"
              style={
                {
                  "--at": part(cuts[cut]),
                  "--limit": part(most[cut]),
                  "--plan": part(plan.handCuts[cut]),
                } as React.CSSProperties
              }
            >
              <span className="cut-limit" aria-hidden />
              <span className="cut-ghost" aria-hidden />
              <input
                type="range"
                aria-label={`${nameOf(cut)}, on the line`}
                aria-valuetext={wording.cut(cuts[cut])}
                min={0}
                max={top}
                step={0.5}
                value={cuts[cut]}
                onChange={(event) => move(cut, Number(event.target.value), false)}
                // The browser's own change comes when the slider is let go, or moved by a key.
                ref={(slider) => {
                  if (slider) slider.onchange = () => move(cut, Number(slider.value), true);
                }}
              />
            </div>
            <span className="cut-number">
              <NumberInput
                id={`${ids}-${cut}`}
                view={{ text, issue }}
                saidBy={issue || past > 0.01 ? `${ids}-${cut}-said` : undefined}
                onType={(next) => type(cut, next)}
                onSettle={() => settle(cut)}
              />
              <span className="quiet">{wording.unit}</span>
            </span>
            {(issue ?? (past > 0.01 || undefined)) && (
              <p className="cut-said ember" id={`${ids}-${cut}-said`} role={issue ? "alert" : undefined}>
                <Fractions
                  text={
                    issue?.message ??
                    `${wording.cut(past)} past the limit. ${limitInWords(cut, plan, wording)}`
                  }
                />
              </p>
            )}
          </div>
        );
      })}
    </div>
  );
}

function limitNote(
  cut: CutName,
  { limits, question }: NonNullable<Bench["plan"]>,
  { cut: show }: { cut: (mm: number) => string },
): string {
  if (cut === "dress") {
    const { most, by } = limits.dressing;
    return by === "unknown" || question.toeWall === undefined
      ? "wall not measured"
      : by === "shape"
        ? most < 0.25
          ? "straight: left as it is"
          : `outside its shape ${show(most)}`
        : `limit ${show(most)}, 6 mm of horn stay`;
  }
  return `limit ${show(limits.most[cut])}${limits.marginMm > 0 ? `, ${show(limits.marginMm)} stay` : " at live sole"}`;
}
