import type { FootParameters } from "~core/foot/parametric/parameters";
import type { FilmView } from "~core/radiograph/filmMarks";
import type { Film } from "~core/radiograph/filmRecord";
import { ORDINARY_INSIDE } from "~core/radiograph/standInFilm";
import { ok, type Result } from "~core/result";
import { withFilmsWorker } from "../workers/films";
import type { ReadyFilm } from "../workers/films.worker";
import { putPicture } from "./loosePictures";

/** What of a film's record its picture says. */
export type KeptFilm = Pick<Film, "pictureId" | "width" | "height" | "scale" | "truth"> & { date?: string };

async function keep({ bytes, width, height, spacing, date }: ReadyFilm): Promise<KeptFilm> {
  const pictureId = await putPicture({ type: "image/jpeg", bytes });
  return {
    pictureId,
    width,
    height,
    ...(spacing && {
      scale: {
        kind: "spacing",
        mmPerPx: spacing.mmPerPx,
        magnification: spacing.magnification,
        from: "file",
      },
    }),
    ...(date !== undefined && { date }),
  };
}

/** Reads a film from a file in a worker and keeps its picture; the record that points to it is made by who asked. */
export async function keepFilm(file: Blob): Promise<Result<KeptFilm>> {
  const ready = await withFilmsWorker<Result<ReadyFilm>>(
    (remote) => remote.prepare(file) as Promise<Result<ReadyFilm>>,
  );
  return ready.ok ? ok(await keep(ready.value)) : ready;
}

/** Draws a stand-in of a foot and keeps it; its marks are for whoever practises to place. */
export async function keepStandIn(foot: FootParameters, view: FilmView): Promise<Result<KeptFilm>> {
  const { ready, truth, markerMm } = await withFilmsWorker((remote) =>
    remote.standIn(foot, ORDINARY_INSIDE, view, 1),
  );
  const read = ready as Result<ReadyFilm>;
  return read.ok
    ? ok({
        ...(await keep(read.value)),
        scale: { kind: "marker", mm: markerMm },
        truth: truth as unknown as NonNullable<Film["truth"]>,
      })
    : read;
}
