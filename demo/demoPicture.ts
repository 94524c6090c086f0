import type { Limb } from "~core/foot/limb";
import type { Moment } from "~core/foot/records/reading";
import type { Photo } from "~core/photo/photoRecord";
import type { PhotoView } from "~core/photo/views";

/** A rendered picture that is shipped with the application, with its true marks, and whose foot it shows. */
export interface DemoPicture {
  file: string;
  horse: string;
  limb: Limb;
  view: PhotoView;
  /** Which visit, counted from the last. */
  back: number;
  moment: Moment;
  width: number;
  height: number;
  focalPx: number;
  scale: Extract<NonNullable<Photo["scale"]>, { kind: "card" }>;
  points: Photo["points"];
}
