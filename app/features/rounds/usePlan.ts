import { draftAt, dropDraft, keepDraft } from "~app/data/drafts";
import { detailOf } from "~app/data/trouble";
import { useEffect, useRef, useState } from "react";
import { planInWorker } from "~app/workers/rounds";
import type { RoundsProgress } from "~app/workers/rounds.worker";
import type { Placed } from "~core/rounds/layout";
import type { RoundsPlan, RoundsQuestion } from "~core/rounds/question";

/** How long a plan may be bettered, s: by then a good one stands. */
const SECONDS = 55;

export type PlanState =
  | { kind: "idle" }
  | { kind: "running"; progress: RoundsProgress | undefined }
  | { kind: "found"; plan: RoundsPlan; placed: Placed }
  | { kind: "failed"; message: string };

/** Where a plan that was found and not taken yet is kept. */
const DRAFT = "rounds/plan";

/** The plan that an earlier sitting found for a fortnight that begins on `from`, and did not take. */
function keptPlan(from: string): PlanState {
  try {
    const kept = JSON.parse(draftAt(DRAFT)?.text ?? "null") as { from: string; plan: RoundsPlan } | null;
    return kept?.from === from
      ? { kind: "found", plan: kept.plan, placed: placedBy(kept.plan) }
      : { kind: "idle" };
  } catch {
    return { kind: "idle" };
  }
}

/**
 * A plan for the fortnight that begins on `from`: looked for in a worker, can be called off, and stands as a proposal, over
 * a reload too, until it is taken or left.
 */
export function usePlan(from: string) {
  const [state, setState] = useState<PlanState>(() => keptPlan(from));
  const found = (plan: RoundsPlan) => {
    void keepDraft(DRAFT, JSON.stringify({ from, plan }));
    setState({ kind: "found", plan, placed: placedBy(plan) });
  };
  const running = useRef<{ cancel: () => void } | undefined>(undefined);
  useEffect(() => () => running.current?.cancel(), []);
  const drop = () => {
    running.current?.cancel();
    running.current = undefined;
    if (draftAt(DRAFT)) void dropDraft(DRAFT);
    setState({ kind: "idle" });
  };
  const start = (question: RoundsQuestion) => {
    drop();
    setState({ kind: "running", progress: undefined });
    const work = planInWorker(question, SECONDS, (progress) => {
      if (running.current === work) setState({ kind: "running", progress });
    });
    running.current = work;
    // Progress comes another way than the answer and may be later: once that is there, nothing more is listened to.
    const ended = (): boolean => {
      if (running.current !== work) return false;
      running.current = undefined;
      return true;
    };
    work.answer.then(
      ({ plan }) => {
        if (!ended()) return;
        if (plan.ok) found(plan.value);
        else setState({ kind: "failed", message: plan.issues.map(({ message }) => message).join(" ") });
      },
      (error: unknown) => {
        if (ended()) setState({ kind: "failed", message: detailOf(error) });
      },
    );
  };
  /** Stops looking; the best plan until now is what was found. */
  const stop = () => {
    const so = state.kind === "running" ? state.progress : undefined;
    drop();
    if (so) found(so.plan);
  };
  return { state, start, stop, drop };
}

const placedBy = ({ days }: RoundsPlan): Placed =>
  Object.fromEntries(
    days.flatMap(({ date, stops }) =>
      stops.flatMap(({ jobs }) => jobs.map((job): [string, string] => [job, date])),
    ),
  );
