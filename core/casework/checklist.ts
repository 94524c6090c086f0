import type { IsoDate } from "../calendar/date";
import type { Case, CaseKind } from "../case/caseRecord";
import type { Limb } from "../foot/limb";
import type { Photo } from "../photo/photoRecord";
import type { PhotoView } from "../photo/views";

/** A picture that a case wants at every visit. */
export interface WantedPicture {
  limb: Limb;
  view: PhotoView;
  /** When it was taken last. */
  last: IsoDate | undefined;
  /** Taken on the day asked for. */
  taken: boolean;
}

/** Cases with something in the wall to be pictured by itself. */
const WITH_DEFECT: readonly CaseKind[] = [
  "crack",
  "resected wall",
  "white line disease",
  "abscess",
  "injury",
];

/** The fixed checklist of a case, foot by foot, so that pictures compare: front, side, behind, sole, and the defect. */
export function pictureChecklist(
  { feet, kind }: Pick<Case, "feet" | "kind">,
  photos: readonly Pick<Photo, "limb" | "view" | "date">[],
  day: IsoDate | undefined,
): WantedPicture[] {
  const views: PhotoView[] = [
    "front",
    "side",
    "rear",
    "sole",
    ...(WITH_DEFECT.includes(kind) ? ["defect" as const] : []),
  ];
  return feet.flatMap((limb) =>
    views.map((view): WantedPicture => {
      const own = photos
        .filter((photo) => photo.limb === limb && photo.view === view)
        .map(({ date }) => date);
      return { limb, view, last: own.sort().at(-1), taken: day !== undefined && own.includes(day) };
    }),
  );
}
