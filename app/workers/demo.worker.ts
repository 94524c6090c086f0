import { expose } from "comlink";
import { makeFirstDay } from "~demo/firstDay";
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
    await Promise.all(demoPhotos(records).map((one) => addPicture(records, one)));
    return records;
  },
};

/** Adds a photograph with its picture; where the file cannot be had the round goes without it. */
async function addPicture(
  records: Records,
  { photo, file }: ReturnType<typeof demoPhotos>[number],
): Promise<void> {
  const answer = await fetch(`/demo/${file}`).catch(() => undefined);
  if (!answer?.ok) return;
  const bytes = new Uint8Array(await answer.arrayBuffer());
  const text = Array.from(bytes, (one) => String.fromCharCode(one)).join("");
  records.pictures.push({ id: photo.pictureId, type: "image/jpeg", data: btoa(text) });
  records.photos.push(photo);
}
export type DemoWorker = typeof demoWorker;

expose(demoWorker);
