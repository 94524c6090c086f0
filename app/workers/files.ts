import { proxy, wrap, type Remote } from "comlink";
import type { FilesWorker } from "./files.worker";

/** Reads, writes and fills whole stores off the main thread. Ended by `cancel`: what was not finished did not happen. */
export function filesWorker(): { remote: Remote<FilesWorker>; end: () => void } {
  const worker = new Worker(new URL("./files.worker.ts", import.meta.url), { type: "module" });
  return { remote: wrap<FilesWorker>(worker), end: () => worker.terminate() };
}

type Told = (part: number) => void;

/** One piece of such work: its answer, and the way to call it off; called off, it never answers. */
export function startFiles<T>(
  work: (remote: Remote<FilesWorker>, report: Told & ReturnType<typeof proxy>) => Promise<T>,
  report: Told,
): { answer: Promise<T>; cancel: () => void } {
  const { remote, end } = filesWorker();
  const answer = work(remote, proxy(report) as Told & ReturnType<typeof proxy>).finally(end);
  return { answer, cancel: end };
}
