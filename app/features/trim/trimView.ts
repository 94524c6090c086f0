import type { StageContext } from "~app/stage/stageContext";
import type { Bench } from "./useBench";

/** The views of the trim, as the address and the screen name them. */
export const TRIM_VIEWS = {
  bench: "Plan",
  sheet: "Cut sheet",
  pair: "Pair and horse",
  months: "Months ahead",
} as const;
export type TrimView = keyof typeof TRIM_VIEWS;

/** What each view of the stage is handed. */
export interface TrimViewProps {
  context: StageContext;
  bench: Bench;
  show: (view: TrimView) => void;
}
