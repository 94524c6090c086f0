import { proxy, wrap, type Remote } from "comlink";
import type { Records } from "~core/record/tables";
import type { DemoProgress } from "~demo/generate";
import type { DemoWorker } from "./demo.worker";

/** Which made-up data: the whole round, or one horse on the first day. */
export type DemoKind = "demo" | "first-day";

/** Makes the demo records off the main thread; the worker ends with the answer. */
export async function runDemoWorker(
  kind: DemoKind,
  today: string,
  report: (progress: DemoProgress) => void,
): Promise<Records> {
  const worker = new Worker(new URL("./demo.worker.ts", import.meta.url), { type: "module" });
  try {
    const remote: Remote<DemoWorker> = wrap<DemoWorker>(worker);
    return await remote.make(kind, today, proxy(report));
  } finally {
    worker.terminate();
  }
}
