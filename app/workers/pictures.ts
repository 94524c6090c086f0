import { wrap, type Remote } from "comlink";
import type { PicturesWorker } from "./pictures.worker";

/** One picture at a time off the main thread; the worker ends with the answer. */
export async function withPicturesWorker<T>(
  work: (remote: Remote<PicturesWorker>) => Promise<T>,
): Promise<T> {
  const worker = new Worker(new URL("./pictures.worker.ts", import.meta.url), { type: "module" });
  try {
    return await work(wrap<PicturesWorker>(worker));
  } finally {
    worker.terminate();
  }
}
