import { max } from "d3-array";

/** A sound's loudness as columns that fit a screen. */
export interface HeardModel {
  /** 0 to 1, the loudest within each column. */
  columns: number[];
  seconds: number;
}

/** Columns a second: fine enough to see a footfall, few enough to draw a minute. */
const COLUMNS_A_SECOND = 80;

/** The loudest of each stretch: a footfall is never averaged away. */
export function heardModel(envelope: Float32Array, stepS: number): HeardModel {
  const seconds = envelope.length * stepS;
  const count = Math.max(1, Math.round(seconds * COLUMNS_A_SECOND));
  const per = envelope.length / count;
  return {
    seconds,
    columns: Array.from(
      { length: count },
      (_, at) =>
        max(
          envelope.subarray(
            Math.floor(at * per),
            Math.max(Math.floor(at * per) + 1, Math.floor((at + 1) * per)),
          ),
        ) ?? 0,
    ),
  };
}
