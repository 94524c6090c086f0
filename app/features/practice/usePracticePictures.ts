import { useEffect, useRef, useState } from "react";
import { standingPictures } from "~app/workers/pictures";
import type { PracticePicture } from "~core/practice/picture";

const keyOf = ({ seed, view, foot }: PracticePicture): string => `${seed}.${view}.${foot.limb}`;

/**
 * The pictures that are wanted, made one after the other off the main thread: the one that is looked at first, then those
 * that may come next. Those no longer wanted are let go.
 */
export function usePracticePictures(wanted: readonly PracticePicture[]): {
  urlOf: (picture: PracticePicture) => string | undefined;
  failed: boolean;
} {
  const worker = useRef<ReturnType<typeof standingPictures>>(undefined);
  const urls = useRef(new Map<string, string | undefined>());
  const [, setMade] = useState(0);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    const kept = urls.current;
    return () => {
      worker.current?.end();
      worker.current = undefined;
      for (const url of kept.values()) if (url) URL.revokeObjectURL(url);
      kept.clear();
    };
  }, []);
  useEffect(() => {
    const kept = urls.current;
    const keys = new Set(wanted.map(keyOf));
    for (const [key, url] of kept)
      if (!keys.has(key)) {
        if (url) URL.revokeObjectURL(url);
        kept.delete(key);
      }
    for (const picture of wanted) {
      const key = keyOf(picture);
      if (kept.has(key)) continue;
      kept.set(key, undefined);
      worker.current ??= standingPictures();
      const { foot, view, shot, seed, conditions } = picture;
      void worker.current.remote
        .simulate(foot, view, shot, seed, conditions)
        .then(({ bytes }) => {
          if (!kept.has(key)) return;
          kept.set(key, URL.createObjectURL(new Blob([bytes], { type: "image/jpeg" })));
          setMade((count) => count + 1);
        })
        .catch(() => setFailed(true));
    }
  });
  return { urlOf: (picture) => urls.current.get(keyOf(picture)), failed };
}

/** What stands in the place of a picture that is not there yet, or will not be. */
export const picturesWait = (failed: boolean): string =>
  failed
    ? "This browser could not make the picture. Load the page again; what was scored is kept."
    : "The picture is being taken …";
