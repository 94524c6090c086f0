import { wrap, type Remote } from "comlink";

/** Work that runs off the main thread and can be called off. */
export interface Running<T> {
  answer: Promise<T>;
  cancel: () => void;
}

/** Runs one piece of work in a worker of its own; called off, its promise never settles. */
export function running<Api, T>(worker: Worker, work: (remote: Remote<Api>) => Promise<T>): Running<T> {
  const broke = new Promise<never>((_, refuse) => {
    worker.onerror = (event) => refuse(new Error(event.message || "The solver could not be started."));
  });
  const answer = Promise.race([work(wrap<Api>(worker)), broke]).finally(() => worker.terminate());
  return { answer, cancel: () => worker.terminate() };
}
