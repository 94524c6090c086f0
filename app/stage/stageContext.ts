import type { HorseFile } from "~app/data/queries";
import type { VisitFoot } from "~core/visit/visitFoot";
import type { FootOutlook } from "~core/cycle/horseDue";
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
  /** How each foot grows and drifts, as its own history says; worked out once for the horse's records. */
  outlooks: Record<Limb, FootOutlook>;
  goTo: (place: { stage?: Stage; limb?: Limb }) => void;
}
