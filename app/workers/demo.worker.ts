import { expose } from "comlink";
import { makeFirstDay } from "~demo/firstDay";
import { demoFilms } from "~demo/filmed";
import { demoPhotos } from "~demo/pictured";
import { makeDemoRound, type DemoProgress } from "~demo/generate";
import type { Records } from "~core/record/tables";

const DEMO_SEED = 7;

/** A thin adapter: the same functions run on the main thread in the tests. */
const demoWorker = {
  make: async (
    kind: "demo" | "first-day",
    today: string,
    report: (progress: DemoProgress) => void,
  ): Promise<Records> => {
    if (kind === "first-day") return makeFirstDay(today);
    const records = makeDemoRound(today, DEMO_SEED, report);
    await Promise.all([
      ...demoPhotos(records).map(async ({ photo, file }) => {
        if (await addPicture(records, photo.pictureId, file)) records.photos.push(photo);
      }),
      ...demoFilms(records).map(async ({ film, file }) => {
        if (await addPicture(records, film.pictureId, file)) records.films.push(film);
      }),
    ]);
    return records;
  },
};

/** Adds a shipped picture; false where its file cannot be had: the round goes without it. */
async function addPicture(records: Records, id: string, file: string): Promise<boolean> {
  const answer = await fetch(`/demo/${file}`).catch(() => undefined);
  if (!answer?.ok) return false;
  const bytes = new Uint8Array(await answer.arrayBuffer());
  const text = Array.from(bytes, (one) => String.fromCharCode(one)).join("");
  records.pictures.push({ id, type: "image/jpeg", data: btoa(text) });
  return true;
}
export type DemoWorker = typeof demoWorker;

expose(demoWorker);
