import { useEffect, useRef, useState } from "react";
import { suggestingPicture } from "~app/data/pictures";
import type { FootParameters } from "~core/foot/parametric/parameters";
import { HAND_SD_MM } from "~core/photo/fill";
import type { Photo } from "~core/photo/photoRecord";
import type { PhotoScale } from "~core/photo/truePhoto";
import { isMeasured } from "~core/photo/views";
import type { ImagePoint } from "~core/geometry/vector";
import type { Result } from "~core/result";
import { FIRST_TAPS, type Suggested } from "~core/suggest/suggest";

interface Asked {
  photo: Photo;
  base: FootParameters;
  scale: PhotoScale | undefined;
  lens: Photo["lens"];
  points: Partial<Record<string, ImagePoint>>;
  /** Points that were suggested themselves and not moved since. */
  suggested: readonly string[];
  wanted: boolean;
}

/**
 * What the picture suggests for the marks that have no place yet, asked anew after each mark that a hand has placed.
 * Undefined before the first three, and while it is worked out.
 */
export function useSuggestions(asked: Asked): Result<Suggested> | undefined {
  const { photo, base, scale, lens, points, suggested, wanted } = asked;
  const { view } = photo;
  const reader = useRef<ReturnType<typeof suggestingPicture>>(undefined);
  const [answer, setAnswer] = useState<{ key: string; found: Result<Suggested> | undefined }>();
  const byHand = Object.fromEntries(Object.entries(points).filter(([mark]) => !suggested.includes(mark)));
  const ready =
    wanted &&
    isMeasured(view) &&
    scale?.kind === "card" &&
    FIRST_TAPS[view].every((mark) => points[mark] !== undefined);
  const key = ready ? JSON.stringify([photo.id, scale, lens, byHand]) : undefined;
  useEffect(
    () => () => {
      reader.current?.end();
      reader.current = undefined;
    },
    [],
  );
  const ask = useRef<() => void>(undefined);
  useEffect(() => {
    ask.current = () => {
      if (key === undefined || !scale || !isMeasured(view)) return;
      reader.current ??= suggestingPicture(photo.pictureId);
      const { width, height, focalPx, focalGuessed } = photo;
      void reader.current
        .suggest({
          photo: { view, width, height, focalPx, focalGuessed, lens, scale, points: byHand },
          base,
          handSdMm: HAND_SD_MM,
        })
        .catch(() => undefined)
        .then((found) => setAnswer({ key, found }));
    };
  });
  useEffect(() => {
    ask.current?.();
  }, [key]);
  return key !== undefined && answer?.key === key ? answer.found : undefined;
}
