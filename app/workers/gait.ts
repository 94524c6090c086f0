import { transfer } from "comlink";
import type { Heard } from "~core/gait/footfalls";
import type { Result } from "~core/result";
import type { GaitWorker } from "./gait.worker";
import { running, type Running } from "./running";

/** Footfalls in a sound, found off the main thread; the samples are handed over and gone here. */
export const footfallsInWorker = (samples: Float32Array<ArrayBuffer>, rate: number): Running<Result<Heard>> =>
  running<GaitWorker, Result<Heard>>(
    new Worker(new URL("./gait.worker.ts", import.meta.url), { type: "module" }),
    (remote) => remote.footfalls(transfer(samples, [samples.buffer]), rate),
  );
