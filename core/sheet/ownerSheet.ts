import type { IsoDate } from "../calendar/date";
import { isFore, LIMBS, type Limb } from "../foot/limb";
import { noiseOf } from "../foot/records/pairs";
import { sentenceCase, type Wording } from "../foot/wording";
import { PHOTO_VIEW_FACTS } from "../photo/views";
import type { Photo } from "../photo/photoRecord";
import type { Horse } from "../record/horse";
import type { Settings } from "../record/settings";
import type { Visit } from "../record/visit";
import { studsForOwner } from "../shoe/specWords";
import { visitFoot, type FootRecords } from "../visit/visitFoot";
import { fourNumbers, whatWasDone, whatWasLeft } from "./parts";
import type { Sheet, SheetPart } from "./sheet";

/** Pictures on an owner's sheet: as many as stand in a row. */
const MOST_PICTURES = 4;

export const feetAt = (visit: Visit, records: FootRecords) =>
  Object.fromEntries(LIMBS.map((limb) => [limb, visitFoot(visit, limb, records)])) as Record<
    Limb,
    ReturnType<typeof visitFoot>
  >;

export const pictureCaption = (
  { limb, view, date, moment }: Photo,
  wording: Wording,
  day: (date: IsoDate) => string,
): string =>
  `${sentenceCase(wording.limb(limb))}, ${PHOTO_VIEW_FACTS[view].name.toLowerCase()}, ${day(date)}${moment === "before" ? ", as it came" : ""}`;

/**
 * The owner's sheet of one visit: pictures, four numbers a foot with their change, what was done, what was left alone and
 * why, studs, and when to come back. Plain words; nothing that its farrier wrote for himself, no telephone number of the yard.
 */
export function ownerSheet(
  { horse, visit, records }: { horse: Horse; visit: Visit; records: FootRecords },
  settings: Settings,
  wording: Wording,
  day: (date: IsoDate) => string,
): Sheet {
  const feet = feetAt(visit, records);
  const noise = noiseOf(settings);
  const shod = LIMBS.flatMap((limb) => {
    const spec = feet[limb].shoe?.spec;
    return spec ? [{ fore: isFore(limb), spec }] : [];
  });
  const photos = records.photos
    .filter(({ visitId }) => visitId === visit.id)
    .sort((a, b) => b.moment.localeCompare(a.moment) || a.limb.localeCompare(b.limb))
    .slice(0, MOST_PICTURES);
  const done = whatWasDone(feet, wording);
  const left = [...(visit.tell ? [visit.tell] : []), ...whatWasLeft(feet, noise, wording)];
  const studs = shod.length > 0 ? studsForOwner(shod) : "";
  const parts: SheetPart[] = [
    ...(photos.length > 0
      ? [
          {
            kind: "pictures" as const,
            pictures: photos.map((photo) => ({
              pictureId: photo.pictureId,
              caption: pictureCaption(photo, wording, day),
            })),
          },
        ]
      : []),
    fourNumbers(feet, noise, wording),
    { kind: "heading", text: "Done" },
    done.length > 0 ? { kind: "list", items: done } : { kind: "text", text: "Nothing was noted." },
    ...(left.length > 0
      ? [
          { kind: "heading" as const, text: "Left alone, and why" },
          { kind: "list" as const, items: left },
        ]
      : []),
    ...(studs
      ? [
          { kind: "heading" as const, text: "Studs" },
          { kind: "text" as const, text: studs },
        ]
      : []),
    {
      kind: "text",
      strong: true,
      text: visit.next
        ? `Due again ${day(visit.next.due)}, from ${day(visit.next.windowStart)} on.`
        : "Not signed off yet: no next day is set.",
    },
  ];
  return {
    for: "owner",
    title: horse.name,
    subtitle: `Feet on ${day(visit.date)}`,
    parts,
    foot: "Lame, hot in the foot, a loose shoe or a nail that pricks: call before the day, and the vet first where the horse is lame.",
  };
}
