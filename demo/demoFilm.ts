import type { Limb } from "~core/foot/limb";
import type { Film } from "~core/radiograph/filmRecord";

/** A drawn film of the demo round as it is shipped: its file, whose it is, and its true marks. */
export interface DemoFilm {
  file: string;
  horse: string;
  limb: Limb;
  view: Film["view"];
  /** Taken so many days after the nth last visit. */
  back: number;
  daysAfter: number;
  width: number;
  height: number;
  markerMm: number;
  points: Record<string, [number, number]>;
}
