import type { HorseFile } from "~app/data/queries";
import type { VisitFoot } from "~core/visit/visitFoot";
import type { Limb } from "~core/foot/limb";
import type { Visit } from "~core/record/visit";
import type { Stage } from "~core/constants/stages";

/** What every stage of a visit is handed. */
export interface StageContext {
  visit: Visit;
  file: HorseFile;
  today: string;
  stage: Stage;
  limb: Limb;
  /** The day’s order of feet: a sore one first. */
  order: readonly Limb[];
  /** The foot after this one in that order; none after the last. */
  nextFoot: Limb | undefined;
  feet: Record<Limb, VisitFoot>;
  /** Toe growth of each foot, mm a day, as its own history says. */
  growth: Partial<Record<Limb, number>>;
  goTo: (place: { stage?: Stage; limb?: Limb }) => void;
}
