import { longer } from "../math/longer";

/** What one day could hold: yards as bits and how many of each kind of job. */
export interface DayLoad {
  day: number;
  mask: number;
  /** Drive and the days' costs of its jobs, minutes. */
  cost: number;
  /** Kind and how many of it, by rising kind. */
  taken: readonly (readonly [kind: number, count: number])[];
}

/** Many day-loads, one behind the other in little room, each by its number. */
export class LoadTable {
  count = 0;
  day = new Uint8Array(1024);
  mask = new Int32Array(1024);
  cost = new Float64Array(1024);
  /** Where the jobs of each begin, and where those of the last end. */
  from = new Int32Array(1025);
  /** The jobs: their kinds, and how many of each. */
  kind = new Uint16Array(8192);
  times = new Uint8Array(8192);
  readonly #names = new Set<string>();

  /** Adds a load. */
  add(day: number, mask: number, cost: number, kinds: ArrayLike<number>, times: ArrayLike<number>): void {
    const { count } = this;
    const start = this.from[count] as number;
    const end = start + kinds.length;
    if (count === this.day.length) {
      this.day = longer(this.day, 2 * count, Uint8Array);
      this.mask = longer(this.mask, 2 * count, Int32Array);
      this.cost = longer(this.cost, 2 * count, Float64Array);
      this.from = longer(this.from, 2 * count + 1, Int32Array);
    }
    if (end > this.kind.length) {
      this.kind = longer(this.kind, 2 * end, Uint16Array);
      this.times = longer(this.times, 2 * end, Uint8Array);
    }
    this.day[count] = day;
    this.mask[count] = mask;
    this.cost[count] = cost;
    for (let at = 0; at < kinds.length; at++) {
      this.kind[start + at] = kinds[at] as number;
      this.times[start + at] = times[at] as number;
    }
    this.from[count + 1] = end;
    this.count = count + 1;
  }

  /** Adds a load unless it was added so before; its number, or nothing. */
  addNew({ day, mask, cost, taken }: DayLoad): number | undefined {
    const name = `${day}:${taken.flat().join(",")}`;
    if (this.#names.has(name)) return undefined;
    this.#names.add(name);
    this.add(
      day,
      mask,
      cost,
      taken.map(([kind]) => kind),
      taken.map(([, count]) => count),
    );
    return this.count - 1;
  }

  /** A table of the loads that are wanted, in their order, and the new number of each, -1 of the others. */
  kept(wanted: (load: number) => boolean): { table: LoadTable; place: Int32Array } {
    const table = new LoadTable();
    const place = new Int32Array(this.count).fill(-1);
    for (let load = 0; load < place.length; load++) {
      if (!wanted(load)) continue;
      place[load] = table.count;
      table.#take(this, load);
    }
    return { table, place };
  }

  /** A table of some loads, in this order. */
  picked(loads: readonly number[]): LoadTable {
    const table = new LoadTable();
    for (const load of loads) table.#take(this, load);
    return table;
  }

  #take(other: LoadTable, load: number): void {
    const [from, end] = [other.from[load] as number, other.from[load + 1] as number];
    this.add(
      other.day[load] as number,
      other.mask[load] as number,
      other.cost[load] as number,
      other.kind.subarray(from, end),
      other.times.subarray(from, end),
    );
  }

  /** A load by itself. */
  load(number: number): DayLoad {
    const taken: [number, number][] = [];
    for (let at = this.from[number] as number; at < (this.from[number + 1] as number); at++)
      taken.push([this.kind[at] as number, this.times[at] as number]);
    return {
      day: this.day[number] as number,
      mask: this.mask[number] as number,
      cost: this.cost[number] as number,
      taken,
    };
  }
}
