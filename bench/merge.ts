import { device, openVisit, starting } from "../core/merge/devices.fixture";
import { threeDevices, twoDevices } from "../core/merge/histories.fixture";
import { mergeSides } from "../core/merge/merge";
import { records } from "../core/record/records.fixture";
import type { Promised } from "./promise";

/** Histories of each kind that are played. */
const HISTORIES = 1000;

/** Ms to merge 4,000 visits that all hang on horses which the other device took away. */
function timeKeeping(): number {
  const start = records();
  const [horse] = start.horses;
  for (let at = 0; at < 400; at++) if (horse) start.horses.push({ ...horse, id: `g${at}` });
  const [phone, laptop] = [device("phone", starting(start)), device("laptop", starting(start))];
  for (let at = 0; at < 400; at++)
    laptop.edit({ table: "horses", id: `g${at}`, path: [], now: undefined }, at);
  const there = phone.side();
  for (let at = 0; at < 4000; at++) there.records.visits.push(openVisit(`w${at}`, `g${at % 400}`));
  const here = laptop.side();
  const from = performance.now();
  mergeSides(here, there, { act: ["laptop", 9999, 1] });
  return performance.now() - from;
}

/** Random histories of two and of three devices: those with a fault, and what many visits cost. */
export function histories(): Promised[] {
  const faulty = (play: (seed: number) => string[]) =>
    Array.from({ length: HISTORIES }, (_, at) => at + 1).filter((seed) => play(seed).length > 0).length;
  return [
    [`${HISTORIES} histories of two devices, with a fault`, faulty(twoDevices), 0, ""],
    [`${HISTORIES} histories of three devices, with a fault`, faulty(threeDevices), 0, ""],
    ["4,000 visits whose horses the other took away", timeKeeping(), 500, "ms"],
  ];
}
