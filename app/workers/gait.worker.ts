import { expose } from "comlink";
import { findFootfalls } from "~core/gait/footfalls";

/** A thin adapter: the same function runs in the tests. */
const gaitWorker = {
  footfalls: (samples: Float32Array, rate: number) => findFootfalls(samples, rate),
};
export type GaitWorker = typeof gaitWorker;

expose(gaitWorker);
