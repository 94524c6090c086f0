import { expose } from "comlink";
import loadHighs from "highs";
import wasm from "highs/runtime?url";
import { cutList, type CutListQuestion } from "~core/forge/cutlist/cutList";
import { plannedPieces, type PlannedHorse } from "~core/visit/comingShoes";
import { highsSolver } from "~core/math/programme";
import { loadList } from "~core/rounds/loadList";
import type { Forged } from "~core/forge/forgeRecord";
import type { NailRow } from "~core/shoe/shoeRecord";
import type { Settings } from "~core/record/settings";
import { wordingFor } from "~core/foot/wording";

/** A thin adapter: the same functions run in the tests and in the headless command. */
const forgeWorker = {
  cut: async (question: CutListQuestion) => {
    const solve = highsSolver(await loadHighs({ locateFile: () => wasm }));
    const from = performance.now();
    const list = cutList(question, solve);
    return { list, ms: performance.now() - from };
  },
  pieces: (horses: PlannedHorse[], settings: Settings, log: Forged[]) =>
    horses.flatMap((horse) => plannedPieces(horse, settings, log, wordingFor(settings))),
  load: (horses: PlannedHorse[], settings: Settings, log: Forged[], nails: NailRow[]) =>
    loadList(horses, settings, log, nails, wordingFor(settings)),
};
export type ForgeWorker = typeof forgeWorker;

expose(forgeWorker);
