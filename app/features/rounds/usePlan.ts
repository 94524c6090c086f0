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

/** A plan that is looked for in a worker, can be called off, and stands as a proposal until it is taken. */
export function usePlan() {
  const [state, setState] = useState<PlanState>({ kind: "idle" });
  const running = useRef<{ cancel: () => void } | undefined>(undefined);
  useEffect(() => () => running.current?.cancel(), []);
  const drop = () => {
    running.current?.cancel();
    running.current = undefined;
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
        setState(
          plan.ok
            ? { kind: "found", plan: plan.value, placed: placedBy(plan.value) }
            : { kind: "failed", message: plan.issues.map(({ message }) => message).join(" ") },
        );
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
    if (so) setState({ kind: "found", plan: so.plan, placed: placedBy(so.plan) });
  };
  return { state, start, stop, drop };
}

const placedBy = ({ days }: RoundsPlan): Placed =>
  Object.fromEntries(
    days.flatMap(({ date, stops }) =>
      stops.flatMap(({ jobs }) => jobs.map((job): [string, string] => [job, date])),
    ),
  );
