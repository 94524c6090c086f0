import { expose } from "comlink";
import { roundForecast } from "~core/cycle/workload";

/** A thin adapter: the same function runs in the tests. */
const forecastWorker = {
  forecast: (...question: Parameters<typeof roundForecast>) => {
    const from = performance.now();
    const weeks = roundForecast(...question);
    return { weeks, ms: performance.now() - from };
  },
};
export type ForecastWorker = typeof forecastWorker;

expose(forecastWorker);
