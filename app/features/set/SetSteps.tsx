import { TextButton } from "~app/ui/TextButton";
import { SET_STEPS, SET_STEP_NAMES, type SetStep } from "~core/shoe/setSteps";
import type { PackingStep } from "~core/shoe/packing";
import type { StageContext } from "~app/stage/stageContext";
import type { Shoeing } from "~app/stage/useShoe";

/** What a bare foot is looked at for instead. */
const BARE_STEPS: readonly SetStep[] = ["edges", "stand", "moves", "picture"];

/** The work of setting as ticks in its order, and the look at the end. */
export function SetSteps({ context, shoeing }: { context: StageContext; shoeing: Shoeing }) {
  const bare = shoeing.spec.type === "bare";
  return (
    <section aria-label="Setting">
      <h2>{bare ? "Finish" : "Tack, look, drive, finish"}</h2>
      <Ticks
        steps={(bare ? BARE_STEPS : SET_STEP_NAMES).map((id) => [
          id,
          bare && id === "edges"
            ? "Bevelled from the sole outwards, nothing sharp at the ground"
            : SET_STEPS[id],
        ])}
        shoeing={shoeing}
      />
      <TextButton onClick={() => context.goTo({ stage: "recheck" })}>
        Take the after-picture at Recheck
      </TextButton>
    </section>
  );
}

/** Steps as big ticks. */
export function Ticks({
  steps,
  shoeing,
}: {
  steps: readonly (readonly [id: SetStep | PackingStep, words: string])[];
  shoeing: Shoeing;
}) {
  const ticks = shoeing.record?.ticks ?? {};
  return (
    <ol className="set-ticks">
      {steps.map(([id, words]) => (
        <li key={id} data-done={ticks[id] === true}>
          <label className="set-tick">
            <input
              type="checkbox"
              checked={ticks[id] === true}
              onChange={() =>
                void shoeing.keepAt(["ticks", id], ticks[id] === true ? undefined : true, words.toLowerCase())
              }
            />
            <span className="tick-box" aria-hidden />
            <span>{words}</span>
          </label>
        </li>
      ))}
    </ol>
  );
}
