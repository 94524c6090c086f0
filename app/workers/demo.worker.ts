import { expose } from "comlink";
import { makeFirstDay } from "~demo/firstDay";
import { makeDemoRound, type DemoProgress } from "~demo/generate";
import type { Records } from "~core/record/tables";

const DEMO_SEED = 7;

/** A thin adapter: the same functions run on the main thread in the tests. */
const demoWorker = {
  make: (kind: "demo" | "first-day", today: string, report: (progress: DemoProgress) => void): Records =>
    kind === "demo" ? makeDemoRound(today, DEMO_SEED, report) : makeFirstDay(today),
};
export type DemoWorker = typeof demoWorker;

expose(demoWorker);
