import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { CARD } from "~core/photo/card";
import type { Lens } from "~core/photo/lens";
import { fillFromPhoto, type Filled, type PhotoReading } from "~core/photo/fill";
import type { PhotoScale } from "~core/photo/truePhoto";
import type { Reading } from "~core/foot/records/reading";
import type { FootValues } from "~core/foot/measures";
import { knownSize } from "~core/foot/records/keptSurvey";
import { sizeFactor } from "~core/foot/parametric/parameters";
import type { ImagePoint, Vector } from "~core/geometry/vector";
import { change as changeOf, make } from "~core/record/change";
import { sameValue, type Edit } from "~core/record/edit";
import { footPlace } from "~core/record/footRecords";
import type { Photo } from "~core/photo/photoRecord";
import type { Result } from "~core/result";
import type { StageContext } from "~app/stage/stageContext";
import { draftsAt } from "~app/data/drafts";
import { useDraftText } from "~app/ui/useField";
import { readScaleLength } from "./readScaleLength";
import { useHandle } from "~app/ui/useHandle";

/** Names of the four corners and of the two ends of a scale, beside the view's own marks. */
export const CORNERS = ["card 1", "card 2", "card 3", "card 4"] as const;
export const SCALE_ENDS = ["scale a", "scale b"] as const;

interface Marked {
  points: Partial<Record<string, ImagePoint>>;
  /** Points that the picture suggested, taken and not moved since. */
  suggested: readonly string[];
  lens: Photo["lens"];
  /** Length of a two-point scale, mm; a card without it. */
  scaleMm: number | undefined;
  filled: Filled;
}

const PARTS = ["values", "sole", "side", "rear", "trace"] as const;

/** The scale that the placed corners or ends make; undefined until all are placed. */
export function scaleOf({ points, scaleMm }: Pick<Marked, "points" | "scaleMm">): PhotoScale | undefined {
  const [a, b, c, d] = CORNERS.map((corner) => points[corner]);
  if (a && b && c && d)
    return { kind: "card", widthMm: CARD.sideMm, heightMm: CARD.sideMm, corners: [a, b, c, d] };
  const [from, to] = SCALE_ENDS.map((end) => points[end]);
  return from && to && scaleMm !== undefined ? { kind: "two-point", a: from, b: to, mm: scaleMm } : undefined;
}

/** Marks of one photograph and the reading that they fill; every move is followed by both. */
export function usePhotoMarks(context: StageContext, photo: Photo) {
  const { visit, limb, feet } = context;
  const wording = useWording();
  const { saveWith } = useEdits();
  const foot = feet[limb];
  const reading = foot.reading[photo.moment];
  const blank = footPlace("readings", visit, limb, photo.moment);
  const knownK =
    knownSize(foot.surveys) ??
    (photo.view !== "sole" && foot.values[photo.moment].width
      ? sizeFactor({ limb, widthMm: foot.values[photo.moment].width?.value ?? 0 })
      : undefined);
  // The known length is typed before its ends are placed: a draft until both make a scale.
  const scaleDraft = `${photo.id}.scale`;
  const scale = useDraftText(scaleDraft);
  const storedMm = photo.scale?.kind === "two-point" ? photo.scale.mm : undefined;
  const typedScale = scale.text === "" ? undefined : readScaleLength(scale.text, wording.unit);
  const typedMm = typedScale?.ok ? typedScale.value : undefined;
  const stored: Marked = {
    points: photo.points,
    suggested: photo.suggested ?? [],
    lens: photo.lens,
    scaleMm: typedMm ?? storedMm,
    filled: {
      values: reading?.values ?? {},
      sole: reading?.sole ?? {},
      side: reading?.side ?? {},
      rear: reading?.rear ?? {},
      trace: reading?.trace ?? [],
    },
  };
  const label = `${wording.limb(limb)} ${photo.view} picture`;
  const live = useHandle<Marked>(stored, (now, flushSync) => {
    const edits: Edit[] = [];
    if (!sameValue(stored.points, now.points))
      edits.push(changeOf("photos", photo, ["points"], now.points as Photo["points"], label));
    if (!sameValue(stored.suggested, now.suggested))
      edits.push(changeOf("photos", photo, ["suggested"], [...now.suggested], label));
    if (!sameValue(stored.lens, now.lens)) edits.push(changeOf("photos", photo, ["lens"], now.lens, label));
    if (scaleOf(now) && !sameValue(photo.scale, scaleOf(now)))
      edits.push(changeOf("photos", photo, ["scale"], scaleOf(now) as Photo["scale"], label));
    const parts = PARTS.filter((part) => !sameValue(stored.filled[part], now.filled[part]));
    if (reading)
      edits.push(...parts.map((part) => changeOf("readings", reading, [part], now.filled[part], label)));
    else if (parts.length > 0)
      edits.push(
        make(
          "readings",
          { ...blank, ...Object.fromEntries(parts.map((part) => [part, now.filled[part]])) } as Reading,
          label,
        ),
      );
    const drafts = typedMm !== undefined && scaleOf(now) ? draftsAt(scaleDraft) : [];
    return edits.length > 0 ? saveWith(edits, drafts, flushSync) : undefined;
  });
  const read = (marked: Marked): Result<PhotoReading> | undefined => {
    const scale = scaleOf(marked);
    if (!scale) return undefined;
    return fillFromPhoto(
      {
        view: photo.view,
        width: photo.width,
        height: photo.height,
        focalPx: photo.focalPx,
        focalGuessed: photo.focalGuessed,
        lens: marked.lens,
        scale,
        points: marked.points,
      },
      limb,
      marked.filled,
      knownK,
      photo.simulated ? "simulated" : "photo",
    );
  };
  const change = (next: (marked: Marked) => Partial<Marked>, rest: boolean) =>
    live.move((now) => {
      const changed = { ...now, ...next(now) };
      const found = read(changed);
      return found?.ok ? { ...changed, filled: found.value.filled } : changed;
    }, rest);
  const hundredths = ([x, y]: Vector): ImagePoint => [Math.round(x * 100) / 100, Math.round(y * 100) / 100];
  const place = (mark: string, at: Vector, rest: boolean) =>
    change(
      ({ points, suggested }) => ({
        points: { ...points, [mark]: hundredths(at) },
        suggested: suggested.filter((one) => one !== mark),
      }),
      rest,
    );
  /** Takes points that were suggested, all at once; with the card its lens, where no profile of the device is known. */
  const take = (found: Readonly<Record<string, Vector>>, seen?: Lens) =>
    change(
      ({ points, suggested, lens }) => ({
        ...(seen && !lens && { lens: seen }),
        points: {
          ...points,
          ...Object.fromEntries(Object.entries(found).map(([mark, at]) => [mark, hundredths(at)])),
        },
        suggested: [...new Set([...suggested, ...Object.keys(found)])],
      }),
      true,
    );
  /** What some marks say by themselves, whatever stands in the reading. */
  const valuesOf = (points: Marked["points"]): FootValues => {
    const alone = { values: {}, sole: {}, side: {}, rear: {}, trace: [] };
    const found = read({ ...live.value, points, filled: alone });
    return found?.ok ? found.value.filled.values : {};
  };
  return {
    marked: live.value,
    reading: read(live.value),
    valuesOf,
    place,
    take,
    change,
    knownLength: {
      ...scale,
      mm: stored.scaleMm,
      issue: typedScale?.ok === false ? typedScale.issues[0] : undefined,
    },
  };
}
