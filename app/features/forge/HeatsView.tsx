import { Button, Segmented } from "antd";
import { useMemo } from "react";
import { useSearchParams } from "react-router";
import { CautionNote } from "~app/ui/CautionNote";
import { useWording } from "~app/ui/useWording";
import { cautionsAt } from "~core/caution/cautions";
import { movedBy, splitAt } from "~core/forge/heats/move";
import { heatTroubles, startOf, type HeatPlan, type Operation } from "~core/forge/heats/operation";
import { heatsIn, planHeats } from "~core/forge/heats/plan";
import type { ForgedFrom } from "~core/forge/heats/operationList";
import { shoeOperations } from "~core/forge/heats/shoeOperations";
import { lookFor, troubleInWords } from "~core/forge/heats/words";
import { Swatch } from "./Swatch";
import type { ForgeContext } from "./forgeContext";
import { RunningSheet } from "./RunningSheet";
import { counted } from "~core/units/counted";

const FROM: { value: ForgedFrom; label: string }[] = [
  { value: "bar", label: "From the bar" },
  { value: "ready-made", label: "Altering a ready-made" },
];

/** The heats of this shoe: the fewest that its colours and conditions allow, or the user's own order of them. */
export function HeatsView(context: ForgeContext) {
  const { job, anvil } = context;
  const { forging, keep } = anvil;
  const wording = useWording();
  const [search, setSearch] = useSearchParams();
  const operations = useMemo(() => shoeOperations(job.spec, forging.from), [job.spec, forging.from]);
  const computed = useMemo(() => planHeats(operations), [operations]);
  const known = new Set(operations.map(({ id }) => id));
  const own = forging.plan?.map((step) => ({ ...step, ops: step.ops.filter((id) => known.has(id)) }));
  const plan: HeatPlan = own ?? (computed.ok ? computed.value : []);
  const troubles = heatTroubles(operations, plan);
  const put = (next: HeatPlan | undefined, label: string) =>
    void keep(
      ["plan"],
      next?.map((step) => ({ ...step, ops: [...step.ops] })),
      label,
    );
  const setSheet = (on: boolean) =>
    setSearch(
      (now) => {
        const next = new URLSearchParams(now);
        if (on) next.set("sheet", "on");
        else next.delete("sheet");
        return next;
      },
      { replace: true },
    );
  if (search.get("sheet") === "on")
    return <RunningSheet {...context} operations={operations} plan={plan} onLeave={() => setSheet(false)} />;
  const byId = new Map(operations.map((op) => [op.id, op]));
  return (
    <div className="forge-heats">
      <div className="heats-head">
        <Segmented
          aria-label="Forged from"
          options={FROM}
          value={forging.from}
          onChange={(from) => {
            // A plan of its own belongs to the other kind of work.
            if (forging.plan) put(undefined, "heats as computed");
            void keep(["from"], from, "what it is forged from");
          }}
        />
        <p>
          <b>{counted(heatsIn(plan), "heat")}</b>{" "}
          <span className="quiet">
            {own ? "in your own order" : "is the fewest that the colours and conditions allow: an estimate"}
          </span>
        </p>
        <div className="trim-actions">
          <Button
            type="primary"
            size="large"
            disabled={troubles.length > 0 || plan.length === 0}
            onClick={() => setSheet(true)}
          >
            {forging.run ? "Go on with the running sheet" : "Running sheet"}
          </Button>
          {own && (
            <Button size="large" onClick={() => put(undefined, "heats as computed")}>
              Take the computed plan
            </Button>
          )}
        </div>
        {job.spec.material === "aluminium" && /bar/.test(job.spec.type) && (
          <p className="ember">
            A bar of light metal is not forge welded: buy it whole, or have it welded by one who does.
          </p>
        )}
        {troubles.length > 0 && (
          <ul className="heat-troubles ember" role="alert">
            {troubles.map((trouble) => (
              <li key={JSON.stringify(trouble)}>{troubleInWords(trouble, operations, wording)}</li>
            ))}
          </ul>
        )}
      </div>
      <ol className="heat-steps" aria-label="Heats">
        {plan.map((step, index) => {
          const ops = step.ops.flatMap((id): Operation[] => [byId.get(id)].filter((op) => op !== undefined));
          const start = startOf(ops);
          const number = heatsIn(plan.slice(0, index + 1));
          return (
            <li key={step.ops.join()} className="heat-step">
              <div className="heat-colour">
                {step.kind === "cold" ? (
                  <b>Cold</b>
                ) : (
                  <>
                    {"startC" in start && <Swatch startC={start.startC} material={job.spec.material} />}
                    <span>
                      <b>Heat {number}</b>
                      <span className="quiet">
                        {"startC" in start ? lookFor(start.startC, job.spec.material) : "too cold in between"}
                      </span>
                    </span>
                  </>
                )}
              </div>
              <ul className="heat-ops">
                {ops.map((op, at) => (
                  <li key={op.id}>
                    <span className="heat-op">
                      {wording.inOwnWords(op.words)}
                      {op.check && <span className="quiet"> · check: {wording.inOwnWords(op.check)}</span>}
                      {op.caution && <span className="ember"> {op.caution}</span>}
                      {troubles
                        .filter((trouble) => trouble.op === op.id)
                        .map((trouble) => (
                          <span key={trouble.kind} className="heat-trouble ember">
                            {troubleInWords(trouble, operations, wording)}
                          </span>
                        ))}
                    </span>
                    <span className="heat-moves">
                      <button
                        type="button"
                        aria-label={`Earlier: ${wording.inOwnWords(op.words)}`}
                        disabled={index === 0 && at === 0}
                        onClick={() => put(movedBy(plan, op.id, -1), "an operation earlier")}
                      >
                        ↑
                      </button>
                      <button
                        type="button"
                        aria-label={`Later: ${wording.inOwnWords(op.words)}`}
                        disabled={index === plan.length - 1 && at === ops.length - 1}
                        onClick={() => put(movedBy(plan, op.id, 1), "an operation later")}
                      >
                        ↓
                      </button>
                      <button
                        type="button"
                        aria-label={`A new heat from: ${wording.inOwnWords(op.words)}`}
                        disabled={at === 0 || step.kind === "cold"}
                        onClick={() => put(splitAt(plan, op.id), "a new heat")}
                      >
                        new heat
                      </button>
                    </span>
                  </li>
                ))}
              </ul>
            </li>
          );
        })}
      </ol>
      {cautionsAt("forge").map((caution) => (
        <CautionNote key={caution.id} caution={caution} about="forge" />
      ))}
      <p className="quiet">
        ↑ and ↓ move an operation. The plan says when a condition no longer holds. Colours are for mild steel
        in shade.
      </p>
    </div>
  );
}
