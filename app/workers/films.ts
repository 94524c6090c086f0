import { wrap, type Remote } from "comlink";
import type { FilmsWorker } from "./films.worker";

/** One film at a time off the main thread; the worker ends with the answer. */
export async function withFilmsWorker<T>(work: (remote: Remote<FilmsWorker>) => Promise<T>): Promise<T> {
  const worker = new Worker(new URL("./films.worker.ts", import.meta.url), { type: "module" });
  try {
    return await work(wrap<FilmsWorker>(worker));
  } finally {
    worker.terminate();
  }
}
