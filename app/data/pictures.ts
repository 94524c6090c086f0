import { standingPictures, withPicturesWorker } from "../workers/pictures";
import type { ReadyPicture } from "../workers/pictures.worker";
import type { FoundCard } from "~core/photo/findCard";
import { ok, type Result } from "~core/result";
import type { Suggested, SuggestQuestion } from "~core/suggest/suggest";
import { pictureOf, putPicture } from "./loosePictures";

export interface KeptPicture extends Omit<ReadyPicture, "bytes" | "type"> {
  pictureId: string;
}

/**
 * Readies a picture in a worker and keeps its bytes. They are written once and never changed, and lie outside the
 * journal: what is done and undone is the photo record that points to them.
 */
export async function keepPicture(file: Blob): Promise<Result<KeptPicture>> {
  const ready = await withPicturesWorker<Result<ReadyPicture>>(
    (remote) => remote.prepare(file) as Promise<Result<ReadyPicture>>,
  );
  if (!ready.ok) return ready;
  const { bytes, type, ...facts } = ready.value;
  return ok({ ...facts, pictureId: await putPicture({ type, bytes }) });
}

/** The picture as an address for an image; undefined when it is not in the store. Let go of it when done. */
export async function pictureUrl(id: string): Promise<string | undefined> {
  const picture = await pictureOf(id);
  return picture && URL.createObjectURL(picture.bytes);
}

/** The printed card in a kept picture, looked for off the main thread; undefined when the picture is not in the store. */
export async function cardInPicture(id: string): Promise<Result<FoundCard> | undefined> {
  const picture = await pictureOf(id);
  return (
    picture &&
    withPicturesWorker<Result<FoundCard>>(
      (remote) => remote.cardIn(picture.bytes) as Promise<Result<FoundCard>>,
    )
  );
}

/** The printed card in a picture that is not kept. */
export const cardInFile = (file: Blob): Promise<Result<FoundCard>> =>
  withPicturesWorker<Result<FoundCard>>((remote) => remote.cardIn(file) as Promise<Result<FoundCard>>);

/** A kept picture that marks are suggested in while it is worked on, off the main thread. Let go of it when done. */
export function suggestingPicture(id: string): {
  /** Undefined when the picture is not in the store. */
  suggest: (question: Omit<SuggestQuestion, "picture">) => Promise<Result<Suggested> | undefined>;
  end: () => void;
} {
  const { remote, end } = standingPictures();
  return {
    suggest: async (question) => {
      const picture = await pictureOf(id);
      return picture && ((await remote.suggestIn(id, picture.bytes, question)) as Result<Suggested>);
    },
    end,
  };
}
