import { useEffect, useState } from "react";
import type { Film } from "~core/radiograph/filmRecord";

const WHOLE: Film["shown"] = { low: 0, high: 1, invert: false };
const same = (a: Film["shown"], b: Film["shown"]) =>
  a.low === b.low && a.high === b.high && a.invert === b.invert;

/** The picture with its greys spread between `low` and `high`, and turned over where asked; the film itself stays as it is. */
export function useWindowed(url: string | undefined, shown: Film["shown"]): string | undefined {
  const [made, setMade] = useState<{ of: string; shown: Film["shown"]; url: string }>();
  useEffect(() => {
    if (url === undefined || same(shown, WHOLE)) return undefined;
    let live = true;
    let own: string | undefined;
    void windowed(url, shown).then((next) => {
      own = next;
      if (live && next) setMade({ of: url, shown, url: next });
      else if (next) URL.revokeObjectURL(next);
    });
    return () => {
      live = false;
      // Shown until the next one is ready.
      if (own) setTimeout(() => URL.revokeObjectURL(own as string), 2000);
    };
  }, [url, shown]);
  if (url === undefined || same(shown, WHOLE)) return url;
  return made?.of === url ? made.url : url;
}

async function windowed(url: string, { low, high, invert }: Film["shown"]): Promise<string | undefined> {
  const picture = new Image();
  picture.src = url;
  await picture.decode().catch(() => undefined);
  const canvas = document.createElement("canvas");
  canvas.width = picture.naturalWidth;
  canvas.height = picture.naturalHeight;
  const context = canvas.getContext("2d", { willReadFrequently: true });
  if (!context || canvas.width === 0) return undefined;
  context.drawImage(picture, 0, 0);
  const pixels = context.getImageData(0, 0, canvas.width, canvas.height);
  const table = Uint8ClampedArray.from({ length: 256 }, (_, grey) => {
    const part = (grey / 255 - low) / Math.max(0.004, high - low);
    return 255 * (invert ? 1 - part : part);
  });
  const { data } = pixels;
  for (let at = 0; at < data.length; at++) if (at % 4 !== 3) data[at] = table[data[at] ?? 0] ?? 0;
  context.putImageData(pixels, 0, 0);
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, "image/jpeg", 0.92));
  return blob ? URL.createObjectURL(blob) : undefined;
}
