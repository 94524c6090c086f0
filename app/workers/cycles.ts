import { wrap, type Remote } from "comlink";
import type { CycleQuestion, CycleRun } from "~core/trim/cycles";
import type { Result } from "~core/result";
import type { CyclesWorker } from "./cycles.worker";

/** Half a year of one foot at eight intervals, worked out off the main thread, and the time that it took there. */
export async function runCyclesWorker(
  question: CycleQuestion,
): Promise<{ runs: Result<CycleRun[]>; ms: number }> {
  const worker = new Worker(new URL("./cycles.worker.ts", import.meta.url), { type: "module" });
  try {
    const remote: Remote<CyclesWorker> = wrap<CyclesWorker>(worker);
    return await remote.compare(question);
  } finally {
    worker.terminate();
  }
}
