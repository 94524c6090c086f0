import type { DayLoad } from "./loads";

/** The day-loads that a search has met, each once. */
export class LoadPool {
  readonly loads: DayLoad[] = [];
  readonly #names = new Set<string>();

  constructor(loads: readonly DayLoad[] = []) {
    for (const load of loads) this.keep(load);
  }

  /** Keeps a load that it did not know. */
  keep(load: DayLoad): void {
    if (this.#names.has(load.name)) return;
    this.#names.add(load.name);
    this.loads.push(load);
  }
}
