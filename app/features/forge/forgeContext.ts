import type { ForgeRecords } from "~app/data/forge";
import type { ForgeJob, JobSteel } from "~core/forge/anvil/job";
import type { Anvil } from "./useForging";

/** The views of the forge, in the order of the work. */
export const FORGE_VIEWS = {
  steel: "Steel",
  marks: "Marks",
  pattern: "Pattern",
  heats: "Heats",
  hand: "Your hand",
  list: "Cut list",
  tables: "Tables",
} as const;
export type ForgeViewName = keyof typeof FORGE_VIEWS;

/** What every view of the forge is handed. */
export interface ForgeContext extends ForgeRecords {
  today: string;
  job: ForgeJob;
  steelOf: JobSteel;
  anvil: Anvil;
  show: (view: ForgeViewName) => void;
}
