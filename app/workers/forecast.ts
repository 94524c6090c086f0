import type { roundForecast, WorkWeek } from "~core/cycle/workload";
import type { ForecastWorker } from "./forecast.worker";
import { running, type Running } from "./running";

/** The weeks to come, worked out off the main thread, and the time that it took there, ms. */
export const forecastInWorker = (
  ...question: Parameters<typeof roundForecast>
): Running<{ weeks: WorkWeek[]; ms: number }> =>
  running<ForecastWorker, { weeks: WorkWeek[]; ms: number }>(
    new Worker(new URL("./forecast.worker.ts", import.meta.url), { type: "module" }),
    (remote) => remote.forecast(...question),
  );
