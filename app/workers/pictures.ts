import { wrap, type Remote } from "comlink";
import type { PicturesWorker } from "./pictures.worker";

const started = (): Worker =>
  new Worker(new URL("./pictures.worker.ts", import.meta.url), { type: "module" });

/** A worker that makes pictures as often as it is asked. */
export function standingPictures(): { remote: Remote<PicturesWorker>; end: () => void } {
  const worker = started();
  return { remote: wrap<PicturesWorker>(worker), end: () => worker.terminate() };
}

/** One picture at a time off the main thread; the worker ends with the answer. */
export async function withPicturesWorker<T>(
  work: (remote: Remote<PicturesWorker>) => Promise<T>,
): Promise<T> {
  const worker = started();
  try {
    return await work(wrap<PicturesWorker>(worker));
  } finally {
    worker.terminate();
  }
}
