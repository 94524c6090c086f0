import type { StageContext } from "~app/stage/stageContext";
import type { Shoeing } from "~app/stage/useShoe";

/** The views of the shoe stage, as the address and the screen name them. */
export const SHOE_VIEWS = { choose: "Choose", fit: "Fit", sizes: "Ready-made" } as const;
export type ShoeView = keyof typeof SHOE_VIEWS;

/** What each view of the stage is handed. */
export interface ShoeViewProps {
  context: StageContext;
  shoeing: Shoeing;
  show: (view: ShoeView) => void;
}
