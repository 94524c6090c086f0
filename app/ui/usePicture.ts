import { useEffect, useState } from "react";
import { pictureUrl } from "~app/data/pictures";

/** A kept picture as an address for an image; `missing` when the store does not have it. */
export function usePicture(pictureId: string): { url?: string; missing: boolean } {
  const [found, setFound] = useState<{ id: string; url: string | undefined }>();
  useEffect(() => {
    let live = true;
    let made: string | undefined;
    void pictureUrl(pictureId).then((url) => {
      made = url;
      if (live) setFound({ id: pictureId, url });
      else if (url) URL.revokeObjectURL(url);
    });
    return () => {
      live = false;
      if (made) URL.revokeObjectURL(made);
    };
  }, [pictureId]);
  if (found?.id !== pictureId) return { missing: false };
  return found.url === undefined ? { missing: true } : { url: found.url, missing: false };
}
