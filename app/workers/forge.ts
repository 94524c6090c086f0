import type { Remote } from "comlink";
import type { CutList, CutListQuestion } from "~core/forge/cutlist/cutList";
import type { PlannedHorse, PlannedPiece } from "~core/visit/comingShoes";
import type { Forged } from "~core/forge/forgeRecord";
import type { LoadList } from "~core/rounds/loadList";
import type { NailRow } from "~core/shoe/shoeRecord";
import type { Settings } from "~core/record/settings";
import type { Result } from "~core/result";
import type { ForgeWorker } from "./forge.worker";
import { running, type Running } from "./running";

const inWorker = <T>(work: (remote: Remote<ForgeWorker>) => Promise<T>): Running<T> =>
  running(new Worker(new URL("./forge.worker.ts", import.meta.url), { type: "module" }), work);

/** Cut lists one after another, with the time that each took in the worker, ms. */
export const cutInWorker = (questions: readonly CutListQuestion[]) =>
  inWorker(async (remote) => {
    const lists: { list: Result<CutList>; ms: number }[] = [];
    for (const question of questions) lists.push(await remote.cut(question));
    return lists;
  });

export const piecesInWorker = (
  horses: PlannedHorse[],
  settings: Settings,
  log: Forged[],
): Running<PlannedPiece[]> => inWorker((remote) => remote.pieces(horses, settings, log));

export const loadInWorker = (
  horses: PlannedHorse[],
  settings: Settings,
  log: Forged[],
  nails: NailRow[],
): Running<LoadList> => inWorker((remote) => remote.load(horses, settings, log, nails));
