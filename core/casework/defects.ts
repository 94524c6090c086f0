import type { Case, CaseKind } from "../case/caseRecord";
import type { IsoDate } from "../calendar/date";
import type { Limb } from "../foot/limb";
import type { FindKind } from "../foot/wear";
import type { WallPlace } from "../foot/survey/walls";
import { HAND_SD_MM } from "../photo/fill";
import { readDefectPhoto } from "../photo/defect";
import type { FootRecords } from "../visit/visitFoot";

/** A case's defect as one day showed it, from a picture or from what was found; mm. */
export interface DefectThen {
  date: IsoDate;
  from: "picture" | "find";
  length?: number | undefined;
  width?: number | undefined;
  below?: number | undefined;
  /** Its lower end from the ground. */
  above?: number | undefined;
  wall?: WallPlace | undefined;
  gone?: boolean | undefined;
}

/** Finds that are a case's own defect. */
const OWN_FINDS: Partial<Record<CaseKind, readonly FindKind[]>> = {
  crack: ["crack"],
  "resected wall": ["cavity"],
  "white line disease": ["cavity", "white line"],
  abscess: ["old tract", "discharge", "puncture"],
};

/** How the defect of a case has gone on one foot, oldest first; a picture outranks a find of its day. */
export function defectsOf(
  { kind }: Pick<Case, "kind">,
  limb: Limb,
  { photos, looks }: Pick<FootRecords, "photos" | "looks">,
): DefectThen[] {
  const pictures = photos.flatMap((photo): DefectThen[] => {
    if (photo.limb !== limb || photo.view !== "defect" || !photo.scale) return [];
    const read = readDefectPhoto({ ...photo, scale: photo.scale }, HAND_SD_MM);
    if (!read.ok || Object.keys(read.value.defect).length === 0) return [];
    return [{ date: photo.date, from: "picture", ...read.value.defect }];
  });
  const kinds = OWN_FINDS[kind] ?? [];
  const finds = looks.flatMap((look): DefectThen[] => {
    if (look.limb !== limb) return [];
    const own = Object.values(look.finds).filter((find) => kinds.includes(find.kind));
    const largest = own.sort((a, b) => (b.lengthMm ?? 0) - (a.lengthMm ?? 0))[0];
    if (!largest || pictures.some(({ date }) => date === look.date)) return [];
    const { lengthMm: length, belowMm: below, wall, gone } = largest;
    return [{ date: look.date, from: "find", length, below, wall, gone }];
  });
  return [...pictures, ...finds].sort((a, b) => a.date.localeCompare(b.date));
}
